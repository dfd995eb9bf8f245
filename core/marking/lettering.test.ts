/** Lettering in any space: it fits, it is the largest, nothing of it is lost; and the dots tools leave. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { FACES } from "./data/faces";
import { faceOf, fitText, textBudget, textSpace, widthEms } from "./lettering";
import { dotOf, HOUSEHOLD_TOOLS, leavesByRow, LOADS, nearestTool, shrinks } from "./tool";
import { gapWords, plainMm } from "./words";
import { hourOf } from "./wide-side";

const words = fc.array(fc.constantFrom("tea", "Tern", "Point", "lighthouse", "1874", "and", "Österreich", "🌊"), { minLength: 1, maxLength: 12 });
const mm = fc.double({ min: 3, max: 400, noNaN: true });

describe("lettering", () => {
  test("it stays in its space, and a hair larger it would not", () => {
    fc.assert(
      fc.property(words, mm, mm, fc.constantFrom(...FACES), (list, widthMm, heightMm, face) => {
        const text = list.join(" ");
        const fitted = fitText(text, widthMm, heightMm, face)!;
        expect(fitted.lines.join(" ")).toBe(text);
        expect(fitted.widthMm).toBeLessThanOrEqual(widthMm + 1e-6);
        expect(fitted.heightMm).toBeLessThanOrEqual(heightMm + 1e-6);
        const grown = Math.max(fitted.widthMm / widthMm, fitted.heightMm / heightMm);
        expect(grown).toBeCloseTo(1, 6);
        // One line is never better than what was chosen.
        expect(fitted.emMm).toBeGreaterThanOrEqual(Math.min(widthMm / widthEms(text, face), heightMm / face.capHeight) - 1e-9);
      }),
      { numRuns: 60 },
    );
  });

  test("lines the user has broken stay broken", () => {
    expect(fitText("Open\n till the tide turns \n\n", 80, 40, faceOf("young-serif"))!.lines).toEqual(["Open", "till the tide turns"]);
    expect(faceOf("no such face").id).toBe(FACES[0]!.id);
  });

  test("a back: what fits and what does not is the whole list, in its order, for any pen", () => {
    fc.assert(
      fc.property(fc.array(words, { minLength: 1, maxLength: 6 }), mm, mm, fc.double({ min: 0.2, max: 3, noNaN: true }), (lists, widthMm, heightMm, pen) => {
        const items = lists.map((list, k) => `${k} ${list.join(" ")}`);
        const { fits, leftOut, lines, capMm, lineMm } = textBudget(items, widthMm, heightMm, pen, FACES[1]!);
        expect([...fits, ...leftOut]).toEqual(items);
        if (lines.length > 0) expect(capMm + lineMm * (lines.length - 1)).toBeLessThanOrEqual(heightMm + 1e-6);
      }),
      { numRuns: 60 },
    );
  });

  test("the space of a round back lies inside it, that of a square one nearly fills it", () => {
    const { widthMm, heightMm } = textSpace(60, 60, false);
    expect(Math.hypot(widthMm / 2, heightMm / 2)).toBeLessThanOrEqual(30 + 1e-9);
    expect(textSpace(60, 40, true)).toEqual({ widthMm: 54, heightMm: 36 });
  });
});

describe("tools", () => {
  test("things of the house have a size and a name of their own; only flat ends do not shrink", () => {
    expect(new Set(HOUSEHOLD_TOOLS.map(({ label }) => label)).size).toBe(HOUSEHOLD_TOOLS.length);
    for (const tool of HOUSEHOLD_TOOLS) {
      expect(shrinks(tool.tip)).toBe(tool.tip !== "flat");
      const [light, usual, full] = LOADS.map((load) => dotOf(tool, { load, body: "usual" }));
      expect(light).toBeLessThan(usual!);
      expect(usual).toBeLessThan(full!);
    }
  });

  test("what a test row says comes back as the dot it was measured from", () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 12, noNaN: true }), fc.double({ min: 0.5, max: 2, noNaN: true }), (tip, share) => {
        const leaves = leavesByRow(tip * share * 10, 10, tip)!;
        expect(dotOf({ tip: "ball", mm: tip, leaves })).toBeCloseTo(tip * share, 1);
      }),
      { numRuns: 50 },
    );
    expect([leavesByRow(40, 1, 4), leavesByRow(-5, 10, 4), leavesByRow(900, 10, 4)]).toEqual([null, null, null]);
  });

  test("the nearest tool is the nearest of all", () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 12, noNaN: true }), (wanted) => {
        const best = nearestTool(wanted, HOUSEHOLD_TOOLS)!;
        for (const tool of HOUSEHOLD_TOOLS) expect(Math.abs(dotOf(tool) - wanted)).toBeGreaterThanOrEqual(Math.abs(best.offMm) - 1e-9);
      }),
      { numRuns: 50 },
    );
  });
});

test("hours of a clock and lengths as they are said", () => {
  expect(
    [
      [0, 1],
      [1, 0],
      [0, -1],
      [-1, 0],
      [1, 1],
    ].map(([x, y]) => hourOf(x!, y!)),
  ).toEqual([12, 3, 6, 9, 2]);
  expect([4, 4.26, 0.04].map(plainMm)).toEqual(["4", "4.3", "0"]);
  expect([0.05, 0.34, 0.36, 12].map(gapWords)).toEqual(["just touching", "a hair between", "0.4 mm between", "12 mm between"]);
});

describe("lettering, for two spaces", () => {
  const face = faceOf("source-sans");
  test("the largest that fits, over as many lines as serve it best", () => {
    const wide = fitText("open till the tide turns", 200, 30, face)!;
    const tall = fitText("open till the tide turns", 60, 80, face)!;
    expect(wide.lines.length).toBeLessThan(tall.lines.length);
    for (const [one, w, h] of [
      [wide, 200, 30],
      [tall, 60, 80],
    ] as const) {
      expect(one.widthMm).toBeLessThanOrEqual(w + 1e-6);
      expect(one.heightMm).toBeLessThanOrEqual(h + 1e-6);
      expect(one.lines.join(" ")).toBe("open till the tide turns");
    }
    expect(fitText("  \n ", 60, 80, face)).toBeNull();
  });
  test("a back holds its lines in their order, and tells what is left out", () => {
    const all = ["Lamp pebble", "M. 2026", "keep me or hide me again"];
    expect(textBudget(all, 60, 40, 0.5, face).leftOut).toEqual([]);
    const small = textBudget(all, 40, 9, 0.5, face);
    expect(small.fits).toEqual(all.slice(0, small.fits.length));
    expect([...small.fits, ...small.leftOut]).toEqual(all);
    expect(small.leftOut.length).toBeGreaterThan(0);
    for (const line of small.lines) expect((widthEms(line, face) * small.capMm) / face.capHeight).toBeLessThanOrEqual(40);
  });
});
