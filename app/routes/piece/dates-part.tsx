import { useEffect, useMemo, useState } from "react";
import { Link } from "react-router";
import { format } from "date-fns";
import type { Candidate } from "#core/coating/model/plan";
import type { Step } from "#core/coating/model/step";
import type { Keeping } from "#core/coating/planner/plan-with-edits";
import type { PieceRecord } from "#core/formats/stores/pieces";
import type { DatedTask, Dates } from "#core/schedule/date-work";
import type { DatedPlan } from "#core/schedule/dates-of";
import { dateOf, instantOf } from "#core/schedule/free-hours";
import type { Menu } from "#core/catalogue/menu";
import { sayDuration } from "#core/units/duration";
import { coatWords, sayClock, sayDay, stepTitle, zoneNames } from "~/components/words";
import { useAppContext } from "~/components/app-context";

interface Props {
  readonly record: PieceRecord;
  readonly keeping: Keeping;
  readonly shown: Candidate;
  readonly done: ReadonlyMap<string, number>;
  readonly menu: Menu;
  readonly setDates: (dates: { readonly start?: string; readonly due?: string }) => void;
}

/** Dates are worked out to the quarter of an hour, so that they stay still while the user looks. */
const QUARTER_MS = 15 * 60_000;

/** The dates of a plan, from the worker; the last ones stay up while new ones are worked out. */
export function useDates(record: PieceRecord, keeping: Keeping, done: ReadonlyMap<string, number>): { readonly dates: DatedPlan | null; readonly now: number } {
  const { hours } = useAppContext();
  const [now] = useState(() => Math.ceil(Date.now() / QUARTER_MS) * QUARTER_MS);
  const [dates, setDates] = useState<DatedPlan | null>(null);
  const { piece } = record;
  const { start, due } = record.dates ?? {};
  const wanted = useMemo(
    () => ({
      hours,
      start: Math.max(now, start ? instantOf(start, "00:00", hours.timeZone) : now),
      due: due ? instantOf(due, "00:00", hours.timeZone) : null,
      done,
    }),
    [hours, now, start, due, done],
  );
  useEffect(() => {
    let current = true;
    void import("~/workers/planner.client")
      .then(({ datesFor }) => datesFor(piece, keeping, wanted))
      .then((answer) => {
        if (current && answer) setDates(answer);
      })
      .catch(() => undefined);
    return () => {
      current = false;
    };
  }, [piece, keeping, wanted]);
  return { dates, now };
}

/** Ready for gentle hands, and fully hard, as a range where a careful painter waits longer. */
export function readyText(dates: DatedPlan, pick: "handle" | "cured", now: number): string {
  const [usual, careful] = [dates.usual?.[pick], dates.careful?.[pick]];
  if (usual === undefined) return "not with these hours";
  const [from, to] = [sayDay(usual, now), careful === undefined ? null : sayDay(careful, now)];
  return to && to !== from ? `${from}, or ${to} to be safe` : from;
}

function byDay(items: readonly DatedTask[]): readonly (readonly DatedTask[])[] {
  const days = new Map<string, DatedTask[]>();
  for (const item of items) {
    const day = format(item.from, "yyyy-MM-dd");
    days.set(day, [...(days.get(day) ?? []), item]);
  }
  return [...days.values()];
}

/** What one dated stretch of work says. */
function Line({ item, shown, menu }: { item: DatedTask; shown: Candidate; menu: Menu }) {
  const step = shown.zones.flatMap((zone) => zone.steps).find((one): one is Step => one.id === item.task.stepId)!;
  const detail = [item.part ? `part ${item.part}` : "", coatWords(item.task.coat, item.task.half, step.coats)].filter(Boolean).join(", ");
  return (
    <li className="grid grid-cols-[auto_1fr] gap-x-3">
      <span className="text-soft">{`${format(item.from, "HH:mm")}–${format(item.to, "HH:mm")}`}</span>
      <span>
        {stepTitle(step, menu, false)}
        {detail && <span className="text-soft">, {detail}</span>}
        {step.group === undefined && <span className="text-soft"> · {zoneNames(item.task.zones).toLowerCase()}</span>}
        {item.windowShut && <strong> Scuff it dull first: the last coat has closed.</strong>}
      </span>
    </li>
  );
}

