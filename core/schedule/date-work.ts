import type { FreeHours, Sitting } from "./free-hours";
import { LEAST_PART_MIN, longestSittingMin, MS_PER_MIN, sittingsFrom } from "./free-hours";
import type { Edge, Task, Work } from "../coating/facts/task";

/** One stretch of work on one task. `part` counts from 1 where it did not fit into one sitting. */
export interface DatedTask {
  readonly task: Task;
  readonly from: number;
  readonly to: number;
  readonly part?: number;
  /** Its recoat window had shut: scuff it dull first. */
  readonly windowShut?: boolean;
}

export interface Dates {
  readonly items: readonly DatedTask[];
  /** End of the last work; instants in ms. */
  readonly lastWork: number;
  /** From when it may be handled gently, and from when it is fully hard. */
  readonly handle: number;
  readonly cured: number;
}

export interface DateOptions {
  /** Wait as a careful painter does. */
  readonly careful?: boolean;
  /** Tasks already done, by id: when each ended. */
  readonly done?: ReadonlyMap<string, number>;
}

/** Hands-on time is counted in whole minutes, at least this many. */
const LEAST_TASK_MIN = 1;

function waitMin(edge: Edge, careful: boolean): number {
  return careful ? edge.cautiousMin : edge.typicalMin;
}

/** Work and waits that still hang on each task, minutes: the longest tail goes first, so that nights are used for drying. */
function tails(work: Work, careful: boolean): ReadonlyMap<string, number> {
  const followers = new Map<string, { readonly task: Task; readonly edge: Edge }[]>();
  for (const task of work.tasks) for (const edge of task.after) followers.set(edge.task, [...(followers.get(edge.task) ?? []), { task, edge }]);
  const known = new Map<string, number>();
  const tail = (task: Task): number => {
    const before = known.get(task.id);
    if (before !== undefined) return before;
    known.set(task.id, 0);
    const own = work.milestones.filter((one) => one.task === task.id).map((one) => (careful ? one.cured.cautiousMin : one.cured.typicalMin));
    const after = (followers.get(task.id) ?? []).map(({ task: next, edge }) => waitMin(edge, careful) + next.handsOnMin + tail(next));
    const longest = Math.max(0, ...own, ...after);
    known.set(task.id, longest);
    return longest;
  };
  for (const task of work.tasks) tail(task);
  return known;
}

/** When a task may start, given the ends of what comes before it; and whether a window has shut for good. */
function opening(
  task: Task,
  ends: ReadonlyMap<string, number>,
  now: number,
  careful: boolean,
): { readonly at: number; readonly closes: number; readonly shut: boolean } | null {
  let at = now;
  let closes = Infinity;
  let shut = false;
  for (const edge of task.after) {
    const end = ends.get(edge.task);
    if (end === undefined) return null;
    at = Math.max(at, end + waitMin(edge, careful) * MS_PER_MIN);
    if (edge.closesMin !== undefined) closes = Math.min(closes, end + edge.closesMin * MS_PER_MIN);
  }
  if (at <= closes) return { at, closes, shut };
  for (const edge of task.after) {
    const end = ends.get(edge.task)!;
    if (edge.closesMin === undefined || at <= end + edge.closesMin * MS_PER_MIN) continue;
    if (edge.reopensMin === undefined) shut = true;
    else at = Math.max(at, end + edge.reopensMin * MS_PER_MIN);
  }
  return { at, closes: Infinity, shut };
}

/** Lays tasks into the user's sittings, one pair of hands. */
class Desk {
  readonly ends: Map<string, number>;
  readonly items: DatedTask[] = [];
  private readonly left: Set<Task>;
  private readonly rest = new Map<string, { readonly min: number; readonly parts: number }>();
  private readonly tail: ReadonlyMap<string, number>;

  constructor(
    work: Work,
    private readonly longest: number,
    private readonly careful: boolean,
    done: ReadonlyMap<string, number>,
  ) {
    this.ends = new Map(done);
    this.left = new Set(work.tasks.filter((task) => !done.has(task.id)));
    this.tail = tails(work, careful);
  }

  get finished(): boolean {
    return this.left.size === 0;
  }

  private minutesLeft(task: Task): number {
    return this.rest.get(task.id)?.min ?? Math.max(LEAST_TASK_MIN, Math.ceil(task.handsOnMin));
  }

