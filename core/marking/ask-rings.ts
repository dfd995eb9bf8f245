import type { RowPlace } from "../piece/pattern";
import { levelAt } from "./level-at";
import { chordOf, closingCount, gapOf, nearestCounts, USUAL_GAP_MM } from "./ring-count";
import type { Closing } from "./ring-count";
import type { MarkingSurface } from "./surface";

/** One ring that is asked for by itself. Lengths mm. */
export interface RingWish {
  readonly at: RowPlace;
  readonly diameterMm: number;
  /** `USUAL_GAP_MM` without it. */
  readonly gapMm?: number;
  readonly count?: number;
  readonly multipleOf?: number;
}

export interface RingAnswer {
  /** Along the surface. */
  readonly lengthMm: number;
  readonly count: number;
  /** Straight between edges; below 0 they overlap; null of one alone. */
  readonly gapMm: number | null;
  readonly positions: readonly (readonly [number, number])[];
  readonly nearest: readonly Closing[];
  /** On a dome or pebble: what the compass is opened to; null elsewhere. */
  readonly compassMm: number | null;
  /** On a dome or pebble: from the crown along the surface; null elsewhere. */
  readonly tapeMm: number | null;
  /** So many of them would just touch at this size. */
  readonly diameterThatTouchesMm: number | null;
}

/** Why a ring cannot be had. */
export type RingFault = "no-such-measure" | "off-the-surface";

/**
 * One ring on a surface, by itself: how many marks close.
 *
 * @returns the fault where the surface has no such place
 */
export function ringOn(surface: MarkingSurface, { at, diameterMm, gapMm = USUAL_GAP_MM.value, count, multipleOf = 1 }: RingWish): RingAnswer | RingFault {
  const found = levelAt(surface, at);
  if (!found) return "no-such-measure";
  const { surface: even, level } = found;
  // A ring lies on the surface itself: a hair beyond its edge is rounding.
  if (level < even.from - 1e-6 || level > even.to + 1e-6) return "off-the-surface";
  const ring = even.ring(level);
  const taken = count ?? closingCount(ring, { diameterMm, gapMm, multipleOf });
  const chord = chordOf(ring, taken);
  const words = even.say(level);
  const curved = even.shape === "top" && words.compassMm !== null && words.radiusMm !== null && words.compassMm > words.radiusMm + 1e-9;
  return {
    lengthMm: ring.lengthMm,
    count: taken,
    gapMm: taken > 1 ? gapOf(ring, taken, diameterMm) : null,
    positions: Array.from({ length: taken }, (_unused, k) => ring.at(k / taken).flat),
    nearest: nearestCounts(ring, { diameterMm, gapMm, multipleOf }, taken),
    compassMm: curved ? words.compassMm : null,
    tapeMm: curved ? words.tapeMm : null,
    diameterThatTouchesMm: Number.isFinite(chord) ? chord : null,
  };
}
