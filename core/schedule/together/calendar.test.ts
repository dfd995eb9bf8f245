/** Dates that stand, work moved by hand, a helper, and the days as they are told. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { COATS, edge, EVENINGS, HOUR, piece, START, task, workOf } from "../../../tests/reference/made-up-tables";
import { dateOf, dayLater, instantOf, MS_PER_MIN } from "../free-hours";
import { calendarOf } from "./calendar";
import type { Calendar } from "./calendar";
import type { PieceWork } from "./network";
import { scheduleAll } from "./schedule-all";
import type { Together, TogetherAsk } from "./schedule-all";
import { whatFollows } from "./what-follows";

const DAY_MS = 24 * HOUR * MS_PER_MIN;
const ZONE = "Europe/London";
const schedule = (pieces: readonly PieceWork[], more: Partial<TogetherAsk> = {}): Together => scheduleAll({ pieces, hours: EVENINGS, start: START, ...more })!;
const calendar = (together: Together, start = START): Calendar => calendarOf(together, EVENINGS, ZONE, start, 14);
const stintsOf = ({ sittings, network }: Together) =>
  sittings.flatMap((sitting) =>
    sitting.stints.map((stint) => {
      const node = network.nodes[stint.node]!;
      return { ...stint, sitting: sitting.from, key: `${network.pieces[node.piece]!.id}/${node.task.id}` };
    }),
  );
/** By task: when it begins. */
const startOf = (together: Together) => {
  const found = new Map<string, number>();
  for (const { key, from } of stintsOf(together)) if (!found.has(key)) found.set(key, from);
  return found;
};
/** By task: the begin of the sitting it is first worked at in. */
const sittingOf = (together: Together) => {
  const found = new Map<string, number>();
  for (const { key, sitting } of stintsOf(together)) if (!found.has(key)) found.set(key, sitting);
  return found;
};
const agreedOn = (pieces: readonly PieceWork[], agreed: ReadonlyMap<string, number>) =>
  pieces.map((one) => ({
    ...one,
    agreed: new Map(one.work.tasks.flatMap(({ id }) => (agreed.has(`${one.id}/${id}`) ? [[id, agreed.get(`${one.id}/${id}`)!] as const] : []))),
  }));
const shelf = (count: number) => Array.from({ length: count }, (_unused, k) => piece(`p${k}`, COATS));
const at = (date: string, time: string) => instantOf(date, time, ZONE);

