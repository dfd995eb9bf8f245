/** Casting in the notebook: moulds, bags, pours stage by stage; bodies become pieces in one go; quick hands, another tab and going back lose nothing. */
import "fake-indexeddb/auto";
import { beforeEach, describe, expect, test } from "@jest/globals";
import { candidateId, compoundId, mouldId, pieceId, pourId, productId, stepId } from "#core/catalogue/ids";
import type { PourChange } from "#core/casting/pour-changes";
import type { PourRecord } from "#core/formats/stores/pours";
import { powderLeftG } from "#core/shelf/powder-stock";
import { gypsum } from "../../tests/reference/bench";
import { follow } from "../../tests/reference/notebook";
import type { Act } from "./acts";
import { exportAll } from "./bundles";
import { beginPour, compoundsIn, keepCompound, keepMould, mouldsIn, poursIn, removeCompound, removeMould, removePour } from "./casting";
import { onCommand, takeBack } from "./command";
import { openStore } from "./database";
import type { Database } from "./database";
import { pieceById, setFaults } from "./pieces";
import { changePour, handOver } from "./pours";
import { progressOf } from "./progress";
import { timersIn } from "./timers";

const acts: Act[] = [];
onCommand((act) => void acts.push(act));
const START = Date.parse("2026-11-28T18:00:00Z");
const iso = (min: number) => new Date(START + min * 60_000).toISOString();
const POUR = pourId("pour00000001");
const BAG = compoundId("bagofgypsum1");
const FORM = { kind: "disc", diameterMm: 90, thicknessMm: 14 } as const;
const MOULD = { id: mouldId("mouldnumber1"), name: "Table number", form: FORM, waterG: 88, count: 4 };

function pour(more: Partial<PourRecord> = {}): Omit<PourRecord, "rev"> {
  return {
    id: POUR,
    at: iso(0),
    powder: { kind: "gypsum", name: "Casting gypsum", label: { waterPer100: 38, setMin: 25 }, compound: BAG },
    reservePercent: 5,
    preparation: "soap",
    conditions: { roomC: 21 },
    moulds: [{ mould: MOULD.id, name: MOULD.name, form: FORM, count: 4, ml: 88 }],
    bowls: [{ fills: [{ mould: 0, count: 4 }], waterG: 188, powderG: 495, run: { tared: false }, stages: {} }],
    bodies: [],
    ...more,
  };
}

let db: Database;
let count = 0;
beforeEach(async () => {
  db = await openStore({}, `casting-${(count += 1)}`);
});
const kept = async () => (await poursIn(db))[0]!;
const change = (of: PourChange) => changePour(db, POUR, of);
const stage = (of: "sprinkle" | "soak" | "stir" | "set" | "release", min: number): PourChange => ({ kind: "stage", bowl: 0, stage: of, at: iso(min) });

describe("the register", () => {
  test("moulds and bags are put in, said otherwise and taken away; the same again says nothing", async () => {
    await keepMould(db, MOULD);
    const before = acts.length;
    await keepMould(db, MOULD);
    expect(acts.length).toBe(before);
    await keepMould(db, { ...MOULD, count: 6 });
    expect(await mouldsIn(db)).toEqual([{ ...MOULD, count: 6, rev: 2 }]);
    await keepCompound(db, { id: BAG, kind: "gypsum", name: "Casting gypsum", label: {} });
    await removeMould(db, MOULD.id, MOULD.name);
    expect([await mouldsIn(db), (await compoundsIn(db)).length]).toEqual([[], 1]);
    await takeBack(db, acts.at(-1)!);
    expect((await mouldsIn(db))[0]).toMatchObject({ name: "Table number", count: 6 });
    await removeCompound(db, BAG, "Casting gypsum");
    expect(await compoundsIn(db)).toEqual([]);
  });

  test("what fails its own schema is not kept, and leaves what was there", async () => {
    await keepMould(db, MOULD);
    await expect(keepMould(db, { ...MOULD, waterG: -3 })).rejects.toThrow(/moulds/);
    expect((await mouldsIn(db))[0]!.waterG).toBe(88);
    await expect(beginPour(db, pour({ moulds: [] }))).rejects.toThrow(/pours/);
    expect(await poursIn(db)).toEqual([]);
  });
});

