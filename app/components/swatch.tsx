/** A small picture of a piece: its body, its base colour, its marks. */
export function Swatch({ body, base, marks }: { body: string; base: string | null; marks: readonly string[] }) {
  return (
    <svg viewBox="0 0 48 48" width="48" height="48" aria-hidden className="shrink-0">
      <path d="M4 30C4 18 13 8 25 8s20 9 19 20c-1 9-9 13-20 13S4 38 4 30z" fill={body} stroke="var(--ink)" strokeWidth="1.5" />
      {base && <path d="M9 28c0-9 7-15 16-15s15 7 14 14c-1 4-6 6-15 6s-15-1-15-5z" fill={base} />}
      {marks.slice(0, 3).map((colour, index) => (
        <circle key={index} cx={17 + index * 7} cy={22} r={3} fill={colour} />
      ))}
    </svg>
  );
}