describe("dates that were agreed on", () => {
  test("stand as they are when nothing is missed, whoever looks and when", () => {
    const pieces = shelf(6);
    const first = startOf(schedule(pieces));
    const later = schedule(agreedOn(pieces, first), { start: START + 4 * HOUR * MS_PER_MIN });
    expect(startOf(later)).toEqual(first);
    expect(calendar(later).moved).toBe(0);
    // Five minutes late on the first evening, at most one coat of it and what hangs on that go elsewhere.
    const evening = schedule(agreedOn(pieces, first), { start: at("2026-11-30", "19:05") });
    const was = sittingOf(schedule(pieces));
    const gone = [...sittingOf(evening)]
      .filter(([key, sitting]) => was.get(key)! > START + DAY_MS && sitting !== was.get(key))
      .map(([key]) => key.split("/")[0]);
    expect(new Set(gone).size).toBeLessThanOrEqual(1);
  });

  test("an evening that is missed moves what was on it and what hangs on that, and nothing else", () => {
    const waits = workOf([task("first", 20, []), task("second", 20, [edge("first", 30 * HOUR)])], 60);
    const pieces = [
      ...Array.from({ length: 5 }, (_unused, k) => piece(`p${k}`, waits)),
      piece("lone", workOf([task("only", 30)], 60), { from: at("2026-12-04", "12:00") }),
    ];
    const first = sittingOf(schedule(pieces));
    const missed = at("2026-11-30", "19:00");
    const slipped = [...first].filter(([, sitting]) => sitting === missed).map(([key]) => key);
    expect(slipped.length).toBeGreaterThan(2);
    const repaired = schedule(agreedOn(pieces, startOf(schedule(pieces))), { start: at("2026-12-01", "08:00") });
    const now = sittingOf(repaired);
    const hangs = (key: string) => slipped.includes(key) || slipped.includes(`${key.split("/")[0]!}/first`);
    for (const [key, sitting] of first) if (!hangs(key)) expect([key, now.get(key)]).toEqual([key, sitting]);
    expect(now.get("lone/only")).toBe(first.get("lone/only"));
    expect(calendar(repaired, at("2026-12-01", "08:00")).moved).toBeGreaterThan(0);
  });

  test("whatever was missed: all of it is laid, and what could stay stays", () => {
    const work = fc.array(fc.record({ min: fc.integer({ min: 5, max: 90 }), wait: fc.integer({ min: 0, max: 30 * HOUR }) }), { minLength: 1, maxLength: 5 });
    fc.assert(
      fc.property(fc.array(work, { minLength: 1, maxLength: 6 }), fc.integer({ min: 1, max: 6 }), (list, days) => {
        const pieces = list.map((steps, k) =>
          piece(
            `p${k}`,
            workOf(
              steps.map(({ min, wait }, n) => task(`t${n}`, min, n > 0 ? [edge(`t${n - 1}`, wait)] : [])),
              60,
            ),
          ),
        );
        const first = schedule(pieces, { tries: 0 });
        const start = START + days * DAY_MS;
        // What was to be over by then is, but for the last evening, which was missed.
        const over = stintsOf(first).filter(({ to }) => to < start - DAY_MS);
        const done = pieces.map((one) => ({
          ...one,
          done: new Map(over.flatMap(({ key, to }) => (key.startsWith(`${one.id}/`) ? [[key.split("/")[1]!, to] as const] : []))),
        }));
        const repaired = schedule(agreedOn(done, startOf(first)), { start });
        const laid = sittingOf(repaired);
        for (const one of done) for (const { id } of one.work.tasks) expect(laid.has(`${one.id}/${id}`)).toBe(!one.done.has(id));
        // Nothing is pulled forward out of the sitting it was agreed for.
        const before = sittingOf(first);
        for (const [key, sitting] of laid) if (before.get(key)! >= start) expect(sitting).toBeGreaterThanOrEqual(before.get(key)!);
        const stints = stintsOf(repaired);
        for (let k = 1; k < stints.length; k++) expect(stints[k]!.from).toBeGreaterThanOrEqual(stints[k - 1]!.to);
      }),
      { numRuns: Number(process.env.RUNS ?? 20) },
    );
  });
});

describe("work that is put into a sitting", () => {
  test("goes there, first of all, and what hangs on it follows; what has to be ready before it goes ahead", () => {
    const pieces = shelf(3);
    const friday = at("2026-12-04", "19:00");
    const held = pieces.map((one, k) => (k === 1 ? { ...one, held: new Map([["base", friday]]) } : one));
    const [before, after] = [schedule(pieces), schedule(held)];
    expect(sittingOf(after).get("p1/base")).toBe(friday);
    expect(sittingOf(after).get("p1/dots")).toBeGreaterThanOrEqual(friday);
    const follows = whatFollows(calendar(before), calendar(after), new Set(["p1/base"]));
    expect(follows.ready.map((one) => one.piece)).toEqual(["p1"]);
    expect(follows.acts).toBeGreaterThan(0);
    expect(whatFollows(calendar(before), calendar(before), new Set())).toEqual({ acts: 0, ready: [], late: [], inTime: [] });
  });

  test("too early for its waits it is done as soon as it may be, and says where it was put", () => {
    const monday = at("2026-11-30", "19:00");
    const [act] = calendar(schedule([{ ...piece("pot", COATS), held: new Map([["seal", monday]]) }]))
      .days.flatMap(({ sittings }) => sittings.flatMap(({ acts }) => acts))
      .filter(({ parts }) => parts[0]!.tasks.includes("seal"));
    expect(act).toMatchObject({ held: true, movedFrom: monday });
    expect(act!.from).toBeGreaterThan(monday);
  });
});

