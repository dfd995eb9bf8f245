/** Lines of text with their base lines, in a space of some size. */
export function TextDrawing({
  lines,
  emMm,
  lineMm,
  capMm,
  widthMm,
  heightMm,
  face,
}: {
  lines: readonly string[];
  emMm: number;
  lineMm: number;
  capMm: number;
  widthMm: number;
  heightMm: number;
  face: string;
}) {
  const tall = capMm + lineMm * (lines.length - 1);
  const top = (heightMm - tall) / 2;
  const thin = Math.max(widthMm, heightMm) / 400;
  return (
    <svg
      viewBox={`0 ${-emMm * 0.2} ${widthMm} ${heightMm + emMm * 0.5}`}
      className="block max-h-56 w-full"
      role="img"
      aria-label={`${lines.length} lines of lettering in their space`}
    >
      <rect width={widthMm} height={heightMm} fill="none" stroke="var(--line)" strokeWidth={thin} strokeDasharray={`${thin * 4} ${thin * 3}`} />
      {lines.map((line, k) => {
        const base = top + capMm + k * lineMm;
        return (
          <g key={k}>
            <line x1={0} x2={widthMm} y1={base} y2={base} stroke="var(--ready)" strokeWidth={thin} />
            <line
              x1={0}
              x2={widthMm}
              y1={base - capMm}
              y2={base - capMm}
              stroke="var(--ready)"
              strokeWidth={thin * 0.6}
              strokeDasharray={`${thin * 3} ${thin * 3}`}
            />
            <text
              x={widthMm / 2}
              y={base}
              fontSize={emMm}
              textAnchor="middle"
              fill="var(--ink)"
              fontFamily={face === "young-serif" ? "var(--font-display)" : "var(--font-text)"}
            >
              {line}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
