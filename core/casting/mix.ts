import { POWDERS } from "./compound";

/** Water at room temperature, g/mL; between 5 and 30 °C it is within half a hundredth of it. */
const WATER_G_PER_ML = 1;

/** A ratio by weight, and the density of the powder's grains where a label gives it. */
export interface Ratio {
  /** Grams of water to 100 g of powder. */
  readonly waterPer100: number;
  /** g/cm³. */
  readonly densityGPerMl?: number;
}

/** Water and powder, weighed. */
export interface Mix {
  readonly waterG: number;
  readonly powderG: number;
}

const PER_100 = 100;

/**
 * What a slurry takes up: the water, and the grains between it. Air that is stirred in comes on top.
 *
 * @param densityGPerMl of the grains, g/cm³; of hemihydrate where it is left out
 * @returns mL
 * @example Math.round(slurryMl({ waterG: 232, powderG: 612 })) // 456
 */
export function slurryMl({ waterG, powderG }: Mix, densityGPerMl = POWDERS.gypsum.typical.densityGPerMl.value): number {
  return waterG / WATER_G_PER_ML + powderG / densityGPerMl;
}

/**
 * Water and powder for a volume of slurry.
 *
 * @param ml from 0
 * @returns both in g, in the ratio
 * @example Math.round(mixFor(456, { waterPer100: 38 }).powderG) // 611
 */
export function mixFor(ml: number, { waterPer100, densityGPerMl }: Ratio): Mix {
  const perG = slurryMl({ waterG: waterPer100 / PER_100, powderG: 1 }, densityGPerMl);
  const powderG = ml / perG;
  return { waterG: (powderG * waterPer100) / PER_100, powderG };
}

/** The ratio a mix was weighed in, g of water to 100 g of powder. */
export function ratioOf({ waterG, powderG }: Mix): number {
  return (waterG / powderG) * PER_100;
}

/** Volume of a mould that holds so much water, mL. */
export function volumeOfWater(waterG: number): number {
  return waterG / WATER_G_PER_ML;
}

/** What is weighed of the bowl goes together. */
export function weightOf({ waterG, powderG }: Mix): number {
  return waterG + powderG;
}

/** Too much of one is in the bowl, or too little yet. */
export interface PutRight {
  /** What the bowl holds when it is right. */
  readonly mix: Mix;
  /** More of the mix than was wanted, g: the reserve it makes; below 0 it falls short. */
  readonly extraG: number;
}

/**
 * Brings a bowl right in which too much of one stands: nothing is poured off, the other follows it.
 *
 * @param inBowl the water, or the powder, that is in the bowl, g; above 0
 * @param wanted what was to be weighed
 * @returns both as they are to be, and what it makes beyond the wanted
 * @example Math.round(putRight({ waterG: 250 }, { waterG: 232, powderG: 611 }, { waterPer100: 38 }).mix.powderG) // 658
 */
export function putRight(inBowl: { readonly waterG: number } | { readonly powderG: number }, wanted: Mix, { waterPer100 }: Ratio): PutRight {
  const mix: Mix =
    "waterG" in inBowl
      ? { waterG: inBowl.waterG, powderG: (inBowl.waterG * PER_100) / waterPer100 }
      : { waterG: (inBowl.powderG * waterPer100) / PER_100, powderG: inBowl.powderG };
  return { mix, extraG: weightOf(mix) - weightOf(wanted) };
}
