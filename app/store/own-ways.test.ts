/** Ways of the user's own, sets and what is put away: kept, taken back, carried along in a file. */
import "fake-indexeddb/auto";
import { beforeEach, expect, test } from "@jest/globals";
import fc from "fast-check";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { pieceId, recipeId } from "#core/catalogue/ids";
import { planPiece } from "#core/coating/planner/plan-piece";
import { recipeOf } from "#core/coating/planner/recipe-of";
import { readBundle } from "#core/formats/bundle";
import { pebble } from "../../tests/reference/bench";
import { coat, follow } from "../../tests/reference/notebook";
import type { Act } from "./acts";
import { exportAll, importBundle, wipeAll } from "./bundles";
import { onCommand, takeBack } from "./command";
import { openStore } from "./database";
import type { Database } from "./database";
import { namedPieces } from "./listing";
import { addPiece, copyPiece, pieceById, removePiece, savePiece, setKeeping } from "./pieces";
import { editPlan, planById } from "./plans";
import { markDone, markDoneTogether } from "./progress";
import { followWith, keepRecipe, recipesIn, removeRecipe, renameRecipe } from "./recipes";

let db: Database;
let count = 0;
let acts: Act[] = [];
onCommand((act) => void acts.push(act));
beforeEach(async () => {
  db = await openStore({}, `own-ways-${(count += 1)}`);
  acts = [];
});
const piece = pebble({ decoration: { techniques: ["dots"] } });
const way = recipeOf(planPiece(piece, CATALOGUE).candidates[0]!, piece, "Harbour dots", CATALOGUE);
const id = recipeId("harbourdots");

test("a way is kept once, renamed, let go of and brought back; a file carries it, and brings it in beside what is here", async () => {
  await keepRecipe(db, way, id);
  await keepRecipe(db, way, id);
  await renameRecipe(db, id, "Dots of the harbour");
  expect((await recipesIn(db)).map(({ name, rev }) => [name, rev])).toEqual([["Dots of the harbour", 2]]);
  const file = await exportAll(db);
  const read = readBundle(JSON.stringify(file), CATALOGUE);
  expect(read).toMatchObject({ ok: true, value: { aside: [], bundle: { recipes: [{ name: "Dots of the harbour" }] } } });
  await removeRecipe(db, id, "Dots of the harbour");
  expect(await recipesIn(db)).toEqual([]);
  await takeBack(db, acts.at(-1)!);
  expect(await recipesIn(db)).toHaveLength(1);
  await wipeAll(db);
  if (!read.ok) throw new Error(read.problem.message);
  await importBundle(db, read.value.bundle);
  expect((await recipesIn(db))[0]).toMatchObject({ id, name: "Dots of the harbour", stacks: way.stacks });
  await expect(keepRecipe(db, { ...way, stacks: [] }, recipeId("noway000000"))).rejects.toMatchObject({ name: "UnfitRecord" });
});

test("following a way puts just its changes into the plan; taken back, hers are there again", async () => {
  const record = await addPiece(db, piece);
  const [first] = planPiece(piece, CATALOGUE).candidates;
  const followed = follow(first!.id, first!.school);
  const hers = [{ op: "set", stepId: first!.zones[0]!.steps[1]!.id, field: "coats", value: 3 }] as const;
  await editPlan(db, record.id, followed, hers);
  await followWith(db, record.id, followed, [{ op: "remove", stepId: first!.zones[0]!.steps[0]!.id }]);
  const plan = async () => (await planById(db, (await pieceById(db, record.id))!.planId))!;
  expect((await plan()).edits).toMatchObject([{ op: "remove" }]);
  await takeBack(db, acts.at(-1)!);
  expect((await plan()).edits).toEqual(hers);
});

