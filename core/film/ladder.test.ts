/** Shades of one puddle, recipes in whole parts, and what is over. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { borderColour, confusedIn, contrastOf, rowsOfColours, seenBy, SIGHTS, underSealer } from "./choosing";
import { colourDifference, lightness } from "./colour";
import { COLOUR_NAMES } from "./colour-names";
import { dropsPerMlOf } from "./drops";
import { onePuddle, shadeLadder } from "./ladder";
import { mixedColour } from "./mix";
import { costOf, measuredOut, overflow, thinnedWithWhite, wholeParts, withReserve } from "./recipe";
import type { Shared } from "./recipe";

const paint = (colour: string, contrastRatio = 0.9) => ({ colour, contrastRatio });
const byte = fc.integer({ min: 20, max: 240 });
const hex = fc.tuple(byte, byte, byte).map((channels) => `#${channels.map((one) => one.toString(16).padStart(2, "0")).join("")}`);
const share = (id: string, colour: string, of: number, more: Partial<Shared> = {}): Shared => ({ id, colour, contrastRatio: 0.9, share: of, ...more });

describe("a ladder of shades", () => {
  test("goes one way in lightness and in share, from the one paint to the other", () => {
    fc.assert(
      fc.property(hex, hex, fc.integer({ min: 2, max: 9 }), (one, other, steps) => {
        const rungs = shadeLadder(paint(one), paint(other), steps);
        expect(rungs).toHaveLength(steps);
        expect([rungs[0]!.colour, rungs.at(-1)!.colour]).toEqual([one, other]);
        const shares = rungs.map((rung) => rung.share);
        expect([...shares].sort((a, b) => a - b)).toEqual(shares);
        const down = lightness(other) < lightness(one);
        const light = rungs.map((rung) => lightness(rung.colour));
        // A step of one channel is all that rounding may turn back.
        if (Math.abs(lightness(one) - lightness(other)) > 12)
          for (const [at, here] of light.entries()) if (at > 0) expect(down ? light[at - 1]! - here : here - light[at - 1]!).toBeGreaterThan(-0.6);
      }),
      { numRuns: 60 },
    );
  });

  test("is even to the eye where it goes from white to a dark", () => {
    const light = shadeLadder(paint("#fbfaf6"), paint("#1f2f4d"), 6).map((rung) => lightness(rung.colour));
    const steps = light.slice(1).map((here, at) => light[at]! - here);
    expect(Math.max(...steps) - Math.min(...steps)).toBeLessThan(1.5);
  });

  test("one puddle suffices for all of its shades, second coats and all, and nothing is over", () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 8 }), fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 8, maxLength: 8 }), (steps, ml) => {
        const rungs = shadeLadder(paint("#fbfaf6"), paint("#1f2f4d"), steps + 1).slice(0, steps);
        const [first, second] = [ml.slice(0, steps), ml.slice(0, steps).map((one) => one / 2)];
        const puddle = onePuddle(rungs, first, second);
        let [volume, dark] = [puddle[0]!.puddleMl, 0];
        for (const [at, step] of puddle.entries()) {
          expect(volume).toBeCloseTo(step.puddleMl, 6);
          expect(dark / volume).toBeCloseTo(rungs[at]!.share, 6);
          const taken = step.useMl + step.keepMl;
          dark -= (dark / volume) * taken;
          volume -= taken;
          dark += step.addMl;
          volume += step.addMl;
        }
        expect(volume).toBeCloseTo(0, 6);
      }),
      { numRuns: 40 },
    );
  });
});

describe("a recipe at the table", () => {
  const peach = [share("white", "#fbfaf6", 0.82), share("terracotta", "#b5603f", 0.155), share("amber", "#d9822b", 0.025)];

  test("in whole parts that nobody can tell from it, none of them nought", () => {
    expect(wholeParts([share("a", "#ffffff", 0.8), share("b", "#c5281f", 0.2)])).toEqual([4, 1]);
    const parts = wholeParts(peach);
    expect(parts.every((one) => one >= 1 && Number.isInteger(one))).toBe(true);
    const exact = mixedColour(peach.map((one) => ({ ...one, parts: one.share })));
    expect(colourDifference(mixedColour(peach.map((one, at) => ({ ...one, parts: parts[at]! }))), exact)).toBeLessThan(1);
  });

  test("whole parts of any mixture of two or three are as few as can be, or the nearest there are", () => {
    fc.assert(
      fc.property(
        fc.array(hex, { minLength: 2, maxLength: 3 }),
        fc.array(fc.integer({ min: 1, max: 20 }), { minLength: 3, maxLength: 3 }),
        (colours, weights) => {
          const whole = colours.reduce((sum, _colour, at) => sum + weights[at]!, 0);
          const paints = colours.map((colour, at) => share(`${at}`, colour, weights[at]! / whole));
          const parts = wholeParts(paints);
          expect(parts).toHaveLength(paints.length);
          expect(parts.every((one) => Number.isInteger(one) && one >= 1)).toBe(true);
          const sum = parts.reduce((all, one) => all + one, 0);
          expect(sum).toBeLessThanOrEqual(40);
          // A recipe that is in few whole parts already is told in no more.
          if (whole <= 40) expect(sum).toBeLessThanOrEqual(whole);
        },
      ),
      { numRuns: 40 },
    );
  });

  test("for any amount its volumes are the amount; drops are by each paint's own dropper; it costs what its paints cost", () => {
    const measured = measuredOut([share("a", "#ffffff", 0.75, { dropsPerMl: 16 }), share("b", "#c5281f", 0.25)], 12);
    expect(measured).toEqual([
      { id: "a", ml: 9, drops: 144 },
      { id: "b", ml: 3, drops: 60 },
    ]);
    expect(costOf([share("a", "#ffffff", 0.5, { pricePerMl: 0.1 }), share("b", "#c5281f", 0.5, { pricePerMl: 0.2 })], 10)).toBeCloseTo(1.5, 9);
    expect(costOf([share("a", "#ffffff", 0.5, { pricePerMl: 0.1 }), share("b", "#c5281f", 0.5)], 10)).toBeNull();
    expect(withReserve(20)).toBeCloseTo(23, 9);
  });

  test("begun with the strong paint it overflows the more the paler it is; not where that is half of it", () => {
    expect(overflow(0.05, 10)).toBeCloseTo(30, 9);
    expect(overflow(0.02, 10)).toBeGreaterThan(overflow(0.05, 10));
    expect(overflow(0.5, 10)).toBe(0);
  });

  test("fluid white is a tint: the more of it the paler, and none of it nothing", () => {
    const navy = paint("#1f3a4d", 0.95);
    const pale = [0, 10, 30, 60].map((percent) => lightness(thinnedWithWhite(navy, percent)));
    expect([...pale].sort((a, b) => a - b)).toEqual(pale);
    expect(thinnedWithWhite(navy, 0)).toBe(navy.colour);
  });

  test("20 drops of water are 1 mL of a standard dropper (Ph. Eur. 2.1.1); no dropper makes two or a hundred", () => {
    expect(dropsPerMlOf(20, 1)).toBe(20);
    expect([dropsPerMlOf(20, 10), dropsPerMlOf(20, 0.1)]).toEqual([null, null]);
  });
});

describe("choosing colours", () => {
  const [white, cream, red, navy] = [COLOUR_NAMES.white!, COLOUR_NAMES.cream!, COLOUR_NAMES.red!, COLOUR_NAMES.navy!];

  test("marks want another colour, letters another lightness", () => {
    expect(contrastOf(white, COLOUR_NAMES["off-white"]!)).toMatchObject({ marks: false, letters: false });
    expect(contrastOf("#c5281f", "#2f7a46")).toMatchObject({ marks: true, letters: false });
    expect(contrastOf(navy, cream)).toMatchObject({ marks: true, letters: true });
  });

  test("red and green of one lightness are alike to eyes that lack green, black and white to none", () => {
    const [brick, moss] = ["#b0543c", "#7a7a3a"];
    expect(confusedIn([brick, moss]).map(({ sight }) => sight)).toContain("green-blind");
    expect(confusedIn(["#000000", "#ffffff"])).toEqual([]);
    for (const sight of SIGHTS) expect(seenBy(sight, "#808080")).toMatch(/^#[78]/);
  });

  test("rows keep pale ones apart by a dark one, never lay a colour beside itself, and come back to each", () => {
    const { colours } = rowsOfColours([white, cream, red, navy], 8, COLOUR_NAMES.sand!);
    expect(colours).toHaveLength(8);
    for (const [at, colour] of colours.entries()) {
      const before = colours[at - 1];
      if (before === undefined) continue;
      expect(colour).not.toBe(before);
      expect([white, cream].includes(colour) && [white, cream].includes(before)).toBe(false);
    }
    expect(new Set(colours).size).toBeGreaterThanOrEqual(3);
    expect(rowsOfColours([red], 3, white).colours).toEqual([red, red, red]);
  });

  test("a border is of the colour least used that reads on the ground", () => {
    expect(
      borderColour(
        new Map([
          [red, 5],
          [navy, 2],
          [COLOUR_NAMES["off-white"]!, 1],
        ]),
        white,
      ),
    ).toBe(navy);
    expect(borderColour(new Map(), white)).toBeNull();
  });

  test("gloss deepens a dark more than a pale; matt veils it", () => {
    const change = (colour: string, sheen: "gloss" | "matte") => lightness(underSealer(colour, sheen)) - lightness(colour);
    expect(change(navy, "gloss")).toBeLessThan(change(cream, "gloss"));
    expect(change(navy, "matte")).toBeGreaterThan(0);
  });
});
