import type { FaultPlace } from "./fault";

/** Papers from coarse to fine at each place of a body, grit [common practice; about 400 on inside edges]. */
const LADDER: Readonly<Record<FaultPlace, readonly number[]>> = {
  face: [120, 180, 240],
  edge: [180, 240],
  "inside-edge": [240, 400],
  wall: [120, 180, 240],
  foot: [80, 120],
};

/** Shorter than this a body is rubbed with a nail buffer, mm [common practice]. */
const SMALL_MM = 40;
/** What stands out is brought down by a coarser paper first. */
const COARSE = 80;

/** How a place is rubbed. */
const WITH: Readonly<Record<FaultPlace, string>> = {
  face: "round a cork block",
  edge: "in long strokes along the edge",
  "inside-edge": "folded, with one finger",
  wall: "round a soft sponge",
  foot: "flat on a board, in eights, until it no longer rocks",
};

/**
 * Papers for a place, coarse to fine.
 *
 * @param high mm that stand out, or 0
 * @example laddering("face", 0, 100) // [120, 180, 240]
 */
export function laddering(place: FaultPlace, high: number, longestMm: number): readonly number[] {
  const ladder = LADDER[place];
  if (longestMm < SMALL_MM && place !== "foot") return [];
  return high >= 1 && ladder[0]! > COARSE ? [COARSE, ...ladder] : ladder;
}

/** The papers and how they are used, in words. */
export function sandingWords(place: FaultPlace, high: number, longestMm: number): string {
  const ladder = laddering(place, high, longestMm);
  return ladder.length === 0 ? "A nail buffer, coarse side first." : `${ladder.join(", then ")} grit, ${WITH[place]}.`;
}
