/** Many pieces, one pair of hands: schedules replayed by a checker that knows nothing of how they were made. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import type { Work } from "../../coating/facts/task";
import { COATS, edge, EVENINGS, HOUR, piece, START, task, workOf } from "../../../tests/reference/made-up-tables";
import { MS_PER_MIN, sittingsFrom } from "../free-hours";
import { isTooLittleRoom } from "./loads";
import type { PieceWork } from "./network";
import { scheduleAll } from "./schedule-all";
import type { Together, TogetherAsk } from "./schedule-all";

/** The same work, all of which may be put down in the middle. */
const broken = (work: Work): Work => ({ ...work, tasks: work.tasks.map((one) => ({ ...one, breaks: true as const })) });
const schedule = (pieces: readonly PieceWork[], more: Partial<TogetherAsk> = {}): Together => scheduleAll({ pieces, hours: EVENINGS, start: START, ...more })!;

/** Every rule of the table, from the pieces and the stints alone. */
function check({ network, sittings, handle, bound, late }: Together, pieces: readonly PieceWork[], careful = false, hours = EVENINGS): void {
  const stints = sittings.flatMap((one) => one.stints);
  const named = stints.map((one) => ({ ...one, piece: pieces[network.nodes[one.node]!.piece]!, task: network.nodes[one.node]!.task }));
  // One pair of hands, inside the free hours.
  const free = [...sittingsFrom(hours, START)].slice(0, 900);
  for (const [k, { from, to }] of named.entries()) {
    if (k > 0) expect(from).toBeGreaterThanOrEqual(named[k - 1]!.to);
    expect(free.some((one) => one.from <= from && to <= one.to)).toBe(true);
  }
  // All of it, and not in pieces that may not be broken off.
  const spans = new Map<string, { from: number; to: number; ms: number; parts: number }>();
  for (const { piece: of, task: one, from, to } of named) {
    const key = `${of.id}/${one.id}`;
    const before = spans.get(key) ?? { from, to, ms: 0, parts: 0 };
    spans.set(key, { from: before.from, to, ms: before.ms + to - from, parts: before.parts + 1 });
  }
  for (const of of pieces)
    for (const one of of.work.tasks) {
      const span = spans.get(`${of.id}/${one.id}`);
      expect(span === undefined).toBe(of.done.has(one.id));
      if (!span) continue;
      expect(span.ms).toBe(Math.max(1, Math.ceil(one.handsOnMin)) * MS_PER_MIN);
      if (of.count === 1 && !one.breaks) expect(span.parts).toBe(1);
      let shut = false;
      for (const { task: before, typicalMin, cautiousMin, closesMin = Infinity } of one.after) {
        const end = of.done.get(before) ?? spans.get(`${of.id}/${before}`)?.to;
        if (end === undefined) continue;
        expect(span.from).toBeGreaterThanOrEqual(end + (careful ? cautiousMin : typicalMin) * MS_PER_MIN);
        shut ||= span.from > end + closesMin * MS_PER_MIN;
      }
      // Who comes too late for a window is told, and nobody else.
      expect(named.find((stint) => stint.piece === of && stint.task === one)!.windowShut ?? false).toBe(shut);
    }
  // What is promised is what comes of it.
  for (const [k, of] of pieces.entries()) {
    const [one] = of.work.milestones;
    const endOf = (id: string) => of.done.get(id) ?? spans.get(`${of.id}/${id}`)!.to;
    const dry = endOf(one!.task) + (careful ? one!.handle.cautiousMin : one!.handle.typicalMin) * MS_PER_MIN;
    expect(handle[k]).toBe(Math.max(START, dry, ...of.work.tasks.map(({ id }) => endOf(id))));
    expect(late[k]).toBe(Math.max(0, handle[k]! - (of.due ?? Infinity)));
  }
  expect(bound.at).toBeLessThanOrEqual(Math.max(...handle) + 1);
}

