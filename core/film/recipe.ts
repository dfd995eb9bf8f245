import { memory } from "../catalogue/provenance";
import { colourDifference } from "./colour";
import { mixedColour } from "./mix";
import type { MixPaint } from "./mix";
import { STANDARD_DROPS_PER_ML } from "./drops";

/** A paint with its share of a mixture, 0–1. */
export interface Shared extends MixPaint {
  readonly id: string;
  readonly share: number;
  /** Drops of it to 1 mL; the standard dropper's where absent. */
  readonly dropsPerMl?: number;
  /** What a mL of it cost, in the user's money; unknown where absent. */
  readonly pricePerMl?: number;
}

/** More whole parts than this nobody measures out. */
const MOST_PARTS = 40;
/** Whole parts may be off the exact mixture by this much, ΔE00: nobody sees it [published: Paravina et al. 2015, perceptible from about 0.8]. */
const UNSEEN = 0.8;

/** Every way to round shares to whole parts of a number that leaves none out. */
function partsOf(shares: readonly number[], whole: number): readonly number[] | null {
  const floors = shares.map((share) => Math.max(1, Math.floor(share * whole)));
  let left = whole - floors.reduce((sum, one) => sum + one, 0);
  if (left < 0) return null;
  const order = shares.map((share, at) => ({ at, rest: share * whole - floors[at]! })).sort((a, b) => b.rest - a.rest);
  for (const { at } of order) {
    if (left === 0) break;
    floors[at]! += 1;
    left -= 1;
  }
  return left === 0 ? floors : null;
}

/**
 * A mixture in the smallest whole parts that nobody can tell from it.
 *
 * @returns parts in the order of the paints, none of them 0
 * @example wholeParts([{ id: "a", share: 0.8, colour: "#ffffff", contrastRatio: 0.9 }, { id: "b", share: 0.2, colour: "#c5281f", contrastRatio: 0.9 }]) // [4, 1]
 */
export function wholeParts(paints: readonly Shared[]): readonly number[] {
  const exact = mixedColour(paints.map((paint) => ({ ...paint, parts: paint.share })));
  let nearest: { readonly parts: readonly number[]; readonly far: number } | null = null;
  for (let whole = paints.length; whole <= MOST_PARTS; whole += 1) {
    const parts = partsOf(
      paints.map(({ share }) => share),
      whole,
    );
    if (!parts) continue;
    const far = colourDifference(mixedColour(paints.map((paint, at) => ({ ...paint, parts: parts[at]! }))), exact);
    if (far < UNSEEN) return parts;
    if (!nearest || far < nearest.far) nearest = { parts, far };
  }
  return nearest?.parts ?? paints.map(() => 1);
}

/** How much of a paint goes in. */
export interface Measured {
  readonly id: string;
  readonly ml: number;
  readonly drops: number;
}

/**
 * A recipe for so much of it: the volumes sum to it whatever the shares.
 *
 * @param volumeMl of the mixture, mL
 */
export function measuredOut(paints: readonly Shared[], volumeMl: number): readonly Measured[] {
  const whole = paints.reduce((sum, { share }) => sum + share, 0);
  return paints.map(({ id, share, dropsPerMl = STANDARD_DROPS_PER_ML }) => {
    const ml = (share / whole) * volumeMl;
    return { id, ml, drops: Math.round(ml * dropsPerMl) };
  });
}

/** What a painter mixes more than the plan wants, a share of it: a second batch must match the first, and never quite does [from memory]. */
export const RESERVE = memory(0.15);

/** So much is mixed for so much that is wanted. */
export const withReserve = (ml: number) => ml * (1 + RESERVE.value);

/** What comes out of a jar that is tipped without counting, mL [from memory]. */
const TIPPED_ML = memory(2);

/**
 * What is mixed too much where a mixture is begun with its strongest paint: tipped out once, it wants so much of the other to come to the colour.
 *
 * @param strongestShare share of the paint begun with, 0–1
 * @param volumeMl that is wanted, mL
 * @returns mL over, from 0
 * @example overflow(0.05, 10) // 30
 */
export function overflow(strongestShare: number, volumeMl: number): number {
  return strongestShare <= 0 ? 0 : Math.max(0, TIPPED_ML.value / strongestShare - volumeMl);
}

/** What a recipe costs, in the user's money; null while any paint in it has no price. */
export function costOf(paints: readonly Shared[], volumeMl: number): number | null {
  const whole = paints.reduce((sum, { share }) => sum + share, 0);
  let cost = 0;
  for (const { share, pricePerMl } of paints) {
    if (pricePerMl === undefined) return null;
    cost += (share / whole) * volumeMl * pricePerMl;
  }
  return cost;
}

/** Fluid white as it is sold for thinning: a white, not very strong [from memory]. */
const FLUID_WHITE = memory({ colour: "#fbfaf6", contrastRatio: 0.75 });

/**
 * What a colour comes to when it is thinned with fluid white: thinning with it is a tint.
 *
 * @param percent of the paint's volume, 0 or more
 * @returns sRGB hex
 */
export function thinnedWithWhite(paint: MixPaint, percent: number): string {
  return percent <= 0
    ? paint.colour
    : mixedColour([
        { ...paint, parts: 100 },
        { ...FLUID_WHITE.value, parts: percent },
      ]);
}
