import { plainZone } from "../../catalogue/vocabulary";
import type { ZoneId } from "../../catalogue/vocabulary";
import type { StepId } from "../../catalogue/ids";
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

/** Parts of a piece that lie on the table by themselves. */
const APART: ReadonlySet<string> = new Set(["saucer", "lid", "parts"]);

/** What a zone is taken in the hand with: the piece itself, or a part of it. */
function bodyOfZone(zone: ZoneId): string {
  const plain = plainZone(zone);
  return APART.has(plain) ? plain : "piece";
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

/** What is laid in one go with a coat: its own act, in other places, is worked on at once. */
export interface SameGo {
  readonly stepIds: readonly StepId[];
  readonly coat: number;
}

/**
 * Wet films in the way of a hand that works elsewhere on the same body: it would have to be held by them. Of its own places the waits of the plan
 * say when a film may be worked over.
 *
 * @param zones where the hand works
 * @param go what it lays there: what it has laid of it in other places it goes on from
 */
export function wetBeside(zones: readonly ZoneId[], films: readonly WetFilm[], go: SameGo): readonly WetFilm[] {
  const own = new Set(zones.map(plainZone));
  const bodies = new Set(zones.map(bodyOfZone));
  const isOther = ({ task }: WetFilm) => task.coat !== go.coat || !go.stepIds.includes(task.stepId);
  return films.filter(
    (film) => isOther(film) && film.zones.some((zone) => bodies.has(bodyOfZone(zone))) && !film.zones.some((zone) => own.has(plainZone(zone))),
  );
}
