import { memory } from "../catalogue/provenance";
import { COLOUR_NAMES } from "./colour-names";
import { finished, plainest, REACHES_BELOW, tint } from "./tint";
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
/** Of the painter's own paints so many are tried beside two jars: those that were of most use beside one. */
const OWN_TRIED = 8;

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

/** Own paints by how often they stand in recipes. */
function mostUseful(tried: readonly WouldReach[], paints: readonly TintPaint[]): readonly TintPaint[] {
  const uses = (id: string) => tried.filter(({ recipe }) => recipe.parts.some((part) => part.id === id)).length;
  return [...paints].sort((a, b) => uses(b.id) - uses(a.id)).slice(0, OWN_TRIED);
}

/** The plainest of what reaches: fewest paints, then nearest. */
function bestReaching(tried: readonly WouldReach[]): WouldReach | null {
  const reaching = tried.filter(({ recipe }) => recipe.deltaE < REACHES_BELOW);
  return [...reaching].sort((a, b) => a.recipe.parts.length - b.recipe.parts.length || a.recipe.deltaE - b.recipe.deltaE)[0] ?? null;
}

/**
 * The one jar that would reach a colour with what there is, or the two where one does not do, jar by jar, so that it may be left.
 *
 * @param target sRGB hex
 * @param paints what the painter owns
 * @returns null where the colour lies beyond all plain paints: it is brighter than mixtures are
 */
export function* reaching(target: string, paints: readonly TintPaint[]): Generator<number, WouldReach | null> {
  const names = MIXERS.value;
  const tried: WouldReach[] = [];
  for (const [at, name] of names.entries()) {
    tried.push(...[withAll(target, paints, [name])].flatMap((one) => one ?? []));
    yield at / names.length / 2;
  }
  const one = bestReaching(tried);
  if (one) return one;
  const own = mostUseful(tried, paints);
  const pairs: WouldReach[] = [];
  for (const [at, name] of names.entries()) {
    for (const other of names.slice(at + 1)) pairs.push(...[withAll(target, own, [name, other])].flatMap((found) => found ?? []));
    yield 0.5 + at / names.length / 2;
  }
  return bestReaching(pairs);
}

/** What would reach a colour; see `reaching`. */
export function jarsToReach(target: string, paints: readonly TintPaint[]): WouldReach | null {
  return finished(reaching(target, paints));
}
