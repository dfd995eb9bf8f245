import { memory } from "../catalogue/provenance";
import { lightness, LIGHT_ABOVE } from "./colour";
import { SOLID_BELOW } from "./hiding";
import { labOfRatios, MixSpace, ratiosOfColour } from "./mix-space";
import type { Lab } from "./mix-space";
import { mixedColour, usualContrastRatio } from "./mix";
import type { MixPaint } from "./mix";
import { STANDARD_DROPS_PER_ML } from "./drops";
import { apart, searchBlends } from "./tint-search";
import type { Blend } from "./tint-search";

/** A paint that may go into a mixture. */
export interface TintPaint extends Omit<MixPaint, "contrastRatio"> {
  readonly id: string;
  /** Luminance of one coat over black ÷ over white, 0–1; as is usual for so dark a colour where absent. */
  readonly contrastRatio?: number;
  /** Drops of it to 1 mL; those of the whole question where absent. */
  readonly dropsPerMl?: number;
}

/** A colour that is wanted, and what there is to mix it from. */
export interface TintAsk {
  /** sRGB hex. */
  readonly target: string;
  readonly paints: readonly TintPaint[];
  /** Paints that are taken in too where those do not come to it. */
  readonly further?: readonly TintPaint[];
  /** mL of the mixture; 10 where absent. */
  readonly volumeMl?: number;
  /** Paints in one mixture at most, 1 to 3; 3 where absent. */
  readonly parts?: number;
  readonly dropsPerMl?: number;
}

export interface RecipePart {
  readonly id: string;
  /** Of the mixture's volume; all of them are 1. */
  readonly share: number;
  readonly ml: number;
  readonly drops: number;
}

/** One way to come to a colour, in drops that can be counted. */
export interface Recipe {
  readonly parts: readonly RecipePart[];
  /** sRGB hex it comes to. */
  readonly colour: string;
  /** CIEDE2000 from the colour that is wanted. */
  readonly deltaE: number;
  /** The paint that is poured out first; the others are added to it by the drop. */
  readonly startWith: string;
}

export interface TintAnswer {
  /** Some recipe looks the same. */
  readonly reachable: boolean;
  /** Best first. */
  readonly recipes: readonly Recipe[];
}

const USUAL_VOLUME_ML = 10;
const MOST_RECIPES = 6;
/** Blends that are put into drops. */
const MOST_COUNTED = 24;
/** Below this ΔE00 a mixture looks the same as the colour that is wanted. */
export const REACHES_BELOW = SOLID_BELOW;
/** More drops than this nobody counts: beyond it a recipe is told in mL, to this many parts of the whole. */
const MOST_DROPS = memory(2000);

export const paintOf = (paint: TintPaint): MixPaint => ({ ...paint, contrastRatio: paint.contrastRatio ?? usualContrastRatio(paint.colour) });

/**
 * The paint a mixture is begun with: the most of it; of a pale mixture its lightest paint, for a pale colour begun with the strong one ends in a bucket.
 *
 * @param parts paints of a mixture with their shares
 */
export function startOf<P extends { readonly share: number; readonly colour: string }>(parts: readonly P[], mixed: string): P {
  const lightest = [...parts].sort((a, b) => lightness(b.colour) - lightness(a.colour))[0]!;
  const most = [...parts].sort((a, b) => b.share - a.share || lightness(b.colour) - lightness(a.colour))[0]!;
  return lightness(mixed) > LIGHT_ABOVE && lightest.share >= most.share / 2 ? lightest : most;
}

/** Whole drops beside the exact shares: every way to round them up or down that leaves their sum. */
function roundings(exact: readonly number[], whole: number): readonly (readonly number[])[] {
  const spread = (index: number, left: number): readonly (readonly number[])[] => {
    if (index === exact.length - 1) return left >= 0 ? [[left]] : [];
    const near = Math.round(exact[index]!);
    return [near - 1, near, near + 1].filter((one) => one >= 0 && one <= left).flatMap((one) => spread(index + 1, left - one).map((rest) => [one, ...rest]));
  };
  return spread(0, whole);
}

/** Drops of a blend that come nearest to a colour. */
function counted(space: MixSpace, { which, weights }: Blend, target: Lab, whole: number): { readonly drops: readonly number[]; readonly apart: number } {
  const own = space.only(which);
  const exact = own.sharesOf(weights).map((share) => share * whole);
  const tried = roundings(exact, whole).map((drops) => ({ drops, apart: apart(labOfRatios(own.blend(own.weightsOf(drops))), target) }));
  return tried.sort((a, b) => a.apart - b.apart)[0]!;
}

