import type { Catalogue } from "../catalogue/catalogue";
import type { JarId, ProductId } from "../catalogue/ids";
import { CONTRAST_OF, labelValues } from "../catalogue/jar";
import type { Jar, JarHiding, MixedFrom } from "../catalogue/jar";
import { labelled } from "../catalogue/own-product";
import type { ProductClass } from "../catalogue/product-class";
import { mixedColour, mixedContrastRatio, usualContrastRatio } from "../film/mix";
import { withReserve } from "../film/recipe";
import type { Shared } from "../film/recipe";
import type { TintPaint } from "../film/tint";
import type { Need } from "./needs";
import type { Wanting } from "./promises";

/** How one coat of a jar hides, and where that is known from. */
export interface JarHides {
  /** Contrast ratio, 0–1. */
  readonly ratio: number;
  readonly by: JarHiding["by"] | "label" | "typical";
}

/**
 * How one coat of a jar hides: as its swatch shows, else as its label says, else as is usual for so dark a paint of its class.
 *
 * @returns null for what is not made to hide
 */
export function jarHides({ hiding, label, colour }: Pick<Jar, "hiding" | "label" | "colour">, { film }: ProductClass): JarHides | null {
  if (film.contrastRatio === null) return null;
  if (hiding) return { ratio: hiding.ratio, by: hiding.by };
  if (label.opacity !== undefined) return { ratio: CONTRAST_OF[label.opacity], by: "label" };
  return { ratio: colour === undefined ? film.contrastRatio : usualContrastRatio(colour, film.contrastRatio), by: "typical" };
}

/** The kind of a jar as its label has it. @returns null for a kind that is not known */
export function kindOfJar({ classId, label }: Pick<Jar, "classId" | "label">, catalogue: Catalogue): ProductClass | null {
  const product = catalogue.products.get(classId);
  return product ? labelled(product, labelValues(label, product)) : null;
}

/** Whether a paint is mixed at all: a liquid colour, no clear film, effect, pen or can, nothing that is weighed in two parts. */
export function isMixed(product: ProductClass): boolean {
  const [method] = product.methods;
  return (
    product.film.contrastRatio !== null &&
    product.jobs.some((job) => job === "colour" || job === "decorate") &&
    method !== "pen" &&
    method !== "spray" &&
    !product.traits.includes("two-part")
  );
}

/** Whether two paints may be mixed with one another: of one binder, thinned with the same, and both or neither for the kiln. */
export function mixesWith(one: ProductClass, other: ProductClass): boolean {
  return one.binder === other.binder && one.carrier === other.carrier && one.kilnSafe === other.kilnSafe;
}

/** Jars a colour may be mixed from for a kind of paint: those of the kind first. What is mixed already is not mixed on, and what is empty is not there. */
export function jarsToMix(kind: ProductClass, jars: readonly Jar[], left: ReadonlyMap<string, number>, catalogue: Catalogue): readonly Jar[] {
  const fits = (jar: Jar) => {
    const product = catalogue.products.get(jar.classId);
    return (
      product !== undefined && jar.colour !== undefined && jar.mix === undefined && (left.get(jar.id) ?? 1) > 0 && isMixed(product) && mixesWith(kind, product)
    );
  };
  const mixable = jars.filter(fits);
  return [...mixable.filter((jar) => jar.classId === kind.id), ...mixable.filter((jar) => jar.classId !== kind.id)];
}

/** A jar as a paint that may go into a mixture. */
export function tintPaintOf(jar: Jar, catalogue: Catalogue): TintPaint {
  const product = kindOfJar(jar, catalogue)!;
  const hides = jarHides(jar, product);
  return {
    id: jar.id,
    colour: jar.colour!,
    ...(hides ? { contrastRatio: hides.ratio } : {}),
    ...(product.film.wetMicrons === null ? {} : { wetMicrons: product.film.wetMicrons }),
    ...(jar.dropsPerMl === undefined ? {} : { dropsPerMl: jar.dropsPerMl }),
  };
}

/** Paints of a mixture that is kept, with all that is known of their jars; of a jar that is gone what the mixture itself remembers. */
export function partsOfMix(mix: readonly MixedFrom[], jars: readonly Jar[], catalogue: Catalogue): readonly Shared[] {
  return mix.map(({ jar: id, colour, share }): Shared => {
    const jar = jars.find((one) => one.id === id);
    const known = jar?.colour === undefined ? null : tintPaintOf(jar, catalogue);
    const price = jar?.paid === undefined || jar.sizeMl === undefined ? {} : { pricePerMl: jar.paid / jar.sizeMl };
    return { colour, contrastRatio: usualContrastRatio(colour), ...known, ...price, id, share };
  });
}

