import { useId } from "react";
import type { KeyboardEvent } from "react";
import type { StepId } from "#core/catalogue/ids";
import type { ZoneGroup } from "#core/coating/explain/alike-zones";
import type { Menu } from "#core/catalogue/menu";
import type { Step } from "#core/coating/model/step";
import type { StepState } from "#core/logbook/coat-states";
import { sayDuration } from "#core/units/duration";
import { inkOn } from "../colours";
import { sayClock } from "../time-words";
import { stepTitle, zoneNames } from "../words";
import { columnOf, isClearFill } from "./bands";
import type { Column } from "./bands";
import { FilmShape, isSolid } from "./film-shape";
import { labelOf, LONG_NAME, SHORT_NAME, stateText } from "./labels";
import { Bare, Body, Cap, Guide, HALO, Night, StateLayer } from "./layers";
import { ACT, BODY, COLUMN, GAP, LABEL, TOP } from "./layout";
import { Grammar } from "./textures";
import { useWalk } from "./use-walk";

interface Props {
  readonly groups: readonly ZoneGroup[];
  readonly menu: Menu;
  readonly material: string;
  readonly bare: readonly string[];
  readonly numbers: ReadonlyMap<string, number>;
  readonly states?: ReadonlyMap<StepId, StepState>;
  readonly selected?: StepId | null;
  readonly select?: (step: StepId) => void;
  /** Steps that the last change brought. */
  readonly fresh?: ReadonlySet<string>;
  /** Whether the work has begun: only then does a band say where it stands. */
  readonly begun?: boolean;
}

/** Washes and sandings leave no film: numbered dots on the body's top edge. */
function Acts({
  column,
  x,
  floor,
  render,
}: {
  column: Column;
  x: number;
  floor: number;
  render: (step: Step, shape: React.ReactNode, index: number) => React.ReactNode;
}) {
  return column.acts.map((step, index) => {
    const cx = x + 18 + index * 30;
    return render(step, <circle cx={cx} cy={floor + BODY - 17} r={ACT} fill="var(--sheet)" stroke="var(--ink)" strokeWidth="1.4" />, index);
  });
}

/**
 * The piece cut through: its body at the bottom, zones side by side, each coat a band as its tool leaves it. What vanishes
 * again is dashed, long waits are gaps. Bands are walked with the arrow keys and opened with Enter.
 */
