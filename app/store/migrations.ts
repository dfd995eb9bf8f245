import type { IDBPDatabase, IDBPTransaction } from "idb";
import type { DatabaseSchema, StoreName } from "./schema";

type Upgrade = IDBPTransaction<DatabaseSchema, StoreName[], "versionchange">;

export interface Migration {
  /** The version it leads to; versions follow one another without gaps and are never edited once released. */
  readonly to: number;
  readonly does: string;
  readonly up: (db: IDBPDatabase<DatabaseSchema>, transaction: Upgrade) => Promise<void> | void;
}

/** Every shape the database has had, oldest first. */
export const MIGRATIONS: readonly Migration[] = [
  {
    to: 1,
    does: "a store of pieces, each under its id",
    up: (db) => {
      db.createObjectStore("pieces", { keyPath: "id" });
    },
  },
  {
    to: 2,
    does: "plans beside pieces; every piece counts its changes and names the plan it follows",
    up: async (db, transaction) => {
      db.createObjectStore("plans", { keyPath: "id" }).createIndex("byPiece", "pieceId");
      const pieces = transaction.objectStore("pieces");
      for (let cursor = await pieces.openCursor(); cursor; cursor = await cursor.continue()) {
        const { rev = 1, planId = null, ...record } = cursor.value as Partial<typeof cursor.value> & Pick<typeof cursor.value, "id" | "piece">;
        await cursor.update({ ...record, rev, planId });
      }
    },
  },
  {
    to: 3,
    does: "what was done at the bench, rooms, free hours and settings",
    up: (db) => {
      db.createObjectStore("progress", { keyPath: "id" }).createIndex("byPlan", "planId");
      for (const store of ["rooms", "hours", "settings"] as const) db.createObjectStore(store, { keyPath: "id" });
    },
  },
];

export const DATABASE_VERSION = MIGRATIONS[MIGRATIONS.length - 1]!.to;
