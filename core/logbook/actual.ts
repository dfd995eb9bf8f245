import type { Edge, Task, Work } from "../coating/facts/task";
import { MS_PER_MIN } from "../schedule/free-hours";
import type { Actual } from "./progress";

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

/** The film a task waits for: of several the one that takes the longest from now. */
function waitedFor(task: Task, { done }: Standing): { readonly edge: Edge; readonly end: number } | null {
  const all = task.after.flatMap((edge) => {
    const end = done.get(edge.task);
    return edge.film === undefined || end === undefined || edge.typicalMin <= 0 ? [] : [{ edge, end }];
  });
  return all.reduce<(typeof all)[number] | null>(
    (last, one) => (last && last.end + last.edge.typicalMin * MS_PER_MIN >= one.end + one.edge.typicalMin * MS_PER_MIN ? last : one),
    null,
  );
}

function drying({ edge, end }: { readonly edge: Edge; readonly end: number }, { work }: Standing, at: number): Pick<Actual, "drying"> {
  const lower = work.tasks.find(({ id }) => id === edge.task);
  const waitedMin = (at - end) / MS_PER_MIN;
  if (!lower || !work.room || edge.film === undefined || waitedMin <= 0) return {};
  return { drying: { product: edge.film, room: work.room, stepId: lower.stepId, coat: lower.coat, waitedMin, reckonedMin: reckonedOf(edge) } };
}

/**
 * What is seen when a coat is laid: how long the hands took, where somebody says it, and how long the film beneath was left before.
 *
 * @param tasks of one go
 * @param tookMin hands on all of it, minutes; null where nobody says
 * @returns null where there is nothing to see
 */
export function actualOfGo(tasks: readonly Task[], standing: Standing, tookMin: number | null): Actual | null {
  const reckonedMin = tasks.reduce((sum, { handsOnMin, reckonedMin: plain = handsOnMin }) => sum + plain, 0);
  const expectedMin = tasks.reduce((sum, { handsOnMin }) => sum + handsOnMin, 0);
  const begun = standing.now - (tookMin ?? expectedMin) * MS_PER_MIN;
  const [first] = tasks.flatMap((task) => waitedFor(task, standing) ?? []);
  const actual: Actual = {
    ...(tookMin !== null && reckonedMin > 0 ? { work: { min: tookMin, reckonedMin } } : {}),
    ...(first ? drying(first, standing, begun) : {}),
  };
  return Object.keys(actual).length > 0 ? actual : null;
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

/** A film that is touched and found tacky: the task that laid it, and what is seen of it. */
export interface FoundTacky {
  readonly task: Task;
  readonly actual: Actual;
}

/** The films the tasks of a go wait for, found tacky now; none where nothing beneath has to dry. */
export function foundTacky(tasks: readonly Task[], standing: Standing): readonly FoundTacky[] {
  const found = new Map<string, FoundTacky>();
  for (const task of tasks) {
    const waited = waitedFor(task, standing);
    const lower = waited && standing.work.tasks.find(({ id }) => id === waited.edge.task);
    const actual = waited && drying(waited, standing, standing.now);
    if (lower && actual?.drying) found.set(lower.id, { task: lower, actual });
  }
  return [...found.values()];
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
  return { ...work, tasks: work.tasks.map((task) => ({ ...task, after: task.after.map(edge) })) };
}
