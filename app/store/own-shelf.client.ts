import type { OwnProduct } from "#core/catalogue/own-product";
import { dateOf } from "#core/schedule/free-hours";
import { timeZoneHere } from "~/components/time-zone";
import type { Database } from "./database";
import { changeCount } from "./open.client";
import { rememberShelf } from "./remembered.client";
import { shelfIn, stockIn } from "./shelf";

/** The shelf as plans are made from it. */
export interface OwnShelf {
  readonly products: readonly OwnProduct[];
  /** The same for the same products. */
  readonly key: string;
}

const NONE: OwnShelf = { products: [], key: "" };

let known: { readonly at: string; readonly shelf: Promise<OwnShelf> } | null = null;

async function read(db: Database, today: string): Promise<OwnShelf> {
  const jars = await shelfIn(db);
  rememberShelf(jars);
  // Who owns nothing yet need not wait for the catalogue.
  if (jars.length === 0) return NONE;
  const [{ CATALOGUE }, { ownProductsOf, shelfKey }] = await Promise.all([import("#core/catalogue/catalogue"), import("#core/shelf/own-products")]);
  const products = ownProductsOf(jars, await stockIn(db, jars), CATALOGUE, today);
  return { products, key: shelfKey(products) };
}

/** The shelf as it is now; read once as long as nothing is saved. */
export function ownShelf(db: Database): Promise<OwnShelf> {
  const today = dateOf(Date.now(), timeZoneHere());
  const at = `${today}/${changeCount()}`;
  if (known?.at === at) return known.shelf;
  const shelf = read(db, today);
  known = { at, shelf };
  shelf.catch(() => {
    known = null;
  });
  return shelf;
}
