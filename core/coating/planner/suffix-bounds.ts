import type { Cost } from "./cost";
import type { CostState } from "./incremental-cost";
import { MIN_PER_DAY } from "../../units/duration";

interface Entry {
  readonly state: CostState;
  readonly agreed: string;
  readonly mostFaults: number;
  readonly added: number;
}

/**
 * What the zones from one on add at the least, learnt from searching them after what went before. Much the same zones before them
 * then bound it without a search: what they bring that was missing, and what they take longer or wear worse, is all that can be saved.
 */
export class SuffixBounds {
  private readonly entries: Entry[] = [];

  constructor(private readonly weights: Record<keyof Cost, number>) {}

  /**
   * @param state the running cost with all zones before on it
   * @param agreed what all zones have to agree on
   * @param mostFaults likely faults left to these zones
   */
  add(state: CostState, agreed: string, mostFaults: number, added: number): void {
    this.entries.push({ state, agreed, mostFaults, added });
  }

  /** The least these zones add after other ones before them; −∞ where nothing is known. */
  least(state: CostState, agreed: string, mostFaults: number): number {
    let least = -Infinity;
    for (const entry of this.entries)
      if (entry.agreed === agreed && entry.mostFaults >= mostFaults) least = Math.max(least, entry.added - this.saved(entry.state, state));
    return least;
  }

  private saved(from: CostState, to: CostState): number {
    const { weights } = this;
    const longer = Math.max(0, to.under - from.under) + Math.max(0, to.rest - from.rest);
    let saved =
      (weights.days * longer) / MIN_PER_DAY +
      weights.cureDays * Math.max(0, to.cureDays - from.cureDays) +
      weights.shortfall * Math.max(0, to.shortfall - from.shortfall);
    for (let index = 0; index < to.once.length; index += 1) if (from.once[index] === 0) saved += to.once[index]!;
    return saved;
  }
}
