/** Tools, kept patterns and what is marked: kept once, taken back, carried along in a file; a size that changes changes the counts. */
import "fake-indexeddb/auto";
import { beforeEach, expect, test } from "@jest/globals";
import { patternId, pieceId, toolId } from "#core/catalogue/ids";
import { readBundle } from "#core/formats/bundle";
import type { Bundle } from "#core/formats/write-bundle";
import { writeBundle } from "#core/formats/write-bundle";
import type { Row } from "#core/piece/pattern";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { pebble } from "../../tests/reference/bench";
import type { Act } from "./acts";
import { exportAll, importBundle, wipeAll } from "./bundles";
import { onCommand, takeBack } from "./command";
import { openStore } from "./database";
import type { Database } from "./database";
import { keepPattern, keepTool, patternsIn, removePattern, removeTool, setMarked, toolsIn } from "./marking";
import { addPiece, copyPiece, OwnValues, pieceById, savePiece } from "./pieces";

let db: Database;
let count = 0;
let acts: Act[] = [];
onCommand((act) => void acts.push(act));
beforeEach(async () => {
  db = await openStore({}, `marking-${(count += 1)}`);
  acts = [];
});
const ROWS: readonly Row[] = [{ id: "r1", kind: "dots", diameterMm: 4, colours: ["#f4efe2"], at: { insetMm: 6 }, multipleOf: 4 }];
const ball = { id: toolId("balltool01"), label: "4", set: "blue", tip: "ball", mm: 4 } as const;
const rings = { name: "Rings", shape: "top", acrossMm: 45, guides: 8, rows: ROWS } as const;
const id = patternId("ringspattern");

test("a tool is kept once, told better by its row, let go of and brought back", async () => {
  await keepTool(db, ball);
  await keepTool(db, ball);
  await keepTool(db, { ...ball, leaves: 1.1 });
  expect((await toolsIn(db)).map(({ rev, leaves }) => [rev, leaves])).toEqual([[2, 1.1]]);
  await removeTool(db, ball.id, ball.label);
  expect(await toolsIn(db)).toEqual([]);
  await takeBack(db, acts.at(-1)!);
  expect(await toolsIn(db)).toHaveLength(1);
});

test("patterns, tools and marked rows go into a file and come out of it", async () => {
  const piece = await addPiece(db, pebble({ decoration: { patterns: [{ zone: "top", rows: ROWS }] } }), pieceId("markedpiece"));
  await keepPattern(db, rings, id);
  await keepTool(db, ball);
  await setMarked(db, piece.id, "top", "r1", 18);
  const file = await exportAll(db);
  await wipeAll(db);
  const read = readBundle(JSON.stringify(file), CATALOGUE);
  if (!read.ok) throw new Error(read.problem.message);
  await importBundle(db, read.value.bundle);
  expect((await patternsIn(db))[0]).toMatchObject(rings);
  expect((await toolsIn(db))[0]).toMatchObject(ball);
  expect((await pieceById(db, piece.id))?.marked).toEqual({ "top/r1": 18 });
  await removePattern(db, id, "Rings");
  expect(await patternsIn(db)).toEqual([]);
});

test("a file that tells of rows and not of what they come to is planned with them from the first", async () => {
  const piece = { id: pieceId("fromoutside"), rev: 1, planId: null, piece: pebble({ decoration: { patterns: [{ zone: "top", rows: ROWS }] } }) };
  const { bundle } = (readBundle(JSON.stringify(writeBundle({ pieces: [piece] })), CATALOGUE) as { readonly value: { readonly bundle: Bundle } }).value;
  expect(await importBundle(db, bundle)).toMatchObject({ added: { pieces: 1 } });
  const kept = (await pieceById(db, piece.id))!.piece.decoration!.layers!;
  expect(kept.find(({ rows }) => rows)!.marks!.count).toBeGreaterThan(8);
  // Brought in again it is the same piece.
  expect(await importBundle(db, bundle)).toMatchObject({ added: {}, same: { pieces: 1 } });
});

test("a row that is unticked leaves nothing behind, and ticking is taken back", async () => {
  const { id: piece } = await addPiece(db, pebble({}));
  await setMarked(db, piece, "top", "r1", 24);
  await setMarked(db, piece, "top", "r1", 0);
  expect((await pieceById(db, piece))?.marked).toBeUndefined();
  await takeBack(db, acts.at(-1)!);
  expect((await pieceById(db, piece))?.marked).toEqual({ "top/r1": 24 });
});

test("another piece like it has nothing set yet", async () => {
  const { id: piece } = await addPiece(db, pebble({ decoration: { patterns: [{ zone: "top", rows: ROWS }] } }));
  await setMarked(db, piece, "top", "r1", 24);
  await copyPiece(db, piece, pieceId("anotherpiece"));
  const copy = await pieceById(db, pieceId("anotherpiece"));
  expect([copy?.marked, copy?.piece.decoration?.patterns?.[0]?.rows]).toEqual([undefined, ROWS]);
});

test("another size closes with another count, in the same act: one undo has both back", async () => {
  const { id: piece } = await addPiece(db, pebble({}));
  const now = async () => (await pieceById(db, piece))!.piece;
  await savePiece(db, piece, await now(), [{ op: "setPiece", path: "decoration.patterns", value: [{ zone: "top", rows: ROWS }] }]);
  const marks = async () => (await now()).decoration!.layers!.find(({ rows }) => rows)!.marks!.count;
  const before = await marks();
  await savePiece(db, piece, await now(), [{ op: "setPiece", path: "form", value: { kind: "pebble", lengthMm: 110, widthMm: 90, thicknessMm: 30 } }]);
  expect(await marks()).toBeGreaterThan(before);
  await takeBack(db, acts.at(-1)!);
  expect(await marks()).toBe(before);
});

test("two tabs that set different things of a marked piece both stand, and its layers are of both", async () => {
  const { id: piece, piece: seen } = await addPiece(db, pebble({ decoration: { techniques: [] } }));
  const change = (path: string, value: unknown) => [{ op: "setPiece", path, value } as const];
  await savePiece(db, piece, seen, change("decoration.patterns", [{ zone: "top", rows: ROWS }]), new OwnValues());
  const other = await savePiece(db, piece, seen, change("decoration.baseColour", "#3f7f7a"), new OwnValues());
  expect(other.kind).toBe("saved");
  const now = (await pieceById(db, piece))!.piece;
  expect([now.decoration?.baseColour, now.decoration?.patterns?.length, now.decoration?.layers?.some(({ rows }) => rows)]).toEqual(["#3f7f7a", 1, true]);
});

test("two tabs that set the same rows otherwise: the later is told, and nothing is overwritten", async () => {
  const { id: piece, piece: seen } = await addPiece(db, pebble({ decoration: { techniques: [] } }));
  const rowsOf = (diameterMm: number) => [
    { op: "setPiece", path: "decoration.patterns", value: [{ zone: "top", rows: [{ ...ROWS[0]!, diameterMm }] }] } as const,
  ];
  await savePiece(db, piece, seen, rowsOf(3), new OwnValues());
  expect((await savePiece(db, piece, seen, rowsOf(5), new OwnValues())).kind).toBe("clash");
  expect((await pieceById(db, piece))!.piece.decoration!.patterns![0]!.rows[0]!.diameterMm).toBe(3);
});
