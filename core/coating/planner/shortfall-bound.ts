import type { Wear } from "../../catalogue/use";
import { BEST_GRADE, CLEAR_LIFTS_BY, colourGrade, durabilityBy } from "../facts/durability";
import { isClear, isColour, isFilm } from "../facts/facts";
import type { StepFact } from "../facts/facts";
import type { ZoneContext } from "./context";

/** What a zone's seal is as far as is decided. */
export type Seal = StepFact | "none" | "undecided";

const shortOf = (grades: readonly number[]): number => BEST_GRADE - durabilityBy(grades);

/** Grades a zone falls short of the best at the least, while its stack is still being chosen: more colours only make it worse. */
export class ShortfallBound {
  private readonly wears: readonly Wear[];
  private readonly grades: readonly (readonly number[] | null)[];
  /** Clear films that are no seal, with their places: without a seal one that comes after every colour may be the last. */
  private readonly clears: readonly (readonly [place: number, short: number])[];

  /**
   * @param facts every step that may be chosen
   * @param seals those of them that seal
   */
  constructor(
    private readonly context: ZoneContext,
    facts: readonly StepFact[],
    seals: ReadonlySet<number>,
  ) {
    const { wears } = context.zone;
    this.wears = wears.length > 0 ? wears : ["wipe"];
    this.grades = facts.map((fact) => (isFilm(fact) && isColour(fact) ? this.wears.map((wear) => this.atBest(fact, wear)) : null));
    this.clears = facts.flatMap((fact, place) => (!seals.has(place) && isFilm(fact) && isClear(fact) ? [[place, this.ofSeal(fact)] as const] : []));
  }

  /** Baked or not: whichever wears better, where either may come. */
  private atBest(fact: StepFact, wear: Wear): number {
    const cold = colourGrade(fact, wear, false);
    return this.context.route === "air" ? cold : Math.max(cold, colourGrade(fact, wear, true));
  }

  /** What a seal falls short by: nothing under it makes it better. */
  ofSeal(seal: StepFact): number {
    if (!isClear(seal)) return 0;
    return shortOf(this.wears.map((wear) => seal.product!.resists[wear] ?? 0));
  }

  /**
   * What a zone without a seal falls short by.
   *
   * @param variables for each decision the places of each of its alternatives
   */
  ofNone(variables: readonly (readonly (readonly number[])[])[]): number {
    // Some decisions lay a colour whichever alternative is taken; the best of it has to do.
    const always = variables.map((alternatives) => Math.min(...alternatives.map((places) => this.of(places, "none"))));
    return Math.max(0, ...always);
  }

  private clearAfter(colour: number): number {
    let least = Infinity;
    for (const [place, short] of this.clears) if (place > colour) least = Math.min(least, short);
    return least;
  }

  /** @param places of the steps chosen, ascending */
  of(places: readonly number[], seal: Seal): number {
    if (seal === "undecided") return 0;
    const colours = places.flatMap((place) => (this.grades[place] ? [this.grades[place]] : []));
    if (colours.length === 0) return seal === "none" ? 0 : this.ofSeal(seal);
    const weakest = this.wears.map((_wear, at) => Math.min(...colours.map((grades) => grades[at]!)));
    if (seal === "none") return Math.min(shortOf(weakest), this.clearAfter(places.findLast((place) => this.grades[place] !== null)!));
    if (this.context.material.surface !== "slick" || !isClear(seal)) return this.ofSeal(seal);
    return shortOf(this.wears.map((wear, at) => Math.min(seal.product!.resists[wear] ?? 0, weakest[at]! + CLEAR_LIFTS_BY)));
  }
}
