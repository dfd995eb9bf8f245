import type { Catalogue } from "./catalogue";
import type { OwnWear, ProductClass } from "./product-class";

/** The least a film that stands a wear at all is graded. */
const LEAST_GRADE = 1;

function worn(product: ProductClass, learnt: readonly OwnWear[]): ProductClass {
  const resists = { ...product.resists };
  for (const { wear, lower } of learnt) {
    const grade = resists[wear];
    if (grade !== undefined) resists[wear] = Math.max(LEAST_GRADE, grade - lower) as 1 | 2 | 3;
  }
  return { ...product, resists, ownWear: learnt };
}

/**
 * The catalogue with films graded as the user's own pieces have shown: only ever lower, and never so low that a film that stands a wear by its label is
 * taken not to. What a film does not stand by its class, no record makes it stand.
 *
 * @param learnt by product and wear
 */
export function withOwnWear(catalogue: Catalogue, learnt: readonly OwnWear[]): Catalogue {
  if (learnt.length === 0) return catalogue;
  const products = new Map(catalogue.products);
  for (const id of new Set(learnt.map(({ product }) => product))) {
    const known = catalogue.products.get(id);
    const own = learnt.filter(({ product }) => product === id);
    if (known) products.set(id, worn(known, own));
  }
  return { ...catalogue, products };
}
