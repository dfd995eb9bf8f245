import { usualHours } from "../../schedule/free-hours";
import { firstSitting } from "../../schedule/together/first-sitting";
import type { FirstSitting } from "../../schedule/together/first-sitting";
import type { TogetherAsk } from "../../schedule/together/schedule-all";
import { asPieceWork, workLeft } from "./work-left";
import type { BenchPiece } from "./bench-piece";

/** Dates are worked out to the quarter of an hour, so that they stay still while they are read. */
const QUARTER_MS = 15 * 60_000;

/**
 * The instant dates are reckoned from.
 *
 * @param now instant, ms
 * @returns the next quarter of an hour, ms
 */
export function datesFrom(now: number): number {
  return Math.ceil(now / QUARTER_MS) * QUARTER_MS;
}

/** When hands are free, how many, and how much room there is. */
export type Hands = Pick<TogetherAsk, "hours" | "hands" | "places">;

/**
 * The order of what is done next over all pieces: the one the calendar begins with.
 *
 * @param pieces on the bench
 * @param now instant, ms
 * @param hands absent: one pair, free at the usual hours
 * @param timeZone of the usual hours, IANA name
 */
export function orderOf(pieces: readonly BenchPiece[], now: number, hands: Hands | null, timeZone: string): FirstSitting {
  const open = pieces.filter(({ work, done }) => work.tasks.some(({ id }) => !done.has(id)));
  return firstSitting({ ...(hands ?? { hours: usualHours(timeZone) }), pieces: open.map((piece) => asPieceWork(workLeft(piece))), start: datesFrom(now) });
}
