import { FAULT_BOUNDS, FAULT_KINDS, FAULT_PLACES } from "../casting/repair/fault";
import type Joi from "joi";
import { recordIdSchema } from "./stores/definition";
import type { JoiRoot } from "./stores/definition";

/** What is said of a fault. */
export function faultFields(joi: JoiRoot) {
  const { bodies, each, widthMm, depthMm } = FAULT_BOUNDS;
  return {
    kind: joi
      .string()
      .valid(...FAULT_KINDS)
      .required(),
    place: joi
      .string()
      .valid(...FAULT_PLACES)
      .required(),
    bodies: joi.number().integer().min(bodies.least).max(bodies.most).required(),
    each: joi.number().integer().min(each.least).max(each.most).required(),
    widthMm: joi.number().min(widthMm.least).max(widthMm.most).required(),
    depthMm: joi.number().min(depthMm.least).max(depthMm.most),
  };
}

/** A fault that was found on bodies of a pour, with what was done about it. */
export function foundFaultSchema(joi: JoiRoot): Joi.Schema {
  return joi.object({
    id: recordIdSchema(joi).required(),
    ...faultFields(joi),
    roundsDone: joi.number().integer().min(1).max(60),
    mended: joi.boolean().valid(true),
  });
}
