import type { Calendar } from "#core/schedule/together/calendar";
import type { InSitting } from "#core/formats/stores/calendar";
import type { Candidate } from "#core/coating/model/plan";
import type { Step } from "#core/coating/model/step";
import { workLeft } from "#core/logbook/bench/work-left";
import { datesFrom } from "#core/logbook/bench/order";
import { timeZoneHere } from "~/components/time-zone";
import { keptPieces } from "~/piece/kept-piece";
import type { KeptPiece } from "~/piece/kept-piece";
import { keyOf } from "~/piece/worked-out.client";
import { keptOverview } from "~/store/listing";
import type { Database } from "~/store/database";
import { pieceDatesFor, scheduleFor, whatIfFor } from "~/workers/schedule.client";
import type { AllIfs, PieceDates, ScheduleQuestion } from "~/workers/schedule-worker-api";
import { curesLookedFor } from "./cures.client";
import type { Cured, Cures } from "./cures.client";
import { handsFor } from "./hands";
import type { Common } from "./hands";
import { toldLooking } from "./looking";
import { commonIn, isOn, onTable, tableOf } from "./on-table.client";

/** A piece of the calendar, as it is told. */
export interface TablePiece {
  readonly id: string;
  readonly name: string;
  readonly count: number;
  readonly due: string;
  readonly steps: Readonly<Record<string, Step>>;
  /** Places it is worked at. */
  readonly places: number;
}

/** All pieces against the days. */
export interface CalendarView {
  /** Null where the free hours do not suffice. */
  readonly calendar: Calendar | null;
  readonly pieces: ReadonlyMap<string, TablePiece>;
  /** Names of those for which nothing can be planned. */
  readonly without: readonly string[];
  /** With the room that was said there would be too many loads. */
  readonly tooLittleRoom: boolean;
  /** Instant, ms, it is laid out from. */
  readonly now: number;
}

/** A piece that is on no day: it is not begun, and nobody has said when it is needed. */
export interface OffTable {
  readonly id: string;
  readonly name: string;
}

/** The dates of a piece, with the plan they are dates of. */
export interface PlannedDates extends PieceDates {
  readonly shown: Candidate;
  /** Other pieces on the table. */
  readonly others: number;
}

/** Days that are laid out at least: six weeks, so that a month is whole. */
const LEAST_DAYS = 42;

/** The first schedule, and the best that will be found. */
export interface Laid {
  readonly first: CalendarView;
  readonly best: Promise<CalendarView>;
  /** What would change, were something done about all of it; worked out once the best is found. */
  readonly ifs: Promise<AllIfs>;
  /** What would help the pieces that are late; worked out before that. */
  readonly cures: Promise<readonly Cured[]>;
  /** What was put into a sitting when it was laid out. */
  readonly held: readonly InSitting[];
}

function laidOut({ question, rest, held, kept, common }: OnTable): Promise<Laid> {
  let show: (calendar: Calendar) => void;
  let over = false;
  const shown = new Promise<Calendar>((resolve) => (show = resolve));
  const last = question.then((asked) =>
    scheduleFor(asked, ({ calendar, tried, of }) => {
      // What is told may come in after the answer.
      if (!over) toldLooking({ what: "orders", done: tried, of });
      if (calendar) show(calendar);
    }),
  );
  const view = async (calendar: Promise<Calendar | null>): Promise<CalendarView> => ({ calendar: await calendar, ...(await rest) });
  const best = view(last);
  const quiet = () => {
    over = true;
    toldLooking(null);
  };
  best.then(quiet, quiet);
  // Whoever shows it tells of a failure.
  best.catch(() => undefined);
  const asked = question.then((of): Cures => ({ question: of, kept, common }));
  const cures = best.then(({ calendar }) => curesLookedFor(calendar, asked));
  const ifs = cures.then(
    async () => whatIfFor(await question),
    async () => whatIfFor(await question),
  );
  for (const one of [asked, cures, ifs]) one.catch(() => undefined);
  return view(Promise.race([shown, last])).then((first) => ({ first, best, ifs, cures, held }));
}

