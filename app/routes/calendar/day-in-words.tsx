import { Hourglass, Pin } from "lucide-react";
import { format, parseISO } from "date-fns";
import { Link } from "react-router";
import type { Menu } from "#core/catalogue/menu";
import { MS_PER_MIN } from "#core/schedule/free-hours";
import type { CalendarDay, DayAct, DaySitting } from "#core/schedule/together/calendar";
import { sayDuration } from "#core/units/duration";
import { actTitle, namesOf, partWords, runInBrief, shutWords, stepOf } from "~/calendar/act-words";
import { actsTold, nextBusy, runsOf } from "#core/schedule/together/runs";
import type { Run } from "#core/schedule/together/runs";
import type { TablePiece } from "~/calendar/table.client";
import { sayClock, sayDay, sayTimes } from "~/components/time-words";
import { zoneNames } from "~/components/words";
import { MoveMenu } from "./move-menu";

interface Props {
  readonly day: CalendarDay;
  readonly days: readonly CalendarDay[];
  readonly pieces: ReadonlyMap<string, TablePiece>;
  readonly menu: Menu;
  readonly now: number;
  readonly put: (acts: readonly DayAct[], to: CalendarDay) => void;
  readonly letGo: (acts: readonly DayAct[]) => void;
}

/** A day as it will be: what is done in each stretch, on which pieces, and how long nothing is done after it. */
export function DayInWords({ day, days, pieces, menu, now, put, letGo }: Props) {
  const { date, sittings, due, ready, cured } = day;
  const at = parseISO(date).getTime();
  const busy = sittings.filter(({ acts }) => acts.length > 0);
  const after = nextBusy(days, date);
  const heading = `day-${date}`;
  return (
    <section aria-labelledby={heading} className="sheet h-fit p-3" data-day={date}>
      <h3 id={heading} className="font-display text-xl first-letter:uppercase">
        {sayDay(at, now)}
        <span className="ml-2 font-text text-base text-soft">{format(at, "d MMMM")}</span>
      </h3>
      {due.length > 0 && <p className="font-bold text-stop">Due: {namesOf(due, pieces)}.</p>}
      {busy.map((sitting) => (
        <Sitting key={sitting.from} sitting={sitting} day={day} days={days} pieces={pieces} menu={menu} now={now} put={put} letGo={letGo} />
      ))}
      {busy.length === 0 && (
        <p className="mt-1 text-soft">
          {sittings.length === 0
            ? "Your hands are not free."
            : `Free ${sittings.map(({ from, to }) => sayTimes(from, to)).join(" and ")}, and nothing is ready to be worked at.`}
        </p>
      )}
      {ready.length > 0 && <p className="mt-2 text-ready">May be handled from today on: {namesOf(ready, pieces)}.</p>}
      {cured.length > 0 && <p className="mt-1 text-ready">Fully hard: {namesOf(cured, pieces)}.</p>}
      {busy.length > 0 && after && (
        <p className="mt-2 border-l-4 border-dotted border-line pl-3 text-soft">
          then nothing till {sayClock(after.sittings.find(({ acts }) => acts.length > 0)!.acts[0]!.from, now)}
        </p>
      )}
    </section>
  );
}

function Sitting({ sitting, day, days, pieces, menu, now, put, letGo }: Props & { readonly sitting: DaySitting }) {
  const runs = runsOf(sitting.acts);
  const [first] = sitting.acts;
  return (
    <div className="mt-2">
      <p className="flex flex-wrap items-center justify-between gap-2 text-soft">
        <span>
          {sayTimes(first!.from, Math.max(...sitting.acts.map(({ to }) => to)))}, {sayDuration(sitting.busyMin)} of work
        </span>
        {runs.length > 1 && <MoveMenu what="all of this sitting" label="Move all" date={day.date} days={days} now={now} put={(to) => put(sitting.acts, to)} />}
      </p>
      <ol className="mt-1 grid gap-2">
        {runs.map((run, index) => (
          <li key={run[0].id} className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-2 border-t border-dashed border-line pt-1">
            <RunLines run={run} pieces={pieces} menu={menu} now={now} letGo={letGo} />
            <MoveMenu what={runInBrief(run, pieces, menu)} date={day.date} days={days} now={now} put={(to) => put(run, to)} />
            <Gap after={run.at(-1)!} next={runs[index + 1]?.[0]} />
          </li>
        ))}
      </ol>
    </div>
  );
}

/** Waits within a sitting shorter than this are not told, ms. */
const TOLD_WAIT_MS = 3 * MS_PER_MIN;

function Gap({ after, next }: { after: DayAct; next: DayAct | undefined }) {
  if (!next || next.from - after.to < TOLD_WAIT_MS) return null;
  return (
    <p className="col-span-2 text-soft">
      <Hourglass aria-hidden size={16} className="mr-1 inline" />
      then wait {sayDuration((next.from - after.to) / MS_PER_MIN)}
    </p>
  );
}

/** Where an act is done, where that is not all over its piece. */
function Places({ act: { parts }, pieces }: { act: DayAct } & Pick<Props, "pieces">) {
  const [only] = parts;
  if (!only || parts.length > 1 || only.zones.length >= (pieces.get(only.piece)?.places ?? 0)) return null;
  return <span className="text-soft"> · {zoneNames(only.zones).toLowerCase()}</span>;
}

function RunLines({ run, pieces, menu, now, letGo }: Pick<Props, "pieces" | "menu" | "now" | "letGo"> & { readonly run: Run }) {
  const told = actsTold(run);
  const [first] = told as [DayAct];
  return (
    <div>
      <p className="text-soft tabular-nums">{sayTimes(first.from, run.at(-1)!.to)}</p>
      <ul>
        {told.map((act) => (
          <li key={act.id}>
            {actTitle(act, pieces, menu)}
            <Places act={act} pieces={pieces} />
            {act.part !== undefined && <span className="text-soft">, part {act.part}</span>}
            {act.hand !== undefined && <span className="text-soft"> (second pair of hands)</span>}
            {act.windowShut && <strong> {shutWords(stepOf(act, pieces))}</strong>}
          </li>
        ))}
      </ul>
      <p className="flex flex-wrap gap-x-3">
        {first.parts.map((part) => (
          <Link key={part.piece} to={`/pieces/${part.piece}?step=${encodeURIComponent(part.stepId)}`} className="underline underline-offset-4">
            {partWords(part, first, pieces)}
          </Link>
        ))}
      </p>
      {first.movedFrom !== undefined && !first.held && <p className="text-soft">Was planned for {sayClock(first.movedFrom, now)}.</p>}
      {first.held && (
        <p className="flex flex-wrap items-center gap-2 text-soft">
          <Pin aria-hidden size={16} className="text-act" />
          {first.movedFrom === undefined ? "Put here by you." : `You put it on ${sayClock(first.movedFrom, now)}; it cannot be done before this.`}
          <button type="button" className="underline print:hidden" onClick={() => letGo(run)}>
            Let it go where it is best
          </button>
        </p>
      )}
    </div>
  );
}
