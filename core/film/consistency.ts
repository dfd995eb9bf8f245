import { BODIES } from "../catalogue/product-class";
import type { Body, ProductClass } from "../catalogue/product-class";
import { productId } from "../catalogue/ids";
import type { ProductId } from "../catalogue/ids";
import { memory, practice } from "../catalogue/provenance";

export const THINNING_SCHOOLS = ["water", "fluid-medium", "pouring-medium", "fluid-white", "none"] as const;
/** What painters loosen paint with. Fluid white is a tint at once. */
export type ThinningSchool = (typeof THINNING_SCHOOLS)[number];

/** As it comes out of the jar. */
export const UNTHINNED = productId("none");
export const WATER = productId("water");
export const FLUID_MEDIUM = productId("gloss-fluid-medium");
export const SPIRIT = productId("white-spirit");

export const THINNER_OF: Readonly<Record<ThinningSchool, ProductId>> = {
  water: WATER,
  "fluid-medium": FLUID_MEDIUM,
  "pouring-medium": productId("pouring-medium"),
  "fluid-white": productId("fluid-white"),
  none: UNTHINNED,
};

/** The school a thinner is of; a solvent is of none. */
export function schoolOf(thinner: ProductId): ThinningSchool {
  return THINNING_SCHOOLS.find((school) => THINNER_OF[school] === thinner) ?? "none";
}

/** What each school trades [common practice]. */
export const SCHOOL_TRADES = practice<Readonly<Record<ThinningSchool, string>>>({
  water: "water costs nothing and dries fastest; too much of it leaves the paint lean, and it chalks and lifts",
  "fluid-medium": "medium keeps the paint strong however thin; it costs more and dries a little glossier",
  "pouring-medium": "pouring medium levels the best and stays wet the longest",
  "fluid-white": "fluid white loosens the paint and keeps it covering, and makes it paler",
  none: "as it comes it is the same every time; thick paint leaves marks and peaks",
});

/** Two tests at the table that place a paint of the user's own: what it does on a tilted spoon, and what becomes of the peak of a dot [from memory]. */
export const BENCH_TESTS = memory<Readonly<Record<Body, { readonly spoon: string; readonly peak: string }>>>({
  pours: { spoon: "it runs off at once", peak: "it leaves none at all" },
  "self-levels": { spoon: "it slides off in a ribbon", peak: "gone in a second or two" },
  "soft-dot": { spoon: "it creeps to the edge and drops", peak: "sinks within ten seconds" },
  "domed-dot": { spoon: "it hangs, then falls in a lump", peak: "rounds off within a minute" },
  peaks: { spoon: "it stays on", peak: "still stands after a minute" },
});

/** log₁₀ of low-shear viscosity, mPa·s, of each plain class of body, in its middle. */
const INDEX_OF = memory<Readonly<Record<Body, number>>>({ pours: 2.2, "self-levels": 3, "soft-dot": 3.7, "domed-dot": 4.4, peaks: 5.2 });
/** Where one class ends and the next begins. */
const UPPER_OF = memory<Readonly<Record<Body, number>>>({ pours: 2.7, "self-levels": 3.35, "soft-dot": 4.05, "domed-dot": 4.8, peaks: Infinity });
/** Index of what paint is loosened with; water acts by a law of its own. */
const MEDIUM_INDEX = memory<Readonly<Record<string, number>>>({ "gloss-fluid-medium": 2.4, "pouring-medium": 3, "fluid-white": 2.4 });
/** Water lowers the index of a thickened paint by this many times log₁₀(1 + t/100). */
const WATER_LOWERS = memory(3.5);

/** Plain class of an index. @example bodyAt(3.4) // "soft-dot" */
export function bodyAt(index: number): Body {
  return BODIES.find((body) => index < UPPER_OF.value[body]) ?? "peaks";
}

/**
 * Consistency of a class as it comes: log₁₀ of its low-shear viscosity in mPa·s.
 *
 * @returns null for what has no body of its own: clears, stains and powders
 */
export function consistencyOf(product: ProductClass): number | null {
  return product.film.body === null ? null : INDEX_OF.value[product.film.body];
}

/**
 * Consistency after thinning. Water acts on the thickener, −3.5·log₁₀(1 + t/100) [from memory]; mediums and fluid white mix by the
 * volume-weighted mean of the logarithms [published: Arrhenius mixing rule].
 *
 * @param index log₁₀ of low-shear viscosity as it comes
 * @param thinner what it is loosened with
 * @param percent of the paint's volume, 0 or more
 * @returns the index after it
 * @example consistencyAfter(3.7, WATER, 20).toFixed(2) // "3.42"
 */
export function consistencyAfter(index: number, thinner: ProductId, percent: number): number {
  if (percent <= 0) return index;
  const medium = MEDIUM_INDEX.value[thinner];
  if (medium === undefined) return index - WATER_LOWERS.value * Math.log10(1 + percent / 100);
  const share = percent / (100 + percent);
  return index * (1 - share) + medium * share;
}
