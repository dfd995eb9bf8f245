import type { ProductId } from "../../catalogue/ids";
import { MIN_PER_DAY } from "../../units/duration";

/** What a whole plan costs the user's by each measure; less is better in all. */
export interface Cost {
  /** Likely faults that another choice of steps would not have. */
  readonly faults: number;
  /** From the first step to the last coat, days; undersides come before the rest, the other zones go side by side. */
  readonly days: number;
  readonly cureDays: number;
  readonly handsOnMin: number;
  /** Product classes the user does not own. */
  readonly products: number;
  /** Grades short of the best in the zone that wears worst, and in all zones together. */
  readonly wear: number;
  readonly wearInAll: number;
  /** Solvent, oven and resin, each kind once. */
  readonly harshness: number;
  /** Off the beaten track: products not usual on this surface, working by eye, leaving pits open. */
  readonly strain: number;
  readonly steps: number;
  /** Coats of ground and colour. */
  readonly coats: number;
  /** Paint used, in the user's money, of products whose price the user gave; and products without a price. */
  readonly money: number;
  readonly unpriced: number;
  /** Place in the catalogue: breaks ties. */
  readonly order: number;
}

export type MeasureName = "balanced" | "durable" | "soonest" | "least-work" | "fewest" | "fewest-coats" | "gentle" | "cheapest";

/** A likely fault is traded for nothing. */
const FAULT = 1000;
const BALANCED: Record<keyof Cost, number> = {
  faults: FAULT,
  days: 0.4,
  cureDays: 0.06,
  handsOnMin: 0.02,
  products: 0.6,
  wear: 1.2,
  wearInAll: 0.4,
  harshness: 2,
  strain: 1,
  steps: 0.15,
  coats: 0.1,
  money: 0,
  unpriced: 0,
  order: 1e-3,
};

/** Weights of nothing. */
export const NOTHING_COUNTS: Record<keyof Cost, number> = {
  faults: 0,
  days: 0,
  cureDays: 0,
  handsOnMin: 0,
  products: 0,
  wear: 0,
  wearInAll: 0,
  harshness: 0,
  strain: 0,
  steps: 0,
  coats: 0,
  money: 0,
  unpriced: 0,
  order: 0,
};

/** What stands beside the measure itself: the balanced weights, so that nothing is thrown away for the last hour or penny. */
function mainly(own: Partial<Record<keyof Cost, number>>): Record<keyof Cost, number> {
  return { ...BALANCED, ...own };
}

/** Weights that turn a cost into one number for each measure [judgement of this project; docs/durability.md and docs/coverage.md show what they lead to]. */
export const MEASURES: Record<MeasureName, Record<keyof Cost, number>> = {
  balanced: BALANCED,
  durable: mainly({ wear: 40, wearInAll: 4 }),
  soonest: mainly({ days: 20, cureDays: 20 }),
  "least-work": mainly({ handsOnMin: 0.6, steps: 0.5 }),
  fewest: mainly({ products: 20 }),
  "fewest-coats": mainly({ coats: 8 }),
  gentle: mainly({ harshness: 40 }),
  cheapest: mainly({ money: 20, unpriced: 40 }),
};

/** What nobody would notice of each measure, weighted: less than a product, half a day, a third of a grade, a quarter of an hour. */
export const UNNOTICED: Record<MeasureName, number> = {
  balanced: 0.5,
  durable: 10,
  soonest: 8,
  "least-work": 9,
  fewest: 10,
  "fewest-coats": 7,
  gentle: 20,
  cheapest: 4,
};

/** What one alternative brings, or a whole zone: everything that adds up, and everything that is counted once however often it is there. */
export interface Part {
  readonly handsOnMin: number;
  readonly strain: number;
  readonly steps: number;
  readonly coats: number;
  readonly wear: number;
  readonly faults: number;
  readonly money: number;
  readonly order: number;
  /** Acts shared by zones, with their minutes. */
  readonly acts: readonly (readonly [string, number])[];
  /** Products the user would have to buy; those without a price; harsh things, with their weight. */
  readonly toBuy: readonly ProductId[];
  readonly unpriced: readonly ProductId[];
  readonly harsh: readonly (readonly [string, number])[];
}

/** How long a zone takes, and how it wears at its worst: the plan has the greatest of them, not the sum. */
export interface Span {
  readonly underside: boolean;
  readonly chainMin: number;
  readonly cureDays: number;
  readonly wear: number;
}

export const NO_SPAN: Span = { underside: false, chainMin: 0, cureDays: 0, wear: 0 };

/** Counts things once: how often each is there now, and what those present weigh together. */
class Once {
  private readonly present = new Map<string, number>();
  private readonly weights = new Map<string, number>();
  total = 0;

  add(name: string, weight: number): void {
    const before = this.present.get(name) ?? 0;
    if (before === 0) {
      this.total += weight;
      this.weights.set(name, weight);
    }
    this.present.set(name, before + 1);
  }

