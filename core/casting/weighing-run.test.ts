/** At the scale: zero, water, zero, powder, typed or off a made-up scale with its faults; a hand that slips is told what follows. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { steadyWeight } from "./scale";
import type { ScaleReading } from "./scale";
import { simulatedScale } from "./simulated-scale";
import { inBowl, partOf, rightWithin, targetOf, told, weighed } from "./weighing-run";
import type { Run } from "./weighing-run";

const RATIO = { waterPer100: 38 };
const WANTED = { waterG: 232, powderG: 232 / 0.38 };
const NEW: Run = { tared: false };
const zero = (run: Run) => weighed(run, RATIO, 0);
const RUNS = Number(process.env.RUNS ?? 60);

describe("a run at the scale", () => {
  test("goes zero, water, zero, powder, and says at each what is to go", () => {
    expect(told(NEW, WANTED, RATIO, 0)).toEqual({ part: "zero", targetG: null, toGoG: null, state: "nothing" });
    const ready = zero(NEW);
    expect(told(ready, WANTED, RATIO, 0)).toMatchObject({ part: "water", targetG: 232, toGoG: 232, state: "nothing" });
    expect(told(ready, WANTED, RATIO, 180)).toMatchObject({ toGoG: 52, state: "more" });
    expect(told(ready, WANTED, RATIO, 231)).toMatchObject({ state: "right" });
    const wet = weighed(ready, RATIO, 232);
    expect(partOf(wet, RATIO)).toBe("zero");
    const next = zero(wet);
    expect(told(next, WANTED, RATIO, 400)).toMatchObject({ part: "powder", state: "more" });
    const done = weighed(next, RATIO, 611);
    expect(partOf(done, RATIO)).toBe("done");
    expect(inBowl(done, WANTED)!.ratio).toBeCloseTo(37.97, 2);
  });

  test("water too much moves the powder's target, and tells the reserve it makes", () => {
    const wet = zero(weighed(zero(NEW), RATIO, 250));
    expect(targetOf(wet, WANTED, RATIO).powderG).toBeCloseTo(250 / 0.38, 6);
    expect(told(wet, WANTED, RATIO, 611)).toMatchObject({ state: "more" });
    const done = weighed(wet, RATIO, 658);
    expect(partOf(done, RATIO)).toBe("done");
    expect(inBowl(done, WANTED)!.extraG).toBeCloseTo(250 + 658 - 232 - 610.5, 0);
  });

  test("powder too much asks for water, and is right after it; what is taken as it is asks for nothing", () => {
    const heavy = weighed(zero(weighed(zero(NEW), RATIO, 232)), RATIO, 700);
    expect(partOf(heavy, RATIO)).toBe("zero");
    const more = zero(heavy);
    expect(told(more, WANTED, RATIO, 0)).toMatchObject({ part: "more-water", targetG: 700 * 0.38 - 232 });
    const right = weighed(more, RATIO, 34);
    expect(partOf(right, RATIO)).toBe("done");
    expect(inBowl(right, WANTED)).toMatchObject({ waterG: 266, powderG: 700, ratio: 38 });
    expect(partOf({ ...heavy, asItIs: true }, RATIO)).toBe("done");
  });

  test("whatever the hand does, a run that ends has its ratio within what is called right, and all that was weighed is in it", () =>
    fc.assert(
      fc.property(
        fc.double({ min: 40, max: 2000, noNaN: true }),
        fc.double({ min: 0.99, max: 1.5, noNaN: true }),
        fc.double({ min: 0.995, max: 1.4, noNaN: true }),
        (waterG, slip, second) => {
          const wanted = { waterG, powderG: waterG / 0.38 };
          const wet = zero(weighed(zero(NEW), RATIO, waterG * slip));
          let run = weighed(wet, RATIO, targetOf(wet, wanted, RATIO).powderG * second);
          let added = 0;
          if (partOf(run, RATIO) !== "done") {
            run = zero(run);
            added = told(run, wanted, RATIO, 0).targetG!;
            run = weighed(run, RATIO, added);
          }
          const bowl = inBowl(run, wanted)!;
          expect(partOf(run, RATIO)).toBe("done");
          expect(Math.abs(bowl.waterG - bowl.powderG * 0.38)).toBeLessThanOrEqual(2 * rightWithin(bowl.waterG) + 1e-6);
          expect(bowl.waterG).toBeCloseTo(waterG * slip + added, 6);
        },
      ),
      { numRuns: RUNS },
    ));
});

/** What a scale shows, looked at every 150 ms. */
function looked(scale: ReturnType<typeof simulatedScale>, from: number, to: number): readonly ScaleReading[] {
  const readings: ScaleReading[] = [];
  for (let at = from; at <= to; at += 150) readings.push(scale.read(at)!);
  return readings;
}

describe("a made-up scale", () => {
  test("shows whole steps, late, with a little unrest; a bowl that is tared away is nothing", () => {
    const scale = simulatedScale(3, 0);
    scale.put(0, 240);
    expect(scale.read(100)!.g).toBeLessThan(5);
    expect(Math.abs(scale.read(2000)!.g - 240)).toBeLessThanOrEqual(2);
    scale.tare(2000);
    const shown = looked(scale, 2150, 6000);
    expect(Math.max(...shown.map(({ g }) => Math.abs(g)))).toBeLessThanOrEqual(2);
    expect(new Set(shown.map(({ g }) => g)).size).toBeGreaterThan(1);
    for (const { g } of shown) expect(g).toBe(Math.round(g));
  });

  test("drifts, and the same seed weighs the same", () => {
    const of = () => {
      const scale = simulatedScale(11, 0, { driftGPerMin: 4, noiseG: 0 });
      scale.put(0, 100);
      return [1000, 30_000, 60_000].map((at) => scale.read(at)!.g);
    };
    expect(of()).toEqual([100, 102, 104]);
    expect(of()).toEqual(of());
  });

  test("comes to rest after something was put on it, and not while it runs", () => {
    const scale = simulatedScale(5, 0, { noiseG: 0.1 });
    scale.put(1000, 150);
    expect(steadyWeight(looked(scale, 900, 1500), 1)).toBeNull();
    expect(steadyWeight(looked(scale, 1500, 3000), 1)).toBe(150);
    expect(steadyWeight([], 1)).toBeNull();
    const poured: readonly ScaleReading[] = [0, 300, 600, 900, 1200].map((at) => ({ at, g: at / 20 }));
    expect(steadyWeight(poured, 1)).toBeNull();
  });
});
