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

/** Brown or resin of the body that water draws through a pale film. */
export function bleedsThrough(facts: Pick<PieceFacts, "material" | "conditions">): boolean {
  return facts.material.traits.includes("tannin") || hasKnots(facts);
}
