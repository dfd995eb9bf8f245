import { memory } from "../catalogue/provenance";
import type { Point3, Ring, Spot3 } from "./surface";

/** Clear space between marks of a row that is wished where none is said, mm [from memory]. */
export const USUAL_GAP_MM = memory(0.5);
/** What nobody sees at an arm's length: gaps that differ by less are the same, mm [from memory]. */
export const UNSEEN_MM = memory(0.15);
/** Nothing is counted beyond this. */
export const MOST_ON_A_RING = 100_000;

export function apart(a: Point3, b: Point3): number {
  const [x, y, z] = [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
  return Math.sqrt(x * x + y * y + z * z);
}

/** A dot in its place of a row. */
export interface PlacedDot {
  readonly at: Point3;
  readonly diameterMm: number;
  readonly place: number;
}

/** A ring wider than so many of the least ways between neighbours has none nearer across it. */
const WIDE_ENOUGH = 4;

/** Whether marks of two sides of a ring may be nearer than neighbours are. @param leastMm from middle to middle of neighbours */
export function isNarrow({ acrossMm, circleMm }: Ring, leastMm: number): boolean {
  return circleMm === null && acrossMm < WIDE_ENOUGH * leastMm;
}

/**
 * The least clear space between dots of two places, mm: a sweep along the longer way, for round a narrow oval or oblong the far side is near too.
 *
 * @param least what is known of already: nothing farther apart is looked at
 */
export function closestDots(dots: readonly PlacedDot[], least: number): number {
  const extent = (axis: 0 | 1) => Math.max(...dots.map(({ at }) => at[axis])) - Math.min(...dots.map(({ at }) => at[axis]));
  const axis = extent(0) >= extent(1) ? 0 : 1;
  const along = [...dots].sort((a, b) => a.at[axis] - b.at[axis]);
  const widest = Math.max(...dots.map(({ diameterMm }) => diameterMm));
  for (let k = 1; k < along.length; k++) {
    const one = along[k]!;
    for (let m = k - 1; m >= 0 && one.at[axis] - along[m]!.at[axis] < least + widest; m--) {
      const other = along[m]!;
      if (other.place !== one.place) least = Math.min(least, apart(one.at, other.at) - (one.diameterMm + other.diameterMm) / 2);
    }
  }
  return least;
}

/** The shortest straight way between any two of the points round a ring, mm. */
export function leastChord(ring: Ring, points: readonly Spot3[]): number {
  if (points.length < 2) return Infinity;
  let least = apart(points.at(-1)!.at, points[0]!.at);
  for (let k = 1; k < points.length; k++) least = Math.min(least, apart(points[k - 1]!.at, points[k]!.at));
  if (points.length < 4 || !isNarrow(ring, least)) return least;
  return closestDots(
    points.map(({ at }, place) => ({ at, diameterMm: 0, place })),
    least,
  );
}

/**
 * The shortest straight way between any two when so many stand at equal lengths round a ring, mm. Chords, not arcs, decide whether dots touch.
 * On a circle 2R sin(π/n) [published: the closed packing of n equal discs in a ring, n = π / asin(d / 2R)].
 *
 * @param count 1 or more; one has no neighbour
 * @param start share of the way round where the first stands
 */
export function chordOf(ring: Ring, count: number, start = 0): number {
  if (count < 2) return Infinity;
  if (ring.circleMm !== null) return 2 * ring.circleMm * Math.sin(Math.PI / count);
  return leastChord(
    ring,
    Array.from({ length: count }, (_unused, k) => ring.at(start + k / count)),
  );
}

/** What is set round a ring. Lengths mm. */
export interface RingAsk {
  readonly diameterMm: number;
  /** Least clear space; 0 lets them touch. */
  readonly gapMm: number;
  /** The count is a multiple of it; 1 for any. */
  readonly multipleOf?: number;
}

const HAIR = 1e-9;
/** A count is tried one by one so often; what goes by far fewer only, as round an oblong too narrow for two abreast, by fifths. */
const SINGLE_STEPS = 40;
const FEWER = 0.8;

/**
 * As many as close round a ring with no gap under the wished one.
 *
 * @returns 0 where not even the least multiple goes
 */
export function closingCount(ring: Ring, { diameterMm, gapMm, multipleOf = 1 }: RingAsk): number {
  const pitch = Math.max(HAIR, diameterMm + gapMm);
  const down = (count: number) => Math.floor(count / multipleOf) * multipleOf;
  if (ring.circleMm !== null) {
    const share = pitch / (2 * ring.circleMm);
    if (!(share <= 1 + HAIR)) return down(1);
    return down(Math.min(MOST_ON_A_RING, Math.floor(Math.PI / Math.asin(Math.min(1, share)) + 1e-7)));
  }
  let count = down(Math.min(MOST_ON_A_RING, Math.floor(ring.lengthMm / pitch + HAIR)));
  for (let tries = 0; count > 1 && chordOf(ring, count) < pitch - HAIR; tries++) count = down(tries < SINGLE_STEPS ? count - 1 : count * FEWER);
  return Math.max(count, down(1));
}

/** The clear space so many leave, mm; below 0 they overlap. One alone leaves Infinity. */
export function gapOf(ring: Ring, count: number, diameterMm: number, start = 0): number {
  return chordOf(ring, count, start) - diameterMm;
}

/** How large so many may be with that gap, mm; 0 or less where they do not go. */
export function diameterFor(ring: Ring, count: number, gapMm: number): number {
  return chordOf(ring, count) - gapMm;
}

export interface Closing {
  readonly count: number;
  readonly gapMm: number;
}

/**
 * The counts that close nearest to a wish, nearest first: with their gaps.
 *
 * @param wanted count, or as many as go with the gap
 */
export function nearestCounts(ring: Ring, ask: RingAsk, wanted: number, most = 4): readonly Closing[] {
  const { diameterMm, multipleOf = 1 } = ask;
  const middle = Math.max(multipleOf, Math.round(wanted / multipleOf) * multipleOf);
  const out: Closing[] = [];
  const take = (count: number) => {
    if (count < 2 || count > MOST_ON_A_RING || out.some((one) => one.count === count)) return;
    const gapMm = gapOf(ring, count, diameterMm);
    if (gapMm >= -HAIR) out.push({ count, gapMm: Math.max(0, gapMm) });
  };
  const touching = closingCount(ring, { diameterMm, gapMm: 0, multipleOf });
  const from = Math.min(middle, touching);
  for (let step = 0; out.length < most && step <= most; step++) {
    take(from + step * multipleOf);
    take(from - step * multipleOf);
  }
  return out.sort((a, b) => Math.abs(a.count - wanted) - Math.abs(b.count - wanted) || b.count - a.count).slice(0, most);
}

/** The least number both divide. @example leastCommon(4, 6) // 12 */
export function leastCommon(a: number, b: number): number {
  let [x, y] = [a, b];
  while (y > 0) [x, y] = [y, x % y];
  return (a / x) * b;
}
