/** The calendar in files, read back by a parser that knows nothing of how they were written. */
import { describe, expect, test } from "@jest/globals";
import ICAL from "ical.js";
import Papa from "papaparse";
import { writeCalendarCsv, writeIcs } from "./calendar-files";
import type { CalendarFile } from "./calendar-files";

const at = (text: string) => Date.parse(text);
/** Over the night the clocks go back in most of Europe, and over the turn of the year. */
const CALENDAR: CalendarFile = {
  sittings: [
    {
      acts: [
        { id: "pot/top-prime:1/0", from: at("2026-10-24T18:00:00Z"), to: at("2026-10-24T18:20:00Z"), act: "Prime: gesso", pieces: "12 × Herb pot; a, b\\c" },
        { id: "jar/top-prime:1/0", from: at("2026-10-24T18:20:00Z"), to: at("2026-10-24T18:30:00Z"), act: "Prime: gesso", pieces: "Storm lantern" },
      ],
    },
    { acts: [] },
    {
      acts: [
        {
          id: "pot/top-base:1/0",
          from: at("2026-10-25T19:00:00Z") + 3.25,
          to: at("2026-10-25T19:25:00Z") - 0.5,
          act: "=Base",
          pieces: "Ünder, “näme”\nof two lines",
        },
      ],
    },
  ],
  waits: [{ piece: "pot", name: "Herb pot", from: at("2026-12-31T23:30:00Z"), to: at("2027-01-01T02:30:00Z") }],
  dues: [{ piece: "jar", name: "Storm lantern", date: "2028-02-29" }],
};

describe("as iCalendar", () => {
  const text = writeIcs(CALENDAR);
  const calendar = new ICAL.Component(ICAL.parse(text) as never);
  const events = calendar.getAllSubcomponents("vevent").map((one) => new ICAL.Event(one));
  const found = (uid: string) => events.find((one) => one.uid === `${uid}@nook-coat`)!;

  test("one event a sitting, at the instants it has, with all that is done in it", () => {
    expect(events).toHaveLength(4);
    const prime = found("pot/top-prime:1/0");
    expect(prime.startDate.toJSDate().getTime()).toBe(at("2026-10-24T18:00:00Z"));
    expect(prime.endDate.toJSDate().getTime()).toBe(at("2026-10-24T18:30:00Z"));
    expect(prime.summary).toBe("Prime: gesso and 1 more");
    expect(prime.description).toBe("Prime: gesso: 12 × Herb pot; a, b\\c\nPrime: gesso: Storm lantern");
    // The night after the clocks went back an hour of the clock is another instant.
    expect(found("pot/top-base:1/0").startDate.toJSDate().getTime()).toBe(at("2026-10-25T19:00:00Z"));
    expect(found("pot/top-base:1/0").summary).toContain("Ünder, “näme”\nof two lines");
  });

  test("a reminder stands before each sitting where one is wanted, and nowhere else", () => {
    const alarmsOf = (calendarText: string) =>
      new ICAL.Component(ICAL.parse(calendarText) as never).getAllSubcomponents("vevent").map((one) => {
        const [alarm] = one.getAllSubcomponents("valarm");
        return { kind: one.getFirstPropertyValue("transp"), trigger: alarm ? String(alarm.getFirstPropertyValue("trigger")) : null };
      });
    expect(alarmsOf(text).every(({ trigger }) => trigger === null)).toBe(true);
    const reminded = alarmsOf(writeIcs({ ...CALENDAR, remindMin: 60 }));
    expect(reminded).toHaveLength(4);
    for (const { kind, trigger } of reminded)
      expect(trigger === null ? null : ICAL.Duration.fromString(trigger).toSeconds()).toBe(kind === "OPAQUE" ? -3600 : null);
  });

  test("waits leave the time free, and a day is a day, leap days too", () => {
    const wait = found(`wait/pot/${at("2026-12-31T23:30:00Z")}`);
    expect(wait.component.getFirstPropertyValue("transp")).toBe("TRANSPARENT");
    expect(wait.duration.toSeconds()).toBe(3 * 3600);
    expect(found("pot/top-prime:1/0").component.getFirstPropertyValue("transp")).toBe("OPAQUE");
    const due = found("due/jar");
    expect([due.startDate.isDate, due.startDate.toString(), due.endDate.toString()]).toEqual([true, "2028-02-29", "2028-03-01"]);
  });

  test("lines end as the format asks, and none is longer than it may be", () => {
    expect(text.replaceAll("\r\n", "")).not.toMatch(/[\r\n]/);
    for (const line of text.split("\r\n")) expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75);
  });
});

test("as a table: a line an act, in the user's own time, and nothing a table program would work out", () => {
  const text = writeCalendarCsv(CALENDAR, (instant) => new Date(instant).toISOString().slice(0, 16).split("T") as [string, string]);
  const { data } = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true });
  expect(data).toHaveLength(3);
  expect(data[0]).toEqual({ day: "2026-10-24", from: "18:00", to: "18:20", minutes: "20", act: "Prime: gesso", pieces: "12 × Herb pot; a, b\\c" });
  expect(data[2]!.act).toBe("'=Base");
});
