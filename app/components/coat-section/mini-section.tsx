import { useId } from "react";
import type { StepId } from "#core/catalogue/ids";
import type { ZoneGroup } from "#core/coating/explain/alike-zones";
import type { Menu } from "#core/catalogue/menu";
import type { StepState } from "#core/logbook/coat-states";
import { columnOf } from "./bands";
import { Grammar } from "./textures";

const HEIGHT = 40;
const BODY = 10;
const COLUMN = 46;
const GAP = 4;
const MOST = 4;
/** How much larger it is on the Bench. */
const TALL = 2.6;

/** The same section small enough for a list: bands without words, done ones full, the rest faint. */
export function MiniSection({
  groups,
  menu,
  material,
  states,
  label,
  tall = false,
}: {
  groups: readonly ZoneGroup[];
  menu: Menu;
  material: string;
  states: ReadonlyMap<StepId, StepState> | null;
  label: string;
  /** Large enough to be read on the Bench. */
  tall?: boolean;
}) {
  const at = useId().replace(/[^a-z0-9]/gi, "");
  const columns = groups.slice(0, tall ? 2 : MOST).map((group) => columnOf(group, menu));
  const tallest = Math.max(60, ...columns.map((column) => column.height));
  const scale = (HEIGHT - BODY - 2) / tallest;
  const width = columns.length * (COLUMN + GAP) - GAP;
  return (
    <svg
      width={width * (tall ? TALL : 1.3)}
      height={HEIGHT * (tall ? TALL : 1.3)}
      viewBox={`0 0 ${width} ${HEIGHT}`}
      role="img"
      aria-label={label}
      className="shrink-0"
    >
      <Grammar at={at} menu={menu} material={material} />
      {columns.map((column, index) => {
        const x = index * (COLUMN + GAP);
        return (
          <g key={index}>
            <rect x={x} y={HEIGHT - BODY} width={COLUMN} height={BODY} fill={`url(#${at}-body)`} stroke="var(--ink)" strokeWidth="0.6" />
            {column.bands
              .filter((band) => band.kind === "film")
              .map((band) => {
                const state = states?.get(band.step.id)?.state;
                const y = HEIGHT - BODY + band.y * scale;
                const height = Math.max(2, band.height * scale - 0.4);
                const place = { x, y, width: COLUMN, height };
                const faint = states !== null && state !== "done" && state !== "wet";
                return (
                  <g key={band.step.id} opacity={faint ? 0.4 : 1}>
                    {band.step.marks ? (
                      [0, 1, 2, 3, 4].map((dot) => (
                        <ellipse
                          key={dot}
                          cx={x + 5 + dot * 9}
                          cy={y + height}
                          rx="3.6"
                          ry={height}
                          fill={band.fill}
                          stroke="var(--ink)"
                          strokeWidth="0.4"
                          clipPath={`inset(0 0 50% 0)`}
                        />
                      ))
                    ) : (
                      <rect {...place} fill={band.fill} stroke="var(--ink)" strokeWidth="0.5" />
                    )}
                    {state === "wet" && <rect {...place} fill={`url(#${at}-wet)`} />}
                  </g>
                );
              })}
          </g>
        );
      })}
    </svg>
  );
}
