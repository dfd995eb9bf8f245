import type { StepState } from "#core/logbook/coat-states";
import { inkOn } from "../colours";
import { NIGHT_GAP } from "./bands";
import type { Band } from "./bands";
import { isSolid } from "./film-shape";
import { BAND } from "./layout";

/** The body under the bands. @param height down to its broken edge, px */
export function Body({ height, at }: { height: number; at: string }) {
  const wave = Array.from({ length: 6 }, (_unused, index) => `q${-BAND / 12} ${index % 2 ? -5 : 5} ${-BAND / 6} 0`).join("");
  return <path d={`M0 0h${BAND}v${height - 4}${wave}z`} fill={`url(#${at}-body)`} stroke="var(--ink)" strokeWidth="1.5" />;
}

/** A long wait, as a gap with a moon in it. */
export function Night({ y }: { y: number }) {
  const middle = y + NIGHT_GAP / 2;
  return (
    <g>
      <path d={`M2 ${middle}h${BAND - 26}`} stroke="var(--soft)" strokeDasharray="2 5" />
      <path d={`M${BAND - 12} ${middle - 5}a5 5 0 1 0 5 7a4.2 4.2 0 0 1 -5 -7z`} fill="var(--soft)" />
    </g>
  );
}

/** Wet shimmers, waiting is hatched, to come is faint; each also says so in words. */
export function StateLayer({ band, state, at }: { band: Band; state: StepState | undefined; at: string }) {
  if (!state || band.kind !== "film") return null;
  const place = { x: 0, y: band.y, width: BAND, height: band.height };
  if (state.state === "wet") return <rect {...place} fill={`url(#${at}-wet)`} className="drying" />;
  if (state.state === "waiting") return <rect {...place} fill={`url(#${at}-alone)`} opacity="0.55" />;
  if (state.state === "ready")
    return <rect x={-2} y={band.y - 2} width={BAND + 4} height={band.height + 4} fill="none" stroke="var(--act)" strokeWidth="3.5" rx="4" />;
  if (state.state === "done")
    return (
      <path d={`M${BAND - 22} ${band.y + band.height / 2}l5 5l9-10`} fill="none" stroke={isSolid(band) ? inkOn(band.fill) : "var(--ink)"} strokeWidth="2.6" />
    );
  return null;
}

export function Guide({ band, at, gone }: { band: Band; at: string; gone: boolean }) {
  const middle = band.y + band.height / 2;
  const { role } = band.step;
  return (
    <g opacity={gone ? 0.3 : 1}>
      {role === "mask" ? (
        [0, 0.35, 0.7].map((from) => (
          <rect
            key={from}
            x={BAND * from}
            y={band.y + 3}
            width={BAND * 0.28}
            height={band.height - 6}
            fill={`url(#${at}-tape)`}
            stroke="#8a7536"
            strokeDasharray="4 3"
          />
        ))
      ) : role === "sign" ? (
        <path d={`M8 ${middle + 3}q8-14 12 0t12 0q6-10 10 0t12-2q10-8 14 2t16-2`} fill="none" stroke="var(--ink)" strokeWidth="1.6" />
      ) : (
        <path d={`M3 ${middle}h${BAND - 6}`} stroke="var(--ink)" strokeWidth="1.6" strokeDasharray="7 5" />
      )}
    </g>
  );
}

export function Cap({ band }: { band: Band }) {
  const middle = band.y + band.height / 2;
  const heat = band.step.heat !== undefined;
  return (
    <g fill="none" stroke={heat ? "var(--act)" : "var(--ready)"} strokeWidth="1.8">
      {heat ? (
        [0, 1, 2].map((index) => <path key={index} d={`M${BAND / 2 - 12 + index * 12} ${middle + 8}q-5-5 0-8t0-8`} />)
      ) : (
        <path d={`M3 ${middle}h${BAND - 6}`} strokeDasharray="2 5" />
      )}
    </g>
  );
}
