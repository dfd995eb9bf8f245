import { memory } from "../../catalogue/provenance";
import type { OwnJar, ProductClass } from "../../catalogue/product-class";
import { colourDifference, lightness } from "../../film/colour";
import type { StepChoice } from "../model/step";

/** Up to this ΔE00 a jar is the colour that is wanted. */
const SAME_COLOUR = memory(6);
/** Below this difference of lightness, L*, two colours are about as light. */
const AS_LIGHT = 8;

/** The user's jar that is nearest to a colour, and how far off it is. */
export interface NearestJar {
  readonly jar: OwnJar;
  /** CIEDE2000; 0 where the jar's colour is not known. */
  readonly apart: number;
}

/** What of a coat decides which jar it comes from. */
type Wanted = Pick<StepChoice, "colour" | "sheen" | "jar" | "ownProduct" | "done">;

/** The jar that is settled: chosen by the user, or what was laid. */
const settledJar = ({ jar, ownProduct, done }: Wanted) => jar ?? (done ? ownProduct : undefined);

const sought = new WeakMap<readonly OwnJar[], Map<string, NearestJar | null>>();

function search(jars: readonly OwnJar[], { colour, sheen, ...wanted }: Wanted): NearestJar | null {
  const apart = (jar: OwnJar) => (colour === undefined || jar.colour === null ? 0 : colourDifference(jar.colour, colour));
  const chosen = jars.find((jar) => jar.id === settledJar(wanted));
  if (chosen) return { jar: chosen, apart: apart(chosen) };
  // A colour is taken as the jar has it; of clears the sheen is what is chosen.
  const ofSheen = sheen === undefined || colour !== undefined ? jars : jars.filter((jar) => jar.product.sheens.includes(sheen));
  const [first] = ofSheen.map((jar): NearestJar => ({ jar, apart: apart(jar) })).sort((a, b) => a.apart - b.apart);
  return first ?? null;
}

/**
 * The jar of a class that a coat is taken from: the one the user chose for it, else the one nearest to its colour, or, of clears, one of its sheen.
 *
 * @returns null where the class is not owned, or not in that sheen
 */
export function nearestJar({ own }: ProductClass, wanted: Wanted): NearestJar | null {
  if (!own) return null;
  const known = sought.get(own.jars) ?? new Map<string, NearestJar | null>();
  sought.set(own.jars, known);
  const key = `${wanted.colour ?? ""}/${wanted.sheen ?? ""}/${settledJar(wanted) ?? ""}`;
  let found = known.get(key);
  if (found === undefined) known.set(key, (found = search(own.jars, wanted)));
  return found;
}

/** Whether a jar passes for the colour that is wanted. */
export function isOfColour({ apart }: Pick<NearestJar, "apart">): boolean {
  return apart <= SAME_COLOUR.value;
}

/**
 * The jar a coat is laid from.
 *
 * @returns null where the user owns none that will do
 */
export function jarFor(product: ProductClass, wanted: Wanted): OwnJar | null {
  const near = nearestJar(product, wanted);
  return near && (isOfColour(near) || near.jar.id === settledJar(wanted)) ? near.jar : null;
}

/** The class of a coat as the label of the jar it is laid from has it; as it is where it comes from none of the user's. */
export function productFor(product: ProductClass, wanted: Wanted): ProductClass {
  return product.own ? (jarFor(product, wanted)?.product ?? product) : product;
}

/** How a colour differs from the one that is wanted, in words. @example differenceInWords("#111111", "#f4efe2") // "much darker" */
export function differenceInWords(colour: string, wanted: string): string {
  const by = lightness(colour) - lightness(wanted);
  if (Math.abs(by) < AS_LIGHT) return "about as light, but another colour";
  return `${Math.abs(by) > 3 * AS_LIGHT ? "much " : ""}${by > 0 ? "lighter" : "darker"}`;
}

/**
 * Of some jars the one whose colour comes nearest to a colour.
 *
 * @returns the jar with its CIEDE2000; null where none has a colour
 */
export function nearestInColour<J extends { readonly colour?: string }>(
  jars: readonly J[],
  hex: string,
): (J & { readonly colour: string; readonly apart: number }) | null {
  const [near] = jars
    .flatMap((jar) => (jar.colour === undefined ? [] : [{ ...jar, colour: jar.colour, apart: colourDifference(jar.colour, hex) }]))
    .sort((a, b) => a.apart - b.apart);
  return near ?? null;
}
