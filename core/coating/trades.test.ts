import { describe, expect, test } from "@jest/globals";
import { scoreDifference, tradesOf } from "./trades";

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
  test("is not made of what nobody would notice", () => {
    expect(tradesOf({ durability: 0.2, readyDays: 0.4, handsOnMin: -12 })).toEqual([]);
    expect(tradesOf({})).toEqual([]);
  });
  test("is the one less the other, measure by measure", () => {
    const [one, other] = [
      { durability: 3, readyDays: 9, handsOnMin: 120, products: 6, harshness: 1 },
      { durability: 4, readyDays: 7, handsOnMin: 125, products: 6, harshness: 0 },
    ];
    expect(tradesOf(scoreDifference(one, other))).toEqual(["wears-less", "later", "harsher"]);
    expect(tradesOf(scoreDifference(one, one))).toEqual([]);
  });
});
