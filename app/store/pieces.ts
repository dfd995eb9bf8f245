import { changePiece } from "#core/coating/apply-changes";
import { changesBetween, clashes } from "#core/coating/merge-changes";
import type { Change } from "#core/coating/change";
import { pieceId } from "#core/catalogue/ids";
import type { PieceId, PlanId } from "#core/catalogue/ids";
import type { PieceRecord, PlanRecord } from "#core/formats/records";
import type { Piece } from "#core/piece/piece";
import { freshId } from "./fresh-id";
import type { Notebook } from "./notebook";

export type Saved =
  | { readonly kind: "saved"; readonly record: PieceRecord }
  /** Another tab set the same fields; nothing was written. */
  | { readonly kind: "clash"; readonly paths: readonly string[]; readonly theirs: PieceRecord }
  | { readonly kind: "gone" };

export async function addPiece(db: Notebook, piece: Piece): Promise<PieceRecord> {
  const record: PieceRecord = { id: pieceId(freshId()), rev: 1, piece, planId: null };
  await db.add("pieces", record);
  return record;
}

export function allPieces(db: Notebook): Promise<PieceRecord[]> {
  return db.getAll("pieces");
}

export function pieceById(db: Notebook, id: PieceId): Promise<PieceRecord | undefined> {
  return db.get("pieces", id);
}

/**
 * Saves her changes to a piece as she saw it. Fields another tab changed meanwhile stay; when both set the same field
 * differently, nothing is written and she is told.
 *
 * @param seen the record her screen was made from
 * @param changes her `setPiece` changes to it
 */
export async function savePiece(db: Notebook, seen: PieceRecord, changes: readonly Change[]): Promise<Saved> {
  const transaction = db.transaction("pieces", "readwrite");
  const current = await transaction.store.get(seen.id);
  if (!current) {
    await transaction.done;
    return { kind: "gone" };
  }
  const mine = changesBetween(seen.piece, changePiece(seen.piece, changes));
  const paths = clashes(mine, changesBetween(seen.piece, current.piece));
  if (paths.length > 0) {
    await transaction.done;
    return { kind: "clash", paths, theirs: current };
  }
  const record: PieceRecord = { ...current, rev: current.rev + 1, piece: changePiece(current.piece, mine) };
  await transaction.store.put(record);
  await transaction.done;
  return { kind: "saved", record };
}

/** Follows a plan from now on. */
export async function followPlan(db: Notebook, id: PieceId, planId: PlanId | null): Promise<void> {
  const transaction = db.transaction("pieces", "readwrite");
  const current = await transaction.store.get(id);
  if (current && current.planId !== planId) await transaction.store.put({ ...current, rev: current.rev + 1, planId });
  await transaction.done;
}

/** Removes a piece and its plans, all or nothing; what is returned puts it back. */
export async function removePiece(db: Notebook, id: PieceId): Promise<{ readonly piece: PieceRecord; readonly plans: readonly PlanRecord[] } | null> {
  const transaction = db.transaction(["pieces", "plans"], "readwrite");
  const piece = await transaction.objectStore("pieces").get(id);
  const plans = await transaction.objectStore("plans").index("byPiece").getAll(id);
  await transaction.objectStore("pieces").delete(id);
  for (const plan of plans) await transaction.objectStore("plans").delete(plan.id);
  await transaction.done;
  return piece ? { piece, plans } : null;
}
