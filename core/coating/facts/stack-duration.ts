import { isFilm } from "./facts";
import type { StackFacts, StepFact } from "./facts";
import type { Wait } from "../model/step";
import { betweenCoatsMin, conditionDryMin, demand, waitOf } from "./waits";
import type { Column, Demand } from "./waits";

/** What one act asks of one thing beneath it, in both columns. */
interface PairNeed {
  readonly typical: Demand;
  readonly cautious: Demand;
}

const NOTHING_ASKED: Demand = { min: 0, until: "dry-to-recoat" };

/**
 * Waits of stacks put together out of the same steps: what one asks of another is looked up once, so that the search may ask at every turn.
 * More steps and more coats never make a run shorter, so steps still to be chosen only add.
 */
export class StackDuration {
  private readonly needs: (PairNeed | undefined)[];
  /** Typical minutes out of `needs`; −1 where not looked up yet. */
  private readonly typical: Float64Array;
  private readonly recoats: readonly { readonly typical: number; readonly cautious: number }[];
  /** When each step of the run being worked out ends, minutes; filled anew each time. */
  private readonly ends: Float64Array;
  private readonly bodyMin: number;
  private readonly films: readonly boolean[];
  private readonly cures: readonly boolean[];

  /** @param facts every step that may be chosen, in working order; `index` is its place here */
  constructor(
    private readonly stack: StackFacts,
    private readonly facts: readonly StepFact[],
  ) {
    this.needs = new Array<PairNeed | undefined>(facts.length ** 2).fill(undefined);
    this.typical = new Float64Array(facts.length ** 2).fill(-1);
    this.recoats = facts.map((fact) => ({ typical: betweenCoatsMin(fact, stack, "typical"), cautious: betweenCoatsMin(fact, stack, "cautious") }));
    this.ends = new Float64Array(facts.length);
    this.bodyMin = conditionDryMin(stack);
    this.films = facts.map(isFilm);
    this.cures = facts.map((fact) => fact.step.role === "cure");
  }

  private need(upper: number, lower: number): PairNeed {
    const at = upper * this.facts.length + lower;
    return (this.needs[at] ??= {
      typical: demand(this.facts[upper]!, this.facts[lower]!, this.stack, "typical"),
      cautious: demand(this.facts[upper]!, this.facts[lower]!, this.stack, "cautious"),
    });
  }

  private typicalMin(upper: number, lower: number): number {
    const at = upper * this.facts.length + lower;
    const known = this.typical[at]!;
    return known >= 0 ? known : (this.typical[at] = this.need(upper, lower).typical.min);
  }

  /**
   * Typical minutes from the first of these steps to the last; curing is no part of the work.
   *
   * @param chosen places of the chosen steps, ascending
   * @param coats coats of each of them
   */
  minutes(chosen: readonly number[], coats: readonly number[]): number {
    const { ends } = this;
    const size = this.facts.length;
    let begun = false;
    let last = 0;
    for (let order = 0; order < chosen.length; order += 1) {
      const upper = chosen[order]!;
      let start = last;
      if (!this.cures[upper]) {
        const row = upper * size;
        for (let below = 0; below < order; below += 1) {
          const known = this.typical[row + chosen[below]!]!;
          const end = ends[below]! + (known >= 0 ? known : this.typicalMin(upper, chosen[below]!));
          if (end > start) start = end;
        }
        if (!begun && this.films[upper]) {
          begun = true;
          start = Math.max(start, this.bodyMin);
        }
      }
      last = start + (coats[order]! - 1) * this.recoats[upper]!.typical;
      ends[order] = last;
    }
    return last;
  }

  /** The waits before each of these steps, as `fillWaits` gives them. */
  waits(chosen: readonly number[], coats: readonly number[]): readonly (Wait | null)[] {
    const typical = this.demands(chosen, coats, "typical");
    const cautious = this.demands(chosen, coats, "cautious", typical);
    return typical.map((usual, order) => waitOf(usual, cautious[order]!));
  }

  /** The same without the careful end, which no choice hangs on. */
  typicalWaits(chosen: readonly number[], coats: readonly number[]): readonly (Wait | null)[] {
    return this.demands(chosen, coats, "typical").map((usual) => waitOf(usual, usual));
  }

  /** What each step asks of what lies beneath it, beyond what has passed by then. */
  private demands(chosen: readonly number[], coats: readonly number[], column: Column, atLeast: readonly Demand[] = []): readonly Demand[] {
    const first = chosen.findIndex((place) => this.films[place]);
    const passed: number[] = [];
    return chosen.map((upper, order) => {
      let best: Demand = NOTHING_ASKED;
      let gone = 0;
      for (let below = order - 1; below >= 0; below -= 1) {
        const lower = chosen[below]!;
        const asked = this.need(upper, lower)[column];
        if (asked.min - gone > best.min) best = { ...asked, min: asked.min - gone };
        gone += passed[below]! + (coats[below]! - 1) * this.recoats[lower]![column];
      }
      const body = order === first ? this.bodyMin : 0;
      if (body - gone > best.min) best = { min: body - gone, until: "dry-body" };
      passed.push(Math.max(0, Math.ceil(best.min), Math.ceil(atLeast[order]?.min ?? 0)));
      return best;
    });
  }
}
