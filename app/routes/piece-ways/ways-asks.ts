import type Joi from "joi";
import type { Change } from "#core/coating/model/change";
import type { Recipe } from "#core/coating/model/recipe";
import { MOST_CHANGES, stepChangeSchema } from "#core/formats/change-schema";
import { recordIdSchema } from "#core/formats/stores/definition";
import type { JoiRoot } from "#core/formats/stores/definition";
import { MAX_RECIPE_NAME, recipeFields } from "#core/formats/stores/recipes";
import { coatsField, followedField } from "~/piece/change-asks";
import type { CoatEvent } from "#core/logbook/progress";
import { instantSchema } from "#core/formats/hours-schema";
import type { Followed } from "~/store/plans";

/** What the ways of a piece may be asked. */
export type WaysAsk =
  | { readonly intent: "follow"; readonly followed: Followed }
  | { readonly intent: "follow-own"; readonly followed: Followed; readonly edits: readonly Change[] }
  | { readonly intent: "on-it"; readonly followed: Followed; readonly days: readonly { readonly at: string; readonly coats: readonly CoatEvent[] }[] }
  | { readonly intent: "keep"; readonly id: string; readonly recipe: Recipe }
  | { readonly intent: "rename"; readonly id: string; readonly name: string }
  | { readonly intent: "let-go"; readonly id: string; readonly name: string };

export const WAYS_FIELDS: { readonly [I in WaysAsk["intent"]]: (joi: JoiRoot) => Readonly<Record<string, Joi.Schema>> } = {
  follow: (joi) => ({ followed: followedField(joi) }),
  "follow-own": (joi) => ({ followed: followedField(joi), edits: joi.array().items(stepChangeSchema(joi)).max(MOST_CHANGES).required() }),
  "on-it": (joi) => ({
    followed: followedField(joi),
    days: joi
      .array()
      .items(joi.object({ at: instantSchema(joi).required(), coats: coatsField(joi) }))
      .min(1)
      .max(60)
      .required(),
  }),
  keep: (joi) => ({ id: recordIdSchema(joi).required(), recipe: joi.object(recipeFields(joi)).required() }),
  rename: (joi) => ({ id: recordIdSchema(joi).required(), name: joi.string().trim().min(1).max(MAX_RECIPE_NAME).required() }),
  "let-go": (joi) => ({ id: recordIdSchema(joi).required(), name: joi.string().max(MAX_RECIPE_NAME).required() }),
};
