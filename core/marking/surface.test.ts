/** Surfaces as measured: what a ring, a tape, a compass and a stack of known height give on each. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import type { ZoneId } from "../catalogue/vocabulary";
import type { Form } from "../piece/form";
import { ellipsePerimeter } from "./ellipse";
import { circle, oval, rectangle, scaled, smoothRadius, uneven } from "./outline";
import type { Outline } from "./outline";
import { apart, chordOf, closingCount, diameterFor, gapOf, leastCommon, nearestCounts } from "./ring-count";
import { bowlWall, boxWall, discTop, domeTop, pebbleTop, squareTop, taperedWall, unevenTop } from "./surface";
import type { MarkingSurface } from "./surface";
import { surfaceOf } from "./surface-of";

const way = (a: readonly [number, number], b: readonly [number, number]) => Math.hypot(a[0] - b[0], a[1] - b[1]);

describe("outlines", () => {
  const OUTLINES: readonly (readonly [string, Outline])[] = [
    ["a circle", circle(30)],
    ["an oval", oval(40, 25, ellipsePerimeter(40, 25))],
    ["a rectangle", rectangle(40, 25)],
    ["an uneven stone", uneven([30, 32, 40, 45, 38, 30])],
    ["a smaller uneven stone", scaled(uneven([30, 32, 40, 45, 38, 30]), 0.4)],
  ];

  test.each(OUTLINES)("%s is told by its length: parts of the way are as long as they are told to be", (_name, outline) => {
    const looks = 2000;
    let sum = 0;
    for (let k = 0; k < looks; k++) sum += way(outline.at(k / looks), outline.at((k + 1) / looks));
    expect(Math.abs(sum / outline.lengthMm - 1)).toBeLessThan(1e-3);
    let quarter = 0;
    for (let k = 0; k < looks / 4; k++) quarter += way(outline.at(k / looks), outline.at((k + 1) / looks));
    expect(Math.abs(quarter / outline.lengthMm - 0.25)).toBeLessThan(5e-4);
  });

  test.each(OUTLINES)("%s begins at twelve and goes on clockwise, and closes", (_name, outline) => {
    const [x0, y0] = outline.at(0);
    expect(x0).toBeCloseTo(0, 6);
    expect(y0).toBeGreaterThan(0);
    expect(outline.at(0.1)[0]).toBeGreaterThan(0);
    expect(way(outline.at(1), outline.at(0))).toBeLessThan(1e-6);
    expect(way(outline.at(-0.25), outline.at(0.75))).toBeLessThan(1e-6);
  });

  test("a measured stone passes through all its radii and never leaves their range", () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 1, max: 900, noNaN: true }), { minLength: 4, maxLength: 8 }), (radii) => {
        radii.forEach((mm, k) => expect(smoothRadius(radii, (2 * Math.PI * k) / radii.length)).toBeCloseTo(mm, 6));
        for (let k = 0; k < 97; k++) {
          const mm = smoothRadius(radii, (2 * Math.PI * k) / 97);
          expect(mm).toBeGreaterThanOrEqual(Math.min(...radii) - 1e-9);
          expect(mm).toBeLessThanOrEqual(Math.max(...radii) + 1e-9);
        }
      }),
      { numRuns: 100 },
    );
  });
});

describe("levels, in the measures of the hand", () => {
  test("a flat disc: radius, compass and tape are one number", () => {
    const { say, from, to } = discTop(60);
    expect([from, to]).toEqual([0, 60]);
    expect(say(25)).toEqual({ radiusMm: 25, compassMm: 25, tapeMm: 25, heightMm: null, insetMm: 35 });
  });

  test("a dome: the tape is longer than the compass, the compass longer than the radius seen from above", () => {
    const dome = domeTop(32.5, 25);
    for (const level of [8, 20, dome.to]) {
      const { radiusMm, compassMm, tapeMm } = dome.say(level);
      expect(tapeMm!).toBeGreaterThan(compassMm!);
      expect(compassMm!).toBeGreaterThan(radiusMm!);
    }
    expect(dome.say(dome.to).radiusMm).toBeCloseTo(32.5, 9);
    expect(dome.say(dome.to).compassMm).toBeCloseTo(Math.hypot(32.5, 25), 9);
  });

  test("a dome higher than half a ball is painted to its widest line", () => {
    const high = domeTop(30, 50);
    const ball = (30 ** 2 + 50 ** 2) / 100;
    expect(high.say(high.to).radiusMm).toBeCloseTo(ball, 9);
    expect(high.widthMm).toBeCloseTo(2 * ball, 9);
  });

  test("a tapered pot: heights are upright, the way along the wall is longer, and it is as far round as it is wide there", () => {
    const pot = taperedWall(140, 203, 190);
    const level = pot.atHeight(95)!;
    expect(level).toBeCloseTo(Math.hypot(190, 31.5) / 2, 9);
    expect(pot.ring(level).lengthMm).toBeCloseTo(Math.PI * 171.5, 9);
    expect(pot.say(level)).toMatchObject({ heightMm: 95, radiusMm: null, compassMm: null });
    expect(pot.say(level).insetMm).toBeCloseTo(pot.to - level, 9);
    expect(pot.ring(level).at(0.25).flat[0]).toBeCloseTo((Math.PI * 171.5) / 4, 9);
  });

  test("a bowl on a stem widens from nothing to its rim; a drinking band is kept apart", () => {
    const bowl = bowlWall(80, 100, 25);
    expect(bowl.ring(0).lengthMm).toBe(0);
    expect(bowl.say(bowl.to).heightMm).toBeCloseTo(75, 3);
    expect(bowlWall(80, 100).ring(bowlWall(80, 100).to).lengthMm).toBeCloseTo(Math.PI * 80, 3);
  });

  test("a plate's rim begins at its well; a pot's rim is as wide as its wall", () => {
    const rim = discTop(105, 75);
    expect([rim.from, rim.to]).toEqual([75, 105]);
    const pot = surfaceOf({ kind: "frustum", topDiameterMm: 200, bottomDiameterMm: 140, heightMm: 190 }, "rim")!;
    expect(pot.to - pot.from).toBeCloseTo(200 * 0.04, 9);
  });

  test("a pebble: lines like its edge from the middle, or even in from its edge, and both are its edge at the edge", () => {
    const pebble = pebbleTop(120, 80, 30);
    const like = pebble.ring(pebble.atRadius(20)!);
    const [right, up] = [like.at(0.25).flat[0], like.at(0).flat[1]];
    expect([right, up].map((mm) => Math.round(mm * 10) / 10)).toEqual([30, 20]);
    const even = pebble.fromEdge!.ring(pebble.fromEdge!.atInset(10));
    expect([even.at(0.25).flat[0], even.at(0).flat[1]].map((mm) => Math.round(mm * 10) / 10)).toEqual([50, 30]);
    expect(pebble.ring(pebble.to).lengthMm).toBeCloseTo(ellipsePerimeter(60, 40), 3);
    expect(pebbleTop(80, 80, 30).fromEdge).toBeUndefined();
    expect(pebbleTop(80, 80, 30).round).toBe(true);
  });

  test("the lid of a box: rings are even in from all four sides", () => {
    const lid = squareTop(200, 120);
    expect(lid.ring(lid.atInset(15)).lengthMm).toBeCloseTo(2 * (170 + 90), 9);
    expect(lid.say(lid.atInset(15)).insetMm).toBeCloseTo(15, 9);
  });

  test("the sides of a box are one ring of its four walls, and a dot at a corner is measured straight across it", () => {
    const sides = boxWall(100, 60, 40).ring(20);
    expect(sides.lengthMm).toBe(320);
    expect(apart(sides.at(45 / 320).at, sides.at(55 / 320).at)).toBeCloseTo(Math.hypot(5, 5), 9);
  });

  test("every level there and back", () => {
    const all: readonly MarkingSurface[] = [
      discTop(50),
      domeTop(40, 18),
      pebbleTop(90, 70, 30),
      unevenTop([40, 42, 50, 44], 30),
      taperedWall(90, 60, 80),
      squareTop(90, 60),
    ];
    for (const surface of all)
      for (const share of [0.2, 0.5, 0.9]) {
        const level = surface.from + (surface.to - surface.from) * share;
        const { radiusMm, heightMm } = surface.say(level);
        const back = radiusMm === null ? surface.atHeight(heightMm!) : surface.atRadius(radiusMm);
        expect(back).toBeCloseTo(level, 3);
      }
  });
});

describe("which surface a place has", () => {
  const FORMS: readonly (readonly [Form, ZoneId, "top" | "wall" | null])[] = [
    [{ kind: "pebble", lengthMm: 60, widthMm: 45, thicknessMm: 25 }, "top", "top"],
    [{ kind: "pebble", lengthMm: 60, widthMm: 45, thicknessMm: 25 }, "back", "top"],
    [{ kind: "pebble", lengthMm: 60, widthMm: 45, thicknessMm: 25 }, "rim", null],
    [{ kind: "dome", diameterMm: 60, heightMm: 20 }, "back", "top"],
    [{ kind: "disc", diameterMm: 200, thicknessMm: 12 }, "edge", "wall"],
    [{ kind: "disc", diameterMm: 200, thicknessMm: 12 }, "face", "top"],
    [{ kind: "disc", diameterMm: 200, thicknessMm: 12 }, "glue-spot", null],
    [{ kind: "frustum", topDiameterMm: 160, bottomDiameterMm: 110, heightMm: 140 }, "saucer", "top"],
    [{ kind: "frustum", topDiameterMm: 160, bottomDiameterMm: 110, heightMm: 140 }, "inner-strip", "wall"],
    [{ kind: "frustum", topDiameterMm: 160, bottomDiameterMm: 110, heightMm: 140 }, "base", "top"],
    [{ kind: "cylinder", diameterMm: 82, heightMm: 95 }, "body", "wall"],
    [{ kind: "cylinder", diameterMm: 82, heightMm: 95 }, "lid", "top"],
    [{ kind: "box", lengthMm: 200, widthMm: 120, heightMm: 60 }, "body", "wall"],
    [{ kind: "box", lengthMm: 200, widthMm: 120, heightMm: 60 }, "inside", "top"],
    [{ kind: "plate", diameterMm: 210, rimWidthMm: 30 }, "food-side", "top"],
    [{ kind: "goblet", bowlDiameterMm: 80, bowlHeightMm: 100, stemHeightMm: 80, footDiameterMm: 70 }, "foot", "top"],
    [{ kind: "goblet", bowlDiameterMm: 80, bowlHeightMm: 100, stemHeightMm: 80, footDiameterMm: 70 }, "stem", null],
    [{ kind: "custom", areaMm2: 9000 }, "top", null],
  ];
  test.each(FORMS)("%j, %s: %s", (form, zone, shape) => expect(surfaceOf(form, zone)?.shape ?? null).toBe(shape));

  test("a motif lies on the surface of its place", () =>
    expect(surfaceOf({ kind: "dome", diameterMm: 60, heightMm: 20 }, "top/motif-1")?.widthMm).toBeCloseTo(60, 9));
});

describe("what closes on lines that are no circles", () => {
  const RINGS = [
    squareTop(200, 120).ring(40),
    boxWall(100, 60, 40).ring(10),
    pebbleTop(120, 80, 30).fromEdge!.ring(25),
    unevenTop([40, 42, 52, 44], 30).ring(20),
  ];

  test.each(RINGS.map((ring, k) => [k, ring] as const))("line %d: the count leaves the gap, one more does not", (_k, ring) => {
    for (const [diameterMm, gapMm] of [
      [6, 0.5],
      [9, 2],
      [3, 0],
    ] as const) {
      const count = closingCount(ring, { diameterMm, gapMm });
      expect(gapOf(ring, count, diameterMm)).toBeGreaterThanOrEqual(gapMm - 1e-9);
      expect(gapOf(ring, count + 1, diameterMm)).toBeLessThan(gapMm + diameterMm * 0.05);
      expect(diameterFor(ring, count, gapMm)).toBeCloseTo(chordOf(ring, count) - gapMm, 9);
    }
  });

  test("counts near a wish, nearest first, all of the multiple, none that overlaps", () => {
    const near = nearestCounts(discTop(60).ring(40), { diameterMm: 6, gapMm: 0.5, multipleOf: 4 }, 37);
    expect(near.map(({ count }) => count)).toEqual([36, 40, 32, 28]);
    for (const { gapMm } of near) expect(gapMm).toBeGreaterThanOrEqual(0);
    expect(nearestCounts(discTop(60).ring(40), { diameterMm: 6, gapMm: 0 }, 90)[0]!.count).toBe(41);
  });

  test("round a line too narrow for two abreast the far side is near too", () => {
    const lid = squareTop(96.58, 60);
    // Neighbours leave a hair, and yet the two long sides are a millimetre apart.
    expect(gapOf(lid.ring(0.5), 56, 1)).toBeCloseTo(0, 9);
    const count = closingCount(lid.ring(0.5), { diameterMm: 1, gapMm: 0.5 });
    expect(gapOf(lid.ring(0.5), count, 1)).toBeGreaterThanOrEqual(0.5);
    expect(chordOf(boxWall(96, 1, 20).ring(5), 20)).toBeGreaterThan(4);
  });

  test("too small for two, or for one of its multiple: one, or none", () => {
    expect(closingCount(discTop(60).ring(1), { diameterMm: 6, gapMm: 0 })).toBe(1);
    expect(closingCount(discTop(60).ring(1), { diameterMm: 6, gapMm: 0, multipleOf: 4 })).toBe(0);
    expect([leastCommon(4, 6), leastCommon(1, 7), leastCommon(8, 2)]).toEqual([12, 7, 8]);
  });
});
