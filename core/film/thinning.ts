import { BODIES } from "../catalogue/product-class";
import type { Body, ProductClass } from "../catalogue/product-class";
import { productId } from "../catalogue/ids";
import type { ProductId } from "../catalogue/ids";
import type { Absorbency, Surface } from "../catalogue/material";
import { memory, practice, published } from "../catalogue/provenance";
import type { Role, TechniqueId } from "../catalogue/vocabulary";

export const PURPOSES = ["base", "dots-domed", "dots-level", "swipes", "fine-lines", "wash", "blend", "stencil", "first-coat", "varnish", "stain"] as const;
/** What a coat is to do; each wants paint of its own body. */
export type Purpose = (typeof PURPOSES)[number];

export const THINNING_SCHOOLS = ["water", "fluid-medium", "pouring-medium", "fluid-white", "none"] as const;
/** What painters loosen paint with. Fluid white is a tint at once. */
export type ThinningSchool = (typeof THINNING_SCHOOLS)[number];

/** As it comes out of the jar. */
export const UNTHINNED = productId("none");
export const WATER = productId("water");
export const FLUID_MEDIUM = productId("gloss-fluid-medium");
const SPIRIT = productId("white-spirit");

export const THINNER_OF: Readonly<Record<ThinningSchool, ProductId>> = {
  water: WATER,
  "fluid-medium": FLUID_MEDIUM,
  "pouring-medium": productId("pouring-medium"),
  "fluid-white": productId("fluid-white"),
  none: UNTHINNED,
};

/** Drops of water to a millilitre of a standard dropper. */
export const DROPS_PER_ML = published("Ph. Eur. 2.1.1, standard dropper: 20 drops of water to 1 mL; a drop off a brush is not that");

/** Drops of a standard dropper to 1 mL. */
export const STANDARD_DROPS_PER_ML = 20;

/** log₁₀ of low-shear viscosity, mPa·s, of each plain class of body, in its middle. */
const INDEX_OF = memory<Readonly<Record<Body, number>>>({ pours: 2.2, "self-levels": 3, "soft-dot": 3.7, "domed-dot": 4.4, peaks: 5.2 });
/** Where one class ends and the next begins. */
const UPPER_OF = memory<Readonly<Record<Body, number>>>({ pours: 2.7, "self-levels": 3.35, "soft-dot": 4.05, "domed-dot": 4.8, peaks: Infinity });
/** Index of what paint is loosened with; water acts by a law of its own. */
const MEDIUM_INDEX = memory<Readonly<Record<string, number>>>({ "gloss-fluid-medium": 2.4, "pouring-medium": 3, "fluid-white": 2.4 });
/** Water lowers the index of a thickened paint by this many times log₁₀(1 + t/100). */
const WATER_LOWERS = memory(3.5);

type Kind = "ordinary" | "thick" | "thin";
interface Start {
  readonly school: ThinningSchool;
  /** Per cent of the paint's volume. */
  readonly from: number;
  readonly to: number;
}

const as = (school: ThinningSchool, from: number, to: number): Start => ({ school, from, to });
const AS_IT_COMES: Start = { school: "none", from: 0, to: 0 };

/**
 * Where to start, by purpose and by the paint's own body; null where that paint is the wrong one for it.
 * Drops to a well are common practice, per cent from memory (trade handbook §16).
 */
const STARTS = practice<Readonly<Record<Purpose, Readonly<Record<Kind, Start | null>>>>>({
  base: { ordinary: as("water", 0, 10), thick: as("water", 20, 30), thin: AS_IT_COMES },
  "first-coat": { ordinary: as("water", 20, 30), thick: as("water", 30, 30), thin: as("water", 10, 10) },
  "dots-domed": { ordinary: as("fluid-medium", 0, 10), thick: as("fluid-medium", 15, 25), thin: null },
  "dots-level": { ordinary: as("water", 15, 20), thick: as("fluid-medium", 20, 25), thin: as("water", 10, 10) },
  swipes: { ordinary: as("fluid-medium", 10, 15), thick: as("fluid-medium", 25, 25), thin: AS_IT_COMES },
  "fine-lines": { ordinary: as("fluid-medium", 30, 50), thick: null, thin: as("water", 10, 10) },
  wash: { ordinary: as("water", 100, 150), thick: null, thin: as("water", 50, 50) },
  blend: { ordinary: as("water", 5, 10), thick: as("fluid-medium", 15, 15), thin: AS_IT_COMES },
  stencil: { ordinary: AS_IT_COMES, thick: AS_IT_COMES, thin: null },
  varnish: { ordinary: AS_IT_COMES, thick: AS_IT_COMES, thin: AS_IT_COMES },
  stain: { ordinary: AS_IT_COMES, thick: AS_IT_COMES, thin: AS_IT_COMES },
});

