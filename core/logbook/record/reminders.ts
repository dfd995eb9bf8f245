import { dayLater } from "../../schedule/free-hours";
import type { LogRecord } from "./record";

/** When a finish is looked at again: after a month what cured badly shows, after a year what wears [common practice]. */
export const REMINDERS = [
  { id: "month", days: 30, graceDays: 10, lapsesAfterDays: 150 },
  { id: "year", days: 365, graceDays: 45, lapsesAfterDays: 365 },
] as const;
export type ReminderId = (typeof REMINDERS)[number]["id"];

/** A day to look at a piece again. */
export interface Reminder {
  readonly record: LogRecord;
  readonly kind: ReminderId;
  /** "YYYY-MM-DD". */
  readonly on: string;
}

/**
 * When a record is still to be looked at: a look some days early counts too; long after its day nobody asks for it any more, as of pieces that were told
 * years later.
 *
 * @param today "YYYY-MM-DD"
 */
export function remindersOf(record: LogRecord, today: string): readonly Reminder[] {
  const { finishedOn, looks } = record;
  if (finishedOn === undefined) return [];
  const seenOn = looks.map(({ at }) => at.slice(0, 10));
  const isSeen = (days: number) => seenOn.some((day) => day >= dayLater(finishedOn, days));
  return REMINDERS.filter(({ days, graceDays, lapsesAfterDays }) => !isSeen(days - graceDays) && dayLater(finishedOn, days + lapsesAfterDays) >= today).map(
    ({ id, days }) => ({ record, kind: id, on: dayLater(finishedOn, days) }),
  );
}

/** Records to be looked at by now, the longest due first. What is all lost needs no look. */
export function dueLooks(records: readonly LogRecord[], today: string): readonly Reminder[] {
  return records
    .filter(({ moves, count }) => moves.filter(({ kind }) => kind === "lost").reduce((sum, one) => sum + one.count, 0) < count)
    .flatMap((record) => remindersOf(record, today).filter(({ on }) => on <= today))
    .sort((a, b) => a.on.localeCompare(b.on));
}