describe("a pour", () => {
  test("is begun once; weights and stages are noted one by one, and the one that runs by itself is a timer on the Bench", async () => {
    await beginPour(db, pour());
    await beginPour(db, pour({ reservePercent: 30 }));
    expect((await kept()).reservePercent).toBe(5);
    await change({ kind: "run", bowl: 0, run: { tared: false, waterG: 188, powderG: 495 } });
    await change(stage("sprinkle", 0));
    expect(await timersIn(db)).toEqual([]);
    await change(stage("soak", 2));
    expect(await timersIn(db)).toMatchObject([{ label: "Let it soak", pour: POUR, from: iso(2), until: iso(4) }]);
    // The next stage begins: its timer takes the place of the one before, or of none.
    await change(stage("stir", 5));
    expect(await timersIn(db)).toEqual([]);
    await change(stage("set", 10));
    expect(await timersIn(db)).toMatchObject([{ label: "Leave it to set", until: iso(35) }]);
    await takeBack(db, acts.at(-1)!);
    expect([(await kept()).bowls[0]!.stages, await timersIn(db)]).toMatchObject([{ stir: iso(5) }, []]);
    expect((await kept()).bowls[0]!.stages.set).toBeUndefined();
  });

  test("the bag falls by what was weighed, not by what was meant, and not by what was poured before it was looked into", async () => {
    await beginPour(db, pour());
    const bag = { id: BAG as string, left: { g: 4000, at: iso(-60) } };
    expect(powderLeftG(bag, await poursIn(db))).toBe(4000);
    await change({ kind: "run", bowl: 0, run: { tared: false, waterG: 188, powderG: 510 } });
    expect(powderLeftG(bag, await poursIn(db))).toBe(3490);
    expect(powderLeftG({ ...bag, left: { g: 3000, at: iso(60) } }, await poursIn(db))).toBe(3000);
    expect(powderLeftG({ id: BAG }, await poursIn(db))).toBeNull();
    expect(powderLeftG({ ...bag, left: { g: 100, at: iso(-60) } }, await poursIn(db))).toBe(0);
  });

  test("quick hands lose nothing, two tabs write beside each other, and one that was let go says so", async () => {
    await beginPour(db, pour({ bodies: [{ mould: 0, count: 4, outAt: iso(0), onScale: 4, weighings: [], faults: [], pieces: [] }] }));
    const fault = { id: "hole00000001", kind: "hole", place: "face", bodies: 1, each: 1, widthMm: 2 } as const;
    await Promise.all([
      ...[1, 2, 3, 4].map((hour) => change({ kind: "weigh", bodies: 0, at: iso(hour * 60), g: 700 - hour })),
      change({ kind: "fault", bodies: 0, fault }),
      change(stage("sprinkle", 1)),
    ]);
    const now = await kept();
    expect([now.bodies[0]!.weighings.length, now.bodies[0]!.faults.length, now.bowls[0]!.stages.sprinkle]).toEqual([4, 1, iso(1)]);
    await removePour(db, POUR);
    await expect(change({ kind: "weigh", bodies: 0, at: iso(999), g: 600 })).rejects.toThrow("let go meanwhile");
  });

  test("goes with its timers, and both come back", async () => {
    await beginPour(db, pour());
    await change({ kind: "run", bowl: 0, run: { tared: false, waterG: 188, powderG: 495 } });
    await change(stage("soak", 2));
    await removePour(db, POUR);
    expect([await poursIn(db), await timersIn(db)]).toEqual([[], []]);
    await takeBack(db, acts.at(-1)!);
    expect([(await poursIn(db)).length, (await timersIn(db)).length]).toEqual([1, 1]);
  });
});

describe("bodies become a piece", () => {
  const PIECE = pieceId("pieceofcast1");
  const DRYING = { zone: "top", stepId: stepId("top.clean.constant-weight"), act: { role: "clean", product: productId("constant-weight") }, coat: 1 } as const;
  const FAULT = { id: "hole00000001", kind: "hole", place: "face", bodies: 2, each: 1, widthMm: 2, roundsDone: 1 } as const;
  const over = (id = PIECE, many = 2) => ({
    id,
    bodies: 0,
    piece: gypsum({ name: "Table numbers", count: many, body: { weightG: 140 } }),
    faults: [FAULT],
    begun: { followed: follow(candidateId("one"), ""), coats: [DRYING], at: iso(70) },
  });
  beforeEach(async () => {
    await beginPour(db, pour({ bodies: [{ mould: 0, count: 4, outAt: iso(70), onScale: 4, weighings: [], faults: [], pieces: [] }] }));
  });

  test("with its plan, its faults and its drying under way, in one go; taken back, all of it is gone", async () => {
    await handOver(db, POUR, over());
    const record = (await pieceById(db, PIECE))!;
    expect(record.faults).toEqual([{ kind: "hole", place: "face", bodies: 2, each: 1, widthMm: 2 }]);
    expect(record.planId).not.toBeNull();
    expect(await progressOf(db, PIECE)).toMatchObject([{ kind: "done", at: iso(70), act: { product: "constant-weight" }, planId: record.planId }]);
    expect((await kept()).bodies[0]!.pieces).toEqual([{ piece: PIECE, count: 2 }]);
    await takeBack(db, acts.at(-1)!);
    expect([await pieceById(db, PIECE), await progressOf(db, PIECE), (await kept()).bodies[0]!.pieces]).toEqual([undefined, [], []]);
  });

  test("asked twice it is there once; a file has all of it", async () => {
    await handOver(db, POUR, over());
    await handOver(db, POUR, over());
    expect((await kept()).bodies[0]!.pieces).toHaveLength(1);
    const bundle = await exportAll(db);
    expect([bundle.pours.length, bundle.pieces.length, bundle.progress.length]).toEqual([1, 1, 1]);
  });

  test("a weighing after that moves what the piece waits for, and nothing of a piece that was said otherwise", async () => {
    await handOver(db, POUR, over());
    const g = (hours: number) => Math.round(560 + 100 * Math.exp(-hours / 30));
    for (const hours of [1, 24, 48]) await change({ kind: "weigh", bodies: 0, at: iso(70 + hours * 60), g: g(hours) });
    const open = (await pieceById(db, PIECE))!.piece.body!;
    expect(open.weightG).toBe(140);
    expect(open.driesMin!.typical).toBeGreaterThan(48 * 60);
    for (const hours of [200, 224]) await change({ kind: "weigh", bodies: 0, at: iso(70 + hours * 60), g: g(hours) });
    expect((await pieceById(db, PIECE))!.piece.body!.driesMin).toEqual({ typical: 224 * 60, cautious: 224 * 60 });
  });

  test("what is wrong with the body of a piece is said, mended and taken off", async () => {
    await handOver(db, POUR, over());
    await setFaults(db, PIECE, []);
    expect((await pieceById(db, PIECE))!.faults).toBeUndefined();
    const rev = (await pieceById(db, PIECE))!.rev;
    await setFaults(db, PIECE, []);
    expect((await pieceById(db, PIECE))!.rev).toBe(rev);
    await expect(setFaults(db, pieceId("nowhere00001"), [])).rejects.toThrow("removed meanwhile");
  });
});
