/** Areas against closed forms, and against Thomsen's stated bound by numerical integration. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { annulusArea, capArea, capVolume, ellipsoidArea, frustumSideArea } from "#core/piece/areas";
import type { Form } from "#core/piece/form";
import { surfacesOf } from "#core/piece/surfaces";
import { zoneAreas } from "#core/piece/zone-areas";
import { goblet, jar, mug, pebble, piece, pot, tray } from "./bench";

/** Surface of an ellipsoid by Simpson's rule over its parametrisation: slow, sure, and nothing to do with Thomsen. */
function integratedEllipsoid(a: number, b: number, c: number, steps = 240): number {
  const element = (theta: number, phi: number) => {
    const [st, ct, sp, cp] = [Math.sin(theta), Math.cos(theta), Math.sin(phi), Math.cos(phi)];
    return st * Math.sqrt(b * b * c * c * st * st * cp * cp + a * a * c * c * st * st * sp * sp + a * a * b * b * ct * ct);
  };
  const weight = (index: number) => (index === 0 || index === steps ? 1 : index % 2 ? 4 : 2);
  let sum = 0;
  for (let i = 0; i <= steps; i += 1)
    for (let j = 0; j <= steps; j += 1) sum += weight(i) * weight(j) * element((Math.PI * i) / steps, (Math.PI * j) / (2 * steps));
  return ((sum * Math.PI) / steps / 3) * (Math.PI / (2 * steps) / 3) * 4;
}

describe("a pebble, by Thomsen 2004", () => {
  test("is exact for a sphere", () => expect(ellipsoidArea(25, 25, 25)).toBeCloseTo(4 * Math.PI * 625, 6));

  test.each([
    [30, 22.5, 12.5],
    [60, 40, 10],
    [100, 10, 10],
    [50, 50, 5],
    [45, 30, 29],
    [80, 20, 3],
  ])("stays within the stated 1.061 %% for semi-axes %p, %p, %p", (a, b, c) => {
    const truth = integratedEllipsoid(a, b, c);
    expect(Math.abs(ellipsoidArea(a, b, c) - truth) / truth).toBeLessThanOrEqual(0.01061);
  });

  test("the handbook's 60 × 45 × 25 mm pebble takes 0.44 mL a coat of 75 µm", () => {
    const { front = 0, back = 0 } = surfacesOf({ kind: "pebble", lengthMm: 60, widthMm: 45, thicknessMm: 25 }, 0);
    expect(((front + back) / 1e6) * 75).toBeCloseTo(0.44, 2);
  });
});

describe("closed forms", () => {
  test("a frustum with equal ends is a cylinder", () => expect(frustumSideArea(100, 100, 50)).toBeCloseTo(Math.PI * 100 * 50, 6));
  test("a frustum that closes is a cone", () => expect(frustumSideArea(60, 0, 40)).toBeCloseTo(Math.PI * 30 * 50, 6));
  test("a cap as high as its radius is half a sphere", () => expect(capArea(100, 50)).toBeCloseTo(2 * Math.PI * 2500, 6));
  test("a flat cap is a disc, and holds nothing", () => {
    expect(capArea(100, 0)).toBeCloseTo(Math.PI * 2500, 6);
    expect(capVolume(100, 0)).toBe(0);
  });
  test("a half-sphere dot holds 2/3 π r³", () => expect(capVolume(10, 5)).toBeCloseTo((2 / 3) * Math.PI * 125, 6));
  test("a ring is the difference of two discs, never negative", () => {
    expect(annulusArea(100, 60)).toBeCloseTo(Math.PI * (2500 - 900), 6);
    expect(annulusArea(50, 60)).toBe(0);
  });
});

describe("zones of a piece", () => {
  const named = (of: Parameters<typeof zoneAreas>[0]) => new Map(zoneAreas(of, CATALOGUE).map(({ zone, areaMm2 }) => [zone, areaMm2]));

  test("a pebble has a top and a back of half each", () => {
    const zones = named(pebble());
    expect([...zones.keys()]).toEqual(["top", "back"]);
    expect(zones.get("top")).toBeCloseTo(zones.get("back")!, 6);
  });

  test("a mug to drink from has a 25 mm lip band taken off its outside", () => {
    const zones = named(mug());
    expect(zones.get("lip-band")).toBeCloseTo(Math.PI * 82 * 25, 6);
    expect(zones.get("outside")).toBeCloseTo(Math.PI * 82 * (95 - 25), 6);
  });

  test("a mug for show has no lip band", () => {
    const zones = named(mug({ uses: ["indoor-display"] }));
    expect(zones.has("lip-band")).toBe(false);
    expect(zones.get("outside")).toBeCloseTo(Math.PI * 82 * 95, 6);
  });

  test("a cup lower than its lip band is all lip band", () => {
    const zones = named(mug({ form: { kind: "cylinder", diameterMm: 60, heightMm: 20 } }));
    expect(zones.has("outside")).toBe(false);
    expect(zones.get("lip-band")).toBeCloseTo(Math.PI * 60 * 20, 6);
  });

  test("a pot's outside is the frustum's slant, and a saucer comes with the part", () => {
    expect(named(pot()).get("outside")).toBeCloseTo(Math.PI * (100 + 70) * Math.hypot(190, 30), 6);
    expect(named(pot()).has("saucer")).toBe(false);
    expect(named(pot({ parts: ["saucer"] })).get("saucer")).toBeGreaterThan(0);
  });

  test("a tray's inside is its floor and walls", () => expect(named(tray()).get("inside")).toBeCloseTo(400 * 280 + 2 * (400 + 280) * 45, 6));

  test("a plate divides into eating side, rim and back", () => {
    const zones = named(piece({ material: "ceramic-glazed", object: "plate", uses: ["tableware"], form: { kind: "plate", diameterMm: 200, rimWidthMm: 30 } }));
    expect(zones.get("food-side")! + zones.get("rim")!).toBeCloseTo(zones.get("back")!, 6);
  });

  test("a goblet's bowl without its lip band is smaller than with it", () => {
    const drunk = named(goblet());
    const shown = named(goblet({ uses: ["indoor-display"] }));
    expect(drunk.get("outside")! + drunk.get("lip-band")!).toBeCloseTo(shown.get("outside")!, 4);
  });

  test("a piece measured by foil shares its area out, and loses none", () => {
    const zones = named(jar({ form: { kind: "custom", areaMm2: 30_000 } }));
    expect([...zones.values()].reduce((sum, area) => sum + area, 0)).toBeCloseTo(30_000, 6);
  });

  const FORMS: readonly Form[] = [
    { kind: "dome", diameterMm: 65, heightMm: 25 },
    { kind: "disc", diameterMm: 200, thicknessMm: 12 },
    { kind: "box", lengthMm: 100, widthMm: 80, heightMm: 60 },
  ];
  test.each(FORMS)("grow with the square of size: $kind", (form) => {
    const twice = Object.fromEntries(Object.entries(form).map(([key, value]) => [key, typeof value === "number" ? value * 2 : value])) as unknown as Form;
    const areas = (of: Form) => Object.entries(surfacesOf(of, 0)).filter(([name]) => !["handle", "saucer", "stem"].includes(name));
    for (const [name, area] of areas(form)) expect(Object.fromEntries(areas(twice))[name]! / area!).toBeCloseTo(4, 6);
  });
});
