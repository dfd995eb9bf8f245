import { useState } from "react";
import type { ReactNode } from "react";
import { Link } from "react-router";
import { dateOf } from "#core/schedule/free-hours";
import { tasksIn } from "#core/schedule/together/calendar";
import type { CalendarDay, DayAct } from "#core/schedule/together/calendar";
import type { CalendarRecord, InSitting } from "#core/formats/stores/calendar";
import { perform } from "~/actions/perform";
import { useAsk } from "~/actions/use-ask";
import type { CalendarView, Laid as LaidOut } from "~/calendar/table.client";
import { Awaited, useAnswer } from "~/components/awaited";
import { Looks, useLook } from "~/components/looks";
import type { LookTab } from "~/components/looks";
import { RoomError } from "~/components/room-error";
import { timeZoneHere } from "~/components/time-zone";
import { useMenu } from "~/components/use-menu";
import { useSetParam } from "~/components/use-set-param";
import type { Route } from "./+types/route";
import { CALENDAR_INTENTS } from "./calendar-asks";
import type { CalendarAsk } from "./calendar-asks";
import { DayInWords } from "./day-in-words";
import { DaysGrid } from "./days-grid";
import { Followed } from "./followed";
import { LookingOn } from "./looking-on";
import { inSittings, Manner, Standing } from "./manner";
import { NextUp } from "./next-up";
import { Off } from "./off";
import { Out } from "./out";
import { Tracks } from "./tracks";
import { Troubles } from "./troubles";
import { WhatIfs } from "./what-ifs";

export async function clientLoader() {
  const [{ database }, { calendarLaid }, { calendarIn }] = await Promise.all([
    import("~/store/open.client"),
    import("~/calendar/table.client"),
    import("~/store/calendar"),
  ]);
  const db = await database();
  return { ...(await calendarLaid(db)), record: await calendarIn(db) };
}
clientLoader.hydrate = true as const;

export async function clientAction({ request }: Route.ClientActionArgs) {
  const [{ database }, calendar] = await Promise.all([import("~/store/open.client"), import("~/store/calendar")]);
  const db = await database();
  const quiet = async (work: Promise<void>) => (await work, null);
  return perform<CalendarAsk, null>(request, CALENDAR_INTENTS, {
    manner: ({ chosen }, by) => quiet(calendar.setCalendar(db, chosen, by)),
    agree: ({ agreed }, by) => quiet(calendar.agreeOn(db, agreed, by)),
    anew: (_ask, by) => quiet(calendar.layAnew(db, by)),
    move: ({ moves, standing }, by) => quiet(calendar.putInto(db, moves, standing, by)),
    "let-go": ({ tasks }, by) => quiet(calendar.letGo(db, tasks, by)),
  });
}

export function HydrateFallback() {
  return <p>Laying the days out…</p>;
}

export function ErrorBoundary() {
  return <RoomError />;
}

const LOOKS = [
  { id: "weeks", name: "Two weeks" },
  { id: "month", name: "Month" },
  { id: "day", name: "Day by day", short: "Days" },
  { id: "pieces", name: "Piece by piece", short: "Pieces" },
] as const satisfies readonly LookTab<string>[];

/** All pieces against the days: what is done when, by one pair of hands, in the hours that are free. */
export default function CalendarRoom({ loaderData }: Route.ComponentProps) {
  const { laid, off, on, record } = loaderData;
  return (
    <>
      <title>Calendar – Nook Coat</title>
      <h1 className="text-3xl">Calendar</h1>
      {on === 0 ? (
        <p className="mt-3 max-w-prose">
          Nothing is on the table yet. Mark a first coat as done on a piece, or say when it is needed under its Dates, and its work is laid into your free hours
          here.
        </p>
      ) : (
        <Awaited of={laid} waiting={<LookingOn />}>
          {(laidOut, busy) => <Laid laid={laidOut} record={record} busy={busy} />}
        </Awaited>
      )}
      <Off off={off} />
    </>
  );
}

/** Work that was moved, and what the calendar was before. */
interface Moved {
  readonly before: CalendarView;
  readonly tasks: ReadonlySet<string>;
  /** The sitting it was put into, ISO 8601. */
  readonly at: string;
}

const NO_TASKS: ReadonlySet<string> = new Set();

/** What came of a move is told once it is laid out with it. */
const isLaid = ({ tasks, at }: Moved, held: CalendarRecord["held"]) => {
  const keys = new Set(held.flatMap(({ piece, task, at: put }) => (put === at ? [`${piece}/${task}`] : [])));
  return [...tasks].every((key) => keys.has(key));
};

/** The tasks of acts, each once: loads of one batch have the same. */
const keysOf = (acts: readonly DayAct[]) => [...new Map(acts.flatMap(tasksIn).map(({ piece, task }) => [`${piece}/${task}`, { piece, task }])).values()];

