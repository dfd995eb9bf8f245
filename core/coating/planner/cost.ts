import { UNNOTICED } from "../facts/noticeable";
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
  /** Different grounds, colours and clears in one piece, owned or not: one of each will do unless a place needs another. */
  readonly kinds: number;
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
  kinds: 0.6,
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
  kinds: 0,
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

/** Sought by one measure a plan stays whole: it is no shuffle of paints that saves an hour here and a penny there, nor of what nobody takes for this. */
const COHERENT = { kinds: 6, strain: 3 } as const;

/** What stands beside the measure itself: the balanced weights, so that nothing is thrown away for the last hour or penny. */
function mainly(own: Partial<Record<keyof Cost, number>>): Record<keyof Cost, number> {
  return { ...BALANCED, ...COHERENT, ...own };
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

/** The weight of what nobody would notice by a measure's own matter. */
const unnoticed = (measure: MeasureName, of: keyof Cost, score: keyof typeof UNNOTICED) => MEASURES[measure][of] * UNNOTICED[score];

/**
 * What a long search may leave on the table by each measure, weighted: what nobody would notice of its own matter. Days count twice, in work and in
 * cure; coats are left more room, as each of them brings minutes with it [judgement of this project].
 */
export const SLACK: Record<MeasureName, number> = {
  balanced: 0.5,
  durable: unnoticed("durable", "shortfall", "durability"),
  soonest: 0.8 * unnoticed("soonest", "days", "readyDays"),
  "least-work": unnoticed("least-work", "handsOnMin", "handsOnMin"),
  fewest: unnoticed("fewest", "products", "products"),
  "fewest-coats": 1.75 * unnoticed("fewest-coats", "coats", "coats"),
  gentle: unnoticed("gentle", "harshness", "harshness"),
  cheapest: unnoticed("cheapest", "money", "cost"),
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
  /** Acts shared by zones, with their minutes; products that would have to be bought; kinds of film; those without a price; harsh things, with their weight. */
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
