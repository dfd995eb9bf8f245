/** What the table teaches: drying from what was touched, hands from what they took; and what it never teaches. */
import { describe, expect, test } from "@jest/globals";
import { COATS, edge, task, workOf } from "../../../tests/reference/made-up-tables";
import type { ProductId, StepId } from "../../catalogue/ids";
import type { DryingStage } from "../../catalogue/vocabulary";
import type { Room } from "../../piece/piece";
import { actualOfGo, leftLonger, touchAsked, touchedFilms } from "../actual";
import type { Look } from "../progress";
import { ownTimesOf } from "./own-times";
import { withOwnTimes } from "./with-own-times";

const ACRYLIC = "craft-acrylic" as ProductId;
const ENAMEL = "solvent-enamel" as ProductId;
const COOL: Room = { temperatureC: 16, relativeHumidity: 0.62, airflow: "still" };
const WARM: Room = { temperatureC: 22, relativeHumidity: 0.45, airflow: "still" };
const NOON = Date.parse("2026-11-30T12:00:00Z");

type Seen = Parameters<typeof ownTimesOf>[0][number];
let count = 0;
/** A film touched so long after it was laid; each of a piece of its own where none is named. */
const touched = (
  seen: Look["seen"],
  afterMin: number,
  { product = ACRYLIC, room = COOL, stage = "dry-to-recoat" as DryingStage, piece = `p${(count += 1)}` } = {},
) =>
  ({
    kind: seen,
    pieceId: piece,
    stepId: "base",
    coat: 1,
    at: new Date(NOON + afterMin * 60_000).toISOString(),
    act: { role: "base" },
    actual: { look: { product, room, stepId: "base" as StepId, coat: 1, stage, by: "finger", afterMin, reckonedMin: 60, toldMin: 60, seen } },
  }) as unknown as Seen;
/** Films that were tacky after so long, and dry later. */
const between = (tackyMin: number, dryMin: number, of: Parameters<typeof touched>[2] = {}, films = 5) =>
  Array.from({ length: films }, () => {
    const piece = `p${(count += 1)}`;
    return [touched("tacky", tackyMin, { ...of, piece }), touched("dry", dryMin, { ...of, piece })];
  }).flat();
const worked = (role: string, technique: string | undefined, min: number, reckonedMin: number) =>
  ({
    kind: "done",
    pieceId: "p",
    stepId: "s",
    coat: 1,
    at: "2026-11-30T19:00:00.000Z",
    act: { role, ...(technique ? { technique } : {}) },
    actual: { work: { min, reckonedMin } },
  }) as unknown as Seen;
const filmOf = (times: ReturnType<typeof ownTimesOf>, id: ProductId, stage: DryingStage = "dry-to-recoat") =>
  times.films.find((one) => one.key === id && one.stage === stage)!;

