import type Joi from "joi";
import type { JarId } from "#core/catalogue/ids";
import type { Jar } from "#core/catalogue/jar";
import { recordIdSchema } from "#core/formats/stores/definition";
import type { JoiRoot } from "#core/formats/stores/definition";
import { jarFields, labelFields } from "#core/formats/stores/shelf";
import { MOST_JARS } from "#core/formats/stores/shelf";
import type { JarChange } from "#core/shelf/jar-change";

/** What the shelf may be asked. */
export type ShelfAsk =
  | { readonly intent: "add"; readonly jars: readonly Jar[] }
  | { readonly intent: "change"; readonly id: string; readonly change: JarChange; readonly seen?: object }
  | { readonly intent: "mix"; readonly id: string; readonly ml: number; readonly at: string }
  | { readonly intent: "copy"; readonly id: string; readonly copy: string }
  | { readonly intent: "remove"; readonly id: JarId; readonly name: string }
  | { readonly intent: "take-theirs"; readonly key: string };

/** Jars that are put on the shelf. */
export function jarsField(joi: JoiRoot): Joi.Schema {
  const { classId, name, label, ...rest } = jarFields(joi);
  const jar = joi.object({ id: recordIdSchema(joi).required(), classId: classId.required(), name: name.required(), label: label.required(), ...rest });
  return joi.array().items(jar).min(1).max(MOST_JARS).required();
}

/** A change of a jar. */
export function jarChangeField(joi: JoiRoot): Joi.Schema {
  const { label, ...fields } = jarFields(joi);
  const optional = ["colour", "openedOn", "sizeMl", "tareG", "paid", "left", "hiding", "mix", "dropsPerMl"];
  const lines = Object.keys(labelFields(joi));
  return joi
    .object({
      set: joi.object(fields),
      clear: joi.array().items(joi.string().valid(...optional)),
      label,
      clearLabel: joi.array().items(joi.string().valid(...lines)),
    })
    .required();
}
