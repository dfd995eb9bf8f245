/** Dots by tool, and what is said of gaps. */
import { describe, expect, test } from "@jest/globals";
import { dotOf, leavesByRow, nearestTool } from "./tool";
import { closingWords, gapWords } from "./words";

describe("tools", () => {
  const ball = { id: "a", label: "4", tip: "ball", mm: 4 } as const;
  test("a row of ten that measures 46 mm says 1.15 of the tip, and wins over the usual", () => {
    expect(leavesByRow(46, 10, 4)).toBe(1.15);
    expect(dotOf({ ...ball, leaves: 1.15 })).toBe(4.6);
    expect(leavesByRow(4, 10, 4)).toBeNull();
    expect(leavesByRow(Number.NaN, 10, 4)).toBeNull();
  });
  test("fuller tools and thinner paint leave more", () => {
    expect(dotOf(ball, { load: "full", body: "usual" })).toBeGreaterThan(dotOf(ball));
    expect(dotOf(ball, { load: "usual", body: "thin" })).toBeGreaterThan(dotOf(ball));
  });
  test("no such tool: the nearest, and by how much it is off", () => {
    expect(nearestTool(4.2, [ball])).toMatchObject({ exact: true });
    expect(nearestTool(6, [ball])).toMatchObject({ exact: false, leavesMm: 4.2, offMm: expect.closeTo(-1.8, 9) as unknown });
    expect(nearestTool(6, [])).toBeNull();
  });
});

test("gaps and counts in words", () => {
  expect([-0.5, 0, 0.2, 1.53].map(gapWords)).toEqual(["overlapping by 0.5 mm", "just touching", "a hair between", "1.5 mm between"]);
  expect(
    closingWords([
      { count: 24, gapMm: 0.2 },
      { count: 22, gapMm: 1.5 },
    ]),
  ).toBe("24 close with a hair between; 22 with 1.5 mm between");
});
