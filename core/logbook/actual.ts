import type { Edge, Task, Work } from "../coating/facts/task";
import { MS_PER_MIN } from "../schedule/free-hours";
import { touchFor } from "./learning/stages";
import type { Touch } from "./learning/stages";
import type { Actual, Look, ProgressRecord } from "./progress";

/** Where work stands when something of it is noted. */
export interface Standing {
  readonly work: Work;
  /** Instant, ms, at which each task that is done ended. */
  readonly done: ReadonlyMap<string, number>;
  /** Instant, ms. */
  readonly now: number;
}

/** Looked at again after this share of its wait, and not before so many minutes [judgement of this project]. */
const AGAIN = { share: 0.25, leastMin: 15 } as const;

/**
 * How long a film is left from its end on that was found tacky: it is looked at again after a quarter of its wait.
 *
 * @param foundMin when it was found, minutes after its end
 * @param reckonedMin its wait as it is reckoned, minutes
 */
export function leftWaiting(foundMin: number, reckonedMin: number): number {
  return foundMin + Math.max(AGAIN.leastMin, reckonedMin * AGAIN.share);
}

const reckonedOf = (edge: Edge) => edge.reckonedMin ?? edge.typicalMin;

interface Waited {
  readonly edge: Edge;
  readonly end: number;
}

/** The film a task waits for: of several the one that takes the longest from now. */
function waitedFor(task: Task, { done }: Pick<Standing, "done">): Waited | null {
  const all = task.after.flatMap((edge) => {
    const end = done.get(edge.task);
    return edge.film === undefined || end === undefined || edge.typicalMin <= 0 ? [] : [{ edge, end }];
  });
  return all.reduce<(typeof all)[number] | null>(
    (last, one) => (last && last.end + last.edge.typicalMin * MS_PER_MIN >= one.end + one.edge.typicalMin * MS_PER_MIN ? last : one),
    null,
  );
}

/** What a touch says of a film; nothing where what is waited for was not laid last, and hangs on what lies further down. */
function lookAt({ edge, end }: Waited, { work, now }: Standing, seen: Look["seen"]): Look | null {
  const lower = work.tasks.find(({ id }) => id === edge.task);
  const afterMin = (now - end) / MS_PER_MIN;
  if (!lower || !work.room || edge.film === undefined || lower.touch?.film !== edge.film || afterMin <= 0) return null;
  const { stepId, coat } = lower;
  const times = { afterMin, reckonedMin: reckonedOf(edge), toldMin: edge.typicalMin };
  return { product: edge.film, room: work.room, stepId, coat, stage: edge.until, by: touchFor(edge.until), ...times, seen };
}

/**
 * What is seen when a coat is laid: how long the hands took, where somebody says it. How long the film beneath was left says nothing of it: nobody
 * has touched it.
 *
 * @param tasks of one go
 * @param tookMin hands on all of it, minutes; null where nobody says
 * @returns null where there is nothing to see
 */
export function actualOfGo(tasks: readonly Task[], tookMin: number | null): Actual | null {
  const reckonedMin = tasks.reduce((sum, { handsOnMin, reckonedMin: plain = handsOnMin }) => sum + plain, 0);
  return tookMin !== null && reckonedMin > 0 ? { work: { min: tookMin, reckonedMin } } : null;
}

/** A go that took many times what is reckoned was interrupted; one that took no time was not begun when it was said. */
const MEANT = { mostTimes: 4, leastMin: 0.2 } as const;

/**
 * How long hands were on a go that was begun, minutes.
 *
 * @param begun instant, ms; null where nobody said
 * @param end instant, ms
 * @param reckonedMin hands on it as it is reckoned, minutes
 * @returns null where it says nothing of the hands
 */
export function tookMin(begun: number | null, end: number, reckonedMin: number): number | null {
  if (begun === null) return null;
  const min = (end - begun) / MS_PER_MIN;
  return min > MEANT.leastMin && min < Math.max(1, reckonedMin) * MEANT.mostTimes ? min : null;
}

/** A film that was touched: the task that laid it, and what was seen of it where it says something of its drying. */
export interface TouchedFilm {
  readonly task: Task;
  readonly look: Look | null;
}

/**
 * The films the tasks of a go wait for, touched now.
 *
 * @returns none where nothing beneath has to dry
 */
export function touchedFilms(tasks: readonly Task[], standing: Standing, seen: Look["seen"]): readonly TouchedFilm[] {
  const found = new Map<string, TouchedFilm>();
  for (const task of tasks) {
    const waited = waitedFor(task, standing);
    const lower = waited && standing.work.tasks.find(({ id }) => id === waited.edge.task);
    if (waited && lower && waited.end < standing.now) found.set(lower.id, { task: lower, look: lookAt(waited, standing, seen) });
  }
  return [...found.values()];
}

/**
 * What the films a go waits for are to be touched with, to see whether it may be begun.
 *
 * @param progress records of the piece, by time
 * @returns null where nothing beneath has to dry, or all of it was found dry since it was laid
 */
export function touchAsked(tasks: readonly Task[], { work, done }: Pick<Standing, "work" | "done">, progress: readonly ProgressRecord[]): Touch | null {
  const films = tasks.flatMap((task) => waitedFor(task, { done }) ?? []);
  const open = films.find(({ edge }) => {
    const lower = work.tasks.find(({ id }) => id === edge.task);
    const last = lower && progress.findLast(({ stepId, coat, half }) => stepId === lower.stepId && coat === lower.coat && half === lower.half);
    return last?.kind !== "dry";
  });
  return open ? touchFor(open.edge.until) : null;
}

/**
 * Work in which what was found tacky has to be waited for longer: it is looked at again after a quarter of its wait.
 *
 * @param tacky instant, ms, at which each task's film was last found tacky
 */
export function leftLonger(work: Work, done: ReadonlyMap<string, number>, tacky: ReadonlyMap<string, number>): Work {
  if (tacky.size === 0) return work;
  const edge = (one: Edge): Edge => {
    const [end, found] = [done.get(one.task), tacky.get(one.task)];
    if (end === undefined || found === undefined || found < end || one.film === undefined) return one;
    const again = leftWaiting((found - end) / MS_PER_MIN, reckonedOf(one));
    if (again <= one.typicalMin) return one;
    const typicalMin = Math.ceil(again);
    return {
      ...one,
      typicalMin,
      cautiousMin: Math.max(typicalMin, one.cautiousMin),
      reckonedMin: reckonedOf(one),
      ...(one.closesMin === undefined ? {} : { closesMin: Math.max(typicalMin, one.closesMin) }),
    };
  };
  const task = (one: Task): Task => {
    const [end, found] = [done.get(one.id), tacky.get(one.id)];
    const after = one.after.map(edge);
    if (!one.touch || end === undefined || found === undefined || found < end) return { ...one, after };
    const typicalMin = Math.max(one.touch.typicalMin, leftWaiting((found - end) / MS_PER_MIN, one.touch.typicalMin));
    return { ...one, after, touch: { ...one.touch, typicalMin, cautiousMin: Math.max(typicalMin, one.touch.cautiousMin) } };
  };
  return { ...work, tasks: work.tasks.map(task) };
}
