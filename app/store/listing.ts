import type { Overview } from "#core/logbook/overview";
import { ENGINE_VERSION } from "#core/coating/planner/engine-version";
import type { PieceRecord } from "#core/formats/stores/pieces";
import type { PlanRecord } from "#core/formats/stores/plans";
import type { ProgressRecord } from "#core/logbook/progress";
import type { Database } from "./database";
import { OVERVIEWS_STORE } from "./overviews";
import type { KeptOverview } from "./overviews";

/** A piece by name, without the rest of it. */
export interface NamedPiece {
  readonly id: string;
  readonly name: string;
  /** The set it is made with. */
  readonly set?: string;
  /** The day it is needed: "YYYY-MM-DD". */
  readonly due?: string;
  /** It is put away. */
  readonly away?: true;
}

/** What an index says of each record that is in it, without reading the records. */
async function indexed(db: Database, name: "bySet" | "byDue" | "byPutAway"): Promise<ReadonlyMap<string, string>> {
  const found = new Map<string, string>();
  const index = db.transaction("pieces").store.index(name);
  for (let cursor = await index.openKeyCursor(); cursor; cursor = await cursor.continue()) found.set(cursor.primaryKey, String(cursor.key));
  return found;
}

/** What is said of a record that has no name any more. */
const NAMELESS = "a damaged piece";

/**
 * Names of all pieces in their order, without reading the pieces: over the index of names. A record too damaged to have a name is told last.
 */
export async function namedPieces(db: Database): Promise<readonly NamedPiece[]> {
  const [names, sets, days, away] = await Promise.all([namesIn(db), indexed(db, "bySet"), indexed(db, "byDue"), indexed(db, "byPutAway")]);
  return names.map(({ id, name }): NamedPiece => {
    const [set, due] = [sets.get(id), days.get(id)];
    return { id, name, ...(set === undefined ? {} : { set }), ...(due === undefined ? {} : { due }), ...(away.has(id) ? { away: true } : {}) };
  });
}

async function namesIn(db: Database): Promise<readonly NamedPiece[]> {
  const transaction = db.transaction("pieces");
  const named: NamedPiece[] = [];
  const [ids] = await Promise.all([
    transaction.store.getAllKeys(),
    (async () => {
      for (let cursor = await transaction.store.index("byName").openKeyCursor(); cursor; cursor = await cursor.continue())
        named.push({ id: cursor.primaryKey, name: String(cursor.key) });
    })(),
  ]);
  const order = new Intl.Collator(undefined, { numeric: true });
  named.sort((a, b) => order.compare(a.name, b.name));
  if (named.length === ids.length) return named;
  const known = new Set(named.map((one) => one.id));
  return [...named, ...ids.filter((id) => !known.has(id)).map((id) => ({ id, name: NAMELESS }))];
}

/** Ids of the pieces somebody has worked at. */
export async function begunPieces(db: Database): Promise<readonly string[]> {
  const begun: string[] = [];
  const index = db.transaction("progress").store.index("byPiece");
  for (let cursor = await index.openKeyCursor(null, "nextunique"); cursor; cursor = await cursor.continue()) begun.push(String(cursor.key));
  return begun;
}

/**
 * What an overview is worked out from: as long as this is the same, so is the plan.
 *
 * @param shelf key of the shelf; "" for none
 */
export function overviewKey(record: PieceRecord, plan: PlanRecord | null, progress: readonly ProgressRecord[], shelf = ""): string {
  return [ENGINE_VERSION, shelf, record.rev, plan?.id ?? "", plan?.rev ?? 0, progress.reduce((sum, one) => sum + one.rev, 0), progress.at(-1)?.id ?? ""].join(
    "/",
  );
}

/** The overview that was worked out last, where it still holds at an instant, ms. */
export async function keptOverview(db: Database, id: string, key: string, now: number): Promise<Overview | null> {
  const kept = await db.get(OVERVIEWS_STORE, id);
  return kept?.key === key && (kept.overview.until === null || kept.overview.until > now) ? kept.overview : null;
}

/** Remembers an overview; a browser that has no room for it works it out again. */
export async function keepOverview(db: Database, kept: KeptOverview): Promise<void> {
  await db.put(OVERVIEWS_STORE, kept).catch(() => undefined);
}
