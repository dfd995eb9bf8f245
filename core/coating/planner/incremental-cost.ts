import { MIN_PER_DAY } from "../../units/duration";
import { NO_SPAN } from "./cost";
import type { Cost, Part, Span } from "./cost";
import { sharedThingsKnown } from "./shared-thing";
import type { SharedKind } from "./shared-thing";

type Weights = Record<keyof Cost, number>;

/** What more would no longer add: what is there already, and how long and how bad it is by now. */
export interface CostState {
  /** Typical minutes of undersides and of the rest. */
  readonly under: number;
  readonly rest: number;
  readonly cureDays: number;
  readonly shortfall: number;
  /** Weighted cost of every shared thing that is there, by its index; 0 where it is not. */
  readonly once: Float64Array;
}

/** The weight of one shared thing of each kind. */
export function sharedWeights({ handsOnMin, products, kinds, unpriced, harshness }: Weights): Readonly<Record<SharedKind, number>> {
  return { act: handsOnMin, buy: products, kind: kinds, unpriced, harsh: harshness };
}

/** What colours and shortfall add to a zone's alternatives, weighted. */
export function weighedOnTop(weights: Weights, { handsOnMin, coats, shortfall }: Pick<Part, "handsOnMin" | "coats" | "shortfall">): number {
  return weights.handsOnMin * handsOnMin + weights.coats * coats + weights.shortfallInAll * shortfall;
}

/** The weighted part of what adds up. */
export function weighedPlain(weights: Weights, part: Part): number {
  return (
    weighedOnTop(weights, part) +
    weights.strain * part.strain +
    weights.steps * part.steps +
    weights.faults * part.faults +
    weights.money * part.money +
    weights.order * part.order
  );
}

/** What an alternative comes to by itself, bought new: the order in which alternatives are tried. */
export function weighedAlone(weights: Weights, { part, alone }: { readonly part: Part; readonly alone: Omit<Span, "shortfall"> }): number {
  const once = sharedWeights(weights);
  let shared = 0;
  for (const thing of part.shared) if (thing.kind === "buy" || thing.kind === "kind" || thing.kind === "harsh") shared += once[thing.kind] * thing.amount;
  const time = (weights.days * alone.chainMin) / MIN_PER_DAY + weights.cureDays * alone.cureDays;
  return weighedPlain(weights, part) + time + shared + weights.shortfall * part.shortfall;
}

/** The cost of a plan in the making: parts are put on and taken off as the search goes, and the weighted sum is always at hand. */
export class IncrementalCost {
  private sum = 0;
  /** How often each shared thing is there now, and what those present weigh together. */
  private counts: Int32Array;
  private present: Float64Array;
  private readonly once: Readonly<Record<SharedKind, number>>;
  private readonly spans: Span[];
  /** What the greatest spans weigh; NaN when a span has changed since. */
  private inTime = NaN;

  /**
   * @param zones how many zones the plan has
   * @param free indexes of shared things that cost nothing here
   */
  constructor(
    readonly weights: Weights,
    zones: number,
    private readonly free: ReadonlySet<number> | null = null,
  ) {
    this.counts = new Int32Array(sharedThingsKnown());
    this.present = new Float64Array(this.counts.length);
    this.once = sharedWeights(weights);
    this.spans = new Array<Span>(zones).fill(NO_SPAN);
  }

  put(part: Part): void {
    this.sum += weighedPlain(this.weights, part);
    this.putShared(part);
  }

  take(part: Part): void {
    this.sum -= weighedPlain(this.weights, part);
    this.takeShared(part);
  }

  /** Puts a part on whose weighted sum is known. */
  putWeighed(part: Part, plain: number): void {
    this.sum += plain;
    this.putShared(part);
  }

  takeWeighed(part: Part, plain: number): void {
    this.sum -= plain;
    this.takeShared(part);
  }

  /** Things that came to be known since are counted too. */
  private reserve(): void {
    const [counts, present] = [this.counts, this.present];
    this.counts = new Int32Array(sharedThingsKnown());
    this.present = new Float64Array(this.counts.length);
    this.counts.set(counts);
    this.present.set(present);
  }

  private putShared({ shared }: Part): void {
    for (let at = 0; at < shared.length; at += 1) {
      const { index, kind, amount } = shared[at]!;
      const weight = this.once[kind];
      if (weight === 0 || (this.free !== null && this.free.has(index))) continue;
      if (index >= this.counts.length) this.reserve();
      if (this.counts[index]! === 0) this.sum += this.present[index] = weight * amount;
      this.counts[index]! += 1;
    }
  }

  private takeShared({ shared }: Part): void {
    for (let at = 0; at < shared.length; at += 1) {
      const { index, kind } = shared[at]!;
      if (this.once[kind] === 0 || (this.free !== null && this.free.has(index))) continue;
      this.counts[index]! -= 1;
      if (this.counts[index]! > 0) continue;
      this.sum -= this.present[index]!;
      this.present[index] = 0;
    }
  }

  span(zone: number): Span {
    return this.spans[zone]!;
  }

  setSpan(zone: number, span: Span): void {
    if (this.spans[zone] === span) return;
    this.spans[zone] = span;
    this.inTime = NaN;
  }

  /** The greatest of each span. */
  private greatest(): Omit<CostState, "once"> {
    let [under, rest, cureDays, shortfall] = [0, 0, 0, 0];
    for (const span of this.spans) {
      if (span.underside) under = Math.max(under, span.chainMin);
      else rest = Math.max(rest, span.chainMin);
      cureDays = Math.max(cureDays, span.cureDays);
      shortfall = Math.max(shortfall, span.shortfall);
    }
    return { under, rest, cureDays, shortfall };
  }

  state(): CostState {
    return { ...this.greatest(), once: this.present.slice() };
  }

  total(): number {
    if (Number.isNaN(this.inTime)) {
      const { weights } = this;
      const { under, rest, cureDays, shortfall } = this.greatest();
      this.inTime = (weights.days * (under + rest)) / MIN_PER_DAY + weights.cureDays * cureDays + weights.shortfall * shortfall;
    }
    return this.sum + this.inTime;
  }
}
