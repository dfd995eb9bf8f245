import { memory } from "../../catalogue/provenance";
import type { OwnJar, ProductClass } from "../../catalogue/product-class";
import { colourDifference, lightness } from "../../film/colour";

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

/**
 * The jar of a class that a coat is taken from: the one of its colour.
 *
 * @param colour sRGB hex of the coat; undefined where it has none
 * @returns null where the class is not owned
 */
export function nearestJar({ own }: ProductClass, colour: string | undefined): NearestJar | null {
  if (!own) return null;
  const apart = (jar: OwnJar) => (colour === undefined || jar.colour === null ? 0 : colourDifference(jar.colour, colour));
  const [first] = own.jars.map((jar): NearestJar => ({ jar, apart: apart(jar) })).sort((a, b) => a.apart - b.apart);
  return first ?? null;
}

/** Whether a jar passes for the colour that is wanted. */
export function isOfColour({ apart }: NearestJar): boolean {
  return apart <= SAME_COLOUR.value;
}

/** How a colour differs from the one that is wanted, in words. @example differenceInWords("#111111", "#f4efe2") // "much darker" */
export function differenceInWords(colour: string, wanted: string): string {
  const by = lightness(colour) - lightness(wanted);
  if (Math.abs(by) < AS_LIGHT) return "about as light, but another colour";
  return `${Math.abs(by) > 3 * AS_LIGHT ? "much " : ""}${by > 0 ? "lighter" : "darker"}`;
}
