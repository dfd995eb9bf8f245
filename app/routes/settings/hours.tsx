import { useState } from "react";
import { Plus, Trash2 } from "lucide-react";
import { isDay } from "#core/formats/hours-schema";
import type { DaySpan, FreeHours } from "#core/schedule/free-hours";
import { useTyped } from "~/components/use-typed";
import { otherZoneHere } from "~/components/time-zone";
import { useNow } from "~/components/use-now";
import { sayHour, sayZone } from "~/components/time-words";

const DAYS = ["Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday"];
const FIRST: DaySpan = { from: "19:00", to: "22:00" };

const TIME = /^([01]\d|2[0-3]):[0-5]\d$/;

/** One end of a free stretch. */
function Time({ label, value, fits, save }: { label: string; value: string; fits: (time: string) => string | null; save: (time: string) => void }) {
  const field = useTyped({
    value,
    text: (time) => (time === "24:00" ? "00:00" : time),
    read: (text) => {
      if (!TIME.test(text)) return { wrong: "not a time yet" };
      const wrong = fits(text);
      return wrong === null ? { value: text } : { wrong };
    },
    save,
  });
  return (
    <>
      <input
        type="time"
        aria-label={label}
        className="field w-32"
        value={field.text}
        aria-invalid={field.wrong !== null}
        onFocus={field.begin}
        onChange={(event) => field.type(event.target.value)}
        onBlur={field.leave}
      />
      {field.wrong !== null && field.wrong !== "not a time yet" && (
        <span role="alert" className="text-stop">
          {field.wrong}
        </span>
      )}
    </>
  );
}

const BACKWARDS = "it ends before it begins";

function Span({ day, span, change, remove }: { day: string; span: DaySpan; change: (span: DaySpan) => void; remove: () => void }) {
  return (
    <span className="flex flex-wrap items-center gap-2">
      <Time label={`${day}, from`} value={span.from} fits={(time) => (time < span.to ? null : BACKWARDS)} save={(from) => change({ ...span, from })} />
      <span>to</span>
      <Time label={`${day}, to`} value={span.to} fits={(time) => (time > span.from ? null : BACKWARDS)} save={(to) => change({ ...span, to })} />
      <button type="button" className="tool" aria-label={`${day}: not ${sayHour(span.from)} to ${sayHour(span.to)}`} onClick={remove}>
        <Trash2 aria-hidden size={18} />
      </button>
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
  const [away, setAway] = useState("");
  return (
    <div className="grid gap-2">
      <Zone hours={hours} save={save} />
      {DAYS.map((name, day) => {
        const spans = hours.weekday[day] ?? [];
        return (
          <div key={name} className="grid grid-cols-[6rem_minmax(0,1fr)_auto] items-center gap-2 border-b border-dashed border-line pb-1">
            <span>{name}</span>
            <span className="grid gap-1">
              {spans.length === 0 && <span className="text-soft">not free</span>}
              {spans.map((span, index) => (
                <Span
                  key={index}
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
