/** Places that are kept free: no mark lies on them, whatever else moves. */
import { describe, expect, test } from "@jest/globals";
import type { Row } from "../piece/pattern";
import { keptFree, usualKeepOuts, worksMm } from "./keep-outs";
import { apart } from "./ring-count";
import { solvePattern } from "./solve";
import { discTop, pebbleTop, squareTop, taperedWall } from "./surface";

const row = (id: string, more: Partial<Row> = {}): Row => ({ id, kind: "dots", diameterMm: 4, colours: ["#ffffff"], ...more });
const FACE = discTop(100);

describe("places that are kept free", () => {
  test("rows next to one another move on until they are clear of them; one that is asked for there is refused by name", () => {
    const keepOuts = [{ count: 12, at: { radiusMm: 60 }, diameterMm: 16 }] as const;
    const rows = Array.from({ length: 9 }, (_unused, k) => row(`r${k}`, { diameterMm: 6, apartMm: 2 }));
    const { rows: solved } = solvePattern(FACE, { rows, keepOuts });
    const spots = keptFree(FACE, keepOuts);
    expect(spots).toHaveLength(12);
    const laid = solved.filter(({ refused }) => !refused);
    expect(laid.length).toBeGreaterThan(6);
    for (const { marks } of laid)
      for (const mark of marks) for (const spot of spots) expect(apart(mark.spots[0]!.at, spot.at)).toBeGreaterThanOrEqual(3 + 8 - 1e-6);
    // They go on beyond the numerals.
    expect(Math.max(...laid.map(({ level }) => level!))).toBeGreaterThan(70);
    const asked = solvePattern(FACE, { rows: [row("a", { at: { radiusMm: 60 } })], keepOuts });
    expect(asked.findings[0]).toMatchObject({ code: "would-touch", refused: true, message: "it would lie on a place that is kept free" });
  });

  test("a row that meets few of them goes on round them: those marks are left out, counted and said, and nothing else moves", () => {
    const keepOuts = [{ count: 1, at: { insetMm: 12 }, diameterMm: 14 }] as const;
    const rows = [
      row("in", { at: { radiusMm: 40 } }),
      row("through", { at: { radiusMm: 88 }, count: 60, diameterMm: 6 }),
      row("t", { kind: "top-dots", diameterMm: 2, everySecond: true }),
    ];
    const [plain, held] = [solvePattern(FACE, { rows }), solvePattern(FACE, { rows, keepOuts })];
    expect(held.rows.map(({ level }) => level)).toEqual(plain.rows.map(({ level }) => level));
    const [spot] = keptFree(FACE, keepOuts);
    const clear = plain.rows[1]!.marks.filter(({ spots }) => apart(spots[0]!.at, spot!.at) >= 10 - 1e-9);
    expect(clear.length).toBeLessThan(60);
    expect(held.rows[1]).toMatchObject({ places: 60, count: clear.length, marks: clear });
    expect(held.findings).toEqual([
      {
        code: "left-out",
        refused: false,
        row: "through",
        message: expect.stringMatching(/^\d marks? (is|are) left out where a place is kept free$/) as unknown,
      },
    ]);
    // Top dots on every second keep to every second place.
    expect(held.rows[2]!.count).toBe(clear.filter(({ place }) => place % 2 === 0).length);
  });

  test("a stripe that runs over one says that it is to be masked; one that does not says nothing", () => {
    const keepOuts = [{ count: 1, at: { radiusMm: 60 }, diameterMm: 10 }] as const;
    const stripes = (radiusMm: number) => solvePattern(FACE, { rows: [row("s", { kind: "band", diameterMm: 6, at: { radiusMm } })], keepOuts });
    expect(stripes(67).findings).toMatchObject([{ code: "mask-first", refused: false, row: "s" }]);
    expect([stripes(69).findings, stripes(67).rows[0]!.refused]).toEqual([[], false]);
  });

  test("the middle, for hands: no dot in it, and the first row begins outside", () => {
    const keepOuts = [{ count: 1, at: { radiusMm: 0 }, diameterMm: 24 }] as const;
    const { rows, findings } = solvePattern(FACE, { rows: [row("c", { kind: "centre" }), row("a")], keepOuts });
    expect(findings[0]).toMatchObject({ row: "c", message: "the middle is kept free" });
    expect(rows[1]!.level!).toBeGreaterThanOrEqual(12 + 2 - 1e-6);
  });

  test("what has no such measure here, or lies off the place, keeps nothing free", () => {
    expect(keptFree(FACE, [{ count: 1, at: { heightMm: 10 }, diameterMm: 5 }])).toEqual([]);
    expect(keptFree(FACE, [{ count: 4, at: { radiusMm: 150 }, diameterMm: 5 }])).toEqual([]);
    expect(keptFree(taperedWall(80, 80, 90), [{ count: 2, at: { heightMm: 40 }, diameterMm: 5 }])).toHaveLength(2);
    expect(keptFree(pebbleTop(90, 60, 30), [{ count: 1, at: { insetMm: 8 }, diameterMm: 5 }])[0]!.flat[1]).toBeCloseTo(22, 2);
  });
});

test("a clock usually keeps its works and numerals free, a sign its hole, a pot nothing", () => {
  expect(usualKeepOuts(FACE, "clock", ["numerals"]).map(({ id }) => id)).toEqual(["works", "numerals"]);
  expect(usualKeepOuts(squareTop(200, 120), "sign", []).map(({ id }) => id)).toEqual(["hanger"]);
  expect(usualKeepOuts(taperedWall(80, 80, 90), "clock", ["numerals"])).toEqual([]);
  expect([worksMm(discTop(30)), worksMm(discTop(150))]).toEqual([16, 36]);
  // Numerals do not touch one another, nor the works.
  const [works, numerals] = usualKeepOuts(FACE, "clock", ["numerals"]).map(({ keepOut }) => keptFree(FACE, [keepOut]));
  for (const [k, one] of numerals!.entries()) {
    expect(apart(one.at, works![0]!.at)).toBeGreaterThan((one.diameterMm + works![0]!.diameterMm) / 2);
    expect(apart(one.at, numerals![(k + 1) % 12]!.at)).toBeGreaterThan(one.diameterMm);
  }
});
