/** Hiding fitted to swatches: made-up ones whose truth is known, with the noise of a camera. */
import { describe, expect, test } from "@jest/globals";
import { calibrated, readingOf } from "./calibrate";
import type { Swatch } from "./calibrate";
import type { Light } from "./light";
import { scatterOfCoat } from "./hiding";
import { overGround } from "./kubelka-munk";
import { channelsOf, spectrumOf } from "./spectrum";

/** A seeded draw, and a normal one. */
function drawing(seed: number) {
  let state = seed;
  const draw = () => (state = (state * 16807) % 2147483647) / 2147483647;
  return { draw, normal: () => Math.sqrt(-2 * Math.log(draw())) * Math.cos(2 * Math.PI * draw()) };
}

/** Linear light that a camera sees of a reflectance, in the light of a lamp. */
const seenIn = (lamp: Light, reflectance: readonly number[]): Light => channelsOf(reflectance).map((one, at) => lamp[at]! * one) as unknown as Light;

interface Truth {
  readonly colour: string;
  readonly ratio: number;
  readonly noise: number;
}

/** A swatch of a paint as a camera would have it: mean of 25 noisy readings of each place. */
function swatchOf({ colour, ratio, noise }: Truth, lamp: Light, seed: number): Swatch {
  const { normal } = drawing(seed);
  const scatter = scatterOfCoat(colour, ratio);
  const infinite = spectrumOf(colour);
  const reading = (reflectance: readonly number[]) => {
    const light = seenIn(lamp, reflectance);
    return readingOf(Array.from({ length: 25 }, () => light.map((one) => Math.max(0, one + noise * normal())) as unknown as Light));
  };
  const over = (ground: number) => infinite.map((one) => overGround(one, ground, scatter));
  const flat = (value: number) => infinite.map(() => value);
  return { dark: reading(flat(0.05)), pale: reading(flat(0.8)), overDark: reading(over(0.05)), overPale: reading(over(0.8)) };
}

const COLOURS = ["#f5c518", "#c5281f", "#f4bf9d", "#2f8a46", "#fbfaf6"];
const RATIOS = [0.3, 0.5, 0.75, 0.9];
const LAMP: Light = [1, 0.92, 0.78];

describe("a swatch over black and white", () => {
  test("gives back what it was made with where nothing is noisy, in any lamp's light", () => {
    for (const colour of COLOURS)
      for (const ratio of RATIOS) {
        const found = calibrated(swatchOf({ colour, ratio, noise: 0 }, LAMP, 1));
        if (!found.ok) throw new Error(`${colour} ${ratio}: ${found.why}`);
        expect(Math.abs(found.hiding.ratio - ratio)).toBeLessThan(0.05);
      }
  });

  test("is recovered inside its interval nine times in ten, and the interval is worth having", () => {
    let [inside, tried, wide] = [0, 0, 0];
    for (const [at, colour] of COLOURS.entries())
      for (const [which, ratio] of RATIOS.entries())
        for (let seed = 1; seed <= 3; seed += 1) {
          const found = calibrated(swatchOf({ colour, ratio, noise: 0.03 }, LAMP, 1 + seed * 7919 + at * 104729 + which * 1299709));
          if (!found.ok) throw new Error(`${colour} ${ratio}: ${found.why}`);
          const { from, to } = found.hiding;
          tried += 1;
          if (ratio >= from && ratio <= to) inside += 1;
          wide = Math.max(wide, to - from);
        }
    expect(inside / tried).toBeGreaterThanOrEqual(0.9);
    expect(wide).toBeLessThan(0.3);
  });
});

describe("what a swatch cannot tell", () => {
  const plain = { dark: { colour: "#1b1b1d" }, pale: { colour: "#f4f2ea" }, overDark: { colour: "#a8402f" }, overPale: { colour: "#c5483a" } };

  test("a coat that hides too well is at least so good", () => {
    const found = calibrated(swatchOf({ colour: "#c5281f", ratio: 0.985, noise: 0.01 }, LAMP, 5));
    expect(found).toMatchObject({ ok: true, hiding: { atLeast: true, to: 1 } });
    if (found.ok) expect(found.hiding.from).toBeLessThanOrEqual(0.95);
  });

  test("grounds alike, colours no coat could have, and colours too unsure are refused, each by its name", () => {
    expect(calibrated({ ...plain, dark: { colour: "#dddddd" } })).toEqual({ ok: false, why: "grounds-alike" });
    expect(calibrated({ ...plain, overDark: { colour: "#ffe9a0" }, overPale: { colour: "#7a1f10" } })).toEqual({ ok: false, why: "not-a-coat" });
    const unsure = Object.fromEntries(Object.entries(plain).map(([place, reading]) => [place, { ...reading, error: 0.2 }]));
    expect(calibrated({ ...plain, ...unsure })).toEqual({ ok: false, why: "too-unsure" });
    expect(calibrated(plain)).toMatchObject({ ok: true });
  });

  test("a thinned coat hides less than the paint does: the paint's own hiding is told", () => {
    const ratio = (thinnedPercent: number) => {
      const found = calibrated({ ...plain, thinnedPercent });
      return found.ok ? found.hiding.ratio : 0;
    };
    expect(ratio(30)).toBeGreaterThan(ratio(0));
  });
});
