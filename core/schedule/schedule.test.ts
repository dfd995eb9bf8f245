/** Waits, windows and sittings, on work small enough to date by hand. */
import { afterAll, describe, expect, test } from "@jest/globals";
import { piece } from "../../tests/reference/made-up-tables";
import { dateWork } from "./date-work";
import { dateOf, dayLater, instantOf, longestSittingMin, sittingsFrom, usualHours, tellSameTime } from "./free-hours";
import type { FreeHours } from "./free-hours";
import type { PieceWork } from "./together/network";
import { datesIn, latestBegin, latestBeginOf } from "./together/one-piece";
import { scheduleAll } from "./together/schedule-all";
import { stretchesOf } from "./stretches";
import type { DatedTask } from "./together/one-piece";
import type { Edge, Task, Work } from "../coating/facts/task";

const MIN = 60_000;
const HOUR = 60;
const UTC: FreeHours = { weekday: Array.from({ length: 7 }, () => [{ from: "19:00", to: "22:00" }]), exceptions: [], timeZone: "UTC" };
const MONDAY = Date.parse("2026-11-23T19:00:00Z");
const at = (day: number, time: string) => Date.parse(`2026-11-${day}T${time}:00Z`);

function edge(task: string, typicalMin: number, more: Partial<Edge> = {}): Edge {
  return { task, typicalMin, cautiousMin: typicalMin * 2, until: "dry-to-recoat", ...more };
}
function task(id: string, handsOnMin: number, ...after: Edge[]): Task {
  return { id, stepId: id as Task["stepId"], coat: 1, zones: ["top"], handsOnMin, after };
}
function work(...tasks: Task[]): Work {
  const last = tasks.at(-1)!.id;
  return { tasks, milestones: [{ task: last, handle: { typicalMin: HOUR, cautiousMin: 2 * HOUR }, cured: { typicalMin: 24 * HOUR, cautiousMin: 48 * HOUR } }] };
}
const starts = (of: Work, options = {}) => dateWork(of, UTC, MONDAY, options)!.items.map((item) => item.from);

describe("waits fall where the user's hands are not needed", () => {
  const coats = work(task("first", 20), task("second", 20, edge("first", 90)));
  test("a short wait fits the evening; the careful one takes the next", () => {
    expect(starts(coats)).toEqual([at(23, "19:00"), at(23, "20:50")]);
    expect(starts(coats, { careful: true })).toEqual([at(23, "19:00"), at(24, "19:00")]);
  });
  test("what hangs longest goes first, though the other was listed first", () => {
    const both = work(task("quick", 30), task("slow", 30), task("seal", 10, edge("slow", 20 * HOUR), edge("quick", 10)));
    expect(dateWork(both, UTC, MONDAY)!.items.map((item) => item.task.id)).toEqual(["slow", "quick", "seal"]);
  });
  test("ready to handle and fully hard are counted from the last coat", () => {
    const dates = dateWork(coats, UTC, MONDAY)!;
    expect([dates.lastWork, dates.handle, dates.cured]).toEqual([at(23, "21:10"), at(23, "22:10"), at(24, "21:10")]);
  });
  test("what was done earlier counts from when it ended", () =>
    expect(starts(coats, { done: new Map([["first", MONDAY - 30 * MIN]]) })).toEqual([at(23, "20:00")]));
});

describe("four hours of dots", () => {
  const dots = { ...task("dots", 240), breaks: true as const };
  test("go over two evenings, where a coat of that length waits for nothing shorter than itself", () => {
    const dated = (one: Task) =>
      dateWork(work(one), { ...UTC, weekday: UTC.weekday.map((day, k) => (k === 5 ? [{ from: "10:00", to: "17:00" }] : day)) }, MONDAY)!;
    expect(dated(dots).items.map(({ from, to, part }) => [from, to, part])).toEqual([
      [at(23, "19:00"), at(23, "22:00"), 1],
      [at(24, "19:00"), at(24, "20:00"), 2],
    ]);
    expect(dated(task("coat", 240)).items.map(({ from }) => from)).toEqual([at(28, "10:00")]);
  });
});

