import type { StepId } from "#core/catalogue/ids";
import type { Menu } from "#core/catalogue/menu";
import type { Step } from "#core/coating/model/step";
import type { StepState } from "#core/logbook/coat-states";
import { sayDuration } from "#core/units/duration";
import { stepTitle } from "../words";
import { NIGHT_GAP } from "./bands";
import type { Band, Column } from "./bands";
import { spread } from "./label-layout";
import { laid, labelOf, untilText } from "./labels";
import type { Label, LaidLabel } from "./labels";
import { ACT_PITCH, ACTS_ABREAST, BODY, LINE, TOP, WORDS } from "./layout";

/** Words beside what they are about: a band, a night under it, or an act on the body. */
export interface Beside {
  readonly step: Step;
  readonly kind: "band" | "night" | "act";
  readonly label: LaidLabel;
  /** Middle of what it is about, and of where the words stand; y is negative upwards from the body's top. */
  readonly from: number;
  readonly y: number;
}

/** A place with its words laid beside its bands. */
export interface LaidPlace {
  readonly column: Column;
  readonly beside: readonly Beside[];
  /** What it needs above the body's top, and below it, px. */
  readonly above: number;
  readonly below: number;
}

/** What the words of a section are made of. */
export interface Said {
  readonly menu: Menu;
  readonly numbers: ReadonlyMap<string, number>;
  /** Null before the work has begun. */
  readonly states: ReadonlyMap<StepId, StepState> | null;
}

function bandLabel(band: Band, { menu, numbers, states }: Said): Label {
  const label = labelOf(band, menu, numbers.get(band.step.id));
  const until = untilText(states?.get(band.step.id));
  return until === "" ? label : { head: label.head, tail: until };
}

function actLabel(step: Step, { menu, numbers }: Said): Label {
  const number = numbers.get(step.id);
  return { head: "", tail: `${number === undefined ? "" : `${number} · `}${stepTitle(step, menu)}` };
}

/**
 * Lays the words of a place beside its bands, moved apart where they would meet.
 *
 * @param width of the whole place, px
 * @param told numbers of acts on the body that a place before it has named
 */
export function laidPlace(column: Column, said: Said, width: number, told: ReadonlySet<number>): LaidPlace {
  const inLines = (label: Label) => laid(label, width - WORDS - 4);
  const bands = column.bands.flatMap((band): readonly Omit<Beside, "y">[] => {
    const { step } = band;
    const own = { step, kind: "band", label: inLines(bandLabel(band, said)), from: band.y + band.height / 2 } as const;
    if (band.gapMin === 0) return [own];
    return [own, { step, kind: "night", label: inLines({ head: "", tail: sayDuration(band.gapMin) }), from: band.y + band.height + NIGHT_GAP / 2 }];
  });
  const fresh = column.acts.filter((step) => !told.has(said.numbers.get(step.id) ?? NaN));
  const acts = fresh.map((step, index) => ({ step, kind: "act", label: inLines(actLabel(step, said)), from: LINE * (index + 0.7) }) as const);
  const wanted = [...bands, ...acts].sort((a, b) => a.from - b.from);
  const middles = spread(wanted.map(({ from, label }) => ({ want: from, height: label.height })));
  const beside = wanted.map((one, index) => ({ ...one, y: middles[index]! }));
  const edges = beside.flatMap(({ y, label }) => [y - label.height / 2, y + label.height / 2]);
  const dots = Math.ceil(column.acts.length / ACTS_ABREAST) * ACT_PITCH + 12;
  return { column, beside, above: Math.max(column.height, ...edges.map((edge) => -edge)) + TOP, below: Math.max(BODY, dots, ...edges) };
}
