import type { Jar } from "./jar";

/** Pots are mixed from jars, and from pots: beyond this depth a notebook is damaged. */
const DEEPEST = 6;

type Priced = Pick<Jar, "id" | "paid" | "sizeMl" | "mix">;

/**
 * What a millilitre out of a jar cost: of a pot that was mixed, what its parts cost.
 *
 * @param jars every jar, to find the parts of a mixture among
 * @returns the user's money per mL; null where a price or a size was never said
 * @example pricePerMl({ id: "a", paid: 6, sizeMl: 60 }, []) // 0.1
 */
export function pricePerMl(jar: Priced, jars: readonly Priced[], depth = 0): number | null {
  if (jar.paid !== undefined && jar.sizeMl !== undefined && jar.sizeMl > 0) return jar.paid / jar.sizeMl;
  if (!jar.mix || depth >= DEEPEST) return null;
  let sum = 0;
  for (const { jar: id, share } of jar.mix) {
    const part = jars.find((one) => one.id === id);
    const price = part ? pricePerMl(part, jars, depth + 1) : null;
    if (price === null) return null;
    sum += share * price;
  }
  return sum;
}
