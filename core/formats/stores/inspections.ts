import type { InspectionId, PieceId, StepId } from "../../catalogue/ids";
import type { ZoneId } from "../../catalogue/vocabulary";
import { INSPECTION_IDS } from "../../logbook/inspections/inspection";
import type { InspectionKind } from "../../logbook/inspections/inspection";
import { instantSchema } from "../hours-schema";
import { problem } from "../problem";
import { zoneSchema } from "../zone-schema";
import { defineStore, recordIdSchema, revSchema } from "./definition";
import type { JoiRoot } from "./definition";

/** Something of a piece that was looked at, and what was found; only ever added. */
export interface InspectionRecord {
  readonly id: InspectionId;
  readonly rev: number;
  readonly pieceId: PieceId;
  readonly zone: ZoneId;
  /** The step whose film was looked at. */
  readonly stepId: StepId;
  readonly kind: InspectionKind;
  readonly passed: boolean;
  /** Of a tape test: 0 for edges that held, to 5. */
  readonly grade?: number;
  /** Instant, ISO 8601. */
  readonly at: string;
}

/** What is noted of an inspection. */
export function inspectionFields(joi: JoiRoot) {
  return {
    zone: zoneSchema(joi).required(),
    stepId: joi.string().max(120).required(),
    kind: joi
      .string()
      .valid(...INSPECTION_IDS)
      .required(),
    passed: joi.boolean().required(),
    grade: joi.number().integer().min(0).max(5),
    at: instantSchema(joi).required(),
  };
}

export const INSPECTIONS = defineStore<InspectionRecord>({
  name: "inspections",
  called: "a note of something looked at",
  counted: ["check", "checks"],
  says: {
    pieceId: "the piece",
    zone: "the place",
    stepId: "the coat",
    kind: "how it was looked at",
    passed: "whether it passed",
    grade: "the grade",
    at: "when",
  },
  since: 13,
  indexes: { byPiece: "pieceId" },
  schema: (joi) =>
    joi.object({ id: recordIdSchema(joi).required(), rev: revSchema(joi).required(), pieceId: recordIdSchema(joi).required(), ...inspectionFields(joi) }),
  check: ({ pieceId }, { has }, at) =>
    has("pieces", pieceId) ? null : problem("unknown-id", [...at, "pieceId"].join("."), "this was looked at on a piece that is not in the file"),
  owner: { store: "pieces", field: "pieceId" },
  meets: {},
  refers: { pieceId: "pieces" },
  lists: [],
  migrations: [],
});
