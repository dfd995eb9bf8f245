import { practice } from "../../catalogue/provenance";
import { days } from "../../units/duration";
import type { StackFacts, StepFact } from "./facts";
import { isFilm } from "./facts";

/** Cement cures in about four weeks [common practice]. */
export const CEMENT_CURES_MIN = practice(days(28)).value;

/** A film on the body itself; filler mends it. */
const isOnBody = (fact: StepFact) => isFilm(fact) && fact.step.role !== "fill";

/** A film that fresh cement eats from below. */
const isEaten = (fact: StepFact) => isOnBody(fact) && !fact.product!.traits.includes("stands-alkali");

/** Whether cement may still be fresh under a film that it eats: one that has had its time is said to be mature. */
export function cementMayEat({ material, piece }: Pick<StackFacts, "material" | "piece">, fact: StepFact): boolean {
  return material.traits.includes("alkaline") && piece.body?.matured !== true && isEaten(fact);
}

/**
 * Minutes a body of cement that is damp, and so has its lime about it still, hardens before its first film is laid.
 *
 * @param below what is laid before it
 * @returns 0 where it is no such body, or the film stands lime
 */
export function cementWaitMin(stack: Pick<StackFacts, "material" | "piece">, fact: StepFact, below: readonly StepFact[]): number {
  return stack.piece.conditions.includes("damp") && cementMayEat(stack, fact) && !below.some(isOnBody) ? CEMENT_CURES_MIN : 0;
}
