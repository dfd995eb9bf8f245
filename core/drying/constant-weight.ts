import { memory } from "../catalogue/provenance";
import { POURED_WITHIN, USUAL_WATER, dryingSamples, quantile, stepOf, weightAfter } from "./drying-curve";
import type { DryingSample, KnownBody, Weighing } from "./drying-curve";

export type { Weighing } from "./drying-curve";

/** A span, and the middle of it. */
export interface Between {
  readonly from: number;
  readonly typical: number;
  readonly to: number;
}

/** A weight that the body cannot have. */
export interface Doubt extends Weighing {
  /** What says so: what was poured, or its other weighings. */
  readonly by: "poured" | "others";
  /** What it can weigh at least and at most, g. */
  readonly leastG: number;
  readonly mostG: number;
}

/** Whether a cast, a washed stone or a soaked pot has given its water off. */
export interface WeightTold {
  /** It no longer loses weight, and there is no more water in it than a body that is dry may hide. */
  readonly constant: boolean;
  /** It has grown heavier since it was weighed before: it has taken up water. */
  readonly gained: boolean;
  /** Lost since the first weighing, g; below 0 it has grown heavier. */
  readonly lostG: number;
  /** Still to be lost, as its weighings have it, g; null where they cannot tell. */
  readonly leftG: Between | null;
  /** When it will be constant, instants, ms; null where it is, or the weighings cannot tell. */
  readonly constantAt: Between | null;
  /** The weighings fit bodies that are dry soon and bodies that are wet for long: the days lie far apart. */
  readonly unsure: boolean;
  /** Weighings a day apart agree, yet a body that dries very slowly would show it too; or what was poured says there is water in it. */
  readonly slow: boolean;
  /** The same figure by then would say that it is dry, instant, ms; null where it would not. */
  readonly againAt: number | null;
  /** The scale is too coarse to tell a fifth of a per cent of so light a body in a day. */
  readonly coarse: boolean;
  /** Weighings that cannot be of this body; nothing is read out of them. */
  readonly doubts: readonly Doubt[];
}

const MS_PER_HOUR = 3_600_000;
const DAY_HOURS = 24;
/** Constant weight: two weighings a day apart differ by less than this share of it [from memory]. */
export const CONSTANT_SHARE = memory(0.002).value;
/** A body that is dry hides no more water than this, as a share of it: ten days' loss that no longer counts [from memory]. */
export const DRY_SHARE = memory(0.02).value;
/** The slowest bodies of the trade empty with this time constant, hours: in a bag, in a cold shed [from memory]. */
const SLOWEST_HOURS = memory(80 * DAY_HOURS).value;
/** Weighings that lie so far apart are a day apart, hours: breakfast and breakfast. The allowance is shortened with them. */
const A_DAY = memory(20).value;
/** Dry is told where so many of the ways in which the weighings may go on have it dry. */
const SURE = 0.9;
const HALF = 0.5;
/** An interval that is to hold in nine cases of ten: a little wider, for bodies dry as they like. */
const [LOW, HIGH] = [0.03, 0.97];
/** Beyond this nobody foretells anything, hours. */
const FARTHEST_HOURS = 24 * 365;
const BISECTIONS = 15;
/** What was spilt, left in the bowl or stood beside the body: a weight farther off what was poured cannot be, shares [from memory]. */
const POURED_OFF = memory({ less: 0.1, more: 0.05 }).value;
/** So many weighings that cannot be, and no fewer than can: then it is the pour that was noted wrong. */
const AGAINST_THE_POUR = 3;
/** The last of the days lies so many times as far off as the first, and so many hours more: it cannot be told well. */
const UNSURE = { times: 3, hours: 2 * DAY_HOURS } as const;

const allowedG = (g: number, hours: number) => (CONSTANT_SHARE * g * hours) / DAY_HOURS;

/** A day's loss up to so many hours is within what counts as constant. */
const isFlat = (sample: DryingSample, hours: number) =>
  weightAfter(sample, hours - DAY_HOURS) - weightAfter(sample, hours) < allowedG(weightAfter(sample, hours), DAY_HOURS);

