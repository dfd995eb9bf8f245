import { latestBegin } from "./one-piece";
import { improving } from "./schedule-all";
import type { Improving, Together, TogetherAsk } from "./schedule-all";

/**
 * As `improving`, for every goal: what is to be begun as late as is safe is laid out from the latest sitting in which all of it is still in time; where
 * there is none, or nothing is due, as early as may be.
 */
export function* improvingTo(ask: TogetherAsk): Generator<Improving, void> {
  const isStanding = ask.pieces.some(({ agreed }) => agreed !== undefined && agreed.size > 0);
  if (ask.goal !== "latest-begin" || isStanding) return yield* improving(ask);
  const late = latestBegin({ ...ask, goal: "earliest" });
  yield* improving({ ...ask, goal: "earliest", start: late?.at ?? ask.start });
}

/** As `improvingTo`, to its end; null when the free hours do not suffice. */
export function scheduleTo(ask: TogetherAsk): Together | null {
  let last: Together | null = null;
  for (const { best } of improvingTo(ask)) last = best;
  return last;
}
