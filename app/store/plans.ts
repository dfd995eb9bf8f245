import { planId } from "#core/catalogue/ids";
import type { CandidateId, PieceId, PlanId } from "#core/catalogue/ids";
import type { Change } from "#core/coating/change";
import { ENGINE_VERSION } from "#core/formats/records";
import type { PlanRecord } from "#core/formats/records";
import { freshId } from "./fresh-id";
import type { Notebook } from "./notebook";
import { followPlan } from "./pieces";

export async function planById(db: Notebook, id: PlanId | null): Promise<PlanRecord | null> {
  return id === null ? null : ((await db.get("plans", id)) ?? null);
}

/** The kept plan of a piece for a candidate, made when she first follows it. Her changes stay with each. */
export async function planFor(db: Notebook, piece: PieceId, candidateId: CandidateId, school: string): Promise<PlanRecord> {
  const transaction = db.transaction("plans", "readwrite");
  const kept = (await transaction.store.index("byPiece").getAll(piece)).find((plan) => plan.candidateId === candidateId);
  const plan = kept ?? { id: planId(freshId()), pieceId: piece, rev: 1, school, candidateId, edits: [], pinned: [], engineVersion: ENGINE_VERSION };
  if (!kept) await transaction.store.put(plan);
  await transaction.done;
  await followPlan(db, piece, plan.id);
  return plan;
}

/** Adds her changes to a plan's own; what another tab added stays. */
export async function addEdits(db: Notebook, id: PlanId, edits: readonly Change[]): Promise<PlanRecord | null> {
  const transaction = db.transaction("plans", "readwrite");
  const current = await transaction.store.get(id);
  const next = current && { ...current, rev: current.rev + 1, edits: [...current.edits, ...edits] };
  if (next) await transaction.store.put(next);
  await transaction.done;
  return next ?? null;
}

/** Takes back her last changes to a plan, as many as were made in one go. */
export async function clearEdits(db: Notebook, id: PlanId): Promise<void> {
  const transaction = db.transaction("plans", "readwrite");
  const current = await transaction.store.get(id);
  if (current) await transaction.store.put({ ...current, rev: current.rev + 1, edits: [] });
  await transaction.done;
}
