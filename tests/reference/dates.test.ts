/** Dated work, replayed by a checker that knows only the plan, the hours and the clock on the wall. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { pieceFacts } from "#core/coating/facts/facts";
import type { Candidate } from "#core/coating/model/plan";
import type { Step } from "#core/coating/model/step";
import { completePiece } from "#core/piece/complete-piece";
import type { Piece } from "#core/piece/piece";
import { dateWork } from "#core/schedule/date-work";
import type { Dates } from "#core/schedule/together/one-piece";
import { sittingsFrom, usualHours } from "#core/schedule/free-hours";
import type { FreeHours } from "#core/schedule/free-hours";
import { taskId } from "#core/coating/facts/task";
import { workOf } from "#core/coating/facts/work-of";
import { latestBeginOf } from "#core/schedule/together/one-piece";
import type { Work } from "#core/coating/facts/task";
import { piece as onTable } from "./made-up-tables";
import { firstPlan, jar, mug, pebble, pot, tray, woodDisc } from "./bench";

const MIN = 60_000;
const LONDON = usualHours("Europe/London");
const MONDAY = Date.parse("2026-11-23T09:00:00Z");

const PIECES: readonly (readonly [string, Piece])[] = [
  ["a dotted pebble for a gift", pebble({ uses: ["gift-or-sale"], decoration: { techniques: ["dots"] } })],
  ["a planter with a saucer", pot({ uses: ["planter", "outdoor-exposed"], parts: ["saucer"], decoration: { techniques: ["bands", "dots"] } })],
  ["a baked mug", mug({ decoration: { techniques: ["dots"] }, wishes: { route: "bake" } })],
  ["a lantern", jar({ uses: ["candle"], decoration: { techniques: ["freehand-brush"] } })],
  ["an oak tray", tray()],
  ["forty wooden discs", woodDisc({ uses: ["gift-or-sale"], count: 40, decoration: { techniques: ["dots"] } })],
];

function workFor(piece: Piece) {
  const candidate = firstPlan(piece);
  const facts = pieceFacts(completePiece(piece, CATALOGUE).piece, CATALOGUE);
  const exposures = new Map(facts.zones.map((zone) => [zone.zone, zone.template.exposure]));
  return { candidate, exposures, work: workOf(candidate, exposures) };
}

/** One piece, and nothing else on the table. */
const alone = (work: Work) => ({ pieces: [onTable("it", work)], hours: LONDON, start: MONDAY });

