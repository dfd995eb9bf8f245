import type { IDBPTransaction } from "idb";
import { changePiece } from "#core/coating/model/apply-changes";
import { changesBetween, clashes } from "#core/coating/model/piece-changes";
import type { PieceRecord } from "#core/formats/records";
import type { Database } from "./database";
import type { DatabaseSchema, StoreName } from "./schema";

type Kept = DatabaseSchema[StoreName]["value"];

/** One record before and after; null where there was none, or is none. */
export interface Entry {
  readonly store: StoreName;
  readonly id: string;
  readonly before: Kept | null;
  readonly after: Kept | null;
}

/** One thing the user did, as what it changed: turned round, it is its own undoing. */
export interface Command {
  readonly label: string;
  readonly entries: readonly Entry[];
}

type Writing = IDBPTransaction<DatabaseSchema, StoreName[], "readwrite">;

/** Reads and writes inside one transaction, and remembers every record as it was. */
export class Recorder {
  private readonly touched = new Map<string, Entry>();

  constructor(private readonly transaction: Writing) {}

  async get<S extends StoreName>(store: S, id: string): Promise<DatabaseSchema[S]["value"] | undefined> {
    return this.transaction.objectStore(store).get(id);
  }

  async all<S extends StoreName>(store: S): Promise<DatabaseSchema[S]["value"][]> {
    return this.transaction.objectStore(store).getAll();
  }

  plansOf(pieceId: string) {
    return this.transaction.objectStore("plans").index("byPiece").getAll(pieceId);
  }

  progressOf(planId: string) {
    return this.transaction.objectStore("progress").index("byPlan").getAll(planId);
  }

  async put<S extends StoreName>(store: S, record: DatabaseSchema[S]["value"]): Promise<void> {
    await this.note(store, record.id, record);
    await this.transaction.objectStore(store).put(record);
  }

  async remove(store: StoreName, id: string): Promise<void> {
    await this.note(store, id, null);
    await this.transaction.objectStore(store).delete(id);
  }

  /** A piece goes with its plans and what was done on them. */
  async removePiece(id: string): Promise<void> {
    for (const plan of await this.plansOf(id)) {
      for (const done of await this.progressOf(plan.id)) await this.remove("progress", done.id);
      await this.remove("plans", plan.id);
    }
    await this.remove("pieces", id);
  }

  get entries(): readonly Entry[] {
    return [...this.touched.values()];
  }

  private async note(store: StoreName, id: string, after: Kept | null): Promise<void> {
    const key = `${store}/${id}`;
    const before = this.touched.has(key) ? this.touched.get(key)!.before : ((await this.transaction.objectStore(store).get(id)) ?? null);
    this.touched.set(key, { store, id, before, after });
  }
}

type Listener = (runCommand: Command) => void;
const listeners = new Set<Listener>();

/** Hears of everything that is done, so that it can be undone. */
export function onCommand(listener: Listener): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

async function written<T>(
  db: Database,
  stores: readonly StoreName[],
  work: (recorder: Recorder) => Promise<T>,
): Promise<{ result: T; entries: readonly Entry[] }> {
  const transaction = db.transaction([...stores], "readwrite");
  const recorder = new Recorder(transaction);
  try {
    const result = await work(recorder);
    await transaction.done;
    return { result, entries: recorder.entries };
  } catch (error) {
    try {
      transaction.abort();
    } catch {
      // It had ended by itself.
    }
    await transaction.done.catch(() => undefined);
    throw error;
  }
}

/**
 * Does one thing in one transaction, all of it or nothing, and tells whoever listens what it changed.
 *
 * @param label what the user did, in a few words, for "undo …"
 */
export async function runCommand<T>(db: Database, label: string, stores: readonly StoreName[], work: (recorder: Recorder) => Promise<T>): Promise<T> {
  const { result, entries } = await written(db, stores, work);
  if (entries.length > 0) for (const listener of listeners) listener({ label, entries });
  return result;
}

function sameButRev(a: Kept | null | undefined, b: Kept | null): boolean {
  const bare = (record: Kept | null | undefined) => (record ? JSON.stringify({ ...record, rev: 0 }) : "");
  return bare(a) === bare(b);
}

/** A piece changed elsewhere meanwhile keeps what was changed there, unless it is the very same field. */
function mergedPiece(current: PieceRecord, from: PieceRecord, to: PieceRecord): PieceRecord | null {
  const mine = changesBetween(from.piece, to.piece);
  if (clashes(mine, changesBetween(from.piece, current.piece)).length > 0) return null;
  const moved = from.planId === to.planId ? current.planId : to.planId;
  return { ...current, piece: changePiece(current.piece, mine), planId: moved, ...(to.dates ? { dates: to.dates } : {}) };
}

class Clash extends Error {}

/**
 * Takes a command back: every record becomes what it was before. A record that was changed since is merged where that loses
 * nothing; otherwise nothing at all is written.
 *
 * @returns the command that does it again, or null when something else was changed in between
 */
export async function takeBack(db: Database, { label, entries }: Command): Promise<Command | null> {
  const stores = [...new Set(entries.map((entry) => entry.store))];
  try {
    const done = await written(db, stores, async (recorder) => {
      for (const { store, id, before, after } of [...entries].reverse()) {
        const current = await recorder.get(store, id);
        const rev = Math.max(current?.rev ?? 0, before?.rev ?? 0) + 1;
        if (sameButRev(current, after)) {
          if (before) await recorder.put(store, { ...before, rev } as never);
          else await recorder.remove(store, id);
          continue;
        }
        const merged =
          store === "pieces" && current && before && after ? mergedPiece(current as PieceRecord, after as PieceRecord, before as PieceRecord) : null;
        if (!merged) throw new Clash();
        await recorder.put("pieces", { ...merged, rev });
      }
    });
    return { label, entries: done.entries };
  } catch (error) {
    if (error instanceof Clash) return null;
    throw error;
  }
}
