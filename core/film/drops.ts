import { practice } from "../catalogue/provenance";

/** Drops of water to 1 mL of a standard dropper; a drop off a brush is another thing [published: Ph. Eur. 2.1.1]. */
export const STANDARD_DROPS_PER_ML = 20;
/** Drops that are counted for a dropper to be known. */
export const DROPS_COUNTED = practice(20);
/** Drops to a mL no dropper is beyond. */
export const DROPS_BOUNDS = { least: 4, most: 80 } as const;

/**
 * Drops to a mL of a dropper and a paint, from a spoon they were counted into.
 *
 * @param drops counted
 * @param ml that they came to
 * @returns drops per mL; null where no dropper drops so
 * @example dropsPerMlOf(20, 1) // 20
 */
export function dropsPerMlOf(drops: number, ml: number): number | null {
  const perMl = drops / ml;
  return perMl >= DROPS_BOUNDS.least && perMl <= DROPS_BOUNDS.most ? perMl : null;
}
