import { SHEET_MM, sheetMarks } from "#core/marking/practice";
import type { Practice } from "#core/marking/practice";

const { width, height } = SHEET_MM;
const rows = (count: number) => Array.from({ length: count }, (_unused, k) => (height / count) * k);

function Ruled({ ruled, diameterMm }: { ruled: Practice["ruled"]; diameterMm: number }) {
  if (ruled === "dots" || ruled === "walk")
    return (
      <>
        {sheetMarks(diameterMm, ruled === "walk").map(({ x, y, r }) => (
          <g key={`${x}-${y}`}>
            <circle cx={x} cy={y} r={r} />
            <path d={`M${x - 0.8} ${y}h1.6M${x} ${y - 0.8}v1.6`} />
          </g>
        ))}
      </>
    );
  if (ruled === "swipes")
    return (
      <>
        {rows(9).flatMap((y) =>
          Array.from({ length: 9 }, (_unused, k) => {
            const x = k * 20 + 6;
            const r = Math.min(4, diameterMm / 2);
            return (
              <g key={`${x}-${y}`}>
                <circle cx={x} cy={y + 4} r={r} />
                <path d={`M${x} ${y + 4}q${k % 2 === 0 ? 9 : -5} 5 ${k % 2 === 0 ? 8 : 2} 16`} />
              </g>
            );
          }),
        )}
      </>
    );
  if (ruled === "letters")
    return (
      <>
        {rows(9).map((y) => (
          <g key={y}>
            <path d={`M0 ${y + 14}H${width}`} />
            <path d={`M0 ${y + 7}H${width}`} strokeDasharray="1.5 1.5" />
            <path d={`M0 ${y}H${width}`} />
            {Array.from({ length: 12 }, (_unused, k) => (
              <path key={k} d={`M${k * 16 + 2} ${y + 14}l3 -14`} strokeDasharray="0.6 1.6" />
            ))}
          </g>
        ))}
      </>
    );
  if (ruled === "lines")
    return (
      <>
        {rows(9).map((y, k) => (
          <path
            key={y}
            d={
              k % 3 === 0
                ? `M0 ${y + 8}H${width}`
                : k % 3 === 1
                  ? `M0 ${y + 8}q22.5 -12 45 0t45 0t45 0t45 0`
                  : `M0 ${y + 14}q15 -16 30 0q15 -16 30 0q15 -16 30 0q15 -16 30 0q15 -16 30 0q15 -16 30 0`
            }
          />
        ))}
      </>
    );
  return <>{rows(3).flatMap((y) => [0, 62, 124].map((x) => <rect key={`${x}-${y}`} x={x} y={y} width="56" height="62" rx="2" />))}</>;
}

/** A sheet ruled at true size. A line of five centimetres says whether the printer has kept it. */
export function PracticeSheet({ practice, diameterMm, name }: { practice: Practice; diameterMm: number; name: string }) {
  return (
    <figure className="mt-6 hidden overflow-hidden print:m-0 print:block sm:block" data-practice-sheet>
      <figcaption className="mb-2 text-soft print:text-black">
        {name}: practice sheet. Good: {practice.good}.
      </figcaption>
      <svg
        viewBox={`-2 -2 ${width + 4} ${height + 12}`}
        style={{ width: `${width + 4}mm` }}
        className="sheet max-w-full print:border-0"
        fill="none"
        stroke="currentColor"
        strokeWidth="0.25"
        role="img"
        aria-label={`Practice sheet for ${name.toLowerCase()}, at true size when it is printed`}
      >
        <Ruled ruled={practice.ruled} diameterMm={diameterMm} />
        <path d={`M0 ${height + 6}h50m-50 -1.5v3m50 -3v3`} strokeWidth="0.4" />
        <text x="54" y={height + 7.5} fontSize="4" fill="currentColor" stroke="none">
          5 cm
        </text>
      </svg>
    </figure>
  );
}
