import type { LogRecord } from "./record";

/** What the user says of their money, for all pieces. Null: never said. */
export interface Rates {
  /** An hour of their hands. */
  readonly perHour: number | null;
  /** Share of brushes, tools and heat, of one piece. */
  readonly toolsEach: number | null;
  /** Of the price, what is to be left over beyond cost, 0–0.95. */
  readonly margin: number | null;
}

export const NO_RATES: Rates = { perHour: null, toolsEach: null, margin: null };

/** The most of a price that can be left over: at all of it no price is enough. */
export const MOST_MARGIN = 0.95;

export const COST_SHARES = ["paint", "body", "tools", "hands", "other"] as const;
export type CostShare = (typeof COST_SHARES)[number];

/** What one piece of a record cost, in the user's money. A share nobody knows is null, never nothing. */
export interface Cost {
  readonly shares: Readonly<Record<CostShare, number | null>>;
  /** The known shares together. */
  readonly known: number;
  /** Paints whose price was never said. */
  readonly unpriced: readonly string[];
  /** Shares nobody knows. */
  readonly missing: readonly CostShare[];
}

const MIN_PER_HOUR = 60;

/**
 * What one piece cost: paint out of its jars, ruined coats with it, at what the jars cost then; the body; tools; hands at the user's rate.
 *
 * @param rates what the user says of their money
 */
export function costOf(
  { paint, minutes, count, money }: Pick<LogRecord, "paint" | "minutes" | "count" | "money">,
  { perHour, toolsEach }: Pick<Rates, "perHour" | "toolsEach">,
): Cost {
  const unpriced = paint.filter(({ perMl }) => perMl === undefined).map(({ name }) => name);
  const priced = paint.filter(({ perMl }) => perMl !== undefined);
  const hoursEach = minutes.reduce((sum, { min }) => sum + min, 0) / MIN_PER_HOUR / count;
  const shares: Cost["shares"] = {
    paint: priced.length === 0 && paint.length > 0 ? null : priced.reduce((sum, { ml, perMl }) => sum + ml * perMl!, 0) / count,
    body: money?.body ?? null,
    tools: toolsEach,
    hands: perHour === null || minutes.length === 0 ? null : perHour * hoursEach,
    other: money?.other ?? null,
  };
  return {
    shares,
    known: COST_SHARES.reduce((sum, share) => sum + (shares[share] ?? 0), 0),
    unpriced,
    // Nothing else is usual: a box or a cord is only missing where it was meant.
    missing: COST_SHARES.filter((share) => shares[share] === null && share !== "other"),
  };
}

/**
 * The price at which a share of it is left over beyond cost.
 *
 * @param cost of one piece, from 0
 * @param margin share of the price, 0–0.95
 * @throws RangeError for a margin no price reaches
 * @example priceAt(6, 0.25) // 8
 */
export function priceAt(cost: number, margin: number): number {
  if (!(margin >= 0 && margin <= MOST_MARGIN)) throw new RangeError(`a margin lies between 0 and ${MOST_MARGIN}`);
  return cost / (1 - margin);
}