test("with a second pair of hands the evening holds twice as much, and one piece is in one pair at a time", () => {
  const pieces = Array.from({ length: 6 }, (_unused, k) => piece(`p${k}`, workOf([task("coat", 50), task("more", 20)], 60)));
  const [one, two] = [schedule(pieces), schedule(pieces, { hands: 2 })];
  expect(Math.max(...two.handle)).toBeLessThan(Math.max(...one.handle));
  expect(two.bound.at).toBeLessThanOrEqual(Math.max(...two.handle));
  const stints = stintsOf(two);
  for (const [k, stint] of stints.entries())
    for (const other of stints.slice(k + 1)) {
      const overlaps = stint.from < other.to && other.from < stint.to;
      if (overlaps) expect([stint.hand ?? 0, stint.key.split("/")[0]]).not.toEqual([other.hand ?? 0, other.key.split("/")[0]]);
      if (overlaps && stint.key.split("/")[0] === other.key.split("/")[0]) throw new Error(`${stint.key} and ${other.key} at once`);
    }
});

describe("room to dry and to bake", () => {
  const baked = (at: number) => ({ ...task("bake", 5, [edge("coat", at)]), oven: { typicalMin: 120, cautiousMin: 180 } });
  const works = fc.array(
    fc.record({
      min: fc.integer({ min: 5, max: 60 }),
      wait: fc.integer({ min: 20, max: 20 * HOUR }),
      count: fc.integer({ min: 1, max: 20 }),
      bakes: fc.boolean(),
      hot: fc.boolean(),
    }),
    { minLength: 1, maxLength: 6 },
  );

  test("never more wet pieces than the rack holds, never two heats or too many in the oven, and every piece is made", () => {
    fc.assert(
      fc.property(works, fc.integer({ min: 2, max: 9 }), fc.integer({ min: 1, max: 9 }), fc.constantFrom(1, 2), (list, rack, oven, hands) => {
        const pieces = list.map(({ min, wait, count, bakes, hot }, k) =>
          piece(`p${k}`, workOf([task("coat", min), bakes ? baked(wait) : task("seal", min, [edge("coat", wait)])], 60), {
            count,
            likeOf: ({ id }) => (id === "bake" ? `bake ${hot}` : id),
          }),
        );
        const together = schedule(pieces, { places: { rack, oven }, hands, tries: 2 });
        const { nodes } = together.network;
        const stints = together.sittings.flatMap((one) => one.stints).map((one) => ({ ...one, ...nodes[one.node]!, from: one.from }));
        const waitAfter = ({ piece: p, task: { id } }: (typeof stints)[number]) => (id === "coat" ? list[p]!.wait : id === "seal" ? 60 : 0) * MS_PER_MIN;
        for (const { to } of stints) {
          const wet = new Map(stints.filter((one) => one.to <= to && to < one.to + waitAfter(one)).map(({ load, count }) => [load, count]));
          expect([...wet.values()].reduce((sum, count) => sum + count, 0)).toBeLessThanOrEqual(rack);
        }
        const bakes = stints.filter(({ task: { id } }) => id === "bake");
        for (const one of bakes) {
          const inside = bakes.filter(({ from }) => from <= one.from && one.from < from + 120 * MS_PER_MIN);
          expect(new Set(inside.map(({ like }) => like)).size).toBe(1);
          expect(inside.reduce((sum, { count }) => sum + count, 0)).toBeLessThanOrEqual(oven);
        }
        for (const [p, { count, bakes: isBaked }] of list.entries()) {
          const last = stints.filter((one) => one.piece === p && one.task.id === (isBaked ? "bake" : "seal"));
          expect([...new Map(last.map((one) => [one.load, one.count])).values()].reduce((sum, loaded) => sum + loaded, 0)).toBe(count);
        }
      }),
      { numRuns: Number(process.env.RUNS ?? 24) },
    );
  });

  test("twelve pots on a rack of eight go in two loads, told as so many of twelve", () => {
    const { days } = calendar(
      schedule([piece("pot", workOf([task("coat", 24, []), task("seal", 12, [edge("coat", 12 * HOUR)])], 60), { count: 12 })], { places: { rack: 8 } }),
    );
    const acts = days.flatMap(({ sittings }) => sittings.flatMap((one) => one.acts));
    expect(acts.map(({ parts: [part] }) => [part!.count, part!.of])).toEqual([
      [6, 12],
      [6, 12],
      [6, 12],
      [6, 12],
    ]);
  });
});

