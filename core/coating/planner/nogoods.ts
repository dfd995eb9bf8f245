/** What is known to be wrong with every combination that has a way of each of these: learnt from the first one judged. */
export interface Conflict {
  readonly code: string;
  readonly stop: boolean;
  /** For each decision it hangs on the ways that are alike in it, by number (see `Way.number`). */
  readonly anyOf: readonly (readonly number[])[];
}

interface Watched extends Conflict {
  /** How many of its decisions have gone that way now. */
  met: number;
}

/** The conflicts of one zone, and which of them the choices made so far have walked into. */
export class Conflicts {
  private readonly byWay: Watched[][];
  private readonly chosen: boolean[];
  private readonly learnt = new Set<string>();
  private readonly codes = new Map<string, number>();
  private stops = 0;
  /** Distinct likely faults the choices made so far are known to have. */
  faults = 0;

  constructor(ways: number) {
    this.byWay = Array.from({ length: ways }, () => []);
    this.chosen = new Array<boolean>(ways).fill(false);
  }

  /** True when what is chosen so far is known to be ruled out. */
  get stopped(): boolean {
    return this.stops > 0;
  }

  /** A fault is learnt once, however often it is met. */
  learn(conflict: Conflict): void {
    const key = `${conflict.code}|${conflict.anyOf.join(";")}`;
    if (this.learnt.has(key)) return;
    this.learnt.add(key);
    const watched: Watched = { ...conflict, met: conflict.anyOf.filter((ways) => ways.some((way) => this.chosen[way])).length };
    for (const ways of conflict.anyOf) for (const way of ways) this.byWay[way]!.push(watched);
    if (watched.met === conflict.anyOf.length) this.enter(watched);
  }

  choose(way: number): void {
    this.chosen[way] = true;
    for (const conflict of this.byWay[way]!) {
      conflict.met += 1;
      if (conflict.met === conflict.anyOf.length) this.enter(conflict);
    }
  }

  leave(way: number): void {
    this.chosen[way] = false;
    for (const conflict of this.byWay[way]!) {
      if (conflict.met === conflict.anyOf.length) this.exit(conflict);
      conflict.met -= 1;
    }
  }

  private enter(conflict: Conflict): void {
    if (conflict.stop) this.stops += 1;
    else {
      const before = this.codes.get(conflict.code) ?? 0;
      this.codes.set(conflict.code, before + 1);
      if (before === 0) this.faults += 1;
    }
  }

  private exit(conflict: Conflict): void {
    if (conflict.stop) this.stops -= 1;
    else {
      const now = this.codes.get(conflict.code)! - 1;
      this.codes.set(conflict.code, now);
      if (now === 0) this.faults -= 1;
    }
  }
}
