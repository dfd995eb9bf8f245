import { data } from "react-router";
import { pieceId } from "#core/catalogue/ids";
import { keepingOf } from "#core/formats/keeping-of";
import type { PieceRecord } from "#core/formats/stores/pieces";
import type { PlanRecord } from "#core/formats/stores/plans";
import type { ProgressRecord } from "#core/logbook/progress";
import type { Database } from "~/store/database";
import type { OwnShelf } from "~/store/own-shelf.client";
import type { PlanOf } from "~/workers/plan-worker-api";

export interface KeptPiece {
  readonly record: PieceRecord;
  readonly plan: PlanRecord | null;
  readonly progress: readonly ProgressRecord[];
  /** What the user owns: the plan is made from it first. */
  readonly shelf: OwnShelf;
}

/**
 * A piece with the plan that is followed and all that was done on it.
 *
 * @throws a 404 answer when there is none
 */
export async function keptPiece(id: string): Promise<KeptPiece> {
  const [{ database }, { pieceById }, { planById }, { progressOf }, { ownShelf }] = await Promise.all([
    import("~/store/open.client"),
    import("~/store/pieces"),
    import("~/store/plans"),
    import("~/store/progress"),
    import("~/store/own-shelf.client"),
  ]);
  const db = await database();
  const record = await pieceById(db, pieceId(id));
  if (!record) throw data("this piece is not in your notebook; it may have been removed in another tab", { status: 404 });
  const [plan, progress, shelf] = await Promise.all([planById(db, record.planId), progressOf(db, record.id), ownShelf(db)]);
  return { record, plan, progress, shelf };
}

/** Every piece with its plan and its work, by name. */
export async function keptPieces(db: Database): Promise<readonly KeptPiece[]> {
  const { ownShelf } = await import("~/store/own-shelf.client");
  const [records, plans, progress, shelf] = await Promise.all([db.getAll("pieces"), db.getAll("plans"), db.getAll("progress"), ownShelf(db)]);
  const planById = new Map(plans.map((plan) => [plan.id, plan]));
  const progressById = new Map<string, ProgressRecord[]>();
  // By time, as they are of one piece: what is worked out from them is known by their last.
  for (const one of progress.sort((a, b) => a.at.localeCompare(b.at))) {
    const own = progressById.get(one.pieceId);
    if (own) own.push(one);
    else progressById.set(one.pieceId, [one]);
  }
  return records
    .sort((a, b) => a.piece.name.localeCompare(b.piece.name))
    .map((record) => ({
      record,
      plan: (record.planId === null ? undefined : planById.get(record.planId)) ?? null,
      progress: progressById.get(record.id) ?? [],
      shelf,
    }));
}

/** What its plan is made from. */
export function planOf({ record, plan, progress, shelf }: KeptPiece): PlanOf {
  return { piece: record.piece, keeping: keepingOf(plan), progress, shelf: shelf.products, own: shelf.own, wear: shelf.wear };
}
