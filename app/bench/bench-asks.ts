import type { Task } from "#core/coating/facts/task";
import { tookMin } from "#core/logbook/actual";
import type { Begun } from "#core/logbook/bench/begun";
import { countedEvents } from "#core/logbook/coat-events";
import type { Look } from "#core/logbook/progress";
import { doneEvents, touchedEvents } from "#core/logbook/table-events";
import type { PlanAsk } from "~/piece/plan-ask";
import type { OnBench } from "./bench-loaded.client";

/** The address that takes what is noted of a piece. */
export const actionOf = (piece: Pick<OnBench, "id">): string => `/pieces/${piece.id}?index`;

const iso = (instant: number) => new Date(instant).toISOString();

/**
 * That a go is done.
 *
 * @param at instant, ms
 * @param said the user has said it: it is past
 * @param what it is, in the user's words
 */
export function doneAsk(piece: OnBench, tasks: readonly Task[], begun: Begun | null, at: number, said = false, what?: string): PlanAsk {
  const { shown, followed } = piece;
  const reckoned = tasks.reduce((sum, { handsOnMin }) => sum + handsOnMin, 0);
  const coats = doneEvents(shown, tasks, said ? null : tookMin(begun?.at ?? null, at, reckoned));
  return { intent: "done", followed, coats, at: iso(at), ...(said ? { said: true } : {}), ...(what === undefined ? {} : { what }) };
}

/** That hands are on a go, and how many pieces of the batch have it. */
export function startedAsk({ shown, followed, count }: OnBench, tasks: readonly Task[], pieces: number, at: number): PlanAsk {
  return { intent: "started", followed, coats: countedEvents(shown, tasks, pieces, count), at: iso(at) };
}

/** That what a go waits for was touched, and was tacky or dry; null where nothing beneath it has to dry. */
export function touchedAsk({ shown, work, done }: OnBench, tasks: readonly Task[], at: number, seen: Look["seen"], what?: string): PlanAsk | null {
  const coats = touchedEvents(shown, tasks, { work, done, now: at }, seen);
  return coats.length > 0 ? { intent: seen, coats, at: iso(at), ...(what === undefined ? {} : { what }) } : null;
}
