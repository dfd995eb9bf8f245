import { jarId, productId } from "#core/catalogue/ids";
import { CATALOGUE } from "#core/catalogue/catalogue";
import type { Jar, MixedFrom } from "#core/catalogue/jar";
import type { JarRecord } from "#core/formats/stores/shelf";
import { mixedJar } from "#core/shelf/mixes";
import { dayLater } from "#core/schedule/free-hours";
import { AMBER, CREAM, NAVY, SEA, SIGNAL } from "./tern-point";

interface StatedJar extends Omit<Jar, "id" | "classId" | "openedOn" | "left"> {
  readonly kind: string;
  /** Months since it was opened. */
  readonly openedMonths?: number;
  /** Seen in it before the work began, mL. */
  readonly seenMl?: number;
}

const DAYS_PER_MONTH = 30.4;

/** What stands on the shelf at Tern Point; made up like the rest. */
const JARS: readonly StatedJar[] = [
  {
    kind: "craft-acrylic",
    name: "Harbour navy",
    colour: NAVY,
    sizeMl: 250,
    seenMl: 230,
    openedMonths: 5,
    paid: 6,
    label: { opacity: "opaque", sheen: "matte" },
  },
  {
    kind: "craft-acrylic",
    name: "Chalk cream",
    colour: CREAM,
    sizeMl: 250,
    seenMl: 210,
    openedMonths: 9,
    paid: 6,
    label: { opacity: "semi-opaque", sheen: "matte" },
  },
  {
    kind: "craft-acrylic",
    name: "Signal red",
    colour: SIGNAL,
    sizeMl: 59,
    seenMl: 30,
    openedMonths: 14,
    paid: 3,
    label: { opacity: "semi-opaque", sheen: "matte", recoatMin: 60 },
  },
  { kind: "craft-acrylic", name: "Lamp amber", colour: AMBER, sizeMl: 59, seenMl: 40, openedMonths: 14, paid: 3, label: { sheen: "matte" } },
  { kind: "craft-acrylic", name: "Sea-glass green", colour: SEA, sizeMl: 59, seenMl: 59, paid: 3, label: { sheen: "matte" } },
  { kind: "craft-acrylic", name: "White", colour: "#fbfaf6", sizeMl: 118, seenMl: 60, openedMonths: 3, paid: 4, label: { opacity: "opaque", sheen: "matte" } },
  {
    kind: "gloss-enamel-acrylic",
    name: "Tern blue for mugs",
    colour: "#24507a",
    sizeMl: 59,
    seenMl: 45,
    openedMonths: 7,
    paid: 5,
    label: { sheen: "gloss", bake: { atC: 163, holdMin: 30 } },
  },
  { kind: "gesso", name: "Gesso", sizeMl: 500, seenMl: 420, openedMonths: 11, paid: 8, label: {} },
  { kind: "acrylic-varnish", name: "Satin varnish", sizeMl: 236, seenMl: 150, openedMonths: 8, paid: 9, label: { sheen: "satin" } },
  { kind: "outdoor-varnish", name: "Terrace varnish", sizeMl: 236, seenMl: 236, paid: 14, label: { sheen: "satin", recoatMin: 240, weatherproof: true } },
  { kind: "spackle", name: "Smooth spackle", sizeMl: 250, seenMl: 125, openedMonths: 20, label: {} },
  { kind: "masonry-paint", name: "Left-over lighthouse white", colour: "#f1f0ea", sizeMl: 2500, seenMl: 600, openedMonths: 60, label: { weatherproof: true } },
  { kind: "acrylic-paint-pen", name: "Black pen, fine", colour: "#1b1b1d", label: {} },
];

const idOf = (at: number) => jarId(`ternpointjar${String(at).padStart(2, "0")}`);

/** A peach that no jar has, by its jars as they are counted above. */
const PEACH = [
  { at: 6, share: 0.82 },
  { at: 4, share: 0.1 },
  { at: 3, share: 0.08 },
] as const;
const PEACH_ML = 9;

/** A pot of peach for the napkin rings, mixed once and not used up. */
function peachPot(jars: readonly JarRecord[], seen: string): JarRecord {
  const mix = PEACH.map(({ at, share }): MixedFrom => {
    const { id, name, colour } = jars[at - 1]!;
    return { jar: id, name, colour: colour!, share };
  });
  const kind = CATALOGUE.products.get(productId("craft-acrylic"))!;
  const pot = mixedJar(idOf(jars.length + 1), "Dawn peach", kind, mix, jars, seen, CATALOGUE);
  return { ...pot, rev: 1, left: { ml: PEACH_ML, by: "volume", at: seen } };
}

/**
 * The shelf at Tern Point.
 *
 * @param today local date "YYYY-MM-DD"
 * @param seen instant at which the jars were looked into, ISO 8601
 */
export function ternPointShelf(today: string, seen: string): readonly JarRecord[] {
  const jars = JARS.map(({ kind, openedMonths, seenMl, ...jar }, at): JarRecord => ({
    ...jar,
    id: idOf(at + 1),
    rev: 1,
    classId: productId(kind),
    ...(openedMonths === undefined ? {} : { openedOn: dayLater(today, -Math.round(openedMonths * DAYS_PER_MONTH + 3)) }),
    ...(seenMl === undefined ? {} : { left: { ml: seenMl, by: "eye", at: seen } }),
  }));
  return [...jars, peachPot(jars, seen)];
}
