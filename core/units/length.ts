/** Millimetres in one inch, exact by definition [published: international yard and pound agreement, 1959]. */
const MM_PER_INCH = 25.4;

export type LengthUnit = "mm" | "in";

/**
 * Converts a length typed by the user into millimetres.
 *
 * @param value length in `unit`, any finite number
 * @returns the same length in mm
 * @example toMm(2.5, "in") // 63.5
 */
export function toMm(value: number, unit: LengthUnit): number {
  return unit === "in" ? value * MM_PER_INCH : value;
}

/**
 * Converts millimetres into the user's unit.
 *
 * @param mm millimetres
 * @param unit the unit wanted
 * @returns the length in it
 * @example fromMm(63.5, "in") // 2.5
 */
export function fromMm(mm: number, unit: LengthUnit): number {
  return unit === "in" ? mm / MM_PER_INCH : mm;
}

/**
 * Says a length as a person would: whole millimetres, or inches to the nearest eighth.
 *
 * @example sayLength(203, "in") // "8 in"
 */
export function sayLength(mm: number, unit: LengthUnit): string {
  if (unit === "mm") return `${Math.round(mm)} mm`;
  const eighths = Math.round(fromMm(mm, "in") * 8);
  return `${eighths / 8} in`;
}

/**
 * A length as it stands in a box to be typed over: the number alone, to a hundredth.
 *
 * @example typedLength(63.5, "in") // "2.5"
 */
export function typedLength(mm: number, unit: LengthUnit): string {
  return String(Math.round(fromMm(mm, unit) * 100) / 100);
}

/** How large marks are: to a hundredth of a millimetre, or to the nearest eighth of an inch. @example saySize(8.5, "mm") // "8.5 mm" */
export function saySize(mm: number, unit: LengthUnit): string {
  return unit === "mm" ? `${typedLength(mm, unit)} mm` : sayLength(mm, unit);
}

const FRACTION = 16;

/**
 * Says a length as it is set on a compass or read off a tape: to half a millimetre (whole ones from 100 on), or to a sixteenth of an inch.
 *
 * @example sayFine(31.75, "in") // "1 1/4 in"
 */
export function sayFine(mm: number, unit: LengthUnit): string {
  if (unit === "mm") return `${mm < 100 ? Math.round(mm * 2) / 2 : Math.round(mm)} mm`;
  const parts = Math.round(fromMm(mm, "in") * FRACTION);
  const [whole, rest] = [Math.floor(parts / FRACTION), parts % FRACTION];
  if (rest === 0) return `${whole} in`;
  let [over, under] = [rest, FRACTION];
  while (over % 2 === 0) [over, under] = [over / 2, under / 2];
  return `${whole > 0 ? `${whole} ` : ""}${over}/${under} in`;
}