test("pieces go into a set, away and out again, and the list knows without reading them; another piece like it has its plan, and no work on it", async () => {
  const record = await addPiece(db, piece);
  const other = await addPiece(db, pebble({ name: "Other stone" }));
  const [first] = planPiece(piece, CATALOGUE).candidates;
  await editPlan(db, record.id, follow(first!.id, first!.school), [{ op: "set", stepId: first!.zones[0]!.steps[1]!.id, field: "coats", value: 3 }]);
  await markDone(db, record.id, follow(first!.id, first!.school), [coat(1)], "2026-11-20T10:00:00.000Z");
  await setKeeping(db, [record.id, other.id], { set: "Terrace" });
  await setKeeping(db, [other.id], { putAway: "2026-11-26" });
  expect(await namedPieces(db)).toEqual([
    { id: other.id, name: "Other stone", set: "Terrace", away: true },
    { id: record.id, name: piece.name, set: "Terrace" },
  ]);
  const { rev } = (await pieceById(db, other.id))!;
  await setKeeping(db, [other.id], { putAway: "2026-11-26" });
  expect((await pieceById(db, other.id))!.rev).toBe(rev);
  await setKeeping(db, [other.id], { set: "", putAway: "" });
  expect(await pieceById(db, other.id)).toEqual({ id: other.id, rev: rev + 1, piece: other.piece, planId: null });

  const copy = pieceId("anotherstone");
  await copyPiece(db, record.id, copy);
  await copyPiece(db, record.id, copy);
  const second = (await pieceById(db, copy))!;
  expect([second.piece.name, second.set, second.planId === (await pieceById(db, record.id))!.planId]).toEqual([`${piece.name} (another)`, "Terrace", false]);
  expect((await planById(db, second.planId))!.edits).toHaveLength(1);
  expect(await db.getAllFromIndex("progress", "byPiece", copy)).toEqual([]);
});

test("a coat laid on several pieces in one go is one thing to take back; one that is gone is passed over", async () => {
  const [one, other, gone] = [await addPiece(db, piece), await addPiece(db, pebble({ name: "Other" })), await addPiece(db, pebble({ name: "Gone" }))];
  const [first] = planPiece(piece, CATALOGUE).candidates;
  const followed = follow(first!.id, first!.school);
  await removePiece(db, gone.id);
  const on = [one, other, gone].map((record) => ({ piece: record.id, followed, coats: [coat(1)] }));
  await markDoneTogether(db, on, "2026-11-20T10:00:00.000Z");
  await markDoneTogether(db, on.slice(0, 1), "2026-11-20T11:00:00.000Z");
  expect((await db.getAll("progress")).map(({ pieceId: of }) => of).sort()).toEqual([one.id, other.id].sort());
  await takeBack(db, acts.at(-1)!);
  expect(await db.count("progress")).toBe(0);
  expect(await db.count("plans")).toBe(0);
});

test("any changes of a plan, its facts, its set and its way, all taken back, leave the notebook as it was", async () => {
  const [first] = planPiece(piece, CATALOGUE).candidates;
  const followed = follow(first!.id, first!.school);
  const steps = first!.zones[0]!.steps.map((step) => step.id);
  type Do = (of: Awaited<ReturnType<typeof addPiece>>) => Promise<unknown>;
  const deeds: readonly Do[] = [
    ({ id: of }) => editPlan(db, of, followed, [{ op: "set", stepId: steps[1]!, field: "coats", value: 4 }]),
    ({ id: of }) => editPlan(db, of, followed, [{ op: "remove", stepId: steps[0]! }]),
    ({ id: of }) => editPlan(db, of, followed, [{ op: "move", stepId: steps[2]!, at: { start: true } }]),
    ({ id: of }) => followWith(db, of, followed, [{ op: "remove", stepId: steps[2]! }]),
    ({ id: of }) => setKeeping(db, [of], { set: "Terrace" }),
    ({ id: of }) => setKeeping(db, [of], { putAway: "2026-11-26" }),
    async ({ id: of }) => savePiece(db, of, (await pieceById(db, of))!.piece, [{ op: "setPiece", path: "finish", value: "gloss" }]),
    () => keepRecipe(db, way, id),
    () => renameRecipe(db, id, "Other dots"),
  ];
  await fc.assert(
    fc.asyncProperty(fc.array(fc.nat(deeds.length - 1), { minLength: 1, maxLength: 10 }), async (picks) => {
      db = await openStore({}, `own-ways-${(count += 1)}`);
      const record = await addPiece(db, piece);
      const before = await exportAll(db);
      acts = [];
      for (const pick of picks) await deeds[pick]!(record);
      for (const act of [...acts].reverse()) expect(await takeBack(db, act)).not.toBeNull();
      const bare = (bundle: typeof before) => JSON.stringify(bundle, (key, value: unknown) => (key === "rev" || key === "checksum" ? undefined : value));
      expect(bare(await exportAll(db))).toBe(bare(before));
    }),
    { seed: 21, numRuns: 25 },
  );
});
