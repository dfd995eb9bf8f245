import type Joi from "joi";
import { FORM_MEASURES, LEAST_AREA_MM2, LEAST_LENGTH_MM, MAX_AREA_MM2, MAX_LENGTH_MM } from "../piece/form";
import type { JoiRoot } from "./stores/definition";

const measure = (joi: JoiRoot, key: string) =>
  (key === "areaMm2" ? joi.number().min(LEAST_AREA_MM2).max(MAX_AREA_MM2) : joi.number().min(LEAST_LENGTH_MM).max(MAX_LENGTH_MM)).required();

/** One schema a form kind: a measure missing or in the wrong form is named. */
export function formSchemas(joi: JoiRoot): Readonly<Record<string, Joi.Schema>> {
  return Object.fromEntries(
    Object.entries(FORM_MEASURES).map(([kind, measures]) => [
      kind,
      joi.object({ kind: joi.string().valid(kind).required(), ...Object.fromEntries(measures.map((key) => [key, measure(joi, key)])) }),
    ]),
  );
}

/** A measured shape of any kind. */
export function formSchema(joi: JoiRoot): Joi.Schema {
  const schemas = formSchemas(joi);
  const kinds = Object.entries(schemas).map(([kind, then]) => ({ is: kind, then }));
  return joi
    .object({
      kind: joi
        .string()
        .valid(...Object.keys(schemas))
        .required(),
    })
    .when(joi.ref(".kind"), { switch: kinds });
}
