import type { Task, Work } from "../coating/facts/task";
import type { FreeHours } from "./free-hours";
import { datesIn } from "./together/one-piece";
import type { Dates } from "./together/one-piece";
import { scheduleAll } from "./together/schedule-all";

export interface DateOptions {
  /** Wait as a careful painter does. */
  readonly careful?: boolean;
  /** Tasks already done, by id: when each ended. */
  readonly done?: ReadonlyMap<string, number>;
  /** Pieces in the batch. */
  readonly count?: number;
}

/**
 * Dates a plan's work by itself: hands-on tasks in the user's free hours, one at a time, every wait kept. What hangs longest on a task goes
 * first, so long waits fall into nights and working days.
 *
 * @param start instant, ms, before which nothing is done
 * @returns null when the user has no free hour within two years
 */
export function dateWork(work: Work, hours: FreeHours, start: number, { careful = false, done = new Map(), count = 1 }: DateOptions = {}): Dates | null {
  const piece = { id: "", work, count, likeOf: ({ stepId }: Task) => stepId, due: null, done };
  const together = scheduleAll({ pieces: [piece], hours, start, careful, tries: 0 });
  return together && datesIn(together, piece.id);
}
