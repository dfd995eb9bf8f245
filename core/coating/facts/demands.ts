import { lightness } from "../../film/colour";
import type { PieceFacts } from "./facts";

/** Stands out of doors, under cover or not. */
export function isOutdoors({ uses }: Pick<PieceFacts, "uses">): boolean {
  return uses.some((use) => use.outdoors);
}

/** Rain, wet soil behind the wall, or the wash: what softens in water lets go there. */
export function meetsWet(facts: Pick<PieceFacts, "uses" | "zones">): boolean {
  return isOutdoors(facts) || facts.zones.some((zone) => zone.wears.includes("wet-soil") || zone.wears.includes("washing"));
}

/** Knots: resin that goes on bleeding. */
export function hasKnots({ conditions }: Pick<PieceFacts, "conditions">): boolean {
  return conditions.some((one) => one.bleeds);
}

/** Above this L* what bleeds out of wood shows in a paint: always, and outdoors within a summer (paler than two thirds of the way to black) [common practice; figures from memory]. */
const SHOWS_BLEED_ABOVE = { indoors: 50, outdoors: 33 } as const;

/**
 * Whether the brown of wood, once it comes through, is seen in a colour.
 *
 * @param colour sRGB hex
 * @returns "later" where it shows faintly, or after years
 */
export function showsBleed(colour: string, facts: Pick<PieceFacts, "uses">): "yes" | "later" | "no" {
  const l = lightness(colour);
  if (l > (isOutdoors(facts) ? SHOWS_BLEED_ABOVE.outdoors : SHOWS_BLEED_ABOVE.indoors)) return "yes";
  return l > SHOWS_BLEED_ABOVE.outdoors ? "later" : "no";
}

/** Brown or resin of the body that water draws through a pale film. */
export function bleedsThrough(facts: Pick<PieceFacts, "material" | "conditions">): boolean {
  return facts.material.traits.includes("tannin") || hasKnots(facts);
}
