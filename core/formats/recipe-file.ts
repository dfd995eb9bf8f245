import Joi from "joi";
import type { Catalogue } from "../catalogue/catalogue";
import type { Recipe } from "../coating/model/recipe";
import { checkShape } from "./check-shape";
import { bad, good } from "./problem";
import type { Parsed } from "./problem";
import { recipeFields } from "./stores/recipes";

export const RECIPE_FORMAT = "nook-coat/recipe";
export const RECIPE_VERSION = 1;

const RECIPE_SCHEMA = Joi.object({
  format: Joi.string().valid(RECIPE_FORMAT).required(),
  version: Joi.number().valid(RECIPE_VERSION).required(),
  ...recipeFields(Joi),
});

/**
 * A way of working as a file of its own, to hand on. Jars are one's own: they stay at home, the colours go along.
 *
 * @returns a JSON document
 */
export function writeRecipe({ name, school, appliesTo, stacks }: Recipe): string {
  const shared = stacks.map((stack) => ({ ...stack, steps: stack.steps.map(({ jar: _jar, ...step }) => step) }));
  return `${JSON.stringify({ format: RECIPE_FORMAT, version: RECIPE_VERSION, name, school, appliesTo, stacks: shared }, null, 2)}\n`;
}

/** What the catalogue does not know of a recipe, with its path; null where it knows all of it. */
function unknownIn({ appliesTo, stacks }: Recipe, { materials, products, aids }: Catalogue): { readonly path: string; readonly id: string } | null {
  if (!materials.has(appliesTo.material)) return { path: "appliesTo.material", id: appliesTo.material };
  for (const [index, { steps }] of stacks.entries())
    for (const [at, { product }] of steps.entries())
      if (!products.has(product) && !aids.has(product)) return { path: `stacks.${index}.steps.${at}.product`, id: product };
  return null;
}

/**
 * Reads a way of working from text: all of it, or what is wrong with it and where.
 *
 * @param text a JSON document
 */
export function readRecipe(text: string, catalogue: Catalogue): Parsed<Recipe> {
  let document: unknown;
  try {
    document = JSON.parse(text.replace(/^\uFEFF/, ""));
  } catch {
    return bad("not-json", "", "this file is damaged, or is no way of working: it is not JSON");
  }
  const { format, version } = (typeof document === "object" && document !== null ? document : {}) as { readonly format?: unknown; readonly version?: unknown };
  if (format !== RECIPE_FORMAT) return bad("bad-value", "format", "this is not a way of working of Nook Coat");
  if (typeof version === "number" && version > RECIPE_VERSION)
    return bad("too-new", "version", `this file is version ${version}; this Nook Coat reads version ${RECIPE_VERSION}. Open it with the newer Nook Coat`);
  const shape = checkShape<Recipe & { readonly format: string; readonly version: number }>(RECIPE_SCHEMA, document);
  if (!shape.ok) return shape as Parsed<never>;
  const { format: _format, version: _version, ...recipe } = shape.value;
  const unknown = unknownIn(recipe, catalogue);
  return unknown ? bad("unknown-id", unknown.path, `"${unknown.id}" is nothing this Nook Coat knows`) : good(recipe);
}
