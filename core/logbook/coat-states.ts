import type { StepId } from "../catalogue/ids";
import type { Candidate } from "../coating/model/plan";
import { clocksFrom, waitedFrom } from "../schedule/drying-clock";
import { MS_PER_MIN } from "../schedule/free-hours";
import type { Edge, Task, Work } from "../coating/facts/task";
import { wetBeside, wetFilms } from "./bench/wet-films";

/**
 * Where a step stands: `wet`: done, not yet dry to the touch; `ready`: may be done now; `waiting`: what is under it dries until
 * `until`; `to-come`: other work comes first.
 */
export type CoatState = "done" | "wet" | "ready" | "waiting" | "to-come";

export interface StepState {
  readonly state: CoatState;
  /** Coats, or halves of coats, done so far, and in all. */
  readonly done: number;
  readonly of: number;
  /** Instant, ms, at which the state changes by itself; null when only the user's hands change it. */
  readonly until: number | null;
  /** The careful painter's end of the same wait. */
  readonly untilCareful: number | null;
}

/** When a task may be begun, its waits going by the hour where the nights of its room are not as its days; null before what it waits for is done. */
export type OpenAt = (edges: readonly Edge[]) => number | null;

/**
 * Tells when work may be begun.
 *
 * @param done tasks done, by id: when each ended, ms
 * @param now instant, ms
 * @param careful as a careful painter waits
 */
export function openingBy(room: Work["room"], done: ReadonlyMap<string, number>, now: number, timeZone: string, careful: boolean): OpenAt {
  const clockOf = clocksFrom(now, timeZone, careful);
  return (edges) => {
    let at = 0;
    for (const edge of edges) {
      const end = done.get(edge.task);
      if (end === undefined) return null;
      at = Math.max(at, waitedFrom(end, (careful ? edge.cautiousMin : edge.typicalMin) * MS_PER_MIN, clockOf(edge.by, room)));
    }
    return at;
  };
}

/** Where this runs: IANA name. */
export const zoneHere = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;

/**
 * Where every step of a plan stands at an instant.
 *
 * @param done tasks done, by id: when each ended, ms
 * @param now instant, ms
 * @param timeZone where the room is, IANA name; absent: where this runs
 * @returns a state for every step that somebody works at; shared acts carry the same state in every zone
 */
export function coatStates(
  candidate: Candidate,
  work: Work,
  done: ReadonlyMap<string, number>,
  now: number,
  timeZone: string = zoneHere(),
): ReadonlyMap<StepId, StepState> {
  const [openAt, openCareful] = [false, true].map((careful) => openingBy(work.room, done, now, timeZone, careful)) as [OpenAt, OpenAt];
  const films = wetFilms({ shown: candidate, work, done, progress: [] }, now, timeZone);
  /** Ready, unless it would have to be held by a place that is wet. */
  const heldBy = ({ go, zones }: Task): Pick<StepState, "state" | "until" | "untilCareful"> => {
    const wet = wetBeside({ zones, go }, films);
    if (wet.length === 0) return { state: "ready", until: null, untilCareful: null };
    return { state: "waiting", until: Math.max(...wet.map(({ until }) => until)), untilCareful: Math.max(...wet.map(({ untilCareful }) => untilCareful)) };
  };
  const states = new Map<StepId, StepState>();
  const steps = candidate.zones.flatMap((zone) => zone.steps);
  for (const step of steps) {
    if (step.done) states.set(step.id, { state: "done", done: step.coats, of: step.coats, until: null, untilCareful: null });
    const twins = step.group === undefined ? [step.id] : steps.filter((one) => one.group === step.group).map((one) => one.id);
    const tasks = work.tasks.filter((task) => twins.includes(task.stepId));
    if (tasks.length === 0) continue;
    const ends = tasks.flatMap((task) => done.get(task.id) ?? []);
    const count = step.done ? { done: step.coats, of: step.coats } : { done: ends.length, of: tasks.length };
    const next = tasks.find((task) => !done.has(task.id));
    if (!next) {
      const wet = films.filter(({ task }) => tasks.includes(task));
      states.set(
        step.id,
        wet.length > 0
          ? {
              ...count,
              state: "wet",
              until: Math.max(...wet.map(({ until }) => until)),
              untilCareful: Math.max(...wet.map(({ untilCareful }) => untilCareful)),
            }
          : { ...count, state: "done", until: null, untilCareful: null },
      );
      continue;
    }
    const at = openAt(next.after);
    if (at === null) states.set(step.id, { ...count, state: "to-come", until: null, untilCareful: null });
    else if (at > now) states.set(step.id, { ...count, state: "waiting", until: at, untilCareful: openCareful(next.after) });
    else states.set(step.id, { ...count, ...heldBy(next) });
  }
  return states;
}