/**
 * A pot of a mixture, as it stands on the shelf: nothing is in it until it is mixed.
 *
 * @param kind the kind of paint it is used as
 * @param at instant, ISO 8601
 */
export function mixedJar(id: JarId, name: string, kind: ProductClass, mix: readonly MixedFrom[], jars: readonly Jar[], at: string, catalogue: Catalogue): Jar {
  const parts = partsOfMix(mix, jars, catalogue).map((part) => ({ ...part, parts: part.share }));
  const ratio = mixedContrastRatio(parts, kind.film.wetMicrons ?? undefined);
  // Only as sure as what it is reckoned from: a label's word is good for about so much.
  const hiding: JarHiding = { ratio, from: Math.max(0, ratio - UNSURE), to: Math.min(1, ratio + UNSURE), by: "mixture" };
  return { id, classId: kind.id, name, colour: mixedColour(parts), label: {}, hiding, mix, left: { ml: 0, by: "volume", at } };
}

/** How far a reckoned contrast ratio may be off [from memory]. */
const UNSURE = 0.06;

/** What is taken from a jar, or put into a pot. */
export interface Booked {
  readonly jar: string;
  /** mL; below 0 where it is put in. */
  readonly takenMl: number;
}

/** What mixing a puddle takes off the jars and puts into its pot. */
export function bookingOf(pot: Pick<Jar, "id" | "mix">, ml: number): readonly Booked[] {
  return [...(pot.mix ?? []).map(({ jar, share }) => ({ jar, takenMl: share * ml })), { jar: pot.id, takenMl: -ml }];
}

/**
 * What is left in a jar when something is taken from it or put into it: the amount that was seen in it changes, so that all that was laid since counts as
 * before.
 *
 * @param used laid out of it since it was looked into, mL
 * @returns the amount as it would have been seen then; null where it was never said what is in it
 */
export function seenAfter({ left }: Pick<Jar, "left">, used: number, takenMl: number): number | null {
  if (!left) return null;
  const now = Math.max(0, left.ml - used);
  return used + Math.max(0, now - takenMl);
}

/** A need of paint that comes from a mixture, as what is in its pot and what is still to be mixed for it. */
function madeUp(need: Need, pot: Jar, inPot: number, has: (jar: string) => boolean, classOf: (jar: string) => ProductId | undefined): readonly Need[] {
  const missing = Math.max(0, need.ml - inPot);
  const there = need.ml - missing;
  return [
    ...(there > 0 ? [{ ...need, ml: there }] : []),
    ...pot.mix!.map(({ jar, colour, share }): Need => ({
      product: classOf(jar) ?? need.product,
      colour,
      ...(has(jar) ? { jar } : {}),
      ml: share * withReserve(missing),
    })),
  ];
}

/**
 * What pieces want, with what is to be mixed for them told by its jars, and with a reserve: a second batch never quite matches the first. What stands in the
 * pot already is taken first.
 *
 * @param wanting pieces in the order they are served
 * @param left mL by jar
 */
export function withMixesMadeUp<W extends Wanting>(wanting: readonly W[], jars: readonly Jar[], left: ReadonlyMap<string, number>): readonly W[] {
  const pots = new Map<string, Jar>(jars.flatMap((jar) => (jar.mix ? [[jar.id, jar]] : [])));
  if (pots.size === 0) return wanting;
  const inPot = new Map([...pots.keys()].map((id) => [id, left.get(id) ?? 0]));
  const known = new Map<string, Jar>(jars.map((jar) => [jar.id, jar]));
  return wanting.map((piece) => {
    const needs = piece.needs.flatMap((need): readonly Need[] => {
      const pot = need.jar === undefined ? undefined : pots.get(need.jar);
      if (!pot) return [need];
      const has = inPot.get(pot.id)!;
      inPot.set(pot.id, Math.max(0, has - need.ml));
      return madeUp(
        need,
        pot,
        has,
        (jar) => known.has(jar),
        (jar) => known.get(jar)?.classId,
      );
    });
    return { ...piece, needs };
  });
}

/** What a mixture is told as: "8 parts Cream, 2 parts Coral". */
export function sayParts(parts: readonly { readonly name: string; readonly parts: number }[]): string {
  return parts.map(({ name, parts: count }) => `${count} ${count === 1 ? "part" : "parts"} ${name}`).join(", ");
}

/** Longest note of a mixture in a record. */
const MOST_NOTED = 80;

/** A mixture as it is noted with a coat that is laid with it: "80 % White, 20 % Coral". */
export function noteOfMix(mix: readonly MixedFrom[]): string {
  const said = [...mix].sort((a, b) => b.share - a.share).map(({ name, share }) => `${Math.max(1, Math.round(share * 100))} % ${name}`);
  const text = said.join(", ");
  return text.length <= MOST_NOTED ? text : `${text.slice(0, MOST_NOTED - 1)}…`;
}