/** No more water is in it than a dry body hides. */
const isEmpty = (sample: DryingSample, hours: number) => weightAfter(sample, hours) - sample.dryG <= DRY_SHARE * sample.dryG;

/** Hours from the first weighing after which something holds that holds for good. */
function heldFrom(holds: (hours: number) => boolean): number {
  let [not, yes] = [0, FARTHEST_HOURS];
  for (let k = 0; k < BISECTIONS; k += 1) {
    const middle = (not + yes) / 2;
    if (holds(middle)) yes = middle;
    else not = middle;
  }
  return yes;
}

/** Hours from the first weighing after which a day takes less than counts. Before a whole day has passed its loss is a day's from the first weighing on. */
const flatAfter = (sample: DryingSample) => heldFrom((hours) => isFlat(sample, hours + DAY_HOURS));

/** Hours from the first weighing after which it is dry: a day takes less than counts, and hardly any water is left. */
const dryAfter = (sample: DryingSample) => heldFrom((hours) => isFlat(sample, hours + DAY_HOURS) && isEmpty(sample, hours));

/** The longest time over which the last weighings agree; null where they do not for a day. */
interface Quiet {
  readonly hours: number;
  readonly spreadG: number;
}

/**
 * By the weighings alone: since one that is a day older, or older still, they differ by less than counts; so does every one between. So light a body that a
 * day's allowance is finer than the scale wants as many days as its half step is worth.
 */
function agree(sorted: readonly Weighing[], stepG: number): Quiet | null {
  const last = sorted.at(-1)!;
  let [least, most] = [last.g, last.g];
  let quiet: Quiet | null = null;
  for (const { at, g } of [...sorted].reverse()) {
    [least, most] = [Math.min(least, g), Math.max(most, g)];
    const hours = (last.at - at) / MS_PER_HOUR;
    if (hours >= A_DAY && most - least < allowedG(last.g, hours) && stepG / 2 <= allowedG(last.g, hours)) quiet = { hours, spreadG: most - least };
  }
  return quiet;
}

/** The slowest of bodies would lose more in that time, hours, were there more water in it than a dry one hides. */
const quietLongAfter = ({ spreadG }: Quiet, g: number, stepG: number) => ((spreadG + stepG) * SLOWEST_HOURS) / (DRY_SHARE * g);

/** What a body can weigh: by what was poured, or by the middle of its weighings and the most water there is in any. */
function boundsOf(sorted: readonly Weighing[], { dryG, wetG }: KnownBody): Omit<Doubt, keyof Weighing> {
  const wettest = 1 / (1 - USUAL_WATER.most);
  if (dryG !== undefined) return { by: "poured", leastG: dryG * (1 - POURED_OFF.less), mostG: (wetG ?? dryG * wettest) * (1 + POURED_OFF.more) };
  const middle = quantile(
    sorted.map(({ g }) => g),
    HALF,
  );
  return { by: "others", leastG: middle / wettest, mostG: middle * wettest };
}

/** Weighings that cannot be of this body, and what is known of it: where most of them cannot be, it is not what was poured. */
function doubted(sorted: readonly Weighing[], known: KnownBody): { readonly doubts: readonly Doubt[]; readonly known: KnownBody } {
  const doubtsBy = (of: KnownBody): readonly Doubt[] => {
    const bounds = boundsOf(sorted, of);
    return sorted.filter(({ g }) => g < bounds.leastG || g > bounds.mostG).map((one) => ({ ...one, ...bounds }));
  };
  const doubts = doubtsBy(known);
  const { dryG: _dryG, wetG: _wetG, ...rest } = known;
  return doubts.length >= AGAINST_THE_POUR && 2 * doubts.length >= sorted.length ? { doubts: doubtsBy(rest), known: rest } : { doubts, known };
}

const without = (all: readonly Weighing[], doubts: readonly Doubt[]) => all.filter(({ at }) => doubts.every((one) => one.at !== at));

/**
 * What weighings say: how much water is still in, when it is gone, and whether it is gone by now. Dry is told only where weighings a day apart agree, the
 * curves through all of them have next to no water left in it, and what was poured allows it.
 *
 * @param weighings one or more, in any order
 * @param body its weight dry and wet by what was poured, and the step of the scale
 */
