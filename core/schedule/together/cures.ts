import { dateOf, dayLater, instantOf, spansOf, weekdayOf } from "../free-hours";
import type { DaySpan, FreeHours } from "../free-hours";
import { scheduleTo } from "./goals";
import type { PieceWork } from "./network";
import type { TogetherAsk } from "./schedule-all";

/** What something would buy for a piece that is late. */
export interface Bought {
  /** How late it is then, ms; 0 where it is in time. */
  readonly lateMs: number;
  /** Pieces that are late then and are not now. */
  readonly late: readonly string[];
}

/** Orders tried of each: those the calendar begins with, so that it finds none that is worse. */
const TRIES = 20;
/** Less than this is no cure, ms. */
const WORTH_MS = 6 * 3_600_000;

/**
 * What all pieces would be under another condition, for one that is late.
 *
 * @param was how late each piece is as all of it is laid out, ms, by piece
 * @param other what would be asked then
 * @param id of the piece
 * @returns null where it is hardly any sooner, or the hours do not suffice
 */
export function boughtBy(was: ReadonlyMap<string, number>, other: TogetherAsk, id: string): Bought | null {
  const then = scheduleTo({ ...other, tries: TRIES });
  const own = then?.network.pieces.findIndex((piece) => piece.id === id) ?? -1;
  if (!then || own < 0) return null;
  const lateMs = then.late[own]!;
  if (lateMs > (was.get(id) ?? 0) - WORTH_MS) return null;
  const late = then.network.pieces.flatMap((piece, index) => (then.late[index]! > 0 && (was.get(piece.id) ?? 0) === 0 ? [piece.id] : []));
  return { lateMs, late };
}

/** One more stretch of free time on a day. */
export interface ExtraSitting {
  readonly date: string;
  readonly span: DaySpan;
}

const EVENING: DaySpan = { from: "19:00", to: "22:00" };
/** Stretches a day may have one more of, in the order they are thought of [judgement of this project]. */
const STRETCHES: readonly DaySpan[] = [EVENING, { from: "14:00", to: "17:00" }, { from: "09:00", to: "12:00" }];
/** Weekends have days as well as evenings; Saturday and Sunday. */
const WEEKEND_FROM = 5;
/** Days that are looked at. */
const MOST_DAYS = 14;

const apart = (one: DaySpan, other: DaySpan) => one.to <= other.from || other.to <= one.from;

/**
 * Stretches that are not free and might be: an evening where none is, and by day at the weekend.
 *
 * @param start instant, ms: not before
 * @param due instant, ms: before it
 * @returns the first of each day, of so many days
 */
export function extraSittings(hours: FreeHours, start: number, due: number): readonly ExtraSitting[] {
  const found: ExtraSitting[] = [];
  for (let date = dateOf(start, hours.timeZone), day = 0; day < MOST_DAYS; day += 1, date = dayLater(date, 1)) {
    const weekend = weekdayOf(date) >= WEEKEND_FROM;
    const taken = spansOf(hours, date);
    const at = (span: DaySpan) => instantOf(date, span.from, hours.timeZone);
    const span = STRETCHES.find((one) => (one === EVENING || weekend) && at(one) >= start && at(one) < due && taken.every((other) => apart(one, other)));
    if (span) found.push({ date, span });
  }
  return found;
}

/** Free hours with one more stretch: an exception of its day. */
export function withSitting(hours: FreeHours, { date, span }: ExtraSitting): FreeHours {
  const spans = [...spansOf(hours, date), span].sort((a, b) => a.from.localeCompare(b.from));
  return { ...hours, exceptions: [...hours.exceptions.filter((one) => one.date !== date), { date, spans }].sort((a, b) => a.date.localeCompare(b.date)) };
}

/** How late a piece is, and all of them, by the first order; Infinity where the hours do not suffice. */
function lateness(ask: TogetherAsk, id: string): readonly [number, number] {
  const told = scheduleTo({ ...ask, tries: 0 });
  if (!told) return [Infinity, Infinity];
  const own = told.network.pieces.findIndex((piece) => piece.id === id);
  return [told.late[own] ?? 0, told.late.reduce((sum, ms) => sum + ms, 0)];
}

/**
 * The one more stretch that helps a late piece most, the first of those that help as much.
 *
 * @returns null where there is none
 */
export function bestExtra(ask: TogetherAsk, id: string, due: number): ExtraSitting | null {
  let best: { readonly extra: ExtraSitting; readonly late: readonly [number, number] } | null = null;
  for (const extra of extraSittings(ask.hours, ask.start, due)) {
    const late = lateness({ ...ask, hours: withSitting(ask.hours, extra) }, id);
    if (best === null || late[0] < best.late[0] || (late[0] === best.late[0] && late[1] < best.late[1])) best = { extra, late };
  }
  return best?.extra ?? null;
}

/** A batch of so many, its work in proportion. */
function ofSoMany(piece: PieceWork, count: number): PieceWork {
  const tasks = piece.work.tasks.map((task) => ({ ...task, handsOnMin: (task.handsOnMin * count) / piece.count }));
  return { ...piece, count, work: { ...piece.work, tasks } };
}

/**
 * How many of a batch would be in time, its work in proportion to their number.
 *
 * @returns fewer than there are, at least one; null where not even one would be
 */
export function inTimeOf(ask: TogetherAsk, id: string): number | null {
  const own = ask.pieces.find((piece) => piece.id === id);
  if (!own || own.count < 2) return null;
  const isInTime = (count: number) => {
    const [late] = lateness({ ...ask, pieces: ask.pieces.map((piece) => (piece === own ? ofSoMany(piece, count) : piece)) }, id);
    return late === 0;
  };
  if (!isInTime(1)) return null;
  let [least, most] = [1, own.count];
  while (most - least > 1) {
    const middle = Math.floor((least + most) / 2);
    if (isInTime(middle)) least = middle;
    else most = middle;
  }
  return least;
}
