import { tzOffset } from "@date-fns/tz";
import { MIN_PER_DAY } from "../units/duration";

/** A stretch of one day in local time, "HH:MM" to "HH:MM"; `to` is later than `from`. */
export interface DaySpan {
  readonly from: string;
  readonly to: string;
}

/** When the user's hands are free. `weekday` holds seven lists, Monday first; an exception replaces its day's list. */
export interface FreeHours {
  readonly weekday: readonly (readonly DaySpan[])[];
  readonly exceptions: readonly { readonly date: string; readonly spans: readonly DaySpan[] }[];
  /** IANA name, such as "Europe/London". */
  readonly timeZone: string;
}

/** One stretch of free time; instants in ms. */
export interface Sitting {
  readonly from: number;
  readonly to: number;
}

const EVENING: readonly DaySpan[] = [{ from: "19:00", to: "22:00" }];

/**
 * Weekday evenings and Saturdays: what a hobby usually gets [judgement of this project].
 *
 * @param timeZone IANA name
 * @returns evenings and Saturdays
 */
export function usualHours(timeZone: string): FreeHours {
  return { weekday: [EVENING, EVENING, EVENING, EVENING, EVENING, [{ from: "10:00", to: "17:00" }], []], exceptions: [], timeZone };
}

/** Weekdays, in the order of the free hours. */
export const WEEKDAYS = ["Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday"] as const;

export const MS_PER_MIN = 60_000;
/** A stretch shorter than this is no use for part of a task, minutes [judgement of this project]. */
export const LEAST_PART_MIN = 15;
const MS_PER_DAY = MIN_PER_DAY * MS_PER_MIN;

/** Clocks are set on the quarter of an hour, wherever they are: an offset is asked for once in each. */
const QUARTER_MS = 15 * MS_PER_MIN;
/** Offsets that are kept at a time. */
const MOST_OFFSETS = 50_000;
const offsets = new Map<string, Map<number, number>>();
let kept = 0;

function offsetMs(timeZone: string, instant: number): number {
  const quarter = Math.floor(instant / QUARTER_MS);
  const known = offsets.get(timeZone)?.get(quarter);
  if (known !== undefined) return known;
  const offset = tzOffset(timeZone, new Date(instant)) * MS_PER_MIN;
  if (kept >= MOST_OFFSETS) {
    offsets.clear();
    kept = 0;
  }
  const own = offsets.get(timeZone) ?? new Map<number, number>();
  offsets.set(timeZone, own.set(quarter, offset));
  kept += 1;
  return offset;
}

/**
 * The instant of a local date and time, ms, whatever zone the device itself is in. A time that the clocks skip over is read as much later as they skip;
 * of one that comes twice the first is meant.
 *
 * @param date "YYYY-MM-DD"
 * @param time "HH:MM"
 * @example new Date(instantOf("2026-07-01", "12:00", "Europe/Paris")).toISOString() // "2026-07-01T10:00:00.000Z"
 */
export function instantOf(date: string, time: string, timeZone: string): number {
  const [year, month, day] = date.split("-").map(Number) as [number, number, number];
  const [hour, minute] = time.split(":").map(Number) as [number, number];
  const asUtc = Date.UTC(year, month - 1, day, hour, minute);
  const [before, after] = [offsetMs(timeZone, asUtc - MS_PER_DAY), offsetMs(timeZone, asUtc + MS_PER_DAY)];
  const fits = [before, after].map((offset) => asUtc - offset).filter((instant) => instant + offsetMs(timeZone, instant) === asUtc);
  return fits.length > 0 ? Math.min(...fits) : asUtc - before;
}

/** Of "YYYY-MM-DD". */
const DATE_LENGTH = 10;

/**
 * A day or an instant as it is written in a file.
 *
 * @param text "YYYY-MM-DD", or ISO 8601 with an offset
 * @param time "HH:MM" of a day that is meant where no time is said
 * @param timeZone IANA name
 * @returns ms
 */
export function writtenInstant(text: string, time: string, timeZone: string): number {
  return text.length === DATE_LENGTH ? instantOf(text, time, timeZone) : Date.parse(text);
}

/**
 * The local date of an instant, "YYYY-MM-DD".
 *
 * @param instant ms
 * @param timeZone IANA name
 * @returns "YYYY-MM-DD"
 * @example dateOf(0, "UTC") // "1970-01-01"
 */
export function dateOf(instant: number, timeZone: string): string {
  return new Date(instant + offsetMs(timeZone, instant)).toISOString().slice(0, 10);
}

/**
 * The day after, or before.
 *
 * @param date "YYYY-MM-DD"
 * @param days whole days, may be negative
 * @returns "YYYY-MM-DD"
 * @example dayLater("2026-12-31", 1) // "2027-01-01"
 */
export function dayLater(date: string, days: number): string {
  return new Date(Date.parse(`${date}T00:00:00Z`) + days * MS_PER_DAY).toISOString().slice(0, 10);
}

