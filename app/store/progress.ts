import { progressId } from "#core/catalogue/ids";
import type { PieceId, PlanId } from "#core/catalogue/ids";
import type { CoatEvent, ProgressRecord } from "#core/logbook/progress";
import { runCommand } from "./command";
import type { Database } from "./database";
import { freshId } from "./fresh-id";
import { followedPlan } from "./plans";
import type { Followed } from "./plans";

/** All that was done on a piece, by time. */
export async function progressOf(db: Database, piece: PieceId): Promise<readonly ProgressRecord[]> {
  const found = await db.getAllFromIndex("progress", "byPiece", piece);
  return found.sort((a, b) => a.at.localeCompare(b.at));
}

/**
 * Notes coats as done at an instant; the plan is kept from then on.
 *
 * @param at ISO 8601
 */
export function markDone(db: Database, piece: PieceId, followed: Followed, coats: readonly CoatEvent[], at: string): Promise<PlanId> {
  const label = new Set(coats.map((one) => `${one.coat}:${one.half ?? ""}`)).size > 1 ? "marking coats as done" : "marking it as done";
  return runCommand(db, label, `pieces/${piece}`, ["plans", "pieces", "progress"], async (recorder) => {
    const plan = await followedPlan(recorder, piece, followed);
    for (const coat of coats) await recorder.put("progress", { ...coat, id: progressId(freshId()), rev: 1, pieceId: piece, planId: plan.id, kind: "done", at });
    return plan.id;
  });
}

/**
 * Notes that coats are not on the piece after all. What was noted before stays noted: the body is folded from all of it.
 *
 * @param at ISO 8601
 */
export function markUndone(db: Database, piece: PieceId, plan: PlanId, coats: readonly CoatEvent[], at: string): Promise<void> {
  return runCommand(db, "marking it as not done", `pieces/${piece}`, ["progress"], async (recorder) => {
    for (const coat of coats) await recorder.put("progress", { ...coat, id: progressId(freshId()), rev: 1, pieceId: piece, planId: plan, kind: "removed", at });
  });
}
