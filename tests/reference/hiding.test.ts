/** The truth about hiding: colour difference, Kubelka–Munk, spectra and coat counts, each against something outside this project. */
import { describe, expect, test } from "@jest/globals";
import { differenceCiede2000 } from "culori/fn";
import fc from "fast-check";
import { areaCovered, coatsAtThinSpot, coatsToHide, scatterOfCoat, seen } from "#core/film/hiding";
import { overGround } from "#core/film/kubelka-munk";
import { BANDS_NM, WHITE } from "#core/film/observer";
import { labOf, spectrumOf, WHITE_PAINT, xyzOf } from "#core/film/spectrum";

/** Sharma, Wu & Dalal, The CIEDE2000 color-difference formula, Color Research & Application 30, 2005, table 1: L₁ a₁ b₁ L₂ a₂ b₂ ΔE00. */
const SHARMA = `
50 2.6772 -79.7751 50 0 -82.7485 2.0425
50 3.1571 -77.2803 50 0 -82.7485 2.8615
50 2.8361 -74.0200 50 0 -82.7485 3.4412
50 -1.3802 -84.2814 50 0 -82.7485 1.0000
50 -1.1848 -84.8006 50 0 -82.7485 1.0000
50 -0.9009 -85.5211 50 0 -82.7485 1.0000
50 0 0 50 -1 2 2.3669
50 -1 2 50 0 0 2.3669
50 2.4900 -0.0010 50 -2.4900 0.0009 7.1792
50 2.4900 -0.0010 50 -2.4900 0.0010 7.1792
50 2.4900 -0.0010 50 -2.4900 0.0011 7.2195
50 2.4900 -0.0010 50 -2.4900 0.0012 7.2195
50 -0.0010 2.4900 50 0.0009 -2.4900 4.8045
50 -0.0010 2.4900 50 0.0010 -2.4900 4.8045
50 -0.0010 2.4900 50 0.0011 -2.4900 4.7461
50 2.5 0 50 0 -2.5 4.3065
50 2.5 0 73 25 -18 27.1492
50 2.5 0 61 -5 29 22.8977
50 2.5 0 56 -27 -3 31.9030
50 2.5 0 58 24 15 19.4535
50 2.5 0 50 3.1736 0.5854 1.0000
50 2.5 0 50 3.2972 0 1.0000
50 2.5 0 50 1.8634 0.5757 1.0000
50 2.5 0 50 3.2592 0.3350 1.0000
60.2574 -34.0099 36.2677 60.4626 -34.1751 39.4387 1.2644
63.0109 -31.0961 -5.8663 62.8187 -29.7946 -4.0864 1.2630
61.2901 3.7196 -5.3901 61.4292 2.2480 -4.9620 1.8731
35.0831 -44.1164 3.7933 35.0232 -40.0716 1.5901 1.8645
22.7233 20.0904 -46.6940 23.0331 14.9730 -42.5619 2.0373
36.4612 47.8580 18.3852 36.2715 50.5065 21.2231 1.4146
90.8027 -2.0831 1.4410 91.1528 -1.6435 0.0447 1.4441
90.9257 -0.5406 -0.9208 88.6381 -0.8985 -0.7239 1.5381
6.7747 -0.2908 -2.4247 5.8714 -0.0985 -2.2286 0.6377
2.0776 0.0795 -1.1350 0.9033 -0.0636 -0.5514 0.9082`
  .trim()
  .split("\n")
  .map((row) => row.split(" ").map(Number));

test("ΔE00 as this app uses it gives all 34 published pairs", () => {
  expect(SHARMA).toHaveLength(34);
  const deltaE = differenceCiede2000();
  const lab = (l: number, a: number, b: number) => ({ mode: "lab65" as const, l, a, b });
  for (const [l1, a1, b1, l2, a2, b2, wanted] of SHARMA as [number, number, number, number, number, number, number][])
    expect(deltaE(lab(l1, a1, b1), lab(l2, a2, b2))).toBeCloseTo(wanted, 4);
});

