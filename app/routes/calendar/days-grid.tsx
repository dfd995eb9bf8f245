import { closestCenter, DndContext, useDraggable, useDroppable } from "@dnd-kit/core";
import { CSS } from "@dnd-kit/utilities";
import { ChevronLeft, ChevronRight, Flag, PackageCheck, Pin } from "lucide-react";
import { format, parseISO } from "date-fns";
import type { Menu } from "#core/catalogue/menu";
import { dayLater, MS_PER_MIN } from "#core/schedule/free-hours";
import { mondayOf } from "#core/schedule/together/calendar";
import type { Calendar, CalendarDay, DayAct } from "#core/schedule/together/calendar";
import { sayDuration, sayHours } from "#core/units/duration";
import { namesOf, partsWords, runTitle, stepOf } from "~/calendar/act-words";
import { actsTold, runsOf } from "#core/schedule/together/runs";
import type { Run } from "#core/schedule/together/runs";
import type { TablePiece } from "~/calendar/table.client";
import { sayTimes } from "~/components/time-words";
import { ToolButton } from "~/components/tool-button";
import { useSetParam } from "~/components/use-set-param";
import { useDayDrag } from "./use-day-drag";

interface Props {
  readonly calendar: Calendar;
  readonly weeks: number;
  /** The day that is opened, and today: "YYYY-MM-DD". */
  readonly day: string;
  readonly today: string;
  readonly choose: (date: string) => void;
  readonly put: (acts: readonly DayAct[], to: CalendarDay) => void;
  readonly pieces: ReadonlyMap<string, TablePiece>;
  readonly menu: Menu;
}

const DAYS_A_WEEK = 7;
/** Weeks from which on a day tells only how much there is on it. */
const BRIEF_FROM_WEEKS = 3;
/** Things of a day that are shown in its cell. */
const MOST_CHIPS = 5;

/** Weeks of days, Monday first: what is done on each, how full it is, what is due; work is dragged to another day. */
export function DaysGrid({ calendar, weeks, day, today, choose, put, pieces, menu }: Props) {
  const nameOf = (run: Run) => `${runTitle(run, pieces, menu)}: ${partsWords(actsTold(run)[0]!, pieces)}`;
  const drag = useDayDrag(calendar.days, nameOf, put);
  const [from, setFrom] = useSetParam("from");
  // Two weeks begin with today; a month begins with its Monday.
  const start = (date: string) => (weeks >= BRIEF_FROM_WEEKS ? mondayOf(date) : date);
  const earliest = start(today);
  const first = from === null || start(from) < earliest ? earliest : start(from);
  const known = new Map(calendar.days.map((one) => [one.date, one]));
  const dates = Array.from({ length: weeks * DAYS_A_WEEK }, (_unused, k) => dayLater(first, k));
  const last = calendar.days.at(-1)!.date;
  const step = (by: number) => {
    const next = dayLater(first, by * DAYS_A_WEEK);
    setFrom(next <= earliest ? null : next);
  };
  return (
    <section aria-label={`${weeks} weeks from ${format(parseISO(first), "d MMMM")}`}>
      <div className="mb-2 flex items-center gap-2 print:hidden">
        <ToolButton icon={ChevronLeft} label="Earlier" disabled={first <= earliest} onClick={() => step(-weeks)} />
        <p className="min-w-40 text-center font-display text-lg">
          {format(parseISO(first), "d MMM")} – {format(parseISO(dates.at(-1)!), "d MMM")}
        </p>
        <ToolButton icon={ChevronRight} label="Later" disabled={dates.at(-1)! >= last} onClick={() => step(weeks)} />
      </div>
      <DndContext collisionDetection={closestCenter} {...drag}>
        <ol className="grid gap-1 sm:grid-cols-7" data-days>
          {dates.map((date) => (
            <Cell
              key={date}
              date={date}
              day={known.get(date)}
              open={date === day}
              today={date === today}
              brief={weeks >= BRIEF_FROM_WEEKS}
              choose={choose}
              pieces={pieces}
              menu={menu}
            />
          ))}
        </ol>
      </DndContext>
    </section>
  );
}

interface CellProps extends Pick<Props, "choose" | "pieces" | "menu"> {
  readonly date: string;
  /** Absent: it is past, or beyond what is laid out. */
  readonly day: CalendarDay | undefined;
  readonly open: boolean;
  readonly today: boolean;
  readonly brief: boolean;
}

