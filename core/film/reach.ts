import { memory } from "../catalogue/provenance";
import { COLOUR_NAMES } from "./colour-names";
import { plainest, REACHES_BELOW, tint } from "./tint";
import type { Recipe, TintPaint } from "./tint";

/** Something to buy that makes a colour reachable. */
export interface WouldReach {
  /** A plain name of a colour, as it is asked for in a shop. */
  readonly names: readonly string[];
  readonly recipe: Recipe;
}

/** Strong plain colours that much can be mixed from: what is worth buying before a ready-made tint [from memory]. */
const MIXERS = memory([
  "white",
  "black",
  "lemon",
  "yellow",
  "ochre",
  "orange",
  "scarlet",
  "red",
  "crimson",
  "magenta",
  "violet",
  "purple",
  "blue",
  "turquoise",
  "green",
  "bottle green",
  "brown",
]);
/** A shop's jar among paints: told apart by its id. */
const SHOP = "shop/";
/** Jars that are tried in pairs: those that come nearest alone. */
const NEAREST_TRIED = 7;

const shopJar = (name: string): TintPaint => ({ id: `${SHOP}${name}`, colour: COLOUR_NAMES[name]! });
export const isOfShop = (id: string) => id.startsWith(SHOP);
export const shopName = (id: string) => id.slice(SHOP.length);

/** The plainest recipe that has all of some jars in it. */
function withAll(target: string, paints: readonly TintPaint[], names: readonly string[]): WouldReach | null {
  const jars = names.map(shopJar);
  const { recipes } = tint({ target, paints: [...paints, ...jars] });
  const having = recipes.filter(({ parts }) => jars.every(({ id }) => parts.some((part) => part.id === id)));
  const recipe = plainest(having);
  return recipe && { names, recipe };
}

/**
 * The one jar that would reach a colour with what there is, or the two where one does not do.
 *
 * @param target sRGB hex
 * @param paints what the painter owns
 * @returns null where the colour lies beyond all plain paints: what the sun lends it no paint has
 */
export function jarsToReach(target: string, paints: readonly TintPaint[]): WouldReach | null {
  const tried = MIXERS.value.flatMap((name) => withAll(target, paints, [name]) ?? []).sort((a, b) => a.recipe.deltaE - b.recipe.deltaE);
  const reaching = tried.filter(({ recipe }) => recipe.deltaE < REACHES_BELOW);
  const fewest = [...reaching].sort((a, b) => a.recipe.parts.length - b.recipe.parts.length || a.recipe.deltaE - b.recipe.deltaE)[0];
  if (fewest) return fewest;
  const near = tried.slice(0, NEAREST_TRIED).map(({ names }) => names[0]!);
  const pairs = near.flatMap((one, at) => near.slice(at + 1).flatMap((other) => withAll(target, paints, [one, other]) ?? []));
  return pairs.sort((a, b) => a.recipe.deltaE - b.recipe.deltaE).find(({ recipe }) => recipe.deltaE < REACHES_BELOW) ?? null;
}
