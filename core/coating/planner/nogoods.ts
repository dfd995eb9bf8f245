/** What is known to be wrong with every combination that has an alternative of each of these: learnt from the first one judged. */
export interface Nogood {
  readonly code: string;
  readonly stop: boolean;
  /** For each decision it hangs on the alternatives that are alike in it, by number (see `RatedAlternative.number`). */
  readonly anyOf: readonly (readonly number[])[];
}

interface Watched extends Nogood {
  /** How many of its decisions have taken such an alternative now. */
  met: number;
}

/** The nogoods of one zone, and which of them the choices made so far have walked into. */
export class Nogoods {
  private readonly byWay: Watched[][];
  private readonly chosen: boolean[];
  private readonly learnt = new Set<string>();
  private readonly codes = new Map<string, number>();
  private stops = 0;
  /** Distinct likely faults the choices made so far are known to have. */
  faults = 0;

  constructor(alternatives: number) {
    this.byWay = Array.from({ length: alternatives }, () => []);
    this.chosen = new Array<boolean>(alternatives).fill(false);
  }

  /** True when what is chosen so far is known to be ruled out. */
  get stopped(): boolean {
    return this.stops > 0;
  }

  /** A fault is learnt once, however often it is met. */
  learn(nogood: Nogood): void {
    const key = `${nogood.code}|${nogood.anyOf.join(";")}`;
    if (this.learnt.has(key)) return;
    this.learnt.add(key);
    const watched: Watched = { ...nogood, met: nogood.anyOf.filter((alternatives) => alternatives.some((alternative) => this.chosen[alternative])).length };
    for (const alternatives of nogood.anyOf) for (const alternative of alternatives) this.byWay[alternative]!.push(watched);
    if (watched.met === nogood.anyOf.length) this.enter(watched);
  }

  choose(alternative: number): void {
    this.chosen[alternative] = true;
    for (const nogood of this.byWay[alternative]!) {
      nogood.met += 1;
      if (nogood.met === nogood.anyOf.length) this.enter(nogood);
    }
  }

  leave(alternative: number): void {
    this.chosen[alternative] = false;
    for (const nogood of this.byWay[alternative]!) {
      if (nogood.met === nogood.anyOf.length) this.exit(nogood);
      nogood.met -= 1;
    }
  }

  private enter(nogood: Nogood): void {
    if (nogood.stop) this.stops += 1;
    else {
      const before = this.codes.get(nogood.code) ?? 0;
      this.codes.set(nogood.code, before + 1);
      if (before === 0) this.faults += 1;
    }
  }

  private exit(nogood: Nogood): void {
    if (nogood.stop) this.stops -= 1;
    else {
      const now = this.codes.get(nogood.code)! - 1;
      this.codes.set(nogood.code, now);
      if (now === 0) this.faults -= 1;
    }
  }
}
