import type { Task, Work } from "../coating/facts/task";
import { clocksFrom, waitedFrom } from "./drying-clock";
import { firstSittings } from "./free-hours";
import type { FreeHours, Sitting } from "./free-hours";
import { dispatch } from "./together/dispatch";
import { ranksOf } from "./together/kept-sittings";
import { networkOf } from "./together/network";
import type { Network, Readiness } from "./together/network";

/** One stretch of work on one task. `part` counts from 1 where it did not fit into one sitting. */
export interface DatedTask {
  readonly task: Task;
  readonly from: number;
  readonly to: number;
  readonly part?: number;
  /** Its recoat window had shut: scuff it dull first. */
  readonly windowShut?: boolean;
}

export interface Dates {
  readonly items: readonly DatedTask[];
  /** End of the last work; instants in ms. */
  readonly lastWork: number;
  /** From when it may be handled gently, and from when it is fully hard. */
  readonly handle: number;
  readonly cured: number;
}

export interface DateOptions {
  /** Wait as a careful painter does. */
  readonly careful?: boolean;
  /** Tasks already done, by id: when each ended. */
  readonly done?: ReadonlyMap<string, number>;
  /** Pieces in the batch. */
  readonly count?: number;
}

/** One piece by itself, and the hours it is laid into. */
interface Alone {
  readonly network: Network;
  readonly rank: Float64Array;
  readonly sittings: readonly Sitting[];
}

function alone(work: Work, hours: FreeHours, start: number, { careful = false, done = new Map(), count = 1 }: DateOptions): Alone {
  const sittings = firstSittings(hours, start);
  const piece = { id: "", work, count, likeOf: ({ stepId }: Task) => stepId, due: null, done };
  const network = networkOf([piece], {
    careful,
    clockOf: clocksFrom(start, hours.timeZone, careful),
    longestMs: Math.max(0, ...sittings.map(({ from, to }) => to - from)),
  });
  return { network, rank: ranksOf(network, new Float64Array(network.nodes.length).fill(NaN)), sittings };
}

function datesIn({ network, rank }: Alone, sittings: readonly Sitting[], start: number): Dates | null {
  const dated = dispatch(network, rank, sittings, start);
  if (!dated) return null;
  const { stints, ends } = dated;
  const lastWork = Math.max(start, ...ends);
  const over = (all: readonly Readiness[]) => Math.max(start, ...all.map(({ node, waitMs, clock }) => waitedFrom(ends[node]!, waitMs, clock)));
  return {
    items: stints.map(({ node, ...stint }) => ({ task: network.nodes[node]!.task, ...stint })),
    lastWork,
    handle: over(network.ready[0]!),
    cured: over(network.cured[0]!),
  };
}

/**
 * Dates a plan's work by itself: hands-on tasks in the user's free hours, one at a time, every wait kept. What hangs longest on a task goes
 * first, so long waits fall into nights and working days.
 *
 * @param start instant, ms, before which nothing is done
 * @returns null when the user has no free hour within two years
 */
export function dateWork(work: Work, hours: FreeHours, start: number, options: DateOptions = {}): Dates | null {
  const piece = alone(work, hours, start, options);
  return datesIn(piece, piece.sittings, start);
}
