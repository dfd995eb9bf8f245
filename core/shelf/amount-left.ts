import type { Catalogue } from "../catalogue/catalogue";
import type { Jar, Left } from "../catalogue/jar";
import { usualJarMl } from "../catalogue/jar-sizes";
import { memory } from "../catalogue/provenance";
import type { ProductClass } from "../catalogue/product-class";

/** Density where the class gives none, kg/L: of an ordinary waterborne film. */
const USUAL_DENSITY_KG_L = memory(1.1);
/** Of a kind that is not known any more, mL. */
const USUAL_ML = 59;
/** Two jars are of one size within this share. */
const SAME_SIZE = 0.05;

/**
 * What a jar holds that looks so many quarters full.
 *
 * @param quarters 0 to 4
 * @param sizeMl what it holds when full, mL
 * @returns mL
 * @example mlByEye(3, 60) // 45
 */
export function mlByEye(quarters: number, sizeMl: number): number {
  return (Math.min(4, Math.max(0, quarters)) / 4) * sizeMl;
}

/** Amounts are kept to a tenth of a millilitre: finer nobody sees or weighs. */
const GRAIN = 10;
const rounded = (ml: number) => Math.round(ml * GRAIN) / GRAIN;

/**
 * How much is left by eye, as it is kept.
 *
 * @param quarters 0 to 4
 * @param sizeMl what it holds when full, mL
 * @param at instant, ISO 8601
 */
export function seenByEye(quarters: number, sizeMl: number, at: string): Left {
  return { ml: rounded(mlByEye(quarters, sizeMl)), by: "eye", at };
}

/**
 * What is in a full jar: its own size, or the usual one of its kind.
 *
 * @returns mL, and whether it is its own
 */
export function jarSize({ classId, sizeMl }: Pick<Jar, "classId" | "sizeMl">, catalogue: Catalogue): { readonly ml: number; readonly known: boolean } {
  const product = catalogue.products.get(classId);
  if (sizeMl !== undefined) return { ml: sizeMl, known: true };
  return { ml: product ? usualJarMl(product) : USUAL_ML, known: false };
}

/** How full a jar is, in words from the bottom up. */
const FRACTIONS = ["a last bit", "about a quarter", "about half", "about three quarters", "full"] as const;
/** Below this share of a full jar it is a last bit. */
const LAST_BIT = 0.19;

/**
 * How full a jar is, as a painter says it.
 *
 * @param ml what is left, from 0
 * @param sizeMl what it holds when full
 * @example sayFullness(30, 59) // "about half"
 */
export function sayFullness(ml: number, sizeMl: number): string {
  if (ml === 0) return "empty";
  const quarters = ml < LAST_BIT * sizeMl ? 0 : Math.max(1, Math.round((ml / sizeMl) * 4));
  return FRACTIONS[Math.min(4, quarters)]!;
}

/**
 * What a jar holds by its weight.
 *
 * @param grossG jar, lid and paint, g
 * @param tareG jar and lid, g
 * @param densityKgL of the paint; an ordinary waterborne paint's where it is not known
 * @returns mL, from 0: a jar lighter than its tare is empty
 * @example mlByWeight(85, 25, 1.2) // 50
 */
export function mlByWeight(grossG: number, tareG: number, densityKgL: number | null): number {
  return Math.max(0, (grossG - tareG) / (densityKgL ?? USUAL_DENSITY_KG_L.value));
}

/** How much is left by weight, as it is kept; see `mlByWeight`. */
export function weighed(grossG: number, tareG: number, densityKgL: number | null, at: string): Left {
  return { ml: rounded(mlByWeight(grossG, tareG, densityKgL)), by: "weight", at };
}

/** What the empty jar weighs when it is weighed full: what is not paint is jar. Null where it weighs less than what it should hold. */
export function tareOfFull(fullG: number, sizeMl: number, densityKgL: number | null): number | null {
  const tare = fullG - sizeMl * (densityKgL ?? USUAL_DENSITY_KG_L.value);
  return tare > 0 ? tare : null;
}

/**
 * What a jar weighs empty: its own tare, else that of other jars of its class and size, as one jar is like another.
 *
 * @returns g, and whose it is; null where none of that size was ever weighed
 */
export function tareFor(jar: Pick<Jar, "id" | "classId" | "sizeMl" | "tareG">, shelf: readonly Jar[]): { readonly g: number; readonly learnt: boolean } | null {
  if (jar.tareG !== undefined) return { g: jar.tareG, learnt: false };
  const { sizeMl } = jar;
  if (sizeMl === undefined) return null;
  const alike = shelf
    .filter((one) => one.id !== jar.id && one.classId === jar.classId && one.tareG !== undefined && one.sizeMl !== undefined)
    .filter((one) => Math.abs(one.sizeMl! - sizeMl) <= SAME_SIZE * sizeMl)
    .map((one) => one.tareG!)
    .sort((a, b) => a - b);
  return alike.length === 0 ? null : { g: alike[Math.floor(alike.length / 2)]!, learnt: true };
}

/** The density a jar is weighed with, kg/L, and whether its class gives it. */
export function densityOf({ film }: ProductClass): { readonly kgL: number; readonly ofClass: boolean } {
  return { kgL: film.densityKgL ?? USUAL_DENSITY_KG_L.value, ofClass: film.densityKgL !== null };
}
