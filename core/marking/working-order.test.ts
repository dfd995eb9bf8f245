/** The order rows are set in at the table. */
import { describe, expect, test } from "@jest/globals";
import type { Row } from "../piece/pattern";
import { solvePattern } from "./solve";
import { discTop, taperedWall } from "./surface";
import { workingOrder } from "./working-order";

const row = (id: string, more: Partial<Row> = {}): Row => ({ id, kind: "dots", diameterMm: 4, colours: ["#ffffff"], ...more });

describe("order at the table", () => {
  test("stripes, then from the middle out, what sits on lines before what lies between, top dots last when all is dry", () => {
    const rows = [
      row("t", { kind: "top-dots", diameterMm: 1, on: "out" }),
      row("between", { seat: "between" }),
      row("lines", { seat: "guides", at: { radiusMm: 20 }, diameterMm: 3 }),
      row("out", { at: { radiusMm: 40 } }),
      row("band", { kind: "band", at: { radiusMm: 60 } }),
    ];
    const inTurn = [rows[2]!, { ...rows[1]!, diameterMm: 2 }, rows[3]!, rows[4]!, rows[0]!];
    const order = workingOrder(discTop(80), solvePattern(discTop(80), { rows: inTurn, guides: 8 }).rows);
    expect(order.map((one) => one.row)).toEqual(["band", "lines", "between", "out", "t"]);
    expect(order.map(({ dryBefore }) => dryBefore)).toEqual([null, "fields", null, null, "marks"]);
  });

  test("an upright piece: its upper half, a pause, its lower half", () => {
    const wall = taperedWall(80, 80, 100);
    const order = workingOrder(wall, solvePattern(wall, { rows: [20, 80, 45].map((heightMm, k) => row(`h${k}`, { at: { heightMm } })) }).rows);
    expect(order.map(({ row: id, dryBefore }) => [id, dryBefore])).toEqual([
      ["h1", null],
      ["h2", "half"],
      ["h0", null],
    ]);
  });
});
