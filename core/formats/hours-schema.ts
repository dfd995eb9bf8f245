import type Joi from "joi";
import type { JoiRoot } from "./stores/definition";

/** The years a notebook may name: before and after them a date is a slip of the pen. */
const FIRST_YEAR = 2000;
const LAST_YEAR = 2199;

/**
 * Whether a text is a day of the calendar between the years 2000 and 2199.
 *
 * @param text "YYYY-MM-DD"
 * @example isDay("2026-02-30") // false
 */
export function isDay(text: string): boolean {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(text)) return false;
  const year = Number(text.slice(0, 4));
  const at = new Date(`${text}T00:00:00Z`);
  return year >= FIRST_YEAR && year <= LAST_YEAR && !Number.isNaN(at.getTime()) && at.toISOString().startsWith(text);
}

/** A day, "YYYY-MM-DD". */
export function daySchema(joi: JoiRoot): Joi.StringSchema {
  return joi
    .string()
    .max(10)
    .custom((text: string, helpers) => (isDay(text) ? text : helpers.error("any.invalid")))
    .messages({ "any.invalid": `{{#label}} must be a day of the calendar as YYYY-MM-DD, between ${FIRST_YEAR} and ${LAST_YEAR}` });
}

/** An instant, ISO 8601, between the same years. */
export function instantSchema(joi: JoiRoot): Joi.StringSchema {
  return joi
    .string()
    .max(40)
    .isoDate()
    .custom((text: string, helpers) => (isDay(text.slice(0, 10)) ? text : helpers.error("any.invalid")))
    .messages({ "any.invalid": `{{#label}} must be an instant between the years ${FIRST_YEAR} and ${LAST_YEAR}` });
}

/** A day, or an instant. */
export function whenSchema(joi: JoiRoot): Joi.AlternativesSchema {
  return joi
    .alternatives(daySchema(joi), instantSchema(joi))
    .messages({ "alternatives.match": "{{#label}} must be a date such as 2026-05-01, or an instant such as 2026-05-01T19:00:00Z" });
}

function isTimeZone(name: string): boolean {
  try {
    return new Intl.DateTimeFormat("en", { timeZone: name }) instanceof Intl.DateTimeFormat;
  } catch {
    return false;
  }
}

/** When the user's hands are free, as it stands in a file. */
export function hoursSchema(joi: JoiRoot) {
  const time = joi.string().pattern(/^([01]\d|2[0-3]):[0-5]\d$|^24:00$/, "time as HH:MM");
  const daySpans = joi
    .array()
    .items(
      joi
        .object({ from: time.required(), to: time.required() })
        .custom((span: { readonly from: string; readonly to: string }, helpers) => (span.from < span.to ? span : helpers.error("any.invalid")))
        .messages({ "any.invalid": "{{#label}} must end after it begins" }),
    )
    .max(12);
  return joi.object({
    weekday: joi.array().items(daySpans).length(7).required(),
    exceptions: joi
      .array()
      .items(joi.object({ date: daySchema(joi).required(), spans: daySpans.required() }))
      .max(2000)
      .required(),
    timeZone: joi
      .string()
      .max(60)
      .custom((name: string, helpers) => (isTimeZone(name) ? name : helpers.error("any.invalid")))
      .messages({ "any.invalid": '{{#label}} must be a time zone such as "Europe/London"' })
      .required(),
  });
}
