import type { Wear } from "../../catalogue/use";
import { films, isClear, isColour, lastFilm } from "./facts";
import type { StackFacts, StepFact } from "./facts";

/** Best grade a film can have for a wear: 0 not made for it, 1 fair, 2 good, 3 very good. */
export const BEST_GRADE = 3;
/** On slick ware a clear film holds no better than this many grades above the paint it lies on [judgement of this project]. */
export const CLEAR_LIFTS_BY = 1;

/** What one wear does to the film that meets it. */
export interface Withstood {
  readonly wear: Wear;
  /** 0–3. */
  readonly grade: number;
  readonly film: StepFact;
}

/**
 * What a colour stands with nothing over it.
 *
 * @param wear what it has to stand
 * @param heated whether the plan bakes it
 * @returns a grade, 0–3
 */
export function colourGrade(colour: StepFact, wear: Wear, heated: boolean): number {
  const baked = heated && colour.product!.bakeable !== null;
  return (baked ? colour.product!.standsAloneBaked : colour.product!.standsAlone)[wear] ?? 0;
}

function weakestColour(stack: StackFacts, wear: Wear): { readonly film: StepFact; readonly grade: number } | null {
  const heated = stack.steps.some((step) => step.aid?.heat);
  const graded = films(stack)
    .filter(isColour)
    .map((film) => ({ film, grade: colourGrade(film, wear, heated) }));
  return graded.sort((a, b) => a.grade - b.grade)[0] ?? null;
}

/**
 * What each wear of a zone meets, and how well that stands it: the last film; under no clear film the weakest colour; on slick
 * ware a clear film only as far as the paint under it holds. Grades are the classes' own (see the catalogue for their standing).
 *
 * @returns nothing for a zone that gets no film
 */
export function withstood(stack: StackFacts): readonly Withstood[] {
  const last = lastFilm(stack);
  if (!last) return [];
  const wears: readonly Wear[] = stack.zone.wears.length > 0 ? stack.zone.wears : ["wipe"];
  return wears.map((wear): Withstood => {
    const weakest = weakestColour(stack, wear);
    if (!isClear(last)) return weakest ? { wear, ...weakest } : { wear, grade: last.product!.resists[wear] ?? 0, film: last };
    const grade = last.product!.resists[wear] ?? 0;
    const holds = stack.material.surface === "slick" && weakest ? weakest.grade + CLEAR_LIFTS_BY : BEST_GRADE;
    return holds < grade && weakest ? { wear, grade: holds, film: weakest.film } : { wear, grade, film: last };
  });
}

/**
 * How well a zone wears, 0–3: half its weakest wear, half the mean of them all, so that one weak spot counts without hiding the rest.
 * A zone without a film wears as the bare piece does: 3.
 *
 * @returns a grade, 0–3, of the wear it stands least
 */
export function durabilityOf(stack: StackFacts): number {
  const grades = withstood(stack).map((one) => one.grade);
  return grades.length === 0 ? BEST_GRADE : durabilityBy(grades);
}

/**
 * How well a zone wears whose wears are withstood so: at least one grade, each 0–3.
 *
 * @param grades by wear, each 0–3
 * @returns the least of them, 0–3
 */
export function durabilityBy(grades: readonly number[]): number {
  return (Math.min(...grades) + grades.reduce((sum, grade) => sum + grade, 0) / grades.length) / 2;
}
