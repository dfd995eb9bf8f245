import type { OwnWear } from "#core/catalogue/product-class";
import type { OwnTimes } from "#core/logbook/learning/own-times";
import type { OwnProduct } from "#core/catalogue/own-product";
import { dateOf } from "#core/schedule/free-hours";
import { timeZoneHere } from "~/components/time-zone";
import type { Database } from "./database";
import { changeCount } from "./open.client";
import { ownTimesIn } from "./own-times";
import { ownWearIn } from "./own-wear";
import { shelfIn, stockIn } from "./shelf";

/** The shelf as plans are made from it. */
export interface OwnShelf {
  readonly products: readonly OwnProduct[];
  /** What the user's table has taught of times; null where it has taught nothing, or they would not have it. */
  readonly own: OwnTimes | null;
  /** What the user's finished pieces have shown of films; none where they would not have it. */
  readonly wear: readonly OwnWear[];
  /** The same for the same products, times and wear. */
  readonly key: string;
}

let known: { readonly at: string; readonly shelf: Promise<OwnShelf> } | null = null;

async function read(db: Database, today: string): Promise<OwnShelf> {
  const [jars, own, wear] = await Promise.all([shelfIn(db), ownTimesIn(db), ownWearIn(db)]);
  const times = `${own ? JSON.stringify(own) : ""}${wear.length > 0 ? JSON.stringify(wear) : ""}`;
  // Who owns nothing yet need not wait for the catalogue.
  if (jars.length === 0) return { products: [], own, wear, key: times };
  const [{ CATALOGUE }, { ownProductsOf, shelfKey }] = await Promise.all([import("#core/catalogue/catalogue"), import("#core/shelf/own-products")]);
  const products = ownProductsOf(jars, await stockIn(db, jars), CATALOGUE, today);
  return { products, own, wear, key: `${shelfKey(products)}${times}` };
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