  /** What is there now, with what it weighs. */
  *now(): Iterable<readonly [string, number]> {
    for (const [name, count] of this.present) if (count > 0) yield [name, this.weights.get(name)!];
  }

  take(name: string, weight: number): void {
    const before = this.present.get(name)!;
    if (before === 1) this.total -= weight;
    this.present.set(name, before - 1);
  }
}

/** What more on a running cost would no longer add: what is there already, and how long and how bad it is by now. */
export interface CostState {
  /** Typical minutes of undersides and of the rest. */
  readonly under: number;
  readonly rest: number;
  readonly cureDays: number;
  readonly wear: number;
  /** Things that count once, with their weighted cost. */
  readonly once: ReadonlyMap<string, number>;
}

/** The cost of a plan in the making: parts are put on and taken off as the search goes, and the weighted sum is always at hand. */
export class IncrementalCost {
  private sum = 0;
  private readonly acts = new Once();
  private readonly toBuy = new Once();
  private readonly unpriced = new Once();
  private readonly harsh = new Once();
  private readonly spans: Span[];

  constructor(
    private readonly weights: Record<keyof Cost, number>,
    zones: number,
  ) {
    this.spans = new Array<Span>(zones).fill(NO_SPAN);
  }

  /** What colours and wear add to a zone's alternatives, weighted. */
  onTop({ handsOnMin, coats, wear }: Pick<Part, "handsOnMin" | "coats" | "wear">): number {
    const { weights } = this;
    return weights.handsOnMin * handsOnMin + weights.coats * coats + weights.wearInAll * wear;
  }

  /** The weighted part of what adds up. */
  plain(part: Part): number {
    const { weights } = this;
    return (
      this.onTop(part) +
      weights.strain * part.strain +
      weights.steps * part.steps +
      weights.faults * part.faults +
      weights.money * part.money +
      weights.order * part.order
    );
  }

  /** What an alternative comes to by itself, bought new: the order in which alternatives are tried. */
  alone({ part, alone }: { readonly part: Part; readonly alone: Omit<Span, "wear"> }): number {
    const { weights } = this;
    const time = (weights.days * alone.chainMin) / MIN_PER_DAY + weights.cureDays * alone.cureDays;
    let harsh = 0;
    for (const [, weight] of part.harsh) harsh += weight;
    return this.plain(part) + time + weights.products * part.toBuy.length + weights.harshness * harsh + weights.wear * part.wear;
  }

  put(part: Part): void {
    this.sum += this.plain(part);
    if (part.acts.length > 0) for (const [act, minutes] of part.acts) this.acts.add(act, minutes);
    if (part.toBuy.length > 0) for (const id of part.toBuy) this.toBuy.add(id, 1);
    if (this.weights.unpriced > 0) for (const id of part.unpriced) this.unpriced.add(id, 1);
    if (part.harsh.length > 0) for (const [kind, weight] of part.harsh) this.harsh.add(kind, weight);
  }

  take(part: Part): void {
    this.sum -= this.plain(part);
    if (part.acts.length > 0) for (const [act, minutes] of part.acts) this.acts.take(act, minutes);
    if (part.toBuy.length > 0) for (const id of part.toBuy) this.toBuy.take(id, 1);
    if (this.weights.unpriced > 0) for (const id of part.unpriced) this.unpriced.take(id, 1);
    if (part.harsh.length > 0) for (const [kind, weight] of part.harsh) this.harsh.take(kind, weight);
  }

  span(zone: number): Span {
    return this.spans[zone]!;
  }

  setSpan(zone: number, span: Span): void {
    this.spans[zone] = span;
  }

  /** The greatest of each span. */
  private greatest(): Omit<CostState, "once"> {
    let [under, rest, cureDays, wear] = [0, 0, 0, 0];
    for (const span of this.spans) {
      if (span.underside) under = Math.max(under, span.chainMin);
      else rest = Math.max(rest, span.chainMin);
      cureDays = Math.max(cureDays, span.cureDays);
      wear = Math.max(wear, span.wear);
    }
    return { under, rest, cureDays, wear };
  }

  state(): CostState {
    const { weights } = this;
    const kinds = [
      ["act", this.acts, weights.handsOnMin],
      ["buy", this.toBuy, weights.products],
      ["unpriced", this.unpriced, weights.unpriced],
      ["harsh", this.harsh, weights.harshness],
    ] as const;
    const once = new Map<string, number>();
    for (const [kind, things, weight] of kinds) for (const [name, own] of things.now()) once.set(`${kind}:${name}`, weight * own);
    return { ...this.greatest(), once };
  }

  total(): number {
    const { weights } = this;
    const { under, rest, cureDays, wear } = this.greatest();
    return (
      this.sum +
      weights.handsOnMin * this.acts.total +
      weights.products * this.toBuy.total +
      weights.unpriced * this.unpriced.total +
      weights.harshness * this.harsh.total +
      (weights.days * (under + rest)) / MIN_PER_DAY +
      weights.cureDays * cureDays +
      weights.wear * wear
    );
  }
}