export function CoatSection({ groups, menu, material, bare, numbers, states, selected = null, select, fresh, begun = false }: Props) {
  const at = useId().replace(/[^a-z0-9]/gi, "");
  const columns = groups.map((group) => columnOf(group, menu));
  const { figure, current, onKeyDown } = useWalk(columns, selected, select ?? (() => {}));
  const count = groups.length + (bare.length > 0 ? 1 : 0);
  const width = Math.max(1, count) * COLUMN + (count - 1) * GAP + 4;
  const floor = TOP + Math.max(46, ...columns.map((column) => column.height));
  const height = floor + BODY + LABEL;
  // The places of one act are opened together.
  const chosen = selected === null ? undefined : numbers.get(selected);
  const isChosen = (step: Step) => step.id === selected || (chosen !== undefined && numbers.get(step.id) === chosen);
  const asBand = (step: Step, zones: string) => ({
    "data-step": step.id,
    "data-fresh": fresh?.has(step.id) ? "" : undefined,
    ...(select
      ? {
          role: "button",
          tabIndex: step.id === current ? 0 : -1,
          "aria-pressed": isChosen(step),
          "aria-label": `${numbers.has(step.id) ? `Step ${numbers.get(step.id)}` : "On it already"}, ${zones}: ${stepTitle(step, menu)}${states ? `, ${stateText(states.get(step.id))}` : ""}`,
          onClick: () => select(step.id),
          onKeyDown: (event: KeyboardEvent<SVGGElement>) => onKeyDown(event, step.id),
          className: "band",
        }
      : {}),
  });
  return (
    <figure ref={figure} className="m-0 overflow-x-auto" aria-label="Coat section">
      <svg
        viewBox={`-2 0 ${width} ${height}`}
        className="block h-auto w-full"
        style={{ minWidth: `${count * 150}px`, maxWidth: `${width * 1.15}px` }}
        role="group"
        aria-label="The piece cut through, coat by coat from the body up"
      >
        <Grammar at={at} menu={menu} material={material} />
        {columns.map((column, index) => {
          const x = index * (COLUMN + GAP);
          const zones = zoneNames(column.group.zones);
          return (
            <g key={column.group.zones.join("+")}>
              <Body x={x} floor={floor} at={at} />
              {column.bands.map((relative) => {
                const band = { ...relative, y: relative.y + floor };
                const state = states?.get(band.step.id);
                const faint = begun && state?.state === "to-come";
                const solid = isSolid(band);
                const number = numbers.get(band.step.id);
                const until = begun && state && (state.state === "wet" || state.state === "waiting") ? state.until : null;
                const plain = solid && !faint && until === null;
                return (
                  <g key={band.step.id} {...asBand(band.step, zones)}>
                    <title>{`${stepTitle(band.step, menu)}${band.gapMin > 0 ? `, after ${sayDuration(band.gapMin)}` : ""}`}</title>
                    <g opacity={faint ? 0.6 : 1}>
                      {band.kind === "film" && <FilmShape band={band} x={x} width={COLUMN} at={at} />}
                      {band.kind === "guide" && <Guide band={band} x={x} at={at} gone={begun && state?.state === "done"} />}
                      {band.kind === "cap" && <Cap band={band} x={x} />}
                    </g>
                    <rect x={x} y={band.y} width={COLUMN} height={band.height} fill="transparent" />
                    <StateLayer band={band} x={x} state={begun ? state : undefined} at={at} />
                    <text
                      x={x + 8}
                      y={band.y + band.height / 2 + 4.6}
                      fontSize="13"
                      fontWeight="600"
                      fill={plain ? inkOn(band.fill) : "var(--ink)"}
                      {...(plain ? {} : HALO)}
                    >
                      {labelOf(band, menu, number, until === null ? LONG_NAME : SHORT_NAME)}
                    </text>
                    {until !== null && (
                      <text x={x + COLUMN - 6} y={band.y + band.height / 2 + 4.6} fontSize="12.5" fontWeight="600" textAnchor="end" fill="var(--ink)" {...HALO}>
                        {state?.state === "wet" ? "wet till" : "till"} {sayClock(until)}
                      </text>
                    )}
                    {until === null && isClearFill(band) && band.step.sheen && (
                      <text x={x + COLUMN - 30} y={band.y + band.height / 2 + 4.6} fontSize="11.5" textAnchor="end" fill="#23282c">
                        {begun && state?.state === "done" ? "" : band.step.sheen === "matte" ? "matt" : band.step.sheen}
                      </text>
                    )}
                    {band.gapMin > 0 && <Night x={x} y={band.y + band.height} minutes={band.gapMin} />}
                    {isChosen(band.step) && (
                      <rect x={x - 1} y={band.y - 1} width={COLUMN + 2} height={band.height + 2} fill="none" stroke="var(--ready)" strokeWidth="3" rx="3" />
                    )}
                  </g>
                );
              })}
              <Acts
                column={column}
                x={x}
                floor={floor}
                render={(step, shape, order) => (
                  <g key={step.id} {...asBand(step, zones)}>
                    <title>{stepTitle(step, menu)}</title>
                    {shape}
                    <text x={x + 18 + order * 30} y={floor + BODY - 12.6} fontSize="12" fontWeight="600" textAnchor="middle" fill="var(--ink)">
                      {numbers.get(step.id)}
                    </text>
                    {begun && states?.get(step.id)?.state === "done" && (
                      <path d={`M${x + 22 + order * 30} ${floor + BODY - 25}l3 3l6-7`} fill="none" stroke="var(--ready)" strokeWidth="3" />
                    )}
                    {((begun && states?.get(step.id)?.state === "ready") || isChosen(step)) && (
                      <circle
                        cx={x + 18 + order * 30}
                        cy={floor + BODY - 17}
                        r={ACT + 2}
                        fill="none"
                        stroke={isChosen(step) ? "var(--ready)" : "var(--act)"}
                        strokeWidth="3"
                      />
                    )}
                  </g>
                )}
              />
              <text x={x + COLUMN / 2} y={floor + BODY + 20} textAnchor="middle" fontSize="15" fill="var(--ink)">
                {zones.length > 34 ? `${zoneNames(column.group.zones.slice(0, 1))} and ${column.group.zones.length - 1} more alike` : zones}
              </text>
            </g>
          );
        })}
        {bare.length > 0 && <Bare x={groups.length * (COLUMN + GAP)} floor={floor} at={at} names={bare} />}
      </svg>
    </figure>
  );
}
