/** The closed lists of the trade's words that are used as ids. Materials and product classes are open: they are data. */

export const CONDITIONS = [
  "dusty",
  "greasy",
  "damp",
  "pitted",
  "bumpy",
  "air-holes",
  "chipped",
  "efflorescence",
  "knots",
  "previously-painted",
  "glossy-coating",
  "flaking-old-paint",
  "beach-found",
  "release-agent",
  "green-wood",
] as const;
export type Condition = (typeof CONDITIONS)[number];

export const OBJECTS = ["stone", "pot", "mug", "goblet", "jar", "plate", "tray", "box", "clock", "sign", "tile", "disc", "other"] as const;
export type ObjectId = (typeof OBJECTS)[number];

export const PARTS = ["handle", "saucer", "lid", "numerals", "works", "stem"] as const;
export type Part = (typeof PARTS)[number];

export const TECHNIQUES = [
  "solid",
  "dots",
  "walked-dots",
  "swipes",
  "freehand-brush",
  "blended",
  "swirled",
  "bands",
  "stencil",
  "sponge-dots",
  "lettering",
  "outline",
  "loose-glitter",
  "effect-powder",
  "metallic-wash",
  "raised-line",
  "crystals",
] as const;
export type TechniqueId = (typeof TECHNIQUES)[number];

export const ROLES = [
  "cast",
  "clean",
  "fill",
  "sand",
  "dust-off",
  "size",
  "prime",
  "base",
  "isolate",
  "mark",
  "mask",
  "decorate",
  "top-dot",
  "lock",
  "unmask",
  "unmark",
  "sign",
  "seal",
  "heat-set",
  "fire",
  "assemble",
  "cure",
] as const;
export type Role = (typeof ROLES)[number];

export const SHEENS = ["matte", "satin", "gloss"] as const;
export type Sheen = (typeof SHEENS)[number];
/** A sheen as a painter says it. */
export const SHEEN_WORDS: Readonly<Record<Sheen, string>> = { matte: "matt", satin: "satin", gloss: "gloss" };

export const ZONES = [
  "top",
  "back",
  "outside",
  "rim",
  "inside",
  "inner-strip",
  "base",
  "saucer",
  "lip-band",
  "foot",
  "handle",
  "stem",
  "food-side",
  "lid",
  "body",
  "face",
  "edge",
  "parts",
  "glue-spot",
] as const;
export type PlainZoneId = (typeof ZONES)[number];
/** A place on a piece; a motif region lies inside one, with a ground of its own: "top/motif-1". */
export type ZoneId = PlainZoneId | `${PlainZoneId}/motif-${number}`;

const MOTIF = /^([a-z-]+)\/motif-([1-9]\d?)$/;

/** The place a motif region lies in; a plain place itself. @example plainZone("top/motif-2") // "top" */
export function plainZone(zone: ZoneId): PlainZoneId {
  return (MOTIF.exec(zone)?.[1] ?? zone) as PlainZoneId;
}

/** Which motif of its place a zone is; null for a plain place. @example motifNumber("top/motif-2") // 2 */
export function motifNumber(zone: ZoneId): number | null {
  const number = MOTIF.exec(zone)?.[2];
  return number === undefined ? null : Number(number);
}

/**
 * Whether a text names a zone, or a motif region inside one.
 *
 * @param text any text
 * @example isZone("top/motif-1") // true
 */
export function isZone(text: string): text is ZoneId {
  const plain = MOTIF.exec(text)?.[1] ?? text;
  return (ZONES as readonly string[]).includes(plain);
}

export const METHODS = ["brush", "sponge", "spray", "pour", "pen", "tool", "hand"] as const;
export type Method = (typeof METHODS)[number];

export const AIRFLOWS = ["still", "drafty", "fan"] as const;
export type Airflow = (typeof AIRFLOWS)[number];

export const ROUTES = ["air", "bake", "kiln"] as const;
export type Route = (typeof ROUTES)[number];

/** Drying stages [published: ASTM D1640], then the two that matter at the bench beyond it. */
export const DRYING_STAGES = [
  "set-to-touch",
  "dust-free",
  "tack-free",
  "dry-to-touch",
  "dry-hard",
  "dry-through",
  "dry-to-recoat",
  "cured",
  "dry-body",
] as const;
export type DryingStage = (typeof DRYING_STAGES)[number];

export const SEVERITIES = ["stop", "warn", "note", "safety"] as const;
export type Severity = (typeof SEVERITIES)[number];
