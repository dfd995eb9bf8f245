import { USUAL_CALENDAR } from "#core/formats/stores/calendar";
import type { CalendarRecord, InSitting } from "#core/formats/stores/calendar";
import { runCommand } from "./command";
import type { By } from "./command";
import type { Database } from "./database";
import type { Recorder } from "./recorder";

/** How the work of all pieces is laid into the free hours; the usual way until the user has said. */
export async function calendarIn(db: Database): Promise<CalendarRecord> {
  return (await db.get("calendar", "calendar")) ?? USUAL_CALENDAR;
}

type OfPiece = Pick<InSitting, "piece" | "task">;
const same = (one: OfPiece) => (other: OfPiece) => one.piece === other.piece && one.task === other.task;
const without = (list: readonly InSitting[], taken: readonly OfPiece[]) => {
  const keys = new Set(taken.map(({ piece, task }) => `${piece}/${task}`));
  return list.filter(({ piece, task }) => !keys.has(`${piece}/${task}`));
};

function change(db: Database, what: string, make: (current: CalendarRecord) => Partial<CalendarRecord>, by: By): Promise<void> {
  return runCommand(
    db,
    what,
    "calendar",
    ["calendar", "pieces"],
    async (recorder) => {
      const stored = await recorder.get("calendar", "calendar");
      // A calendar too damaged to be read is begun anew.
      const current = stored && recorder.fits("calendar", stored) ? stored : { ...USUAL_CALENDAR, rev: stored?.rev ?? 0 };
      const pieces = new Set((await recorder.all("pieces")).map(({ id }) => id as string));
      const made = { ...current, ...make(current) };
      // What belongs to a piece that is gone is let go of.
      const ofPieces = (list: readonly InSitting[]) => list.filter(({ piece }) => pieces.has(piece));
      const next = { ...made, agreed: ofPieces(made.agreed), held: ofPieces(made.held), rev: current.rev + 1 };
      if (JSON.stringify({ ...next, rev: 0 }) === JSON.stringify({ ...current, rev: 0 })) return;
      await recorder.put("calendar", next);
    },
    by,
  );
}

/** What the schedule is after, how many pairs of hands there are, and how much room. */
export function setCalendar(db: Database, chosen: Partial<Pick<CalendarRecord, "goal" | "hands" | "rackPlaces" | "ovenPlaces">>, by: By = {}): Promise<void> {
  return change(db, "how the calendar is laid out", () => chosen, by);
}

/** The dates as they stand are agreed on. */
export function agreeOn(db: Database, agreed: readonly InSitting[], by: By = {}): Promise<void> {
  return change(db, "keeping the dates", () => ({ agreed }), by);
}

/** All dates are free again, but for what was put into a sitting by hand. */
export function layAnew(db: Database, by: By = {}): Promise<void> {
  return change(db, "laying the dates anew", () => ({ agreed: [] }), by);
}

/**
 * Puts tasks into a sitting: agreed dates of theirs go along.
 *
 * @param standing all dates as they were shown: from now on the others stand, where none did
 */
export function putInto(db: Database, moves: readonly InSitting[], standing: readonly InSitting[], by: By = {}): Promise<void> {
  return change(
    db,
    "moving work to another sitting",
    ({ agreed, held }) => ({
      held: [...without(held, moves), ...moves],
      agreed: (agreed.length > 0 ? agreed : standing).map((one) => moves.find(same(one)) ?? one),
    }),
    by,
  );
}

/** Tasks that were put into a sitting may go where they are best again. */
export function letGo(db: Database, tasks: readonly OfPiece[], by: By = {}): Promise<void> {
  return change(db, "letting work go where it is best", ({ held }) => ({ held: without(held, tasks) }), by);
}

/** Hands are on tasks of a piece: they may go where they are best again, as part of what notes it. */
export async function letGoOf(recorder: Recorder, piece: string, tasks: ReadonlySet<string>): Promise<void> {
  const calendar = await recorder.get("calendar", "calendar");
  const isLetGo = (one: InSitting) => one.piece === piece && tasks.has(one.task);
  if (!calendar?.held.some(isLetGo)) return;
  await recorder.put("calendar", { ...calendar, rev: calendar.rev + 1, held: calendar.held.filter((one) => !isLetGo(one)) });
}
