import { format } from "date-fns";
import { actNumbers } from "#core/coating/explain/told-acts";
import type { Candidate } from "#core/coating/model/plan";
import type { Step } from "#core/coating/model/step";
import type { DatedTask, Dates } from "#core/schedule/together/one-piece";
import { stretchesOf } from "#core/schedule/stretches";
import type { Stretch } from "#core/schedule/stretches";
import type { PieceDates } from "~/workers/schedule-worker-api";
import type { Menu } from "#core/catalogue/menu";
import { sayDuration } from "#core/units/duration";
import { shutWords } from "~/calendar/act-words";
import { sayClock, sayDay, sayTimes } from "~/components/time-words";
import { coatWords, stepTitle, zoneNames } from "~/components/words";

function byDay(items: readonly DatedTask[]): readonly (readonly DatedTask[])[] {
  const days = new Map<string, DatedTask[]>();
  for (const item of items) {
    const day = format(item.from, "yyyy-MM-dd");
    days.set(day, [...(days.get(day) ?? []), item]);
  }
  return [...days.values()];
}

/** What one dated stretch of work says. */
function Line({ stretch, shown, menu }: { stretch: Stretch; shown: Candidate; menu: Menu }) {
  const { item, number, to, zones } = stretch;
  const step = shown.zones.flatMap((zone) => zone.steps).find((one): one is Step => one.id === item.task.stepId);
  if (!step) return null;
  const detail = [item.part ? `part ${item.part}` : "", coatWords(item.task.coat, item.task.half, step.coats)].filter(Boolean).join(", ");
  return (
    <li className="grid grid-cols-[auto_1fr] gap-x-3">
      <span className="min-w-[6.5em] text-soft tabular-nums">{sayTimes(item.from, to)}</span>
      <span>
        <span className="mr-2 text-soft">{number}</span>
        {stepTitle(step, menu, false)}
        {detail && <span className="text-soft">, {detail}</span>}
        {step.group === undefined && <span className="text-soft"> · {zoneNames(zones).toLowerCase()}</span>}
        {item.windowShut && <strong> {shutWords(step)}</strong>}
      </span>
    </li>
  );
}

/** The sittings that follow from free hours, day by day. */
export function Sittings({ dates, shown, menu, now }: { dates: Dates; shown: Candidate; menu: Menu; now: number }) {
  const days = byDay(dates.items);
  const numbers = actNumbers(shown);
  if (days.length === 0) return <p>All the work is done; it only has to harden.</p>;
  return (
    <ol className="grid gap-3">
      {days.map((items, index) => {
        const [first, last] = [items[0]!, items[items.length - 1]!];
        const following = days[index + 1]?.[0];
        const apart = following ? (following.from - last.to) / 60_000 : 0;
        return (
          <li key={first.from}>
            <h2 className="font-display text-lg first-letter:uppercase">
              {sayDay(first.from, now)}
              <span className="ml-2 font-text text-base text-soft">{format(first.from, "d MMMM")}</span>
            </h2>
            <ol className="mt-1 grid gap-1">
              {stretchesOf(items, numbers).map((stretch) => (
                <Line key={`${stretch.item.task.id}-${stretch.item.from}`} stretch={stretch} shown={shown} menu={menu} />
              ))}
            </ol>
            {apart > 0 && <p className="mt-1 border-l-4 border-dotted border-line pl-3 text-soft">then leave it alone for {sayDuration(apart)}</p>}
          </li>
        );
      })}
    </ol>
  );
}

/** By when to begin at the latest. */
export function Latest({ dates, now, begun }: { dates: PieceDates; now: number; begun: boolean }) {
  if (!dates.latest) return null;
  const { handle, cured } = dates.latest;
  const begin = begun ? "Go on" : "Begin";
  const said =
    cured !== null
      ? `${begin} by ${sayClock(cured, now)} at the latest, and it is fully hard in time.`
      : handle !== null
        ? `It cannot be fully hard by then. ${begin} by ${sayClock(handle, now)} at the latest, and it can be handed over with care; say that it is still hardening.`
        : "It cannot be ready by then with your free hours. Take a plan that is ready sooner, a later date, or more hours.";
  return (
    <p role="status" className={`rounded-lg border-l-8 p-3 ${cured !== null ? "border-ready bg-note-tint" : "border-act bg-warn-tint"}`}>
      {said}
    </p>
  );
}