/** Wall-clock minutes of an instant in a zone, told by the platform itself. */
function wall(instant: number, timeZone: string) {
  const parts = new Intl.DateTimeFormat("en-GB", { timeZone, weekday: "short", hour: "2-digit", minute: "2-digit", hourCycle: "h23" }).formatToParts(instant);
  const part = (type: string) => parts.find((one) => one.type === type)!.value;
  return { day: ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"].indexOf(part("weekday")), min: Number(part("hour")) * 60 + Number(part("minute")) };
}

const clock = (time: string) => Number(time.slice(0, 2)) * 60 + Number(time.slice(3));

/** Every fault of a dated list, in words. */
function faults(dates: Dates, candidate: Candidate, exposures: ReadonlyMap<string, string>, hours: FreeHours, start: number, column: "typical" | "cautious") {
  const said: string[] = [];
  const sorted = [...dates.items].sort((a, b) => a.from - b.from);
  for (const [index, item] of sorted.entries()) {
    const [from, to] = [wall(item.from, hours.timeZone), wall(item.to, hours.timeZone)];
    if (item.from < start) said.push(`${item.task.id} before the start`);
    const inside = (hours.weekday[from.day] ?? []).some((span) => clock(span.from) <= from.min && to.min <= clock(span.to) && from.day === to.day);
    if (!inside) said.push(`${item.task.id} outside the hours`);
    if (index > 0 && item.from < sorted[index - 1]!.to) said.push(`${item.task.id} overlaps`);
  }
  const times = (id: string) => sorted.filter((item) => item.task.id === id);
  const minutes = new Map<string, number>();
  for (const item of sorted) minutes.set(item.task.stepId, (minutes.get(item.task.stepId) ?? 0) + (item.to - item.from) / MIN);
  const span = (step: Step) => {
    const all = candidate.zones.flatMap((zone) => zone.steps);
    const same = step.group === undefined ? [step] : all.filter((one) => one.group === step.group);
    const mine = sorted.filter((item) => same.some((one) => one.id === item.task.stepId));
    return { from: Math.min(...mine.map((item) => item.from)), to: Math.max(...mine.map((item) => item.to)) };
  };
  for (const zone of candidate.zones) {
    const steps = zone.steps.filter((step) => step.role !== "cure");
    for (const [index, step] of steps.entries()) {
      const here = span(step);
      if (!Number.isFinite(here.from)) said.push(`${step.id} is never done`);
      if (!step.group && (minutes.get(step.id) ?? 0) < step.handsOnMin - 0.01) said.push(`${step.id} gets too little time`);
      const before = steps[index - 1];
      const wait = step.waitBefore;
      const asked = (column === "typical" ? wait?.min : (wait?.cautiousMin ?? wait?.min)) ?? 0;
      if (before && here.from < span(before).to + asked * MIN) said.push(`${step.id} comes too soon after ${before.id}`);
      for (let coat = 2; coat <= step.coats; coat += 1) {
        for (const half of [undefined, "first", "second"] as const) {
          const [lower, upper] = [times(taskId(step.id, coat - 1, half)), times(taskId(step.id, coat, half))];
          if (lower.length === 0 && upper.length === 0) continue;
          const gap = upper[0]!.from - lower[lower.length - 1]!.to;
          if (gap < (step[column]?.recoatFrom ?? 0) * MIN - 1) said.push(`${step.id}: coat ${coat} too soon`);
        }
      }
      const [one, other] = [times(taskId(step.id, 1, "first")), times(taskId(step.id, 1, "second"))];
      if (one[0] && other[0] && other[0].from < one[one.length - 1]!.to + (step.typical?.touchDry ?? 0) * MIN - 1)
        said.push(`${step.id}: both halves wet at once`);
    }
    if (exposures.get(zone.zone) !== "underside") continue;
    const own = steps.filter((step) => !step.group).at(-1);
    for (const other of candidate.zones.filter((one) => exposures.get(one.zone) !== "underside")) {
      // Everything is cleaned, filled, sanded and primed before; colour waits until what it stands on is done.
      const begin = other.steps.find((step) => !step.group && ["base", "decorate", "seal"].includes(step.role));
      if (own && begin && span(begin).from < span(own).to) said.push(`${other.zone} is begun before ${zone.zone} is done`);
    }
  }
  return said;
}

describe.each(PIECES)("%s", (_name, piece) => {
  const { candidate, exposures, work } = workFor(piece);

  test.each(["typical", "cautious"] as const)("every wait is kept, nothing overlaps, nothing is outside the hours (%s waits)", (column) => {
    const dates = dateWork(work, LONDON, MONDAY, { careful: column === "cautious" })!;
    expect(faults(dates, candidate, exposures, LONDON, MONDAY, column)).toEqual([]);
    expect(dates.cured).toBeGreaterThanOrEqual(dates.handle);
    expect(dates.handle).toBeGreaterThanOrEqual(dates.lastWork);
  });

  test("the latest start meets the date, and one sitting later misses it", () => {
    const due = Date.parse("2027-03-20T00:00:00Z");
    const found = latestBeginOf(alone(work), "it", "cured", due)!;
    const dates = dateWork(work, LONDON, found)!;
    expect(dates.cured).toBeLessThanOrEqual(due);
    expect(faults(dates, candidate, exposures, LONDON, found, "typical")).toEqual([]);
    const [, next] = sittingsFrom(LONDON, found);
    expect(dateWork(work, LONDON, next!.from, {})!.cured).toBeGreaterThan(due);
  });
});

describe("any hours", () => {
  const hour = fc.integer({ min: 6, max: 20 });
  const day = fc.oneof(
    fc.constant([]),
    fc
      .tuple(hour, fc.integer({ min: 1, max: 3 }))
      .map(([from, length]) => [{ from: `${String(from).padStart(2, "0")}:00`, to: `${String(from + length).padStart(2, "0")}:00` }]),
  );
  test("are kept to, over the change of the clocks too", () => {
    const { candidate, exposures, work } = workFor(PIECES[1]![1]);
    fc.assert(
      fc.property(fc.array(day, { minLength: 7, maxLength: 7 }), fc.constantFrom("Europe/London", "America/New_York", "Asia/Tokyo"), (weekday, timeZone) => {
        const hours: FreeHours = { weekday, exceptions: [], timeZone };
        const start = Date.parse("2027-03-10T00:00:00Z");
        const dates = dateWork(work, hours, start);
        if (weekday.every((spans) => spans.length === 0)) expect(dates).toBeNull();
        else expect(faults(dates!, candidate, exposures, hours, start, "typical")).toEqual([]);
      }),
      { seed: 20261124, numRuns: 60 },
    );
  });

  test("a day given as an exception replaces its weekday", () => {
    const { work } = workFor(PIECES[0]![1]);
    const away: FreeHours = {
      ...LONDON,
      exceptions: [
        { date: "2026-11-23", spans: [] },
        { date: "2026-11-24", spans: [{ from: "08:00", to: "09:30" }] },
      ],
    };
    const [first] = dateWork(work, away, MONDAY)!.items;
    expect(new Date(first!.from).toISOString()).toBe("2026-11-24T08:00:00.000Z");
  });

  test("what is done already is not dated again, and what follows waits from when it really ended", () => {
    const { work } = workFor(PIECES[0]![1]);
    const done = new Map([[work.tasks[0]!.id, MONDAY - 10 * MIN]]);
    const dates = dateWork(work, LONDON, MONDAY, { done })!;
    expect(dates.items.some((item) => item.task.id === work.tasks[0]!.id)).toBe(false);
    const next = dates.items[0]!;
    const edge = next.task.after.find((one) => one.task === work.tasks[0]!.id);
    expect(next.from).toBeGreaterThanOrEqual(MONDAY - 10 * MIN + (edge?.typicalMin ?? 0) * MIN);
  });

  test("a date that cannot be met has no latest start", () => {
    const { work } = workFor(PIECES[1]![1]);
    expect(latestBeginOf(alone(work), "it", "cured", MONDAY + 3 * 24 * 60 * MIN)).toBeNull();
  });
});
