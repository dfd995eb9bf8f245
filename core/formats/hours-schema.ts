import Joi from "joi";

/** A day, "YYYY-MM-DD". */
export const DAY_SCHEMA = Joi.string().pattern(/^\d{4}-\d{2}-\d{2}$/, "date as YYYY-MM-DD");

const time = Joi.string().pattern(/^([01]\d|2[0-3]):[0-5]\d$|^24:00$/, "time as HH:MM");
const daySpans = Joi.array()
  .items(Joi.object({ from: time.required(), to: time.required() }))
  .max(12);

function isTimeZone(name: string): boolean {
  try {
    return new Intl.DateTimeFormat("en", { timeZone: name }) instanceof Intl.DateTimeFormat;
  } catch {
    return false;
  }
}

/** When the user's hands are free, as it stands in a file. */
export const HOURS_SCHEMA = Joi.object({
  weekday: Joi.array().items(daySpans).length(7).required(),
  exceptions: Joi.array()
    .items(Joi.object({ date: DAY_SCHEMA.required(), spans: daySpans.required() }))
    .max(2000)
    .required(),
  timeZone: Joi.string()
    .max(60)
    .custom((name: string, helpers) => (isTimeZone(name) ? name : helpers.error("any.invalid")))
    .messages({ "any.invalid": '{{#label}} must be a time zone such as "Europe/London"' })
    .required(),
});
