import { changePiece } from "#core/coating/model/apply-changes";
import { changesBetween, clashes } from "#core/coating/model/piece-changes";
import type { Change } from "#core/coating/model/change";
import { pieceId } from "#core/catalogue/ids";
import type { PieceId } from "#core/catalogue/ids";
import type { PieceRecord } from "#core/formats/stores/pieces";
import type { PlanRecord } from "#core/formats/stores/plans";
import type { Piece } from "#core/piece/piece";
import { runCommand } from "./command";
import type { Database } from "./database";
import { freshId } from "./fresh-id";

export type Saved =
  | { readonly kind: "saved"; readonly record: PieceRecord }
  /** Another tab set the same fields; nothing was written. */
  | { readonly kind: "clash"; readonly paths: readonly string[]; readonly theirs: PieceRecord }
  | { readonly kind: "gone" };

const ofPiece = (id: PieceId) => `pieces/${id}`;

export function addPiece(db: Database, piece: Piece): Promise<PieceRecord> {
  const id = pieceId(freshId());
  return runCommand(db, `the new piece ${piece.name}`, ofPiece(id), ["pieces"], async (recorder) => {
    const record: PieceRecord = { id, rev: 1, piece, planId: null };
    await recorder.put("pieces", record);
    return record;
  });
}

export function allPieces(db: Database): Promise<PieceRecord[]> {
  return db.getAll("pieces");
}

export function pieceById(db: Database, id: PieceId): Promise<PieceRecord | undefined> {
  return db.get("pieces", id);
}

/**
 * Saves the user's changes to a piece as they saw it. Fields another tab changed meanwhile stay; when both set the same field
 * differently, nothing is written and the user is told.
 *
 * @param seen the piece the user's screen showed
 * @param changes their `setPiece` changes to it
 */
export function savePiece(db: Database, id: PieceId, seen: Piece, changes: readonly Change[]): Promise<Saved> {
  return runCommand(db, `the change to ${seen.name}`, ofPiece(id), ["pieces"], async (recorder): Promise<Saved> => {
    const current = await recorder.get("pieces", id);
    if (!current) return { kind: "gone" };
    const mine = changesBetween(seen, changePiece(seen, changes));
    const paths = clashes(mine, changesBetween(seen, current.piece));
    if (paths.length > 0) return { kind: "clash", paths, theirs: current };
    const record: PieceRecord = { ...current, rev: current.rev + 1, piece: changePiece(current.piece, mine) };
    await recorder.put("pieces", record);
    return { kind: "saved", record };
  });
}

/** Says when a piece is begun and needed; an empty date is taken away. */
export function setDates(db: Database, id: PieceId, dates: { readonly start?: string; readonly due?: string }): Promise<void> {
  return runCommand(db, "the dates", ofPiece(id), ["pieces"], async (recorder) => {
    const current = await recorder.get("pieces", id);
    if (!current) return;
    const next = Object.fromEntries(Object.entries({ ...current.dates, ...dates }).filter(([, value]) => value !== ""));
    await recorder.put("pieces", { ...current, rev: current.rev + 1, dates: next });
  });
}

/** Removes a piece with its plans and what was done on it, all or nothing. */
export function removePiece(db: Database, id: PieceId): Promise<{ readonly piece: PieceRecord; readonly plans: readonly PlanRecord[] } | null> {
  return runCommand(db, "removing the piece", ofPiece(id), ["pieces", "plans", "progress"], async (recorder) => {
    const piece = await recorder.get("pieces", id);
    const plans = await recorder.of("plans", "byPiece", id);
    if (piece) await recorder.removeWhole("pieces", id);
    return piece ? { piece, plans } : null;
  });
}
