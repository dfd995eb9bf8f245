import { expect, test } from "@jest/globals";
import fc from "fast-check";
import { colourDifference, lightness } from "./colour";
import { mixedColour } from "./mix";
import type { MixPart } from "./mix";

const paint = (colour: string, parts = 1, contrastRatio = 0.95): MixPart => ({ colour, parts, contrastRatio });
const byte = fc.integer({ min: 12, max: 240 });
const hex = fc.tuple(byte, byte, byte).map((channels) => `#${channels.map((one) => one.toString(16).padStart(2, "0")).join("")}`);

test("a paint mixed with itself is itself; parts count only against one another; the order does not matter", () => {
  fc.assert(
    fc.property(hex, hex, fc.integer({ min: 1, max: 9 }), (one, other, parts) => {
      expect(colourDifference(mixedColour([paint(one), paint(one, parts)]), one)).toBeLessThan(1.5);
      const mixed = mixedColour([paint(one, parts), paint(other)]);
      expect(colourDifference(mixedColour([paint(one, 3 * parts), paint(other, 3)]), mixed)).toBeLessThan(0.5);
      expect(colourDifference(mixedColour([paint(other), paint(one, parts)]), mixed)).toBeLessThan(0.5);
    }),
    { numRuns: 60 },
  );
});

test("more black is darker, more white is lighter, step by step, and never beyond the two", () => {
  const greys = [1, 2, 4, 8, 16].map((white) => lightness(mixedColour([paint("#1b1b1d"), paint("#fbfaf6", white)])));
  expect([...greys].sort((a, b) => a - b)).toEqual(greys);
  expect(greys[0]).toBeGreaterThan(lightness("#1b1b1d"));
  expect(greys.at(-1)).toBeLessThan(lightness("#fbfaf6"));
});

test("as every painter knows: blue and yellow make a green; of two paints the one that hides better goes further", () => {
  const green = mixedColour([paint("#1f5fae"), paint("#f5c518")]);
  const [r, g, b] = [1, 3, 5].map((at) => parseInt(green.slice(at, at + 2), 16)) as [number, number, number];
  expect([g > r, g > b]).toEqual([true, true]);
  const halves = [0.95, 0.98, 0.998].map((hides) => lightness(mixedColour([paint("#1f3a4d", 1, hides), paint("#fbfaf6")])));
  expect([...halves].sort((a, b2) => b2 - a)).toEqual(halves);
});
