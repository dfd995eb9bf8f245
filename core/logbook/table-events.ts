import type { Task } from "../coating/facts/task";
import type { Candidate } from "../coating/model/plan";
import { actualOfGo, touchedFilms } from "./actual";
import type { Standing } from "./actual";
import { coatEvents } from "./coat-events";
import type { Actual, CoatEvent, Look } from "./progress";

/** What was seen is noted with the first of them: it was one go. */
function withActual(coats: readonly CoatEvent[], actual: Actual | null): readonly CoatEvent[] {
  return actual ? coats.map((coat, index) => (index === 0 ? { ...coat, actual } : coat)) : coats;
}

/**
 * What there is to record when a go is done, wherever it is said: at the Bench, on its plan, or for a whole set.
 *
 * @param tookMin hands on all of it, minutes; null where nobody says
 */
export function doneEvents(shown: Candidate, tasks: readonly Task[], tookMin: number | null): readonly CoatEvent[] {
  return withActual(
    tasks.flatMap((task) => coatEvents(shown, task)),
    actualOfGo(tasks, tookMin),
  );
}

/**
 * What there is to record when the films a go waits for were touched: each on the coat that laid it.
 *
 * @param tasks of the go
 * @returns none where nothing beneath has to dry
 */
export function touchedEvents(shown: Candidate, tasks: readonly Task[], standing: Standing, seen: Look["seen"]): readonly CoatEvent[] {
  return touchedFilms(tasks, standing, seen).flatMap(({ task, look }) => withActual(coatEvents(shown, task), look && { look }));
}
