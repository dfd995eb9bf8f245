import { dayLater, weekdayOf } from "./free-hours";

const MONTHS = ["january", "february", "march", "april", "may", "june", "july", "august", "september", "october", "november", "december"];
const WEEKDAYS = ["monday", "tuesday", "wednesday", "thursday", "friday", "saturday", "sunday"];
const NAMED: Readonly<Record<string, number>> = { today: 0, tomorrow: 1 };
/** Letters of a month or a weekday that are enough. */
const LEAST_LETTERS = 3;
const COUNTS: Readonly<Record<string, number>> = { a: 1, an: 1, one: 1, two: 2, three: 3, four: 4, five: 5, six: 6 };
const DAYS_A_WEEK = 7;
const CENTURY = 2000;

function indexOf(names: readonly string[], word: string): number {
  return word.length < LEAST_LETTERS ? -1 : names.findIndex((name) => name.startsWith(word));
}

/** A day that there is, "YYYY-MM-DD"; null of the thirty-first of February. */
function dayOf(year: number, month: number, day: number): string | null {
  const at = new Date(Date.UTC(year, month, day));
  return at.getUTCFullYear() === year && at.getUTCMonth() === month && at.getUTCDate() === day ? at.toISOString().slice(0, 10) : null;
}

/** Without a year the next such day is meant. */
function nextOf(month: number, day: number, today: string): string | null {
  const year = Number(today.slice(0, 4));
  // A leap day may be four years off.
  for (let ahead = 0; ahead <= 4; ahead++) {
    const found = dayOf(year + ahead, month, day);
    if (found !== null && found >= today) return found;
  }
  return null;
}

function withYear(year: string | undefined, month: number, day: number, today: string): string | null {
  if (month < 0 || month >= MONTHS.length) return null;
  if (year === undefined) return nextOf(month, day, today);
  return year.length === 4 || year.length === 2 ? dayOf(year.length === 2 ? CENTURY + Number(year) : Number(year), month, day) : null;
}

/** "in 3 weeks", "in ten days" are told from today. */
function later(text: string, today: string): string | null {
  const said = /^in (\d{1,3}|[a-z]+) (day|week)s?$/.exec(text);
  const count = said ? (COUNTS[said[1]!] ?? Number(said[1])) : NaN;
  return said && Number.isInteger(count) ? dayLater(today, count * (said[2] === "week" ? DAYS_A_WEEK : 1)) : null;
}

function weekday(text: string, today: string): string | null {
  const wanted = indexOf(WEEKDAYS, text.replace(/^(on|next) /, ""));
  if (wanted < 0) return null;
  return dayLater(today, ((wanted - weekdayOf(today) + DAYS_A_WEEK - 1) % DAYS_A_WEEK) + 1);
}

/**
 * A day as people write it: "12 Dec", "December 12th, 2026", "12.12.", "2026-12-12", "12/12", "Saturday", "tomorrow", "in 3 weeks". Without a year the next
 * such day is meant, of weekdays the next after today.
 *
 * @param today "YYYY-MM-DD"
 * @param monthFirst of "3/4" the month is said first
 * @returns "YYYY-MM-DD"; null where it is no day (yet)
 * @example readDay("12 dec", "2026-11-27") // "2026-12-12"
 */
export function readDay(text: string, today: string, monthFirst = false): string | null {
  const plain = text.trim().toLowerCase().replace(/,/g, " ").replace(/\s+/g, " ");
  if (plain in NAMED) return dayLater(today, NAMED[plain]!);
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(plain);
  if (iso) return dayOf(Number(iso[1]), Number(iso[2]) - 1, Number(iso[3]));
  const dotted = /^(\d{1,2})\. ?(\d{1,2})\.(?: ?(\d{2,4}))?$/.exec(plain);
  if (dotted) return withYear(dotted[3], Number(dotted[2]) - 1, Number(dotted[1]), today);
  const slashed = /^(\d{1,2})\/(\d{1,2})(?:\/(\d{2,4}))?$/.exec(plain);
  if (slashed) {
    const [one, other] = [Number(slashed[1]), Number(slashed[2])];
    return withYear(slashed[3], (monthFirst ? one : other) - 1, monthFirst ? other : one, today);
  }
  const named = /^(?:[a-z]{3,9} )?(\d{1,2})(?:st|nd|rd|th|\.)? (?:of )?([a-z]+)\.?(?: (\d{2,4}))?$/.exec(plain);
  if (named) return withYear(named[3], indexOf(MONTHS, named[2]!), Number(named[1]), today);
  const turned = /^([a-z]+)\.? (\d{1,2})(?:st|nd|rd|th)?(?: (\d{2,4}))?$/.exec(plain);
  if (turned && turned[1] !== "in") return withYear(turned[3], indexOf(MONTHS, turned[1]!), Number(turned[2]), today);
  return later(plain, today) ?? weekday(plain, today);
}
