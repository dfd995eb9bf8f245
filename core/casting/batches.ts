import { memory } from "../catalogue/provenance";

/** One filling of one mould. */
export interface Fill {
  /** Which mould, as its caller names it. */
  readonly mould: string;
  /** Water and powder in it, reserve and all, g. */
  readonly g: number;
}

/** What is stirred in one bowl and poured from it. */
export interface Batch {
  readonly fills: readonly Fill[];
  readonly g: number;
  /** One of several bowls that fill one mould, from 1: they are stirred side by side. */
  readonly part?: { readonly nth: number; readonly of: number };
}

/** What limits a bowl. */
export interface Limits {
  /** The most mix it takes, g; absent: it takes all of it. */
  readonly bowlG?: number;
  /** The mix can be poured for so long from the first powder in the water, minutes. */
  readonly openMin?: number;
}

/** Sprinkling, soaking and stirring before the first pour, and each mould that is filled, minutes [from memory]. */
export const HANDS = memory({ beforePourMin: 6, perMouldMin: 0.75 }).value;
/** Up to so many fillings the fewest bowls are searched for; beyond it the largest go first into the first bowl that takes them. */
const SEARCHED = 14;
/** A gram in ten tonnes: room for rounding. */
const SLACK = 1 + 1e-9;

/** How many moulds one pair of hands fills before a mix thickens; 1 at least. */
export function mouldsWithin(openMin: number | undefined): number {
  return openMin === undefined ? Infinity : Math.max(1, Math.floor((openMin - HANDS.beforePourMin) / HANDS.perMouldMin));
}

const weigh = (fills: readonly Fill[]) => fills.reduce((sum, { g }) => sum + g, 0);

interface Bowl {
  readonly most: number;
  readonly moulds: number;
}

const takes = (bowl: Bowl, held: readonly Fill[], fill: Fill) => held.length < bowl.moulds && weigh(held) + fill.g <= bowl.most * SLACK;

/** The largest first, each into the first bowl that takes it. */
function firstFit(fills: readonly Fill[], bowl: Bowl): Fill[][] {
  const held: Fill[][] = [];
  for (const fill of fills) {
    const open = held.find((one) => takes(bowl, one, fill));
    if (open) open.push(fill);
    else held.push([fill]);
  }
  return held;
}

/** Looks for so many bowls that take all of it, depth first; null where there are none. */
function packed(fills: readonly Fill[], bowl: Bowl, count: number): Fill[][] | null {
  const held: Fill[][] = Array.from({ length: count }, () => []);
  const place = (at: number): boolean => {
    if (at === fills.length) return true;
    const tried = new Set<number>();
    for (const one of held) {
      // Bowls that hold the same weight are the same.
      const state = weigh(one) + one.length / SEARCHED;
      if (tried.has(state) || !takes(bowl, one, fills[at]!)) continue;
      tried.add(state);
      one.push(fills[at]!);
      if (place(at + 1)) return true;
      one.pop();
    }
    return false;
  };
  return place(0) ? held : null;
}

function fewest(fills: readonly Fill[], bowl: Bowl): readonly Fill[][] {
  const found = firstFit(fills, bowl);
  if (fills.length > SEARCHED) return found;
  const least = Math.max(Math.ceil(weigh(fills) / bowl.most / SLACK), Math.ceil(fills.length / bowl.moulds), 1);
  for (let count = least; count < found.length; count += 1) {
    const better = packed(fills, bowl, count);
    if (better) return better.filter((one) => one.length > 0);
  }
  return found;
}

/**
 * Splits fillings into bowls: a mould is filled out of one bowl, for a second pour onto a setting one leaves a seam; what no bowl holds is stirred in
 * several at once. Mass is kept.
 *
 * @param fills one for each mould that is filled
 * @returns as few batches as the bowl and the time allow
 * @example batchesOf([{ mould: "a", g: 300 }, { mould: "b", g: 300 }, { mould: "c", g: 300 }], { bowlG: 650 }).map((one) => one.g) // [600, 300]
 */
export function batchesOf(fills: readonly Fill[], { bowlG, openMin }: Limits): readonly Batch[] {
  const bowl: Bowl = { most: bowlG ?? Infinity, moulds: mouldsWithin(openMin) };
  const bySize = [...fills].sort((a, b) => b.g - a.g);
  const large = bySize.filter(({ g }) => g > bowl.most * SLACK);
  const together = large.flatMap((fill): readonly Batch[] => {
    const count = Math.ceil(fill.g / bowl.most / SLACK);
    const part = { ...fill, g: fill.g / count };
    return Array.from({ length: count }, (_unused, k) => ({ fills: [part], g: part.g, part: { nth: k + 1, of: count } }));
  });
  const rest = bySize.filter((fill) => !large.includes(fill));
  return [...together, ...(rest.length === 0 ? [] : fewest(rest, bowl)).map((held) => ({ fills: held, g: weigh(held) }))];
}
