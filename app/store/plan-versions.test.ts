/** What a piece and its plan were before: kept beside each change, brought back whole. */
import "fake-indexeddb/auto";
import { afterEach, beforeEach, expect, jest, test } from "@jest/globals";
import { candidateId, stepId } from "#core/catalogue/ids";
import { pebble } from "../../tests/reference/bench";
import { coat, follow, set } from "../../tests/reference/notebook";
import type { Act } from "./acts";
import { onCommand, takeBack } from "./command";
import { openStore } from "./database";
import type { Database } from "./database";
import { addPiece, pieceById, removePiece, savePiece } from "./pieces";
import { bringVersionBack, editPlan, planById } from "./plans";
import { markDone, progressOf } from "./progress";
import { MOST_VERSIONS } from "./versions";
import type { Version } from "./versions";

let db: Database;
let count = 0;
let acts: Act[] = [];
let now = Date.parse("2026-11-26T10:00:00.000Z");
onCommand((act) => void acts.push(act));
beforeEach(async () => {
  jest.spyOn(Date, "now").mockImplementation(() => now);
  db = await openStore({}, `plan-versions-${(count += 1)}`);
  acts = [];
});
afterEach(() => void jest.restoreAllMocks());

/** A quarter of an hour goes by. */
const later = () => (now += 15 * 60_000);
const followed = follow(candidateId("first"), "the usual");
const coats = (value: number) => [{ op: "set", stepId: stepId("top.base.craft-acrylic"), field: "coats", value }] as const;
const versions = (piece: string): Promise<Version[]> => db.getAllFromIndex("versions", "byPiece", piece);

test("each change is a version; the state of the piece before the first is one; what follows at once is the same", async () => {
  const { id, piece } = await addPiece(db, pebble());
  later();
  await savePiece(db, id, piece, [set("count", 4)]);
  later();
  await editPlan(db, id, followed, coats(3));
  now += 1000;
  await editPlan(db, id, followed, coats(4));
  const kept = await versions(id);
  expect(kept.map((one) => [one.piece.count ?? 1, one.plan?.edits.map((edit) => (edit as { value?: unknown }).value) ?? null])).toEqual([
    [1, null],
    [4, null],
    [4, [4]],
  ]);
  expect(kept.map(({ at }) => at)).toEqual([...kept.map(({ at }) => at)].sort((a, b) => a - b));
});

test("a version is brought back with its facts and its choices; the name and the work done stay; it is taken back like anything else", async () => {
  const { id, piece } = await addPiece(db, pebble());
  later();
  await editPlan(db, id, followed, coats(3));
  later();
  await savePiece(db, id, piece, [set("count", 9), set("name", "Nine stones")]);
  later();
  await editPlan(db, id, followed, coats(7));
  await markDone(db, id, followed, [coat(1)], "2026-11-26T12:00:00.000Z");
  const before = await pieceById(db, id);
  const [first, second] = await versions(id);
  await bringVersionBack(db, id, second!);
  const back = (await pieceById(db, id))!;
  expect([back.piece.name, back.piece.count]).toEqual(["Nine stones", piece.count]);
  expect((await planById(db, back.planId))!.edits).toEqual(coats(3));
  expect(await progressOf(db, id)).toHaveLength(1);
  await takeBack(db, acts.at(-1)!);
  expect((await pieceById(db, id))!.piece).toEqual(before!.piece);
  expect((await planById(db, before!.planId))!.edits).toEqual(coats(7));
  later();
  await bringVersionBack(db, id, first!);
  expect((await pieceById(db, id))!.planId).toBeNull();
  await removePiece(db, id);
  await expect(bringVersionBack(db, id, first!)).rejects.toMatchObject({ name: "GonePiece" });
});

test("of many changes the newest stay, and what is done on a piece is no version of its plan", async () => {
  const { id } = await addPiece(db, pebble());
  for (let n = 0; n < MOST_VERSIONS + 8; n += 1) {
    later();
    await savePiece(db, id, (await pieceById(db, id))!.piece, [set("count", n + 2)]);
  }
  const kept = await versions(id);
  expect(kept.length).toBeLessThanOrEqual(MOST_VERSIONS + 1);
  expect(kept.at(-1)!.piece.count).toBe(MOST_VERSIONS + 9);
});
