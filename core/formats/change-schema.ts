import type Joi from "joi";
import { stepKeys } from "./step-keys";
import type { JoiRoot } from "./stores/definition";
import { zoneSchema } from "./zone-schema";

const ownKeys = (joi: JoiRoot) => ({
  ...stepKeys(joi),
  group: joi.string(),
  ownProduct: joi.string(),
  origin: joi.string().valid("engine", "hers"),
  because: joi.array(),
  checks: joi.array().items(joi.string()),
  done: joi.boolean().valid(true),
  laidAt: joi.string().isoDate(),
});

/** One change of a plan or a piece. */
export function changeSchema(joi: JoiRoot): Joi.Schema {
  const place = joi.alternatives(
    joi.object({ before: joi.string().required() }),
    joi.object({ after: joi.string().required() }),
    joi.object({ start: joi.boolean().valid(true).required() }),
  );
  const op = (name: string) => joi.string().valid(name).required();
  return joi
    .alternatives(
      joi.object({ op: op("add"), zone: zoneSchema(joi).required(), at: place.required(), step: joi.object(ownKeys(joi)).required() }),
      joi.object({ op: op("remove"), stepId: joi.string().required() }),
      joi.object({ op: op("move"), stepId: joi.string().required(), at: place.required() }),
      joi.object({
        op: op("set"),
        stepId: joi.string().required(),
        field: joi
          .string()
          .valid(...Object.keys(stepKeys(joi)).filter((key) => key !== "id"))
          .required(),
        value: joi.any(),
      }),
      joi.object({ op: op("setPiece"), path: joi.string().required(), value: joi.any() }),
    )
    .match("one");
}

/** Stacks of chosen steps, without numbers. */
export function zoneStepsSchema(joi: JoiRoot): Joi.Schema {
  return joi
    .array()
    .items(
      joi.object({
        zone: zoneSchema(joi).required(),
        areaMm2: joi.number().min(0).required(),
        steps: joi
          .array()
          .items(joi.object(ownKeys(joi)))
          .required(),
      }),
    )
    .max(60);
}

/** What a record at the bench keeps of a step. */
export function actSchema(joi: JoiRoot): Joi.Schema {
  const { role, product, sheen, colour, technique, method, coverage, heat, marks } = stepKeys(joi);
  return joi.object({
    role,
    product,
    sheen,
    colour,
    technique,
    method,
    coverage,
    heat,
    marks,
    group: joi.string().max(80),
    ownProduct: joi.string().max(80),
    mix: joi.string().max(80),
    wetMicrons: joi.number().min(0),
  });
}

/** One coat of one zone, to be recorded. */
export function coatEventSchema(joi: JoiRoot): Joi.Schema {
  return joi.object({
    zone: zoneSchema(joi).required(),
    stepId: joi.string().max(120).required(),
    act: actSchema(joi).required(),
    coat: joi.number().integer().min(1).max(40).required(),
    half: joi.string().valid("first", "second"),
  });
}
