/** What is offered beside a row: counts of its neighbours, the dot that fills its line, the count of another tool. */
import { describe, expect, test } from "@jest/globals";
import type { Row } from "../piece/pattern";
import { solvePattern } from "./solve";
import { closingWith, fillingDiameter, kindredCounts } from "./suggestions";
import { discTop } from "./surface";

const row = (id: string, more: Partial<Row> = {}): Row => ({ id, kind: "dots", diameterMm: 4, colours: ["#ffffff"], ...more });
const solved = (...rows: Row[]) => solvePattern(discTop(80), { rows }).rows;

describe("offers beside a row", () => {
  test("as many, twice and half as many as its neighbours, only where they go, each with the gap it would leave", () => {
    const [inner, outer] = solved(row("a", { at: { radiusMm: 30 }, count: 20 }), row("b", { at: { radiusMm: 50 }, count: 36 }));
    expect(kindredCounts(outer!, [inner!]).map(({ count }) => count)).toEqual([20, 40, 10]);
    expect(kindredCounts(inner!, [outer!]).map(({ count }) => count)).toEqual([36, 18]);
    for (const { count, gapMm } of kindredCounts(inner!, [outer!])) expect(solved(row("a", { at: { radiusMm: 30 }, count }))[0]!.gapMm).toBeCloseTo(gapMm, 9);
  });

  test("the dot that fills its line closes with the space that is wished, and a tenth more would not", () => {
    const [ring] = solved(row("a", { at: { radiusMm: 30 }, count: 20, gapMm: 1 }));
    const filling = fillingDiameter(ring!)!;
    const withDot = (diameterMm: number) => solved(row("a", { at: { radiusMm: 30 }, count: 20, gapMm: 1, diameterMm }))[0]!;
    expect(withDot(filling).gapMm).toBeGreaterThanOrEqual(1 - 1e-9);
    expect(withDot(filling + 0.1).refused).toBe(true);
    expect(fillingDiameter(withDot(filling))).toBeNull();
    expect(fillingDiameter(solved(row("a", { kind: "band", at: { radiusMm: 30 } }))[0]!)).toBeNull();
  });

  test("with another tool, as many as close where the row lies; a count that was said is not touched", () => {
    const [ring] = solved(row("a", { at: { radiusMm: 30 }, colours: ["#ffffff", "#000000"] }));
    for (const diameterMm of [3, 5, 8]) {
      const count = closingWith(ring!, diameterMm)!;
      expect(count % 2).toBe(0);
      expect(solved(row("a", { at: { radiusMm: 30 }, diameterMm, colours: ["#ffffff", "#000000"] }))[0]!.places).toBe(count);
    }
    expect(closingWith(solved(row("a", { at: { radiusMm: 30 }, count: 20 }))[0]!, 5)).toBeNull();
  });
});
