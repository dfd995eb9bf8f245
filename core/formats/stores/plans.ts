import type { CandidateId, PieceId, PlanId, StepId } from "../../catalogue/ids";
import type { Change } from "../../coating/model/change";
import type { StepChoice, ZoneSteps } from "../../coating/model/step";
import { MOST_CHANGES, stepChangeSchema, zoneStepsSchema } from "../change-schema";
import { instantSchema } from "../hours-schema";
import { problem } from "../problem";
import { translatedEdits } from "../step-translation";
import { byTarget, byValue } from "../../merge/entry-keys";
import { defineStore, recordIdSchema, revSchema } from "./definition";

/** A plan the user follows: a choice and their changes, never numbers. */
export interface PlanRecord {
  readonly id: PlanId;
  readonly pieceId: PieceId;
  readonly rev: number;
  readonly school: string;
  readonly candidateId: CandidateId;
  readonly edits: readonly Change[];
  readonly pinned: readonly StepId[];
  /** The engine it was made with. */
  readonly engineVersion: number;
  /** The steps that engine gave it, before the user's changes: what a newer one would change is told against them. */
  readonly made?: readonly ZoneSteps<StepChoice>[];
  /** Fingerprint of the facts they are for. */
  readonly madeFor?: string;
  /** The body it was made for, as it was at this instant, ISO 8601; absent for the bare piece. */
  readonly basis?: string;
}

export const PLANS = defineStore<PlanRecord>({
  name: "plans",
  called: "a plan",
  counted: ["plan", "plans"],
  says: {
    pieceId: "the piece it is for",
    school: "the way of working",
    candidateId: "the plan that was chosen",
    edits: "a change of the plan",
    pinned: "a step that is kept",
    engineVersion: "how it was worked out",
    made: "its steps as worked out",
    madeFor: "what it was worked out for",
    basis: "the body it was worked out for",
  },
  since: 2,
  indexes: { byPiece: "pieceId" },
  schema: (joi) =>
    joi.object({
      id: recordIdSchema(joi).required(),
      pieceId: recordIdSchema(joi).required(),
      rev: revSchema(joi).required(),
      school: joi.string().allow("").max(400).required(),
      candidateId: joi.string().max(40).required(),
      edits: joi.array().items(stepChangeSchema(joi)).max(MOST_CHANGES).required(),
      pinned: joi.array().items(joi.string().max(120)).max(MOST_CHANGES).required(),
      engineVersion: joi.number().integer().min(1).required(),
      made: zoneStepsSchema(joi),
      madeFor: joi.string().max(40),
      basis: instantSchema(joi),
    }),
  check: ({ pieceId }, { has }, at) =>
    has("pieces", pieceId) ? null : problem("unknown-id", [...at, "pieceId"].join("."), "this plan belongs to a piece that is not in the file"),
  owner: { store: "pieces", field: "pieceId" },
  meets: { lists: { edits: byTarget, pinned: byValue }, whole: ["edits.*"], derived: ["candidateId", "school", "engineVersion", "made", "madeFor", "basis"] },
  refers: { pieceId: "pieces" },
  lists: ["edits", "pinned"],
  migrations: [
    {
      to: 4,
      does: "changes and pinned steps name steps by what they are, not by their number",
      up: (plan, { parts, stepsOf }) => translatedEdits(plan, stepsOf(parts, plan)),
    },
  ],
});
