/** Bodies that give their water off, weighed now and then. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { weightTold } from "./constant-weight";

const HOUR = 3_600_000;
const START = Date.parse("2026-11-28T09:00:00Z");
/** Water leaves by a share of what is left: dry it weighs so much, and holds so much water at the start. */
const weighed = (dryG: number, waterG: number, tauHours: number, hours: readonly number[], scaleG = 0) =>
  hours.map((hour) => {
    const g = dryG + waterG * Math.exp(-hour / tauHours);
    return { at: START + hour * HOUR, g: scaleG > 0 ? Math.round(g / scaleG) * scaleG : g };
  });

describe("a cast on the scales", () => {
  test("two weighings say what it has lost, and no more; a day without loss says it is dry", () => {
    expect(weightTold(weighed(600, 120, 40, [0, 8]))).toMatchObject({ constant: false, leftG: null, constantAt: null });
    expect(weightTold(weighed(600, 120, 40, [0, 24, 300, 324])).constant).toBe(true);
    // Half an hour without loss says nothing.
    expect(weightTold(weighed(600, 120, 40, [0, 48, 48.5])).constant).toBe(false);
  });

  test("three say how much water is left and when it is gone, whatever it weighs and however fast it dries", () => {
    fc.assert(
      fc.property(
        fc.record({
          dryG: fc.double({ min: 100, max: 3000, noNaN: true }),
          wet: fc.double({ min: 0.05, max: 0.4, noNaN: true }),
          tau: fc.double({ min: 10, max: 120, noNaN: true }),
          each: fc.double({ min: 0.2, max: 0.8, noNaN: true }),
        }),
        ({ dryG, wet, tau, each }) => {
          const hours = [0, each * tau, 2 * each * tau];
          const told = weightTold(weighed(dryG, dryG * wet, tau, hours));
          if (told.constant) return;
          const left = dryG * wet * Math.exp(-(2 * each * tau) / tau);
          expect(told.leftG!.from).toBeLessThanOrEqual(left * 1.1);
          expect(told.leftG!.to).toBeGreaterThanOrEqual(left);
          // When a day takes less than a thousandth of it.
          const over = tau * Math.log((dryG * wet * (1 - Math.exp(-24 / tau))) / (0.001 * dryG));
          expect(told.constantAt!.from).toBeLessThanOrEqual(START + Math.max(over, 2 * each * tau) * HOUR + 3 * HOUR);
          expect(told.constantAt!.to).toBeGreaterThanOrEqual(START + over * HOUR);
        },
      ),
      { numRuns: Number(process.env.RUNS ?? 40) },
    );
  });

  test("kitchen scales are enough; weighings that go up, or fall ever faster, tell nothing of the end", () => {
    const told = weightTold(weighed(612, 130, 36, [0, 12, 24, 36], 1));
    expect(told.leftG!.from).toBeGreaterThan(30);
    expect(told.leftG!.from).toBeLessThan(65);
    const at = (hour: number, g: number) => ({ at: START + hour * HOUR, g });
    expect(weightTold([at(0, 700), at(10, 690), at(20, 660)]).leftG).toBeNull();
    expect(weightTold([at(0, 700), at(10, 705), at(20, 710)]).leftG).toBeNull();
  });
});
