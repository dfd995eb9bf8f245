/** Hands quicker than the screen, and what is remembered of what they did. */
import "fake-indexeddb/auto";
import { beforeEach, describe, expect, jest, test } from "@jest/globals";
import { candidateId, stepId } from "#core/catalogue/ids";
import type { Change } from "#core/coating/model/change";
import { bodyOf } from "#core/logbook/body-state";
import { NOW } from "../../tests/instant";
import { pebble } from "../../tests/reference/bench";
import { coat, follow, set } from "../../tests/reference/notebook";
import { takeBack } from "./command";
import { openStore } from "./database";
import type { Database } from "./database";
import { begunPieces, keepOverview, keptOverview, namedPieces, overviewKey } from "./listing";
import { addPiece, allPieces, OwnValues, pieceById, removePiece, savePiece, setDates } from "./pieces";
import { editPlan, planById } from "./plans";
import { addRoom, hoursIn, saveHours, saveSettings } from "./preferences";
import { markDone, markUndone, progressOf, setNotesRight } from "./progress";

let db: Database;
let count = 0;
beforeEach(async () => {
  count += 1;
  db = await openStore({}, `quick-${count}`);
});

describe("one tab, quicker than its screen", () => {
  test("ticks made on a screen that lags behind are all kept, and so are those of another tab", async () => {
    const seen = await addPiece(db, pebble({ decoration: { techniques: [] } }));
    const own = new OwnValues();
    for (const technique of ["dots", "bands", "lettering"])
      expect((await savePiece(db, seen.id, seen.piece, [set("decoration.techniques", [technique])], own)).kind).toBe("saved");
    await savePiece(db, seen.id, seen.piece, [set("decoration.techniques", ["swipes"])]);
    const [now] = await allPieces(db);
    expect(now?.piece.decoration?.techniques).toEqual(["dots", "bands", "lettering", "swipes"]);
    await savePiece(db, seen.id, now!.piece, [set("decoration.techniques", ["dots", "lettering", "swipes"])], own);
    expect((await allPieces(db))[0]?.piece.decoration?.techniques).toEqual(["dots", "lettering", "swipes"]);
  });

  test("its own later value is no clash; another tab's is", async () => {
    const seen = await addPiece(db, pebble());
    const own = new OwnValues();
    for (const count of [2, 3, 4]) expect((await savePiece(db, seen.id, seen.piece, [set("count", count)], own)).kind).toBe("saved");
    await savePiece(db, seen.id, (await pieceById(db, seen.id))!.piece, [set("count", 9)]);
    expect(await savePiece(db, seen.id, seen.piece, [set("count", 5)], own)).toMatchObject({ kind: "clash", paths: ["count"] });
  });

  test("two tabs on one step of a plan, or on one day: the second is told, whatever they set beside it stands, and it may stand all the same", async () => {
    const piece = await addPiece(db, pebble());
    const following = follow(candidateId("one"), "");
    const coats = (value: number): Change => ({ op: "set", stepId: stepId("top.base.1"), field: "coats", value });
    const thin: Change = { op: "set", stepId: stepId("top.base.1"), field: "thinning", value: { with: "water", percent: 8 } };
    const known = { edits: [], isOwn: () => false };
    await editPlan(db, piece.id, following, [coats(3)], {}, known);
    await editPlan(db, piece.id, following, [thin], {}, known);
    await expect(editPlan(db, piece.id, following, [coats(4)], {}, known)).rejects.toMatchObject({ name: "EditClash", changes: [coats(4)] });
    await expect(editPlan(db, piece.id, following, [{ op: "remove", stepId: stepId("top.base.1") }], {}, known)).rejects.toMatchObject({ name: "EditClash" });
    await editPlan(db, piece.id, following, [coats(4)], {}, { edits: [], isOwn: (one) => JSON.stringify(one) === JSON.stringify(coats(3)) });
    expect((await editPlan(db, piece.id, following, [coats(5)])).edits).toEqual([thin, coats(5)]);
    const own = new OwnValues();
    await setDates(db, piece.id, { due: "2026-12-24" }, {}, { days: {}, own });
    await setDates(db, piece.id, { start: "2026-12-01" }, {}, { days: {}, own: new OwnValues() });
    await expect(setDates(db, piece.id, { due: "2026-12-31" }, {}, { days: {}, own: new OwnValues() })).rejects.toMatchObject({
      name: "DaysClash",
      days: ["due"],
    });
    await setDates(db, piece.id, { due: "2026-12-27" }, {}, { days: {}, own });
    expect((await pieceById(db, piece.id))?.dates).toEqual({ due: "2026-12-27", start: "2026-12-01" });
  });

  test("the same ask twice is done once; a second click on done notes nothing", async () => {
    const piece = await addPiece(db, pebble());
    const following = follow(candidateId("one"), "");
    const edit = () => editPlan(db, piece.id, following, [{ op: "remove", stepId: stepId("top.seal.1") }], { ask: "askaskask1" });
    const { id } = await edit();
    await expect(edit()).rejects.toMatchObject({ name: "DoneAlready" });
    expect((await planById(db, id))?.edits).toHaveLength(1);
    for (const at of ["19:00:00", "19:00:01"]) await markDone(db, piece.id, following, [coat(1)], `2026-11-24T${at}.000Z`);
    expect(await progressOf(db, piece.id)).toHaveLength(1);
    const room = { temperatureC: 16, relativeHumidity: 0.65, airflow: "still" } as const;
    await addRoom(db, "Loft", room);
    await expect(addRoom(db, " loft ", room)).rejects.toMatchObject({ name: "SameName" });
  });

  test("the clock is set back between two notes: the second still comes second, and what lies ahead is brought to now when the user says so", async () => {
    const piece = await addPiece(db, pebble());
    const plan = await markDone(db, piece.id, follow(candidateId("one"), ""), [coat(1), coat(2)], "2026-11-24T19:00:00.000Z");
    await markUndone(db, piece.id, plan, [coat(2)], "2026-11-24T15:00:00.000Z");
    const onIt = async () => bodyOf(await progressOf(db, piece.id)).flatMap((one) => one.coats.map(({ coat: n, at }) => [n, at]));
    expect(await onIt()).toEqual([[1, "2026-11-24T19:00:00.000Z"]]);
    await setNotesRight(db, piece.id, Date.parse("2026-11-24T15:00:00.000Z"));
    expect(await onIt()).toEqual([[1, "2026-11-24T15:00:00.000Z"]]);
  });

  test("what a killed page has left is done once, though the next stroke went on from it; so are hours, pins and a removal that was taken back", async () => {
    const piece = await addPiece(db, pebble());
    const own = new OwnValues();
    const stroke = (name: string, ask: string, left = false) => savePiece(db, piece.id, piece.piece, [set("name", name)], own, { ask, merge: "name", left });
    for (const [name, ask] of [
      ["A", "strokeaaaa"],
      ["AB", "strokebbbb"],
      ["ABC", "strokecccc"],
    ] as const)
      await stroke(name, ask);
    for (const ask of ["strokeaaaa", "strokebbbb", "strokecccc"]) await expect(stroke("A", ask, true)).rejects.toMatchObject({ name: "DoneAlready" });
    expect((await pieceById(db, piece.id))?.piece.name).toBe("ABC");
    const seen = await hoursIn(db, "UTC");
    const free = (monday: string) => ({ ...seen, weekday: seen.weekday.map((day, at) => (at === 0 ? [{ from: monday, to: "22:00" }] : day)) });
    await saveHours(db, seen, free("18:00"), { ask: "hoursaaaaa" });
    await saveHours(db, free("18:00"), free("17:00"), { ask: "hoursbbbbb" });
    await expect(saveHours(db, seen, free("18:00"), { ask: "hoursaaaaa", left: true })).rejects.toMatchObject({ name: "DoneAlready" });
    await removePiece(db, piece.id, "it", { ask: "removeaaaa" });
    await takeBack(db, (await db.get("acts", "removeaaaa"))!);
    await expect(removePiece(db, piece.id, "it", { ask: "removeaaaa", left: true })).rejects.toMatchObject({ name: "DoneAlready" });
    expect(await db.count("pieces")).toBe(1);
  });

  test("on a piece that was removed meanwhile nothing is left behind", async () => {
    const piece = await addPiece(db, pebble());
    await removePiece(db, piece.id);
    await expect(markDone(db, piece.id, follow(candidateId("one"), ""), [coat(1)], "2026-11-24T19:00:00.000Z")).rejects.toMatchObject({ name: "GonePiece" });
    expect([await db.count("plans"), await db.count("progress")]).toEqual([0, 0]);
  });

  test("free hours are saved by the day: two tabs change two days, and both stand", async () => {
    const seen = await hoursIn(db, "UTC");
    const day = (at: number, from: string) => ({ ...seen, weekday: seen.weekday.map((old, index) => (index === at ? [{ from, to: "23:00" }] : old)) });
    await saveHours(db, seen, day(0, "18:00"));
    await saveHours(db, seen, { ...day(1, "20:00"), exceptions: [{ date: "2026-12-24", spans: [] }] });
    const now = await hoursIn(db, "UTC");
    expect([now.weekday[0], now.weekday[1], now.exceptions]).toEqual([
      [{ from: "18:00", to: "23:00" }],
      [{ from: "20:00", to: "23:00" }],
      [{ date: "2026-12-24", spans: [] }],
    ]);
  });
});

