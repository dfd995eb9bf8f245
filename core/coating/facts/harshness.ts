import type { Aid } from "../../catalogue/aid";
import type { ProductClass } from "../../catalogue/product-class";

/**
 * Harsh stuff in a product or an act: solvent, two parts, an oven.
 *
 * @returns 0 for what is harmless; up to 4.5 together
 */
export function harshnessOf(product: ProductClass | null | undefined, aid: Aid | null | undefined): number {
  return (product?.carrier === "solvent" ? 1 : 0) + (product?.traits.includes("two-part") ? 2.5 : 0) + (aid?.heat ? 1 : 0);
}
