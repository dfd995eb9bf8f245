/** Intervals of shares and the exact test of two of them, held against published tables and against counting every table there is. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { exactChance, wilson } from "#core/logbook/record/intervals";

/** Score intervals at 95 % [published: Newcombe, Two-sided confidence intervals for the single proportion, Statistics in Medicine 17, 1998, Table I, method 3]. */
const NEWCOMBE = [
  [81, 263, 0.2553, 0.3662],
  [15, 148, 0.0624, 0.1605],
  [0, 20, 0, 0.1611],
  [1, 29, 0.0061, 0.1718],
] as const;

describe("the score interval of a share", () => {
  test.each(NEWCOMBE)("%i of %i lies between %f and %f", (hits, of, from, to) => {
    const interval = wilson(hits, of);
    expect([interval.from.toFixed(4), interval.to.toFixed(4)]).toEqual([from.toFixed(4), to.toFixed(4)]);
    expect(interval.share).toBe(hits / of);
  });

  test("holds its share, is narrower the more is counted, and is the same from the other side", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 400 }), fc.nat(400), (of, some) => {
        const hits = some % (of + 1);
        const one = wilson(hits, of);
        expect(one.from <= one.share && one.share <= one.to && one.from >= 0 && one.to <= 1).toBe(true);
        const other = wilson(of - hits, of);
        expect(other.from).toBeCloseTo(1 - one.to, 9);
        const more = wilson(hits * 10, of * 10);
        expect(more.to - more.from).toBeLessThan(one.to - one.from);
      }),
      { numRuns: 300, seed: 1 },
    );
  });

  test("of a true share it holds that share about 95 times of 100, counted over every outcome", () => {
    const choose = (n: number, k: number): number => (k === 0 ? 1 : (choose(n, k - 1) * (n - k + 1)) / k);
    for (const [of, truth] of [
      [12, 0.2],
      [30, 0.5],
      [40, 0.1],
    ] as const) {
      let covered = 0;
      for (let k = 0; k <= of; k += 1) {
        const { from, to } = wilson(k, of);
        if (from <= truth && truth <= to) covered += choose(of, k) * truth ** k * (1 - truth) ** (of - k);
      }
      expect(covered).toBeGreaterThan(0.92);
      expect(covered).toBeLessThan(0.99);
    }
  });

  test.each([
    [1, 0],
    [3, 2],
    [-1, 4],
  ])("%i of %i is no share", (hits, of) => expect(() => wilson(hits, of)).toThrow(RangeError));
});

/** Two-sided, by laying out every table with the same sums. */
function byCounting([a, n]: readonly [number, number], [b, m]: readonly [number, number]): number {
  const choose = (from: number, k: number): number => (k < 0 || k > from ? 0 : k === 0 ? 1 : (choose(from, k - 1) * (from - k + 1)) / k);
  const weight = (k: number) => choose(n, k) * choose(m, a + b - k);
  const all = Array.from({ length: n + 1 }, (_one, k) => weight(k));
  return all.filter((one) => one <= weight(a) * (1 + 1e-9)).reduce((sum, one) => sum + one, 0) / all.reduce((sum, one) => sum + one, 0);
}

describe("the exact test of two shares", () => {
  test("the lady who tasted tea: three of four cups told right are no proof [published: Fisher, The Design of Experiments, 1935]", () => {
    expect(exactChance({ hits: 3, of: 4 }, { hits: 1, of: 4 })).toBeCloseTo(34 / 70, 9);
    expect(exactChance({ hits: 4, of: 4 }, { hits: 0, of: 4 })).toBeCloseTo(2 / 70, 9);
  });

  test("is what counting every table comes to, and the same from the other side", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 14 }), fc.integer({ min: 1, max: 14 }), fc.nat(14), fc.nat(14), (n, m, x, y) => {
        const [a, b] = [x % (n + 1), y % (m + 1)];
        expect(exactChance({ hits: a, of: n }, { hits: b, of: m })).toBeCloseTo(byCounting([a, n], [b, m]), 8);
        expect(exactChance({ hits: b, of: m }, { hits: a, of: n })).toBeCloseTo(exactChance({ hits: a, of: n }, { hits: b, of: m }), 8);
      }),
      { numRuns: 200, seed: 2 },
    );
  });
});
