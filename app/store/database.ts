import { openDB } from "idb";
import type { IDBPDatabase } from "idb";
import { MIGRATIONS, NOTEBOOK_VERSION } from "./migrations";
import type { NotebookSchema } from "./schema";

export type Notebook = IDBPDatabase<NotebookSchema>;

export const NOTEBOOK_NAME = "nook-coat";

/**
 * Opens the notebook and brings it up to date.
 *
 * @param onNewer called when another tab needs a newer version; by then this tab has let go, so it blocks nobody
 * @throws the browser's VersionError when a newer Nook Coat has already been here
 */
export async function openNotebook(onNewer: () => void = () => {}, name = NOTEBOOK_NAME): Promise<Notebook> {
  const db = await openDB<NotebookSchema>(name, NOTEBOOK_VERSION, {
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
