import type { JoiRoot } from "./stores/definition";

/** A day, "YYYY-MM-DD". */
export function daySchema(joi: JoiRoot) {
  return joi.string().pattern(/^\d{4}-\d{2}-\d{2}$/, "date as YYYY-MM-DD");
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
    .items(joi.object({ from: time.required(), to: time.required() }))
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
