/** The shelf in the database: what is put on it, changed, taken off and taken back; what is laid is out of its jar. */
import "fake-indexeddb/auto";
import { afterEach, beforeEach, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { readFileSync } from "node:fs";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { candidateId, jarId, productId } from "#core/catalogue/ids";
import type { Jar } from "#core/catalogue/jar";
import { readBundle } from "#core/formats/bundle";
import type { CoatEvent } from "#core/logbook/progress";
import { ownProductsOf, shelfKey } from "#core/shelf/own-products";
import type { JarChange } from "#core/shelf/jar-change";
import { ternPointShelf } from "~/demo/tern-point-shelf";
import { pebble } from "../../tests/reference/bench";
import { coat, follow } from "../../tests/reference/notebook";
import type { Act } from "./acts";
import { exportAll, importBundle } from "./bundles";
import { onCommand, takeBack } from "./command";
import { openStore } from "./database";
import type { Database } from "./database";
import { addPiece } from "./pieces";
import { markDone, markUndone } from "./progress";
import { put, putLine } from "#core/shelf/jar-change";
import { OwnValues } from "./pieces";
import { addJars, changeJar, copyJar, damagedJars, mixPuddle, removeJar, shelfIn, stockIn } from "./shelf";

let db: Database;
let count = 0;
const done: Act[] = [];
let stop: () => void;
beforeEach(async () => {
  db = await openStore({}, `shelf-${(count += 1)}`);
  done.length = 0;
  stop = onCommand((act) => done.push(act));
});
afterEach(() => stop());

const navy: Jar = {
  id: jarId("navyjar001"),
  classId: productId("craft-acrylic"),
  name: "Navy",
  colour: "#1f3a4d",
  label: { recoatMin: 60 },
  sizeMl: 59,
  left: { ml: 40, by: "eye", at: "2026-11-20T10:00:00.000Z" },
};
const cream: Jar = { id: jarId("creamjar01"), classId: productId("craft-acrylic"), name: "Cream", label: {} };
const named = async () => (await shelfIn(db)).map((jar) => jar.name);
const left = async (id: string) => (await stockIn(db, await shelfIn(db))).get(id);
const poured = (n: number): CoatEvent => ({ ...coat(n), act: { ...coat(n).act, ownProduct: navy.id }, jarMl: 3 });

describe("a jar", () => {
  test("is put on once, however often it is asked; one that fits no kind or no bounds keeps all of them off", async () => {
    await addJars(db, [navy, cream]);
    await addJars(db, [navy]);
    expect(await named()).toEqual(["Cream", "Navy"]);
    for (const wrong of [{ classId: productId("milk") }, { sizeMl: -1 }, { label: { minC: 30, maxC: 8 } }, { colour: "navy" }, { name: " " }])
      await expect(
        addJars(db, [
          { ...cream, id: jarId("another001") },
          { ...navy, id: jarId("wrongjar01"), ...wrong },
        ]),
      ).rejects.toMatchObject({ name: "UnfitRecord" });
    expect(await named()).toHaveLength(2);
  });

  test("two tabs change two things of it and both stand; what is cleared is gone; a jar taken off meanwhile is told of", async () => {
    await addJars(db, [navy]);
    await changeJar(db, navy.id, { set: { name: "Harbour navy" } });
    await changeJar(db, navy.id, { label: { touchMin: 20 }, clear: ["sizeMl"], clearLabel: ["recoatMin"] });
    const [jar] = await shelfIn(db);
    expect([jar!.name, jar!.label, jar!.rev, "sizeMl" in jar!]).toEqual(["Harbour navy", { touchMin: 20 }, 3, false]);
    // What a screen did not see is asked about, unless its own tab set it.
    const [mine, theirs] = [new OwnValues(), new OwnValues()];
    const seen = jar!;
    expect(await changeJar(db, navy.id, put("name", "Deep navy"), {}, { seen, own: theirs })).toEqual({ kind: "changed" });
    expect(await changeJar(db, navy.id, put("name", "Night"), {}, { seen, own: mine })).toMatchObject({ kind: "clash", paths: ["name"] });
    expect(await changeJar(db, navy.id, put("name", "Deep navy"), {}, { seen, own: mine })).toEqual({ kind: "changed" });
    expect(await changeJar(db, navy.id, put("name", "Deeper navy"), {}, { seen, own: theirs })).toEqual({ kind: "changed" });
    expect(await changeJar(db, navy.id, putLine("touchMin", 25), {}, { seen, own: mine })).toEqual({ kind: "changed" });
    expect(await changeJar(db, navy.id, putLine("touchMin", undefined), {}, { seen, own: theirs })).toMatchObject({ kind: "clash", paths: ["label.touchMin"] });
    expect((await shelfIn(db))[0]).toMatchObject({ name: "Deeper navy", label: { touchMin: 25 } });
    await removeJar(db, navy.id, "Harbour navy");
    await expect(changeJar(db, navy.id, { set: { name: "Late" } })).rejects.toMatchObject({ name: "GoneJar" });
    await expect(copyJar(db, navy.id)).rejects.toMatchObject({ name: "GoneJar" });
  });

  test("another of the same is full, unopened and its own", async () => {
    await addJars(db, [{ ...navy, openedOn: "2026-05-01", tareG: 20 }]);
    await copyJar(db, navy.id, jarId("secondjar1"));
    const second = (await shelfIn(db)).find((jar) => jar.id === "secondjar1");
    expect(second).toEqual({ id: "secondjar1", rev: 1, classId: navy.classId, name: "Navy", colour: navy.colour, label: navy.label, sizeMl: 59, tareG: 20 });
  });

  test("whatever is done to the shelf and then taken back, it stands as it stood", async () => {
    const change: fc.Arbitrary<JarChange> = fc.record({
      set: fc.record({ sizeMl: fc.integer({ min: 1, max: 500 }) }),
      label: fc.record({ coats: fc.integer({ min: 1, max: 9 }) }, { requiredKeys: [] }),
    });
    const act = fc.oneof(
      change.map((one) => (id: typeof navy.id) => changeJar(db, id, one)),
      fc.constant((id: typeof navy.id) => copyJar(db, id)),
      fc.constant((id: typeof navy.id) => removeJar(db, id, "it")),
    );
    await addJars(db, [navy, cream]);
    const bare = async () => (await exportAll(db)).shelf.map((jar) => ({ ...jar, rev: 0 }));
    const before = await bare();
    await fc.assert(
      fc.asyncProperty(fc.array(fc.tuple(act, fc.constantFrom(navy.id, cream.id)), { maxLength: 6 }), async (acts) => {
        done.length = 0;
        for (const [run, id] of acts) await run(id).catch((error: Error) => expect(error.name).toBe("GoneJar"));
        for (const one of [...done].reverse()) expect(await takeBack(db, one)).not.toBeNull();
        expect(await bare()).toEqual(before);
      }),
      { seed: 11, numRuns: 25 },
    );
  });
});

describe("a damaged jar", () => {
  test.each([
    ["no label", { label: undefined }],
    ["a label that is text", { label: "matt" }],
    ["a size in words", { sizeMl: "large" }],
    ["a colour that is none", { colour: "#12" }],
    ["an amount without its instant", { left: { ml: 3 } }],
    ["half a bake", { label: { bake: { atC: 160 } } }],
    ["no name", { name: 7 }],
  ])("with %s costs itself: the others stand, plans are made, and it can be taken off", async (_what, wound) => {
    await addJars(db, [cream]);
    await db.put("shelf", { ...navy, rev: 1, ...wound } as never);
    expect([await named(), await damagedJars(db)]).toEqual([["Cream"], [navy.id]]);
    expect(ownProductsOf(await shelfIn(db), await stockIn(db, await shelfIn(db)), CATALOGUE, "2026-11-26")).toHaveLength(1);
    await removeJar(db, navy.id, "a damaged jar");
    expect(await damagedJars(db)).toEqual([]);
  });
});

describe("what is laid", () => {
  test("is out of its jar, and back in it when it was not laid after all, though the plan names another jar by then", async () => {
    const piece = await addPiece(db, pebble());
    await addJars(db, [navy, cream]);
    const plan = await markDone(db, piece.id, follow(candidateId("one"), ""), [poured(1), poured(2)], "2026-11-24T19:00:00.000Z");
    expect([await left(navy.id), await left(cream.id)]).toEqual([34, undefined]);
    await markUndone(db, piece.id, plan, [{ ...coat(2), jarMl: 9 }], "2026-11-24T20:00:00.000Z");
    expect(await left(navy.id)).toBe(37);
    await changeJar(db, navy.id, { set: { left: { ml: 10, by: "volume", at: "2026-11-25T08:00:00.000Z" } } });
    expect(await left(navy.id)).toBe(10);
  });
});

describe("a notebook file", () => {
  test("carries the shelf there and back; what stands on it already stays as it is", async () => {
    const read = readBundle(readFileSync("tests/fixtures/bundle-4.json", "utf8"), CATALOGUE);
    if (!read.ok) throw new Error(read.problem.message);
    expect([read.value.aside, read.value.altered]).toEqual([[], false]);
    await addJars(db, [{ ...cream, id: jarId("creamjar0001"), name: "My own cream" }]);
    await importBundle(db, read.value.bundle);
    expect(await named()).toEqual(["Harbour navy", "My own cream", "Satin varnish"]);
    expect(await left("navyjar00001")).toBeCloseTo(38.2, 6);
  });
});

test("the shelf at Tern Point is the same for plans on every day, so that those of the build hold; every jar of it fits", async () => {
  const keyOn = (day: string) => shelfKey(ownProductsOf(ternPointShelf(day, `${day}T00:00:00.000Z`), new Map(), CATALOGUE, day));
  expect(new Set(["2026-11-26", "2027-02-28", "2028-02-29", "2027-08-31"].map(keyOn)).size).toBe(1);
  await addJars(db, ternPointShelf("2026-11-26", "2026-09-26T00:00:00.000Z"));
  expect(await named()).toHaveLength(ternPointShelf("2026-11-26", "").length);
});

describe("a mixture", () => {
  const pot: Jar = {
    id: jarId("bluepot001"),
    classId: productId("craft-acrylic"),
    name: "Mist",
    colour: "#8fa6b4",
    label: {},
    hiding: { ratio: 0.9, from: 0.84, to: 0.96, by: "mixture" },
    mix: [
      { jar: navy.id, name: "Navy", colour: "#1f3a4d", share: 0.25 },
      { jar: cream.id, name: "Cream", colour: "#f4efe2", share: 0.75 },
    ],
    left: { ml: 0, by: "volume", at: "2026-11-21T10:00:00.000Z" },
  };
  const NOW = "2026-11-25T10:00:00.000Z";

  test("is booked off the jars it is known of what is in them, into its pot, in one thing to take back", async () => {
    await addJars(db, [navy, cream, pot]);
    await mixPuddle(db, pot.id, 12, NOW);
    expect([await left(navy.id), await left(cream.id), await left(pot.id)]).toEqual([37, undefined, 12]);
    await mixPuddle(db, pot.id, 4, NOW);
    expect([await left(navy.id), await left(pot.id)]).toEqual([36, 16]);
    await takeBack(db, done.at(-1)!);
    expect([await left(navy.id), await left(pot.id)]).toEqual([37, 12]);
  });

  test("counts what was laid out of its jars before and since; a coat laid from its pot says what it was mixed from", async () => {
    await addJars(db, [navy, pot]);
    const piece = await addPiece(db, pebble());
    const followed = follow(candidateId("one"), "");
    const from = (jar: string, n: number): CoatEvent => ({ ...coat(n), act: { ...coat(n).act, ownProduct: jar }, jarMl: 3 });
    await markDone(db, piece.id, followed, [from(navy.id, 1)], "2026-11-24T10:00:00.000Z");
    await mixPuddle(db, pot.id, 8, NOW);
    expect(await left(navy.id)).toBe(40 - 3 - 2);
    await markDone(db, piece.id, followed, [from(pot.id, 2)], "2026-11-26T10:00:00.000Z");
    expect(await left(pot.id)).toBe(5);
    const acts = (await db.getAll("progress")).map(({ act }) => act.mix);
    expect(acts.sort()).toEqual(["75 % Cream, 25 % Navy", undefined]);
  });

  test("is booked once, however often the same ask comes; what is mixed in one tab and in another is both booked", async () => {
    await addJars(db, [navy, pot]);
    await mixPuddle(db, pot.id, 4, NOW, { ask: "mixaskaaaa1" });
    await expect(mixPuddle(db, pot.id, 4, NOW, { ask: "mixaskaaaa1" })).rejects.toMatchObject({ name: "DoneAlready" });
    await Promise.all([mixPuddle(db, pot.id, 4, NOW, { ask: "mixaskaaaa2" }), mixPuddle(db, pot.id, 8, NOW, { ask: "mixaskaaaa3" })]);
    expect([await left(navy.id), await left(pot.id)]).toEqual([36, 16]);
  });

  test("never takes more out of a jar than is in it, and goes on without one that is gone", async () => {
    await addJars(db, [navy, cream, pot]);
    await removeJar(db, cream.id, "Cream");
    await mixPuddle(db, pot.id, 400, NOW);
    expect([await left(navy.id), await left(pot.id)]).toEqual([0, 400]);
    await removeJar(db, pot.id, "Mist");
    await expect(mixPuddle(db, pot.id, 4, NOW)).rejects.toMatchObject({ name: "GoneJar" });
  });

  test("whose parts make no whole, or which is mixed from itself, is not kept; a jar is not mixed", async () => {
    await addJars(db, [navy, cream]);
    const wrong = [
      { mix: pot.mix!.slice(0, 1) },
      { mix: [{ ...pot.mix![0]!, jar: pot.id, share: 1 }] },
      { hiding: { ...pot.hiding!, from: 0.95 } },
      { dropsPerMl: 500 },
    ];
    for (const more of wrong) await expect(addJars(db, [{ ...pot, ...more }])).rejects.toThrow();
    await expect(mixPuddle(db, navy.id, 5, NOW)).rejects.toThrow();
    expect(await named()).toEqual(["Cream", "Navy"]);
  });

  test("goes out in a file and comes in again as it was", async () => {
    await addJars(db, [navy, cream, pot]);
    const read = readBundle(JSON.stringify(await exportAll(db)), CATALOGUE);
    if (!read.ok) throw new Error(read.problem.message);
    const other = await openStore({}, `shelf-mix-${(count += 1)}`);
    await importBundle(other, read.value.bundle);
    expect((await shelfIn(other)).find(({ id }) => id === pot.id)).toMatchObject({ mix: pot.mix, hiding: pot.hiding });
  });
});
