import type { Wanting } from "#core/shelf/promises";
import { keptPiece, planOf } from "~/piece/kept-piece";
import type { Database } from "~/store/database";
import { keepOverview, overviewKey } from "~/store/listing";
import type { KeptOverview } from "~/store/overviews";
import { names } from "~/store/names.client";
import { isNotWanted, overviewFor } from "~/workers/planner.client";

/** What the pieces of the notebook want of the shelf. */
export interface WantingPieces {
  /** In the order they are served: those needed first come first, then those begun, then by name. */
  readonly pieces: readonly WantingPiece[];
  /** Pieces that were not looked at: there are more of them than are worked out in one go. */
  readonly more: number;
}

export interface WantingPiece extends Wanting {
  readonly begun: boolean;
  /** "YYYY-MM-DD"; null where it is not said. */
  readonly due: string | null;
}

/** Pieces that are worked out in one go. */
const MOST_PIECES = 200;

async function wantingOf(db: Database, id: string): Promise<WantingPiece> {
  const kept = await keptPiece(id);
  const key = overviewKey(kept.record, kept.plan, kept.progress, kept.shelf.key);
  const remembered: KeptOverview | undefined = await db.get("overviews", id);
  const { name } = kept.record.piece;
  const about = { id, name, begun: kept.progress.length > 0, due: kept.record.dates?.due ?? null };
  if (remembered?.key === key && remembered.needs) return { ...about, needs: remembered.needs };
  const { needs, ...overview } = await overviewFor(id, planOf(kept), Date.now());
  void keepOverview(db, { id, key, overview, needs });
  return { ...about, needs };
}

function servedBefore(one: WantingPiece, other: WantingPiece): number {
  const due = (one.due ?? "9").localeCompare(other.due ?? "9");
  return due !== 0 ? due : Number(other.begun) - Number(one.begun) || one.name.localeCompare(other.name, undefined, { numeric: true });
}

/** What every piece still wants; one whose question was let go of, or that cannot be read, wants nothing. */
export async function wantingPieces(db: Database): Promise<WantingPieces> {
  const all = await names();
  const looked = all.slice(0, MOST_PIECES);
  const found = await Promise.allSettled(looked.map(({ id }) => wantingOf(db, id)));
  // The page was left, or loaded anew: whoever waits gets the next answer.
  if (found.some((one) => one.status === "rejected" && isNotWanted(one.reason))) return new Promise<never>(() => undefined);
  const pieces = found.flatMap((one) => (one.status === "fulfilled" && one.value.needs.length > 0 ? [one.value] : []));
  return { pieces: pieces.sort(servedBefore), more: all.length - looked.length };
}
