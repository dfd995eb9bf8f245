import Joi from "joi";
import type { Catalogue } from "../catalogue/catalogue";
import { stepId } from "../catalogue/ids";
import { freeStepId } from "../coating/model/apply-changes";
import type { StepChoice, ZoneSteps } from "../coating/model/step";
import type { Piece } from "../piece/piece";
import { checkShape } from "./check-shape";
import { stepKeys } from "./step-keys";
import { zoneSchema } from "./zone-schema";
import { parsePiece } from "./parse-piece";
import { bad, good } from "./problem";
import type { Parsed } from "./problem";

const CHECK_SCHEMA = Joi.object({
  piece: Joi.object().unknown().required(),
  zones: Joi.array()
    .items(
      Joi.object({
        zone: zoneSchema(Joi).required(),
        steps: Joi.array()
          .items(Joi.object(stepKeys(Joi)))
          .max(200)
          .required(),
      }),
    )
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

/**
 * Reads a stack of steps to be judged as it stands: what is absent stays unknown.
 *
 * @param value the document of the verb `check`
 * @returns piece and stacks, or the first fault with its dotted path
 */
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
