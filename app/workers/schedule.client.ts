import { proxy } from "comlink";
import type { Calendar } from "#core/schedule/together/calendar";
import { keptRunning } from "./running";
import type { AllIfs, PieceDates, ScheduleNews, ScheduleQuestion, ScheduleWorkerApi, Tried, Variant } from "./schedule-worker-api";

const { running: scheduler, asked } = keptRunning<ScheduleWorkerApi>(
  () => new Worker(new URL("./schedule.worker.ts", import.meta.url), { type: "module" }),
  () => new Error("laying out the calendar stopped; open it again"),
);

/**
 * Dates all pieces together.
 *
 * @param told hears the first schedule, every better one, and how far it is
 * @returns the last; null where the free hours do not suffice
 */
export function scheduleFor(question: ScheduleQuestion, told: (news: ScheduleNews) => void): Promise<Calendar | null> {
  return asked(
    (api, heard) =>
      api.schedule(
        question,
        proxy((news: ScheduleNews) => (heard(), told(news))),
      ) as Promise<Calendar | null>,
  );
}

/** The dates of one of the pieces among all. */
export function pieceDatesFor(question: ScheduleQuestion, piece: string): Promise<PieceDates> {
  return asked((api) => api.dates(question, piece) as Promise<PieceDates>);
}

/** What would change, were something done about all pieces. */
export function whatIfFor(question: ScheduleQuestion): Promise<AllIfs> {
  return asked((api) => api.whatIf(question) as Promise<AllIfs>);
}

/**
 * What would help a piece that is late.
 *
 * @param late how late each piece is, ms
 */
export function curesFor(
  question: ScheduleQuestion,
  piece: string,
  late: ReadonlyMap<string, number>,
  variants: readonly Variant[],
): Promise<readonly Tried[]> {
  return asked((api) => api.cures(question, piece, late, variants) as Promise<readonly Tried[]>);
}

/** How many of a batch would be in time. */
export function inTimeFor(question: ScheduleQuestion, piece: string): Promise<number | null> {
  return asked((api) => api.inTimeOf(question, piece) as Promise<number | null>);
}

/** No better one is looked for. */
export function enoughOfSchedule(): void {
  void scheduler().api.enough();
}
