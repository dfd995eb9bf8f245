/** What the table teaches: drying and hands, learnt from what is noted at it. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { COATS, edge, task, workOf } from "../../tests/reference/made-up-tables";
import type { ProductId, StepId } from "../catalogue/ids";
import type { Room } from "../piece/piece";
import { numbersFrom } from "../units/seeded";
import { actualOfGo, foundTacky, leftLonger } from "./actual";
import { ownTimesOf, withOwnTimes } from "./own-times";
import type { ProgressKind } from "./progress";

const ACRYLIC = "craft-acrylic" as ProductId;
const ENAMEL = "solvent-enamel" as ProductId;
const COOL: Room = { temperatureC: 16, relativeHumidity: 0.62, airflow: "still" };
const WARM: Room = { temperatureC: 22, relativeHumidity: 0.45, airflow: "still" };

let count = 0;
const record = (kind: ProgressKind, drying: { product: ProductId; room: Room; waitedMin: number; reckonedMin: number }, piece = `p${count++}`) =>
  ({
    kind,
    pieceId: piece,
    stepId: "base",
    coat: 1,
    at: "2026-11-30T19:00:00.000Z",
    act: { role: "base" },
    actual: { drying: { ...drying, stepId: "base" as StepId, coat: 1 } },
  }) as unknown as Parameters<typeof ownTimesOf>[0][number];
/** Found tacky after so long, and gone on with later. */
const waited = (product: ProductId, room: Room, tackyMin: number, dryMin: number, reckonedMin = 60) => {
  const piece = `p${count++}`;
  return [
    record("tacky", { product, room, waitedMin: tackyMin, reckonedMin }, piece),
    record("done", { product, room, waitedMin: dryMin, reckonedMin }, piece),
  ];
};
const worked = (role: string, technique: string | undefined, min: number, reckonedMin: number) =>
  ({
    kind: "done",
    pieceId: "p",
    stepId: "s",
    coat: 1,
    at: "2026-11-30T19:00:00.000Z",
    act: { role, ...(technique ? { technique } : {}) },
    actual: { work: { min, reckonedMin } },
  }) as unknown as Parameters<typeof ownTimesOf>[0][number];
const filmOf = (times: ReturnType<typeof ownTimesOf>, id: ProductId) => times.films.find(({ key }) => key === id)!;

describe("drying that is learnt", () => {
  test("one coat found tacky moves little, five move much, and the truth lies between", () => {
    const all = Array.from({ length: 6 }, () => waited(ACRYLIC, COOL, 75, 95)).flat();
    const [once, often] = [ownTimesOf(all.slice(0, 2)), ownTimesOf(all)];
    const both = (times: typeof once) => filmOf(times, ACRYLIC).factor * times.rooms[0]!.factor;
    expect(both(once)).toBeGreaterThan(1.05);
    expect(both(often)).toBeGreaterThan(both(once));
    expect(both(often)).toBeGreaterThan(75 / 60 - 0.05);
    expect(both(often)).toBeLessThan(95 / 60);
    const { from, to } = filmOf(often, ACRYLIC);
    expect(to - from).toBeLessThan(filmOf(once, ACRYLIC).to - filmOf(once, ACRYLIC).from);
  });

  test("gone on with when it might be says nothing: whoever does as told is not hurried on", () => {
    const told = Array.from({ length: 20 }, () => record("done", { product: ACRYLIC, room: COOL, waitedMin: 62, reckonedMin: 60 }));
    expect(ownTimesOf(told)).toEqual({ films: [], rooms: [], hands: [] });
    const early = Array.from({ length: 5 }, () => record("done", { product: ACRYLIC, room: COOL, waitedMin: 35, reckonedMin: 60 }));
    expect(filmOf(ownTimesOf(early), ACRYLIC).factor).toBeLessThan(0.9);
    // A night in between is no judgement of an hour.
    expect(ownTimesOf([record("tacky", { product: ACRYLIC, room: COOL, waitedMin: 900, reckonedMin: 60 })]).films).toEqual([]);
  });

  test("what is slow everywhere in one room is the room; what is slow in both is the paint", () => {
    const slow = (product: ProductId, room: Room) => Array.from({ length: 5 }, () => waited(product, room, 85, 105)).flat();
    const fair = (product: ProductId, room: Room) => Array.from({ length: 5 }, () => waited(product, room, 50, 68)).flat();
    const room = ownTimesOf([...slow(ACRYLIC, COOL), ...slow(ENAMEL, COOL), ...fair(ACRYLIC, WARM), ...fair(ENAMEL, WARM)]);
    const roomOf = (times: typeof room, celsius: number) => times.rooms.find(({ key }) => key.startsWith(`${celsius}/`))!.factor;
    expect(roomOf(room, 16)).toBeGreaterThan(1.2);
    expect(roomOf(room, 22)).toBeLessThan(1.1);
    const paint = ownTimesOf([...slow(ENAMEL, COOL), ...slow(ENAMEL, WARM), ...fair(ACRYLIC, COOL), ...fair(ACRYLIC, WARM)]);
    expect(filmOf(paint, ENAMEL).factor).toBeGreaterThan(1.2);
    expect(filmOf(paint, ACRYLIC).factor).toBeLessThan(1.1);
  });

  test("a table that dries by some factor is found out, from touches at any time", () => {
    fc.assert(
      fc.property(fc.double({ min: 0.6, max: 1.7, noNaN: true }), fc.integer({ min: 1, max: 10_000 }), (truth, seed) => {
        const number = numbersFrom(seed);
        const records = Array.from({ length: 25 }, () => {
          const real = 60 * truth * Math.exp(0.15 * (number() + number() + number() - 1.5));
          const touched = 60 * (0.4 + 1.6 * number());
          return touched < real
            ? waited(ACRYLIC, COOL, touched, real + 40 * number())
            : [record("done", { product: ACRYLIC, room: COOL, waitedMin: touched, reckonedMin: 60 })];
        }).flat();
        const times = ownTimesOf(records);
        const found = (times.films[0]?.factor ?? 1) * (times.rooms[0]?.factor ?? 1);
        expect(Math.abs(Math.log(found / truth))).toBeLessThan(0.32);
      }),
      { numRuns: Number(process.env.RUNS ?? 25) },
    );
  });
});

