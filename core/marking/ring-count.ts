import { memory } from "../catalogue/provenance";
import type { Point3, Ring } from "./surface";

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

/**
 * The shortest straight way between neighbours when so many stand at equal lengths round a ring, mm. Chords, not arcs, decide whether dots touch.
 * On a circle 2R sin(π/n) [published: the closed packing of n equal discs in a ring, n = π / asin(d / 2R)].
 *
 * @param count 1 or more; one has no neighbour
 * @param start share of the way round where the first stands
 */
export function chordOf(ring: Ring, count: number, start = 0): number {
  if (count < 2) return Infinity;
  if (ring.circleMm !== null) return 2 * ring.circleMm * Math.sin(Math.PI / count);
  let least = Infinity;
  const first = ring.at(start).at;
  let before = first;
  for (let k = 1; k < count; k++) {
    const next = ring.at(start + k / count).at;
    least = Math.min(least, apart(before, next));
    before = next;
  }
  return Math.min(least, apart(before, first));
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
  while (count > 1 && chordOf(ring, count) < pitch - HAIR) count -= multipleOf;
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
