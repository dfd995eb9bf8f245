import type { Task } from "../coating/facts/task";
import { dateOf, dayLater, instantOf, MS_PER_MIN, spansOf } from "./free-hours";
import type { FreeHours, Sitting } from "./free-hours";

/** Furthest back that a free stretch is looked for, days. */
const DAYS_BACK = 30;

/** How long a task keeps the hands, or the oven, ms. */
const lengthOf = ({ handsOnMin, oven }: Task): number => Math.ceil(Math.max(handsOnMin, oven?.typicalMin ?? 0)) * MS_PER_MIN;

/** The latest stretch of a length that ends by an instant and meets nothing of what is taken; null where it would begin before `from`. */
function latestFree(from: number, by: number, lengthMs: number, taken: readonly Sitting[]): Sitting | null {
  let to = by;
  for (;;) {
    const begin = to - lengthMs;
    if (begin < from) return null;
    const met = taken.filter((one) => one.from < to && one.to > begin);
    if (met.length === 0) return { from: begin, to };
    to = Math.min(...met.map((one) => one.from));
  }
}

/** The latest stretch inside the free hours that ends by an instant; null where none is free and long enough within a month. */
function latestInHours(by: number, lengthMs: number, hours: FreeHours, taken: readonly Sitting[]): Sitting | null {
  let date = dateOf(by, hours.timeZone);
  for (let day = 0; day < DAYS_BACK; day += 1, date = dayLater(date, -1)) {
    const spans = [...spansOf(hours, date)].sort((one, other) => other.from.localeCompare(one.from));
    for (const { from, to } of spans) {
      const found = latestFree(instantOf(date, from, hours.timeZone), Math.min(by, instantOf(date, to, hours.timeZone)), lengthMs, taken);
      if (found) return found;
    }
  }
  return null;
}

/**
 * Dates work that is already done, backwards from its last task: when that ended is given, everything before it was done as late as it could be, in the
 * free hours where they allow it, with every typical wait kept and every window open. Where a window leaves no free hour it was done outside of them.
 *
 * @param tasks all that is done, in working order; waits for tasks that are not among them are not looked at. The room's nights are as its days
 * @param end instant, ms, at which the last of them ended
 * @param hours when the hands were free
 * @param taken stretches in which the hands were at something else
 * @returns begin and end of each task, ms, by its id
 * @example backdated([{ id: "wash", handsOnMin: 10, after: [] }], 600_000, { weekday: [], exceptions: [], timeZone: "UTC" }, []).get("wash") // { from: 0, to: 600_000 }
 */
export function backdated(tasks: readonly Task[], end: number, hours: FreeHours, taken: readonly Sitting[]): ReadonlyMap<string, Sitting> {
  const dated = new Map<string, Sitting>();
  const busy = [...taken];
  for (const task of [...tasks].reverse()) {
    const lengthMs = lengthOf(task);
    const edges = tasks.flatMap(({ id, after }) => after.flatMap((edge) => (edge.task === task.id ? [{ next: dated.get(id)!, edge }] : [])));
    const by = Math.min(end, ...edges.map(({ next, edge }) => next.from - Math.ceil(edge.typicalMin) * MS_PER_MIN));
    const notBefore = Math.max(
      -Infinity,
      ...edges.map(({ next, edge }) => (edge.closesMin === undefined ? -Infinity : next.from - edge.closesMin * MS_PER_MIN)),
    );
    const free = latestInHours(by, lengthMs, hours, busy);
    const isLast = dated.size === 0;
    const laid = isLast
      ? { from: end - lengthMs, to: end }
      : free && free.to >= notBefore
        ? free
        : (latestFree(-Infinity, by, lengthMs, busy) ?? { from: by - lengthMs, to: by });
    dated.set(task.id, laid);
    busy.push(laid);
  }
  return dated;
}
