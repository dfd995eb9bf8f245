import type { CandidateId, PieceId, PlanId, ProgressId, RoomId, StepId } from "../catalogue/ids";
import type { Change } from "../coating/model/change";
import type { Piece, Room } from "../piece/piece";
import type { FreeHours } from "../schedule/free-hours";
import type { LengthUnit } from "../units/length";

/** Changes when the same piece may get another plan; kept plans say which engine they were chosen with. */
export const ENGINE_VERSION = 1;

/** A piece the user keeps. `rev` grows by one with every change. */
export interface PieceRecord {
  readonly id: PieceId;
  readonly rev: number;
  readonly piece: Piece;
  /** The plan the user follows; null for the engine's first. */
  readonly planId: PlanId | null;
  /** When the user means to begin, and when it is needed: "YYYY-MM-DD". */
  readonly dates?: { readonly start?: string; readonly due?: string };
}

/** A plan the user follows: a choice and their changes, never numbers. */
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

/** Something that happened at the bench; only ever added. A countdown is never kept: it follows from these. */
export interface ProgressRecord {
  readonly id: ProgressId;
  readonly rev: number;
  readonly planId: PlanId;
  readonly stepId: StepId;
  readonly coat: number;
  readonly half?: "first" | "second";
  readonly kind: "started" | "done" | "tacky" | "ruined";
  /** Instant, ISO 8601. */
  readonly at: string;
}

/** A place the user works in. */
export interface RoomRecord {
  readonly id: RoomId;
  readonly rev: number;
  readonly name: string;
  readonly room: Room;
}

/** There is one: the user's free hours. */
export interface HoursRecord {
  readonly id: "hours";
  readonly rev: number;
  readonly hours: FreeHours;
}

/** There is one: how the user wants the app to be. */
export interface SettingsRecord {
  readonly id: "settings";
  readonly rev: number;
  readonly units: LengthUnit;
  readonly theme: "system" | "light" | "dim";
  readonly sounds: boolean;
  /** How the user signs; "" when the user has not said. */
  readonly signature: string;
}

export const USUAL_SETTINGS: SettingsRecord = { id: "settings", rev: 0, units: "mm", theme: "system", sounds: false, signature: "" };