function Laid({ laid, record, busy }: { laid: LaidOut; record: CalendarRecord; busy: boolean }) {
  const { first, best, ifs, cures, held } = laid;
  const found = useAnswer(best);
  const shown = found ?? first;
  const { calendar, pieces, now, without, tooLittleRoom } = shown;
  const ask = useAsk<CalendarAsk>("/calendar");
  const menu = useMenu();
  const [look, show] = useLook(LOOKS);
  const [chosen, choose] = useSetParam("day");
  const [moved, setMoved] = useState<Moved | null>(null);
  const [cured, setCured] = useState<{ readonly before: CalendarView; readonly laid: LaidOut; readonly title: string; readonly about: string } | null>(null);
  const today = dateOf(now, timeZoneHere());
  if (!calendar)
    return (
      <p role="alert" className="notice mt-4 bg-stop-tint">
        Your free hours do not suffice: no stretch is long enough for one of the coats, or there is none at all.{" "}
        <Link to="/settings#hours" className="underline">
          Say when you are free
        </Link>
        .
      </p>
    );
  const day = calendar.days.find(({ date }) => date === chosen) ?? calendar.days.find(({ date }) => date === today) ?? calendar.days[0]!;
  const put = (acts: readonly DayAct[], to: CalendarDay) => {
    const sitting = to.sittings[0];
    if (!sitting) return;
    const tasks = keysOf(acts);
    const at = new Date(sitting.from).toISOString();
    setCured(null);
    setMoved({ before: shown, at, tasks: new Set(tasks.map(({ piece, task }) => `${piece}/${task}`)) });
    ask({ intent: "move", moves: tasks.map((task): InSitting => ({ ...task, at })), standing: inSittings(calendar) });
    choose(to.date);
  };
  const letGo = (acts: readonly DayAct[]) => ask({ intent: "let-go", tasks: keysOf(acts) });
  const words = (of: CalendarDay) => <DayInWords day={of} days={calendar.days} pieces={pieces} menu={menu} now={now} put={put} letGo={letGo} />;
  const grid = (weeks: number) => (
    <div className="grid gap-5 xl:grid-cols-[minmax(0,1fr)_20rem]">
      <DaysGrid calendar={calendar} weeks={weeks} day={day.date} today={today} choose={choose} put={put} pieces={pieces} menu={menu} />
      {words(day)}
    </div>
  );
  return (
    <div aria-busy={busy} data-calendar>
      <div className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-2 print:hidden">
        <NextUp calendar={calendar} pieces={pieces} menu={menu} now={now} />
        <Standing record={record} calendar={calendar} ask={ask} />
      </div>
      <Troubles
        calendar={calendar}
        pieces={pieces}
        without={without}
        tooLittleRoom={tooLittleRoom}
        now={now}
        cures={cures}
        pressed={(title, about) => (setMoved(null), setCured({ before: shown, laid, title, about }))}
        keep={record.agreed.length > 0 ? () => ask({ intent: "agree", agreed: inSittings(calendar) }) : null}
      />
      {moved && !busy && isLaid(moved, held) && <Followed key={moved.at} title="Moved" moved={moved} after={shown} close={() => setMoved(null)} now={now} />}
      {cured && cured.laid !== laid && found && (
        <Followed
          key={`${cured.about} ${cured.title}`}
          title={`Done: ${cured.title}`}
          about={cured.about}
          moved={{ before: cured.before, tasks: NO_TASKS }}
          after={found}
          close={() => setCured(null)}
          now={now}
        />
      )}
      <div className="min-h-7">
        <LookingOn quiet />
      </div>
      <Looks
        label="How it is laid out"
        looks={LOOKS}
        look={look}
        show={show}
        className="print:hidden"
        parts={{
          weeks: () => grid(2),
          month: () => grid(6),
          day: () => <AllDays days={calendar.days} words={words} />,
          pieces: () => <Tracks calendar={calendar} pieces={pieces} menu={menu} now={now} />,
        }}
      />
      <WhatIfs ifs={ifs} pieces={pieces} now={now} />
      <Manner record={record} ask={ask} />
      <Out calendar={calendar} pieces={pieces} menu={menu} now={now} />
    </div>
  );
}

/** Days in words that are shown at once. */
const DAYS_AT_ONCE = 10;

function AllDays({ days, words }: { days: readonly CalendarDay[]; words: (day: CalendarDay) => ReactNode }) {
  const [most, setMost] = useState(DAYS_AT_ONCE);
  const busy = days.filter(({ sittings, due, ready }) => sittings.some(({ acts }) => acts.length > 0) || due.length > 0 || ready.length > 0);
  return (
    <div className="grid max-w-4xl gap-4">
      {busy.slice(0, most).map((day) => (
        <div key={day.date}>{words(day)}</div>
      ))}
      {busy.length > most && (
        <button type="button" className="button w-fit" onClick={() => setMost(most + DAYS_AT_ONCE)}>
          {busy.length - most} more days
        </button>
      )}
    </div>
  );
}