describe("drying that is learnt", () => {
  test("one film found tacky moves little, six move much, and the truth lies between what was tacky and what was dry", () => {
    const both = (times: ReturnType<typeof ownTimesOf>) => filmOf(times, ACRYLIC).factor * times.rooms[0]!.factor;
    const [once, often] = [ownTimesOf([touched("tacky", 62)]), ownTimesOf(between(75, 95, {}, 6))];
    expect(both(once)).toBeLessThan(1.05);
    expect(both(often)).toBeGreaterThan(75 / 60 - 0.05);
    expect(both(often)).toBeLessThan(95 / 60);
    expect(filmOf(often, ACRYLIC)).toMatchObject({ seen: 6, slow: 6, stage: "dry-to-recoat" });
  });

  test("what is as it was said to be proves nothing, however often it is seen: dry at the end of its wait or later, tacky before", () => {
    for (const seen of [touched("dry", 60), touched("dry", 75), touched("tacky", 40), touched("dry", 400)]) {
      const records = Array.from({ length: 60 }, (_unused, k) => ({ ...seen, pieceId: `q${k}` }) as Seen);
      expect(filmOf(ownTimesOf(records), ACRYLIC).factor).toBe(1);
    }
  });

  test("a film counts once, however often it was touched; one that was laid again is another", () => {
    const piece = "one";
    const looks = [touched("tacky", 61, { piece }), touched("tacky", 76, { piece }), touched("tacky", 91, { piece }), touched("dry", 110, { piece })];
    expect(filmOf(ownTimesOf(looks), ACRYLIC)).toMatchObject({ seen: 1, slow: 1 });
    const again = { ...touched("tacky", 70, { piece }), at: new Date(NOON + 900 * 60_000).toISOString() } as Seen;
    expect(filmOf(ownTimesOf([...looks, again]), ACRYLIC)).toMatchObject({ seen: 2 });
    // Said to be dry, and then found tacky: the finger that found it tacky is right.
    const changed = ownTimesOf([touched("dry", 40, { piece: "two" }), touched("tacky", 80, { piece: "two" })]);
    expect(filmOf(changed, ACRYLIC).factor).toBeGreaterThanOrEqual(1);
  });

  test("what was gone on with early, late or in a row says nothing; nor does a night between", () => {
    const goneOn = ["2026-11-30T19:00:00.000Z", "2026-11-30T19:10:00.000Z"].map(
      (at) => ({ kind: "done", pieceId: "p", act: { role: "base" }, at, actual: { drying: { waitedMin: 10, reckonedMin: 60 } } }) as unknown as Seen,
    );
    expect(ownTimesOf(goneOn)).toEqual({ films: [], rooms: [], hands: [] });
    expect(ownTimesOf([touched("tacky", 900)]).films).toEqual([]);
  });

  test("only the stage that was seen moves: never dry-through, cure, or what a bake needs", () => {
    for (const stage of ["dry-through", "cured", "dry-body"] as const) expect(ownTimesOf(between(90, 110, { stage })).films).toEqual([]);
    const own = ownTimesOf(between(90, 110, { stage: "dry-to-touch" }));
    expect(filmOf(own, ACRYLIC, "dry-to-touch").factor).toBeGreaterThan(1.3);
    expect(filmOf(own, ACRYLIC)).toBeUndefined();
  });

  test("what is slow everywhere in one room is the room; what is slow in both is the paint", () => {
    const slow = (product: ProductId, room: Room) => between(85, 105, { product, room });
    const fair = (product: ProductId, room: Room) => between(50, 68, { product, room });
    const room = ownTimesOf([...slow(ACRYLIC, COOL), ...slow(ENAMEL, COOL), ...fair(ACRYLIC, WARM), ...fair(ENAMEL, WARM)]);
    const roomOf = (times: typeof room, celsius: number) => times.rooms.find(({ key }) => key.startsWith(`${celsius}/`))!.factor;
    expect(roomOf(room, 16)).toBeGreaterThan(1.2);
    expect(roomOf(room, 22)).toBeLessThan(1.1);
    const paint = ownTimesOf([...slow(ENAMEL, COOL), ...slow(ENAMEL, WARM), ...fair(ACRYLIC, COOL), ...fair(ACRYLIC, WARM)]);
    expect(filmOf(paint, ENAMEL).factor).toBeGreaterThan(1.2);
    expect(filmOf(paint, ACRYLIC).factor).toBeLessThan(1.1);
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
    { id: "dots", role: "decorate", product: ACRYLIC },
    { id: "seal", role: "seal", product: ENAMEL },
  ];
  const plan = { zones: [{ zone: "top", steps }] } as never;
  const touch = { typicalMin: 20, cautiousMin: 30, by: "evaporation" as const, film: ACRYLIC, labelMin: 20 };
  const recoat = { by: "evaporation" as const, film: ACRYLIC, labelMin: 30, until: "dry-to-recoat" as const };
  const through = { by: "evaporation" as const, film: ACRYLIC, until: "dry-through" as const };
  const reckoned = {
    ...workOf([
      { ...task("base", 20), touch },
      { ...task("dots", 10, [edge("base", 60, { ...recoat, closesMin: 240 })]), touch },
      task("seal", 10, [edge("dots", 1380, through)]),
    ]),
    room: COOL,
  };
  const slow = ownTimesOf([...between(85, 100, {}, 6), ...Array.from({ length: 6 }, () => worked("base", undefined, 40, 20))]);
  const quick = ownTimesOf(between(20, 24, {}, 12));

  test("waits and hands go by it; it is learnt from what was reckoned, not from what was learnt", () => {
    const work = withOwnTimes(reckoned, plan, slow);
    const [base, dots] = work.tasks;
    expect(base!.handsOnMin).toBeGreaterThan(30);
    expect(dots!.handsOnMin).toBe(10);
    const [wait] = dots!.after;
    expect(wait!.typicalMin).toBeGreaterThan(75);
    expect(wait!.cautiousMin).toBeGreaterThanOrEqual((120 * wait!.typicalMin) / 60);
    expect(wait!.closesMin).toBe(240);
    const now = NOON + 130 * 60_000;
    const [film] = touchedFilms([dots!], { work, done: new Map([["base", NOON]]), now }, "dry");
    expect(film).toMatchObject({ task: { id: "base" }, look: { afterMin: 130, reckonedMin: 60, toldMin: wait!.typicalMin, stage: "dry-to-recoat" } });
    expect(actualOfGo([dots!], 12)).toEqual({ work: { min: 12, reckonedMin: 10 } });
    // What nothing was learnt of stays as it is.
    expect(withOwnTimes(COATS, { zones: [] } as never, slow)).toEqual(COATS);
  });

  test("nothing learnt comes below the label or half of what is reckoned, shortens a careful wait, or lets anything be sealed sooner", () => {
    expect(filmOf(quick, ACRYLIC).factor * quick.rooms[0]!.factor).toBeLessThan(0.45);
    const [, dots, seal] = withOwnTimes(reckoned, plan, quick).tasks;
    expect(dots!.after[0]).toMatchObject({ typicalMin: 30, cautiousMin: reckoned.tasks[1]!.after[0]!.cautiousMin });
    // The seal waits for what lies under the dots too: as long after it as before.
    expect(seal!.after[0]!.typicalMin + dots!.after[0]!.typicalMin).toBe(1380 + 60);
    const labelled = { ...reckoned, tasks: reckoned.tasks.map((one) => ({ ...one, after: one.after.map((wait) => ({ ...wait, labelMin: 50 })) })) };
    expect(withOwnTimes(labelled, plan, quick).tasks[1]!.after[0]!.typicalMin).toBe(50);
  });

  test("what is found tacky is left for a quarter of its wait more, and a quarter of an hour at least", () => {
    const now = Date.parse("2026-11-30T21:00:00Z");
    const done = new Map([["base", now - 70 * 60_000]]);
    const [found] = touchedFilms([reckoned.tasks[1]!], { work: reckoned, done, now }, "tacky");
    expect(found).toMatchObject({ task: { id: "base" }, look: { afterMin: 70, reckonedMin: 60, seen: "tacky" } });
    const left = leftLonger(reckoned, done, new Map([["base", now]])).tasks;
    const [wait] = left[1]!.after;
    expect([wait!.typicalMin, wait!.cautiousMin, wait!.reckonedMin]).toEqual([85, 120, 60]);
    expect(left[0]!.touch!.typicalMin).toBe(85);
    // Found so before it was laid again it says nothing of the coat that lies there now.
    expect(leftLonger(reckoned, done, new Map([["base", now - 80 * 60_000]])).tasks).toEqual(reckoned.tasks);
    expect(touchedFilms([reckoned.tasks[0]!], { work: reckoned, done, now }, "tacky")).toEqual([]);
  });

  test("a film that was found dry is not asked about again, until it is laid anew", () => {
    const note = (kind: string) => ({ stepId: "base", coat: 1, kind }) as never;
    const done = new Map([["base", NOON]]);
    const dots = [reckoned.tasks[1]!];
    expect(touchAsked(dots, { work: reckoned, done }, [note("done"), note("dry")])).toBe(null);
    expect(touchAsked(dots, { work: reckoned, done }, [note("done"), note("dry"), note("tacky")])).toBe("finger");
    expect(touchAsked(dots, { work: reckoned, done }, [note("done"), note("dry"), note("done")])).toBe("finger");
  });
});