describe("all pieces around one pair of hands", () => {
  test("three pieces on the same evenings are never in two hands at once, and share their waits", () => {
    const pieces = ["pot", "jar", "stone"].map((id) => piece(id, COATS));
    const together = schedule(pieces);
    check(together, pieces);
    // While one dries the next is primed: the last of the three is ready half an hour after one alone would be, the time of two seals.
    expect(Math.max(...together.handle)).toBe(Math.max(...schedule([piece("pot", COATS)]).handle) + 30 * MS_PER_MIN);
    const first = together.sittings[0]!.stints.map(({ node }) => together.network.nodes[node]!.task.id);
    expect(first.slice(0, 3)).toEqual(["prime", "prime", "prime"]);
  });

  test("four hours of dots go over the evenings, and do not wait for a Saturday", () => {
    const dots = workOf([task("dots", 240)]);
    const [whole, parts] = [piece("tray", dots), piece("tray", broken(dots))];
    const [waits, goes] = [schedule([whole]), schedule([parts])];
    expect(new Date(waits.sittings[0]!.from).getUTCDay()).toBe(6);
    expect(goes.sittings.map(({ from }) => new Date(from).getUTCDay())).toEqual([1, 2]);
    check(goes, [parts]);
    // A batch is broken off between two of its pieces.
    const batch = piece("pebbles", dots, { count: 40 });
    const stints = schedule([batch]).sittings.flatMap((one) => one.stints);
    for (const { from, to } of stints) expect((to - from) % (6 * MS_PER_MIN)).toBe(0);
    // Also where a piece takes no whole number of milliseconds: nothing is left over to be done another day.
    const sevenths = schedule([piece("pebbles", workOf([task("dots", 400)]), { count: 77 })]).sittings.flatMap((one) => one.stints);
    expect(Math.min(...sevenths.map(({ from, to }) => to - from))).toBeGreaterThan(5 * MS_PER_MIN);
    check(schedule([batch]), [batch]);
  });

  test("what is needed first goes first, and what cannot be in time says by how much", () => {
    const due = START + 3.5 * 24 * HOUR * MS_PER_MIN;
    const long = workOf([task("dots", 140)]);
    const others = [1, 2, 3].map((k) => piece(`other${k}`, long));
    const wanted = piece("gift", long, { due });
    const together = schedule([...others, wanted]);
    expect(together.late).toEqual([0, 0, 0, 0]);
    expect(together.handle[3]).toBeLessThanOrEqual(due);
    const tight = schedule([...others.map((one) => ({ ...one, due })), wanted]);
    expect(Math.max(...tight.late)).toBeGreaterThan(0);
    check(tight, [...others.map((one) => ({ ...one, due })), wanted]);
  });

  test("a coat whose window would shut goes before what may wait; one that has shut is scuffed, and says so", () => {
    const sprays = workOf([task("first", 10), task("second", 10, [edge("first", 20, { closesMin: 60 })])], 60);
    const pieces = [piece("dots", broken(workOf([task("many", 140)], 60)), { due: START + 2 * 24 * HOUR * MS_PER_MIN }), piece("tin", sprays)];
    const together = schedule(pieces);
    check(together, pieces);
    const [one, two] = ["first", "second"].map((id) =>
      together.sittings.flatMap(({ stints }) => stints).find(({ node }) => together.network.nodes[node]!.task.id === id)!,
    );
    expect(two!.from - one!.to).toBeLessThanOrEqual(60 * MS_PER_MIN);
    const late = piece("tin", sprays, { done: new Map([["first", START - 5 * HOUR * MS_PER_MIN]]) });
    expect(schedule([late]).sittings[0]!.stints[0]).toMatchObject({ windowShut: true });
  });

  test("fewest sittings: as many pieces, fewer evenings, and no date is missed for it", () => {
    const pieces = ["a", "b", "c", "d"].map((id, k) => piece(id, COATS, k === 0 ? { due: START + 9 * 24 * HOUR * MS_PER_MIN } : {}));
    const [earliest, fewest] = [schedule(pieces), schedule(pieces, { goal: "fewest-sittings" })];
    check(fewest, pieces);
    expect(fewest.sittings.length).toBeLessThanOrEqual(earliest.sittings.length);
    expect(fewest.late).toEqual([0, 0, 0, 0]);
  });

  test("two ties between the same two tasks are one: the longer wait", () => {
    const twice = piece("pot", workOf([task("wash", 10), task("prime", 10, [edge("wash", 60), edge("wash", 36 * HOUR), edge("wash", 5)])]));
    const together = schedule([twice]);
    check(together, [twice]);
    expect(together.sittings).toHaveLength(2);
  });

  test("a coat that fits no sitting whole is broken off all the same, and said to be; the others are dated as ever", () => {
    const { network, sittings } = schedule([piece("wall", workOf([task("coat", 500)])), piece("pot", COATS)]);
    expect(network.nodes.filter(({ tooLong }) => tooLong).map(({ task: { id } }) => id)).toEqual(["coat"]);
    expect(sittings.flatMap(({ stints }) => stints.filter(({ node, part }) => node === 0 && part !== undefined)).length).toBeGreaterThan(3);
  });

  test("colours that are blended follow while the last is wet, a few pieces at a time; a mask is lifted before the paint is hard", () => {
    const wet = workOf(
      [
        task("ground", 20),
        task("navy", 40, [edge("ground", 60)]),
        task("cream", 40, [edge("navy", 0, { closesMin: 12, wet: true })]),
        task("unmask", 10, [edge("cream", 20, { closesMin: 3 * HOUR })]),
      ],
      60,
    );
    const pieces = [piece("pots", wet, { count: 20 }), piece("stone", COATS)];
    const { network, sittings } = schedule(pieces);
    const stints = sittings.flatMap((one) => one.stints).map((one) => ({ ...one, ...network.nodes[one.node]!, from: one.from }));
    const of = (id: string) => stints.filter(({ task: { id: own } }) => own === id);
    expect(of("navy").length).toBeGreaterThan(2);
    for (const navy of of("navy")) {
      const cream = of("cream").find(({ load }) => load === navy.load)!;
      // Its first piece has waited while the others of its load were laid, its last no time at all.
      const each = (40 * MS_PER_MIN) / 20;
      expect(cream.from - navy.from - each).toBeLessThanOrEqual(13 * MS_PER_MIN);
      expect(cream.windowShut).toBeUndefined();
    }
    // That they go in many loads is no want of room.
    const many = Array.from({ length: 20 }, (_unused, k) => piece(`p${k}`, wet, { count: 200 }));
    expect(isTooLittleRoom(many, {})).toBe(false);
    expect(isTooLittleRoom(many, { rack: 2 })).toBe(true);
    for (const off of of("unmask")) {
      const last = of("cream").find(({ load }) => load === off.load)!;
      expect(off.from - last.to).toBeGreaterThanOrEqual(20 * MS_PER_MIN);
      expect(off.from - last.to).toBeLessThanOrEqual(3 * HOUR * MS_PER_MIN);
    }
  });

  test("no free hour at all: none, rather than half a schedule", () => {
    expect(scheduleAll({ pieces: [piece("pot", COATS)], hours: { ...EVENINGS, weekday: [[], [], [], [], [], [], []] }, start: START })).toBeNull();
  });
});

