import type { Jar } from "../catalogue/jar";
import { memory } from "../catalogue/provenance";
import type { ProductClass } from "../catalogue/product-class";

/** Density where the class gives none, kg/L: of an ordinary waterborne film. */
const USUAL_DENSITY_KG_L = memory(1.1);
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