describe("a recoat window", () => {
  test("is met within the evening when it shuts before the next", () =>
    expect(starts(work(task("one", 20), task("two", 20, edge("one", HOUR, { closesMin: 4 * HOUR, reopensMin: 48 * HOUR }))))).toEqual([
      at(23, "19:00"),
      at(23, "20:20"),
    ]));
  test("missed, it waits until it opens again", () =>
    expect(starts(work(task("one", 20), task("two", 20, edge("one", 3 * HOUR, { closesMin: 4 * HOUR, reopensMin: 40 * HOUR }))))).toEqual([
      at(23, "19:00"),
      at(25, "19:00"),
    ]));
  test("that never opens again says that it had shut, so that the user scuffs first", () => {
    const dates = dateWork(work(task("one", 20), task("two", 20, edge("one", 3 * HOUR, { closesMin: 4 * HOUR }))), UTC, MONDAY)!;
    expect(dates.items.map((item) => item.windowShut ?? false)).toEqual([false, true]);
  });
  test("that shuts soon goes before work that can wait", () => {
    const three = work(task("one", 20), task("long", 40), task("two", 20, edge("one", HOUR, { closesMin: 80 })));
    const items = dateWork(three, UTC, MONDAY)!.items;
    expect(items.find((item) => item.task.id === "two")?.windowShut).toBeUndefined();
  });
});

test("of two things that could be done now, the one whose window shuts first is done first, though more hangs on the other", () => {
  const both = work(
    task("one", 20),
    task("two", 20, edge("one", 0, { closesMin: 25 })),
    task("slow", 40),
    task("seal", 10, edge("slow", 30 * HOUR), edge("two", 10)),
  );
  const dates = dateWork(both, UTC, MONDAY, { done: new Map([["one", at(23, "19:00")]]) })!;
  expect(dates.items.map((item) => item.task.id)).toEqual(["two", "slow", "seal"]);
  expect(dates.items.every((item) => !item.windowShut)).toBe(true);
});

describe("long work", () => {
  test("that fits no evening is split over several, in numbered parts, and what follows waits for the last", () => {
    const dates = dateWork(work(task("forty stones", 400), task("seal", 20, edge("forty stones", 10))), UTC, MONDAY)!;
    expect(dates.items.map((item) => [item.task.id, item.part ?? 0, (item.to - item.from) / MIN])).toEqual([
      ["forty stones", 1, 180],
      ["forty stones", 2, 180],
      ["forty stones", 3, 40],
      ["seal", 0, 20],
    ]);
  });
  test("that fits one evening is never cut", () => {
    const dates = dateWork(work(task("one", 100), task("two", 100, edge("one", 0))), UTC, MONDAY)!;
    expect(dates.items.map((item) => item.part)).toEqual([undefined, undefined]);
    expect(dates.items[1]!.from).toBe(at(24, "19:00"));
  });
});

describe("the latest begin", () => {
  const one = work(task("one", 60));
  const ask = (...pieces: PieceWork[]) => ({ pieces, hours: UTC, start: MONDAY });
  test("is the last evening that still meets the date, and there is none when even now is late", () => {
    const alone = ask(piece("pot", one));
    expect(latestBeginOf(alone, "pot", "handle", at(27, "12:00"))).toBe(at(26, "19:00"));
    expect(latestBeginOf(alone, "pot", "cured", at(27, "12:00"))).toBe(at(25, "19:00"));
    expect(latestBeginOf(alone, "pot", "cured", at(24, "12:00"))).toBeNull();
  });
  test("leaves the others their evenings: a piece that would push one of them past its day begins sooner", () => {
    const due = at(27, "12:00");
    const others = Array.from({ length: 3 }, (_unused, k) => piece(`jar${k}`, one, { due, from: at(26, "19:00") }));
    expect(latestBeginOf(ask(piece("pot", one), ...others), "pot", "handle", due)).toBe(at(25, "19:00"));
    // Of all of them: nothing need be begun before the evening on which the rest still fits.
    const all = Array.from({ length: 4 }, (_unused, k) => piece(`pot${k}`, one, { due }));
    expect(latestBegin(ask(...all))?.at).toBe(at(25, "19:00"));
    expect(latestBegin(ask(...all.slice(0, 2)))?.at).toBe(at(26, "19:00"));
    expect(latestBegin(ask(piece("pot", one)))).toBeNull();
    expect(latestBegin(ask(piece("pot", one, { due: MONDAY })))).toBeNull();
  });
  test("the dates of one piece among others are those it has among them", () => {
    const together = scheduleAll(ask(piece("pot", one), piece("jar", work(task("first", 20), task("second", 20, edge("first", 90))))))!;
    expect(datesIn(together, "jar")!.items.map(({ task: { id } }) => id)).toEqual(["first", "second"]);
    expect(datesIn(together, "jar")!.handle).toBe(together.handle[1]);
    expect(datesIn(together, "cup")).toBeNull();
  });
});

