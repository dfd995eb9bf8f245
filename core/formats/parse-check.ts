import Joi from "joi";
import type { Catalogue } from "../catalogue/catalogue";
import { DRYING_STAGES, METHODS, ROLES, SHEENS, TECHNIQUES } from "../catalogue/vocabulary";
import { stepId } from "../catalogue/ids";
import { freeStepId } from "../coating/model/apply-changes";
import type { StepChoice, ZoneSteps } from "../coating/model/step";
import type { Piece } from "../piece/piece";
import { checkShape } from "./check-shape";
import { ZONE } from "./zone-schema";
import { parsePiece } from "./parse-piece";
import { bad, good } from "./problem";
import type { Parsed } from "./problem";

const WAIT = Joi.object({
  min: Joi.number().min(0).max(5_000_000).required(),
  until: Joi.string().valid(...DRYING_STAGES),
  cautiousMin: Joi.number().min(0),
  set: Joi.string().valid("hers"),
});

/** What may be said of a step to be checked; everything but role and product may be left unsaid. */
export const STEP_KEYS = {
  id: Joi.string().max(80),
  role: Joi.string()
    .valid(...ROLES)
    .required(),
  product: Joi.string().max(80).required(),
  coats: Joi.number().integer().min(1).max(40),
  sheen: Joi.string().valid(...SHEENS),
  colour: Joi.string().pattern(/^#[0-9a-fA-F]{6}$/, "colour as #rrggbb"),
  technique: Joi.string().valid(...TECHNIQUES),
  method: Joi.string().valid(...METHODS),
  coverage: Joi.number().greater(0).max(1),
  thinning: Joi.object({ with: Joi.string().max(80).required(), percent: Joi.number().min(0).max(400).required() }).allow(null),
  waitBefore: WAIT.allow(null),
  while: Joi.string().valid("wet", "dry"),
  heat: Joi.object({
    kind: Joi.string().valid("oven", "kiln").required(),
    temperatureC: Joi.number().min(20).max(1400).required(),
    holdMin: Joi.number().min(0).max(3000).required(),
    start: Joi.string().valid("cold", "hot").required(),
    cool: Joi.string().valid("inside", "out").required(),
  }),
  marks: Joi.object({
    count: Joi.number().integer().min(1).required(),
    diameterMm: Joi.number().min(0.1).max(200).required(),
    heightMm: Joi.number().min(0.01).max(20).required(),
  }),
} as const;

const CHECK_SCHEMA = Joi.object({
  piece: Joi.object().unknown().required(),
  zones: Joi.array()
    .items(Joi.object({ zone: ZONE.required(), steps: Joi.array().items(Joi.object(STEP_KEYS)).max(200).required() }))
    .unique("zone")
    .required(),
});

interface CheckFile {
  readonly piece: unknown;
  readonly zones: readonly {
    readonly zone: ZoneSteps["zone"];
    readonly steps: readonly (Omit<StepChoice, "id" | "origin" | "because" | "checks"> & { id?: string })[];
  }[];
}

export interface CheckInput {
  readonly piece: Piece;
  readonly zones: readonly ZoneSteps<StepChoice>[];
}

/** Reads a stack of steps to be judged as it stands: what is absent stays unknown. */
export function parseCheck(value: unknown, catalogue: Catalogue): Parsed<CheckInput> {
  const shape = checkShape<CheckFile>(CHECK_SCHEMA, value);
  if (!shape.ok) return shape;
  const piece = parsePiece(shape.value.piece, catalogue, ["piece"]);
  if (!piece.ok) return piece;
  const zones: ZoneSteps<StepChoice>[] = [];
  for (const [z, zone] of shape.value.zones.entries()) {
    const taken: StepChoice["id"][] = [];
    const steps: StepChoice[] = [];
    for (const [s, step] of zone.steps.entries()) {
      if (!catalogue.products.has(step.product) && !catalogue.aids.has(step.product))
        return bad("unknown-id", `zones.${z}.steps.${s}.product`, `"${step.product}" is not known here`);
      const id = step.id ? stepId(step.id) : freeStepId(zone.zone, step.role, taken);
      taken.push(id);
      steps.push({ ...step, id, origin: "hers", because: [], checks: [] });
    }
    zones.push({ zone: zone.zone, areaMm2: 0, steps });
  }
  return good({ piece: piece.value, zones });
}
