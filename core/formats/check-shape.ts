import type Joi from "joi";
import { bad, good } from "./problem";
import type { Parsed, Problem } from "./problem";

const CODES: Record<string, Problem["code"]> = { "object.unknown": "unknown-key", "any.required": "missing", "object.with": "missing" };

/**
 * Runs a Joi schema as a check: nothing is converted, unknown keys are refused, the first fault is named with its path.
 *
 * @param at path of the value inside its document, for the message
 */
export function checkShape<T>(schema: Joi.Schema, value: unknown, at: readonly (string | number)[] = []): Parsed<T> {
  const { error } = schema.validate(value, { convert: false, allowUnknown: false, abortEarly: true, errors: { wrap: { label: false } } });
  const detail = error?.details[0];
  if (!detail) return good(value as T);
  const path = [...at, ...detail.path].join(".");
  const said = detail.type === "object.unknown" ? `"${String(detail.context?.key)}" is not a word this file may have` : detail.message;
  return bad(CODES[detail.type] ?? "bad-value", path, said);
}
