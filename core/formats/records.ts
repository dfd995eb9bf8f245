import type { CandidateId, PieceId, PlanId, StepId } from "../catalogue/ids";
import type { Change } from "../coating/change";
import type { Piece } from "../piece/piece";

/** Changes when the same piece may get another plan; kept plans say which engine they were chosen with. */
export const ENGINE_VERSION = 1;

/** A piece she keeps. `rev` grows by one with every change. */
export interface PieceRecord {
  readonly id: PieceId;
  readonly rev: number;
  readonly piece: Piece;
  /** The plan she follows; null for the engine's first. */
  readonly planId: PlanId | null;
}

/** A plan she follows: a choice and her changes, never numbers. */
export interface PlanRecord {
  readonly id: PlanId;
  readonly pieceId: PieceId;
  readonly rev: number;
  readonly school: string;
  readonly candidateId: CandidateId;
  readonly edits: readonly Change[];
  readonly pinned: readonly StepId[];
  readonly engineVersion: number;
}