/**
 * The weekday of a day.
 *
 * @param date "YYYY-MM-DD"
 * @returns 0 for Monday, to 6
 * @example weekdayOf("2026-11-29") // 6
 */
export function weekdayOf(date: string): number {
  return (new Date(`${date}T00:00:00Z`).getUTCDay() + 6) % 7;
}

/**
 * The free stretches of a day: those of its exception, else those of its weekday.
 *
 * @param date "YYYY-MM-DD", by the clocks of the hours' zone
 * @returns in the order they were said
 */
export function spansOf(hours: FreeHours, date: string): readonly DaySpan[] {
  return hours.exceptions.find((one) => one.date === date)?.spans ?? hours.weekday[weekdayOf(date)] ?? [];
}

const DAYS_A_SEASON = 91;

/**
 * Whether clocks of two zones show the same time, now and in every season of the year that follows.
 *
 * @param one IANA name
 * @param other IANA name
 * @param from instant, ms
 * @example tellSameTime("Europe/Paris", "Europe/Rome", Date.now()) // true
 */
export function tellSameTime(one: string, other: string, from: number): boolean {
  return [0, 1, 2, 3].every((season) => {
    const at = from + season * DAYS_A_SEASON * MS_PER_DAY;
    return offsetMs(one, at) === offsetMs(other, at);
  });
}

/** Furthest ahead that free time is looked for, days. */
const HORIZON_DAYS = 800;

/**
 * The user's free stretches from an instant on, in order. The first one may be cut short by that instant.
 *
 * @yields nothing when no hour is free within the horizon
 */
export function* sittingsFrom(hours: FreeHours, start: number): Generator<Sitting> {
  let date = dateOf(start, hours.timeZone);
  // Where the clocks skip, one stretch may be pushed into the next.
  let last = start;
  for (let day = 0; day < HORIZON_DAYS; day += 1, date = dayLater(date, 1)) {
    const spans = [...spansOf(hours, date)].sort((a, b) => a.from.localeCompare(b.from));
    for (const span of spans) {
      const from = Math.max(last, instantOf(date, span.from, hours.timeZone));
      const to = instantOf(date, span.to, hours.timeZone);
      if (to <= from) continue;
      last = to;
      yield { from, to };
    }
  }
}

/** Enough for a hobby: two years of weeks. */
const MOST_SITTINGS = 800;
/**
 * The free stretches that anything is laid into.
 *
 * @param start instant, ms
 */
export function firstSittings(hours: FreeHours, start: number): readonly Sitting[] {
  const found: Sitting[] = [];
  for (const sitting of sittingsFrom(hours, start)) {
    if (found.push(sitting) >= MOST_SITTINGS) break;
  }
  return found;
}

/** Length of the longest stretch of an ordinary week or an exception, minutes; 0 when there is none. */
export function longestSittingMin(hours: FreeHours): number {
  const minutes = (time: string) => {
    const [hour, minute] = time.split(":").map(Number) as [number, number];
    return hour * 60 + minute;
  };
  const spans = [...hours.weekday.flat(), ...hours.exceptions.flatMap((one) => one.spans)];
  return Math.max(0, ...spans.map((span) => minutes(span.to) - minutes(span.from)));
}

const same = (one: unknown, other: unknown) => JSON.stringify(one) === JSON.stringify(other);

/**
 * Weekdays that were changed on a screen, and otherwise meanwhile where they stand.
 *
 * @param seen as the screen showed them
 * @param wanted what was made of them
 * @param current as they stand
 * @returns their places, 0 for Monday
 */
export function contestedDays(seen: FreeHours, wanted: FreeHours, current: FreeHours): readonly number[] {
  return wanted.weekday.flatMap((day, at) => {
    const [was, stands] = [seen.weekday[at], current.weekday[at]];
    return !same(day, was) && !same(stands, was) && !same(stands, day) ? [at] : [];
  });
}

/**
 * Free hours as they stand, with what was changed in them on a screen that showed them as they were: the days that were changed, and no others;
 * a contested weekday stays as it is.
 *
 * @param seen as the screen showed them
 * @param wanted what was made of them
 * @param current as they stand
 */
export function hoursMerged(seen: FreeHours, wanted: FreeHours, current: FreeHours): FreeHours {
  const contested = contestedDays(seen, wanted, current);
  const has = (list: FreeHours["exceptions"], date: string) => list.some((one) => one.date === date);
  const added = wanted.exceptions.filter(
    (one) =>
      !same(
        seen.exceptions.find(({ date }) => date === one.date),
        one,
      ),
  );
  const kept = current.exceptions.filter(({ date }) => !(has(seen.exceptions, date) && !has(wanted.exceptions, date)) && !has(added, date));
  return {
    weekday: wanted.weekday.map((day, at) => (same(day, seen.weekday[at]) || contested.includes(at) ? (current.weekday[at] ?? day) : day)),
    exceptions: [...kept, ...added].sort((a, b) => a.date.localeCompare(b.date)),
    timeZone: wanted.timeZone === seen.timeZone ? current.timeZone : wanted.timeZone,
  };
}
