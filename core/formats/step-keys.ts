import { DRYING_STAGES, METHODS, ROLES, SHEENS, TECHNIQUES } from "../catalogue/vocabulary";
import { BODY_WAITS } from "../coating/model/step";
import { layerRowsSchema } from "./pattern-schema";
import type { JoiRoot } from "./stores/definition";

/** What may be said of a step; everything but role and product may be left unsaid. */
export function stepKeys(joi: JoiRoot) {
  const wait = joi.object({
    min: joi.number().min(0).max(5_000_000).required(),
    until: joi.string().valid(...DRYING_STAGES),
    cautiousMin: joi.number().min(0).max(5_000_000),
    set: joi.string().valid("hers"),
    body: joi.string().valid(...BODY_WAITS),
  });
  return {
    id: joi.string().max(120),
    role: joi
      .string()
      .valid(...ROLES)
      .required(),
    product: joi.string().max(80).required(),
    jar: joi.string().max(80),
    coats: joi.number().integer().min(1).max(40),
    sheen: joi.string().valid(...SHEENS),
    colour: joi.string().pattern(/^#[0-9a-fA-F]{6}$/, "colour as #rrggbb"),
    technique: joi.string().valid(...TECHNIQUES),
    method: joi.string().valid(...METHODS),
    coverage: joi.number().greater(0).max(1),
    thinning: joi.object({ with: joi.string().max(80).required(), percent: joi.number().min(0).max(400).required() }).allow(null),
    waitBefore: wait.allow(null),
    while: joi.string().valid("wet", "dry"),
    heat: joi.object({
      kind: joi.string().valid("oven", "kiln").required(),
      temperatureC: joi.number().min(20).max(1400).required(),
      holdMin: joi.number().min(0).max(3000).required(),
      start: joi.string().valid("cold", "hot").required(),
      cool: joi.string().valid("inside", "out").required(),
    }),
    marks: joi.object({
      count: joi.number().integer().min(1).max(100_000).required(),
      diameterMm: joi.number().min(0.1).max(200).required(),
      heightMm: joi.number().min(0.01).max(20).required(),
    }),
    rows: layerRowsSchema(joi),
  };
}
