import type { Catalogue } from "../catalogue/catalogue";
import type { ProductId } from "../catalogue/ids";
import type { JarLabel } from "../catalogue/jar";
import { classesOf, quartersIn, readLabel } from "../catalogue/read-label";
import type { ProductClass } from "../catalogue/product-class";
import { colourNamedIn, nameOfColour } from "../film/colour-names";

/** A jar as far as a few words say it. */
export interface JarInWords {
  /** Kinds it may be, the likeliest first. */
  readonly kinds: readonly ProductId[];
  readonly label: JarLabel;
  readonly sizeMl?: number;
  /** sRGB hex, where a colour is named. */
  readonly colour?: string;
  /** How full it is said to be, 0–4. */
  readonly quarters: number | null;
}

/** Whether jars of a class come in colours. */
export function comesInColours({ jobs, traits }: ProductClass): boolean {
  return jobs.some((job) => job === "colour" || job === "decorate" || job === "stain") && !traits.includes("pale");
}

/**
 * What a few words say of a jar, typed or off its label.
 *
 * @param text such as "craft acrylic, navy, 59 ml, half full"
 */
export function jarInWords(text: string, catalogue: Catalogue): JarInWords {
  const colour = colourNamedIn(text);
  return {
    kinds: classesOf(text, catalogue).map((one) => one.product),
    ...readLabel(text),
    ...(colour === null ? {} : { colour }),
    quarters: quartersIn(text),
  };
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/**
 * What a jar is called whose owner has not said.
 *
 * @example usualJarName({ name: "Gesso", jobs: ["ground"], traits: [] }, undefined) // "Gesso"
 */
export function usualJarName(product: Pick<ProductClass, "name" | "jobs" | "traits">, colour: string | undefined): string {
  return colour !== undefined && comesInColours(product as ProductClass) ? capital(nameOfColour(colour)) : product.name;
}
