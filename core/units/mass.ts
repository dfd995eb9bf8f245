/** Grams in one avoirdupois pound, exact by definition, and in its sixteenth [published: NIST SP 811, 2008, appendix B.8]. */
const G_PER_LB = 453.59237;
const OZ_PER_LB = 16;
const G_PER_KG = 1000;

export const MASS_UNITS = ["g", "kg", "oz", "lb"] as const;
export type MassUnit = (typeof MASS_UNITS)[number];

const G_PER: Readonly<Record<MassUnit, number>> = { g: 1, kg: G_PER_KG, oz: G_PER_LB / OZ_PER_LB, lb: G_PER_LB };

/**
 * Converts a weight into grams.
 *
 * @param value weight in `unit`, any finite number
 * @returns the same weight in g
 * @example toG(10, "lb") // 4535.9237
 */
export function toG(value: number, unit: MassUnit): number {
  return value * G_PER[unit];
}

/**
 * Converts grams into another unit.
 *
 * @param g grams
 * @returns the weight in `unit`
 * @example fromG(226.796185, "oz") // 8
 */
export function fromG(g: number, unit: MassUnit): number {
  return g / G_PER[unit];
}

/** From so much on a weight is said in the larger unit. */
const IN_KG_FROM_G = 2000;
const IN_LB_FROM_G = 2 * G_PER_LB;
/** From so much on a kitchen scale shows whole grams. */
const WHOLE_FROM_G = 20;
const TENTHS = 10;
const HUNDREDTHS = 100;

/**
 * Says a weight as a kitchen scale shows it: whole grams (tenths of a few), kilograms of a bag; ounces to a tenth and pounds to a hundredth.
 *
 * @param g grams, 0 or more
 * @param unit what the user weighs in: "g" for metric, "oz" for ounces and pounds
 * @example sayMass(612.4, "g") // "612 g"
 */
export function sayMass(g: number, unit: "g" | "oz"): string {
  const to = (value: number, parts: number) => Math.round(value * parts) / parts;
  if (unit === "oz") return g >= IN_LB_FROM_G ? `${to(fromG(g, "lb"), HUNDREDTHS)} lb` : `${to(fromG(g, "oz"), TENTHS)} oz`;
  if (g >= IN_KG_FROM_G) return `${to(fromG(g, "kg"), HUNDREDTHS)} kg`;
  return `${g >= WHOLE_FROM_G ? Math.round(g) : to(g, TENTHS)} g`;
}

const MASS = /^(\d+(?:[.,]\d+)?)\s*(g|kg|oz|lb|lbs|grams?|pounds?|ounces?)?$/i;
const WORDS: readonly (readonly [string, MassUnit])[] = [
  ["kg", "kg"],
  ["l", "lb"],
  ["p", "lb"],
  ["o", "oz"],
  ["g", "g"],
];

/**
 * Reads a weight as it is typed: "612", "612 g", "4.5 kg", "10 lb", "8 oz".
 *
 * @param text what stands in the box
 * @param unit meant where none is typed
 * @returns grams; null where it is no weight
 * @example readMass("10 lb", "g") // 4535.9237
 */
export function readMass(text: string, unit: MassUnit): number | null {
  const found = MASS.exec(text.trim());
  if (!found) return null;
  const word = found[2]?.toLowerCase();
  const said = word === undefined ? unit : WORDS.find(([start]) => word.startsWith(start))![1];
  const g = toG(Number(found[1]!.replace(",", ".")), said);
  return Number.isFinite(g) ? g : null;
}
