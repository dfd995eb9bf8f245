import type { Catalogue } from "./catalogue";
import { LABEL_HINTS } from "./data/label-words";
import type { ProductId } from "./ids";
import type { JarLabel, Opacity } from "./jar";
import type { ProductClass } from "./product-class";
import type { Sheen } from "./vocabulary";
import { days, hours } from "../units/duration";

/** A class a label may be of. */
export interface LikelyClass {
  readonly product: ProductId;
  readonly score: number;
}

/** What was read off a label. */
export interface ReadLabel {
  readonly label: JarLabel;
  readonly sizeMl?: number;
}

/** Weight of a word of a class's own name, and of its whole name. */
const NAME_WORD = 1.2;
const WHOLE_NAME = 6;
/** Words that stand in too many names to point to one. */
const EVERYDAY = new Set(["paint", "clear", "the", "and", "for", "loose", "fine", "of", "or", "pot", "inside", "broad"]);
/** What has less than this share of the best is no likely class. */
const LIKELY_SHARE = 0.45;
const LEAST_SCORE = 2;

const wordsOf = (text: string) => text.toLowerCase().match(/[a-zà-ÿ]{3,}/g) ?? [];

function nameScore(product: ProductClass, text: string): number {
  const said = new Set(wordsOf(text));
  const name = product.name.toLowerCase();
  const words = wordsOf(name).filter((word) => !EVERYDAY.has(word) && said.has(word)).length * NAME_WORD;
  return words + (text.toLowerCase().includes(name) ? WHOLE_NAME : 0);
}

/**
 * The classes a label is likely to be of, by what it says.
 *
 * @param text words of the label, as they stand on it
 * @returns the likeliest first, at most four; none where the words point nowhere
 */
export function classesOf(text: string, catalogue: Catalogue): readonly LikelyClass[] {
  const hinted = new Map<string, number>();
  for (const { says, points } of LABEL_HINTS)
    if (says.test(text)) for (const [id, weight] of Object.entries(points)) hinted.set(id, (hinted.get(id) ?? 0) + weight);
  const scored = [...catalogue.products.values()]
    .map((product) => ({ product: product.id, score: (hinted.get(product.id) ?? 0) + nameScore(product, text) }))
    .sort((a, b) => b.score - a.score);
  const best = scored[0]?.score ?? 0;
  return scored.filter(({ score }) => score >= LEAST_SCORE && score >= best * LIKELY_SHARE).slice(0, 4);
}

const NUMBER = String.raw`(\d+(?:[.,]\d+)?)`;
/** A number, or the end of a range of two. */
const RANGE = String.raw`(?:${NUMBER}\s*(?:-|–|to|and)\s*)?${NUMBER}`;
const UNIT = String.raw`(minutes?|mins?|min|hours?|hrs?|hr|h|days?|d)\b`;
const numberOf = (text: string) => Number(text.replace(",", "."));

const WORD_NUMBERS: Readonly<Record<string, number>> = { one: 1, two: 2, three: 3, four: 4 };

/** Minutes of "2–4 h"; the longer end of a range. */
function minutesOf(match: RegExpMatchArray | null): number | undefined {
  const { most, unit } = match?.groups ?? {};
  if (most === undefined || unit === undefined) return undefined;
  const count = numberOf(most);
  const first = unit.charAt(0).toLowerCase();
  return first === "m" ? count : first === "h" ? hours(count) : days(count);
}

const TIME = String.raw`(?:(?:\d+(?:[.,]\d+)?)\s*(?:-|–|to)\s*)?(?<most>\d+(?:[.,]\d+)?)\s*(?<unit>${UNIT.replace(/^\(|\)\\b$/g, "")})\b`;
const TOUCH = new RegExp(
  String.raw`(?:touch|surface)[- ]?(?:dry)?[^.;\d]{0,25}${TIME}|dries[^.;\d]{0,25}${TIME.replace(/most/g, "most2").replace(/unit/g, "unit2")}`,
  "i",
);
const RECOAT = new RegExp(String.raw`(?:re-?coat|overcoat|second coat|next coat|between coats|over ?paint)[^.;\d]{0,30}${TIME}`, "i");

