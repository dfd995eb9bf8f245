import { openDB } from "idb";
import type { IDBPDatabase } from "idb";
import { MIGRATIONS, DATABASE_VERSION } from "./migrations";
import type { DatabaseSchema } from "./schema";

export type Database = IDBPDatabase<DatabaseSchema>;

export const DATABASE_NAME = "nook-coat";

/**
 * Opens the database and brings it up to date.
 *
 * @param onNewer called when another tab needs a newer version; by then this tab has let go, so it blocks nobody
 * @throws the browser's VersionError when a newer Nook Coat has already been here
 */
export async function openStore(onNewer: () => void = () => {}, name = DATABASE_NAME): Promise<Database> {
  const db = await openDB<DatabaseSchema>(name, DATABASE_VERSION, {
    async upgrade(database, oldVersion, _newVersion, transaction) {
      for (const migration of MIGRATIONS) if (migration.to > oldVersion) await migration.up(database, transaction as never);
    },
    blocking(_current, _blocked, event) {
      (event.target as IDBDatabase).close();
      onNewer();
    },
  });
  return db;
}