describe("Kubelka–Munk", () => {
  /** dR/d(SX) = 1 − 2aR + R², stepped by Runge–Kutta: the equation itself, not its solution. */
  function integrated(infinite: number, ground: number, scatter: number): number {
    const a = (1 / infinite + infinite) / 2;
    const slope = (r: number) => 1 - 2 * a * r + r * r;
    const steps = 4000;
    const h = scatter / steps;
    let r = ground;
    for (let index = 0; index < steps; index += 1) {
      const k1 = slope(r);
      const k2 = slope(r + (h * k1) / 2);
      const k3 = slope(r + (h * k2) / 2);
      const k4 = slope(r + h * k3);
      r += (h * (k1 + 2 * k2 + 2 * k3 + k4)) / 6;
    }
    return r;
  }
  test.each([
    [0.5, 0, 1],
    [0.5, 0.9, 1],
    [0.05, 0.8, 0.4],
    [0.95, 0.05, 3],
    [0.2, 0.2, 2],
    [0.85, 0.5, 0.05],
  ])("closed form and integration agree for R∞ %p over %p at SX %p", (infinite, ground, scatter) =>
    expect(overGround(infinite, ground, scatter)).toBeCloseTo(integrated(infinite, ground, scatter), 6),
  );
  test("no film leaves the ground, an endless one its masstone, a ground of its own colour nothing to see", () => {
    expect(overGround(0.4, 0.13, 0)).toBe(0.13);
    expect(overGround(0.4, 0.13, 1e6)).toBeCloseTo(0.4, 9);
    expect(overGround(0.4, 0.4, 0.7)).toBeCloseTo(0.4, 9);
  });
});

describe("spectra", () => {
  test("sixteen bands or more, and the tables give daylight's white point (0.9504, 1.0888) to half a per cent", () => {
    expect(BANDS_NM.length).toBeGreaterThanOrEqual(16);
    expect(Math.abs(WHITE[0]! / 0.9504 - 1)).toBeLessThan(0.005);
    expect(Math.abs(WHITE[2]! / 1.0888 - 1)).toBeLessThan(0.005);
  });
  test("a colour comes back from its spectrum, as paint: the screen's white is the whitest paint", () => {
    for (const hex of ["#808080", "#c8402f", "#1f3a4d", "#f2c230", "#3f7f7a", "#ffffff"]) {
      const [, y] = xyzOf(spectrumOf(hex));
      const linear = (at: number) => ((parseInt(hex.slice(at, at + 2), 16) / 255 + 0.055) / 1.055) ** 2.4;
      expect(y).toBeCloseTo(WHITE_PAINT.value * (0.2126729 * linear(1) + 0.7151522 * linear(3) + 0.072175 * linear(5)), 2);
      for (const value of spectrumOf(hex)) expect(value >= 0.003 && value <= 0.97).toBe(true);
    }
  });
  test("yellow over blue reads green, which three channels get wrong", () => {
    const thin = seen({ colour: "#f2d31b", contrastRatio: 0.35, coats: 1 }, spectrumOf("#2a5db0"));
    const { a } = labOf(xyzOf(thin));
    expect(a).toBeLessThan(-8);
  });
});

const BLACK = spectrumOf("#0d0d0d");