function touchOf(text: string): number | undefined {
  const match = text.match(TOUCH);
  if (!match) return undefined;
  const { most, unit, most2, unit2 } = match.groups ?? {};
  return minutesOf({ groups: { most: most ?? most2, unit: unit ?? unit2 } } as never);
}

const isF = (unit: string | undefined) => unit?.toLowerCase() === "f";
const celsius = (value: number, unit: string | undefined) => (isF(unit) ? Math.round(((value - 32) * 5) / 9) : value);

/** An oven is at least this hot, °C: below it a temperature is of the room. */
const OVEN_FROM_C = 80;

function bakeOf(text: string): JarLabel["bake"] | undefined {
  if (/\b(no|without) (bak(e|ing)|oven)|\bdo not (bake|heat)|\bnot bakeable\b/i.test(text)) return null;
  for (const sentence of text.split(/[.;\n](?!\d)/)) {
    if (!/\b(bake|baked|baking|oven|heat[- ]?set|fix(ed)? (in|by))\b/i.test(sentence)) continue;
    const hold = minutesOf(sentence.match(new RegExp(TIME, "i")));
    const degrees = [...sentence.matchAll(/(\d{2,3})\s*(?:°|º|deg(?:rees)?)?\s*([cf])?\b(?!\s*(?:min|h\b|hour|ml|g\b))/gi)]
      .map(([, value, unit]) => celsius(Number(value), unit))
      .find((c) => c >= OVEN_FROM_C && c <= 300);
    if (degrees !== undefined && hold !== undefined) return { atC: degrees, holdMin: hold };
  }
  return undefined;
}

function roomLimits(text: string): Pick<JarLabel, "minC" | "maxC"> {
  const between = text.match(/(?:between|from|at)\s*(-?\d{1,2})\s*°?\s*([cf])?\s*(?:-|–|to|and)\s*(\d{1,3})\s*°?\s*([cf])/i);
  if (between) {
    const [, low, , high, unit] = between;
    const [minC, maxC] = [celsius(Number(low), unit), celsius(Number(high), unit)];
    if (maxC < OVEN_FROM_C) return { minC, maxC };
  }
  const above = text.match(/(?:above|over|minimum|min\.?|not (?:use )?below|below)\s*(?:of\s*)?(\d{1,2})\s*°\s*([cf])?/i);
  const below = text.match(/(?:not (?:use )?above|maximum|max\.?|up to)\s*(?:of\s*)?(\d{2})\s*°\s*([cf])?/i);
  return { ...(above ? { minC: celsius(Number(above[1]), above[2]) } : {}), ...(below ? { maxC: celsius(Number(below[1]), below[2]) } : {}) };
}

function coatsOf(text: string): number | undefined {
  const match = text.match(/\b(\d|one|two|three|four)\s*(?:(?:-|–|to|or)\s*(\d|two|three|four)\s*)?(?:thin |even |light )?coats?\b/i);
  if (!match) return undefined;
  const count = (word: string) => WORD_NUMBERS[word.toLowerCase()] ?? Number(word);
  const coats = count(match[1]!);
  return coats >= 1 ? coats : undefined;
}

function thinnerOf(text: string): number | undefined {
  const match = text.match(/(?:thin|dilut|water)[^.;]{0,40}?(\d{1,3})\s*%/i) ?? text.match(/(\d{1,3})\s*%\s*(?:of )?water/i);
  return match ? Number(match[1]) : undefined;
}

function spreadOf(text: string): number | undefined {
  const match = text.match(new RegExp(String.raw`${RANGE}\s*(?:m²|m2|sq\.? ?m(?:etres?)?|square met(?:re|er)s?)\s*(?:\/|per|a)\s*(?:l\b|lit)`, "i"));
  return match ? numberOf(match[1] ?? match[2]!) : undefined;
}

/** Millilitres in a fluid ounce of the United States [published: NIST Handbook 44]. */
const ML_PER_FL_OZ = 29.57;

/**
 * What a text says a jar holds.
 *
 * @returns mL; null where it says nothing
 * @example sizeIn("59 ml / 2 fl oz") // 59
 */
