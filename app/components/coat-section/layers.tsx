import type { StepState } from "#core/logbook/coat-states";
import { sayDuration } from "#core/units/duration";
import { inkOn } from "../colours";
import { NIGHT_GAP } from "./bands";
import type { Band } from "./bands";
import { isSolid } from "./film-shape";
import { BODY, COLUMN } from "./layout";

export const HALO = { paintOrder: "stroke", stroke: "var(--sheet)", strokeWidth: 4, strokeLinejoin: "round" } as const;

export function Body({ x, floor, at }: { x: number; floor: number; at: string }) {
  const wave = Array.from({ length: 10 }, (_unused, index) => `q${-COLUMN / 20} ${index % 2 ? -5 : 5} ${-COLUMN / 10} 0`).join("");
  return <path d={`M${x} ${floor}h${COLUMN}v${BODY - 4}${wave}z`} fill={`url(#${at}-body)`} stroke="var(--ink)" strokeWidth="1.5" />;
}

/** A long wait, as a gap with a moon and how long. */
export function Night({ x, y, minutes }: { x: number; y: number; minutes: number }) {
  const middle = y + NIGHT_GAP / 2;
  return (
    <g>
      <path d={`M${x + 2} ${middle}h${COLUMN * 0.58}`} stroke="var(--soft)" strokeDasharray="2 5" />
      <path d={`M${x + COLUMN * 0.62 + 4} ${middle - 5}a5 5 0 1 0 5 7a4.2 4.2 0 0 1 -5 -7z`} fill="var(--soft)" />
      <text x={x + COLUMN - 4} y={middle + 4} textAnchor="end" fontSize="12" fill="var(--soft)">
        {sayDuration(minutes)}
      </text>
    </g>
  );
}

/** Places that stay as they are: hatched, "leave alone". */
export function Bare({ x, floor, at, names }: { x: number; floor: number; at: string; names: readonly string[] }) {
  const said = names.join(", ").toLowerCase();
  return (
    <g>
      <Body x={x} floor={floor} at={at} />
      <rect x={x} y={floor - 26} width={COLUMN} height="22" fill={`url(#${at}-alone)`} />
      <text x={x + COLUMN / 2} y={floor - 11} textAnchor="middle" fontSize="13" fontWeight="600" fill="var(--ink)" {...HALO}>
        nothing goes here
      </text>
      <text x={x + COLUMN / 2} y={floor + BODY + 20} textAnchor="middle" fontSize="15" fill="var(--ink)">
        {said.length > 30 ? `${names[0]} and ${names.length - 1} more stay bare` : `Stays bare: ${said}`}
      </text>
    </g>
  );
}

/** Wet shimmers, waiting is hatched, to come is faint; each also says so in words. */
export function StateLayer({ band, x, state, at }: { band: Band; x: number; state: StepState | undefined; at: string }) {
  if (!state || band.kind !== "film") return null;
  const place = { x, y: band.y, width: COLUMN, height: band.height };
  if (state.state === "wet") return <rect {...place} fill={`url(#${at}-wet)`} className="drying" />;
  if (state.state === "waiting") return <rect {...place} fill={`url(#${at}-alone)`} opacity="0.55" />;
  if (state.state === "ready")
    return <rect x={x - 2} y={band.y - 2} width={COLUMN + 4} height={band.height + 4} fill="none" stroke="var(--act)" strokeWidth="3.5" rx="4" />;
  if (state.state === "done")
    return (
      <path
        d={`M${x + COLUMN - 24} ${band.y + band.height / 2}l5 5l9-10`}
        fill="none"
        stroke={isSolid(band) ? inkOn(band.fill) : "var(--ink)"}
        strokeWidth="2.6"
      />
    );
  return null;
}

export function Guide({ band, x, at, gone }: { band: Band; x: number; at: string; gone: boolean }) {
  const middle = band.y + band.height / 2;
  const { role } = band.step;
  return (
    <g opacity={gone ? 0.3 : 1}>
      {role === "mask" ? (
        [0, 0.35, 0.7].map((from) => (
          <rect
            key={from}
            x={x + COLUMN * from}
            y={band.y + 3}
            width={COLUMN * 0.28}
            height={band.height - 6}
            fill={`url(#${at}-tape)`}
            stroke="#8a7536"
            strokeDasharray="4 3"
          />
        ))
      ) : role === "sign" ? (
        <path d={`M${x + COLUMN - 92} ${middle + 3}q8-14 12 0t12 0q6-10 10 0t12-2q10-8 14 2t16-2`} fill="none" stroke="var(--ink)" strokeWidth="1.6" />
      ) : (
        <path d={`M${x + COLUMN * 0.5} ${middle}h${COLUMN * 0.48}`} stroke="var(--ink)" strokeWidth="1.6" strokeDasharray="7 5" />
      )}
    </g>
  );
}

export function Cap({ band, x }: { band: Band; x: number }) {
  const middle = band.y + band.height / 2;
  const heat = band.step.heat !== undefined;
  return (
    <g fill="none" stroke={heat ? "var(--act)" : "var(--ready)"} strokeWidth="1.8">
      {heat ? (
        [0, 1, 2].map((index) => <path key={index} d={`M${x + COLUMN - 40 + index * 12} ${middle + 8}q-5-5 0-8t0-8`} />)
      ) : (
        <path d={`M${x + COLUMN - 66} ${middle}h60`} strokeDasharray="2 5" />
      )}
    </g>
  );
}
