import type { Task } from "#core/coating/facts/task";
import { actualOfGo, foundTacky, tookMin } from "#core/logbook/actual";
import type { Begun } from "#core/logbook/bench/begun";
import { coatEvents, countedEvents } from "#core/logbook/coat-events";
import type { CoatEvent } from "#core/logbook/progress";
import type { PlanAsk } from "~/piece/plan-ask";
import type { OnBench } from "./bench-loaded.client";

/** The address that takes what is noted of a piece. */
export const actionOf = (piece: Pick<OnBench, "id">): string => `/pieces/${piece.id}?index`;

const iso = (instant: number) => new Date(instant).toISOString();

/** What is noted first carries what was seen: it was one go. */
const withActual = (coats: readonly CoatEvent[], actual: CoatEvent["actual"]) =>
  actual ? coats.map((coat, index) => (index === 0 ? { ...coat, actual } : coat)) : coats;

/**
 * That a go is done.
 *
 * @param at instant, ms
 * @param said the user has said it: it is past
 */
export function doneAsk(piece: OnBench, tasks: readonly Task[], begun: Begun | null, at: number, said = false): PlanAsk {
  const { work, done, shown, followed } = piece;
  const reckoned = tasks.reduce((sum, { handsOnMin }) => sum + handsOnMin, 0);
  const actual = actualOfGo(tasks, { work, done, now: at }, said ? null : tookMin(begun?.at ?? null, at, reckoned));
  const coats = withActual(
    tasks.flatMap((task) => coatEvents(shown, task)),
    actual ?? undefined,
  );
  return { intent: "done", followed, coats, at: iso(at), ...(said ? { said: true } : {}) };
}

/** That hands are on a go, and how many pieces of the batch have it. */
export function startedAsk({ shown, followed, count }: OnBench, tasks: readonly Task[], pieces: number, at: number): PlanAsk {
  return { intent: "started", followed, coats: countedEvents(shown, tasks, pieces, count), at: iso(at) };
}

/** That what a go waits for was touched and found tacky; null where nothing beneath it has to dry. */
export function tackyAsk({ shown, work, done }: OnBench, tasks: readonly Task[], at: number): PlanAsk | null {
  const found = foundTacky(tasks, { work, done, now: at });
  const coats = found.flatMap(({ task, actual }) => withActual(coatEvents(shown, task), actual));
  return coats.length > 0 ? { intent: "tacky", coats, at: iso(at) } : null;
}