/** The body each purpose wants, as an index, and what the painter sees of it. */
const WANTED = memory<Readonly<Record<Purpose, { readonly from: number; readonly to: number; readonly look: string }>>>({
  base: { from: 2, to: 4.1, look: "it runs off the brush like cream" },
  "first-coat": { from: 1.8, to: 4.1, look: "it runs like milk and soaks in" },
  "dots-domed": { from: 3.5, to: 4.4, look: "a dot keeps its dome and has no peak" },
  "dots-level": { from: 2.8, to: 4.1, look: "the peak of a dot sinks in a few seconds" },
  swipes: { from: 2.2, to: 4.1, look: "it pulls soft, without a string" },
  "fine-lines": { from: 1.8, to: 3.4, look: "it flows off the brush like ink" },
  wash: { from: 0.5, to: 2.8, look: "it is like tea" },
  blend: { from: 2, to: 4.1, look: "it moves slowly, like cream" },
  stencil: { from: 2.9, to: 5.5, look: "it is stiff, on a brush or sponge that is nearly dry" },
  varnish: { from: 0, to: 5.5, look: "it lies even, as the label says" },
  stain: { from: 0, to: 5.5, look: "it soaks in evenly" },
});

/** The plain class each purpose is best done with. */
export const WANTED_BODY = memory<Readonly<Record<Purpose, Body>>>({
  base: "self-levels",
  "first-coat": "pours",
  "dots-domed": "domed-dot",
  "dots-level": "soft-dot",
  swipes: "soft-dot",
  "fine-lines": "self-levels",
  wash: "pours",
  blend: "self-levels",
  stencil: "domed-dot",
  varnish: "pours",
  stain: "pours",
});

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

function kindOf(product: ProductClass): Kind {
  const at = product.film.body === null ? -1 : BODIES.indexOf(product.film.body);
  return at < BODIES.indexOf("soft-dot") ? "thin" : at > BODIES.indexOf("soft-dot") ? "thick" : "ordinary";
}

/** Clear films, sizes, locks and primers of a label's own recipe go on as they come. */
const AS_LABELLED: readonly Role[] = ["size", "isolate", "lock", "seal", "fill"];
const PURPOSE_OF: Partial<Record<TechniqueId, Purpose>> = {
  "walked-dots": "swipes",
  swipes: "swipes",
  blended: "blend",
  swirled: "blend",
  "metallic-wash": "wash",
  bands: "stencil",
  stencil: "stencil",
  "sponge-dots": "stencil",
  lettering: "fine-lines",
  outline: "fine-lines",
};

/**
 * What a coat is for, as far as thinning goes.
 *
 * @param step role and technique of the coat
 */
export function purposeOf({ role, technique }: { readonly role: Role; readonly technique?: TechniqueId | undefined }, product: ProductClass): Purpose {
  if (product.jobs.includes("stain")) return "stain";
  if (AS_LABELLED.includes(role)) return "varnish";
  if (role === "prime") return product.jobs.includes("ground") ? "varnish" : "first-coat";
  if (role === "top-dot") return "dots-domed";
  if (technique === "dots") return kindOf(product) === "thick" ? "dots-domed" : "dots-level";
  // A nozzle lays it as it comes.
  if (technique === "raised-line") return "varnish";
  return (technique && PURPOSE_OF[technique]) ?? "base";
}

/** Whether a coat is poured out and can be thinned at all: not pens, sprays, poured resin, powders, fillers. */
export function isLiquid(product: ProductClass, method: string | undefined): boolean {
  const by = method ?? product.methods[0];
  return product.drying.by !== "none" && by !== "pen" && by !== "spray" && by !== "pour" && !product.jobs.includes("fill");
}

/** Thinning as it is chosen: with what, and how much of it, per cent of the paint's volume. */
export interface ChosenThinning {
  readonly with: ProductId;
  readonly percent: number;
}

/** Rounded as drops are counted: whole drops to a millilitre. */
const PERCENT_PER_DROP = 100 / STANDARD_DROPS_PER_ML;
/** Effects carry a load of flake, mica or dye: more water and they no longer cover. */
const MOST_OF_EFFECT = memory(10);

function startOf(product: ProductClass, purpose: Purpose): Start {
  const kind = kindOf(product);
  const start = STARTS.value[purpose][kind] ?? AS_IT_COMES;
  if (product.traits.includes("cover-by-area") && start.to > MOST_OF_EFFECT.value) return { ...start, from: 0, to: MOST_OF_EFFECT.value };
  return start;
}

/** Whether a paint's body is one that this purpose is done with at all. */
export function suits(product: ProductClass, purpose: Purpose): boolean {
  return STARTS.value[purpose][kindOf(product)] !== null;
}

/** A paint's own thinner where it is no water paint. */
function thinnerFor(product: ProductClass, school: ThinningSchool): ProductId {
  if (school === "none") return UNTHINNED;
  return product.carrier === "water" ? THINNER_OF[school] : SPIRIT;
}

