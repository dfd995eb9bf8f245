/** Older notebooks are brought up to date, and newer ones are not touched. */
import "fake-indexeddb/auto";
import { describe, expect, jest, test } from "@jest/globals";
import { openDB } from "idb";
import type { IDBPDatabase } from "idb";
import { readFileSync } from "node:fs";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { readBundle } from "#core/formats/bundle";
import { parsePiece } from "#core/formats/parse-piece";
import { DATA_VERSION, DEFINITIONS, STORE_NAMES } from "#core/formats/stores/stores";
import { DATABASE_VERSION, RELEASED_BUNDLES, RELEASED_DATABASES } from "#core/formats/released";
import { keepingOf } from "#core/formats/keeping-of";
import { planOnBody } from "#core/logbook/plan-on-body";
import { assertFits } from "./check-record";
import { pebble } from "../../tests/reference/bench";
import { exportAll } from "./bundles";
import { isReadOnly, openStore } from "./database";
import { addPiece, allPieces } from "./pieces";
import { progressOf } from "./progress";

let count = 0;
const fresh = () => `versions-${(count += 1)}`;

/** What came later, and is not said until the user says it. */
const NEVER_SAID = { toldLearntAnew: false, spaceNotes: false, perHour: null, toolsEach: null, margin: null, tellAt: "" };