describe("whatever is on the shelf", () => {
  const step = fc.record({
    min: fc.integer({ min: 2, max: 140 }),
    wait: fc.integer({ min: 0, max: 40 * HOUR }),
    skip: fc.integer({ min: 0, max: 2 }),
    open: fc.constantFrom(0, 0, 0, 30, 3 * HOUR, 60 * HOUR),
  });
  /** With windows that shut some time after the careful wait, or without any. */
  const works = (windows: boolean) =>
    fc.tuple(fc.array(step, { minLength: 1, maxLength: 7 }), fc.integer({ min: 30, max: 3000 })).map(([steps, handle]) =>
      workOf(
        steps.map(({ min, wait, skip, open }, k) =>
          task(`t${k}`, min, k > skip ? [edge(`t${k - 1 - skip}`, wait, windows && open > 0 ? { closesMin: 2 * wait + open } : {})] : []),
        ),
        handle,
      ),
    );
  const shelfOf = (windows: boolean) =>
    fc
      .array(
        fc.record({
          work: works(windows),
          count: fc.constantFrom(1, 1, 4, 40),
          breaks: fc.boolean(),
          dueDays: fc.option(fc.integer({ min: 2, max: 30 })),
          begun: fc.boolean(),
        }),
        { minLength: 1, maxLength: 8 },
      )
      .map((list) =>
        list.map(({ work, count, breaks, dueDays, begun }, k) =>
          piece(`p${k}`, breaks ? broken(work) : work, {
            count,
            due: dueDays === null ? null : START + dueDays * 24 * HOUR * MS_PER_MIN,
            done: new Map(begun ? [["t0", START - 90 * MS_PER_MIN]] : []),
          }),
        ),
      );

  test("every schedule stands up to the checker, usual and careful, and no bound is above it", () => {
    fc.assert(
      fc.property(shelfOf(true), fc.boolean(), fc.constantFrom("earliest" as const, "fewest-sittings" as const), (pieces, careful, goal) => {
        check(schedule(pieces, { careful, goal, tries: 8 }), pieces, careful);
      }),
      { numRuns: 40 },
    );
  });

  test("nothing waits while it may be done: no gap in a sitting holds a task that is open and fits", () => {
    fc.assert(
      fc.property(shelfOf(false), (pieces) => {
        const { network, sittings } = schedule(pieces, { tries: 0 });
        const ends = new Map<number, number>();
        const starts = new Map<number, number>();
        for (const { node, from, to } of sittings.flatMap(({ stints }) => stints)) {
          ends.set(node, to);
          starts.set(node, Math.min(from, starts.get(node) ?? Infinity));
        }
        for (const { from, to, stints } of sittings) {
          const gaps = [from, ...stints.map((one) => one.to)].map((at, k) => ({ at, until: stints[k]?.from ?? to }));
          for (const { at, until } of gaps)
            for (const [index, { arcs, ms, breakMs, endedAt }] of network.nodes.entries()) {
              if (endedAt !== null || starts.get(index)! < until) continue;
              const open = Math.max(at, ...arcs.map((arc) => (ends.get(arc.from) ?? network.nodes[arc.from]!.endedAt!) + arc.waitMs));
              // It would have been begun in that gap.
              if (open < until) expect(open + Math.min(ms, breakMs)).toBeGreaterThan(to);
            }
        }
      }),
      { numRuns: 40 },
    );
  });

  test("the same seed gives the same schedule, and more tries never a worse one", () => {
    fc.assert(
      fc.property(shelfOf(true), fc.integer(), (pieces, seed) => {
        const [one, again, longer] = [schedule(pieces, { seed, tries: 6 }), schedule(pieces, { seed, tries: 6 }), schedule(pieces, { seed, tries: 24 })];
        expect(again.sittings).toEqual(one.sittings);
        const lateness = ({ late }: Together) => late.reduce((sum, ms) => sum + ms, 0);
        expect(lateness(longer)).toBeLessThanOrEqual(lateness(one));
        if (lateness(longer) === lateness(one)) expect(Math.max(...longer.handle)).toBeLessThanOrEqual(Math.max(...one.handle));
      }),
      { numRuns: 15 },
    );
  });
});
