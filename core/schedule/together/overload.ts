import { sittingsFrom, MS_PER_MIN } from "../free-hours";
import type { FreeHours } from "../free-hours";
import { leastWaitMs } from "./network";
import type { Network } from "./network";

/** More work is due by a date than there are free hours before it. */
export interface Overload {
  /** Instant, ms. */
  readonly due: number;
  readonly workMin: number;
  readonly freeMin: number;
  /** Pieces, by their place. */
  readonly pieces: readonly number[];
}

/** Free minutes between two instants. */
export function freeMinutes(hours: FreeHours, from: number, to: number): number {
  let sum = 0;
  for (const sitting of sittingsFrom(hours, from)) {
    if (sitting.from >= to) break;
    sum += (Math.min(sitting.to, to) - sitting.from) / MS_PER_MIN;
  }
  return sum;
}

/**
 * Dates by which there is more to do than hands are free for, whatever the order; told before anything is begun. What dries after the last
 * touch is not free time any more.
 */
export function overloads({ pieces, nodes, ready }: Network, hours: FreeHours, start: number, hands = 1): readonly Overload[] {
  const dates = [...new Set(pieces.flatMap(({ due }) => (due === null ? [] : [due])))].sort((a, b) => a - b);
  return dates.flatMap((due): Overload[] => {
    const own = pieces.flatMap((piece, index) => (piece.due !== null && piece.due <= due ? [index] : []));
    const work = nodes.reduce((sum, { piece, ms, endedAt }) => (endedAt === null && own.includes(piece) ? sum + ms : sum), 0) / MS_PER_MIN;
    // At the least one of them may be touched until then, and has to dry.
    const dries = Math.min(...own.map((index) => Math.max(0, ...ready[index]!.map(leastWaitMs))));
    const free = freeMinutes(hours, start, due - dries) * hands;
    return work > free ? [{ due, workMin: work, freeMin: free, pieces: own }] : [];
  });
}
