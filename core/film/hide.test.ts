/** Colours over what is really beneath them: coat by coat, over an underlay, as a dot, as flakes. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { colourDifference } from "./colour";
import { seen } from "./hiding";
import { spectrumOf } from "./spectrum";
import { covering, dotOver, hide, solidityOf } from "./hide";

const byte = fc.integer({ min: 10, max: 245 });
const hex = fc.tuple(byte, byte, byte).map((channels) => `#${channels.map((one) => one.toString(16).padStart(2, "0")).join("")}`);
const paint = (colour: string, contrastRatio: number) => ({ colour, contrastRatio });

describe("coat by coat", () => {
  test("more coats never hide less, and what is seen goes from the ground to the full colour", () => {
    fc.assert(
      fc.property(hex, hex, fc.double({ min: 0.2, max: 0.97, noNaN: true }), (colour, over, ratio) => {
        const { perCoat, coats } = hide({ paint: paint(colour, ratio), over });
        const [ground, full] = [spectrumOf(over), spectrumOf(colour)];
        const open = perCoat.map((one) =>
          seen({ colour, contrastRatio: ratio, coats: one.coats }, ground, "thin-spot").map((light, band) => Math.abs(light - full[band]!)),
        );
        for (const [at, bands] of open.entries())
          if (at > 0) for (const [band, left] of bands.entries()) expect(left).toBeLessThanOrEqual(open[at - 1]![band]! + 1e-9);
        // In ΔE00 a coat more may be a hair farther, for its formula bends in blues and reds; in light it never is.
        expect(coats).toBe(perCoat.find(({ deltaE }) => deltaE < 2)?.coats ?? null);
      }),
      { numRuns: 60 },
    );
  });

  test("a thicker coat hides like more, a thinned one like fewer; what never hides is told as never", () => {
    const yellow = { paint: paint("#f5c518", 0.65), over: "#1b1b1d" };
    const coats = (more: object) => hide({ ...yellow, ...more }).coats!;
    expect(coats({ wetMicrons: 150 })).toBeLessThan(coats({}));
    expect(coats({ thinningPercent: 40 })).toBeGreaterThan(coats({}));
    expect(coats({ paint: { ...yellow.paint, ofMicrons: 60 }, wetMicrons: 60 })).toBe(coats({}));
    expect(hide({ paint: paint("#fbfaf6", 0.25), over: "#1b1b1d", coatsUpTo: 6 }).coats).toBeNull();
  });

  test("white beneath saves coats of a weak bright colour on black and none on white; its own coat is counted in", () => {
    const red = hide({ paint: paint("#c5281f", 0.65), over: "#1b1b1d" });
    expect(red.underlay).toMatchObject({ name: "white", coats: 1 });
    expect(red.underlay!.saves).toBe(red.coats! - red.underlay!.over - 1);
    expect(red.underlay!.saves).toBeGreaterThan(0);
    expect(hide({ paint: paint("#c5281f", 0.65), over: "#f8f5ec" }).underlay).toBeNull();
  });

  test("thin yellow vanishes on brown-black and holds when it is thicker (common practice)", () => {
    const thin = hide({ paint: paint("#f5c518", 0.65), over: "#2a211b", wetMicrons: 30 });
    expect(solidityOf(thin.perCoat[0]!.deltaE)).toBe("grins");
    expect(colourDifference(thin.perCoat[0]!.colour, "#f5c518")).toBeGreaterThan(15);
    const thick = hide({ paint: paint("#f5c518", 0.65), over: "#2a211b", wetMicrons: 400 });
    expect(thick.coats).toBeLessThanOrEqual(2);
  });

  test("two to three brushed coats of ordinary colours on white; up to four of a translucent off-white over primer (common practice)", () => {
    for (const colour of ["#c8402f", "#3f7f7a", "#d9822b", "#1f3a4d", "#f4efe2"]) {
      const { coats } = hide({ paint: paint(colour, 0.8), over: "#fbfaf6" });
      expect(coats).toBeGreaterThanOrEqual(1);
      expect(coats).toBeLessThanOrEqual(3);
    }
    const offWhite = hide({ paint: paint("#f3eee1", 0.5), over: "#c9c4b8" }).coats!;
    expect(offWhite).toBeGreaterThanOrEqual(3);
    expect(offWhite).toBeLessThanOrEqual(5);
  });
});

describe("a dot", () => {
  const weak = { paint: paint("#f4bf9d", 0.45), over: "#1b1b1d" };

  test("hides by its height; a flat one of a weak pale colour on dark wants white first", () => {
    expect(dotOver(weak, 900).deltaE).toBeLessThan(dotOver(weak, 150).deltaE);
    expect(dotOver(weak, 150).whiteFirst).toBe(true);
    expect(dotOver({ paint: paint("#f4bf9d", 0.85), over: "#1b1b1d" }, 900)).toMatchObject({ whiteFirst: false });
    expect(dotOver({ ...weak, over: "#fbfaf6" }, 150).whiteFirst).toBe(false);
  });
});

describe("flakes and mica", () => {
  test("close by area, with a range and no colour; a thin pearl never closes", () => {
    const flake = covering([0.85, 0.95]);
    expect(flake.coats).toBe(2);
    expect(flake.perCoat[0]).toEqual({ coats: 1, from: 0.85, to: 0.95 });
    expect(covering([0.3, 0.6], 4).coats).toBeNull();
    const shares = covering([0.3, 0.6]).perCoat.map(({ from }) => from);
    expect([...shares].sort((a, b) => a - b)).toEqual(shares);
  });
});

test.each([
  [0.4, "same"],
  [1.5, "solid"],
  [3, "grins-slightly"],
  [5, "grins"],
] as const)("ΔE00 of %p is %s", (deltaE, word) => expect(solidityOf(deltaE)).toBe(word));
