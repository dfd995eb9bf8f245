import { writeBundle } from "#core/formats/write-bundle";
import type { PieceRecord } from "#core/formats/stores/pieces";
import type { PlanRecord } from "#core/formats/stores/plans";
import type { JarRecord } from "#core/formats/stores/shelf";
import type { ProgressRecord } from "#core/logbook/progress";
import { onCommand } from "./command";
import type { Database } from "./database";

interface Remembered {
  readonly record: PieceRecord;
  readonly plan: PlanRecord | null;
  readonly progress: readonly ProgressRecord[];
}

/** The shelf as this page has read it last. */
let shelf: readonly JarRecord[] = [];

/** Remembers the shelf as it was read, for the same case. */
export function rememberShelf(jars: readonly JarRecord[]): void {
  if (jars.length > 0) shelf = jars;
}

/** Pieces this page has read lately; more than these it does not hold. */
const MOST = 300;
const pieces = new Map<string, Remembered>();

/** Remembers a piece as it was read, for the case that the browser clears the notebook under the page. */
export function remember(piece: Remembered): void {
  const { id } = piece.record;
  pieces.delete(id);
  pieces.set(id, piece);
  if (pieces.size > MOST) pieces.delete(pieces.keys().next().value!);
}

/** The piece was removed: it is not put back. */
export function forget(id: string): void {
  pieces.delete(id);
}

onCommand(({ entries }) => {
  for (const { store, id, after } of entries) {
    if (store === "pieces" && after === null) forget(id);
    if (store === "shelf" && after === null) shelf = shelf.filter((jar) => jar.id !== id);
  }
});

/**
 * Puts back what this page has read, into a notebook the browser has cleared.
 *
 * @returns how many pieces; null where the notebook was not cleared
 */
export async function putBack(db: Database): Promise<number | null> {
  const all = [...pieces.values()];
  if ((all.length === 0 && shelf.length === 0) || (await db.count("pieces")) > 0 || (await db.count("acts")) > 0) return null;
  const { importBundle } = await import("./bundles");
  const parts = { pieces: all.map((one) => one.record), plans: all.flatMap((one) => one.plan ?? []), progress: all.flatMap((one) => one.progress), shelf };
  await importBundle(db, writeBundle(parts), { label: "putting back what the browser had cleared" });
  return all.length;
}
