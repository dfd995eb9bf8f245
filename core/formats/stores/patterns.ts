import type { PatternId } from "../../catalogue/ids";
import type { KeptPattern } from "../../marking/kept-pattern";
import { PATTERN_LIMITS } from "../../piece/pattern";
import { rowsSchema } from "../pattern-schema";
import { byId } from "../../merge/entry-keys";
import { defineStore, recordIdSchema, revSchema } from "./definition";
import type { JoiRoot } from "./definition";

/** A pattern of the user's own, to be set on other pieces. */
export interface PatternRecord extends KeptPattern {
  readonly id: PatternId;
  readonly rev: number;
}

/** Patterns one notebook keeps, at most. */
export const MOST_PATTERNS = 300;
export const MAX_PATTERN_NAME = 80;

/** What is kept of a pattern. */
export function keptPatternFields(joi: JoiRoot) {
  return {
    name: joi.string().trim().min(1).max(MAX_PATTERN_NAME).required(),
    shape: joi.string().valid("top", "wall").required(),
    acrossMm: joi
      .number()
      .min(0.5)
      .max(PATTERN_LIMITS.placeMm.most * 4)
      .required(),
    guides: joi.number().integer().min(PATTERN_LIMITS.guides.least).max(PATTERN_LIMITS.guides.most).required(),
    from: joi.string().valid("centre", "rim"),
    rows: rowsSchema(joi).min(1).required(),
  };
}

export const PATTERNS = defineStore<PatternRecord>({
  name: "patterns",
  called: "a pattern",
  counted: ["pattern", "patterns"],
  gone: { told: "Let go" },
  says: { name: "its name", shape: "its place", acrossMm: "its size", guides: "its guide lines", from: "where it begins", rows: "a row" },
  since: 10,
  indexes: {},
  schema: (joi) => joi.object({ id: recordIdSchema(joi).required(), rev: revSchema(joi).required(), ...keptPatternFields(joi) }),
  meets: { lists: { rows: byId } },
  lists: [],
  migrations: [],
});
