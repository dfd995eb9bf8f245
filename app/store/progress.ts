import { progressId } from "#core/catalogue/ids";
import type { PieceId, PlanId } from "#core/catalogue/ids";
import type { CoatEvent, ProgressRecord } from "#core/logbook/progress";
import { runCommand } from "./command";
import type { By, Recorder } from "./command";
import type { Database } from "./database";
import { freshId } from "./fresh-id";
import { followedPlan, GonePiece } from "./plans";
import type { Followed } from "./plans";

/** All that was done on a piece, by time. */
export async function progressOf(db: Database, piece: PieceId): Promise<readonly ProgressRecord[]> {
  const found = await db.getAllFromIndex("progress", "byPiece", piece);
  return found.sort((a, b) => a.at.localeCompare(b.at));
}

/** Of coats those that are on the piece now, or those that are not: a second click notes nothing a second time. */
async function standing(recorder: Recorder, piece: PieceId, coats: readonly CoatEvent[], on: boolean): Promise<readonly CoatEvent[]> {
  const noted = [...(await recorder.of("progress", "byPiece", piece))].sort((a, b) => a.at.localeCompare(b.at));
  return coats.filter(({ zone, stepId, coat, half }) => {
    const last = noted.findLast((one) => one.zone === zone && one.stepId === stepId && one.coat === coat && one.half === half);
    return (last?.kind === "done" || last?.kind === "tacky") === on;
  });
}

/**
 * Notes coats as done at an instant; the plan is kept from then on.
 *
 * @param at ISO 8601
 */
export function markDone(db: Database, piece: PieceId, followed: Followed, coats: readonly CoatEvent[], at: string, by: By = {}): Promise<PlanId> {
  const label = new Set(coats.map((one) => `${one.coat}:${one.half ?? ""}`)).size > 1 ? "marking coats as done" : "marking it as done";
  return runCommand(
    db,
    label,
    `pieces/${piece}`,
    ["plans", "pieces", "progress"],
    async (recorder) => {
      const plan = await followedPlan(recorder, piece, followed);
      for (const coat of await standing(recorder, piece, coats, false))
        await recorder.put("progress", { ...coat, id: progressId(freshId()), rev: 1, pieceId: piece, planId: plan.id, kind: "done", at });
      return plan.id;
    },
    by,
  );
}

/**
 * Notes that coats are not on the piece after all. What was noted before stays noted: the body is folded from all of it.
 *
 * @param at ISO 8601
 */
export function markUndone(db: Database, piece: PieceId, plan: PlanId, coats: readonly CoatEvent[], at: string, by: By = {}): Promise<void> {
  return runCommand(
    db,
    "marking it as not done",
    `pieces/${piece}`,
    ["pieces", "progress"],
    async (recorder) => {
      if (!(await recorder.get("pieces", piece))) throw new GonePiece();
      for (const coat of await standing(recorder, piece, coats, true))
        await recorder.put("progress", { ...coat, id: progressId(freshId()), rev: 1, pieceId: piece, planId: plan, kind: "removed", at });
    },
    by,
  );
}