describe("the notebook's own versions", () => {
  test("follow one another without a gap, and say what they do", () => {
    const steps = DEFINITIONS.flatMap((one) => one.migrations);
    const reached = new Set([...DEFINITIONS.map((one) => one.since), ...steps.map((one) => one.to)]);
    expect([...reached].sort((x, y) => x - y)).toEqual(Array.from({ length: DATA_VERSION }, (_unused, index) => index + 1));
    for (const one of steps) expect(one.does.length).toBeGreaterThan(10);
    // A store or a migration that is new wants a line in both lists: without it no notebook that exists would be brought up to it.
    expect([RELEASED_DATABASES.at(-1)!.data, RELEASED_BUNDLES.at(-1)!.data]).toEqual([DATA_VERSION, DATA_VERSION]);
    expect(RELEASED_DATABASES.map((one) => one.database)).toEqual(RELEASED_DATABASES.map((_one, index) => index + 1));
    expect(RELEASED_BUNDLES.map((one) => one.bundle)).toEqual(RELEASED_BUNDLES.map((_one, index) => index + 1));
  });

  /** A database as an older Nook Coat left it. */
  async function older(fixture: string) {
    const name = fresh();
    const old = JSON.parse(readFileSync(`tests/fixtures/${fixture}`, "utf8")) as { version: number; stores: Record<string, { id: string }[]> };
    const before = await openDB(name, old.version, {
      upgrade: (database) => {
        for (const store of Object.keys(old.stores)) database.createObjectStore(store, { keyPath: "id" });
      },
    });
    for (const [store, records] of Object.entries(old.stores)) for (const record of records) await before.put(store, record);
    before.close();
    return openStore({}, name);
  }

  test("the first database is brought up to date with everything in it", async () => {
    const now = await older("database-1.json");
    expect(now.version).toBe(DATABASE_VERSION);
    const records = await allPieces(now);
    expect(records.map((one) => [one.id, one.rev, one.planId])).toEqual([
      ["herbpot0001", 1, null],
      ["tidewedge01", 1, null],
    ]);
    for (const { piece } of records) expect(parsePiece(piece, CATALOGUE).ok).toBe(true);
  });

  test("database-9.json: drops are those of the standard dropper until they are counted; what was chosen stays chosen, jars stay as they are", async () => {
    const now = await older("database-9.json");
    const { rev: _rev, ...settings } = (await now.get("settings", "settings"))!;
    const chosen = { units: "in", theme: "dim", sounds: true, singleKeys: false, signature: "M." };
    expect(settings).toEqual({ id: "settings", ...chosen, dropsPerMl: 20, ownTimes: true, notify: false, awake: false, ...NEVER_SAID });
    const [jar] = await now.getAll("shelf");
    expect(jar).toMatchObject({ name: "Harbour navy", label: { opacity: "opaque" }, left: { ml: 40 } });
    expect(jar).not.toHaveProperty("mix");
  });

  test.each(["database-2.json", "database-3.json"])("%s: plans name their steps anew, and nothing is lost", async (fixture) => {
    const now = await older(fixture);
    const [plan] = await now.getAll("plans");
    const [record] = await allPieces(now);
    expect(record?.planId).toBe(plan?.id);
    expect(plan?.edits).toMatchObject([{ op: "set", stepId: "top.base.craft-acrylic", value: 4 }]);
    expect(plan?.pinned).toEqual(["top.seal.acrylic-varnish"]);
    for (const store of STORE_NAMES) for (const one of await now.getAll(store)) expect(() => assertFits(store, one)).not.toThrow();
  });

  test("database-5.json: keys without Ctrl go on as they did", async () => {
    const now = await older("database-5.json");
    expect(await now.get("settings", "settings")).toMatchObject({ rev: 7, theme: "dim", signature: "Tern Point", singleKeys: true });
  });

  test("what was done under the first engine is on the body still", async () => {
    const now = await older("database-3.json");
    const [record] = await allPieces(now);
    const [plan] = await now.getAll("plans");
    const progress = await progressOf(now, record!.id);
    expect(progress).toHaveLength(3);
    const view = planOnBody(record!.piece, keepingOf(plan!), progress, CATALOGUE);
    expect(view.basis).toBeNull();
    expect(view.done.size).toBe(3);
  });

  /** The notebook of each released version, as that version kept it. */
  // A version that brought no new records is read from the file of the one before it.
  const fileOf = (bundle: number, of: number) => `bundle-${Math.min(...RELEASED_BUNDLES.flatMap((one) => (one.data === of ? [one.bundle] : [])), bundle)}.json`;
  const FIXTURE_OF = new Map(RELEASED_BUNDLES.map(({ bundle, data }) => [data, fileOf(bundle, data)]));
  const storesOf = (data: number): Readonly<Record<string, readonly { readonly id: string }[]>> => {
    const file = FIXTURE_OF.get(data) ?? `database-${data}.json`;
    const read = JSON.parse(readFileSync(`tests/fixtures/${file}`, "utf8")) as { stores?: Record<string, { id: string }[]> } & Record<string, never>;
    const stores = read.stores ?? read;
    return Object.fromEntries(DEFINITIONS.filter((one) => one.since <= data).map(({ name }) => [name, stores[name] ?? []]));
  };

  /** The version after the newest: a store, a setting and a migration that nobody has heard of. */
  const KITES = { ...DEFINITIONS.find(({ name }) => name === "rooms")!, name: "kites", since: DATA_VERSION + 1, migrations: [] };
  const STRINGS = { to: DATA_VERSION + 1, does: "kites may be flown; until then they are not", up: (record: object) => ({ ...record, kites: false }) };
  const NEXT = {
    definitions: [...DEFINITIONS.map((one) => (["settings", "pieces"].includes(one.name) ? { ...one, migrations: [...one.migrations, STRINGS] } : one)), KITES],
    released: [...RELEASED_DATABASES, { database: DATABASE_VERSION + 1, data: DATA_VERSION + 1 }],
  };

  test.each(RELEASED_DATABASES)(
    "version $database of the database opens now, and will with what comes next: all of it is there",
    async ({ database, data }) => {
      const stores = storesOf(data);
      for (const layout of [undefined, NEXT]) {
        const name = fresh();
        const upgrade = (old: IDBPDatabase<unknown>) => {
          for (const store of Object.keys(stores)) old.createObjectStore(store, { keyPath: "id" });
        };
        const isNow = database === DATABASE_VERSION;
        const before = isNow ? ((await openStore({}, name)) as unknown as IDBPDatabase<unknown>) : await openDB(name, database, { upgrade });
        for (const [store, records] of Object.entries(stores)) for (const record of records) await before.put(store, record);
        before.close();
        const now = await openStore({}, name, layout as never);
        for (const store of STORE_NAMES) {
          const kept = (await now.getAll(store)) as readonly { readonly id: string; readonly kites?: boolean }[];
          expect([store, kept.map((one) => one.id).sort()]).toEqual([store, (stores[store] ?? []).map((one) => one.id).sort()]);
          for (const { kites, ...record } of kept) {
            expect(() => assertFits(store, record)).not.toThrow();
            expect(kites).toBe(layout && ["settings", "pieces"].includes(store) ? false : undefined);
          }
        }
        if (layout) {
          await now.put("kites" as never, { id: "kite00000001" } as never);
          expect(await now.count("kites" as never)).toBe(1);
        }
        await addPiece(now, pebble({ name: "Since" }));
        expect((await exportAll(now)).pieces.map((one) => one.piece.name)).toContain("Since");
      }
    },
  );

  test.each(RELEASED_BUNDLES)("a file of version $bundle is read whole", ({ bundle, data }) => {
    const read = readBundle(readFileSync(`tests/fixtures/${fileOf(bundle, data)}`, "utf8"), CATALOGUE);
    expect(read.ok && [read.value.aside.map(({ problem }) => problem), read.value.altered, read.value.bundle.pieces.length > 0]).toEqual([[], false, true]);
  });

  test("an old tab lets go at once when a newer one upgrades, and is told", async () => {
    const name = fresh();
    const told = jest.fn();
    await openStore({ onNewer: told }, name);
    const newer = await openDB(name, DATABASE_VERSION + 1);
    expect(newer.version).toBe(DATABASE_VERSION + 1);
    expect(told).toHaveBeenCalledTimes(1);
  });

  test("a notebook of a newer Nook Coat is read and given out, and not touched", async () => {
    const name = fresh();
    const own = await openStore({}, name);
    await addPiece(own, pebble({ name: "From before" }));
    own.close();
    (await openDB(name, DATABASE_VERSION + 1)).close();
    const db = await openStore({}, name);
    expect(isReadOnly(db)).toBe(true);
    expect((await exportAll(db)).pieces.map((one) => one.piece.name)).toEqual(["From before"]);
    await expect(addPiece(db, pebble())).rejects.toThrow("newer Nook Coat");
    expect(await db.count("pieces")).toBe(1);
  });

  test("one that keeps things in quite another way is not opened at all", async () => {
    const name = fresh();
    (await openDB(name, DATABASE_VERSION + 1)).close();
    await expect(openStore({}, name)).rejects.toThrow("much newer");
  });
});