  /** What of it goes into the time left: all, a part when it may be put down or fits no sitting whole, or nothing. */
  private share(task: Task, freeMin: number): number {
    const wanted = this.minutesLeft(task);
    if (wanted <= freeMin) return wanted;
    return (task.breaks || wanted > this.longest) && freeMin >= LEAST_PART_MIN ? Math.floor(freeMin) : 0;
  }

  fill(sitting: Sitting): void {
    let now = sitting.from;
    while (!this.finished) {
      const open = [...this.left].flatMap((task) => {
        const start = opening(task, this.ends, now, this.careful);
        const min = start && this.share(task, (sitting.to - start.at) / MS_PER_MIN);
        return start && min ? [{ task, start, min }] : [];
      });
      const ready = open.filter(({ start }) => start.at <= now);
      const next = [...(ready.length > 0 ? ready : open.filter(({ start }) => start.at === Math.min(...open.map((one) => one.start.at))))].sort(
        (a, b) => a.start.closes - b.start.closes || (this.tail.get(b.task.id) ?? 0) - (this.tail.get(a.task.id) ?? 0),
      )[0];
      if (!next) return;
      now = this.lay(next.task, next.start.at, next.min, next.start.shut);
    }
  }

  private lay(task: Task, from: number, min: number, shut: boolean): number {
    const to = from + min * MS_PER_MIN;
    const wanted = this.minutesLeft(task);
    const part = (this.rest.get(task.id)?.parts ?? 0) + 1;
    const split = part > 1 || min < wanted;
    this.items.push({ task, from, to, ...(split ? { part } : {}), ...(shut ? { windowShut: true } : {}) });
    if (min < wanted) this.rest.set(task.id, { min: wanted - min, parts: part });
    else {
      this.left.delete(task);
      this.ends.set(task.id, to);
    }
    return to;
  }
}

/**
 * Dates a plan's work: hands-on tasks in the user's free hours, one at a time, every wait kept. What hangs longest on a task goes
 * first, so long waits fall into nights and working days.
 *
 * @param start instant, ms, before which nothing is done
 * @returns null when the user has no free hour, or none long enough within two years
 */
export function dateWork(work: Work, hours: FreeHours, start: number, { careful = false, done = new Map() }: DateOptions = {}): Dates | null {
  const desk = new Desk(work, longestSittingMin(hours), careful, done);
  if (!desk.finished)
    for (const sitting of sittingsFrom(hours, start)) {
      desk.fill(sitting);
      if (desk.finished) break;
    }
  if (!desk.finished) return null;
  const lastWork = Math.max(start, ...desk.ends.values());
  const after = (pick: "handle" | "cured") =>
    Math.max(
      ...work.milestones.map((one) => (desk.ends.get(one.task) ?? start) + (careful ? one[pick].cautiousMin : one[pick].typicalMin) * MS_PER_MIN),
      work.milestones.length > 0 ? -Infinity : lastWork,
    );
  return { items: desk.items, lastWork, handle: after("handle"), cured: after("cured") };
}

/**
 * The latest sitting in which the work may begin and still be ready by a date; starting at any later sitting misses it.
 *
 * @param earliest instant, ms, before which it cannot begin
 * @param due instant, ms, by which it must be ready
 * @param goal ready to be handled gently, or fully hard
 * @returns the sitting's start and its dates; null when even the earliest start is too late
 */
export function latestStart(
  work: Work,
  hours: FreeHours,
  earliest: number,
  due: number,
  goal: "handle" | "cured",
  options: DateOptions = {},
): { readonly start: number; readonly dates: Dates } | null {
  const starts: number[] = [];
  // No schedule is shorter than its longest chain of work and waits.
  const chainMs = goal === "cured" ? Math.max(0, ...tails(work, options.careful ?? false).values()) * MS_PER_MIN : 0;
  for (const sitting of sittingsFrom(hours, earliest)) {
    if (sitting.from >= due) break;
    if (options.done || sitting.from + chainMs <= due) starts.push(sitting.from);
  }
  for (const start of starts.reverse()) {
    const dates = dateWork(work, hours, start, options);
    if (dates && dates[goal] <= due) return { start, dates };
  }
  return null;
}
