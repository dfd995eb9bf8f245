/** The clock of the tests: it stands at one instant, in one zone, and goes on only by hand. `npm run any-day` sets it to others. */
import { dateOf, dayLater, instantOf, weekdayOf } from "#core/schedule/free-hours";

/** An ordinary Monday noon in winter, unless a run says another. */
export const NOW = Date.parse(process.env.NOOK_COAT_AT ?? "2027-01-11T12:00:00Z");
/** Where the pages are, IANA name. */
export const ZONE = process.env.NOOK_COAT_ZONE ?? "Europe/London";

/** Longest anything on a page is waited for, ms: a busy machine may take its time, and what comes sooner is not waited for longer. */
export const PATIENCE_MS = 60_000;

/** A day from today, "YYYY-MM-DD". */
export const dayFrom = (instant: number, days = 0): string => dayLater(dateOf(instant, ZONE), days);

/** An instant by the clock on the wall. */
export const clockOn = (date: string, time: string): number => instantOf(date, time, ZONE);

/**
 * The first time from now on that the clock on the wall shows a time on a weekday.
 *
 * @param weekday 0 for Monday, to 6
 * @param time "HH:MM"
 * @returns instant, ms
 */
export function nextAt(weekday: number, time: string): number {
  const days = (weekday - weekdayOf(dayFrom(NOW)) + 7) % 7;
  const found = clockOn(dayFrom(NOW, days), time);
  return found >= NOW ? found : clockOn(dayFrom(NOW, days + 7), time);
}