describe("days and clocks", () => {
  test("a local time is the same time of day in summer and winter", () => {
    expect(new Date(instantOf("2027-01-15", "19:00", "Europe/London")).toISOString()).toBe("2027-01-15T19:00:00.000Z");
    expect(new Date(instantOf("2027-07-15", "19:00", "Europe/London")).toISOString()).toBe("2027-07-15T18:00:00.000Z");
  });
  test("a day is the day where the user is", () => {
    expect(dateOf(Date.parse("2026-12-31T23:30:00Z"), "Asia/Tokyo")).toBe("2027-01-01");
    expect(dayLater("2028-02-28", 1)).toBe("2028-02-29");
    expect(dayLater("2027-03-01", -1)).toBe("2027-02-28");
  });
  test("the user's longest stretch counts a day given on its own too", () => {
    expect(longestSittingMin(usualHours("UTC"))).toBe(7 * HOUR);
    expect(longestSittingMin({ ...UTC, exceptions: [{ date: "2026-12-27", spans: [{ from: "08:00", to: "18:30" }] }] })).toBe(10.5 * HOUR);
    expect(longestSittingMin({ ...UTC, weekday: [[], [], [], [], [], [], []] })).toBe(0);
  });
});

describe("dated work as it is told", () => {
  const of = (zone: Task["zones"][number], id: string, from: string, to: string, more = {}) =>
    ({ task: { ...task(id, 10), zones: [zone] }, from: at(23, from), to: at(23, to), ...more }) as DatedTask;
  const act = new Map([
    ["top", 3],
    ["edge", 3],
    ["lid", 4],
  ]);
  test("a coat laid in one place after another is one line, from its first minute to its last", () => {
    const told = stretchesOf([of("top", "top", "19:00", "19:20"), of("edge", "edge", "19:20", "19:30"), of("lid", "lid", "19:30", "19:40")], act);
    expect(told.map((one) => [one.number, one.zones, one.item.from, one.to])).toEqual([
      [3, ["top", "edge"], at(23, "19:00"), at(23, "19:30")],
      [4, ["lid"], at(23, "19:30"), at(23, "19:40")],
    ]);
  });
  test("a break, a part of a longer work or a shut recoat window keeps its own line", () => {
    for (const second of [of("edge", "edge", "20:00", "20:10"), of("edge", "edge", "19:20", "19:30", { windowShut: true })])
      expect(stretchesOf([of("top", "top", "19:00", "19:20"), second], act)).toHaveLength(2);
  });
});

describe("clock changes", () => {
  const spans = [
    { from: "00:00", to: "00:30" },
    { from: "01:15", to: "03:30" },
    { from: "19:00", to: "24:00" },
  ];
  const host = process.env.TZ;
  afterAll(() => {
    process.env.TZ = host;
  });
  /** A year of free hours, as a device in some zone works them out. */
  const year = (timeZone: string, device: string) => {
    process.env.TZ = device;
    const found: number[][] = [];
    for (const { from, to } of sittingsFrom(
      { weekday: Array.from({ length: 7 }, () => spans), exceptions: [], timeZone },
      Date.parse("2026-01-01T00:00:00Z"),
    )) {
      found.push([from, to]);
      if (found.length === 1100) break;
    }
    return found;
  };
  test.each(["Europe/London", "America/Santiago", "Australia/Lord_Howe", "Africa/Cairo", "America/New_York", "Asia/Kolkata"])(
    "in %s come out alike whatever zone the device is in, and no stretch runs into the next",
    (timeZone) => {
      const [first, ...others] = ["UTC", "America/Santiago", "Australia/Lord_Howe", "Europe/London"].map((device) => year(timeZone, device));
      for (const other of others) expect(other).toEqual(first);
      for (const [at, [from]] of first!.entries()) expect(from).toBeGreaterThanOrEqual(first![at - 1]?.[1] ?? 0);
    },
  );
  test("two zones tell the same time only if they do all year round", () => {
    const from = Date.parse("2026-11-26T12:00:00Z");
    expect(tellSameTime("Europe/Paris", "Europe/Rome", from)).toBe(true);
    expect(tellSameTime("Europe/London", "Atlantic/Reykjavik", from)).toBe(false);
  });

  test("a time that is skipped is read later by as much, one that comes twice is the first", () => {
    const iso = (date: string, time: string, zone: string) => new Date(instantOf(date, time, zone)).toISOString();
    expect(iso("2026-03-29", "01:30", "Europe/London")).toBe("2026-03-29T01:30:00.000Z");
    expect(iso("2026-10-25", "01:30", "Europe/London")).toBe("2026-10-25T00:30:00.000Z");
    expect(iso("2026-10-04", "02:15", "Australia/Lord_Howe")).toBe("2026-10-03T15:45:00.000Z");
  });
});
