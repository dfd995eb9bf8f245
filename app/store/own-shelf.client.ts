import { CATALOGUE } from "#core/catalogue/catalogue";
import type { OwnProduct } from "#core/catalogue/own-product";
import { dateOf } from "#core/schedule/free-hours";
import { ownProductsOf, shelfKey } from "#core/shelf/own-products";
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

let known: { readonly at: string; readonly shelf: Promise<OwnShelf> } | null = null;

async function read(db: Database, today: string): Promise<OwnShelf> {
  const jars = await shelfIn(db);
  rememberShelf(jars);
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
