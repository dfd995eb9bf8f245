import { openDB } from "idb";
import type { IDBPDatabase, IDBPTransaction } from "idb";
import type { RawParts, StepTranslator } from "#core/formats/step-translation";
import { migrated } from "#core/formats/migrate";
import { DATA_VERSION, DEFINITIONS } from "#core/formats/stores/stores";
import { ACT_INDEXES, ACTS_STORE } from "./acts";
import { OVERVIEWS_STORE } from "./overviews";
import { PICTURES_STORE } from "./pictures";
import { VERSION_INDEXES, VERSIONS_STORE } from "./versions";
import type { DatabaseSchema } from "./schema";

export type Database = IDBPDatabase<DatabaseSchema>;

export const DATABASE_NAME = "nook-coat";

type Upgrade = IDBPTransaction<unknown, string[], "versionchange">;

/** Stores of this browser alone: they are in no file. */
const LOCAL_STORES = [
  { name: ACTS_STORE, indexes: ACT_INDEXES },
  { name: OVERVIEWS_STORE, indexes: {} },
  { name: PICTURES_STORE, indexes: {} },
  { name: VERSIONS_STORE, indexes: VERSION_INDEXES },
] as const;

/** The data version of the records in each version of the database; the newest stands last. */
const DATA_VERSION_AT = [1, 2, 3, 4, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, DATA_VERSION] as const;
/** From this data version on, steps are named by what they are. */
const STEPS_NAMED_SINCE = 4;
export const DATABASE_VERSION = DATA_VERSION_AT.length;

/** Makes the stores and indexes that are not there yet. */
function layOut(db: IDBPDatabase<unknown>, transaction: Upgrade): void {
  for (const { name, indexes } of [...DEFINITIONS, ...LOCAL_STORES]) {
    const store = db.objectStoreNames.contains(name) ? transaction.objectStore(name) : db.createObjectStore(name, { keyPath: "id" });
    for (const [index, field] of Object.entries(indexes)) if (!store.indexNames.contains(index)) store.createIndex(index, field);
    for (const index of [...store.indexNames]) if (!(index in indexes)) store.deleteIndex(index);
  }
}

/** Brings every record up to date inside the upgrade: all of it or nothing. */
async function bringUpToDate(transaction: Upgrade, from: number, stepsOf: StepTranslator): Promise<void> {
  const names = DEFINITIONS.map((one) => one.name);
  const parts: Record<string, Record<string, unknown>[]> = {};
  for (const name of names) parts[name] = (await transaction.objectStore(name).getAll()) as Record<string, unknown>[];
  const now: RawParts = migrated(parts, from, stepsOf);
  for (const name of names)
    for (const [index, record] of (now[name] ?? []).entries()) if (record !== parts[name]![index]) await transaction.objectStore(name).put(record);
}

/** The version a database has by now; 0 where there is none, null where the browser does not tell. */
async function versionOf(name: string): Promise<number | null> {
  if (typeof indexedDB.databases !== "function") return null;
  return (await indexedDB.databases()).find((one) => one.name === name)?.version ?? 0;
}

/** Steps of plans of the first engine; loaded only where an older database may have some. */
async function translator(version: number | null): Promise<StepTranslator> {
  if (version === 0 || (version !== null && (DATA_VERSION_AT[version - 1] ?? DATA_VERSION) >= STEPS_NAMED_SINCE)) return () => new Map();
  const [{ legacySteps }, { CATALOGUE }] = await Promise.all([import("#core/formats/legacy-steps"), import("#core/catalogue/catalogue")]);
  return legacySteps(CATALOGUE);
}

/** Notebooks a newer Nook Coat keeps: they are read, not written. */
const readOnly = new WeakSet<Database>();

/** Whether a newer Nook Coat keeps this notebook. */
export function isReadOnly(db: Database): boolean {
  return readOnly.has(db);
}

/** What an open database has to say. */
export interface StoreEvents {
  /** Another tab needs a newer version; by then this tab has let go, so it blocks nobody. */
  readonly onNewer?: () => void;
  /** Another tab keeps an older version open, so this one waits; again when it waits no longer. */
  readonly onBlocked?: (blocked: boolean) => void;
  /** The browser has closed it: the next question opens it again. */
  readonly onClosed?: () => void;
}

/** A notebook of a newer Nook Coat, as far as this one can read it. */
async function openNewer(name: string, { onNewer, onClosed }: StoreEvents): Promise<Database> {
  const database: Database = await openDB<DatabaseSchema>(name, undefined, {
    blocking: (_current, _blocked, event) => {
      (event.target as IDBDatabase).close();
      onNewer?.();
    },
    terminated: () => onClosed?.(),
  });
  const missing = DEFINITIONS.filter((one) => !database.objectStoreNames.contains(one.name as never));
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
 * @throws whatever the browser throws when it does not let a page keep anything
 */
export async function openStore(events: StoreEvents = {}, name = DATABASE_NAME): Promise<Database> {
  const stepsOf = await translator(await versionOf(name));
  try {
    return await openDB<DatabaseSchema>(name, DATABASE_VERSION, {
      async upgrade(database, oldVersion, _newVersion, transaction) {
        events.onBlocked?.(false);
        layOut(database as never, transaction as never);
        if (oldVersion > 0) await bringUpToDate(transaction as never, DATA_VERSION_AT[oldVersion - 1] ?? DATA_VERSION, stepsOf);
      },
      blocked: () => events.onBlocked?.(true),
      blocking(_current, _blocked, event) {
        (event.target as IDBDatabase).close();
        events.onNewer?.();
      },
      terminated: () => events.onClosed?.(),
    });
  } catch (error) {
    if ((error as { readonly name?: string }).name === "VersionError") return openNewer(name, events);
    throw error;
  }
}
