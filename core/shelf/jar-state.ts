import { monthsBetween } from "../catalogue/jar";
import type { Jar } from "../catalogue/jar";
import { memory } from "../catalogue/provenance";
import type { ProductClass } from "../catalogue/product-class";

/** Months an opened jar is usually good for: clears two years [common practice: test an old sealer], waterborne colours three to five, resin one [from memory]. */
const KEEPS_CLEAR = memory(24);
const KEEPS_COLOUR = memory(48);
const KEEPS_TWO_PART = memory(12);
/** Below this share of a full jar it is low. */
const LOW_SHARE = 0.25;
/** Below this it is low where the size of the jar is not known, mL. */
const LOW_ML = 10;

/**
 * Months an opened jar of a class usually keeps; typical, the label wins.
 *
 * @returns months
 */
export function keepsMonths({ traits, jobs }: ProductClass): number {
  if (traits.includes("two-part")) return KEEPS_TWO_PART.value;
  return jobs.includes("seal") || jobs.includes("isolate") ? KEEPS_CLEAR.value : KEEPS_COLOUR.value;
}

export type JarState = "empty" | "low" | "old";

/**
 * What is to be known of a jar at a glance.
 *
 * @param leftMl what is left in it now; null where it was never said
 * @param today local date "YYYY-MM-DD"
 */
export function jarStates(
  { sizeMl, openedOn }: Pick<Jar, "sizeMl" | "openedOn">,
  product: ProductClass,
  leftMl: number | null,
  today: string,
): readonly JarState[] {
  const low = leftMl !== null && leftMl < (sizeMl === undefined ? LOW_ML : sizeMl * LOW_SHARE);
  const old = openedOn !== undefined && monthsBetween(openedOn, today) >= keepsMonths(product);
  return [...(leftMl === 0 ? (["empty"] as const) : low ? (["low"] as const) : []), ...(old ? (["old"] as const) : [])];
}
