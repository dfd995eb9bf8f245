/** Marking out against closed forms, published tables and figures of common practice. */
import { describe, expect, test } from "@jest/globals";
import * as fontkit from "fontkit";
import { FACES } from "#core/marking/data/faces";
import { ellipseArc, ellipsePerimeter } from "#core/marking/ellipse";
import { guideSteps } from "#core/marking/guides";
import { widthEms } from "#core/marking/lettering";
import { developWall } from "#core/marking/papers/develop";
import { chordOf, closingCount, diameterFor, gapOf, nearestCounts } from "#core/marking/ring-count";
import { solvePattern } from "#core/marking/solve";
import { discTop, domeTop, pebbleTop, taperedWall } from "#core/marking/surface";
import { sayFine } from "#core/units/length";

describe("the packing of a ring: n = π / asin(d / 2R)", () => {
  test.each([
    [50, 5],
    [40, 7.3],
    [12, 6],
    [101.6, 3],
  ])("on a circle of radius %p, dots of %p mm", (radius, diameterMm) => {
    const ring = discTop(radius + diameterMm).ring(radius);
    const most = Math.floor(Math.PI / Math.asin(diameterMm / (2 * radius)));
    expect(closingCount(ring, { diameterMm, gapMm: 0 })).toBe(most);
    expect(gapOf(ring, most, diameterMm)).toBeCloseTo(2 * radius * Math.sin(Math.PI / most) - diameterMm, 9);
    expect(gapOf(ring, most + 1, diameterMm)).toBeLessThan(0);
  });

  test("six coins close round one of their size: the kissing number of the plane is 6", () => {
    const ring = discTop(60).ring(20);
    expect(closingCount(ring, { diameterMm: 20, gapMm: 0 })).toBe(6);
    expect(gapOf(ring, 6, 20)).toBeCloseTo(0, 9);
    expect(diameterFor(ring, 6, 0)).toBeCloseTo(20, 9);
  });
});

describe("ellipses", () => {
  // E(m), Abramowitz & Stegun, table 17.1.
  const TABLE: readonly (readonly [number, number])[] = [
    [0, 1.570796327],
    [0.1, 1.530757637],
    [0.3, 1.445363064],
    [0.5, 1.350643881],
    [0.7, 1.241670567],
    [0.9, 1.104774733],
  ];

  test.each(TABLE)("perimeter 4aE(m) by the table of complete integrals, m = %p", (m, e) => {
    const b = 40 * Math.sqrt(1 - m);
    expect(Math.abs(ellipsePerimeter(40, b) / (160 * e) - 1)).toBeLessThan(1e-9);
    expect(Math.abs((4 * ellipseArc(40, b, Math.PI / 2)) / (160 * e) - 1)).toBeLessThan(1e-9);
  });

  test("an arc by the incomplete integral: E(30° \\ 30°) = 0.51788193 (Abramowitz & Stegun, table 17.6)", () => {
    expect(ellipseArc(10, 10 * Math.cos(Math.PI / 6), Math.PI / 6)).toBeCloseTo(5.1788193, 5);
  });

  test("on an oval equal arc is not equal angle: marks stand at equal lengths", () => {
    const ring = pebbleTop(120, 80, 30).fromEdge!.ring(20);
    const places = Array.from({ length: 12 }, (_unused, k) => ring.at(k / 12).flat);
    const angles = places.map(([x, y]) => Math.atan2(x, y));
    expect(Math.abs(angles[1]! - angles[0]! - Math.PI / 6)).toBeGreaterThan(0.05);
    expect(ring.lengthMm / 12).toBeGreaterThan(chordOf(ring, 12));
  });
});

test("a cap's arc and chord: on a ball of 50 mm an arc of 60° is 52.36 mm and its chord 50 mm", () => {
  const dome = domeTop(50, 50);
  const sixty = dome.say((50 * Math.PI) / 3);
  expect(sixty.tapeMm).toBeCloseTo(52.3599, 4);
  expect(sixty.compassMm).toBeCloseTo(50, 9);
  expect(sixty.radiusMm).toBeCloseTo(50 * Math.sin(Math.PI / 3), 9);
});

test.each([
  [140, 203, 190],
  [200, 120, 90],
  [100, 100.4, 60],
])("a cone laid flat, foot %p, rim %p, height %p: radii and angle by its closed form", (foot, rim, height) => {
  const slant = Math.hypot(height, (rim - foot) / 2);
  const flat = developWall(foot, rim, slant);
  expect(flat.footRadiusMm! / flat.rimRadiusMm!).toBeCloseTo(foot / rim, 12);
  expect(flat.angle).toBeCloseTo((2 * Math.PI * Math.abs(rim - foot)) / 2 / slant, 9);
  // Round the flat piece it is as far as round the pot, and up it as far as up the pot.
  expect(flat.angle * flat.rimRadiusMm!).toBeCloseTo(Math.PI * rim, 6);
  expect(flat.angle * flat.footRadiusMm!).toBeCloseTo(Math.PI * foot, 6);
  const [a, b] = [flat.at(0.3, 0), flat.at(0.3, slant)];
  expect(Math.hypot(a[0] - b[0], a[1] - b[1])).toBeCloseTo(slant, 9);
});

describe("common practice", () => {
  test("half of a body of 2 1/2 in is 1 1/4 in on the compass", () => {
    const surface = discTop(63.5 / 2);
    const pattern = { zone: "top" as const, rows: [] };
    const [first] = guideSteps({
      form: { kind: "disc", diameterMm: 63.5, thicknessMm: 20 },
      object: "stone",
      parts: [],
      surface,
      pattern,
      solved: solvePattern(surface, pattern),
      unit: "in",
      pencil: null,
    });
    expect(first!.text).toContain("Half of 2 1/2 in is 1 1/4 in: open the compass");
  });

  test("steps of 3 in do not close round a rim of 8 in: eight of 3 1/16 in and nine of 2 3/4 in do", () => {
    const rim = taperedWall(150, 203.2, 180).ring(taperedWall(150, 203.2, 180).to);
    const steps = rim.lengthMm / 76.2;
    expect(Math.abs(steps - Math.round(steps))).toBeGreaterThan(0.3);
    const near = nearestCounts(rim, { diameterMm: 0, gapMm: 76.2 }, steps).map(({ count }) => count);
    expect(near.slice(0, 2)).toEqual([8, 9]);
    expect([8, 9].map((count) => sayFine(chordOf(rim, count), "in"))).toEqual(["3 1/16 in", "2 3/4 in"]);
  });

  test("two colours in turn want an even number, and the tolerance of the eye is told, not taken", () => {
    const { rows } = solvePattern(discTop(60), { rows: [{ id: "a", kind: "dots", diameterMm: 6, colours: ["#ffffff", "#000000"], at: { radiusMm: 40 } }] });
    expect(rows[0]!.places % 2).toBe(0);
  });
});

test("letters are as wide as the files of the shipped faces have them", () => {
  const font = fontkit.openSync("node_modules/@fontsource/young-serif/files/young-serif-latin-400-normal.woff2") as fontkit.Font;
  const face = FACES.find(({ id }) => id === "young-serif")!;
  for (const word of ["Lighthouse", "Tern", "Moor", "1874", "sonder"]) {
    const advances = [...word].reduce((sum, letter) => sum + font.layout(letter).advanceWidth, 0) / font.unitsPerEm;
    expect(widthEms(word, face)).toBeCloseTo(advances, 2);
  }
});
