import { withMixesMadeUp } from "#core/shelf/mixes";
import { servedBefore } from "#core/shelf/promises";
import type { Urgency, Wanting } from "#core/shelf/promises";
import { keptPiece } from "~/piece/kept-piece";
import type { KeptPiece } from "~/piece/kept-piece";
import { keyOf, workedOut } from "~/piece/worked-out.client";
import type { Database } from "~/store/database";
import { shelfIn, stockIn } from "~/store/shelf";
import { names } from "~/store/names.client";
import { isNotWanted } from "~/workers/planner.client";

export type WantingPiece = Wanting & Urgency;

/** What the pieces of the notebook want of the shelf. */
export interface WantingPieces {
  /** In the order they are served. */
  readonly pieces: readonly WantingPiece[];
  /** Pieces that were not looked at: there are more of them than are worked out in one go. */
  readonly more: number;
}

/** Pieces that are worked out in one go. */
const MOST_PIECES = 200;

async function needsOf(db: Database, kept: KeptPiece): Promise<WantingPiece["needs"]> {
  const remembered = await db.get("overviews", kept.record.id);
  if (remembered?.key === keyOf(kept) && remembered.needs) return remembered.needs;
  try {
    return (await workedOut(db, kept, Date.now())).needs;
  } catch (error) {
    // The list of pieces was left, and let go of what was asked for it; here it is wanted still.
    if (isNotWanted(error)) return needsOf(db, kept);
    throw error;
  }
}

async function wantingOf(db: Database, id: string): Promise<WantingPiece> {
  const kept = await keptPiece(id);
  const { piece, dates } = kept.record;
  return { id, name: piece.name, begun: kept.progress.length > 0, due: dates?.due ?? null, needs: await needsOf(db, kept) };
}

/** What every piece still wants; one that cannot be read wants nothing. */
export async function wantingPieces(db: Database): Promise<WantingPieces> {
  // What is put away wants nothing.
  const all = (await names()).filter((one) => !one.away);
  const looked = all.slice(0, MOST_PIECES);
  const [jars, found] = await Promise.all([shelfIn(db), Promise.allSettled(looked.map(({ id }) => wantingOf(db, id)))]);
  const wanting = found.flatMap((one) => (one.status === "fulfilled" && one.value.needs.length > 0 ? [one.value] : [])).sort(servedBefore);
  // What is mixed is bought and promised by the jars it is mixed from.
  const pieces = jars.some((jar) => jar.mix) ? withMixesMadeUp(wanting, jars, await stockIn(db, jars)) : wanting;
  return { pieces, more: all.length - looked.length };
}
