import { planId } from "#core/catalogue/ids";
import type { CandidateId, PieceId, PlanId, StepId } from "#core/catalogue/ids";
import type { Change } from "#core/coating/model/change";
import { ENGINE_VERSION } from "#core/formats/records";
import type { PlanRecord } from "#core/formats/records";
import { runCommand } from "./command";
import type { Recorder } from "./command";
import { freshId } from "./fresh-id";
import type { Database } from "./database";

export async function planById(db: Database, id: PlanId | null): Promise<PlanRecord | null> {
  return id === null ? null : ((await db.get("plans", id)) ?? null);
}

/** Finds or makes the kept plan of a piece for a candidate, and has the piece follow it. */
export async function followedPlan(recorder: Recorder, piece: PieceId, candidateId: CandidateId, school: string): Promise<PlanRecord> {
  const kept = (await recorder.plansOf(piece)).find((plan) => plan.candidateId === candidateId);
  const plan = kept ?? { id: planId(freshId()), pieceId: piece, rev: 1, school, candidateId, edits: [], pinned: [], engineVersion: ENGINE_VERSION };
  if (!kept) await recorder.put("plans", plan);
  const current = await recorder.get("pieces", piece);
  if (current && current.planId !== plan.id) await recorder.put("pieces", { ...current, rev: current.rev + 1, planId: plan.id });
  return plan;
}

/** The kept plan of a piece for a candidate, made when the user first follows it. Their changes stay with each. */
export function planFor(db: Database, piece: PieceId, candidateId: CandidateId, school: string): Promise<PlanRecord> {
  return runCommand(db, "the choice of plan", ["plans", "pieces"], (recorder) => followedPlan(recorder, piece, candidateId, school));
}

/** Adds the user's changes to the plan the user follows, which is kept from then on; what another tab added stays. */
export function editPlan(db: Database, piece: PieceId, candidateId: CandidateId, school: string, edits: readonly Change[]): Promise<PlanRecord> {
  return runCommand(db, "the change to the plan", ["plans", "pieces"], async (recorder) => {
    const plan = await followedPlan(recorder, piece, candidateId, school);
    const next = { ...plan, rev: plan.rev + 1, edits: [...plan.edits, ...edits] };
    await recorder.put("plans", next);
    return next;
  });
}

/** Keeps a step whatever is made right around it, or lets it go again. */
export function pinStep(db: Database, piece: PieceId, candidateId: CandidateId, school: string, stepId: StepId, kept: boolean): Promise<void> {
  return runCommand(db, kept ? "keeping a step" : "letting a step go", ["plans", "pieces"], async (recorder) => {
    const plan = await followedPlan(recorder, piece, candidateId, school);
    const others = plan.pinned.filter((one) => one !== stepId);
    await recorder.put("plans", { ...plan, rev: plan.rev + 1, pinned: kept ? [...others, stepId] : others });
  });
}

/** Takes the user's changes to a plan back, all of them. */
export function clearEdits(db: Database, id: PlanId): Promise<void> {
  return runCommand(db, "going back to the plan as it was", ["plans"], async (recorder) => {
    const current = await recorder.get("plans", id);
    if (current) await recorder.put("plans", { ...current, rev: current.rev + 1, edits: [] });
  });
}
