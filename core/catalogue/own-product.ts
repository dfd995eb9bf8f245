import type { Catalogue } from "./catalogue";
import type { ProductId } from "./ids";
import type { DryingValues, FilmValues, OwnJar, ProductClass } from "./product-class";
import type { Provenance } from "./provenance";

/** What a label may say of its product; everything else stays as the class has it. */
export interface LabelValues {
  readonly film?: Partial<FilmValues>;
  readonly drying?: Partial<Omit<DryingValues, "by">>;
  readonly bakeable?: ProductClass["bakeable"];
  readonly coats?: number;
  readonly maxTempC?: number;
  readonly weatherproof?: boolean;
  readonly foodClaim?: boolean;
}

/** A product the user owns, of a class. */
export interface OwnProduct {
  readonly id: string;
  readonly classId: ProductId;
  readonly name: string;
  readonly label?: LabelValues;
  /** sRGB hex; unknown, or of no colour, when absent. */
  readonly colour?: string;
  /** Months since it was opened; unknown when absent. */
  readonly openedMonths?: number;
  /** What is left in it, mL; unknown when absent. */
  readonly stockMl?: number;
  /** What the user paid, in their money, for how much; unknown when absent. */
  readonly price?: { readonly paid: number; readonly ml: number };
}

function jarOf({ id, name, colour }: OwnProduct): OwnJar {
  return { id, name, colour: colour ?? null };
}

const FROM_LABEL: Provenance = { kind: "label" };

/** A class as one label has it: the label's values win, and say that they are the label's. */
export function withLabel(product: ProductClass, own: OwnProduct, jars: readonly OwnJar[] = [jarOf(own)]): ProductClass {
  const { film = {}, drying = {}, ...rest } = own.label ?? {};
  const said = [...Object.keys(film).map((key) => `film.${key}`), ...Object.keys(drying).map((key) => `drying.${key}`), ...Object.keys(rest)];
  return {
    ...product,
    ...rest,
    name: jars.length > 1 ? product.name : own.name,
    film: { ...product.film, ...film },
    drying: { ...product.drying, ...drying },
    own: {
      id: own.id,
      jars,
      openedMonths: own.openedMonths ?? null,
      stockMl: own.stockMl ?? null,
      pricePerMl: own.price ? own.price.paid / own.price.ml : null,
    },
    standing: { ...product.standing, ...Object.fromEntries(said.map((field) => [field, FROM_LABEL])) },
  };
}

/**
 * The catalogue with the user's own products in place of their classes. Where the user owns several of one class the first listed lends its label; each
 * colour is taken from the jar of that colour.
 *
 * @returns a catalogue of the same ids, so that plans and rules go on knowing them
 */
export function withOwnProducts(catalogue: Catalogue, shelf: readonly OwnProduct[]): Catalogue {
  const products = new Map(catalogue.products);
  for (const own of [...shelf].reverse()) {
    const known = catalogue.products.get(own.classId);
    const same = shelf.filter((other) => other.classId === own.classId);
    const { stockMl: _one, ...rest } = own;
    if (known) products.set(own.classId, withLabel(known, { ...rest, ...stockOf(same) }, [own, ...same.filter((one) => one !== own)].map(jarOf)));
  }
  return { ...catalogue, products };
}

/** What is left of several jars of one class together; unknown when it is of any. */
function stockOf(same: readonly OwnProduct[]): Pick<OwnProduct, "stockMl"> {
  const stock = same.map((one) => one.stockMl);
  return stock.every((ml) => ml !== undefined) ? { stockMl: stock.reduce((sum, ml) => sum + ml, 0) } : {};
}

/**
 * Whether a shelf is known at all: some class of this catalogue is the user's.
 *
 * @param catalogue as `withOwnProducts` gives it
 */
export function knowsShelf(catalogue: Catalogue): boolean {
  return [...catalogue.products.values()].some((product) => product.own !== undefined);
}

/** Where a value of a product comes from. @example standingOf(product, "drying.recoat") */
export function standingOf(product: ProductClass, field: string): Provenance {
  return product.standing[field] ?? product.standing.default;
}