export function sizeIn(text: string): number | null {
  const ml = text.match(new RegExp(String.raw`${NUMBER}\s*ml\b`, "i"));
  if (ml) return numberOf(ml[1]!);
  const litres = text.match(new RegExp(String.raw`(?<![\/²2] ?|per )${NUMBER}\s*(?:l|litres?|liters?)\b`, "i"));
  if (litres) return numberOf(litres[1]!) * 1000;
  const ounces = text.match(new RegExp(String.raw`${NUMBER}\s*fl\.? ?oz\b`, "i"));
  return ounces ? Math.round(numberOf(ounces[1]!) * ML_PER_FL_OZ) : null;
}

const OPACITY_WORDS: readonly (readonly [RegExp, Opacity])[] = [
  [/\bsemi[- ]?opaque\b/i, "semi-opaque"],
  [/\b(translucent|semi[- ]?transparent)\b/i, "translucent"],
  [/\btransparent\b/i, "transparent"],
  [/\b(opaque|high(ly)? pigmented|one[- ]?coat)\b/i, "opaque"],
];
const SHEEN_WORDS: readonly (readonly [RegExp, Sheen])[] = [
  [/\b(satin|semi[- ]?gloss|silk|eggshell)\b/i, "satin"],
  [/\bmatte?\b|\bultra[- ]?matt/i, "matte"],
  [/\bgloss(y)?\b/i, "gloss"],
];

const told = <T>(value: T | undefined | null, key: string) => (value === undefined || value === null ? {} : { [key]: value });

/** A food claim is one that a label makes, not one it denies. */
function foodClaimOf(text: string): boolean | undefined {
  if (/\bnot (?:be )?(?:food|suitable for (?:contact with )?food|for (?:use with )?food)|\bno food|\bnon[- ]food/i.test(text)) return false;
  return /\bfood[- ]?(safe|contact|grade)\b/i.test(text) ? true : undefined;
}

function weatherproofOf(text: string): boolean | undefined {
  if (/\b(indoors? only|interior (use )?only|not for (outdoor|exterior))/i.test(text)) return false;
  return /\b(outdoors?|exterior|weather ?(proof|resistant))\b/i.test(text) ? true : undefined;
}

/**
 * Reads what a label says: times, temperatures, coats, thinning, claims, size. What it does not say stays open.
 *
 * @param text words of the label, as they stand on it
 */
export function readLabel(text: string): ReadLabel {
  const bake = bakeOf(text);
  const size = sizeIn(text);
  return {
    label: {
      ...told(OPACITY_WORDS.find(([says]) => says.test(text))?.[1], "opacity"),
      ...told(SHEEN_WORDS.find(([says]) => says.test(text))?.[1], "sheen"),
      ...told(touchOf(text), "touchMin"),
      ...told(minutesOf(text.match(RECOAT)), "recoatMin"),
      ...roomLimits(text),
      ...told(coatsOf(text), "coats"),
      ...told(thinnerOf(text), "thinnerPercent"),
      ...told(spreadOf(text), "spreadM2PerL"),
      ...told(weatherproofOf(text), "weatherproof"),
      ...told(foodClaimOf(text), "foodClaim"),
      ...(bake === undefined ? {} : { bake }),
    },
    ...(size === null ? {} : { sizeMl: size }),
  };
}

const QUARTER_WORDS: readonly (readonly [RegExp, number])[] = [
  [/\bempty\b(?<!\b(?:nearly|almost) empty)/i, 0],
  [/\b(nearly|almost) (empty|gone|finished)\b|\ba last bit\b/i, 0.5],
  [/three[- ]quarters|¾|\b3\/4/i, 3],
  [/\bhalf\b|½|\b1\/2/i, 2],
  [/\bquarter\b|¼|\b1\/4/i, 1],
  [/\b(full|new|unopened)\b/i, 4],
];

/**
 * How full a text says a jar is.
 *
 * @returns quarters, 0–4; null where it says nothing
 * @example quartersIn("navy, half full") // 2
 */
export function quartersIn(text: string): number | null {
  return QUARTER_WORDS.find(([says]) => says.test(text))?.[1] ?? null;
}
