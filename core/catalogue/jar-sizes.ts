import type { ProductClass } from "./product-class";

/** A jar as it is sold, mL: typical of the trade [from memory]; the shop's own sizes win. */
const BY_JOB: readonly { readonly fits: (product: ProductClass) => boolean; readonly ml: number }[] = [
  { fits: ({ methods }) => methods[0] === "pen", ml: 5 },
  { fits: ({ methods }) => methods[0] === "spray", ml: 400 },
  { fits: ({ traits }) => traits.includes("two-part"), ml: 500 },
  { fits: ({ traits }) => traits.includes("for-outdoors"), ml: 750 },
  { fits: ({ traits }) => traits.includes("needs-firing"), ml: 59 },
  { fits: ({ jobs }) => jobs.includes("fill"), ml: 250 },
  { fits: ({ jobs }) => jobs.includes("stain"), ml: 250 },
  { fits: ({ jobs }) => jobs.includes("decorate"), ml: 59 },
  { fits: ({ jobs }) => jobs.includes("colour"), ml: 250 },
];
const OTHERWISE_ML = 236;

/**
 * The size a product is usually sold in.
 *
 * @returns mL; typical, to be shown as such
 */
export function usualJarMl(product: ProductClass): number {
  return BY_JOB.find(({ fits }) => fits(product))?.ml ?? OTHERWISE_ML;
}
