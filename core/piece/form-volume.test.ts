/** Volumes of solid bodies, against slices that are added up. */
import { describe, expect, test } from "@jest/globals";
import type { Form } from "./form";
import { formVolumeMl } from "./form-volume";

/** Volume of a round body by its radius at each height, in a thousand slices, mL. */
function sliced(heightMm: number, radiusAt: (h: number) => number): number {
  const n = 1000;
  const slices = Array.from({ length: n }, (_unused, k) => Math.PI * radiusAt(((k + 0.5) / n) * heightMm) ** 2 * (heightMm / n));
  return slices.reduce((sum, one) => sum + one, 0) / 1000;
}

describe("a solid body", () => {
  const cap = (() => {
    const [a, h] = [39, 34];
    const r = (a * a + h * h) / (2 * h);
    return sliced(h, (y) => Math.sqrt(Math.max(0, r * r - (y + r - h) ** 2)));
  })();
  test.each<readonly [Form, number]>([
    [{ kind: "disc", diameterMm: 90, thicknessMm: 14 }, sliced(14, () => 45)],
    [{ kind: "cylinder", diameterMm: 80, heightMm: 100 }, sliced(100, () => 40)],
    [{ kind: "frustum", topDiameterMm: 120, bottomDiameterMm: 80, heightMm: 90 }, sliced(90, (h) => 40 + (20 * h) / 90)],
    [{ kind: "dome", diameterMm: 78, heightMm: 34 }, cap],
    [{ kind: "pebble", lengthMm: 80, widthMm: 80, thicknessMm: 80 }, sliced(80, (h) => Math.sqrt(1600 - (h - 40) ** 2))],
    [{ kind: "box", lengthMm: 100, widthMm: 80, heightMm: 50 }, 400],
  ])("%j", (form, ml) => expect(formVolumeMl(form)! / ml).toBeCloseTo(1, 3));

  test("whose thickness nobody knows has none", () => {
    expect(formVolumeMl({ kind: "plate", diameterMm: 200, rimWidthMm: 30 })).toBeNull();
    expect(formVolumeMl({ kind: "custom", areaMm2: 100 })).toBeNull();
  });
});
