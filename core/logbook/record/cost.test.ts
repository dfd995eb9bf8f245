/** What a piece cost: nothing that is not known counts as nothing. */
import { expect, test } from "@jest/globals";
import { record } from "../../../tests/reference/records";
import { costOf, NO_RATES, priceAt } from "./cost";
import { costByShare, monthsOf, nextMonth } from "./sums";

const batch = record({
  count: 4,
  paint: [
    { name: "Navy", ml: 20, perMl: 0.1 },
    { name: "Pearl", ml: 2 },
  ],
  minutes: [
    { kind: "base", min: 60, timedMin: 60 },
    { kind: "seal", min: 60, timedMin: 0 },
  ],
  money: { body: 1.5, price: 12 },
});

test("of one piece: paint, body, tools, hands and what else; shares nobody knows are named, and so are paints without a price", () => {
  expect(costOf(batch, { perHour: 20, toolsEach: 0.5 })).toEqual({
    shares: { paint: 0.5, body: 1.5, tools: 0.5, hands: 10, other: null },
    known: 12.5,
    unpriced: ["Pearl"],
    missing: [],
  });
  const bare = costOf(record({ paint: [{ name: "Pearl", ml: 2 }] }), NO_RATES);
  expect([bare.known, bare.missing]).toEqual([0, ["paint", "body", "tools", "hands"]]);
  // Nothing was laid: paint cost nothing, and that is known.
  expect(costOf(record(), NO_RATES).shares.paint).toBe(0);
});

test("a margin is of the price: what is left over of it is just that share", () => {
  for (const margin of [0, 0.2, 0.5, 0.95]) {
    const price = priceAt(12.5, margin);
    expect((price - 12.5) / price).toBeCloseTo(margin, 9);
  }
  for (const wrong of [-0.1, 1, Number.NaN]) expect(() => priceAt(10, wrong)).toThrow(RangeError);
});

test("months stand in a row with the empty ones among them, over a year's end; minutes and pieces of one month are together; a batch costs all of it", () => {
  const later = record({ finishedOn: "2026-12-30", minutes: [{ kind: "base", min: 5, timedMin: 5 }] });
  const next = record({ finishedOn: "2027-02-01", minutes: ["a", "b", "c", "d", "e", "f"].map((kind, index) => ({ kind, min: 10 + index, timedMin: 0 })) });
  const { months, kinds } = monthsOf([next, later, record({ finishedOn: "2026-12-01" }), { ...record(), finishedOn: undefined } as never]);
  expect(months.map(({ month, pieces }) => [month, pieces])).toEqual([
    ["2026-12", 2],
    ["2027-01", 0],
    ["2027-02", 1],
  ]);
  expect(kinds).toEqual(["f", "e", "d", "c", "b", "rest"]);
  expect(months[2]!.minutes.rest).toBe(10);
  expect(months[0]!.minutes).toEqual({ rest: 5 });
  expect(nextMonth("2026-12")).toBe("2027-01");
  expect(monthsOf([])).toEqual({ months: [], kinds: [] });
  expect(costByShare([batch, record()], { perHour: 20, toolsEach: null, margin: null })).toEqual([
    { share: "paint", money: 2 },
    { share: "body", money: 6 },
    { share: "hands", money: 40 },
  ]);
});
