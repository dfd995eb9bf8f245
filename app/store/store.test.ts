/** The database, against an IndexedDB that behaves as the browser's. */
import "fake-indexeddb/auto";
import { afterEach, beforeEach, describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { candidateId, stepId } from "#core/catalogue/ids";
import { readBundle } from "#core/formats/bundle";
import { pebble } from "../../tests/reference/bench";
import { coat, follow, set } from "../../tests/reference/notebook";
import { exportAll, importBundle, wipeAll } from "./bundles";
import { bodyOf } from "#core/logbook/body-state";
import { openStore } from "./database";
import type { Database } from "./database";
import { addPiece, allPieces, pieceById, removePiece, savePiece, setDates } from "./pieces";
import { clearEdits, editPlan, keepPlan, pinSteps, planById, planFor } from "./plans";
import type { Followed } from "./plans";
import { onCommand, takeBack } from "./command";
import type { Act } from "./acts";
import { addRoom, hoursIn, roomsIn, saveHours, saveSettings, settingsIn } from "./preferences";
import { markDone, markUndone, progressOf } from "./progress";

let db: Database;
let count = 0;
const fresh = () => `notebook-${(count += 1)}`;
beforeEach(async () => {
  db = await openStore({}, fresh());
});

describe("two tabs on one piece", () => {
  test("edits of different fields both survive, and the rev counts them", async () => {
    const seen = await addPiece(db, pebble());
    expect(await savePiece(db, seen.id, seen.piece, [set("name", "Left tab")])).toMatchObject({ kind: "saved", record: { rev: 2 } });
    expect(await savePiece(db, seen.id, seen.piece, [set("count", 12)])).toMatchObject({ kind: "saved", record: { rev: 3 } });
    expect((await pieceById(db, seen.id))?.piece).toMatchObject({ name: "Left tab", count: 12 });
  });

  test("fields inside the same part do not disturb one another", async () => {
    const seen = await addPiece(db, pebble({ room: { temperatureC: 20, relativeHumidity: 0.5, airflow: "still" } }));
    await savePiece(db, seen.id, seen.piece, [set("room.temperatureC", 14)]);
    await savePiece(db, seen.id, seen.piece, [set("room.airflow", "fan")]);
    expect((await pieceById(db, seen.id))?.piece.room).toEqual({ temperatureC: 14, relativeHumidity: 0.5, airflow: "fan" });
  });

  test("the same field: the second is told whose is there, and nothing is overwritten", async () => {
    const seen = await addPiece(db, pebble());
    await savePiece(db, seen.id, seen.piece, [set("name", "First")]);
    const second = await savePiece(db, seen.id, seen.piece, [set("name", "Second"), set("count", 3)]);
    expect(second).toMatchObject({ kind: "clash", paths: ["name"], theirs: { piece: { name: "First" } } });
    expect((await pieceById(db, seen.id))?.piece).not.toHaveProperty("count");
  });

  test("agreeing is no clash; a removed piece is told as gone", async () => {
    const seen = await addPiece(db, pebble());
    await savePiece(db, seen.id, seen.piece, [set("name", "Same")]);
    expect((await savePiece(db, seen.id, seen.piece, [set("name", "Same")])).kind).toBe("saved");
    await removePiece(db, seen.id);
    expect((await savePiece(db, seen.id, seen.piece, [set("name", "Late")])).kind).toBe("gone");
  });
});

describe("plans", () => {
  test("a step is kept with the plan the user follows, once, and let go again; their changes stay beside it", async () => {
    const piece = await addPiece(db, pebble());
    const [one, seal, base] = [candidateId("one"), "top.seal.1" as never, "top.base.1" as never];
    await editPlan(db, piece.id, follow(one, "gesso below"), [{ op: "remove", stepId: "top.isolate.1" as never }]);
    await pinSteps(db, piece.id, follow(one, "gesso below"), [seal], true);
    await pinSteps(db, piece.id, follow(one, "gesso below"), [base], true);
    await pinSteps(db, piece.id, follow(one, "gesso below"), [seal], true);
    const kept = await planFor(db, piece.id, follow(one, "gesso below"));
    expect([...kept.pinned].sort()).toEqual(["top.base.1", "top.seal.1"]);
    expect(kept.edits).toHaveLength(1);
    await pinSteps(db, piece.id, follow(one, "gesso below"), [seal], false);
    expect((await planById(db, kept.id))?.pinned).toEqual(["top.base.1"]);
  });

  test("a fact changes: the plan that is followed moves along with the user's changes in it; a way chosen anew is another plan", async () => {
    const piece = await addPiece(db, pebble());
    const was = follow(candidateId("one"), "gesso below");
    const edited = await editPlan(db, piece.id, was, [{ op: "set", stepId: stepId("top.base.1"), field: "coats", value: 4 }]);
    await pinSteps(db, piece.id, was, [stepId("top.seal.1")], true);
    const now: Followed = { ...follow(candidateId("two"), "gesso below"), madeFor: "other facts" };
    const moved = await keepPlan(db, piece.id, now);
    expect(moved).toMatchObject({ id: edited.id, candidateId: "two", madeFor: "other facts", edits: edited.edits, pinned: ["top.seal.1"] });
    await clearEdits(db, piece.id, moved.id);
    const chosen = await planFor(db, piece.id, { ...follow(candidateId("three"), "no ground"), madeFor: "facts of the third" });
    expect(chosen.id).not.toBe(moved.id);
    expect(await planById(db, moved.id)).toMatchObject({ candidateId: "two" });
  });

  test("the user's changes stay with each plan, and following another loses none", async () => {
    const piece = await addPiece(db, pebble());
    const first = await planFor(db, piece.id, follow(candidateId("one"), "gesso below"));
    await editPlan(db, piece.id, follow(candidateId("one"), "gesso below"), [{ op: "remove", stepId: "top.seal.1" as never }]);
    await planFor(db, piece.id, follow(candidateId("two"), "no ground"));
    const back = await planFor(db, piece.id, follow(candidateId("one"), "gesso below"));
    expect(back).toMatchObject({ id: first.id, rev: 2, edits: [{ op: "remove" }] });
    expect((await pieceById(db, piece.id))?.planId).toBe(first.id);
    await clearEdits(db, piece.id, first.id);
    expect((await planById(db, first.id))?.edits).toEqual([]);
  });

  test("a removed piece takes its plans along, and hands them back", async () => {
    const piece = await addPiece(db, pebble());
    await planFor(db, piece.id, follow(candidateId("one"), ""));
    const removed = await removePiece(db, piece.id);
    expect(removed?.plans).toHaveLength(1);
    expect(await db.count("plans")).toBe(0);
  });
});

describe("undo", () => {
  let commands: Act[] = [];
  let stop = () => {};
  beforeEach(() => {
    commands = [];
    stop = onCommand((one) => commands.push(one));
  });
  afterEach(() => stop());
  const last = () => commands[commands.length - 1]!;

  test("a removed piece comes back with its plans and its work, and goes again", async () => {
    const piece = await addPiece(db, pebble());
    await markDone(db, piece.id, follow(candidateId("one"), ""), [coat(1)], "2026-11-24T19:00:00.000Z");
    const before = await exportAll(db);
    await removePiece(db, piece.id);
    const again = (await takeBack(db, last()))!;
    expect(JSON.parse(JSON.stringify(await exportAll(db), (key, value) => (key === "rev" ? 0 : value)))).toEqual(
      JSON.parse(JSON.stringify(before, (key, value) => (key === "rev" ? 0 : value))),
    );
    expect(await takeBack(db, again)).not.toBeNull();
    expect(await allPieces(db)).toEqual([]);
  });

  test("an undone change keeps what another tab changed since, and is refused where both touched the same", async () => {
    const piece = await addPiece(db, pebble({ name: "Was" }));
    const { record } = (await savePiece(db, piece.id, piece.piece, [set("name", "Is")])) as { record: typeof piece };
    const renamed = last();
    await savePiece(db, record.id, record.piece, [set("count", 4)]);
    expect(await takeBack(db, renamed)).not.toBeNull();
    expect((await pieceById(db, piece.id))?.piece).toMatchObject({ name: "Was", count: 4 });
    await savePiece(db, piece.id, (await pieceById(db, piece.id))!.piece, [set("name", "Third")]);
    const third = last();
    await savePiece(db, piece.id, (await pieceById(db, piece.id))!.piece, [set("name", "Fourth")]);
    expect(await takeBack(db, third)).toBeNull();
    expect((await pieceById(db, piece.id))?.piece.name).toBe("Fourth");
  });

  test("emptying the notebook can be taken back; settings and hours too", async () => {
    await addPiece(db, pebble());
    await saveSettings(db, { units: "in" });
    const hours = await hoursIn(db, "UTC");
    await saveHours(db, hours, { ...hours, weekday: hours.weekday.map(() => []) });
    await wipeAll(db);
    expect([await allPieces(db), (await settingsIn(db)).units]).toEqual([[], "mm"]);
    await takeBack(db, last());
    expect([(await allPieces(db)).length, (await settingsIn(db)).units, (await hoursIn(db, "UTC")).weekday.flat()]).toEqual([1, "in", []]);
  });

  test("what is marked as done is kept complete in itself; taking it off the piece is one more record, and the body follows", async () => {
    const piece = await addPiece(db, pebble());
    const plan = await markDone(db, piece.id, follow(candidateId("one"), ""), [coat(1), coat(2)], "2026-11-24T19:00:00.000Z");
    expect((await pieceById(db, piece.id))?.planId).toBe(plan);
    await markUndone(db, piece.id, plan, [coat(2)], "2026-11-24T20:00:00.000Z");
    const records = await progressOf(db, piece.id);
    expect(records.map((one) => one.kind)).toEqual(["done", "done", "removed"]);
    expect(bodyOf(records).map((laid) => [laid.zone, laid.act.product, laid.coats.map((one) => one.coat)])).toEqual([["top", "craft-acrylic", [1]]]);
    await takeBack(db, last());
    expect(bodyOf(await progressOf(db, piece.id))[0]?.coats).toHaveLength(2);
  });

  test("undoing a rename leaves the dates set since, and undoing the dates leaves the name", async () => {
    const piece = await addPiece(db, pebble({ name: "Was" }));
    await setDates(db, piece.id, { due: "2026-12-01" });
    await savePiece(db, piece.id, piece.piece, [set("name", "Is")]);
    const rename = last();
    await setDates(db, piece.id, { due: "2026-12-24" });
    const moved = last();
    expect(await takeBack(db, rename)).not.toBeNull();
    expect(await pieceById(db, piece.id)).toMatchObject({ piece: { name: "Was" }, dates: { due: "2026-12-24" } });
    await savePiece(db, piece.id, piece.piece, [set("name", "Again")]);
    expect(await takeBack(db, moved)).not.toBeNull();
    expect(await pieceById(db, piece.id)).toMatchObject({ piece: { name: "Again" }, dates: { due: "2026-12-01" } });
  });

  test("undoing one change to a plan leaves those made after it", async () => {
    const piece = await addPiece(db, pebble());
    const edit = (id: string) => ({ op: "remove", stepId: id as never }) as const;
    const { id } = await editPlan(db, piece.id, follow(candidateId("one"), ""), [edit("top.seal.varnish")]);
    await editPlan(db, piece.id, follow(candidateId("one"), ""), [edit("top.isolate.varnish")]);
    const second = last();
    await editPlan(db, piece.id, follow(candidateId("one"), ""), [edit("top.sign.signature")]);
    await takeBack(db, second);
    expect((await planById(db, id))?.edits).toEqual([edit("top.seal.varnish"), edit("top.sign.signature")]);
  });
});

describe("writing", () => {
  test("what is done to one record is done one after another, each with its own answer", async () => {
    const piece = await addPiece(db, pebble());
    const names = ["one", "two", "three"];
    // Each was made on a screen that showed what was asked before it.
    const saved = await Promise.all(
      names.map((name, at) => savePiece(db, piece.id, { ...piece.piece, name: names[at - 1] ?? piece.piece.name }, [set("name", name)])),
    );
    expect(saved.map((one) => one.kind === "saved" && one.record.piece.name)).toEqual(names);
    const failing = savePiece(db, piece.id, (await pieceById(db, piece.id))!.piece, [set("count", -1)]);
    const after = savePiece(db, piece.id, (await pieceById(db, piece.id))!.piece, [set("count", 3)]);
    await expect(failing).rejects.toThrow("count");
    expect((await after).kind).toBe("saved");
  });

  test("nothing that fails its own schema is stored, and what was done with it neither", async () => {
    const piece = await addPiece(db, pebble());
    await expect(markDone(db, piece.id, follow(candidateId("one"), ""), [{ ...coat(1), zone: "moon" as never }], "2026-11-24T19:00:00.000Z")).rejects.toThrow(
      "zone",
    );
    expect([await db.count("plans"), await db.count("progress")]).toEqual([0, 0]);
  });
});

describe("files", () => {
  async function filled() {
    const piece = await addPiece(db, pebble({ name: "Kept" }));
    await planFor(db, piece.id, follow(candidateId("one"), "gesso below"));
    return piece;
  }

  test("out, wiped and in again is the same notebook", async () => {
    await filled();
    const before = await exportAll(db);
    await wipeAll(db);
    expect(await allPieces(db)).toEqual([]);
    const read = readBundle(JSON.stringify(before), CATALOGUE);
    expect(await importBundle(db, read.ok ? read.value.bundle : (undefined as never))).toMatchObject({
      added: { pieces: 1, plans: 1 },
      same: {},
      older: {},
      differences: 0,
    });
    expect(await exportAll(db)).toEqual(before);
  });

  test("a second import of the same file changes nothing; what was changed here since is not undone by it", async () => {
    const piece = await filled();
    const file = await exportAll(db);
    const nothing = { added: {}, changed: {}, removed: {}, differences: 0, unfit: [] };
    expect(await importBundle(db, file)).toEqual({ ...nothing, same: { pieces: 1, plans: 1 }, older: {} });
    await savePiece(db, piece.id, (await pieceById(db, piece.id))!.piece, [set("name", "Changed since")]);
    const before = await exportAll(db);
    expect(await importBundle(db, file)).toEqual({ ...nothing, same: { plans: 1 }, older: { pieces: 1 } });
    expect(await exportAll(db)).toEqual(before);
  });

  test("what a file says otherwise of a room and of settings, and nobody knows which is newer, never lies over what is here: it is asked about", async () => {
    const here = await addRoom(db, "Back room", { temperatureC: 16, relativeHumidity: 0.65, airflow: "still" });
    await saveSettings(db, { units: "in" });
    const file = await exportAll(db);
    const other = { ...file, rooms: [{ ...here, name: "Attic" }], settings: [{ ...file.settings[0]!, signature: "Theirs" }] };
    expect(await importBundle(db, other)).toMatchObject({ changed: {}, differences: 2 });
    expect((await roomsIn(db)).map((one) => one.name)).toEqual(["Back room"]);
    expect((await settingsIn(db)).signature).toBe("");
    expect((await db.getAll("differences")).map(({ id, theirs }) => [id, theirs])).toEqual([
      [`rooms/${here.id}/name`, "Attic"],
      ["settings/settings/signature", "Theirs"],
    ]);
  });

  test("an import that fails half way leaves the notebook as it was; a record that does not fit costs itself, by name", async () => {
    await filled();
    const before = JSON.stringify(await exportAll(db));
    const file = await exportAll(db);
    const another = (id: string) => ({ ...file.pieces[0]!, id: id as never });
    const full = { told: (done: number) => done === 2 && fail() };
    const fail = () => {
      throw new DOMException("no room left", "QuotaExceededError");
    };
    await expect(importBundle(db, { ...file, pieces: ["newpiece001", "newpiece002"].map(another) }, { progress: full as never })).rejects.toThrow(
      "no room left",
    );
    expect(JSON.stringify(await exportAll(db))).toBe(before);
    expect(await importBundle(db, { ...file, pieces: ["newpiece001", "no id"].map(another) })).toMatchObject({ unfit: [expect.stringContaining("pieces")] });
    expect((await allPieces(db)).map((one) => one.id as string)).toContain("newpiece001");
  });
});
