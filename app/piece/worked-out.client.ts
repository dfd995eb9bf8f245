import type { Database } from "~/store/database";
import { keepOverview, overviewKey } from "~/store/listing";
import type { ListedOverview } from "~/workers/plan-worker-api";
import { overviewFor } from "~/workers/planner.client";
import { planOf } from "./kept-piece";
import type { KeptPiece } from "./kept-piece";

/** What the overview of a piece is worked out from. */
export function keyOf({ record, plan, progress, shelf }: KeptPiece): string {
  return overviewKey(record, plan, progress, shelf.key);
}

/** Works out what a list says of a piece, after all that is looked at, and remembers it for the next time. */
export async function workedOut(db: Database, kept: KeptPiece, now: number): Promise<ListedOverview> {
  const { id } = kept.record;
  const listed = await overviewFor(id, planOf(kept), now);
  const { needs, ...overview } = listed;
  void keepOverview(db, { id, key: keyOf(kept), overview, needs });
  return listed;
}
