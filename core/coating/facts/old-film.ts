import type { StackFacts, StepFact } from "./facts";
import { coversField, filmsBelow, has, isClear, isColour, isLoose } from "./facts";

/** On the piece already and set past the point where another film bites into it: a finish, or oil paint of an unknown age. */
export function hasHardened(fact: StepFact): boolean {
  if (!fact.step.done || !fact.product) return false;
  if (isClear(fact) && fact.step.role === "seal") return true;
  return fact.step.laidAt === undefined && isColour(fact) && fact.product.drying.by === "oxidation";
}

/**
 * The hardened film a new one would be laid on with nothing between that makes it hold: no scuffing, no primer that grips by itself.
 *
 * @returns null where there is none; further coats of the same finish belong to it
 */
export function unscuffedBelow(stack: StackFacts, fact: StepFact): StepFact | null {
  if (fact.step.done || !fact.product || isLoose(fact) || has(fact, "grip")) return null;
  const lower = filmsBelow(stack, fact).filter(coversField).at(-1);
  if (!lower || !hasHardened(lower)) return null;
  if (lower.step.product === fact.step.product && fact.step.role === "seal" && lower.step.laidAt !== undefined) return null;
  return stack.steps.slice(lower.index + 1, fact.index).some((one) => one.aid?.givesKey) ? null : lower;
}

/** The topmost layer under a step that water or a brush takes off again, with no sprayed film over it by then; null where there is none. */
export function liftedUnder(stack: StackFacts, step: StepFact): StepFact | null {
  const below = filmsBelow(stack, step);
  return below.findLast((fact, at) => liftsWhenWet(fact, below.slice(at + 1))) ?? null;
}

/** A layer that water, or a brush, takes off again, with no sprayed film over it yet. */
export function liftsWhenWet(fact: StepFact, above: readonly StepFact[]): boolean {
  if (!fact.product || !(fact.product.rewettable || fact.product.traits.includes("ink"))) return false;
  return !above.some((over) => isClear(over) && over.product!.methods[0] === "spray");
}
