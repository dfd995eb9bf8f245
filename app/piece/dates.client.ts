import { datesFrom } from "#core/logbook/bench/order";
import { pieceDates } from "~/calendar/table.client";
import type { PlannedDates } from "~/calendar/table.client";
import { changeCount, database } from "~/store/open.client";
import type { KeptPiece } from "./kept-piece";

export interface DatesView {
  /** Null when there is no plan to date. */
  readonly dates: PlannedDates | null;
  /** Instant, ms, they were worked out from. */
  readonly now: number;
}

/** The last that was asked for: a step that is opened changes no date. */
let known: { readonly key: string; readonly view: Promise<DatesView> } | null = null;

async function worked(kept: KeptPiece, now: number): Promise<DatesView> {
  return { dates: await pieceDates(await database(), kept), now };
}

/** Dates the plan of a piece into the user's free hours beside all else that is on the table, from now or from the day they mean to begin. */
export function datesOfPiece(kept: KeptPiece): Promise<DatesView> {
  const now = datesFrom(Date.now());
  const key = [kept.record.id, kept.record.rev, changeCount(), now].join("/");
  if (known?.key === key) return known.view;
  const view = worked(kept, now);
  known = { key, view };
  // What went wrong is asked again the next time.
  view.catch(() => {
    if (known?.view === view) known = null;
  });
  return view;
}
