import type { Scores } from "./plan";

/** What a painter would notice of one plan against another. */
export type Trade = "wears-longer" | "wears-less" | "sooner" | "later" | "less-work" | "more-work" | "less-to-buy" | "more-to-buy" | "gentler" | "harsher";

interface Measured {
  readonly pick: keyof Scores;
  /** A difference below this goes unnoticed [judgement of this project]. */
  readonly noticeable: number;
  readonly more: Trade;
  readonly less: Trade;
}

const MEASURED: readonly Measured[] = [
  { pick: "durability", noticeable: 0.3, more: "wears-longer", less: "wears-less" },
  { pick: "readyDays", noticeable: 0.5, more: "later", less: "sooner" },
  { pick: "handsOnMin", noticeable: 15, more: "more-work", less: "less-work" },
  { pick: "products", noticeable: 0, more: "more-to-buy", less: "less-to-buy" },
  { pick: "harshness", noticeable: 0, more: "harsher", less: "gentler" },
];

/**
 * What one plan trades against another, by the measures they were scored with.
 *
 * @param difference scores of the one less scores of the other; a measure left out is not compared
 * @example tradesOf({ readyDays: 2 }) // ["later"]
 */
export function tradesOf(difference: Partial<Scores>): readonly Trade[] {
  return MEASURED.flatMap(({ pick, noticeable, more, less }) => {
    const by = difference[pick] ?? 0;
    return Math.abs(by) <= noticeable ? [] : [by > 0 ? more : less];
  });
}

/** Scores of one plan less those of another. */
export function scoreDifference(one: Scores, other: Scores): Scores {
  return {
    durability: one.durability - other.durability,
    readyDays: one.readyDays - other.readyDays,
    handsOnMin: one.handsOnMin - other.handsOnMin,
    products: one.products - other.products,
    harshness: one.harshness - other.harshness,
  };
}
