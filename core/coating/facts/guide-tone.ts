import type { Aid } from "../../catalogue/aid";
import { DARK_BELOW, lightness, LIGHT_ABOVE } from "../../film/colour";

/**
 * Whether a guide can be seen on a ground: a light line on dark, a dark one on light.
 *
 * @param ground sRGB hex
 */
export function isSeenOn(tone: NonNullable<Aid["guide"]>["tone"], ground: string): boolean {
  const l = lightness(ground);
  return tone === "any" || (tone === "light" ? l < LIGHT_ABOVE : l >= DARK_BELOW);
}