describe("the days as they are told", () => {
  test("the same coat on three pieces is one act; waits, what is due and what is ready stand on their days", () => {
    const due = at("2026-12-09", "00:00");
    const pieces = [piece("pot", COATS, { due }), piece("jar", COATS), piece("stone", COATS, { count: 8 })];
    const { days, tracks, weeks, last } = calendar(schedule(pieces));
    const [monday] = days;
    expect(monday!.date).toBe("2026-11-30");
    expect(monday!.sittings[0]!.acts[0]!.parts.map(({ count, of }) => [count, of])).toEqual([
      [1, 1],
      [1, 1],
      [8, 8],
    ]);
    expect(days.find(({ date }) => date === "2026-12-09")!.due).toEqual(["pot"]);
    const pot = tracks.find((one) => one.piece === "pot")!;
    expect(days.find(({ ready }) => ready.includes("pot"))!.date).toBe(dateOf(pot.handle, ZONE));
    // It is left alone from the end of each coat until the next may go on.
    for (const { from, to } of pot.touched) expect(pot.drying.some((one) => one.from < to && from < one.to)).toBe(false);
    expect(last).toBe(Math.max(...tracks.map(({ handle }) => handle)));
    // Weeks add up to the work there is.
    const work = pieces.reduce((sum, one) => sum + one.work.tasks.reduce((min, { handsOnMin }) => min + handsOnMin, 0), 0);
    expect(weeks.reduce((sum, { busyMin }) => sum + busyMin, 0)).toBe(work);
    expect(weeks[0]!.freeMin).toBe(5 * 150 + 360);
  });

  test("a batch over two evenings counts its pieces on each", () => {
    const { days } = calendar(schedule([piece("pebbles", workOf([task("dots", 200)], 60), { count: 40 })]));
    const acts = days.flatMap(({ sittings }) => sittings.flatMap((one) => one.acts));
    expect(acts.map(({ part, parts }) => [part, parts[0]!.count])).toEqual([
      [1, 30],
      [2, 10],
    ]);
  });

  test.each([
    ["the night clocks go forward", "Europe/London", "2027-03-26"],
    ["the night they go back", "Europe/London", "2026-10-23"],
    ["a leap day", "Pacific/Auckland", "2028-02-27"],
    ["the turn of the year", "America/New_York", "2026-12-30"],
    ["a zone of half hours", "Asia/Kolkata", "2026-12-30"],
  ])("over %s a sitting begins at its hour of the clock, and no day is lost or told twice", (_what, timeZone, from) => {
    const hours = { ...EVENINGS, weekday: EVENINGS.weekday.map(() => [{ from: "19:00", to: "20:00" }]), timeZone };
    const start = instantOf(from, "12:00", timeZone);
    const pieces = Array.from({ length: 5 }, (_unused, k) => piece(`p${k}`, workOf([task("coat", 55)], 60)));
    const { days } = calendarOf(scheduleAll({ pieces, hours, start })!, hours, timeZone, start, 5);
    expect(days.slice(0, 5).map(({ date }) => date)).toEqual([0, 1, 2, 3, 4].map((by) => dayLater(from, by)));
    for (const { date, sittings } of days.slice(0, 5)) {
      expect(sittings).toHaveLength(1);
      expect(sittings[0]!.from).toBe(instantOf(date, "19:00", timeZone));
      expect(sittings[0]!.acts).toHaveLength(1);
    }
  });
});
