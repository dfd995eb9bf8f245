import { useId, useRef } from "react";
import type { KeyboardEvent } from "react";
import type { StepId } from "#core/catalogue/ids";
import type { ZoneGroup } from "#core/coating/alike-zones";
import type { Menu } from "#core/catalogue/menu";
import type { Step } from "#core/coating/plan";
import type { StepState } from "#core/logbook/coat-states";
import { sayDuration } from "#core/units/duration";
import { inkOn } from "../colours";
import { sayClock, stepTitle, zoneNames } from "../words";
import { columnOf, isClearFill, NIGHT_GAP } from "./bands";
import type { Band, Column } from "./bands";
import { FilmShape, isSolid } from "./film-shape";
import { Grammar, Texture } from "./textures";

const COLUMN = 250;
const GAP = 20;
const TOP = 12;
const BODY = 56;
const LABEL = 30;
const ACT = 11;

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
  /** Now, for what is still wet; ms. */
  readonly begun?: boolean;
}

/** What may be walked to: everything drawn of every column, from the body up. */
function walkable(columns: readonly Column[]): readonly (readonly Step[])[] {
  return columns.map((column) => [...column.acts, ...column.bands.map((band) => band.step)]);
}

function useWalk(columns: readonly Column[], selected: StepId | null, select: (step: StepId) => void) {
  const figure = useRef<HTMLElement>(null);
  const grid = walkable(columns);
  const first = grid.flat()[0]?.id;
  const current = grid.flat().some((step) => step.id === selected) ? selected : first;
  const go = (id: StepId) => {
    select(id);
    figure.current?.querySelector<SVGGElement>(`[data-step="${CSS.escape(id)}"]`)?.focus();
  };
  const onKeyDown = (event: KeyboardEvent<SVGGElement>, id: StepId) => {
    const column = grid.findIndex((steps) => steps.some((step) => step.id === id));
    const at = grid[column]!.findIndex((step) => step.id === id);
    const along = (other: number) => grid[other]?.[Math.min(at, grid[other].length - 1)]?.id;
    const target = { ArrowUp: grid[column]?.[at + 1]?.id, ArrowDown: grid[column]?.[at - 1]?.id, ArrowRight: along(column + 1), ArrowLeft: along(column - 1) }[
      event.key
    ];
    if (event.key === "Enter" || event.key === " ") {
      event.preventDefault();
      select(id);
    } else if (target) {
      event.preventDefault();
      go(target);
    }
  };
  return { figure, current, onKeyDown };
}

const STATE_WORDS: Record<StepState["state"], string> = { done: "done", wet: "wet", ready: "may be done now", waiting: "waiting", "to-come": "to come" };

/** What a band says of where it stands, beside its name. */
function stateText(state: StepState | undefined): string {
  if (!state) return "";
  const counted = state.done > 0 && state.done < state.of ? `, ${state.done} of ${state.of} done` : "";
  const until = state.until && state.state !== "to-come" ? ` until about ${sayClock(state.until)}` : "";
  return `${STATE_WORDS[state.state]}${until}${counted}`;
}

/** Wet shimmers, waiting is hatched, to come is faint; each also says so in words. */
function StateLayer({ band, x, state, at }: { band: Band; x: number; state: StepState | undefined; at: string }) {
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

function Guide({ band, x, at, gone }: { band: Band; x: number; at: string; gone: boolean }) {
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

function Cap({ band, x }: { band: Band; x: number }) {
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

const CAP_WORDS = (step: Step) =>
  step.heat
    ? `${step.heat.kind === "kiln" ? "Fire" : "Bake"} ${step.heat.temperatureC} °C`
    : step.role === "assemble"
      ? "Parts glued on"
      : step.waitBefore
        ? `Hardens ${sayDuration(step.waitBefore.min)}`
        : "Ready when it is cool";
const GUIDE_WORDS: Partial<Record<Step["role"], string>> = { mark: "Guides", mask: "Mask", sign: "Signed" };

const LONG_NAME = 27;
const SHORT_NAME = 17;

function labelOf(band: Band, menu: Menu, number: number | undefined, most: number): string {
  const name = menu.products.find((one) => one.id === band.step.product)?.name ?? "";
  if (band.kind === "cap") return CAP_WORDS(band.step);
  if (band.kind === "guide") return `${number} · ${GUIDE_WORDS[band.step.role] ?? name}, ${band.step.role === "sign" ? "dated" : "comes off"}`;
  return `${number} · ${name.length > most ? `${name.slice(0, most - 1)}…` : name}`;
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
  const body = menu.materials.find((one) => one.id === material);
  const columns = groups.map((group) => columnOf(group, menu));
  const { figure, current, onKeyDown } = useWalk(columns, selected, select ?? (() => {}));
  const count = groups.length + (bare.length > 0 ? 1 : 0);
  const width = Math.max(1, count) * COLUMN + (count - 1) * GAP + 4;
  const floor = TOP + Math.max(46, ...columns.map((column) => column.height));
  const height = floor + BODY + LABEL;
  const asBand = (step: Step, zones: string) => ({
    "data-step": step.id,
    "data-fresh": fresh?.has(step.id) ? "" : undefined,
    ...(select
      ? {
          role: "button",
          tabIndex: step.id === current ? 0 : -1,
          "aria-pressed": step.id === selected,
          "aria-label": `Step ${numbers.get(step.id)}, ${zones}: ${stepTitle(step, menu)}${states ? `, ${stateText(states.get(step.id))}` : ""}`,
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
        <defs>
          <Texture id={`${at}-body`} texture={body?.texture ?? "dense"} colour={body?.colour ?? "#999999"} />
          <Grammar at={at} />
        </defs>
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
                    {band.step.id === selected && (
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
                    {((begun && states?.get(step.id)?.state === "ready") || step.id === selected) && (
                      <circle
                        cx={x + 18 + order * 30}
                        cy={floor + BODY - 17}
                        r={ACT + 2}
                        fill="none"
                        stroke={step.id === selected ? "var(--ready)" : "var(--act)"}
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

const HALO = { paintOrder: "stroke", stroke: "var(--sheet)", strokeWidth: 4, strokeLinejoin: "round" } as const;

function Body({ x, floor, at }: { x: number; floor: number; at: string }) {
  const wave = Array.from({ length: 10 }, (_unused, index) => `q${-COLUMN / 20} ${index % 2 ? -5 : 5} ${-COLUMN / 10} 0`).join("");
  return <path d={`M${x} ${floor}h${COLUMN}v${BODY - 4}${wave}z`} fill={`url(#${at}-body)`} stroke="var(--ink)" strokeWidth="1.5" />;
}

/** A long wait, as a gap with a moon and how long. */
function Night({ x, y, minutes }: { x: number; y: number; minutes: number }) {
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
function Bare({ x, floor, at, names }: { x: number; floor: number; at: string; names: readonly string[] }) {
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
