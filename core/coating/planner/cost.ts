import type { SharedThing } from "./shared-thing";

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
  readonly shortfall: number;
  readonly shortfallInAll: number;
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
  shortfall: 1.2,
  shortfallInAll: 0.4,
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
  shortfall: 0,
  shortfallInAll: 0,
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
  durable: mainly({ shortfall: 40, shortfallInAll: 4 }),
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
  /** Minutes at the bench. */
  readonly handsOnMin: number;
  readonly strain: number;
  readonly steps: number;
  readonly coats: number;
  /** Grades short of the best. */
  readonly shortfall: number;
  readonly faults: number;
  readonly money: number;
  readonly order: number;
  /** Acts shared by zones, with their minutes; products that would have to be bought; those without a price; harsh things, with their weight. */
  readonly shared: readonly SharedThing[];
}

/** A part that brings nothing. */
export const NOTHING: Part = { handsOnMin: 0, strain: 0, steps: 0, coats: 0, shortfall: 0, faults: 0, money: 0, order: 0, shared: [] };

/** How long a zone takes, and how far it falls short at its worst: the plan has the greatest of them, not the sum. */
export interface Span {
  readonly underside: boolean;
  readonly chainMin: number;
  readonly cureDays: number;
  readonly shortfall: number;
}

export const NO_SPAN: Span = { underside: false, chainMin: 0, cureDays: 0, shortfall: 0 };
