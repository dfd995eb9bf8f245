import type Joi from "joi";
import { DRYING_STAGES } from "../catalogue/vocabulary";
import { TOUCHES } from "../logbook/learning/stages";
import { MAX_AREA_MM2 } from "../piece/form";
import { instantSchema } from "./hours-schema";
import { roomSchema } from "./room-schema";
import { stepKeys } from "./step-keys";
import type { JoiRoot } from "./stores/definition";
import { zoneSchema } from "./zone-schema";

const ownKeys = (joi: JoiRoot) => ({
  ...stepKeys(joi),
  group: joi.string().max(120),
  ownProduct: joi.string().max(80),
  origin: joi.string().valid("engine", "hers"),
  because: joi
    .array()
    .items(joi.object({ requirement: joi.string().max(120).required(), text: joi.string().max(600).required() }))
    .max(60),
  checks: joi.array().items(joi.string().max(600)).max(60),
  done: joi.boolean().valid(true),
  laidAt: instantSchema(joi),
});

/** A list of changes no longer than this is read: nobody makes more by hand. */
export const MOST_CHANGES = 400;
/** Steps of one zone. */
export const MOST_STEPS = 120;

/** A setting of a step: the field, and a value that fits it. */
function settingSchema(joi: JoiRoot): Joi.Schema {
  const { id: _id, ...fields } = stepKeys(joi);
  return joi
    .object({
      op: joi.string().valid("set").required(),
      stepId: joi.string().max(120).required(),
      field: joi
        .string()
        .valid(...Object.keys(fields))
        .required(),
      value: joi.any(),
    })
    .custom((change: { readonly field: keyof typeof fields; readonly value?: unknown }, helpers) => {
      const { error } = fields[change.field].validate(change.value, { convert: false });
      return error ? helpers.error("any.custom", { error: new Error(`value: ${error.message}`) }) : change;
    });
}

/** The kinds of change of a plan's steps. */
function stepChanges(joi: JoiRoot): readonly Joi.Schema[] {
  const place = joi.alternatives(
    joi.object({ before: joi.string().max(120).required() }),
    joi.object({ after: joi.string().max(120).required() }),
    joi.object({ start: joi.boolean().valid(true).required() }),
  );
  const op = (name: string) => joi.string().valid(name).required();
  const step = joi.string().max(120).required();
  return [
    joi.object({ op: op("add"), zone: zoneSchema(joi).required(), at: place.required(), step: joi.object(ownKeys(joi)).required() }),
    joi.object({ op: op("remove"), stepId: step }),
    joi.object({ op: op("move"), stepId: step, at: place.required() }),
    settingSchema(joi),
  ];
}

/** One change of a plan's steps, as a kept plan has it. */
export function stepChangeSchema(joi: JoiRoot): Joi.Schema {
  return joi.alternatives(...stepChanges(joi)).match("one");
}

/** One change of a plan or a piece. What a piece becomes by it is checked as a piece. */
export function changeSchema(joi: JoiRoot): Joi.Schema {
  const ofPiece = joi.object({
    op: joi.string().valid("setPiece").required(),
    path: joi
      .string()
      .pattern(/^[a-zA-Z]\w*(\.[a-zA-Z]\w*){0,5}$/, "path")
      .max(120)
      .required(),
    value: joi.any(),
  });
  return joi.alternatives(...stepChanges(joi), ofPiece).match("one");
}

/** A chosen step, without numbers: it says why it is there, and how it is seen to be right. */
export function chosenStepSchema(joi: JoiRoot): Joi.Schema {
  const own = ownKeys(joi);
  return joi.object({ ...own, id: own.id.required(), origin: own.origin.required(), because: own.because.required(), checks: own.checks.required() });
}

/** Stacks of chosen steps. */
export function zoneStepsSchema(joi: JoiRoot): Joi.Schema {
  const step = chosenStepSchema(joi);
  return joi
    .array()
    .items(
      joi.object({
        zone: zoneSchema(joi).required(),
        areaMm2: joi.number().min(0).max(MAX_AREA_MM2).required(),
        steps: joi.array().items(step).max(MOST_STEPS).required(),
      }),
    )
    .max(60);
}

/** A wet film of a hand's breadth is no film, µm. */
const MOST_MICRONS = 100_000;

/** What a record at the bench keeps of a step. */
export function actSchema(joi: JoiRoot): Joi.Schema {
  const { role, product, sheen, colour, technique, method, coverage, heat, marks, rows, thinning } = stepKeys(joi);
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
    rows,
    thinning,
    group: joi.string().max(80),
    ownProduct: joi.string().max(80),
    mix: joi.string().max(80),
    wetMicrons: joi.number().min(0).max(MOST_MICRONS),
  });
}

/** More paint than one coat of anything takes, mL. */
export const MOST_JAR_ML = 1_000_000;

/** Pieces of one batch, at most. */
export const MOST_OF_BATCH = 10_000;

/** Minutes of a wait or of work, at most: a year. */
export const MOST_MIN = 366 * 24 * 60;

/** What was seen at the table. */
export function actualSchema(joi: JoiRoot): Joi.Schema {
  const minutes = () => joi.number().greater(0).max(MOST_MIN).required();
  return joi
    .object({
      work: joi.object({ min: minutes(), reckonedMin: minutes() }),
      drying: joi.object({
        product: joi.string().max(80).required(),
        room: roomSchema(joi).required(),
        stepId: joi.string().max(120).required(),
        coat: joi.number().integer().min(1).max(40).required(),
        waitedMin: minutes(),
        reckonedMin: minutes(),
      }),
      look: joi.object({
        product: joi.string().max(80).required(),
        room: roomSchema(joi).required(),
        stepId: joi.string().max(120).required(),
        coat: joi.number().integer().min(1).max(40).required(),
        stage: joi
          .string()
          .valid(...DRYING_STAGES)
          .required(),
        by: joi
          .string()
          .valid(...TOUCHES)
          .required(),
        afterMin: minutes(),
        reckonedMin: minutes(),
        toldMin: minutes(),
        seen: joi.string().valid("tacky", "dry").required(),
      }),
    })
    .or("work", "drying", "look");
}

/** One coat of one zone, to be recorded. */
export function coatEventSchema(joi: JoiRoot): Joi.Schema {
  return joi.object({
    zone: zoneSchema(joi).required(),
    stepId: joi.string().max(120).required(),
    act: actSchema(joi).required(),
    coat: joi.number().integer().min(1).max(40).required(),
    half: joi.string().valid("first", "second"),
    jarMl: joi.number().min(0).max(MOST_JAR_ML),
    handsOnMin: joi.number().min(0).max(MOST_MIN),
    actual: actualSchema(joi),
    pieces: joi.number().integer().min(0).max(MOST_OF_BATCH),
  });
}
