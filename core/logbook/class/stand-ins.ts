import { memory } from "../../catalogue/provenance";

/** What leaves a round mark of about a size where there is no proper tool, by the largest mark it leaves, mm [from memory; common in classes]. */
const STAND_INS = memory([
  { upToMm: 1.2, thing: "the head of a pin pushed into a cork" },
  { upToMm: 2, thing: "a toothpick" },
  { upToMm: 3.2, thing: "the blunt end of a bamboo skewer" },
  { upToMm: 4.5, thing: "the handle end of a small brush" },
  { upToMm: 5.5, thing: "a cotton swab, twisted tight" },
  { upToMm: 7.5, thing: "the eraser of a pencil" },
  { upToMm: 11, thing: "the end of a thick pencil or felt pen" },
  { upToMm: 25, thing: "a wine cork" },
] as const);

/** Larger marks than these are painted round with a brush. */
const WITH_A_BRUSH = "a round brush: larger marks are painted, not set";

/**
 * What stands in for a dotting tool.
 *
 * @param diameterMm of the mark, above 0
 * @example standInFor(6) // "the eraser of a pencil"
 */
export function standInFor(diameterMm: number): string {
  return STAND_INS.value.find(({ upToMm }) => diameterMm <= upToMm)?.thing ?? WITH_A_BRUSH;
}
