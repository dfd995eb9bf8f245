import { CUT_GRADES } from "#core/logbook/inspections/inspection";

const SQUARES = 5;
const SIZE = 10;
/** Share of the squares that is drawn off, by grade: the middle of its range. */
const DRAWN = [0, 0.03, 0.1, 0.25, 0.5, 0.8] as const;
/** Order in which squares go, so that the pictures grow from one to the next. */
const ORDER = [12, 6, 18, 8, 16, 2, 22, 10, 14, 0, 24, 4, 20, 7, 17, 11, 13, 1, 23, 5, 19, 3, 21, 9, 15];

/** Cuts across cuts, with as much gone as the grade has it. */
export function CutPicture({ grade }: { grade: number }) {
  const off = Math.round(SQUARES * SQUARES * DRAWN[grade]!);
  const side = SQUARES * SIZE;
  return (
    <svg width="60" height="60" viewBox={`-2 -2 ${side + 4} ${side + 4}`} role="img" aria-label={CUT_GRADES[grade]!.says}>
      <rect x="-2" y="-2" width={side + 4} height={side + 4} fill="var(--ready)" />
      {ORDER.slice(0, off).map((square) => (
        <rect key={square} x={(square % SQUARES) * SIZE} y={Math.floor(square / SQUARES) * SIZE} width={SIZE} height={SIZE} fill="var(--sheet)" />
      ))}
      {Array.from({ length: SQUARES + 1 }, (_unused, k) => (
        <g key={k} stroke="var(--sheet)" strokeWidth="1">
          <line x1={k * SIZE} x2={k * SIZE} y1="-2" y2={side + 2} />
          <line y1={k * SIZE} y2={k * SIZE} x1="-2" x2={side + 2} />
        </g>
      ))}
      {grade >= 1 &&
        [6, 14, 27, 33].slice(0, grade + 1).map((at, k) => <path key={at} d={`M${(at % 6) * SIZE} ${(k + 1) * SIZE}l3 0l-3 3z`} fill="var(--sheet)" />)}
    </svg>
  );
}
