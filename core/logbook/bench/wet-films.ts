import { isHeldBy } from "../../coating/facts/same-body";
import type { InHand } from "../../coating/facts/same-body";
import type { ZoneId } from "../../catalogue/vocabulary";
import type { Step } from "../../coating/model/step";
import type { Task } from "../../coating/facts/task";
import { clocksFrom, waitedFrom } from "../../schedule/drying-clock";
import { MS_PER_MIN } from "../../schedule/free-hours";
import type { BenchPiece } from "./bench-piece";
import { begunTasks } from "./begun";

/** A film on a piece that must not be touched yet. */
export interface WetFilm {
  readonly task: Task;
  readonly step: Step;
  readonly zones: readonly ZoneId[];
  /** Instant, ms, at which it was laid. */
  readonly end: number;
  /** Instants, ms, at which it is dry to the touch: usual and careful. */
  readonly until: number;
  readonly untilCareful: number;
}

/**
 * Films of a piece that are wet, the one that dries last first.
 *
 * @param now instant, ms
 * @param timeZone where the piece dries, IANA name
 */
export function wetFilms(piece: Pick<BenchPiece, "shown" | "work" | "done" | "progress">, now: number, timeZone: string): readonly WetFilm[] {
  const { shown, work, done } = piece;
  // Of a batch under way some pieces have it: they are wet as well.
  const begun = begunTasks(piece);
  const steps = new Map(shown.zones.flatMap((zone) => zone.steps).map((step) => [step.id, step] as const));
  const [clock, careful] = [false, true].map((slow) => clocksFrom(now, timeZone, slow)) as [ReturnType<typeof clocksFrom>, ReturnType<typeof clocksFrom>];
  return work.tasks
    .flatMap((task): WetFilm[] => {
      const [end, step] = [done.get(task.id) ?? begun.get(task.id)?.ends.at(-1), steps.get(task.stepId)];
      const { touch } = task;
      if (end === undefined || !step || !touch) return [];
      const dry = (min: number, clocks: typeof clock) => waitedFrom(end, min * MS_PER_MIN, clocks(touch.by, work.room));
      const until = dry(touch.typicalMin, clock);
      if (until <= now) return [];
      return [{ task, step, zones: task.zones, end, until, untilCareful: Math.max(until, dry(touch.cautiousMin, careful)) }];
    })
    .sort((one, other) => other.until - one.until);
}

/**
 * Wet films in the way of a hand that works elsewhere on the same body: it would have to be held by them.
 *
 * @param work where the hand works, and what it lays there: what it has laid of it in other places it goes on from
 */
export function wetBeside(work: InHand, films: readonly WetFilm[]): readonly WetFilm[] {
  return films.filter(({ task }) => isHeldBy(work, { zones: task.zones, go: task.go }));
}
