/** The logbook in the database: a piece is written down once and for ever; what is added can be taken back; files bring it over, with photographs or without. */
import "fake-indexeddb/auto";
import { beforeEach, describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { jarId, logRecordId, pieceId, productId, trialId } from "#core/catalogue/ids";
import type { PieceId } from "#core/catalogue/ids";
import { readBundle } from "#core/formats/bundle";
import { packNotebook, readNotebook } from "#core/formats/notebook-file";
import type { OlderPiece } from "#core/formats/older-csv";
import { pebble } from "../../tests/reference/bench";
import { coat, follow } from "../../tests/reference/notebook";
import { look } from "../../tests/reference/records";
import type { Act } from "./acts";
import { everything, exportAll, importBundle, wipeAll } from "./bundles";
import { onCommand, takeBack } from "./command";
import { openStore } from "./database";
import type { Database } from "./database";
import { ownWearIn } from "./own-wear";
import { addPhotos, allPictures } from "./photos";
import { addPiece, removePiece } from "./pieces";
import { saveSettings } from "./preferences";
import { markDone } from "./progress";
import { addRecordPictures, changeRecord, recordById, recordOfPiece, recordsIn, recordSoFar, removeRecord, tellOlder, writeDown } from "./records";
import { addJars } from "./shelf";
import { clearPictures } from "./tidy";
import { beginAgain } from "./again";
import { beginTrial, lookAtTrial, removeTrial, trialsIn } from "./trials";

const ID = logRecordId("logrecord001");
const AT = "2026-11-21T20:00:00.000Z";
let db: Database;
let piece: PieceId;
let count = 0;
let acts: Act[] = [];
onCommand((act) => void acts.push(act));
const undo = () => takeBack(db, acts.at(-1)!);
beforeEach(async () => {
  db = await openStore({}, `records-${(count += 1)}`);
  piece = (await addPiece(db, pebble({ name: "Tide wedge", uses: ["outdoor-exposed"], count: 3 }))).id;
  acts = [];
});

const followed = follow("candidate" as never, "a school");
const navy = { id: jarId("navyjar001"), classId: productId("craft-acrylic"), name: "Harbour navy", colour: "#1f3a4d", label: {}, sizeMl: 50, paid: 5 };
async function work(): Promise<void> {
  await addJars(db, [navy]);
  const poured = { ...coat(1), act: { ...coat(1).act, ownProduct: navy.id }, jarMl: 4, handsOnMin: 10 };
  await markDone(db, piece, followed, [poured], "2026-11-20T10:00:00.000Z");
}
const written = async () => {
  await work();
  await writeDown(db, piece, ID, AT, "UTC");
};

describe("writing down", () => {
  test("keeps what was noted, once; nothing to note is nothing to write; a piece that is gone is told of", async () => {
    await expect(writeDown(db, piece, ID, AT, "UTC")).rejects.toMatchObject({ name: "NothingDone" });
    await written();
    await writeDown(db, piece, logRecordId("logrecord002"), AT, "UTC");
    const [record, ...more] = await recordsIn(db);
    expect(more).toEqual([]);
    expect(record).toMatchObject({ id: ID, name: "Tide wedge", count: 3, finishedOn: "2026-11-20", pieceId: piece, writtenAt: AT });
    expect(record!.work).toMatchObject([{ title: "Base colour: Harbour navy", coats: 1, jar: { name: "Harbour navy" } }]);
    expect(record!.paint).toEqual([{ jar: navy.id, name: "Harbour navy", ml: 4, perMl: 0.1 }]);
    await expect(writeDown(db, pieceId("nobody0000"), ID, AT, "UTC")).rejects.toMatchObject({ name: "GonePiece" });
  });

  test("is for ever: it is the same when the piece goes on, is renamed or is removed, and its photographs stay with it", async () => {
    await work();
    const jpeg = (n: number) => new Uint8Array([0xff, 0xd8, 0xff, n]);
    await addPhotos(db, piece, [{ at: "2026-11-20T12:00:00.000Z", picture: jpeg(1), small: jpeg(2), width: 4, height: 3 }]);
    await writeDown(db, piece, ID, AT, "UTC");
    const before = await recordById(db, ID);
    expect(before!.pictures).toMatchObject([{ stage: "after" }]);
    await markDone(db, piece, followed, [coat(2)], "2026-11-25T10:00:00.000Z");
    await removePiece(db, piece);
    expect(await recordById(db, ID)).toEqual(before);
    await db.clear("acts");
    expect([await clearPictures(db), (await allPictures(db)).size]).toEqual([0, 2]);
    await removeRecord(db, ID, "Tide wedge");
    expect(await clearPictures(db)).toBe(0);
    await undo();
    await removeRecord(db, ID, "Tide wedge");
    await db.clear("acts");
    expect(await clearPictures(db)).toBe(2);
  });

  test("the record so far, of what was noted, is the same after the notebook went through a file", async () => {
    await work();
    const kept = (await db.get("pieces", piece))!;
    const before = await recordSoFar(db, kept, "UTC");
    const file = await exportAll(db);
    await wipeAll(db);
    const read = readBundle(JSON.stringify(file), CATALOGUE);
    if (!read.ok) throw new Error(read.problem.message);
    await importBundle(db, read.value.bundle);
    expect(await recordSoFar(db, (await db.get("pieces", piece))!, "UTC")).toEqual(before);
    expect(before.work).toHaveLength(1);
  });
});

describe("afterwards", () => {
  test("looks, moves, additions and money are noted, taken back and done again; of a record that is gone, or of more than there are, nothing", async () => {
    await written();
    await changeRecord(db, ID, { kind: "look", look: look(370, "fine") });
    await changeRecord(db, ID, { kind: "move", move: { id: "move00000001", on: "2026-12-01", kind: "sold", count: 2, price: 9 } });
    await changeRecord(db, ID, { kind: "add", addition: { id: "added0000001", at: AT, text: "the rim too" } });
    await changeRecord(db, ID, { kind: "money", money: { price: 9 } });
    await undo();
    const record = (await recordById(db, ID))!;
    expect([record.looks.length, record.moves.length, record.additions.length, record.money]).toEqual([1, 1, 1, undefined]);
    await expect(changeRecord(db, ID, { kind: "move", move: { id: "move00000002", on: "2026-12-01", kind: "given", count: 2 } })).rejects.toMatchObject({
      name: "NoneLeft",
    });
    await expect(changeRecord(db, logRecordId("nobody0000"), { kind: "money", money: {} })).rejects.toMatchObject({ name: "GoneRecord" });
    // What another tab added since stays when a look is taken back.
    const looked = acts.find(({ label }) => label === "how a piece has held")!;
    await takeBack(db, looked);
    expect((await recordById(db, ID))!).toMatchObject({ looks: [], moves: [{ count: 2 }], additions: [{ text: "the rim too" }] });
  });

  test("nothing that fails its own schema is kept", async () => {
    await written();
    await expect(changeRecord(db, ID, { kind: "add", addition: { id: "added0000001", at: AT, text: " " } })).rejects.toMatchObject({ name: "UnfitRecord" });
    await expect(changeRecord(db, ID, { kind: "look", look: { id: "look00000001", at: AT, saw: ["fine", "faded"] } })).rejects.toMatchObject({
      name: "UnfitRecord",
    });
    expect((await recordById(db, ID))!.rev).toBe(1);
  });

  test("what looks have shown feeds the plans, unless the user would not have it", async () => {
    const older = (n: number): OlderPiece => ({ name: `Stone ${n}`, body: "Slate", count: 1, told: {} });
    await tellOlder(db, [{ id: logRecordId("told00000001"), piece: older(1) }], AT);
    expect(await ownWearIn(db)).toEqual([]);
    await written();
    const record = (await recordById(db, ID))!;
    const seal = { ...record.work[0]!, role: "seal" as const, product: productId("outdoor-varnish"), title: "Seal: outdoor varnish" };
    const bundle = await exportAll(db);
    const worn = Array.from({ length: 8 }, (_one, n) => ({
      ...record,
      id: logRecordId(`worn0000000${n}`),
      work: [seal],
      looks: [look(200, "faded")],
      lookedAt: look(200, "faded").at,
    }));
    await importBundle(db, { ...bundle, records: worn });
    expect(await ownWearIn(db)).toMatchObject([{ product: "outdoor-varnish", wear: "weather", failed: 8 }]);
    await saveSettings(db, { ownTimes: false });
    expect(await ownWearIn(db)).toEqual([]);
  });
});

test("photographs come to a record afterwards, each once; they are in the file, and stay as long as they can be brought back", async () => {
  const jpeg = (n: number) => new Uint8Array([0xff, 0xd8, 0xff, n]);
  const shot = (n: number) => ({ at: "2026-11-22T12:00:00.000Z", picture: jpeg(n), small: jpeg(n + 1), width: 4, height: 3 });
  await written();
  expect(await addRecordPictures(db, ID, [shot(1), shot(3), shot(1)])).toBe(2);
  expect(await addRecordPictures(db, ID, [shot(3)])).toBe(0);
  expect((await recordById(db, ID))!.pictures.map(({ stage }) => stage)).toEqual(["after", "after"]);
  const { content } = packNotebook(await everything(db), await allPictures(db), CATALOGUE);
  const read = readNotebook(content as Uint8Array, CATALOGUE);
  expect(read.ok && [read.value.pictures.size, read.value.bundle.records[0]!.pictures.length]).toEqual([4, 2]);
  await expect(addRecordPictures(db, logRecordId("nobody0000"), [shot(5)])).rejects.toMatchObject({ name: "GoneRecord" });
  await expect(
    addRecordPictures(
      db,
      ID,
      Array.from({ length: 60 }, (_one, n) => shot(10 + 2 * n)),
    ),
  ).rejects.toMatchObject({ name: "TooManyPhotos" });
  await undo();
  expect((await recordById(db, ID))!.pictures).toEqual([]);
  expect(await clearPictures(db)).toBe(0);
});

describe("older pieces", () => {
  const pieces = ["Gull", "Tern"].map((name, n) => ({
    id: logRecordId(`older000000${n}`),
    piece: { name, body: "Slate", count: 2, finishedOn: `2019-0${n + 1}-01`, who: "Marn", told: { sealer: "spray" } },
  }));

  test("are told all at once, the latest first; asked twice they are there once; taken back they are gone", async () => {
    await tellOlder(db, pieces, AT);
    await tellOlder(db, pieces, AT);
    expect((await recordsIn(db)).map(({ name, origin, moves }) => [name, origin, moves[0]])).toMatchObject([
      ["Tern", "told", { kind: "given", count: 2, to: "Marn", on: "2019-02-01" }],
      ["Gull", "told", { to: "Marn" }],
    ]);
    await takeBack(db, acts[0]!);
    expect(await recordsIn(db)).toEqual([]);
  });

  test("one that does not fit keeps all of them off", async () => {
    await expect(tellOlder(db, [pieces[0]!, { ...pieces[1]!, piece: { ...pieces[1]!.piece, count: 0 } }], AT)).rejects.toMatchObject({ name: "UnfitRecord" });
    expect(await recordsIn(db)).toEqual([]);
  });
});

describe("through files", () => {
  test("the same file adds nothing; one without photographs is the same record; what was changed here since stands", async () => {
    await work();
    const jpeg = (n: number) => new Uint8Array([0xff, 0xd8, 0xff, n]);
    await addPhotos(db, piece, [{ at: "2026-11-20T12:00:00.000Z", picture: jpeg(1), small: jpeg(2), width: 4, height: 3 }]);
    await writeDown(db, piece, ID, AT, "UTC");
    const { content } = packNotebook(await everything(db), await allPictures(db), CATALOGUE);
    const read = readNotebook(content as Uint8Array, CATALOGUE);
    if (!read.ok) throw new Error(read.problem.message);
    const { bundle, pictures } = read.value;
    await importBundle(db, bundle, { pictures });
    await importBundle(db, { ...bundle, photos: [], records: bundle.records.map((one) => ({ ...one, pictures: [] })) });
    expect((await recordsIn(db)).length).toBe(1);
    expect((await recordById(db, ID))!.pictures).toHaveLength(1);
    await changeRecord(db, ID, { kind: "money", money: { price: 9 } });
    await importBundle(db, bundle, { pictures });
    expect((await recordsIn(db)).map(({ name, money }) => [name, money])).toEqual([["Tide wedge", { price: 9 }]]);
    expect(await recordOfPiece(db, piece)).not.toBeNull();
  });
});

test("begun again: the piece and the plan it follows come in one go, and go together", async () => {
  const id = pieceId("again0000001");
  const again = { ...pebble({ name: "Tide wedge, again" }), count: 6 };
  await beginAgain(db, id, again, followed, []);
  await beginAgain(db, id, again, followed, []);
  const kept = (await db.get("pieces", id))!;
  expect([kept.piece.count, (await db.get("plans", kept.planId!))!.pieceId, await db.count("pieces")]).toEqual([6, id, 2]);
  await undo();
  expect([await db.get("pieces", id), await db.count("plans")]).toEqual([undefined, 0]);
  await expect(beginAgain(db, id, { ...again, material: "cheese" as never }, null, [])).rejects.toMatchObject({ name: "UnfitRecord" });
  expect(await db.get("pieces", id)).toBeUndefined();
});

test("a trial is begun once; each look stands on its own field, and a second click notes nothing twice", async () => {
  const id = trialId("trial0000001");
  const spots = ["A", "B"].map((what, n) => ({ id: `spot0000000${n}`, what, looks: [] }));
  await beginTrial(db, { id, name: "Which yellows", begunOn: "2026-11-20", spots });
  await beginTrial(db, { id, name: "Another", begunOn: "2026-11-20", spots });
  const looks = [{ spot: "spot00000001", look: look(30, "yellowed") }];
  await lookAtTrial(db, id, looks);
  await lookAtTrial(db, id, looks);
  await lookAtTrial(db, trialId("nobody0000"), looks);
  expect((await trialsIn(db)).map(({ name, spots: own }) => [name, own.map((spot) => spot.looks.length)])).toEqual([["Which yellows", [0, 1]]]);
  await removeTrial(db, id, "Which yellows");
  expect(await trialsIn(db)).toEqual([]);
  await undo();
  expect(await trialsIn(db)).toHaveLength(1);
});