describe("what was done last, kept with what it changed", () => {
  test("what is done in one instant, or after the clock was set back, stands in the order in which it was done; so do versions, and what is taken back", async () => {
    const names = Array.from({ length: 12 }, (_unused, turn) => `Name ${turn}`);
    const { id, piece } = await addPiece(db, pebble({ name: "Was" }));
    const own = new OwnValues();
    for (const [turn, name] of names.entries()) {
      if (turn === 6) jest.setSystemTime(NOW - 3_600_000);
      await savePiece(db, id, piece, [set("name", name)], own);
    }
    const acts = (await db.getAllFromIndex("acts", "byTime")).slice(1);
    const named = acts.map(({ entries }) => (entries[0]!.after as { piece: { name: string } }).piece.name);
    expect(named).toEqual(names);
    for (const act of acts.slice(-4).reverse()) await takeBack(db, act);
    expect((await pieceById(db, id))?.piece.name).toBe("Name 7");
    const undone = (await db.getAllFromIndex("acts", "byUndone")).map((act) => act.undoneAt!);
    expect([undone.length, new Set(undone).size]).toEqual([4, 4]);
    const versions = (await db.getAllFromIndex("versions", "byPiece", id)).map((one) => one.piece.name);
    expect([versions[0], versions.at(-1)]).toEqual(["Was", "Name 7"]);
  });

  test("fifty acts, and beside them those that removed a piece", async () => {
    const gone = await addPiece(db, pebble({ name: "Gone long ago" }));
    await removePiece(db, gone.id);
    const piece = await addPiece(db, pebble());
    for (let at = 0; at < 130; at += 1) await saveSettings(db, { signature: `Name ${at}` });
    const acts = await db.getAllFromIndex("acts", "byTime");
    expect(acts.length).toBeLessThanOrEqual(121);
    expect(acts.length).toBeGreaterThanOrEqual(50);
    const [removal] = await db.getAllFromIndex("acts", "byRemoval");
    await takeBack(db, removal!);
    expect((await allPieces(db)).map((one) => one.piece.name).sort()).toEqual(["Gone long ago", piece.piece.name].sort());
  });

  test("a removal that is taken back is none, and is one again when it is done again", async () => {
    const piece = await addPiece(db, pebble());
    await removePiece(db, piece.id);
    const [removal] = await db.getAllFromIndex("acts", "byRemoval");
    const undone = await takeBack(db, removal!);
    expect(await db.countFromIndex("acts", "byRemoval")).toBe(0);
    await takeBack(db, undone!);
    expect([await db.countFromIndex("acts", "byRemoval"), await db.count("pieces")]).toEqual([1, 0]);
  });

  test("strokes of one field are one act, and taken back in one", async () => {
    const piece = await addPiece(db, pebble({ name: "Was" }));
    const own = new OwnValues();
    for (const name of ["I", "Is", "Is now"]) await savePiece(db, piece.id, piece.piece, [set("name", name)], own, { merge: "name" });
    const [last, before] = (await db.getAllFromIndex("acts", "byTime")).reverse();
    expect(before?.label).toMatch(/^the new piece/);
    await takeBack(db, last!);
    expect((await pieceById(db, piece.id))?.piece.name).toBe("Was");
  });
});

