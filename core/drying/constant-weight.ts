import { memory } from "../catalogue/provenance";
import { dryingSamples, quantile, stepOf, weightAfter } from "./drying-curve";
import type { DryingSample, KnownBody, Weighing } from "./drying-curve";

export type { Weighing } from "./drying-curve";

/** A span, and the middle of it. */
export interface Between {
  readonly from: number;
  readonly typical: number;
  readonly to: number;
}

/** Whether a cast, a washed stone or a soaked pot has given its water off. */
export interface WeightTold {
  /** It no longer loses weight. */
  readonly constant: boolean;
  /** It has grown heavier since it was weighed before: it has taken up water. */
  readonly gained: boolean;
  /** Lost since the first weighing, g; below 0 it has grown heavier. */
  readonly lostG: number;
  /** Still to be lost, as its weighings have it, g; null where they cannot tell. */
  readonly leftG: Between | null;
  /** When it will be constant, instants, ms; null where it is, or the weighings cannot tell. */
  readonly constantAt: Between | null;
  /** The scale is too coarse to tell a fifth of a per cent of so light a body in a day. */
  readonly coarse: boolean;
}

const MS_PER_HOUR = 3_600_000;
const DAY_HOURS = 24;
/** Constant weight: two weighings a day apart differ by less than this share of it [from memory]. */
export const CONSTANT_SHARE = memory(0.002).value;
/** Weighings that lie so far apart are a day apart, hours: breakfast and breakfast. The allowance is shortened with them. */
const A_DAY = memory(20).value;
/** Where the curve tells at all, it must say so too: as likely as not. */
const LIKELY = 0.5;
/** An interval that is to hold in nine cases of ten: a little wider, for bodies dry as they like. */
const [LOW, HIGH] = [0.03, 0.97];
/** Beyond this nobody foretells anything, hours. */
const FARTHEST_HOURS = 24 * 120;
const BISECTIONS = 22;

const allowedG = (g: number, hours: number) => (CONSTANT_SHARE * g * hours) / DAY_HOURS;

/** A day's loss up to so many hours is within what counts as constant. */
const isFlat = (sample: DryingSample, hours: number) =>
  weightAfter(sample, hours - DAY_HOURS) - weightAfter(sample, hours) < allowedG(weightAfter(sample, hours), DAY_HOURS);

/** Hours from the first weighing after which a day takes less than counts; loss only ever slows down. */
function flatAfter(sample: DryingSample): number {
  let [wet, flat] = [0, FARTHEST_HOURS];
  for (let k = 0; k < BISECTIONS; k += 1) {
    const middle = (wet + flat) / 2;
    // Before a whole day has passed its loss is a day's from the first weighing on.
    if (isFlat(sample, middle + DAY_HOURS)) flat = middle;
    else wet = middle;
  }
  return flat;
}

/**
 * By the weighings alone: since one that is a day older, or older still, they differ by less than counts; so does every one between. So light a body that a
 * day's allowance is finer than the scale wants as many days as its half step is worth.
 */
function agree(sorted: readonly Weighing[], stepG: number): boolean {
  const last = sorted.at(-1)!;
  let [least, most] = [last.g, last.g];
  for (const { at, g } of [...sorted].reverse()) {
    [least, most] = [Math.min(least, g), Math.max(most, g)];
    const hours = (last.at - at) / MS_PER_HOUR;
    if (hours >= A_DAY && most - least < allowedG(last.g, hours) && stepG / 2 <= allowedG(last.g, hours)) return true;
  }
  return false;
}

/**
 * What weighings say: how much water is still in, when it is gone, and whether it is gone by now. Constant is told only where weighings a day apart agree
 * and the curve through all of them does not still fall.
 *
 * @param weighings one or more, in any order
 * @param known its dry weight by what was poured, and the step of the scale
 */
export function weightTold(weighings: readonly Weighing[], known: KnownBody = {}): WeightTold {
  const sorted = [...weighings].sort((a, b) => a.at - b.at);
  const [first, last, before] = [sorted[0]!, sorted.at(-1)!, sorted.at(-2)];
  const stepG = known.stepG ?? stepOf(sorted);
  const samples = dryingSamples(sorted, { ...known, stepG });
  const since = (last.at - first.at) / MS_PER_HOUR;
  const stillFalls = samples.length > 0 && samples.filter((one) => isFlat(one, Math.max(since, DAY_HOURS))).length < LIKELY * samples.length;
  const constant = agree(sorted, stepG) && !stillFalls;
  const told = {
    constant,
    gained: before !== undefined && last.g - before.g > Math.max(2 * stepG, allowedG(last.g, DAY_HOURS)),
    lostG: first.g - last.g,
    coarse: stepG / 2 > allowedG(last.g, DAY_HOURS),
  };
  if (constant) return { ...told, leftG: { from: 0, typical: 0, to: 0 }, constantAt: null };
  if (samples.length === 0) return { ...told, leftG: null, constantAt: null };
  const span = (values: readonly number[]): Between => ({ from: quantile(values, LOW), typical: quantile(values, LIKELY), to: quantile(values, HIGH) });
  const left = span(samples.map((one) => Math.max(0, weightAfter(one, since) - one.dryG)));
  const flat = span(samples.map(flatAfter));
  const at = (hours: number) => Math.max(last.at, first.at + hours * MS_PER_HOUR);
  // At the latest when two weighings a day apart show it.
  return { ...told, leftG: left, constantAt: { from: at(flat.from), typical: at(flat.typical + DAY_HOURS / 2), to: at(flat.to + DAY_HOURS) } };
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
  const sorted = [...weighings].sort((a, b) => a.at - b.at);
  const samples = dryingSamples(sorted, known);
  const [first] = sorted;
  if (!first || samples.length === 0) return [];
  return Array.from({ length: points }, (_unused, k) => {
    const at = first.at + ((until - first.at) * k) / (points - 1);
    const g = samples.map((one) => weightAfter(one, (at - first.at) / MS_PER_HOUR));
    return { at, from: quantile(g, LOW), typical: quantile(g, LIKELY), to: quantile(g, HIGH) };
  });
}
