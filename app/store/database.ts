import { openDB } from "idb";
import type { IDBPDatabase, IDBPTransaction } from "idb";
import type { RawParts, StepTranslator } from "#core/formats/step-translation";
import { migrated } from "#core/formats/migrate";
import { DATA_VERSION, DEFINITIONS } from "#core/formats/stores/stores";
import type { DatabaseSchema } from "./schema";

export type Database = IDBPDatabase<DatabaseSchema>;

export const DATABASE_NAME = "nook-coat";

type Upgrade = IDBPTransaction<unknown, string[], "versionchange">;

/** Makes the stores and indexes that are not there yet. */
function layOut(db: IDBPDatabase<unknown>, transaction: Upgrade): void {
  for (const { name, indexes } of DEFINITIONS) {
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
  if (version === 0 || (version !== null && version >= DATA_VERSION)) return () => new Map();
  const [{ legacySteps }, { CATALOGUE }] = await Promise.all([import("#core/formats/legacy-steps"), import("#core/catalogue/catalogue")]);
  return legacySteps(CATALOGUE);
}

/**
 * Opens the database and brings it up to date.
 *
 * @param onNewer called when another tab needs a newer version; by then this tab has let go, so it blocks nobody
 * @throws the browser's VersionError when a newer Nook Coat has already been here
 */
export async function openStore(onNewer: () => void = () => {}, name = DATABASE_NAME): Promise<Database> {
  const stepsOf = await translator(await versionOf(name));
  return openDB<DatabaseSchema>(name, DATA_VERSION, {
    async upgrade(database, oldVersion, _newVersion, transaction) {
      layOut(database as never, transaction as never);
      if (oldVersion > 0) await bringUpToDate(transaction as never, oldVersion, stepsOf);
    },
    blocking(_current, _blocked, event) {
      (event.target as IDBDatabase).close();
      onNewer();
    },
  });
}