/** A blend in drops as a recipe. */
function recipeOf(paints: readonly TintPaint[], drops: readonly number[], deltaE: number, ask: Required<Pick<TintAsk, "volumeMl" | "dropsPerMl">>): Recipe {
  const whole = drops.reduce((sum, one) => sum + one, 0);
  const used = paints.flatMap((paint, index) => (drops[index]! > 0 ? [{ paint, colour: paint.colour, share: drops[index]! / whole }] : []));
  const colour = mixedColour(used.map(({ paint, share }) => ({ ...paintOf(paint), parts: share })));
  const parts = used.map(({ paint, share }): RecipePart => {
    const ml = share * ask.volumeMl;
    return { id: paint.id, share, ml, drops: Math.round(ml * (paint.dropsPerMl ?? ask.dropsPerMl)) };
  });
  return { parts: [...parts].sort((a, b) => b.share - a.share), colour, deltaE, startWith: startOf(used, colour).paint.id };
}

/**
 * Mixes a colour from paints, step by step: each step says how far it has come, 0–1, so that it may be left.
 *
 * @param ask see `TintAsk`
 * @returns recipes, best first
 */
export function* tinting({ further = [], ...ask }: TintAsk): Generator<number, TintAnswer> {
  const first = yield* mixing(ask);
  return first.reachable || further.length === 0 ? first : yield* mixing({ ...ask, paints: [...ask.paints, ...further] });
}

function* mixing(ask: Omit<TintAsk, "further">): Generator<number, TintAnswer> {
  const { target, paints, volumeMl = USUAL_VOLUME_ML, parts = 3, dropsPerMl = STANDARD_DROPS_PER_ML } = ask;
  if (paints.length === 0) return { reachable: false, recipes: [] };
  const mixable = paints.map(paintOf);
  const blends = yield* searchBlends(mixable, target, parts);
  const whole = Math.max(1, Math.min(MOST_DROPS.value, Math.round(volumeMl * dropsPerMl)));
  const space = MixSpace.of(mixable);
  const wanted = labOfRatios(ratiosOfColour(target));
  const recipes = new Map<string, Recipe>();
  for (const blend of blends.slice(0, MOST_COUNTED)) {
    const { drops, apart: far } = counted(space, blend, wanted, whole);
    const recipe = recipeOf(
      blend.which.map((index) => paints[index]!),
      drops,
      far,
      { volumeMl, dropsPerMl },
    );
    const key = recipeKey(recipe);
    if ((recipes.get(key)?.deltaE ?? Infinity) > far) recipes.set(key, recipe);
  }
  const best = [...recipes.values()].sort((a, b) => a.deltaE - b.deltaE || a.parts.length - b.parts.length);
  return { reachable: (best[0]?.deltaE ?? Infinity) < REACHES_BELOW, recipes: best.slice(0, MOST_RECIPES) };
}

/** Runs what goes step by step to its end. */
export function finished<T>(steps: Generator<number, T>): T {
  let step = steps.next();
  while (step.done !== true) step = steps.next();
  return step.value;
}

/**
 * Recipes for a colour from paints.
 *
 * @param ask sRGB hexes, mL, at most 3 paints to a mixture
 * @returns recipes in drops, best first; whether any looks the same (ΔE00 under 2)
 */
export function tint(ask: TintAsk): TintAnswer {
  return finished(tinting(ask));
}

/** How near a mixture comes to its colour, as the eye takes it. */
export type Nearness = "same" | "alike" | "close" | "near" | "far";

/** ΔE00 up to which each holds [published for the first two: Paravina et al. 2015, perceptible from about 0.8, acceptable to about 1.8; the others from memory]. */
const NEARNESS: readonly (readonly [Nearness, number])[] = [
  ["same", 1],
  ["alike", REACHES_BELOW],
  ["close", 4],
  ["near", 10],
];

/** @param deltaE CIEDE2000 of a mixture from the colour that is wanted */
export function nearnessOf(deltaE: number): Nearness {
  return NEARNESS.find(([, below]) => deltaE < below)?.[0] ?? "far";
}

/** Whether a mixture is worth telling of: side by side a difference is seen, and no more. */
export function isWorthTelling({ deltaE }: Pick<Recipe, "deltaE">): boolean {
  return !["near", "far"].includes(nearnessOf(deltaE));
}

/** Which paints a recipe is of. */
export function recipeKey({ parts }: Pick<Recipe, "parts">): string {
  return parts
    .map(({ id }) => id)
    .sort()
    .join("/");
}

/** A difference the eye hardly makes, ΔE00 [from memory]: for so little nobody fetches another jar. */
const HARDLY = memory(0.7);

/**
 * The recipe to be shown first: the fewest paints whose mixture looks no worse than the best.
 *
 * @returns null where there is none
 */
export function plainest(recipes: readonly Recipe[]): Recipe | null {
  const [best] = recipes;
  if (!best) return null;
  const enough = Math.max(best.deltaE + HARDLY.value, 1);
  return [...recipes].filter(({ deltaE }) => deltaE <= enough).sort((a, b) => a.parts.length - b.parts.length || a.deltaE - b.deltaE)[0]!;
}
