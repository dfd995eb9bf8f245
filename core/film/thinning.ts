import type { Body, ProductClass } from "../catalogue/product-class";
import type { ProductId } from "../catalogue/ids";
import type { Absorbency, Surface } from "../catalogue/material";
import { memory } from "../catalogue/provenance";
import { bodyAt, consistencyAfter, consistencyOf, THINNER_OF, UNTHINNED, WATER, SPIRIT } from "./consistency";
import type { ThinningSchool } from "./consistency";
import { STANDARD_DROPS_PER_ML } from "./drops";
import { AS_IT_COMES, kindOf, STARTS, WANTED, WHY } from "./purposes";
import type { Purpose, Start } from "./purposes";

/** Thinning as it is chosen: with what, and how much of it, per cent of the paint's volume. */
export interface ChosenThinning {
  readonly with: ProductId;
  readonly percent: number;
}

/** One drop of a standard dropper to 1 mL of paint, per cent of it. */
export const PERCENT_PER_DROP = 100 / STANDARD_DROPS_PER_ML;
/** More than four times its volume makes nothing of a paint. */
export const MOST_PERCENT = 400;
/** Drops to begin with, where it went on as it comes. */
const FIRST_DROPS = 2;

/** What the user loosens a coat with when they add a drop: what is in it already, else what its paint is carried in. */
export function looseningOf({ with: thinner }: ChosenThinning, waterborne: boolean): ProductId {
  if (thinner !== UNTHINNED) return thinner;
  return waterborne ? WATER : SPIRIT;
}

/** The same coat with another thinner in it: as much of it as before, or a first drop or two. */
export function thinnedWith({ percent }: ChosenThinning, thinner: ProductId): ChosenThinning {
  return { with: thinner, percent: thinner === UNTHINNED ? 0 : percent || FIRST_DROPS * PERCENT_PER_DROP };
}
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
  const thinner = start.to === 0 ? UNTHINNED : thinnerFor(product, start.school);
  return { with: thinner, percent: Math.min(usualPercent(start), mostOf(thinner, product, purpose, surface)) };
}

/** Water a paint carries on this surface before its binder gets lean, per cent of its volume [from memory: trade handbook §8]. */
export function waterLimit(product: ProductClass, surface: Surface): number {
  return product.maxWaterPercent[surface === "slick" ? "slick" : "thirsty"];
}

/** The most of a thinner that is told unasked, per cent: water as far as the binder bears it; a wash is meant to be lean. */
export function mostOf(thinner: ProductId, product: ProductClass, purpose: Purpose, surface: Surface): number {
  return thinner === WATER && purpose !== "wash" ? waterLimit(product, surface) : Infinity;
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

/**
 * All that follows from a thinning: drops, body, look and reason.
 *
 * @param surface the bare surface it lies on
 * @param dropsPerMl the user's own drops to a millilitre; 20 of a standard dropper where they have not counted
 */
export function thinningFor(product: ProductClass, purpose: Purpose, surface: Surface, chosen: ChosenThinning, dropsPerMl = STANDARD_DROPS_PER_ML): Thinning {
  const start = startOf(product, purpose);
  // A range where nobody has said otherwise; the user's own drops are told as they counted them.
  const usual = usualThinning(product, purpose, surface);
  const isUsual = chosen.with === usual.with && chosen.percent === usual.percent && chosen.with !== UNTHINNED;
  const most = mostOf(chosen.with, product, purpose, surface);
  const drops = (percent: number) => Math.round((Math.min(percent, isUsual ? most : Infinity) / 100) * dropsPerMl * 10) / 10;
  const index = consistencyOf(product);
  return {
    ...chosen,
    dropsPerMlOfPaint: isUsual ? { from: drops(start.from), to: drops(start.to) } : { from: drops(chosen.percent), to: drops(chosen.percent) },
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
