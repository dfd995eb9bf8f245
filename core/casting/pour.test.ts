/** A pour from the scale to the last body: its stages, what is due, what becomes of its bodies, and what the records say of it all. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "../catalogue/catalogue";
import { weightTold } from "../drying/constant-weight";
import { driesMinOf, openFaults, pieceOfBodies, pieceOfMould } from "./body-piece";
import { castMaturity } from "./cast-maturity";
import type { Bowl, CastBodies, FoundFault, Pour, PouredMould } from "./pour";
import { bodiesLeft, powderUsedG, weighingsOf } from "./pour";
import { pourAfter } from "./pour-changes";
import type { PourChange } from "./pour-changes";
import { bowlState, bowlToTurnTo, dryOf, mixOfBody, toldOf } from "./pour-state";
import { chanceOf, costPerBody, mouldRecord, ratioSaid, recordsSay } from "./records-say";
import { castingRoom, openMinOf, stagesOfCast } from "./stages";
import type { CastStage, settingFactor } from "./stages";

const MIN = 60_000;
const HOUR = 60 * MIN;
const START = Date.parse("2026-11-28T18:00:00Z");
const iso = (ms: number) => new Date(ms).toISOString();
const NUMBERS: PouredMould = { mould: "mouldnumber1", name: "Table number", form: { kind: "disc", diameterMm: 90, thicknessMm: 14 }, count: 4, ml: 88 };
const GULLS: PouredMould = { mould: "mouldgull001", name: "Gull stone", form: { kind: "dome", diameterMm: 78, heightMm: 34 }, count: 1, ml: 101, stiff: true };
const WEIGHED = { tared: false, waterG: 232, powderG: 611 };

function bowl(more: Partial<Bowl> = {}): Bowl {
  return { fills: [{ mould: 0, count: 4 }], waterG: 232, powderG: 611, run: { tared: false }, stages: {}, ...more };
}
function pour(more: Partial<Pour> = {}): Pour {
  return {
    at: iso(START),
    powder: { kind: "gypsum", name: "Casting gypsum", label: { waterPer100: 38, setMin: 25, openMin: 12 } },
    reservePercent: 5,
    preparation: "soap",
    conditions: { roomC: 21 },
    moulds: [NUMBERS, GULLS],
    bowls: [bowl()],
    bodies: [],
    ...more,
  };
}
function bodies(more: Partial<CastBodies> = {}): CastBodies {
  return { mould: 0, count: 4, outAt: iso(START), onScale: 4, weighings: [], faults: [], pieces: [], ...more };
}
const hole = (bodiesWith: number, each: number, more: Partial<FoundFault> = {}): FoundFault => ({
  id: `fault${bodiesWith}${each}aaaa`,
  kind: "hole",
  place: "face",
  bodies: bodiesWith,
  each,
  widthMm: 2,
  depthMm: 2,
  ...more,
});
const after = (of: Pour, ...changes: readonly PourChange[]) => changes.reduce<Pour>((now, change) => pourAfter(now, change), of);

describe("stages", () => {
  test("come in the order of the work, and are one after another", () => {
    const ids = stagesOfCast("gypsum", {}, { roomC: 21 }).map(({ id }) => id);
    expect(ids).toEqual(["sprinkle", "soak", "stir", "knock", "pour", "set", "warm", "cool", "release"]);
    expect(stagesOfCast("gypsum", { setMin: 25 }, { roomC: 21 }).find(({ id }) => id === "set")!.fromMin).toBe(25);
  });

  test("setting is shorter in the heat and with warm water, longer in the cold; the hands take their time", () => {
    const set = (conditions: Parameters<typeof settingFactor>[0]) => stagesOfCast("gypsum", { setMin: 25 }, conditions);
    const min = (conditions: Parameters<typeof settingFactor>[0], id: CastStage) => set(conditions).find((one) => one.id === id)!.fromMin;
    expect(min({ roomC: 31 }, "set")).toBeLessThan(25);
    expect(min({ roomC: 21, waterC: 35 }, "set")).toBeLessThan(25);
    expect(min({ roomC: 11 }, "set")).toBeGreaterThan(25);
    expect(min({ roomC: 11 }, "stir")).toBe(min({ roomC: 31 }, "stir"));
    expect(openMinOf("gypsum", { openMin: 12 }, { roomC: 30 })).toBeLessThan(12);
    expect([{ roomC: 2 }, { roomC: 12 }, { roomC: 21 }, { roomC: 30 }, { roomC: 21, waterC: 60 }].map(castingRoom)).toEqual([
      "too-cold",
      "slow",
      null,
      "fast",
      "too-warm",
    ]);
  });

  test("a bowl is weighed, then due stage by stage; what runs by itself is waited for", () => {
    expect(bowlState(bowl(), pour(), START)).toEqual({ next: { kind: "weigh" }, pourBy: null });
    const wet = bowl({ run: WEIGHED });
    expect(bowlState(wet, pour(), START).next).toMatchObject({ kind: "stage", stage: { id: "sprinkle" } });
    const soaking = { ...wet, stages: { sprinkle: iso(START), soak: iso(START + 2 * MIN) } };
    expect(bowlState(soaking, pour(), START + 3 * MIN)).toMatchObject({
      next: { kind: "wait", stage: { id: "soak" }, until: START + 4 * MIN },
      pourBy: START + 12 * MIN,
    });
    expect(bowlState(soaking, pour(), START + 4 * MIN).next).toMatchObject({ kind: "stage", stage: { id: "stir" } });
    const setting = { ...wet, stages: { ...soaking.stages, stir: iso(START), knock: iso(START), pour: iso(START + 8 * MIN), set: iso(START + 9 * MIN) } };
    expect(bowlState(setting, pour(), START + 10 * MIN)).toMatchObject({ next: { kind: "wait", until: START + 34 * MIN }, pourBy: null });
    const out = { ...wet, stages: { ...setting.stages, release: iso(START + HOUR) } };
    expect(bowlState(out, pour(), START + HOUR).next).toEqual({ kind: "over" });
  });

  test("of several bowls the one in mid-work comes first, then one that is out of its wait, then the next to weigh", () => {
    const setting = bowl({ run: WEIGHED, stages: { sprinkle: iso(START), pour: iso(START + 8 * MIN), set: iso(START + 9 * MIN) } });
    const stirring = bowl({ run: WEIGHED, stages: { sprinkle: iso(START + 10 * MIN) } });
    const of = (...bowls: Bowl[]) => pour({ bowls });
    expect(bowlToTurnTo(of(setting, bowl(), stirring), START + 11 * MIN)).toBe(2);
    expect(bowlToTurnTo(of(setting, bowl()), START + 11 * MIN)).toBe(1);
    expect(bowlToTurnTo(of(setting, bowl()), START + 40 * MIN)).toBe(0);
    expect(bowlToTurnTo(of(bowl({ run: WEIGHED, stages: { release: iso(START) } })), START)).toBeNull();
  });
});

describe("what happens to a pour", () => {
  const stage = (of: CastStage, min: number, at = 0): PourChange => ({ kind: "stage", bowl: at, stage: of, at: iso(START + min * MIN) });

  test("is noted once, however often it comes; powder in the water is not weighed again", () => {
    const run: PourChange = { kind: "run", bowl: 0, run: WEIGHED };
    const once = after(pour(), run, stage("sprinkle", 0));
    expect(after(once, stage("sprinkle", 5), { kind: "run", bowl: 0, run: { tared: true } })).toEqual(once);
    expect(powderUsedG(once)).toBe(611);
    expect(after(once, { kind: "run", bowl: 9, run: WEIGHED })).toEqual(once);
  });

  test("bodies come out with their bowl: of one mould together, of a mould that took two bowls once", () => {
    const two = pour({
      bowls: [
        bowl({ fills: [{ mould: 0, count: 2 }] }),
        bowl({
          fills: [
            { mould: 0, count: 2 },
            { mould: 1, count: 1 },
          ],
        }),
      ],
    });
    const out = after(two, stage("release", 70), stage("release", 90, 1), stage("release", 95, 1));
    expect(out.bodies.map(({ mould, count, onScale }) => [mould, count, onScale])).toEqual([
      [0, 4, 4],
      [1, 1, 1],
    ]);
    expect(out.bodies[0]!.outAt).toBe(iso(START + 90 * MIN));
    const beside = pour({ bowls: [bowl({ fills: [{ mould: 1, count: 1 }] }), bowl({ fills: [{ mould: 1, count: 1 }], beside: true })] });
    expect(after(beside, stage("release", 70), stage("release", 71, 1)).bodies.map(({ count }) => count)).toEqual([1]);
    // What was weighed already is not mixed with what comes later.
    const weighedFirst = after(two, stage("release", 70), { kind: "weigh", bodies: 0, at: iso(START + 3 * HOUR), g: 300 }, stage("release", 240, 1));
    expect(weighedFirst.bodies.map(({ mould, count }) => [mould, count])).toEqual([
      [0, 2],
      [0, 2],
      [1, 1],
    ]);
  });

  test("weighings lie in order, one at an instant; another number on the scale begins them anew", () => {
    const of = pour({ bodies: [bodies()] });
    const weigh = (hour: number, g: number): PourChange => ({ kind: "weigh", bodies: 0, at: iso(START + hour * HOUR), g });
    const some = after(of, weigh(24, 600), weigh(1, 640), weigh(24, 601));
    expect(some.bodies[0]!.weighings.map(({ g }) => g)).toEqual([640, 601]);
    expect(after(some, { kind: "weigh-off", bodies: 0, at: iso(START + HOUR) }).bodies[0]!.weighings).toHaveLength(1);
    expect(after(some, { kind: "on-scale", bodies: 0, count: 4 })).toEqual(some);
    expect(after(some, { kind: "on-scale", bodies: 0, count: 9 }).bodies[0]).toMatchObject({ onScale: 4, weighings: [{ g: 640 }, { g: 601 }] });
    expect(after(some, { kind: "on-scale", bodies: 0, count: 1 }).bodies[0]).toMatchObject({ onScale: 1, weighings: [] });
  });

  test("no more bodies leave than there are, and none twice", () => {
    const of = pour({ bodies: [bodies()] });
    const hand = (piece: string, count: number): PourChange => ({ kind: "handed", bodies: 0, piece, count });
    const gone = after(of, hand("piece00001", 3), hand("piece00001", 3), hand("piece00002", 3), hand("piece00003", 1));
    expect(gone.bodies[0]!.pieces).toEqual([
      { piece: "piece00001", count: 3 },
      { piece: "piece00002", count: 1 },
    ]);
    expect(bodiesLeft(gone.bodies[0]!)).toBe(0);
  });

  test("faults are put in, mended and taken off by their own ids", () => {
    const of = after(pour({ bodies: [bodies()] }), { kind: "fault", bodies: 0, fault: hole(2, 3) }, { kind: "fault", bodies: 0, fault: hole(1, 1) });
    const mended = after(of, { kind: "fault", bodies: 0, fault: { ...hole(2, 3), mended: true } });
    expect(openFaults(mended.bodies[0]!.faults)).toEqual([hole(1, 1)]);
    expect(after(mended, { kind: "fault-off", bodies: 0, id: hole(1, 1).id }).bodies[0]!.faults).toHaveLength(1);
  });
});

describe("bodies on their way to the pieces", () => {
  const poured = pour({
    bowls: [bowl({ run: WEIGHED })],
    bodies: [bodies({ faults: [hole(2, 3), hole(1, 1, { id: "mendedhole", kind: "chip", mended: true })] })],
  });
  const OVER = { name: "Table numbers", count: 2, uses: ["handled"], faulty: true, soapy: true, matured: false };

  test("take material, form, weight, room and what is still wrong with them", () => {
    const piece = pieceOfBodies(poured, poured.bodies[0]!, null, OVER, CATALOGUE);
    expect(piece).toMatchObject({
      material: "gypsum-cast",
      form: NUMBERS.form,
      count: 2,
      conditions: ["air-holes", "release-agent"],
      room: { temperatureC: 21 },
    });
    const one = mixOfBody(poured, NUMBERS);
    expect(piece.body!.weightG).toBe(Math.round(one.powderG * (1 + 0.18617)));
    expect(piece.body!.driesMin).toBeUndefined();
    expect(pieceOfBodies(poured, poured.bodies[0]!, null, { ...OVER, faulty: false, soapy: false }, CATALOGUE).conditions).toBeUndefined();
  });

  test("a mould by itself gives a piece its form, and what else it is can be said of it", () => {
    expect(pieceOfMould({ name: "Gull stone", form: GULLS.form }, CATALOGUE)).toMatchObject({
      name: "Gull stone",
      material: "gypsum-cast",
      form: GULLS.form,
      object: "stone",
    });
    expect(pieceOfMould({ name: "Lid", form: NUMBERS.form, part: "lid" }, CATALOGUE).parts).toEqual(["lid"]);
  });

  test("what their weighings say is held against what was poured; of cement nothing of it is known", () => {
    expect(toldOf(poured, bodies())).toBeNull();
    const own = bodies({ weighings: [640, 607].map((g, day) => ({ at: iso(START + day * 24 * HOUR), g })) });
    // Two weighings tell the day only with the dry weight beside them.
    expect(toldOf(poured, own)!.constantAt).not.toBeNull();
    expect(toldOf({ ...poured, powder: { kind: "cement", name: "Cement mix", label: {} } }, own)!.constantAt).toBeNull();
  });

  test("wait as long as their weighings say, from when they were taken out", () => {
    const { dryG } = dryOf(poured, bodies());
    const hours = [0, 24, 48, 240, 264];
    const own = bodies({ weighings: hours.map((hour) => ({ at: iso(START + hour * HOUR), g: Math.round(dryG + 90 * Math.exp(-hour / 30)) })) });
    const constant = driesMinOf(own, weightTold(weighingsOf(own), { dryG }))!;
    expect(constant).toEqual({ typical: 264 * 60, cautious: 264 * 60 });
    const early = { ...own, weighings: own.weighings.slice(0, 3) };
    const open = driesMinOf(early, weightTold(weighingsOf(early), { dryG }))!;
    expect(open.typical).toBeGreaterThan(48 * 60);
    expect(open.cautious).toBeGreaterThanOrEqual(open.typical);
    expect(driesMinOf(own, null)).toBeNull();
  });

  test("of cement mature by time and warmth", () => {
    const cement = pour({
      powder: { kind: "cement", name: "Cement mix", label: {} },
      conditions: { roomC: 10 },
      bowls: [bowl({ run: { tared: false, waterG: 96, powderG: 600 } })],
    });
    const body = bodies();
    const young = castMaturity(cement, body, START + 28 * 24 * HOUR);
    expect(young.share).toBeCloseTo(0.5, 6);
    expect(young.matureAt).toBe(START + 56 * 24 * HOUR);
    expect(castMaturity({ conditions: { roomC: -3 } }, body, START + HOUR)).toMatchObject({ share: 0, matureAt: null });
    const piece = pieceOfBodies(cement, body, null, { ...OVER, matured: true }, CATALOGUE);
    expect([piece.material, piece.body!.matured]).toEqual(["concrete-cast", true]);
  });
});

describe("the records", () => {
  const of = (preparation: Pour["preparation"], more: Partial<Pour>, list: readonly CastBodies[]) =>
    pour({ preparation, ...more, bowls: [bowl({ run: WEIGHED })], bodies: list });

  test("say what was done otherwise and what came of it, and when it may be chance", () => {
    const soaped = of("soap", {}, [bodies({ faults: [hole(2, 2)] })]);
    const plain = of("none", {}, [bodies({ count: 2, faults: [hole(2, 3)] })]);
    const [saying] = recordsSay([soaped, plain]);
    expect(saying).toMatchObject({ id: "soap", one: { bodies: 2, holes: 6 }, other: { bodies: 4, holes: 4 } });
    expect(saying!.text).toBe("The 2 without soap on the mould have three times the holes of those with it. So few bodies may still be chance.");
    const many = of("none", {}, [bodies({ count: 6, faults: [hole(6, 6)] })]);
    expect(recordsSay([soaped, many])[0]!.text).not.toContain("chance");
    // One body, or no difference, says nothing.
    expect(recordsSay([soaped, of("none", {}, [bodies({ count: 1, faults: [hole(1, 9)] })])])).toEqual([]);
    expect(recordsSay([soaped, of("none", {}, [bodies({ faults: [hole(2, 2)] })])])).toEqual([]);
  });

  test("of a new mould and of warm water too", () => {
    const stiff = of("soap", {}, [bodies(), bodies({ mould: 1, count: 3, faults: [hole(3, 5)] })]);
    expect(recordsSay([stiff])[0]).toMatchObject({ id: "new-mould", text: expect.stringContaining("have all the holes") as unknown });
    const warm = of("soap", { conditions: { roomC: 21, waterC: 33 } }, [bodies({ faults: [hole(4, 4)] })]);
    const cool = of("soap", { conditions: { roomC: 21, waterC: 18 } }, [bodies({ faults: [hole(2, 1)] })]);
    expect(recordsSay([warm, cool]).map(({ id }) => id)).toContain("warm");
  });

  test("the likelihood of chance is that of the binomial, both ways round", () => {
    // By hand: 10 holes, a third of the bodies; six or more, or none at all as unlikely.
    const p = (k: number) => ([1, 10, 45, 120, 210, 252, 210, 120, 45, 10, 1][k]! * 2 ** (10 - k)) / 3 ** 10;
    const expected = [0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10].filter((k) => p(k) <= p(6) * (1 + 1e-9)).reduce((sum, k) => sum + p(k), 0);
    expect(chanceOf({ bodies: 2, holes: 6 }, { bodies: 4, holes: 4 })).toBeCloseTo(expected, 10);
    expect(chanceOf({ bodies: 4, holes: 4 }, { bodies: 2, holes: 6 })).toBeCloseTo(expected, 10);
    expect(chanceOf({ bodies: 2, holes: 0 }, { bodies: 4, holes: 0 })).toBe(1);
  });

  test("tell how often a mould was used, where its bodies have faults, and what each cost", () => {
    const first = of("soap", {}, [bodies({ faults: [hole(2, 2), hole(1, 1, { id: "foot00000001", kind: "uneven-foot", place: "foot" })] })]);
    expect(mouldRecord(NUMBERS.mould, [first, first])).toEqual({
      used: 8,
      faults: [
        { kind: "hole", place: "face", count: 8 },
        { kind: "uneven-foot", place: "foot", count: 2 },
      ],
    });
    expect(costPerBody(first, 0)).toBeNull();
    const paid = { ...first, powder: { ...first.powder, paidPerG: 0.01 } };
    const [number, gull] = [costPerBody(paid, 0)!, costPerBody(paid, 1)!];
    // What was weighed is shared by what each holds.
    expect(number * 4 + gull).toBeCloseTo(6.11, 6);
    expect(gull / number).toBeCloseTo(101 / 88, 6);
    expect(ratioSaid(first)).toEqual({ waterPer100: (232 / 611) * 100, off: false });
    expect(ratioSaid(of("soap", { bowls: [bowl()] }, []))!.off).toBe(false);
    expect(ratioSaid(pour())).toBeNull();
  });
});