function Cell({ date, day, open, today, brief, choose, pieces, menu }: CellProps) {
  const free = day?.sittings ?? [];
  const { setNodeRef, isOver } = useDroppable({ id: date, disabled: free.length === 0 });
  const at = parseISO(date);
  const acts = free.flatMap((one) => one.acts);
  const runs = free.flatMap((one) => runsOf(one.acts));
  const shown = runs.length > MOST_CHIPS ? runs.slice(0, MOST_CHIPS - 1) : runs;
  const isEmpty = !day || (free.length === 0 && day.due.length === 0 && day.ready.length === 0);
  return (
    <li
      ref={setNodeRef}
      data-date={date}
      className={`min-w-0 rounded border-2 p-1 ${brief ? "sm:min-h-20" : "sm:min-h-36"} ${isEmpty ? "border-transparent bg-transparent text-soft max-sm:hidden" : "bg-sheet"} ${
        isEmpty ? "" : isOver ? "border-act" : open ? "border-ink" : "border-line"
      }`}
    >
      <button
        type="button"
        className="flex min-h-8 w-full items-baseline justify-between gap-1 text-left"
        aria-current={today ? "date" : undefined}
        aria-pressed={open}
        disabled={!day}
        onClick={() => choose(date)}
      >
        <span className={today ? "font-bold underline decoration-act decoration-4 underline-offset-4" : ""}>
          {format(at, "EEE d")}
          <span className="sr-only"> {format(at, "MMMM")}</span>
        </span>
        {acts.length > 0 && <span className="text-sm text-soft tabular-nums">{sayHours(free.reduce((sum, one) => sum + one.busyMin, 0))}</span>}
      </button>
      {free.length > 0 && <Fill day={day!} />}
      <Marks day={day} pieces={pieces} />
      {brief
        ? acts.length > 0 && <p className="text-sm text-soft">{runs.length === 1 ? "one thing" : `${runs.length} things`}</p>
        : acts.length > 0 && (
            <ul className="mt-1 grid gap-1">
              {shown.map((run) => (
                <RunChip key={run[0].id} run={run} date={date} pieces={pieces} menu={menu} />
              ))}
              {runs.length > shown.length && <li className="text-sm text-soft">and {runs.length - shown.length} more</li>}
            </ul>
          )}
    </li>
  );
}

/** How full the free hours of a day are. */
function Fill({ day: { sittings } }: { day: CalendarDay }) {
  const busy = sittings.reduce((sum, one) => sum + one.busyMin, 0);
  const free = sittings.reduce((sum, one) => sum + one.to - one.from, 0) / MS_PER_MIN;
  const said = `${sittings.map(({ from, to }) => sayTimes(from, to)).join(", ")} free, ${busy > 0 ? sayDuration(busy) : "none"} of it used`;
  return (
    <span role="img" aria-label={said} title={said} className="block h-1.5 overflow-hidden rounded-full border border-soft bg-paper">
      <span className="block h-full bg-act" style={{ width: `${Math.min(100, (100 * busy) / free)}%` }} />
    </span>
  );
}

/** What is due on a day, and what may be handled from it on. */
function Marks({ day, pieces }: { day: CalendarDay | undefined; pieces: CellProps["pieces"] }) {
  if (!day) return null;
  return (
    <>
      {day.due.length > 0 && (
        <p className="mt-1 text-sm font-bold text-stop">
          <Flag aria-hidden size={14} className="mr-1 inline" />
          Due: {namesOf(day.due, pieces)}
        </p>
      )}
      {day.ready.length > 0 && (
        <p className="mt-1 text-sm text-ready">
          <PackageCheck aria-hidden size={14} className="mr-1 inline" />
          Ready: {namesOf(day.ready, pieces)}
        </p>
      )}
    </>
  );
}

function RunChip({ run, date, pieces, menu }: { run: Run; date: string } & Pick<CellProps, "pieces" | "menu">) {
  const [first] = run;
  const { setNodeRef, attributes, listeners, transform, isDragging } = useDraggable({ id: first.id, data: { date } });
  const [title, on] = [runTitle(run, pieces, menu), partsWords(actsTold(run)[0]!, pieces)];
  const colour = stepOf(first, pieces)?.colour;
  return (
    <li className="min-w-0">
      <div
        ref={setNodeRef}
        {...attributes}
        {...listeners}
        aria-label={`${title}: ${on}`}
        title={`${title}: ${on}`}
        style={{ transform: CSS.Translate.toString(transform) }}
        className={`cursor-grab touch-manipulation rounded border border-line bg-paper px-1 py-0.5 text-sm leading-tight ${isDragging ? "relative z-10 shadow-lg" : ""}`}
        data-run={first.id}
      >
        <span className="line-clamp-2 font-bold">
          {colour && (
            <span aria-hidden className="mr-1 inline-block size-3 rounded-full border border-soft align-baseline" style={{ backgroundColor: colour }} />
          )}
          {first.held && <Pin aria-label="put here by you" size={14} className="mr-1 inline text-act" />}
          {on}
        </span>
        <span className="block truncate text-soft">{title}</span>
      </div>
    </li>
  );
}
