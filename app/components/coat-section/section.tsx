import { useId } from "react";
import type { KeyboardEvent } from "react";
import type { StepId } from "#core/catalogue/ids";
import type { ZoneGroup } from "#core/coating/explain/alike-zones";
import type { Menu } from "#core/catalogue/menu";
import type { Step } from "#core/coating/model/step";
import type { StepState } from "#core/logbook/coat-states";
import { useWidth } from "../use-width";
import { stepTitle, zoneNames } from "../words";
import { columnOf } from "./bands";
import { laidPlace } from "./laid-place";
import type { LaidPlace, Said } from "./laid-place";
import { stateText } from "./labels";
import { GAP, rowsOf } from "./layout";
import { Place } from "./place";
import { Alone, Grammar } from "./textures";
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
  /** Steps that are another plan's otherwise. */
  readonly marked?: ReadonlySet<StepId>;
  /** Whether the work has begun: only then does a band say where it stands. */
  readonly begun?: boolean;
}

/** What the section is taken to be wide before it is laid out, px. */
const USUAL_WIDTH = 720;

/** Places with their words; an act on the body is named where it comes first, and is its number after that. */
function laidPlaces(groups: readonly ZoneGroup[], said: Said, width: number): readonly LaidPlace[] {
  const told = new Set<number>();
  return groups.map((group) => {
    const column = columnOf(group, said.menu);
    const place = laidPlace(column, said, width, new Set(told));
    for (const step of column.acts) told.add(said.numbers.get(step.id) ?? NaN);
    return place;
  });
}

/**
 * The piece cut through: its body at the bottom, places side by side, each coat a band as its tool leaves it, its words beside it. What vanishes
 * again is dashed, long waits are gaps. Bands are walked with the arrow keys and opened with Enter.
 */
export function CoatSection({ groups, menu, material, bare, numbers, states, selected = null, select, fresh, marked, begun = false }: Props) {
  const at = useId().replace(/[^a-z0-9]/gi, "");
  const [row, width] = useWidth<HTMLDivElement>(USUAL_WIDTH);
  const { perRow, each } = rowsOf(Math.max(1, groups.length), width);
  const places = laidPlaces(groups, { menu, numbers, states: begun ? (states ?? null) : null }, each);
  const { figure, current, onKeyDown } = useWalk(
    places.map(({ column }) => column),
    selected,
    select ?? (() => {}),
  );
  // The places of one act are opened together.
  const chosen = selected === null ? undefined : numbers.get(selected);
  const isChosen = (step: Step) => step.id === selected || (chosen !== undefined && numbers.get(step.id) === chosen);
  const asStep = (step: Step, zones: string) => ({
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
  // Bodies of one row stand on one line.
  const level = (index: number, side: "above" | "below") => {
    const first = index - (index % perRow);
    return Math.max(...places.slice(first, first + perRow).map((place) => place[side]));
  };
  return (
    <figure ref={figure} className="m-0" aria-label="Coat section">
      <div
        ref={row}
        className="flex flex-wrap gap-y-3"
        style={{ columnGap: `${GAP}px` }}
        role="group"
        aria-label="The piece cut through, coat by coat from the body up"
      >
        {places.map((place, index) => {
          const zones = zoneNames(place.column.group.zones);
          return (
            <div key={place.column.group.zones.join("+")} style={{ width: `${each}px` }} className="max-w-full break-inside-avoid">
              <Place
                place={place}
                width={each}
                above={level(index, "above")}
                below={level(index, "below")}
                label={zones}
                at={at}
                menu={menu}
                numbers={numbers}
                stateOf={(step) => (begun ? states?.get(step.id) : undefined)}
                isChosen={isChosen}
                isMarked={(step) => marked?.has(step.id) ?? false}
                asStep={(step) => asStep(step, zones)}
              >
                {index === 0 && <Grammar at={at} menu={menu} material={material} />}
              </Place>
              <p className="leading-snug">{zones}</p>
            </div>
          );
        })}
      </div>
      {bare.length > 0 && (
        <p className="mt-2 flex items-start gap-2 leading-snug">
          <Alone at={at} />
          <span>Nothing goes here: {bare.join(", ").toLowerCase()}</span>
        </p>
      )}
    </figure>
  );
}
