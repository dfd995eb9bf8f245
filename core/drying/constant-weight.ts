import { memory } from "../catalogue/provenance";

/** What a body weighed at an instant. */
export interface Weighing {
  /** Instant, ms. */
  readonly at: number;
  /** Grams, above 0. */
  readonly g: number;
}

/** Whether a cast, a washed stone or a soaked pot has given its water off. */
export interface WeightTold {
  /** It no longer loses weight. */
  readonly constant: boolean;
  /** Lost since the first weighing, g. */
  readonly lostG: number;
  /** Still to be lost, as its weighings have it, g; null where they cannot tell. */
  readonly leftG: { readonly from: number; readonly to: number } | null;
  /** When it will be constant, instants, ms; null where it is, or the weighings cannot tell. */
  readonly constantAt: { readonly from: number; readonly to: number } | null;
}

const MS_PER_HOUR = 3_600_000;
/**
 * Constant weight: over a day it changes by less than a thousandth of it.
 * [from memory, after ISO 12570: three weighings 24 h apart within 0.1 %]
 */
const CONSTANT = memory({ share: 0.001, hours: 24 }).value;
/** Weighings nearer than this say nothing of how it goes on, ms. */
const LEAST_APART_MS = MS_PER_HOUR;
/** A last stretch of drying is slower than the one before by up to so much [from memory]. */
const SLOWER = memory(1.6).value;

/** The weighings within the last day or so: the last, and the latest of those that are a day older. */
function lastDay(sorted: readonly Weighing[]): readonly [Weighing, Weighing] | null {
  const last = sorted.at(-1);
  const before = last && sorted.findLast(({ at }) => last.at - at >= CONSTANT.hours * MS_PER_HOUR);
  return last && before ? [before, last] : null;
}

function isConstant(sorted: readonly Weighing[]): boolean {
  const pair = lastDay(sorted);
  if (!pair) return false;
  const [before, last] = pair;
  const over = (last.at - before.at) / (CONSTANT.hours * MS_PER_HOUR);
  return Math.abs(before.g - last.g) <= CONSTANT.share * last.g * over;
}

/** Loss by the hour between two weighings, g. */
const rateOf = (one: Weighing, other: Weighing) => (one.g - other.g) / ((other.at - one.at) / MS_PER_HOUR);

/**
 * What weighings say: water leaves the faster the more of it is left, so that two stretches of time tell how much is still in and how long it takes.
 *
 * @param weighings one or more, in any order
 */
export function weightTold(weighings: readonly Weighing[]): WeightTold {
  const sorted = [...weighings].sort((a, b) => a.at - b.at);
  const [first, last] = [sorted[0]!, sorted.at(-1)!];
  const constant = isConstant(sorted);
  const told = { constant, lostG: Math.max(0, first.g - last.g) };
  if (constant) return { ...told, leftG: { from: 0, to: 0 }, constantAt: null };
  // Three weighings, as far apart as may be: the first, the last, and the one nearest their middle.
  const middleAt = (first.at + last.at) / 2;
  const middle = sorted
    .slice(1, -1)
    .reduce<Weighing | null>((best, one) => (best && Math.abs(best.at - middleAt) <= Math.abs(one.at - middleAt) ? best : one), null);
  if (!middle || middle.at - first.at < LEAST_APART_MS || last.at - middle.at < LEAST_APART_MS) return { ...told, leftG: null, constantAt: null };
  const [early, late] = [rateOf(first, middle), rateOf(middle, last)];
  if (early <= 0 || late <= 0 || late >= early) return { ...told, leftG: null, constantAt: null };
  // The rate falls as the water does: from the middle of one stretch to the middle of the next.
  const hours = (last.at - first.at) / 2 / MS_PER_HOUR;
  const tau = hours / Math.log(early / late);
  const now = late * Math.exp(-((last.at - middle.at) / 2 / MS_PER_HOUR) / tau);
  const left = now * tau;
  // Constant once a day takes less than a thousandth.
  const aDay = (CONSTANT.share * last.g) / (tau * (1 - Math.exp(-CONSTANT.hours / tau)));
  const after = now <= aDay ? 0 : tau * Math.log(now / aDay);
  return {
    ...told,
    leftG: { from: left, to: left * SLOWER },
    constantAt: { from: last.at + after * MS_PER_HOUR, to: last.at + (after * SLOWER + CONSTANT.hours) * MS_PER_HOUR },
  };
}
