import { progressId } from "#core/catalogue/ids";
import type { CandidateId, PieceId, PlanId, StepId } from "#core/catalogue/ids";
import type { ProgressRecord } from "#core/formats/records";
import { runCommand } from "./command";
import { freshId } from "./fresh-id";
import type { Database } from "./database";
import { followedPlan } from "./plans";

/** One coat, or half of one, that was laid. */
export interface Coat {
  readonly stepId: StepId;
  readonly coat: number;
  readonly half?: "first" | "second";
}

export async function progressOf(db: Database, plan: PlanId | null): Promise<readonly ProgressRecord[]> {
  const found = plan === null ? [] : await db.getAllFromIndex("progress", "byPlan", plan);
  return found.sort((a, b) => a.at.localeCompare(b.at));
}

/**
 * Notes coats as done at an instant; the plan is kept from then on.
 *
 * @param at ISO 8601
 */
export function markDone(db: Database, piece: PieceId, candidateId: CandidateId, school: string, coats: readonly Coat[], at: string): Promise<PlanId> {
  return runCommand(db, coats.length > 1 ? "marking coats as done" : "marking it as done", ["plans", "pieces", "progress"], async (recorder) => {
    const plan = await followedPlan(recorder, piece, candidateId, school);
    for (const coat of coats) await recorder.put("progress", { ...coat, id: progressId(freshId()), rev: 1, planId: plan.id, kind: "done", at });
    return plan.id;
  });
}

/** Takes back that coats were done. */
export function markUndone(db: Database, plan: PlanId, coats: readonly Coat[]): Promise<void> {
  return runCommand(db, "marking it as not done", ["progress"], async (recorder) => {
    for (const one of await recorder.progressOf(plan))
      if (coats.some((coat) => coat.stepId === one.stepId && coat.coat === one.coat && coat.half === one.half)) await recorder.remove("progress", one.id);
  });
}
