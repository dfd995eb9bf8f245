import { data } from "react-router";
import { pieceId } from "#core/catalogue/ids";
import { keepingOf } from "#core/formats/keeping-of";
import type { PieceRecord } from "#core/formats/stores/pieces";
import type { PlanRecord } from "#core/formats/stores/plans";
import type { ProgressRecord } from "#core/logbook/progress";
import type { Database } from "~/store/database";
import type { PlanOf } from "~/workers/plan-worker-api";

export interface KeptPiece {
  readonly record: PieceRecord;
  readonly plan: PlanRecord | null;
  readonly progress: readonly ProgressRecord[];
}

/**
 * A piece with the plan that is followed and all that was done on it.
 *
 * @throws a 404 answer when there is none
 */
export async function keptPiece(id: string): Promise<KeptPiece> {
  const [{ database }, { pieceById }, { planById }, { progressOf }, { forget, remember }] = await Promise.all([
    import("~/store/open.client"),
    import("~/store/pieces"),
    import("~/store/plans"),
    import("~/store/progress"),
    import("~/store/remembered.client"),
  ]);
  const db = await database();
  const record = await pieceById(db, pieceId(id));
  if (!record) forget(id);
  if (!record) throw data("this piece is not in your notebook; it may have been removed in another tab", { status: 404 });
  const [plan, progress] = await Promise.all([planById(db, record.planId), progressOf(db, record.id)]);
  const kept = { record, plan, progress };
  remember(kept);
  return kept;
}

/** Every piece with its plan and its work, by name. */
export async function keptPieces(db: Database): Promise<readonly KeptPiece[]> {
  const [records, plans, progress] = await Promise.all([db.getAll("pieces"), db.getAll("plans"), db.getAll("progress")]);
  return records
    .sort((a, b) => a.piece.name.localeCompare(b.piece.name))
    .map((record) => ({ record, plan: plans.find((one) => one.id === record.planId) ?? null, progress: progress.filter((one) => one.pieceId === record.id) }));
}

/** What its plan is made from. */
export function planOf({ record, plan, progress }: KeptPiece): PlanOf {
  return { piece: record.piece, keeping: keepingOf(plan), progress };
}
