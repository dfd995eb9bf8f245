import type { Catalogue } from "../catalogue/catalogue";
import { productId } from "../catalogue/ids";
import { ownProductOf } from "../catalogue/jar";
import type { Jar } from "../catalogue/jar";
import type { OwnProduct } from "../catalogue/own-product";
import { fingerprint } from "../coating/model/fingerprint";
import { lightness } from "../film/colour";

const CRAFT_ACRYLIC = productId("craft-acrylic");
const WHITE_CRAFT_ACRYLIC = productId("white-craft-acrylic");
/** From this L* on a craft acrylic is white enough to be a ground [from memory]. */
const WHITE_FROM = 93;

/** A white craft acrylic is a colour and a ground, out of one jar. */
function alsoGround(own: OwnProduct): readonly OwnProduct[] {
  if (own.classId !== CRAFT_ACRYLIC || own.colour === undefined || lightness(own.colour) < WHITE_FROM) return [own];
  const { colour: _white, ...ground } = own;
  return [own, { ...ground, classId: WHITE_CRAFT_ACRYLIC }];
}

/** The jar that was opened first is used up first; of two alike the one named first. */
function inOrder(one: Jar, other: Jar): number {
  const [a, b] = [one.openedOn ?? "9", other.openedOn ?? "9"];
  return a < b ? -1 : a > b ? 1 : one.id < other.id ? -1 : 1;
}

/**
 * The shelf as the planner knows it. Jars known to be empty are not on it; a mixture is, as long as its recipe is kept: it is mixed again.
 *
 * @param left mL by jar, as `stockOf` gives it; a jar that is not in it may hold anything
 * @param today local date "YYYY-MM-DD"
 * @returns the same list for the same shelf, whatever order it is in, and whatever is left in a jar as long as something is
 */
export function ownProductsOf(shelf: readonly Jar[], left: ReadonlyMap<string, number>, catalogue: Catalogue, today: string): readonly OwnProduct[] {
  return [...shelf]
    .filter((jar) => jar.mix !== undefined || (left.get(jar.id) ?? 1) > 0)
    .sort(inOrder)
    .flatMap((jar) => {
      const product = catalogue.products.get(jar.classId);
      return product ? alsoGround(ownProductOf(jar, product, today)) : [];
    });
}

/**
 * A short name of a shelf: the same for the same products, "" for none.
 *
 * @returns sixteen hexadecimal digits, or ""
 */
export function shelfKey(products: readonly OwnProduct[]): string {
  return products.length === 0 ? "" : fingerprint(JSON.stringify(products));
}
