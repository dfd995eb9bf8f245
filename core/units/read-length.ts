import { toMm } from "./length";
import type { LengthUnit } from "./length";

const VULGAR: Readonly<Record<string, number>> = {
  "½": 1 / 2,
  "⅓": 1 / 3,
  "⅔": 2 / 3,
  "¼": 1 / 4,
  "¾": 3 / 4,
  "⅕": 1 / 5,
  "⅖": 2 / 5,
  "⅗": 3 / 5,
  "⅘": 4 / 5,
  "⅙": 1 / 6,
  "⅚": 5 / 6,
  "⅛": 1 / 8,
  "⅜": 3 / 8,
  "⅝": 5 / 8,
  "⅞": 7 / 8,
};

/** Millimetres in each unit a length may be written in; the names as people write them. */
const MM_IN: Readonly<Record<string, number>> = {
  mm: 1,
  millimetre: 1,
  millimetres: 1,
  cm: 10,
  centimetre: 10,
  centimetres: 10,
  m: 1000,
  in: toMm(1, "in"),
  inch: toMm(1, "in"),
  inches: toMm(1, "in"),
  '"': toMm(1, "in"),
  "″": toMm(1, "in"),
  "”": toMm(1, "in"),
  "''": toMm(1, "in"),
};

const FRACTION = "(?<over>\\d+)\\s*[/⁄]\\s*(?<under>\\d+)|(?<vulgar>[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞])";
const UNIT = `\\s*(?<unit>[a-z"″”']*)`;
/** "3.25", "3,25", ".5" */
const DECIMAL = new RegExp(`^(?<decimal>\\d+(?:[.,]\\d*)?|[.,]\\d+)${UNIT}$`, "u");
/** "3 1/4", "3¼", "1/4": a whole number is set off from a numerator, or "31/4" would be two things. */
const FRACTIONAL = new RegExp(`^(?:(?<whole>\\d+)(?:\\s+|(?=[^\\d\\s/⁄])))?(?:${FRACTION})${UNIT}$`, "u");

function valueOf({ decimal, whole, over, under, vulgar }: Record<string, string | undefined>): number {
  if (decimal !== undefined) return Number(decimal.replace(",", "."));
  return Number(whole ?? 0) + (vulgar !== undefined ? VULGAR[vulgar]! : Number(over) / Number(under));
}

/**
 * Reads a length as people write them: with a decimal point or comma, a fraction, and a unit of its own or none.
 *
 * @param text what was typed
 * @param unit the unit that is meant where none is written
 * @returns millimetres; null where it is no length
 * @example readLength("3 1/4", "in") // 82.55
 * @example readLength("8 cm", "in") // 80
 */
export function readLength(text: string, unit: LengthUnit): number | null {
  const plain = text.trim().toLowerCase();
  const groups = (DECIMAL.exec(plain) ?? FRACTIONAL.exec(plain))?.groups;
  if (!groups) return null;
  const each = MM_IN[groups.unit || unit];
  const value = valueOf(groups);
  return each === undefined || !Number.isFinite(value) ? null : value * each;
}
