import { changeSchema, coatEventSchema, MOST_CHANGES, zoneStepsSchema } from "#core/formats/change-schema";
import { instantSchema } from "#core/formats/hours-schema";
import type { JoiRoot } from "#core/formats/stores/definition";

/** Changes as a list. */
export function changesField(joi: JoiRoot) {
  return joi.array().items(changeSchema(joi)).max(MOST_CHANGES).required();
}

/** The plan that is followed, as a screen shows it. */
export function followedField(joi: JoiRoot) {
  return joi
    .object({
      candidateId: joi.string().max(40).required(),
      school: joi.string().allow("").max(400).required(),
      basis: instantSchema(joi).allow(null).required(),
      made: zoneStepsSchema(joi).required(),
      madeFor: joi.string().max(40).required(),
      edits: changesField(joi).optional(),
    })
    .required();
}

/** Coats to be noted. */
export function coatsField(joi: JoiRoot) {
  return joi.array().items(coatEventSchema(joi)).min(1).max(200).required();
}

/** What was done, in the user's words. */
export function whatField(joi: JoiRoot) {
  return joi.string().max(MOST_WHAT);
}

const MOST_WHAT = 400;
