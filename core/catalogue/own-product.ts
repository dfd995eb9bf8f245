import type { Catalogue } from "./catalogue";
import type { ProductId } from "./ids";
import type { DryingValues, FilmValues, OwnJar, ProductClass } from "./product-class";
import type { Provenance } from "./provenance";
import type { Sheen } from "./vocabulary";

/** What a label may say of its product; everything else stays as the class has it. */
export interface LabelValues {
  readonly film?: Partial<FilmValues>;
  readonly drying?: Partial<Omit<DryingValues, "by">>;
  readonly bakeable?: ProductClass["bakeable"];
  readonly sheens?: readonly Sheen[];
  readonly maxWaterPercent?: ProductClass["maxWaterPercent"];
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
  /** Fields of it that the user has measured: theirs, not the label's. */
  readonly measured?: readonly string[];
  /** sRGB hex; unknown, or of no colour, when absent. */
  readonly colour?: string;
  /** Months since it was opened; unknown when absent. */
  readonly openedMonths?: number;
  /** What is left in it, mL; unknown when absent. Plans do not depend on it. */
  readonly stockMl?: number;
  /** What the user paid, in their money, for how much; unknown when absent. */
  readonly price?: { readonly paid: number; readonly ml: number };
}

const FROM_LABEL: Provenance = { kind: "label" };
const HERS: Provenance = { kind: "hers" };

/** A class with a label's values in it, which say that they are the label's. */
export function labelled(product: ProductClass, { film = {}, drying = {}, ...rest }: LabelValues, measured: readonly string[] = []): ProductClass {
  const said = [...Object.keys(film).map((key) => `film.${key}`), ...Object.keys(drying).map((key) => `drying.${key}`), ...Object.keys(rest)];
  return {
    ...product,
    ...rest,
    film: { ...product.film, ...film },
    drying: { ...product.drying, ...drying },
    standing: { ...product.standing, ...Object.fromEntries(said.map((field) => [field, measured.includes(field) ? HERS : FROM_LABEL])) },
  };
}

/** What of a label holds for other jars of the class too: how a colour hides, and the sheen, are its own matter. */
function ofAnyJar({ colour, label: { sheens: _own, ...label } = {} }: OwnProduct): LabelValues {
  if (colour === undefined || !label.film) return label;
  const { contrastRatio: _ofThisColour, ...film } = label.film;
  return { ...label, film };
}

const pricePerMl = ({ price }: OwnProduct) => (price ? price.paid / price.ml : null);

/**
 * A class of which the user owns something. What is not known to be laid from one of the jars is as the first jar's label has it, in any sheen
 * there is; it has the jar's name only where there is one jar, of no colour of its own.
 *
 * @param jars of the class, one or more; the first lends its label
 */
function ownClass(product: ProductClass, jars: readonly OwnProduct[]): ProductClass {
  const [first] = jars as readonly [OwnProduct, ...OwnProduct[]];
  const list: OwnJar[] = [];
  const ownOf = (one: OwnProduct) => ({ id: one.id, jars: list, openedMonths: one.openedMonths ?? null, pricePerMl: pricePerMl(one) });
  for (const one of jars)
    list.push({
      id: one.id,
      name: one.name,
      colour: one.colour ?? null,
      product: { ...labelled(product, one.label ?? {}, one.measured), name: one.name, own: ownOf(one) },
    });
  return {
    ...labelled(product, ofAnyJar(first)),
    sheens: [...new Set([...product.sheens, ...list.flatMap((jar) => jar.product.sheens)])],
    name: jars.length === 1 && first.colour === undefined ? first.name : product.name,
    own: ownOf(first),
  };
}

/**
 * The catalogue with the user's own products in place of their classes. Each coat is taken from the jar of its colour and sheen, and is as that jar's
 * label has it; see `productFor`.
 *
 * @returns a catalogue of the same ids, so that plans and rules go on knowing them
 */
export function withOwnProducts(catalogue: Catalogue, shelf: readonly OwnProduct[]): Catalogue {
  const products = new Map(catalogue.products);
  for (const id of new Set(shelf.map((own) => own.classId))) {
    const known = catalogue.products.get(id);
    const jars = shelf.filter((own) => own.classId === id);
    if (known) products.set(id, ownClass(known, jars));
  }
  return { ...catalogue, products };
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
