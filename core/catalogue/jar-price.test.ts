/** What a millilitre out of a jar cost: as it was bought, or as its parts were; never made up. */
import { expect, test } from "@jest/globals";
import { jarId } from "./ids";
import { pricePerMl } from "./jar-price";

const bought = (id: string, paid?: number, sizeMl?: number) => ({
  id: jarId(id),
  ...(paid === undefined ? {} : { paid }),
  ...(sizeMl === undefined ? {} : { sizeMl }),
});
const mixed = (id: string, ...parts: readonly (readonly [string, number])[]) => ({
  id: jarId(id),
  mix: parts.map(([jar, share]) => ({ jar: jarId(jar), name: jar, colour: "#111111", share })),
});
const [navy, cream, unknown] = [bought("navy", 6, 60), bought("cream", 5, 250), bought("unknown", 4)];

test("a jar with a price and a size has one; without either, or with no size at all, it has none", () => {
  expect([navy, cream, unknown, bought("empty", 4, 0), bought("given", 0, 50)].map((jar) => pricePerMl(jar, []))).toEqual([0.1, 0.02, null, null, 0]);
});

test("a pot costs what its parts cost by their shares, pots of pots too; with one part unknown or gone it is unknown", () => {
  const dusk = mixed("dusk", ["navy", 0.75], ["cream", 0.25]);
  const night = mixed("night", ["dusk", 0.5], ["navy", 0.5]);
  const jars = [navy, cream, unknown, dusk, night];
  expect(pricePerMl(dusk, jars)).toBeCloseTo(0.08, 9);
  expect(pricePerMl(night, jars)).toBeCloseTo(0.09, 9);
  expect(pricePerMl(mixed("odd", ["navy", 0.5], ["unknown", 0.5]), jars)).toBeNull();
  expect(pricePerMl(mixed("odd", ["navy", 0.5], ["gone", 0.5]), jars)).toBeNull();
  // What is bought wins over what it is said to be mixed from.
  expect(pricePerMl({ ...dusk, paid: 3, sizeMl: 30 }, jars)).toBe(0.1);
});

test("pots that are mixed from one another, in a damaged notebook, end it as unknown", () => {
  const [one, other] = [mixed("one", ["other", 1]), mixed("other", ["one", 1])];
  expect(pricePerMl(one, [one, other])).toBeNull();
});
