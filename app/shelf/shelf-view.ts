import { CATALOGUE } from "#core/catalogue/catalogue";
import type { JarId } from "#core/catalogue/ids";
import { OPACITIES } from "#core/catalogue/jar";
import type { Jar, JarLabel, Opacity } from "#core/catalogue/jar";
import { usualJarMl } from "#core/catalogue/jar-sizes";
import type { ProductClass } from "#core/catalogue/product-class";
import type { JarRecord } from "#core/formats/stores/shelf";
import { changedJar } from "#core/shelf/jar-change";
import { comesInColours } from "#core/shelf/jar-from-words";
import { sayDuration } from "#core/units/duration";
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
      case "copy":
        return shelf;
    }
  }, jars);
}

export const OPACITY_NAMES: Readonly<Record<Opacity, string>> = {
  opaque: "opaque",
  "semi-opaque": "semi-opaque",
  translucent: "translucent",
  transparent: "transparent",
};
export const OPACITY_CHOICES = OPACITIES.map((id) => ({ id, name: OPACITY_NAMES[id] }));
export const SHEEN_CHOICES = [
  { id: "matte", name: "matt" },
  { id: "satin", name: "satin" },
  { id: "gloss", name: "gloss" },
];

/** What a jar looks like where it has no colour of its own: chalk for a ground, glass for a clear. */
export function colourShown(jar: Pick<Jar, "classId" | "colour">): string {
  const kind = kindOf(jar);
  return jar.colour ?? (kind && comesInColours(kind) ? "#b9b3a6" : kind?.traits.includes("pale") || kind?.jobs.includes("fill") ? "#f8f5ec" : "#e3e6e2");
}

/** How much is in a full jar: its own size, or the usual one of its kind. */
export function sizeOf(jar: Pick<Jar, "classId" | "sizeMl">): { readonly ml: number; readonly known: boolean } {
  const kind = kindOf(jar);
  return jar.sizeMl !== undefined ? { ml: jar.sizeMl, known: true } : { ml: kind ? usualJarMl(kind) : 59, known: false };
}

const FRACTIONS = ["empty", "about a quarter", "about half", "about three quarters", "full"] as const;

/** Below this share of a full jar it is a last bit. */
const LAST_BIT = 0.19;

/** What is left in words: "about half, 30 ml"; "not said" where it was never said. A jar of no known size is taken to be of the usual one. */
export function sayLeft(jar: Pick<Jar, "classId" | "sizeMl">, leftMl: number | undefined): string {
  if (leftMl === undefined) return "not said";
  if (leftMl === 0) return "empty";
  const size = sizeOf(jar);
  const quarters = leftMl < LAST_BIT * size.ml ? 0 : Math.max(1, Math.round((leftMl / size.ml) * 4));
  return `${quarters === 0 ? "a last bit" : FRACTIONS[Math.min(4, quarters)]}, ${sayMl(leftMl)}`;
}

const SHEEN_NAMES: Readonly<Record<string, string>> = Object.fromEntries(SHEEN_CHOICES.map(({ id, name }) => [id, name]));

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
    sheen && SHEEN_NAMES[sheen],
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

/** Millilitres as they can be seen in a jar. */
export function sayMl(ml: number): string {
  if (ml < 0.05) return "nothing";
  if (ml < 1) return "a few drops";
  return `${ml < 10 ? Math.round(ml) : ml < 100 ? Math.round(ml / 5) * 5 : Math.round(ml / 10) * 10} ml`;
}

/** What an undo, a list and a reader say of a jar. */
export const asJar = ({ rev: _rev, ...jar }: JarRecord): Jar => jar;

export type ChangeJar = (id: JarId, change: Extract<ShelfAsk, { intent: "change" }>["change"], about?: string) => void;
