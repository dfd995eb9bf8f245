import { describe, expect, test } from "@jest/globals";
import { dominates, scoreDifference, tradesOf } from "./trade-offs";

const PLAIN = { coats: 4, cost: null, forgiving: 1, strain: 0 };

describe("what one plan trades against another", () => {
  test("is said in both directions", () => {
    expect(tradesOf({ durability: 1, readyDays: 3, handsOnMin: 40, products: 2, harshness: 1 })).toEqual([
      "wears-longer",
      "later",
      "more-work",
      "more-to-buy",
      "harsher",
    ]);
    expect(tradesOf({ durability: -1, readyDays: -3, handsOnMin: -40, products: -2, harshness: -1 })).toEqual([
      "wears-less",
      "sooner",
      "less-work",
      "less-to-buy",
      "gentler",
    ]);
  });
  test("a plan that is no worse in anything and better in one thing leaves no reason for the other; a price not known decides nothing", () => {
    const one = { durability: 2, readyDays: 9, handsOnMin: 60, products: 3, harshness: 0, ...PLAIN };
    expect(dominates(one, { ...one, readyDays: 12 })).toBe(true);
    expect(dominates({ ...one, readyDays: 12 }, one)).toBe(false);
    expect(dominates(one, { ...one, readyDays: 12, forgiving: 2 })).toBe(false);
    expect(dominates(one, one)).toBe(false);
    expect(dominates({ ...one, cost: 3 }, { ...one, cost: null })).toBe(false);
  });
  test("is not made of what nobody would notice", () => {
    expect(tradesOf({ durability: 0.2, readyDays: 0.4, handsOnMin: -12 })).toEqual([]);
    expect(tradesOf({})).toEqual([]);
  });
  test("is the one less the other, measure by measure", () => {
    const [one, other] = [
      { durability: 3, readyDays: 9, handsOnMin: 120, products: 6, harshness: 1, ...PLAIN },
      { durability: 4, readyDays: 7, handsOnMin: 125, products: 6, harshness: 0, ...PLAIN },
    ];
    expect(tradesOf(scoreDifference(one, other))).toEqual(["wears-less", "later", "harsher"]);
    expect(tradesOf(scoreDifference(one, one))).toEqual([]);
  });
});
