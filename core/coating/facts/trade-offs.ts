import type { Candidate, Scores } from "../model/plan";
import { UNNOTICED } from "./noticeable";

/** What a painter would notice of one plan against another. */
export type Trade =
  | "wears-longer"
  | "wears-less"
  | "sooner"
  | "later"
  | "less-work"
  | "more-work"
  | "less-to-buy"
  | "more-to-buy"
  | "fewer-coats"
  | "more-coats"
  | "gentler"
  | "harsher"
  | "cheaper"
  | "dearer"
  | "more-forgiving"
  | "less-forgiving";

/** Measures a plan can win. */
export type Win = "durability" | "readyDays" | "products" | "harshness" | "handsOnMin" | "coats" | "cost";

interface Measured {
  readonly pick: keyof typeof UNNOTICED;
  readonly more: Trade;
  readonly less: Trade;
  /** More is better; less is where absent. */
  readonly moreIsBetter?: true;
}

const MEASURED: readonly Measured[] = [
  { pick: "durability", more: "wears-longer", less: "wears-less", moreIsBetter: true },
  { pick: "readyDays", more: "later", less: "sooner" },
  { pick: "handsOnMin", more: "more-work", less: "less-work" },
  { pick: "products", more: "more-to-buy", less: "less-to-buy" },
  { pick: "coats", more: "more-coats", less: "fewer-coats" },
  { pick: "harshness", more: "harsher", less: "gentler" },
  { pick: "cost", more: "dearer", less: "cheaper" },
  { pick: "forgiving", more: "more-forgiving", less: "less-forgiving", moreIsBetter: true },
];

/** In the order a painter would name them. */
const WINS: readonly Win[] = ["durability", "readyDays", "products", "harshness", "cost", "handsOnMin", "coats"];

/** Scores of one plan less those of another. */
export type Difference = { readonly [K in keyof Scores]?: number };

/**
 * What one plan trades against another, by the measures they were scored with.
 *
 * @param difference scores of the one less scores of the other; a measure left out is not compared
 * @example tradesOf({ readyDays: 2 }) // ["later"]
 */
export function tradesOf(difference: Difference): readonly Trade[] {
  return MEASURED.flatMap(({ pick, more, less }) => {
    const by = difference[pick] ?? 0;
    return Math.abs(by) <= UNNOTICED[pick] ? [] : [by > 0 ? more : less];
  });
}

/**
 * Scores of one plan less those of another; cost only where both are known.
 *
 * @returns the one less the other, each measure in its own unit
 */
export function scoreDifference(one: Scores, other: Scores): Difference {
  const cost = one.cost !== null && other.cost !== null ? { cost: one.cost - other.cost } : {};
  return {
    durability: one.durability - other.durability,
    readyDays: one.readyDays - other.readyDays,
    handsOnMin: one.handsOnMin - other.handsOnMin,
    products: one.products - other.products,
    coats: one.coats - other.coats,
    harshness: one.harshness - other.harshness,
    forgiving: one.forgiving - other.forgiving,
    strain: one.strain - other.strain,
    ...cost,
  };
}

/** Whether one plan is at least as good in every measure and better in one: then nobody has a reason to take the other. */
export function dominates(one: Scores, other: Scores): boolean {
  const by = scoreDifference(one, other);
  const worse = [...MEASURED, { pick: "strain" as const, moreIsBetter: undefined }].map(({ pick, moreIsBetter }) => (moreIsBetter ? -1 : 1) * (by[pick] ?? 0));
  return worse.every((value) => value <= 1e-9) && worse.some((value) => value < -1e-9);
}

/** Sooner in the hand as well as through its cure: what is ready later to be picked up is not "ready sooner". */
export function inHandNoLater(one: Candidate, other: Candidate): boolean {
  return one.totals.handleAfterMin <= other.totals.handleAfterMin;
}

/**
 * The measures a plan wins outright among those shown, by more than nobody would notice.
 *
 * @param shown all candidates that are shown, this one among them
 */
export function winsOf(candidate: Candidate, shown: readonly Candidate[]): readonly Win[] {
  const others = shown.filter((one) => one !== candidate);
  return WINS.filter((win) => {
    const { moreIsBetter } = MEASURED.find((one) => one.pick === win)!;
    return (
      others.length > 0 &&
      others.every((other) => {
        const by = scoreDifference(candidate.scores, other.scores)[win];
        return by !== undefined && (moreIsBetter ? by : -by) > UNNOTICED[win] && (win !== "readyDays" || inHandNoLater(candidate, other));
      })
    );
  });
}
