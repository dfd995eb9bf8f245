import { openDB } from "idb";
import type { IDBPDatabase, IDBPTransaction } from "idb";
import type { RawParts, StepTranslator } from "#core/formats/step-translation";
import { migrated } from "#core/formats/migrate";
import { RELEASED_DATABASES } from "#core/formats/released";
import type { ReleasedDatabase } from "#core/formats/released";
import { DEFINITIONS } from "#core/formats/stores/stores";
import { ACT_INDEXES, ACTS_STORE } from "./acts";
import { OVERVIEWS_STORE } from "./overviews";
import { PICTURES_STORE } from "./pictures";
import { DEVICES_STORE, DIFFERENCES_STORE, STAMPS_STORE } from "./beside";
import { VERSION_INDEXES, VERSIONS_STORE } from "./versions";
import type { DatabaseSchema } from "./schema";

export type Database = IDBPDatabase<DatabaseSchema>;

export const DATABASE_NAME = "nook-coat";

type Upgrade = IDBPTransaction<unknown, string[], "versionchange">;

/** Stores that hold no records: they are not checked by a definition, and undone only with what they stand beside. */
const LOCAL_STORES = [
  { name: ACTS_STORE, indexes: ACT_INDEXES },
  { name: OVERVIEWS_STORE, indexes: {} },
  { name: PICTURES_STORE, indexes: {} },
  { name: STAMPS_STORE, indexes: {} },
  { name: DEVICES_STORE, indexes: {} },
  { name: DIFFERENCES_STORE, indexes: {} },
  { name: VERSIONS_STORE, indexes: VERSION_INDEXES },
] as const;

/** What a database is made of: its stores, and the versions it has had, oldest first. */
export interface Layout {
  readonly definitions: typeof DEFINITIONS;
  readonly released: readonly ReleasedDatabase[];
}

const LAYOUT: Layout = { definitions: DEFINITIONS, released: RELEASED_DATABASES };

/** From this data version on, steps are named by what they are. */
const STEPS_NAMED_SINCE = 4;

/** The data version of the records in a version of the database. */
function dataOf({ released }: Layout, version: number): number {
  return (released.find((one) => one.database === version) ?? released.at(-1)!).data;
}

/** Makes the stores and indexes that are not there yet. */
function layOut(db: IDBPDatabase<unknown>, transaction: Upgrade, { definitions }: Layout): void {
  for (const { name, indexes } of [...definitions, ...LOCAL_STORES]) {
    const store = db.objectStoreNames.contains(name) ? transaction.objectStore(name) : db.createObjectStore(name, { keyPath: "id" });
    for (const [index, field] of Object.entries(indexes)) if (!store.indexNames.contains(index)) store.createIndex(index, field);
    for (const index of [...store.indexNames]) if (!(index in indexes)) store.deleteIndex(index);
  }
}

/** Brings every record up to date inside the upgrade: all of it or nothing. */
async function bringUpToDate(transaction: Upgrade, from: number, stepsOf: StepTranslator, { definitions }: Layout): Promise<void> {
  const names = definitions.map((one) => one.name);
  const parts: Record<string, Record<string, unknown>[]> = {};
  for (const name of names) parts[name] = (await transaction.objectStore(name).getAll()) as Record<string, unknown>[];
  const now: RawParts = migrated(parts, from, stepsOf, definitions);
  for (const name of names)
    for (const [index, record] of (now[name] ?? []).entries()) if (record !== parts[name]![index]) await transaction.objectStore(name).put(record);
}

/** The version a database has by now; 0 where there is none, null where the browser does not tell. */
async function versionOf(name: string): Promise<number | null> {
  if (typeof indexedDB.databases !== "function") return null;
  return (await indexedDB.databases()).find((one) => one.name === name)?.version ?? 0;
}

/** Steps of plans of the first engine; loaded only where an older database may have some. */
async function translator(version: number | null, layout: Layout): Promise<StepTranslator> {
  if (version === 0 || (version !== null && dataOf(layout, version) >= STEPS_NAMED_SINCE)) return () => new Map();
  const [{ legacySteps }, { CATALOGUE }] = await Promise.all([import("#core/formats/legacy-steps"), import("#core/catalogue/catalogue")]);
  return legacySteps(CATALOGUE);
}

/** Notebooks a newer Nook Coat keeps: they are read, not written. */
const readOnly = new WeakSet<Database>();

/** Whether a newer Nook Coat keeps this notebook. */
export function isReadOnly(db: Database): boolean {
  return readOnly.has(db);
}

/** Says the same of a database that stands for another. */
export function readOnlyAs(of: Database, like: Database): void {
  if (readOnly.has(like)) readOnly.add(of);
}

/** What an open database has to say. */
export interface StoreEvents {
  /** Another tab needs a newer version; by then this tab has let go, so it blocks nobody. */
  readonly onNewer?: () => void;
  /** The whole notebook is being deleted under this tab, which has let go of it. */
  readonly onDeleted?: () => void;
  /** Another tab keeps an older version open, so this one waits; again when it waits no longer. */
  readonly onBlocked?: (blocked: boolean) => void;
  /** The browser has closed it: the next question opens it again. */
  readonly onClosed?: () => void;
}

/** Lets go of a database that another tab waits for: to bring it up to a newer version, or to delete it. */
function letGo(wanted: number | null, event: Event, events: StoreEvents): void {
  (event.target as IDBDatabase).close();
  if (wanted === null) events.onDeleted?.();
  else events.onNewer?.();
}

/** A notebook of a newer Nook Coat, as far as this one can read it. */
async function openNewer(name: string, events: StoreEvents, { definitions }: Layout): Promise<Database> {
  const database: Database = await openDB<DatabaseSchema>(name, undefined, {
    blocking: (_current, wanted, event) => letGo(wanted, event, events),
    terminated: () => events.onClosed?.(),
  });
  const missing = definitions.filter((one) => !database.objectStoreNames.contains(one.name as never));
  if (missing.length > 0) {
    database.close();
    throw new Error("this notebook was last used with a much newer Nook Coat, which keeps it in another way");
  }
  readOnly.add(database);
  return database;
}

/**
 * Opens the database and brings it up to date. One that a newer Nook Coat has already been in is opened to be read only.
 *
 * @param layout the stores it is to have, and the versions it may be of
 * @throws whatever the browser throws when it does not let a page keep anything
 */
export async function openStore(events: StoreEvents = {}, name = DATABASE_NAME, layout: Layout = LAYOUT): Promise<Database> {
  if (typeof indexedDB === "undefined" || indexedDB === null)
    throw new Error("it gives pages no place to keep things in (IndexedDB is missing or switched off)");
  const stepsOf = await translator(await versionOf(name), layout);
  try {
    return await openDB<DatabaseSchema>(name, layout.released.at(-1)!.database, {
      async upgrade(database, oldVersion, _newVersion, transaction) {
        events.onBlocked?.(false);
        layOut(database as never, transaction as never, layout);
        if (oldVersion > 0) await bringUpToDate(transaction as never, dataOf(layout, oldVersion), stepsOf, layout);
      },
      blocked: () => events.onBlocked?.(true),
      blocking: (_current, wanted, event) => letGo(wanted, event, events),
      terminated: () => events.onClosed?.(),
    });
  } catch (error) {
    if ((error as { readonly name?: string }).name === "VersionError") return openNewer(name, events, layout);
    throw error;
  }
}
