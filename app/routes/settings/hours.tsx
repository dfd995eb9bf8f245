import { WEEKDAYS } from "#core/schedule/free-hours";
import { Plus, Trash2 } from "lucide-react";
import { isDay } from "#core/formats/hours-schema";
import type { DaySpan, FreeHours } from "#core/schedule/free-hours";
import { hurryAsks } from "~/actions/use-ask";
import { otherZoneHere } from "~/components/time-zone";
import { useNow } from "~/components/use-now";
import { sayHour, sayZone } from "~/components/time-words";
import { useDraft } from "~/components/use-draft";

const FIRST: DaySpan = { from: "19:00", to: "22:00" };

const TIME = /^([01]\d|2[0-3]):[0-5]\d$/;

const isTime = (text: string) => TIME.test(text);

/** Why two ends make no stretch yet; null where they do. */
function spanFault({ from, to }: DaySpan): string | null {
  if (!isTime(from) || !(isTime(to) || to === "24:00")) return "not a time yet";
  return from < to ? null : "it ends before it begins";
}

/**
 * A free stretch: one value with two ends. What is typed is saved when both ends make sense together; while they do not, it says what stands.
 *
 * @param name names what is typed among the drafts of the page
 */
function Span({ name, day, span, change, remove }: { name: string; day: string; span: DaySpan; change: (span: DaySpan) => void; remove: () => void }) {
  const [typed, type] = useDraft<DaySpan | null>(name, null);
  const shown = typed ?? span;
  const fault = typed === null ? null : spanFault(typed);
  const set = (end: Partial<DaySpan>) => {
    const next = { ...shown, ...end };
    type(next);
    if (spanFault(next) === null && (next.from !== span.from || next.to !== span.to)) change(next);
  };
  const end = (which: keyof DaySpan) => (
    <input
      type="time"
      aria-label={`${day}, ${which}`}
      className="field w-32"
      value={shown[which] === "24:00" ? "00:00" : shown[which]}
      aria-invalid={fault !== null}
      onChange={(event) => set({ [which]: event.target.value })}
      onBlur={() => {
        hurryAsks();
        if (fault === null) type(null);
      }}
    />
  );
  return (
    <span className="flex flex-wrap items-center gap-2">
      {end("from")}
      <span>to</span>
      {end("to")}
      <button
        type="button"
        className="tool"
        aria-label={`${day}: not ${sayHour(span.from)} to ${sayHour(span.to)}`}
        onClick={() => {
          type(null);
          remove();
        }}
      >
        <Trash2 aria-hidden size={18} />
      </button>
      {fault !== null && (
        <span role="alert" className="basis-full text-stop">
          Not kept: {fault}. Until it makes sense, {sayHour(span.from)} to {sayHour(span.to)} stands.
        </span>
      )}
    </span>
  );
}

/** The zone the hours are said in; where this device is in another, the way to say them in that. */
function Zone({ hours, save }: { hours: FreeHours; save: (hours: FreeHours) => void }) {
  const here = otherZoneHere(hours.timeZone, useNow());
  return (
    <div className="mb-1 flex flex-wrap items-center gap-2">
      <span className="text-soft">
        In {sayZone(hours.timeZone)}
        {here && `; this device is on ${sayZone(here)}`}.
      </span>
      {here && (
        <button type="button" className="button" onClick={() => save({ ...hours, timeZone: here })}>
          Say your hours in {sayZone(here)}
        </button>
      )}
    </div>
  );
}

/** The user's week, and days that are otherwise. */
export function Hours({ hours, save }: { hours: FreeHours; save: (hours: FreeHours) => void }) {
  const setDay = (day: number, spans: readonly DaySpan[]) => save({ ...hours, weekday: hours.weekday.map((old, index) => (index === day ? spans : old)) });
  const [away, setAway] = useDraft("away.away", "");
  return (
    <div className="grid gap-2">
      <Zone hours={hours} save={save} />
      {WEEKDAYS.map((name, day) => {
        const spans = hours.weekday[day] ?? [];
        return (
          <div key={name} className="grid grid-cols-[6rem_minmax(0,1fr)_auto] items-center gap-2 border-b border-dashed border-line pb-1">
            <span>{name}</span>
            <span className="grid gap-1">
              {spans.length === 0 && <span className="text-soft">not free</span>}
              {spans.map((span, index) => (
                <Span
                  key={index}
                  name={`hours-${day}-${index}`}
                  day={name}
                  span={span}
                  change={(next) =>
                    setDay(
                      day,
                      spans.map((old, at) => (at === index ? next : old)),
                    )
                  }
                  remove={() =>
                    setDay(
                      day,
                      spans.filter((_old, at) => at !== index),
                    )
                  }
                />
              ))}
            </span>
            <button type="button" className="tool" aria-label={`${name}: add a free stretch`} onClick={() => setDay(day, [...spans, FIRST])}>
              <Plus aria-hidden size={18} />
            </button>
          </div>
        );
      })}
      <div className="mt-2">
        <p className="font-semibold">Days you are away</p>
        <ul>
          {hours.exceptions.map((one) => (
            <li key={one.date} className="flex items-center gap-2">
              {one.date}
              <button
                type="button"
                className="tool"
                aria-label={`Not away on ${one.date}`}
                onClick={() => save({ ...hours, exceptions: hours.exceptions.filter((other) => other !== one) })}
              >
                <Trash2 aria-hidden size={18} />
              </button>
            </li>
          ))}
        </ul>
        <div className="flex flex-wrap items-end gap-2">
          <label>
            <span className="block">A day</span>
            <input type="date" className="field" value={away} onChange={(event) => setAway(event.target.value)} />
          </label>
          <button
            type="button"
            className="button"
            disabled={!isDay(away)}
            onClick={() => {
              save({ ...hours, exceptions: [...hours.exceptions.filter((one) => one.date !== away), { date: away, spans: [] }] });
              setAway("");
            }}
          >
            Away that day
          </button>
        </div>
      </div>
    </div>
  );
}
