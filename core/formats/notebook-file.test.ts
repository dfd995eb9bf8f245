/** A notebook's file with photographs in it: whole, damaged, battered. */
import { readFileSync } from "node:fs";
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { strFromU8, strToU8, unzipSync, zipSync } from "fflate";
import { CATALOGUE } from "../catalogue/catalogue";
import type { PictureId } from "../catalogue/ids";
import { pebble } from "../../tests/reference/bench";
import { packNotebook, readNotebook } from "./notebook-file";
import { idOfPicture, isPicture } from "./picture";
import { STORE_NAMES } from "./stores/stores";

const jpeg = (...body: readonly number[]) => new Uint8Array([0xff, 0xd8, 0xff, 0xe0, ...body, 0xff, 0xd9]);
const [large, small, other] = [jpeg(1, 2, 3), jpeg(1), jpeg(7, 7)] as const;
const pictures = new Map<PictureId, Uint8Array>([large, small, other].map((one) => [idOfPicture(one), one]));
const photo = (id: string, picture: Uint8Array, more: object = {}) => ({
  id,
  rev: 1,
  pieceId: "stone00001",
  at: "2026-11-20T10:00:00.000Z",
  picture: idOfPicture(picture),
  small: idOfPicture(small),
  width: 1600,
  height: 1200,
  ...more,
});
const parts = {
  pieces: [{ id: "stone00001", rev: 1, piece: pebble({ name: "Tide wedge" }), planId: null }],
  photos: [photo("photo00001", large, { caption: "Bare" }), photo("photo00002", other)],
};
const packed = () => packNotebook(parts, pictures, CATALOGUE).content as Uint8Array<ArrayBuffer>;
const entries = () => unzipSync(packed());
const readWith = (files: Record<string, Uint8Array>) => readNotebook(zipSync(files), CATALOGUE);
const nameOf = (picture: Uint8Array) => `photographs/${idOfPicture(picture)}.jpg`;

describe("a notebook with photographs", () => {
  test("is a zip that comes back as it went; the same notebook is the same file", () => {
    const read = readNotebook(packed(), CATALOGUE);
    expect(read).toMatchObject({ ok: true, value: { aside: [], altered: false, bundle: parts } });
    if (read.ok) expect([...read.value.pictures.keys()].sort()).toEqual([...pictures.keys()].sort());
    expect(packed()).toEqual(packed());
  });

  test("notebook-6.zip is read as it was written", () => {
    const read = readNotebook(new Uint8Array(readFileSync("tests/fixtures/notebook-6.zip")), CATALOGUE);
    expect(read).toMatchObject({ ok: true, value: { aside: [], altered: false, bundle: { photos: [{ caption: "Bare and dusty" }] } } });
    expect(read.ok && read.value.pictures.size).toBe(1);
  });

  test("without photographs it is a text, and is read as one", () => {
    const { content } = packNotebook({ ...parts, photos: [] }, pictures, CATALOGUE);
    expect(readNotebook(strToU8(content as string), CATALOGUE)).toMatchObject({ ok: true, value: { bundle: { pieces: parts.pieces, photos: [] } } });
  });

  test("a picture that is missing, is another, or is none costs its photograph, by name, and nothing else", () => {
    for (const files of [
      Object.fromEntries(Object.entries(entries()).filter(([name]) => name !== nameOf(large))),
      { ...entries(), [nameOf(large)]: other },
      { ...entries(), [nameOf(large)]: new Uint8Array([1, 2, 3]) },
    ])
      expect(readWith(files)).toMatchObject({
        ok: true,
        value: { aside: [{ name: "Bare", store: "photos" }], bundle: { pieces: parts.pieces, photos: [{ id: "photo00002" }] } },
      });
  });

  test("unpacked and packed again in a folder it is still the same notebook", () => {
    const moved = Object.fromEntries(Object.entries(entries()).map(([name, content]) => [`my notebook/${name}`, content]));
    const read = readWith({ "__MACOSX/my notebook/._notebook.json": strToU8("?"), ...moved });
    expect(read).toMatchObject({ ok: true, value: { aside: [], altered: false, bundle: parts } });
  });

  test("a photograph of a piece that is not there, and pictures nobody shows, are not brought in", () => {
    const document = JSON.parse(strFromU8(entries()["notebook.json"]!)) as typeof parts;
    const read = readWith({ ...entries(), "notebook.json": strToU8(JSON.stringify({ ...document, pieces: [] })) });
    expect(read).toMatchObject({ ok: true, value: { bundle: { photos: [] } } });
    if (read.ok) expect([read.value.aside.length, read.value.pictures.size]).toEqual([2, 0]);
  });

  test("a picture lost by the browser is set aside when the notebook is saved, and the rest is given out", () => {
    const lost = new Map([...pictures].filter(([id]) => id !== idOfPicture(other)));
    const { content, aside } = packNotebook(parts, lost, CATALOGUE);
    expect(aside.map(({ name }) => name)).toEqual(["a photograph of Tide wedge"]);
    expect(readNotebook(content as Uint8Array, CATALOGUE)).toMatchObject({ ok: true, value: { bundle: { photos: [{ id: "photo00001" }] } } });
  });

  test.each([
    ["empty", new Uint8Array()],
    ["a zip of something else", zipSync({ "readme.txt": strToU8("hello") })],
    ["an empty zip", zipSync({})],
    ["a picture", large],
  ])("%s is refused with a reason", (_name, bytes) =>
    expect(readNotebook(bytes, CATALOGUE)).toMatchObject({ ok: false, problem: { message: expect.any(String) } }),
  );

  test("however it is battered: what is let in is sound and is let in again, or the file is refused; it never breaks off", () => {
    const sound = packed();
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(sound.length - 1), fc.nat(255)), { minLength: 1, maxLength: 6 }), fc.option(fc.nat(sound.length)), (wounds, cut) => {
        const bytes = sound.slice();
        for (const [at, byte] of wounds) bytes[at] = byte;
        const read = readNotebook(cut === null ? bytes : bytes.slice(0, cut), CATALOGUE);
        if (!read.ok) return;
        const { bundle, pictures: shown } = read.value;
        for (const one of bundle.photos) expect(shown.has(one.picture) && shown.has(one.small)).toBe(true);
        for (const [id, picture] of shown) expect(isPicture(picture) && idOfPicture(picture) === id).toBe(true);
        expect(packNotebook(Object.fromEntries(STORE_NAMES.map((name) => [name, bundle[name]])), shown, CATALOGUE).aside).toEqual([]);
      }),
      { numRuns: 200 },
    );
  });
});
