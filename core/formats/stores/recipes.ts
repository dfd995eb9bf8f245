import type { RecipeId } from "../../catalogue/ids";
import { EXPOSURES } from "../../catalogue/use";
import type { Recipe } from "../../coating/model/recipe";
import { MAX_AREA_MM2 } from "../../piece/form";
import { chosenStepSchema, MOST_STEPS } from "../change-schema";
import { zoneSchema } from "../zone-schema";
import { defineStore, recordIdSchema, revSchema } from "./definition";
import type { JoiRoot } from "./definition";

/** A way of working the user keeps. */
export interface RecipeRecord extends Recipe {
  readonly id: RecipeId;
  readonly rev: number;
}

/** Recipes one notebook keeps, at most. */
export const MOST_RECIPES = 500;
export const MAX_RECIPE_NAME = 80;
/** Places of one recipe. */
const MOST_STACKS = 60;

/** What a recipe says, kept or in a file of its own. */
export function recipeFields(joi: JoiRoot) {
  return {
    name: joi.string().trim().min(1).max(MAX_RECIPE_NAME).required(),
    school: joi.string().allow("").max(400).required(),
    appliesTo: joi.object({ material: joi.string().max(80).required(), conditions: joi.array().items(joi.string().max(80)).max(40).required() }).required(),
    stacks: joi
      .array()
      .items(
        joi.object({
          zone: zoneSchema(joi).required(),
          exposure: joi
            .string()
            .valid(...EXPOSURES)
            .required(),
          main: joi.boolean().required(),
          areaMm2: joi.number().min(0).max(MAX_AREA_MM2).required(),
          steps: joi.array().items(chosenStepSchema(joi)).max(MOST_STEPS).required(),
        }),
      )
      .min(1)
      .max(MOST_STACKS)
      .required(),
  };
}

export const RECIPES = defineStore<RecipeRecord>({
  name: "recipes",
  called: "a way of working",
  counted: ["way of working", "ways of working"],
  gone: { told: "Let go" },
  says: { name: "its name", school: "the school", appliesTo: "what it is for", stacks: "its steps" },
  since: 7,
  indexes: {},
  schema: (joi) => joi.object({ id: recordIdSchema(joi).required(), rev: revSchema(joi).required(), ...recipeFields(joi) }),
  meets: {},
  lists: [],
  migrations: [],
});
