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
  /** Of the colours chosen, by wear; filled anew each time. */
  private readonly weakest: number[];
  private readonly sealShorts = new Map<StepFact, number>();
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
    this.weakest = this.wears.map(() => Infinity);
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
    let short = this.sealShorts.get(seal);
    if (short === undefined) {
      short = isClear(seal) ? shortOf(this.wears.map((wear) => seal.product!.resists[wear] ?? 0)) : 0;
      this.sealShorts.set(seal, short);
    }
    return short;
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
    let last = -1;
    const { weakest } = this;
    weakest.fill(Infinity);
    for (const place of places) {
      const grades = this.grades[place];
      if (!grades) continue;
      last = place;
      for (let at = 0; at < grades.length; at += 1) weakest[at] = Math.min(weakest[at]!, grades[at]!);
    }
    if (last < 0) return seal === "none" ? 0 : this.ofSeal(seal);
    if (seal === "none") return Math.min(shortOf(weakest), this.clearAfter(last));
    if (this.context.material.surface !== "slick" || !isClear(seal)) return this.ofSeal(seal);
    return shortOf(this.wears.map((wear, at) => Math.min(seal.product!.resists[wear] ?? 0, weakest[at]! + CLEAR_LIFTS_BY)));
  }
}