export function weightTold(weighings: readonly Weighing[], body: KnownBody = {}): WeightTold {
  const all = [...weighings].sort((a, b) => a.at - b.at);
  const { doubts, known } = doubted(all, body);
  const sorted = without(all, doubts);
  const newest = all.at(-1)!;
  const stepG = known.stepG ?? stepOf(sorted);
  const nothing: WeightTold = {
    constant: false,
    gained: false,
    lostG: all[0]!.g - newest.g,
    leftG: null,
    constantAt: null,
    unsure: false,
    slow: false,
    againAt: null,
    coarse: false,
    doubts,
  };
  const [first, last, before] = [sorted[0], sorted.at(-1), sorted.at(-2)];
  if (!first || !last) return nothing;
  const samples = dryingSamples(sorted, { ...known, stepG });
  const since = (last.at - first.at) / MS_PER_HOUR;
  const quiet = agree(sorted, stepG);
  // What was poured says how heavy it may be at most.
  const overPoured = known.dryG === undefined ? 0 : last.g / known.dryG - 1;
  const isDry =
    samples.length > 0
      ? samples.filter((one) => isFlat(one, Math.max(since, DAY_HOURS)) && isEmpty(one, since)).length >= SURE * samples.length
      : quiet !== null && ((known.dryG !== undefined && overPoured <= DRY_SHARE) || quiet.hours >= quietLongAfter(quiet, last.g, stepG));
  const isAllowed = overPoured <= 2 * POURED_WITHIN && newest === last;
  const constant = quiet !== null && isDry && isAllowed;
  const told: WeightTold = {
    ...nothing,
    constant,
    gained: before !== undefined && last.g - before.g > Math.max(2 * stepG, allowedG(last.g, DAY_HOURS)),
    lostG: first.g - last.g,
    coarse: stepG / 2 > allowedG(last.g, DAY_HOURS),
    slow: quiet !== null && !constant && newest === last,
    againAt: quiet && samples.length === 0 && isAllowed ? last.at + (quietLongAfter(quiet, last.g, stepG) - quiet.hours) * MS_PER_HOUR : null,
  };
  if (constant) return { ...told, againAt: null, leftG: { from: 0, typical: 0, to: 0 } };
  if (samples.length === 0) return told;
  const span = (values: readonly number[]): Between => ({ from: quantile(values, LOW), typical: quantile(values, HALF), to: quantile(values, HIGH) });
  const left = span(samples.map((one) => Math.max(0, weightAfter(one, since) - one.dryG)));
  const dry = span(samples.map(dryAfter));
  const at = (hours: number) => Math.max(last.at, first.at + hours * MS_PER_HOUR);
  const from = at(quantile(samples.map(flatAfter), LOW));
  // At the latest when two weighings a day apart show it.
  const constantAt = { from, typical: Math.max(from, at(dry.typical + DAY_HOURS / 2)), to: at(dry.to + DAY_HOURS) };
  const unsure = constantAt.to - last.at > UNSURE.times * (from - last.at) + (DAY_HOURS + UNSURE.hours) * MS_PER_HOUR;
  return { ...told, leftG: left, constantAt, unsure };
}

/** One point of a drying curve. */
export interface CurvePoint extends Between {
  /** Instant, ms. */
  readonly at: number;
}

/**
 * The curve through weighings, and how it goes on.
 *
 * @param until instant up to which it is drawn, ms
 * @param points 2 or more
 * @returns weights in g; none where the weighings cannot tell
 */
export function dryingCurve(weighings: readonly Weighing[], known: KnownBody, until: number, points: number): readonly CurvePoint[] {
  const all = [...weighings].sort((a, b) => a.at - b.at);
  const { doubts, known: believed } = doubted(all, known);
  const sorted = without(all, doubts);
  const samples = dryingSamples(sorted, believed);
  const [first] = sorted;
  if (!first || samples.length === 0) return [];
  return Array.from({ length: points }, (_unused, k) => {
    const at = first.at + ((until - first.at) * k) / (points - 1);
    const g = samples.map((one) => weightAfter(one, (at - first.at) / MS_PER_HOUR));
    return { at, from: quantile(g, LOW), typical: quantile(g, HALF), to: quantile(g, HIGH) };
  });
}
