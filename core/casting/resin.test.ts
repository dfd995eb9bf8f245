/** Both parts of a resin, by weight and by volume; how deep, how warm, how much in a cup. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { degreeHours, maturityOf } from "./maturity";
import { hardenerByVolume, hardenerByWeight, potLifeMin, resinMl, resinParts, resinWarnings, TYPICAL_RESIN } from "./resin";
import type { ResinLabel } from "./resin";

const label = fc.record({
  hardenerPer100: fc.double({ min: 10, max: 120, noNaN: true }),
  by: fc.constantFrom("weight" as const, "volume" as const),
  resinGPerMl: fc.double({ min: 0.9, max: 1.4, noNaN: true }),
  hardenerGPerMl: fc.double({ min: 0.85, max: 1.3, noNaN: true }),
  potMin: fc.constant(40),
  potG: fc.constant(150),
  potC: fc.constant(23),
});

describe("two parts", () => {
  test("fill what they are reckoned for, in the label's own ratio, by whichever it says", () =>
    fc.assert(
      fc.property(label, fc.double({ min: 1, max: 2000, noNaN: true }), (of: ResinLabel, ml) => {
        const parts = resinParts(ml, of);
        expect(parts.resinMl + parts.hardenerMl).toBeCloseTo(ml, 6);
        const said = of.by === "weight" ? parts.hardenerG / parts.resinG : parts.hardenerMl / parts.resinMl;
        expect(said * 100).toBeCloseTo(of.hardenerPer100, 6);
        expect((parts.hardenerG / parts.resinG) * 100).toBeCloseTo(hardenerByWeight(of), 6);
        expect((parts.hardenerMl / parts.resinMl) * 100).toBeCloseTo(hardenerByVolume(of), 6);
      }),
      { numRuns: 60 },
    ));

  test("a volume ratio weighed as if it were one by weight would be off", () => {
    const of: ResinLabel = { ...TYPICAL_RESIN, by: "volume", hardenerPer100: 50, resinGPerMl: 1.12, hardenerGPerMl: 0.98 };
    expect(hardenerByWeight(of)).toBeCloseTo(43.75, 6);
    expect(hardenerByVolume({ ...of, by: "weight" })).toBeCloseTo(57.14, 2);
  });

  test("bumps are levelled on top of the depth, and what is too deep is poured in layers", () => {
    const flat = resinMl({ areaMm2: 10_000, depthMm: 1.6, bumpMm: 0, lossPercent: 0 });
    expect(flat).toEqual({ ml: 16, pours: 1 });
    expect(resinMl({ areaMm2: 10_000, depthMm: 1.6, bumpMm: 2, lossPercent: 10 }).ml).toBeCloseTo(16 * 1.1 + 11, 6);
    expect(resinMl({ areaMm2: 10_000, depthMm: 7, bumpMm: 0, lossPercent: 0 }).pours).toBe(3);
  });

  test("the cup lasts half as long ten degrees warmer, and shorter the more is in it", () => {
    expect(potLifeMin(150, 23, TYPICAL_RESIN)).toBeCloseTo(40, 6);
    expect(potLifeMin(150, 33, TYPICAL_RESIN)).toBeCloseTo(20, 6);
    expect(potLifeMin(600, 23, TYPICAL_RESIN)).toBeLessThan(potLifeMin(150, 23, TYPICAL_RESIN));
    // A few grams do not stay fluid for ever.
    expect(potLifeMin(1, 23, TYPICAL_RESIN)).toBe(potLifeMin(15, 23, TYPICAL_RESIN));
  });

  test("what is wrong with room and cup is told", () => {
    expect(resinWarnings(50, 22, 1)).toEqual([]);
    expect(resinWarnings(50, 12, 1)).toEqual(["stalls"]);
    expect(resinWarnings(50, 17, 1)).toEqual(["slow"]);
    expect(resinWarnings(400, 33, 2)).toEqual(["runs", "hot-cup", "several-pours"]);
  });
});

describe("cement", () => {
  test("matures by time and warmth, not at all below its datum, and no faster for being looked at twice", () => {
    expect(degreeHours([{ hours: 100, temperatureC: -4 }])).toBe(0);
    const whole = maturityOf([{ hours: 200, temperatureC: 14 }], 14);
    const halves = maturityOf(
      [
        { hours: 80, temperatureC: 14 },
        { hours: 120, temperatureC: 14 },
      ],
      14,
    );
    expect(halves).toEqual(whole);
    expect(whole.leftHours).toBeCloseTo((28 * 24 * 20) / 14 - 200, 6);
    expect(maturityOf([{ hours: 10_000, temperatureC: 20 }], 20)).toMatchObject({ share: 1, leftHours: 0 });
    expect(maturityOf([], -1).leftHours).toBeNull();
  });
});