describe("hands that are learnt", () => {
  test("by kind of work, shrunk towards what is reckoned where it was seen seldom", () => {
    const quick = (times: number) => Array.from({ length: times }, () => worked("decorate", "dots", 30, 60));
    const factor = (times: number) => ownTimesOf(quick(times)).hands[0]!.factor;
    expect(factor(1)).toBeCloseTo(Math.exp(Math.log(0.5) / 2), 9);
    expect(factor(10)).toBeLessThan(0.56);
    expect(ownTimesOf([...quick(3), worked("prime", undefined, 90, 60)]).hands.map(({ key, seen }) => [key, seen])).toEqual([
      ["decorate/dots", 3],
      ["prime", 1],
    ]);
  });
});

describe("work at a table that is known", () => {
  const steps = [
    { id: "base", role: "base", product: ACRYLIC },
    { id: "seal", role: "seal", product: ACRYLIC },
  ];
  const plan = { zones: [{ zone: "top", steps }] } as never;
  const reckoned = { ...workOf([task("base", 20), task("seal", 10, [edge("base", 60, { by: "evaporation", film: ACRYLIC, closesMin: 240 })])]), room: COOL };
  const own = ownTimesOf([
    ...Array.from({ length: 6 }, () => waited(ACRYLIC, COOL, 85, 100)).flat(),
    ...Array.from({ length: 6 }, () => worked("base", undefined, 40, 20)),
  ]);

  test("waits and hands go by it; careful waits keep what is not sure yet; it is learnt from what was reckoned, not from what was learnt", () => {
    const work = withOwnTimes(reckoned, plan, own);
    const [base, seal] = work.tasks;
    expect(base!.handsOnMin).toBeGreaterThan(30);
    expect(seal!.handsOnMin).toBe(10);
    const [wait] = seal!.after;
    expect(wait!.typicalMin).toBeGreaterThan(75);
    expect(wait!.cautiousMin / 120).toBeGreaterThan(wait!.typicalMin / 60);
    expect(wait!.closesMin).toBeGreaterThan(240);
    const now = Date.parse("2026-11-30T21:00:00Z");
    const actual = actualOfGo([seal!], { work, done: new Map([["base", now - 130 * 60_000]]), now }, 12)!;
    expect(actual).toEqual({
      work: { min: 12, reckonedMin: 10 },
      drying: { product: ACRYLIC, room: COOL, stepId: "base", coat: 1, waitedMin: 118, reckonedMin: 60 },
    });
    // What nothing was learnt of stays as it is.
    expect(withOwnTimes(COATS, { zones: [] } as never, own)).toEqual(COATS);
  });

  test("what is found tacky is left for a quarter of its wait more, and a quarter of an hour at least", () => {
    const now = Date.parse("2026-11-30T21:00:00Z");
    const done = new Map([["base", now - 70 * 60_000]]);
    const [found] = foundTacky([reckoned.tasks[1]!], { work: reckoned, done, now });
    expect(found).toMatchObject({ task: { id: "base" }, actual: { drying: { waitedMin: 70, reckonedMin: 60 } } });
    const [wait] = leftLonger(reckoned, done, new Map([["base", now]])).tasks[1]!.after;
    expect([wait!.typicalMin, wait!.cautiousMin, wait!.reckonedMin]).toEqual([85, 120, 60]);
    // Found so before it was laid again it says nothing of the coat that lies there now.
    expect(leftLonger(reckoned, done, new Map([["base", now - 80 * 60_000]])).tasks).toEqual(reckoned.tasks);
    expect(foundTacky([reckoned.tasks[0]!], { work: reckoned, done, now })).toEqual([]);
  });
});
