import { pieceDates, QUARTER_MS } from "~/calendar/table.client";
import type { PlannedDates } from "~/calendar/table.client";
import { database } from "~/store/open.client";
import type { KeptPiece } from "./kept-piece";

export interface DatesView {
  /** Null when there is no plan to date. */
  readonly dates: PlannedDates | null;
  /** Instant, ms, they were worked out from. */
  readonly now: number;
}

/** Dates the plan of a piece into the user's free hours beside all else that is on the table, from now or from the day they mean to begin. */
export async function datesOfPiece(kept: KeptPiece): Promise<DatesView> {
  return { dates: await pieceDates(await database(), kept), now: Math.ceil(Date.now() / QUARTER_MS) * QUARTER_MS };
}
