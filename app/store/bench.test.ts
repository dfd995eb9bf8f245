/** What is noted at the Bench: counted, said, ruined, put right, looked at, waited for; kept as it was, and taken back. */
import "fake-indexeddb/auto";
import { beforeEach, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { candidateId, jarId, pieceId, timerId } from "#core/catalogue/ids";
import { readBundle } from "#core/formats/bundle";
import { fileOf } from "#core/formats/write-bundle";
import { bodyOf } from "#core/logbook/body-state";
import { usedSince } from "#core/logbook/paint-used";
import { pebble } from "../../tests/reference/bench";
import { coat, follow } from "../../tests/reference/notebook";
import type { Act } from "./acts";
import { exportAll, importBundle } from "./bundles";
import { onCommand, takeBack } from "./command";
import { openStore } from "./database";
import type { Database } from "./database";
import { inspectionsOf, noteInspection } from "./inspections";
import { taskId } from "#core/coating/facts/task";
import { calendarIn, putInto } from "./calendar";
import { addPiece, pieceById, removePiece, setApart, setKeeping } from "./pieces";
import { markDone, markStarted, markTacky, markUndone, progressOf, putRight } from "./progress";
import { moveTimer, removeTimer, setTimer, timersIn } from "./timers";

const acts: Act[] = [];
onCommand((act) => void acts.push(act));
const following = follow(candidateId("one"), "");
const NOTHING = { ruined: [], tacky: [], changes: [] };
const at = (min: number) => new Date(Date.parse("2026-11-27T18:00:00Z") + min * 60_000).toISOString();

let db: Database;
let count = 0;
beforeEach(async () => {
  db = await openStore({}, `bench-${(count += 1)}`);
});

describe("what is noted of a coat", () => {
  test("a batch is counted, once for each count; it is on the body only when it is done, and its paint goes with the count", async () => {
    const { id } = await addPiece(db, pebble({ count: 4 }));
    const jar = (of: number) => ({ ...coat(1), act: { ...coat(1).act, ownProduct: jarId("harbournavy") }, jarMl: of });
    await markStarted(db, id, following, [{ ...jar(0), pieces: 0 }], at(0));
    await markStarted(db, id, following, [{ ...jar(2), pieces: 1 }], at(3));
    await markStarted(db, id, following, [{ ...jar(2), pieces: 1 }], at(4));
    await markStarted(db, id, following, [{ ...jar(6), pieces: 3 }], at(6));
    const counted = await progressOf(db, id);
    expect(counted.map(({ pieces }) => pieces)).toEqual([0, 1, 3]);
    expect(bodyOf(counted)).toEqual([]);
    expect(usedSince(counted, new Map()).get("harbournavy")).toBe(6);
    await markDone(db, id, following, [jar(8)], at(9));
    // Counting after it is done says nothing.
    await markStarted(db, id, following, [{ ...jar(2), pieces: 1 }], at(10));
    const done = await progressOf(db, id);
    expect(done.at(-1)?.kind).toBe("done");
    expect(usedSince(done, new Map()).get("harbournavy")).toBe(8);
  });

  test("what was put into another sitting is not any more once hands are on it; nothing else is let go of", async () => {
    const { id } = await addPiece(db, pebble());
    const put = (task: string) => ({ piece: id, task, at: at(9000) });
    const { stepId, coat: number } = coat(1);
    await putInto(db, [put(taskId(stepId, number)), put(taskId(stepId, 2))], []);
    await markStarted(db, id, following, [coat(1)], at(0));
    expect((await calendarIn(db)).held).toEqual([put(taskId(stepId, 2))]);
    // Put off with hands on it, it stays put off until they are on it again.
    await putInto(db, [put(taskId(stepId, number))], []);
    expect((await calendarIn(db)).held).toHaveLength(2);
  });

  test("done at an earlier time stands where it was said, after what was done before on the same place", async () => {
    const { id } = await addPiece(db, pebble());
    await markDone(db, id, following, [coat(1)], at(0));
    await markDone(db, id, following, [{ ...coat(1), zone: "back" }], at(60));
    await markDone(db, id, following, [coat(2)], at(30), {}, true);
    await markDone(db, id, following, [{ ...coat(2), zone: "back" }], at(50), {}, true);
    const noted = await progressOf(db, id);
    expect(noted.map(({ zone, coat: of, at: when }) => [zone, of, when])).toEqual([
      ["top", 1, at(0)],
      ["top", 2, at(30)],
      ["back", 1, at(60)],
      ["back", 2, new Date(Date.parse(at(60)) + 1).toISOString()],
    ]);
  });

  test("put right in one go: ruined, the plan changed, what held it over; taken back in one go", async () => {
    const { id } = await addPiece(db, pebble());
    await markDone(db, id, following, [coat(1)], at(0));
    await setTimer(db, {
      id: timerId("timer000001"),
      label: "Put right",
      from: at(1),
      until: at(30),
      piece: id,
      rescue: { mishap: "run", remedy: "scrape", zone: "top", stepId: coat(1).stepId },
    });
    const changes = [{ op: "set", stepId: coat(1).stepId, field: "coats", value: 3 }] as const;
    await putRight(db, id, following, { ...NOTHING, ruined: [coat(1)], changes }, "timer000001", at(31));
    expect(bodyOf(await progressOf(db, id))).toEqual([]);
    expect((await db.getAll("plans"))[0]?.edits).toEqual(changes);
    expect(await timersIn(db)).toEqual([]);
    await takeBack(db, acts.at(-1)!);
    expect(bodyOf(await progressOf(db, id))).toHaveLength(1);
    expect((await db.getAll("plans"))[0]?.edits).toEqual([]);
    expect(await timersIn(db)).toHaveLength(1);
  });
});

test("one of a batch is set apart with all that is on it: what is put right on it leaves the others as they are, and the paint is counted once", async () => {
  const { id } = await addPiece(db, pebble({ name: "Wedges", count: 12 }));
  const laid = { ...coat(1), act: { ...coat(1).act, ownProduct: jarId("harbournavy") }, jarMl: 12 };
  await markDone(db, id, following, [laid], at(0));
  const plan = await markDone(db, id, following, [coat(2)], at(60));
  await markTacky(db, id, plan, [coat(2)], at(70));
  await markStarted(db, id, following, [{ ...coat(3), pieces: 5 }], at(80));
  const one = pieceId("setapart00001");
  for (let twice = 0; twice < 2; twice += 1) await setApart(db, id, one, 1);
  const [batch, apart] = [(await pieceById(db, id))!, (await pieceById(db, one))!];
  expect([batch.piece.count, apart.piece.count, apart.piece.name]).toEqual([11, 1, "Wedges (set apart)"]);
  expect(apart.planId).not.toBe(batch.planId);
  expect((await db.get("plans", apart.planId!))?.pieceId).toBe(one);
  expect(bodyOf(await progressOf(db, one))).toEqual(bodyOf(await progressOf(db, id)));
  expect((await progressOf(db, one)).map(({ kind }) => kind)).toEqual(["done", "done", "tacky"]);
  expect(usedSince(await db.getAll("progress"), new Map()).get("harbournavy")).toBe(12);
  await putRight(db, one, following, { ...NOTHING, ruined: [coat(2)] }, null, at(90));
  expect(bodyOf(await progressOf(db, one))[0]?.coats.map(({ coat: of }) => of)).toEqual([1]);
  expect(bodyOf(await progressOf(db, id))[0]?.coats.map(({ coat: of }) => of)).toEqual([1, 2]);
  // Not more than there are: the last one is the batch itself.
  await setApart(db, id, pieceId("setapart00002"), 11);
  expect(await pieceById(db, pieceId("setapart00002"))).toBeUndefined();
  for (const label of ["putting it right", "setting one apart"])
    await takeBack(
      db,
      acts.findLast((act) => act.label === label)!,
    );
  expect([(await pieceById(db, id))?.piece.count, await pieceById(db, one)]).toEqual([12, undefined]);
});

test("replayed from a file, the body, the paint and the tacky films are what they were; by hand it comes to the same", async () => {
  const op = fc.record({
    kind: fc.constantFrom("done", "started", "tacky", "ruined", "removed"),
    coat: fc.integer({ min: 1, max: 3 }),
    zone: fc.constantFrom("top", "back"),
    pieces: fc.integer({ min: 0, max: 4 }),
  });
  await fc.assert(
    fc.asyncProperty(fc.array(op, { minLength: 3, maxLength: 14 }), async (ops) => {
      const one = await openStore({}, `bench-${(count += 1)}`);
      const { id } = await addPiece(one, pebble({ count: 4 }));
      // By hand: what is on, and whether it was found tacky.
      const on = new Map<string, boolean>();
      for (const [index, { kind, coat: of, zone, pieces }] of ops.entries()) {
        const event = { ...coat(of), zone: zone as "top" };
        const key = `${zone}/${of}`;
        const when = at(index);
        const plan = await markDone(one, id, following, kind === "done" ? [event] : [], when);
        if (kind === "started") await markStarted(one, id, following, [{ ...event, pieces }], when);
        if (kind === "tacky") await markTacky(one, id, plan, [event], when);
        if (kind === "removed") await markUndone(one, id, plan, [event], when);
        if (kind === "ruined") await putRight(one, id, following, { ...NOTHING, ruined: [event] }, null, when);
        if (kind === "done") on.set(key, on.get(key) ?? false);
        if (kind === "tacky" && on.has(key)) on.set(key, true);
        if (kind === "removed" || kind === "ruined") on.delete(key);
      }
      const progress = await progressOf(one, id);
      const told = bodyOf(progress).flatMap(({ zone, coats }) => coats.map((laid) => [`${zone}/${laid.coat}`, laid.tackyAt !== undefined] as const));
      expect([...told].sort()).toEqual([...on].sort());
      const other = await openStore({}, `bench-${(count += 1)}`);
      const read = readBundle(JSON.stringify(fileOf(await exportAll(one))), CATALOGUE);
      await importBundle(other, read.ok ? read.value.bundle : (null as never), { label: "a file" });
      expect(bodyOf(await progressOf(other, id))).toEqual(bodyOf(progress));
    }),
    { numRuns: 15, seed: 27 },
  );
});

test("timers run to an instant, whatever becomes of the page; a piece is held for one thing at a time, and one that is gone holds nothing", async () => {
  const { id } = await addPiece(db, pebble());
  const timer = (name: string, until: number, more = {}) => ({ id: timerId(name), label: "Look for bubbles", from: at(0), until: at(until), ...more });
  const rescue = { mishap: "run", remedy: "scrape", zone: "top", stepId: coat(1).stepId } as const;
  await setTimer(db, timer("timer00002", 20));
  await setTimer(db, timer("timer00001", 10, { piece: id, rescue }));
  await setTimer(db, timer("timer00003", 15, { piece: id, rescue }));
  expect((await timersIn(db)).map((one) => one.id)).toEqual(["timer00003", "timer00002"]);
  await moveTimer(db, timerId("timer00002"), at(12));
  expect((await timersIn(db)).map((one) => one.id)).toEqual(["timer00002", "timer00003"]);
  await removePiece(db, id, "it");
  expect((await db.getAll("timers")).map((one) => one.id)).toEqual(["timer00002"]);
  await takeBack(db, acts.at(-1)!);
  expect((await timersIn(db)).map((one) => one.id)).toEqual(["timer00002", "timer00003"]);
  // In a file it goes with its piece, and comes back with it.
  const other = await openStore({}, `bench-${(count += 1)}`);
  const read = readBundle(JSON.stringify(fileOf(await exportAll(db))), CATALOGUE);
  if (!read.ok || read.value.aside.length > 0) throw new Error("the file is not as it was written");
  await importBundle(other, read.value.bundle, { label: "a file" });
  expect((await timersIn(other)).map((one) => [one.id, one.piece])).toEqual([
    ["timer00002", undefined],
    ["timer00003", id],
  ]);
  await removePiece(db, id, "it");
  await removeTimer(db, timerId("timer00002"));
  await takeBack(db, acts.at(-1)!);
  expect(await timersIn(db)).toHaveLength(1);
  await expect(setTimer(db, timer("timer00009", 5, { label: "" }))).rejects.toThrow("label");
});

test("what was looked at stays with its piece, goes and comes back with it; where it stands is kept, and said anew", async () => {
  const { id } = await addPiece(db, pebble());
  await noteInspection(db, { pieceId: id, zone: "top", stepId: coat(1).stepId, kind: "rub", passed: false, at: at(0) });
  await noteInspection(db, { pieceId: id, zone: "top", stepId: coat(1).stepId, kind: "tape", passed: true, grade: 1, at: at(5) });
  expect((await inspectionsOf(db, id)).map(({ kind, passed, grade }) => [kind, passed, grade])).toEqual([
    ["rub", false, undefined],
    ["tape", true, 1],
  ]);
  await setKeeping(db, [id], { standsAt: "left of the window" });
  await setKeeping(db, [id], { set: "Terrace" });
  expect((await pieceById(db, id))?.standsAt).toBe("left of the window");
  await removePiece(db, id, "it");
  expect(await db.count("inspections")).toBe(0);
  await takeBack(db, acts.at(-1)!);
  expect(await inspectionsOf(db, id)).toHaveLength(2);
  await setKeeping(db, [id], { standsAt: "" });
  expect(await pieceById(db, id)).not.toHaveProperty("standsAt");
});
