import type Joi from "joi";
import { PATTERN_LIMITS, ROW_KINDS, ROW_SEATS, RUNS, TOWARDS } from "../piece/pattern";
import type { JoiRoot } from "./stores/definition";
import { zoneSchema } from "./zone-schema";

type Bounds = { readonly least: number; readonly most: number };

/** A row of a pattern. */
export function rowSchema(joi: JoiRoot) {
  const within = ({ least, most }: Bounds) => joi.number().min(least).max(most);
  const whole = (bounds: Bounds) => within(bounds).integer();
  return joi.object({
    id: rowIdSchema(joi).required(),
    kind: joi
      .string()
      .valid(...ROW_KINDS)
      .required(),
    colours: joi
      .array()
      .items(joi.string().pattern(/^#[0-9a-fA-F]{6}$/, "colour as #rrggbb"))
      .min(1)
      .max(PATTERN_LIMITS.colours)
      .required(),
    diameterMm: within(PATTERN_LIMITS.diameterMm).required(),
    tool: joi.string().max(40),
    toolName: joi.string().max(110),
    gapMm: within(PATTERN_LIMITS.gapMm),
    count: whole(PATTERN_LIMITS.count),
    multipleOf: whole(PATTERN_LIMITS.multipleOf),
    seat: joi.string().valid(...ROW_SEATS),
    at: placeSchema(joi),
    apartMm: within(PATTERN_LIMITS.apartMm),
    runs: joi.string().valid(...RUNS),
    lengthMm: within(PATTERN_LIMITS.lengthMm),
    steps: whole(PATTERN_LIMITS.steps),
    lastMm: within(PATTERN_LIMITS.diameterMm),
    on: rowIdSchema(joi),
    towards: joi.string().valid(...TOWARDS),
    everySecond: joi.boolean().valid(true),
    medium: joi.string().max(80),
  });
}

/** Where something lies on a place: by one measure. */
export function placeSchema(joi: JoiRoot) {
  const mm = joi.number().min(PATTERN_LIMITS.placeMm.least).max(PATTERN_LIMITS.placeMm.most).required();
  return joi.alternatives(joi.object({ radiusMm: mm }), joi.object({ heightMm: mm }), joi.object({ insetMm: mm }));
}

/** The name of a row inside its pattern. */
export function rowIdSchema(joi: JoiRoot) {
  return joi.string().pattern(/^[a-z0-9]{1,12}$/, "row id");
}

/** The rows of a pattern: each by a name of its own. */
export function rowsSchema(joi: JoiRoot) {
  return joi.array().items(rowSchema(joi)).max(PATTERN_LIMITS.rows).unique("id");
}

/** Radii of an uneven stone, from its centre at equal angles. */
export function radiiSchema(joi: JoiRoot) {
  return joi.array().items(joi.number().min(1).max(PATTERN_LIMITS.placeMm.most)).min(PATTERN_LIMITS.radii.least).max(PATTERN_LIMITS.radii.most);
}

/** What is said of a pattern beside its place and its rows. */
export function patternKeys(joi: JoiRoot) {
  return {
    from: joi.string().valid("centre", "rim"),
    guides: joi.number().integer().min(PATTERN_LIMITS.guides.least).max(PATTERN_LIMITS.guides.most),
    clearMm: joi.number().min(0).max(PATTERN_LIMITS.placeMm.most),
    radiiMm: radiiSchema(joi),
    keepOuts: joi
      .array()
      .items(
        joi.object({
          count: joi.number().integer().min(1).max(PATTERN_LIMITS.guides.most).required(),
          at: placeSchema(joi).required(),
          diameterMm: joi.number().min(PATTERN_LIMITS.diameterMm.least).max(PATTERN_LIMITS.placeMm.most).required(),
        }),
      )
      .max(PATTERN_LIMITS.keepOuts),
    hand: joi.string().valid("right", "left"),
    byEye: joi.boolean().valid(true),
  };
}

/** Rows that a layer is made of, as they were worked out. */
export function layerRowsSchema(joi: JoiRoot, more: Joi.SchemaMap = {}) {
  const { diameterMm } = PATTERN_LIMITS;
  return joi
    .array()
    .items(
      joi.object({
        id: rowIdSchema(joi).required(),
        name: joi.string().max(80).required(),
        count: joi.number().integer().min(1).max(100_000).required(),
        diameterMm: joi.number().min(diameterMm.least).max(diameterMm.most).required(),
        tool: joi.string().max(110),
        ...more,
      }),
    )
    .min(1)
    .max(PATTERN_LIMITS.rows);
}

/** The patterns of a piece: one for each place. */
export function patternsSchema(joi: JoiRoot) {
  return joi
    .array()
    .items(joi.object({ zone: zoneSchema(joi).required(), rows: rowsSchema(joi).required(), ...patternKeys(joi) }))
    .max(PATTERN_LIMITS.patterns)
    .unique("zone");
}