/** Where nothing is as good as a little, one begins with nothing; else in the middle, in whole drops. More can be added, none taken out. */
function usualPercent({ from, to }: Start): number {
  if (from === 0) return 0;
  const middle = (from + to) / 2;
  return Math.max(0, Math.min(to, Math.round(middle / PERCENT_PER_DROP) * PERCENT_PER_DROP));
}

/**
 * How a class is thinned for a purpose when nobody says otherwise.
 *
 * @param surface the bare surface it lies on, which sets how much water it carries
 * @returns per cent of the paint's volume; 0 where it goes on as it comes
 */
export function usualThinning(product: ProductClass, purpose: Purpose, surface: Surface): ChosenThinning {
  const start = startOf(product, purpose);
  const percent = Math.min(usualPercent(start), start.school === "water" && purpose !== "wash" ? waterLimit(product, surface) : Infinity);
  return { with: start.to === 0 ? UNTHINNED : thinnerFor(product, start.school), percent };
}

/** Water a paint carries on this surface before its binder gets lean, per cent of its volume [from memory: trade handbook §8]. */
export function waterLimit(product: ProductClass, surface: Surface): number {
  return product.maxWaterPercent[surface === "slick" ? "slick" : "thirsty"];
}

/** Whether this share of water leaves the binder lean. A wash over a sealed or primed ground is meant to be. */
export function isLean(product: ProductClass, surface: Surface, thinning: ChosenThinning, purpose: Purpose, onGround: boolean): boolean {
  if (thinning.with !== WATER || (purpose === "wash" && onGround)) return false;
  return thinning.percent > waterLimit(product, surface);
}

/** How a dot or line comes out of this paint: right, or on which side it fails. */
export type Fit = "right" | "too-loose" | "too-stiff";

/** Outside the wanted range by less than this nobody sees it, log₁₀ units. */
const CLOSE = memory(0.15);

/** How the body after thinning suits its purpose; right where the class has no body of its own. */
export function fitOf(product: ProductClass, purpose: Purpose, { with: thinner, percent }: ChosenThinning): Fit {
  const index = consistencyOf(product);
  if (index === null) return "right";
  const after = consistencyAfter(index, thinner, percent);
  const { from, to } = WANTED.value[purpose];
  return after < from - CLOSE.value ? "too-loose" : after > to + CLOSE.value ? "too-stiff" : "right";
}

/** Thinning with all that follows from it, as a step of a plan carries it. */
export interface Thinning extends ChosenThinning {
  /** Drops of a standard dropper to 1 mL of paint. */
  readonly dropsPerMlOfPaint: { readonly from: number; readonly to: number };
  /** What the paint does after it; null where the class has no body of its own. */
  readonly body: Body | null;
  /** What the painter sees when it is right. */
  readonly look: string;
  readonly why: string;
}

const WHY: Readonly<Record<Purpose, string>> = {
  base: "a loose coat lies flat and leaves no brush marks",
  "first-coat": "thinned, it sinks into the thirsty surface and binds it",
  "dots-domed": "a little medium takes the peak off a dot and leaves it its dome",
  "dots-level": "loosened, a dot settles round before it sets",
  swipes: "it has to pull soft and break off without a string",
  "fine-lines": "a line wants to flow; medium keeps its binder, water alone makes it lean",
  wash: "it is to tint what lies beneath, not to cover it",
  blend: "colours run into one another only while they move",
  stencil: "thinned, it creeps under the edge",
  varnish: "the label says if it may be thinned",
  stain: "thinned, it only gets paler",
};

/**
 * All that follows from a thinning: drops, body, look and reason.
 *
 * @param dropsPerMl the user's own drops to a millilitre; 20 of a standard dropper where they have not counted
 */
export function thinningFor(product: ProductClass, purpose: Purpose, chosen: ChosenThinning, dropsPerMl = STANDARD_DROPS_PER_ML): Thinning {
  const start = startOf(product, purpose);
  const within = chosen.percent >= start.from && chosen.percent <= start.to && chosen.with !== UNTHINNED;
  const drops = (percent: number) => Math.round((percent / 100) * dropsPerMl * 10) / 10;
  const index = consistencyOf(product);
  return {
    ...chosen,
    dropsPerMlOfPaint: within ? { from: drops(start.from), to: drops(start.to) } : { from: drops(chosen.percent), to: drops(chosen.percent) },
    body: index === null ? null : bodyAt(consistencyAfter(index, chosen.with, chosen.percent)),
    look: WANTED.value[purpose].look,
    why: product.traits.includes("two-part")
      ? "both parts by weight, and nothing else in it"
      : chosen.with === UNTHINNED && purpose === "base"
        ? "it is loose enough as it comes"
        : WHY[purpose],
  };
}

/** Whether an absorbency is thirsty enough for a thinned first coat to sink in. */
export function isThirsty(absorbency: Absorbency): boolean {
  return absorbency === "high" || absorbency === "very-high";
}
