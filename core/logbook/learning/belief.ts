import { memory } from "../../catalogue/provenance";

/** Between what one film was seen to take: longer than one time, and no longer than another; each as the logarithm of its ratio to what was reckoned, null where nothing was seen. */
export interface Censored {
  readonly longerThan: number | null;
  readonly notLongerThan: number | null;
}

/** What is believed of a factor: logarithms. */
export interface Belief {
  /** The most likely value; 0 is as reckoned. */
  readonly mode: number;
  /** Two times of three the truth lies between; the mode is never outside. */
  readonly from: number;
  readonly to: number;
  /** Standard deviation. */
  readonly spread: number;
  /** Films that were seen to take longer than reckoned. */
  readonly slow: number;
}

/**
 * Paints and rooms are mostly as their labels say and now and then far from it: Student's t on the logarithm, of so many degrees of freedom and this
 * scale [from memory]. One look moves such a belief little, several of one mind move it all the way.
 */
const PRIOR = memory({ freedom: 1, scale: { film: 0.05, room: 0.04 } }).value;
/** How far one film of one paint in one room, and one judgement by a finger, are from the rule; logarithm [from memory]. */
export const LOOK_SPREAD = memory(0.08).value;
/** Below this a look says nothing: it is likelier a slip. */
const SLIP = 1e-6;
/** Logarithms of a factor that are weighed, coarse first; tables of a film reach as far as a paint and a room together. */
const GRID = { least: -1.6, most: 2.2, coarse: 0.02, fine: 0.002 } as const;
const TABLE = { least: 2 * GRID.least, size: Math.round((2 * (GRID.most - GRID.least)) / GRID.coarse) + 1 } as const;

/** Normal distribution function, Abramowitz & Stegun 26.2.17; good to 1e-7. */
function normalShare(x: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(x));
  const poly = t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  const tail = Math.exp((-x * x) / 2) * 0.3989422804 * poly;
  return x >= 0 ? 1 - tail : tail;
}

/** Logarithm of how likely one film would have been seen so, were the factor `at`. */
function likelihood({ longerThan, notLongerThan }: Censored, at: number): number {
  const upper = notLongerThan === null ? 1 : normalShare((notLongerThan - at) / LOOK_SPREAD);
  const lower = longerThan === null ? 0 : normalShare((longerThan - at) / LOOK_SPREAD);
  return Math.log(Math.max(SLIP, upper - lower));
}

const isAsReckoned = ({ longerThan, notLongerThan }: Censored) => (longerThan ?? -1) < 0 && (notLongerThan ?? 0) >= 0;

/** A film that was looked at, with how likely it is by each factor. */
export interface Evidence {
  readonly slow: boolean;
  readonly table: Float64Array;
}

/**
 * What one film tells, weighed once. What is consistent with "as reckoned" may pull a belief back there and never away from it: a film that is dry when
 * it was said to be proves no faster paint. One that was dry early pulls a belief down to about what was seen and no further: who only ever says "dry" is not
 * hurried on and on.
 */
export function evidenceOf(film: Censored): Evidence {
  const known = weighed.get(film);
  if (known) return known;
  const { longerThan, notLongerThan } = film;
  const most = isAsReckoned(film)
    ? likelihood(film, 0)
    : longerThan === null && notLongerThan !== null
      ? likelihood(film, notLongerThan - LOOK_SPREAD / 2)
      : Infinity;
  const table = Float64Array.from({ length: TABLE.size }, (_unused, k) => Math.min(most, likelihood(film, TABLE.least + k * GRID.coarse)));
  const evidence = { slow: (longerThan ?? -1) >= 0, table };
  weighed.set(film, evidence);
  return evidence;
}

const weighed = new WeakMap<Censored, Evidence>();

/** Logarithm of how likely a film is at a factor, between the points of its table. */
function at(table: Float64Array, factor: number): number {
  const place = Math.min(Math.max(0, (factor - TABLE.least) / GRID.coarse), TABLE.size - 1.000001);
  const below = Math.floor(place);
  return table[below]! + (place - below) * (table[below + 1]! - table[below]!);
}

const POINTS = Array.from(
  { length: Math.round((GRID.most - GRID.least) / GRID.coarse) + 1 },
  (_unused, k) => (k + Math.round(GRID.least / GRID.coarse)) * GRID.coarse,
);

/**
 * What films that were looked at tell of a factor: an interval-censored lognormal with a prior, shrunk towards what is reckoned.
 *
 * @param seen one entry a film
 * @param rest what else each film's time is laid to, logarithm: the room, where the paint is asked about
 */
export function beliefOf(seen: readonly Evidence[], of: keyof typeof PRIOR.scale, rest: readonly number[]): Belief {
  const scale = PRIOR.scale[of];
  const density = (a: number): number => {
    let sum = -((PRIOR.freedom + 1) / 2) * Math.log(1 + (a * a) / (PRIOR.freedom * scale * scale));
    for (let k = 0; k < seen.length; k += 1) sum += at(seen[k]!.table, a + rest[k]!);
    return sum;
  };
  const heights = POINTS.map(density);
  const highest = POINTS[heights.indexOf(Math.max(...heights))]!;
  let [mode, top] = [highest, density(highest)];
  for (let k = -9; k <= 9; k += 1) {
    const a = Math.round((highest + k * GRID.fine) / GRID.fine) * GRID.fine;
    const height = density(a);
    if (height > top) [mode, top] = [a, height];
  }
  const weights = heights.map((height) => Math.exp(height - top));
  const sum = weights.reduce((whole, one) => whole + one, 0);
  const mean = weights.reduce((whole, one, k) => whole + one * POINTS[k]!, 0) / sum;
  const quantile = (share: number) => {
    let below = 0;
    return POINTS[weights.findIndex((one) => (below += one) >= share * sum)] ?? GRID.most;
  };
  return {
    // Never a zero below zero.
    mode: Math.abs(mode) < GRID.fine / 2 ? 0 : mode,
    from: Math.min(mode, quantile(1 / 6)),
    to: Math.max(mode, quantile(5 / 6)),
    spread: Math.sqrt(weights.reduce((whole, one, k) => whole + one * (POINTS[k]! - mean) ** 2, 0) / sum),
    slow: seen.filter((one) => one.slow).length,
  };
}
