import { CATALOGUE } from "#core/catalogue/catalogue";
import type { JarId } from "#core/catalogue/ids";
import { OPACITIES } from "#core/catalogue/jar";
import type { Jar, JarLabel } from "#core/catalogue/jar";
import type { ProductClass } from "#core/catalogue/product-class";
import type { JarRecord } from "#core/formats/stores/shelf";
import type { JarState } from "#core/shelf/jar-state";
import { PALE_GROUND } from "#core/film/colour";
import { changedJar } from "#core/shelf/jar-change";
import type { JarChange } from "#core/shelf/jar-change";
import { comesInColours } from "#core/shelf/jar-from-words";
import { jarSize, sayFullness } from "#core/shelf/amount-left";
import { SHEENS, SHEEN_WORDS } from "#core/catalogue/vocabulary";
import { sayDuration } from "#core/units/duration";
import { sayMl } from "#core/units/volume";
import type { ShelfAsk } from "./shelf-asks";

/** Kinds of paint, as they are chosen. */
export const KINDS: readonly ProductClass[] = [...CATALOGUE.products.values()];

export function kindOf({ classId }: Pick<Jar, "classId">): ProductClass | null {
  return CATALOGUE.products.get(classId) ?? null;
}

/** The shelf with what is being saved already in it. */
export function shelfWith(jars: readonly JarRecord[], asked: readonly ShelfAsk[]): readonly JarRecord[] {
  return asked.reduce<readonly JarRecord[]>((shelf, one) => {
    switch (one.intent) {
      case "add":
        return [...shelf, ...one.jars.filter((jar) => !shelf.some((here) => here.id === jar.id)).map((jar) => ({ ...jar, rev: 1 }))];
      case "change":
        return shelf.map((jar) => (jar.id === one.id ? changedJar(jar, one.change) : jar));
      case "remove":
        return shelf.filter((jar) => jar.id !== one.id);
      case "mix":
      case "copy":
      case "take-theirs":
        return shelf;
    }
  }, jars);
}

export const OPACITY_CHOICES = OPACITIES.map((id) => ({ id, name: id }));
export const SHEEN_CHOICES = SHEENS.map((id) => ({ id, name: SHEEN_WORDS[id] }));

/** What a jar looks like where it has no colour of its own: chalk for a ground, glass for a clear. */
export function colourShown(jar: Pick<Jar, "classId" | "colour">): string {
  const kind = kindOf(jar);
  return jar.colour ?? (kind && comesInColours(kind) ? "#b9b3a6" : kind?.traits.includes("pale") || kind?.jobs.includes("fill") ? PALE_GROUND : "#e3e6e2");
}

export const sizeOf = (jar: Pick<Jar, "classId" | "sizeMl">) => jarSize(jar, CATALOGUE);

/** What is left in words: "about half, 30 ml"; "not said" where it was never said. */
export function sayLeft(jar: Pick<Jar, "classId" | "sizeMl">, leftMl: number | undefined): string {
  if (leftMl === undefined) return "not said";
  const full = sayFullness(leftMl, sizeOf(jar).ml);
  return leftMl === 0 ? full : `${full}, ${sayMl(leftMl)}`;
}

/** What a label says, in a few words: "matt, next coat after 60 min, bakes at 160 °C for 30 min". */
export function sayLabel({
  opacity,
  sheen,
  touchMin,
  recoatMin,
  minC,
  maxC,
  coats,
  thinnerPercent,
  spreadM2PerL,
  weatherproof,
  foodClaim,
  bake,
}: JarLabel): string {
  const says = [
    opacity,
    sheen && SHEEN_WORDS[sheen],
    touchMin !== undefined && `touch dry after ${sayDuration(touchMin)}`,
    recoatMin !== undefined && `next coat after ${sayDuration(recoatMin)}`,
    coats !== undefined && `${coats} ${coats === 1 ? "coat" : "coats"}`,
    spreadM2PerL !== undefined && `a litre covers ${spreadM2PerL} m²`,
    minC !== undefined && `not below ${minC} °C`,
    maxC !== undefined && `not above ${maxC} °C`,
    thinnerPercent !== undefined && `water to ${thinnerPercent} %`,
    weatherproof !== undefined && (weatherproof ? "for outdoors" : "not for outdoors"),
    foodClaim !== undefined && (foodClaim ? "says it is food safe" : "not food safe"),
    bake !== undefined && (bake === null ? "not to be baked" : `bakes at ${bake.atC} °C for ${bake.holdMin} min`),
  ];
  return says.filter(Boolean).join(", ");
}

/** What a state of a jar is called. */
export const STATE_WORDS: Readonly<Record<JarState, string>> = { empty: "empty", low: "low", old: "old: test it" };

/** @param was what it comes instead of, as the user knew it when they began to type */
export type ChangeJar = (id: JarId, change: JarChange, about?: string, was?: JarChange) => void;
