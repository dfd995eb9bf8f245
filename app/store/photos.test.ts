/** Photographs: kept once, taken off and brought back, carried along in a file; their pictures go when nothing shows them any more. */
import "fake-indexeddb/auto";
import { beforeEach, expect, test } from "@jest/globals";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { pieceId } from "#core/catalogue/ids";
import type { PieceId } from "#core/catalogue/ids";
import { packNotebook, readNotebook } from "#core/formats/notebook-file";
import { MOST_PHOTOS } from "#core/formats/stores/photos";
import { pebble } from "../../tests/reference/bench";
import type { Act } from "./acts";
import { everything, importBundle, setAside, wipeAll } from "./bundles";
import { onCommand, takeBack } from "./command";
import { openStore } from "./database";
import type { Database } from "./database";
import { addPhotos, allPictures, photosOf, pictureBytes, removePhoto, savePhoto } from "./photos";
import type { Shrunk } from "./photos";
import { addPiece, copyPiece, removePiece, savePiece } from "./pieces";
import { clearPictures, clearVersions } from "./tidy";

let db: Database;
let piece: PieceId;
let count = 0;
let acts: Act[] = [];
onCommand((act) => void acts.push(act));
beforeEach(async () => {
  db = await openStore({}, `photos-${(count += 1)}`);
  piece = (await addPiece(db, pebble({ name: "Tide wedge" }))).id;
  acts = [];
});

const jpeg = (...body: readonly number[]) => new Uint8Array([0xff, 0xd8, 0xff, ...body]);
const shot = (mark: number, hour = 10): Shrunk => ({
  at: `2026-11-20T${String(hour).padStart(2, "0")}:00:00.000Z`,
  picture: jpeg(mark >> 8, mark & 255, 1),
  small: jpeg(mark >> 8, mark & 255, 0),
  width: 1600,
  height: 1200,
});
const captions = async (of = piece) => (await photosOf(db, of)).map(({ caption = "" }) => caption);
const undo = async () => takeBack(db, acts.at(-1)!);

test("they stand in the order they were taken; the same picture is kept once; beyond the most, and of a piece that is gone, none is added", async () => {
  expect(await addPhotos(db, piece, [shot(1, 12), shot(2, 9), shot(1, 12)])).toBe(2);
  expect(await addPhotos(db, piece, [shot(2, 9), shot(3, 11)])).toBe(1);
  expect((await photosOf(db, piece)).map(({ at }) => at.slice(11, 13))).toEqual(["09", "11", "12"]);
  expect(await db.count("pictures")).toBe(6);
  const many = Array.from({ length: MOST_PHOTOS - 2 }, (_one, index) => shot(100 + index));
  await expect(addPhotos(db, piece, many)).rejects.toThrow("room for 57 more");
  await expect(addPhotos(db, pieceId("nobody0000"), [shot(9)])).rejects.toMatchObject({ name: "GonePiece" });
  expect([await db.count("photos"), await db.count("pictures")]).toEqual([3, 6]);
});

test("what is said of one is changed and taken back; one taken off comes back whole, and so do those of a piece that was removed", async () => {
  await addPhotos(db, piece, [shot(1), shot(2)]);
  const [first] = await photosOf(db, piece);
  await savePhoto(db, first!.id, { caption: "Bare" });
  await savePhoto(db, first!.id, { caption: "" });
  expect(await captions()).toEqual(["", ""]);
  await undo();
  expect(await captions()).toEqual(["Bare", ""]);
  await removePhoto(db, first!.id);
  expect(await captions()).toEqual([""]);
  await undo();
  await removePiece(db, piece);
  expect(await db.count("photos")).toBe(0);
  await undo();
  expect(await captions()).toEqual(["Bare", ""]);
});

test("a picture goes when no photograph shows it and nothing that can be taken back would bring it back; not before", async () => {
  await addPhotos(db, piece, [shot(1), shot(2)]);
  const [first, second] = await photosOf(db, piece);
  await removePhoto(db, first!.id);
  expect(await clearPictures(db)).toBe(0);
  await undo();
  expect(await pictureBytes(db, first!.picture)).toEqual(shot(1).picture);
  await removePhoto(db, second!.id);
  await db.clear("acts");
  expect(await clearPictures(db)).toBe(2);
  expect([await pictureBytes(db, first!.picture), await pictureBytes(db, second!.picture)]).toEqual([shot(1).picture, null]);
});

test("a file carries them and their pictures; brought in again it adds nothing", async () => {
  await addPhotos(db, piece, [shot(1), shot(2)]);
  const file = packNotebook(await everything(db), await allPictures(db), CATALOGUE).content as Uint8Array;
  const read = readNotebook(file, CATALOGUE);
  if (!read.ok) throw new Error(read.problem.message);
  const { bundle, pictures } = read.value;
  const bringIn = () => importBundle(db, bundle, { pictures });
  expect(await bringIn()).toMatchObject({ added: {}, changed: {}, same: { pieces: 1, photos: 2 } });
  expect([await db.count("photos"), await db.count("pictures")]).toEqual([2, 4]);
  // One that lost its photographs has them again.
  for (const { id } of await photosOf(db, piece)) await removePhoto(db, id);
  expect(await bringIn()).toMatchObject({ added: { photos: 2 } });
  await wipeAll(db);
  await db.clear("acts");
  await clearPictures(db);
  expect(await db.count("pictures")).toBe(0);
  await bringIn();
  const [first] = await photosOf(db, piece);
  expect(await pictureBytes(db, first!.picture)).toEqual(shot(1).picture);
});

test("a piece that is set aside takes them along; another piece like it begins without", async () => {
  await addPhotos(db, piece, [shot(1)]);
  await copyPiece(db, piece, pieceId("anotherone"));
  expect(await photosOf(db, pieceId("anotherone"))).toEqual([]);
  expect((await setAside(db, piece))?.photos).toHaveLength(1);
  expect(await db.count("photos")).toBe(0);
});

test("versions of a piece go with it when it cannot come back any more, and not before", async () => {
  const kept = await addPiece(db, pebble({ name: "Kept" }));
  for (const { id } of [kept, { id: piece }])
    await savePiece(db, id, (await db.get("pieces", id))!.piece, [{ op: "setPiece", path: "finish", value: "gloss" }]);
  await removePiece(db, piece);
  expect(await clearVersions(db)).toBe(0);
  await db.clear("acts");
  expect(await clearVersions(db)).toBeGreaterThan(0);
  expect(new Set((await db.getAll("versions")).map(({ pieceId: of }) => of))).toEqual(new Set([kept.id]));
});
