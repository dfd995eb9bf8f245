import type { ProductClass } from "../../catalogue/product-class";
import type { PieceFacts } from "./facts";

/** Further off where a class is not usual on the surface, or is for outdoors and stands in the house. */
const ELSEWHERE = 2;

/** A ground that has to trust the scuffing alone: on old gloss an adhesion primer is what everybody reaches for. */
const ON_GLOSS = 1;

/**
 * How far off usual practice it is to take a class for this piece.
 *
 * @returns 0 for what everybody reaches for here; each step is one rank, or two for the wrong surface or place
 */
export function offTrack({ usual, traits, jobs }: ProductClass, { material, uses, conditions }: Pick<PieceFacts, "material" | "uses" | "conditions">): number {
  // On an old film what grips is what everybody reaches for.
  if (jobs.includes("grip") && jobs.includes("ground") && conditions.some((one) => one.oldFilm)) return usual.rank;
  const indoors = traits.includes("for-outdoors") && !uses.some((use) => use.outdoors);
  const onGloss = jobs.includes("ground") && conditions.some((one) => one.glossy) ? ON_GLOSS : 0;
  return usual.rank + (usual.on.includes(material.surface) ? 0 : ELSEWHERE) + (indoors ? ELSEWHERE : 0) + onGloss;
}
