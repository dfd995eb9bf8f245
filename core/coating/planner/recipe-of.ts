import type { Catalogue } from "../../catalogue/catalogue";
import { completePiece } from "../../piece/complete-piece";
import type { Piece } from "../../piece/piece";
import { mainZone } from "../../piece/zones";
import { pieceFacts } from "../facts/facts";
import { pieceOf } from "../model/plan";
import type { Candidate } from "../model/plan";
import type { Recipe, RecipeStack } from "../model/recipe";
import type { StepChoice } from "../model/step";
import { choiceOf } from "../model/step-choice";

/** A step as a recipe keeps it: what is on one piece is still to do on the next. */
function asRecipe({ done: _done, laidAt: _laid, ownProduct: _own, ...step }: StepChoice): StepChoice {
  return step;
}

/**
 * A plan kept as a way of working.
 *
 * @param name what the user calls it
 */
export function recipeOf(candidate: Candidate, piece: Piece, name: string, catalogue: Catalogue): Recipe {
  const facts = pieceFacts(completePiece(pieceOf(candidate, piece), catalogue).piece, catalogue);
  const main = mainZone(facts.zones)?.zone ?? null;
  const stacks = candidate.zones.flatMap(({ zone, areaMm2, steps }): RecipeStack[] => {
    const exposure = facts.zones.find((one) => one.zone === zone)?.template.exposure;
    return exposure === undefined ? [] : [{ zone, exposure, main: zone === main, areaMm2, steps: steps.map((step) => asRecipe(choiceOf(step))) }];
  });
  return { name, school: candidate.school, appliesTo: { material: facts.piece.material, conditions: facts.piece.conditions }, stacks };
}
