/** Numbers as they are said: "6", "4.5". */
export function plainMm(mm: number): string {
  return String(Math.round(mm * 10) / 10);
}

/** From this on a gap is said in millimetres; below it, by how it looks. */
const HAIR_MM = 0.35;
const TOUCH_MM = 0.06;

/**
 * The clear space between two marks, in words.
 *
 * @param gapMm below 0 they overlap
 * @example gapWords(0.2) // "a hair between"
 */
export function gapWords(gapMm: number): string {
  if (gapMm < -TOUCH_MM) return `overlapping by ${plainMm(-gapMm)} mm`;
  if (gapMm < TOUCH_MM) return "just touching";
  return gapMm < HAIR_MM ? "a hair between" : `${plainMm(gapMm)} mm between`;
}

/**
 * Counts that close, in words.
 *
 * @example closingWords([{ count: 24, gapMm: 0.2 }, { count: 22, gapMm: 1.5 }]) // "24 close with a hair between; 22 with 1.5 mm between"
 */
export function closingWords(closings: readonly { readonly count: number; readonly gapMm: number }[]): string {
  return closings.map(({ count, gapMm }, k) => (k === 0 ? `${count} close ${closeHow(gapMm)}` : `${count} ${closeHow(gapMm)}`)).join("; ");
}

function closeHow(gapMm: number): string {
  const words = gapWords(gapMm);
  return words === "just touching" ? words : `with ${words}`;
}