/** All that is on the table, and what is asked of it. */
interface OnTable {
  readonly question: Promise<ScheduleQuestion>;
  readonly rest: Promise<Omit<CalendarView, "calendar">>;
  readonly held: readonly InSitting[];
  readonly kept: readonly KeptPiece[];
  readonly common: Common;
  readonly off: readonly OffTable[];
  readonly on: number;
}

/** Nothing is left to do on it: its overview says so, and need not be worked out anew. */
async function isFinished(db: Database, kept: KeptPiece, now: number): Promise<boolean> {
  return (await keptOverview(db, kept.record.id, keyOf(kept), now))?.finished === true;
}

/**
 * Looks through all pieces that are begun or wanted by a day.
 *
 * @param about the piece that is looked at: it is among them in any case, and the others may wait
 */
async function onTheTable(db: Database, about?: string): Promise<OnTable> {
  const [all, common] = await Promise.all([keptPieces(db), commonIn(db)]);
  const { goal, held } = common.record;
  const now = datesFrom(Date.now());
  const isAbout = ({ record: { id } }: KeptPiece) => id === about;
  const on: KeptPiece[] = [];
  for (const kept of all) if (isAbout(kept) || (isOn(kept) && !(await isFinished(db, kept, now)))) on.push(kept);
  let looked = 0;
  const tables = Promise.all(
    on.map(async (kept) => {
      const beside = about !== undefined && !isAbout(kept);
      // Another piece that cannot be planned takes nothing from the one that is looked at.
      const table = await (beside ? tableOf(kept, true).catch(() => null) : tableOf(kept, false));
      if (about === undefined) toldLooking({ what: "pieces", done: ++looked, of: on.length });
      return { kept, table };
    }),
  );
  const open = tables.then((list) =>
    list.flatMap(({ kept, table }) =>
      table && (isAbout(kept) || table.work.tasks.some(({ id }) => !table.done.has(id))) ? [{ kept, table, lies: onTable(kept, table, common) }] : [],
    ),
  );
  const question = open.then((list): ScheduleQuestion => {
    const all = list.map(({ lies }) => lies);
    const { hours, hands, places } = handsFor(all, common);
    return { hours, timeZone: timeZoneHere(), start: now, goal, hands, places, days: LEAST_DAYS, pieces: all.map(workLeft) };
  });
  const rest = Promise.all([tables, open]).then(([list, here]) => ({
    pieces: new Map(
      here.map(({ kept: { record: of }, table: { steps, places: spots } }) => {
        const { name, count = 1 } = of.piece;
        return [of.id as string, { id: of.id, name, count, due: of.dates?.due ?? "", steps, places: spots }] as const;
      }),
    ),
    tooLittleRoom: handsFor(
      here.map(({ lies }) => lies),
      common,
    ).tooLittleRoom,
    without: list.flatMap(({ kept, table }) => (table ? [] : [kept.record.piece.name])),
    now,
  }));
  // Whoever waits for the question is told of a failure.
  rest.catch(() => undefined);
  const off = all.filter((kept) => kept.record.putAway === undefined && !isOn(kept)).map(({ record: of }) => ({ id: of.id, name: of.piece.name }));
  return { question, rest, held, kept: on, common, off, on: on.length };
}

/** Dates all pieces that are begun or wanted by a day, together. */
export async function calendarLaid(db: Database): Promise<{ readonly laid: Promise<Laid>; readonly off: readonly OffTable[]; readonly on: number }> {
  const table = await onTheTable(db);
  return { laid: laidOut(table), off: table.off, on: table.on };
}

/** The dates of a piece among all that are on the table; null when there is no plan to date. */
export async function pieceDates(db: Database, kept: KeptPiece): Promise<PlannedDates | null> {
  const { id } = kept.record;
  const { question } = await onTheTable(db, id);
  const [asked, table] = await Promise.all([question, tableOf(kept, false)]);
  return table ? { ...(await pieceDatesFor(asked, id)), shown: table.shown, others: asked.pieces.length - 1 } : null;
}