describe("coats to look solid, against the trade handbook's plausible counts (§8)", () => {
  test.each([
    ["#ffffff", 0.9, 2, 2],
    ["#ffffff", 0.8, 3, 3],
    ["#ffffff", 0.65, 5, 5],
    ["#ffffff", 0.5, 7, 8],
    ["#f2c230", 0.9, 2, 2],
    ["#f2c230", 0.8, 3, 3],
    ["#f2c230", 0.65, 4, 5],
    ["#f2c230", 0.5, 6, 8],
  ])("%p at %p on black: %p to %p", (colour, ratio, from, to) => {
    const coats = coatsToHide(colour, ratio, BLACK);
    expect(coats).toBeGreaterThanOrEqual(from);
    expect(coats).toBeLessThanOrEqual(to);
  });
  test("on gesso 0.80 takes one ideal coat and two to three brushed", () => {
    for (const colour of ["#ffffff", "#f2c230"]) {
      expect(coatsToHide(colour, 0.8, spectrumOf("#f8f5ec"), "mean")).toBe(1);
      expect([2, 3]).toContain(coatsToHide(colour, 0.8, spectrumOf("#f8f5ec")));
    }
  });
  test("a translucent white takes about four, even on gesso", () => {
    expect(coatsToHide("#ffffff", 0.5, spectrumOf("#f8f5ec"))).toBe(4);
  });
  test("it is not 1 − (1 − CR)ⁿ: that would call two coats of 0.80 on black solid", () => expect(coatsToHide("#ffffff", 0.8, BLACK)).toBeGreaterThan(2));
});

describe("what must hold for any colour", () => {
  const hex = fc.integer({ min: 0, max: 0xffffff }).map((value) => `#${value.toString(16).padStart(6, "0")}`);
  const ratio = fc.double({ min: 0.2, max: 0.97, noNaN: true });
  test("one coat over the chart has the contrast ratio it was solved for", () => {
    fc.assert(
      fc.property(hex, ratio, (colour, wanted) => {
        const power = scatterOfCoat(colour, wanted);
        const y = (ground: number) => xyzOf(spectrumOf(colour).map((infinite) => overGround(infinite, ground, power)))[1];
        expect(y(0.05) / y(0.8)).toBeCloseTo(wanted, 5);
      }),
      { seed: 20261124, numRuns: 120 },
    );
  });
  test("more coats never hide less: in every band each coat brings it nearer to its full colour", () => {
    fc.assert(
      fc.property(hex, hex, ratio, (colour, ground, contrastRatio) => {
        const far = (coats: number) =>
          seen({ colour, contrastRatio, coats }, spectrumOf(ground), "thin-spot").map((value, band) => Math.abs(value - spectrumOf(colour)[band]!));
        for (let coats = 1; coats < 6; coats += 1) {
          const [before, after] = [far(coats), far(coats + 1)];
          for (const [band, distance] of after.entries()) expect(distance).toBeLessThanOrEqual(before[band]! + 1e-9);
        }
      }),
      { seed: 20261124, numRuns: 120 },
    );
  });
  test("a better contrast ratio never needs more coats of a grey", () => {
    const grey = fc.integer({ min: 20, max: 255 }).map((value) => `#${value.toString(16).padStart(2, "0").repeat(3)}`);
    fc.assert(
      fc.property(grey, grey, ratio, fc.double({ min: 0.01, max: 0.2, noNaN: true }), (colour, ground, contrastRatio, more) => {
        const beneath = spectrumOf(ground);
        expect(coatsToHide(colour, Math.min(0.98, contrastRatio + more), beneath)).toBeLessThanOrEqual(coatsToHide(colour, contrastRatio, beneath));
      }),
      { seed: 20261124, numRuns: 120 },
    );
  });
  test("a darker grey ground never needs fewer coats of the same light colour", () => {
    for (const colour of ["#ffffff", "#f4efe2", "#f2c230", "#cfe3e0"])
      for (const contrastRatio of [0.5, 0.65, 0.8, 0.9]) {
        const counts = ["#d0d0d0", "#a0a0a0", "#707070", "#404040", "#101010"].map((ground) => coatsToHide(colour, contrastRatio, spectrumOf(ground)));
        expect([...counts].sort((a, b) => a - b)).toEqual(counts);
      }
  });
  test("the thin spot lies half a coat below one, one below four; flakes overlap by chance", () => {
    expect([coatsAtThinSpot(1), coatsAtThinSpot(4)]).toEqual([0.5, 3]);
    expect(areaCovered(0.9, 2)).toBeCloseTo(0.99, 9);
    expect(areaCovered(0.45, 1)).toBeCloseTo(0.45, 12);
  });
});