describe("the list", () => {
  test("names come in a person's order without the pieces being read, a nameless record last", async () => {
    for (const name of ["pot 10", "Pot 9", "Äpfel", "zebra"]) await addPiece(db, pebble({ name }));
    await db.put("pieces", { id: "damaged00001", rev: 1 } as never);
    expect((await namedPieces(db)).map((one) => one.name)).toEqual(["Äpfel", "Pot 9", "pot 10", "zebra", "a damaged piece"]);
  });

  test("begun pieces are those somebody has worked at, each once", async () => {
    const [one] = [await addPiece(db, pebble()), await addPiece(db, pebble())];
    await markDone(db, one!.id, follow(candidateId("one"), ""), [coat(1), coat(2)], "2026-11-24T19:00:00.000Z");
    expect(await begunPieces(db)).toEqual([one!.id]);
  });

  test("an overview is remembered until its piece changes or its wait ends", async () => {
    const piece = await addPiece(db, pebble());
    const overview = { groups: [], states: null, next: null, finished: false, refused: false, until: 1000 };
    const key = overviewKey(piece, null, []);
    await keepOverview(db, { id: piece.id, key, overview });
    expect([await keptOverview(db, piece.id, key, 999), await keptOverview(db, piece.id, key, 1000)]).toEqual([overview, null]);
    expect(await keptOverview(db, piece.id, overviewKey({ ...piece, rev: 2 }, null, []), 999)).toBeNull();
  });
});
