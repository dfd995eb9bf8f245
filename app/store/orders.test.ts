/** What stands in which order, what is carried along and what is not, and what is cleared away. */
import "fake-indexeddb/auto";
import { beforeEach, describe, expect, test } from "@jest/globals";
import { candidateId, jarId, pourId, productId } from "#core/catalogue/ids";
import { usualHours } from "#core/schedule/free-hours";
import { pebble } from "../../tests/reference/bench";
import { EVERY_STORE } from "../../tests/reference/every-store";
import { coat, follow, set } from "../../tests/reference/notebook";
import { beginPour, poursIn } from "./casting";
import { openStore } from "./database";
import type { Database } from "./database";
import { addPiece, OwnValues, pieceById, removePiece, savePiece } from "./pieces";
import { editPlan, keepPlan, planFor } from "./plans";
import { hoursIn, saveHours } from "./preferences";
import { FoundTacky, markDone, markStarted, markTacky, progressOf } from "./progress";
import { addJars, mixPuddle, shelfIn } from "./shelf";
import { clearOverviews, clearVersions } from "./tidy";
import { planAgain } from "./versions";

let db: Database;
let count = 0;
beforeEach(async () => {
  db = await openStore({}, `orders-${(count += 1)}`);
});

const AT = "2026-11-24T19:00:00.000Z";
const following = follow(candidateId("one"), "gesso below");

test("hours said in another zone are kept in it, and stay so when a day is changed by a screen that has not seen it", async () => {
  const seen = usualHours("Europe/London");
  await saveHours(db, seen, { ...seen, timeZone: "Europe/Paris" });
  const sunday = { ...seen, weekday: seen.weekday.map((day, at) => (at === 6 ? [{ from: "09:00", to: "11:00" }] : day)) };
  await saveHours(db, seen, sunday);
  expect(await hoursIn(db, "UTC")).toEqual({ ...sunday, timeZone: "Europe/Paris" });
});

test("a plan that is brought back has the steps it was made of only where they are of the same facts", () => {
  const [plan] = EVERY_STORE.plans;
  const { school, edits, pinned, engineVersion } = plan!;
  const then = (madeFor: string) => ({ candidateId: plan!.candidateId, school, edits, pinned, engineVersion, madeFor });
  expect(planAgain(then(plan!.madeFor!), plan!.pieceId, plan!)).toMatchObject({ id: plan!.id, rev: plan!.rev + 1, made: plan!.made, madeFor: plan!.madeFor });
  const other = planAgain(then("other facts"), plan!.pieceId, plan!);
  expect([other.made, other.madeFor, other.edits]).toEqual([undefined, undefined, edits]);
  expect(planAgain({ ...then(plan!.madeFor!), candidateId: candidateId("another") }, plan!.pieceId, plan!)).not.toHaveProperty("made");
});

test("a plan moves along with a fact, and not onto another body", async () => {
  const piece = await addPiece(db, pebble());
  const kept = await editPlan(db, piece.id, following, [{ op: "set", stepId: coat(1).stepId, field: "coats", value: 4 }]);
  const moved = await keepPlan(db, piece.id, { ...following, candidateId: candidateId("two"), madeFor: "other facts" });
  expect([moved.id, moved.edits]).toEqual([kept.id, kept.edits]);
  const onBody = await keepPlan(db, piece.id, { ...following, candidateId: candidateId("three"), madeFor: "a body with a coat on", basis: AT });
  expect(onBody.id).not.toBe(kept.id);
  expect([onBody.edits, onBody.basis]).toEqual([[], AT]);
  expect((await planFor(db, piece.id, { ...following, candidateId: candidateId("two"), madeFor: "other facts" })).edits).toEqual(kept.edits);
});

