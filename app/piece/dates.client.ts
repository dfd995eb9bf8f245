import { instantOf } from "#core/schedule/free-hours";
import { timeZoneHere } from "~/components/time-zone";
import { database } from "~/store/open.client";
import { hoursIn } from "~/store/preferences";
import { datesFor } from "~/workers/planner.client";
import type { PlannedDates } from "~/workers/plan-worker-api";
import { planOf } from "./kept-piece";
import type { KeptPiece } from "./kept-piece";

/** Dates are worked out to the quarter of an hour, so that they stay still while they are read. */
export const QUARTER_MS = 15 * 60_000;

export interface DatesView {
  /** Null when there is no plan to date. */
  readonly dates: PlannedDates | null;
  /** Instant, ms, they were worked out from. */
  readonly now: number;
}

/** Dates the plan of a piece into the user's free hours, from now or from the day they mean to begin. */
export async function datesOfPiece(kept: KeptPiece): Promise<DatesView> {
  const hours = await hoursIn(await database(), timeZoneHere());
  const now = Math.ceil(Date.now() / QUARTER_MS) * QUARTER_MS;
  const { start, due } = kept.record.dates ?? {};
  const wanted = {
    hours,
    start: Math.max(now, start ? instantOf(start, "00:00", hours.timeZone) : now),
    due: due ? instantOf(due, "00:00", hours.timeZone) : null,
  };
  return { dates: await datesFor(kept.record.id, planOf(kept), wanted), now };
}