function Sittings({ dates, shown, menu, now }: { dates: Dates; shown: Candidate; menu: Menu; now: number }) {
  const days = byDay(dates.items);
  if (days.length === 0) return <p>All the work is done; it only has to harden.</p>;
  return (
    <ol className="grid gap-3">
      {days.map((items, index) => {
        const [first, last] = [items[0]!, items[items.length - 1]!];
        const following = days[index + 1]?.[0];
        const apart = following ? (following.from - last.to) / 60_000 : 0;
        return (
          <li key={first.from}>
            <h4 className="font-display text-lg first-letter:uppercase">
              {sayDay(first.from, now)}
              <span className="ml-2 font-text text-base text-soft">{format(first.from, "d MMMM")}</span>
            </h4>
            <ol className="mt-1 grid gap-1">
              {items.map((item) => (
                <Line key={`${item.task.id}-${item.from}`} item={item} shown={shown} menu={menu} />
              ))}
            </ol>
            {apart > 0 && <p className="mt-1 border-l-4 border-dotted border-line pl-3 text-soft">then leave it alone for {sayDuration(apart)}</p>}
          </li>
        );
      })}
    </ol>
  );
}

function Latest({ dates, now }: { dates: DatedPlan; now: number }) {
  if (!dates.latest) return null;
  const { handle, cured } = dates.latest;
  const said =
    cured !== null
      ? `Begin by ${sayClock(cured, now)} at the latest, and it is fully hard in time.`
      : handle !== null
        ? `It cannot be fully hard by then. Begin by ${sayClock(handle, now)} at the latest, and it can be handed over with care; say that it is still hardening.`
        : "It cannot be ready by then with your free hours. Take a plan that is ready sooner, a later date, or more hours.";
  return (
    <p role="status" className={`rounded-lg border-l-8 p-3 ${cured !== null ? "border-ready bg-note-tint" : "border-act bg-warn-tint"}`}>
      {said}
    </p>
  );
}

/** When: a start, a date it is needed by, and the list of sittings that follows from the user's free hours. */
export function DatesPart({
  record,
  shown,
  menu,
  setDates,
  dates,
  now,
}: Omit<Props, "keeping" | "done"> & { readonly dates: DatedPlan | null; readonly now: number }) {
  const { hours } = useAppContext();
  const { start = "", due = "" } = record.dates ?? {};
  return (
    <div className="grid gap-4">
      <div className="flex flex-wrap items-end gap-3">
        <label>
          <span className="block">Start on</span>
          <input type="date" className="field" value={start} onChange={(event) => setDates({ start: event.target.value })} />
        </label>
        <label>
          <span className="block">Needed on</span>
          <input type="date" className="field" value={due} min={dateOf(now, hours.timeZone)} onChange={(event) => setDates({ due: event.target.value })} />
        </label>
        <p className="grow text-soft">
          In your free hours.{" "}
          <Link to="/settings#hours" className="underline">
            Change them
          </Link>
        </p>
      </div>
      {dates && <Latest dates={dates} now={now} />}
      {dates && (
        <p>
          Ready for gentle hands: <strong>{readyText(dates, "handle", now)}</strong>. Fully hard: <strong>{readyText(dates, "cured", now)}</strong>.
        </p>
      )}
      {dates?.usual ? (
        <Sittings dates={dates.usual} shown={shown} menu={menu} now={now} />
      ) : (
        dates && <p role="alert">You have no free hour in the settings, so nothing can be dated.</p>
      )}
    </div>
  );
}