describe("quick hands", () => {
  test("what is asked of one piece at once is done in the order it was asked", async () => {
    const piece = await addPiece(db, pebble());
    const own = new OwnValues();
    const names = Array.from({ length: 12 }, (_unused, at) => `Stroke ${at}`);
    await Promise.all(names.map((name) => savePiece(db, piece.id, piece.piece, [set("name", name)], own)));
    expect((await pieceById(db, piece.id))?.piece.name).toBe("Stroke 11");
    const acts = (await db.getAllFromIndex("acts", "byTime")).slice(-12);
    expect(acts.map(({ entries: [one] }) => (one!.after as unknown as { piece: { name: string } }).piece.name)).toEqual(names);
  });

  test("pieces of a batch that are counted within one moment are counted upwards", async () => {
    const piece = await addPiece(db, pebble({ count: 12 }));
    await Promise.all([0, 1, 2, 3].map((pieces) => markStarted(db, piece.id, following, [{ ...coat(1), pieces }], AT)));
    expect((await progressOf(db, piece.id)).map((one) => one.pieces)).toEqual([0, 1, 2, 3]);
    await markDone(db, piece.id, following, [coat(1)], AT);
    expect((await progressOf(db, piece.id)).at(-1)?.kind).toBe("done");
  });

  test("a coat that was found tacky is on already: noted as done again nothing is written, and whoever asked is told", async () => {
    const piece = await addPiece(db, pebble());
    const plan = await markDone(db, piece.id, following, [coat(1)], AT);
    await markTacky(db, piece.id, plan, [coat(1)], "2026-11-24T20:00:00.000Z");
    await expect(markDone(db, piece.id, following, [coat(1)], "2026-11-24T21:00:00.000Z")).rejects.toBeInstanceOf(FoundTacky);
    expect((await progressOf(db, piece.id)).map((one) => one.kind)).toEqual(["done", "tacky"]);
    await markDone(db, piece.id, following, [coat(1), coat(2)], "2026-11-24T22:00:00.000Z");
    expect((await progressOf(db, piece.id)).map((one) => [one.kind, one.coat])).toEqual([
      ["done", 1],
      ["tacky", 1],
      ["done", 2],
    ]);
  });
});

test("a puddle mixed into a pot nobody has measured is in it from then on; what it is mixed from has so much less", async () => {
  const jar = (id: string, name: string, more: object = {}) => ({
    id: jarId(id),
    classId: productId("craft-acrylic"),
    name,
    colour: "#1f3a4d",
    label: {},
    ...more,
  });
  const left = (ml: number) => ({ left: { ml, by: "volume" as const, at: AT } });
  const part = (id: string, share: number) => ({ jar: jarId(id), name: id, colour: "#1f3a4d", share });
  const pot = jar("potofgrey001", "Grey", { mix: [part("navyjar00001", 0.75), part("creamjar0001", 0.25)] });
  await addJars(db, [jar("navyjar00001", "Navy", left(40)), jar("creamjar0001", "Cream", left(20)), pot] as never);
  await mixPuddle(db, pot.id, 8, "2026-11-25T10:00:00.000Z");
  await mixPuddle(db, pot.id, 4, "2026-11-25T11:00:00.000Z");
  expect(Object.fromEntries((await shelfIn(db)).map((one) => [one.name, one.left?.ml]))).toEqual({ Navy: 31, Cream: 17, Grey: 12 });
});

test("pours are told newest first, whatever order they were noted in", async () => {
  const { rev: _rev, ...pour } = EVERY_STORE.pours[0]!;
  for (const day of ["03", "01", "02"]) await beginPour(db, { ...pour, id: pourId(`pouroftheday${day}`), at: `2026-11-${day}T10:00:00.000Z` });
  expect((await poursIn(db)).map((one) => one.at.slice(8, 10))).toEqual(["03", "02", "01"]);
});

test("versions and overviews of a piece that cannot come back are cleared away; those of one that is here, or may be brought back, stay", async () => {
  const [here, gone] = [await addPiece(db, pebble({ name: "Here" })), await addPiece(db, pebble({ name: "Gone" }))];
  for (const piece of [here, gone]) {
    await savePiece(db, piece.id, piece.piece, [set("count", 4)]);
    await db.put("overviews", { id: piece.id, key: "k", overview: {} as never });
  }
  await removePiece(db, gone.id);
  expect([await clearVersions(db), await clearOverviews(db)]).toEqual([0, 1]);
  await db.clear("acts");
  expect(await clearVersions(db)).toBe(2);
  expect(
    new Set(
      (await db.getAll("versions")).map((one) => one.piece as unknown as string | { name: string }).map((one) => (typeof one === "string" ? one : one.name)),
    ),
  ).toEqual(new Set(["Here"]));
  expect((await db.getAllKeys("overviews")) as readonly string[]).toEqual([here.id]);
});
