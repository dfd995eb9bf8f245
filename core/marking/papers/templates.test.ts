/** What each template shows, measured on the drawing itself. */
import { describe, expect, test } from "@jest/globals";
import type { Row } from "../../piece/pattern";
import { solvePattern } from "../solve";
import { boxWall, bowlWall, discTop, domeTop, pebbleTop, squareTop, taperedWall, unevenTop } from "../surface";
import type { MarkingSurface } from "../surface";
import type { Drawing, Shape } from "./sheet";
import { TEMPLATE_KINDS, TEMPLATES, templateOf } from "./templates";
import type { TemplateKind } from "./templates";

const WHITE = ["#ffffff"];
const draw = (kind: TemplateKind, surface: MarkingSurface, rows: readonly Row[] = [], slices = 8): Drawing =>
  templateOf(kind).draw({ surface, solved: rows.length > 0 ? solvePattern(surface, { rows }) : null, slices, title: "T" });
const inGroup = ({ shapes }: Drawing, group: string) =>
  shapes.filter((shape): shape is Extract<Shape, { kind: "path" }> => shape.kind === "path" && shape.group === group);
const texts = ({ shapes }: Drawing) => shapes.flatMap((shape) => (shape.kind === "text" ? [shape.text] : []));
/** Ends of a straight line. */
const ends = (d: string) => d.match(/-?[\d.]+/g)!.map(Number) as [number, number, number, number];

test("each kind has its template, and each surface at least three that fit it", () => {
  expect(TEMPLATES.map(({ id }) => id)).toEqual([...TEMPLATE_KINDS]);
  for (const surface of [discTop(50), domeTop(40, 20), pebbleTop(90, 60, 30), squareTop(90, 60), unevenTop([40, 42, 50, 44], 30), taperedWall(90, 60, 80)])
    expect(TEMPLATES.filter(({ fits }) => fits(surface)).length).toBeGreaterThanOrEqual(3);
  // What does not lie flat is not wrapped.
  expect(templateOf("wrap").fits(bowlWall(80, 100))).toBe(false);
  expect(templateOf("oval").fits(discTop(50))).toBe(false);
});

test("places kept free stand on every sheet they lie on, at their size", () => {
  const onTop = [{ count: 12, at: { radiusMm: 40 }, diameterMm: 9 }] as const;
  for (const kind of ["slices", "rings", "dial", "marks"] as const) {
    const kept = inGroup(templateOf(kind).draw({ surface: discTop(50), solved: null, slices: 8, title: "T", keepOuts: onTop }), "kept-free");
    expect(kept).toHaveLength(12);
    expect(ends(kept[0]!.d).slice(0, 2)).toEqual([-4.5, -40]);
  }
  const wall = [{ count: 2, at: { heightMm: 30 }, diameterMm: 12 }] as const;
  expect(inGroup(templateOf("wrap").draw({ surface: taperedWall(90, 60, 80), solved: null, slices: 8, title: "T", keepOuts: wall }), "kept-free")).toHaveLength(
    2,
  );
});

describe("tops", () => {
  test("slices of a round top are at even angles, and part an oval's edge by length", () => {
    const angles = inGroup(draw("slices", discTop(50), [], 12), "slices").map(({ d }) => {
      const [, , x, y] = ends(d);
      return Math.round((Math.atan2(x, -y) * 180) / Math.PI);
    });
    expect(angles.slice(0, 4)).toEqual([0, 30, 60, 90]);
    const pebble = pebbleTop(120, 60, 30);
    const edge = pebble.ring(pebble.to);
    const spokes = inGroup(draw("slices", pebble, [], 8), "slices").map(({ d }) => ends(d).slice(2));
    spokes.forEach(([x, y], k) => expect([x, -y!].map((mm) => Math.round(mm! * 100) + 0)).toEqual(edge.at(k / 8).flat.map((mm) => Math.round(mm * 100) + 0)));
  });

  test("rings are those of the rows, told by their radius; without rows one each centimetre", () => {
    const rows: readonly Row[] = [12, 23.5].map((radiusMm, k) => ({ id: `r${k}`, kind: "dots", diameterMm: 3, colours: WHITE, at: { radiusMm } }));
    expect(texts(draw("rings", discTop(50), rows))).toEqual(["12", "23.5"]);
    expect(texts(draw("rings", discTop(52)))).toEqual(["10", "20", "30", "40", "50"]);
    expect(draw("rings", domeTop(40, 20)).note).toContain("compass numbers");
  });

  test("a dial has twelve hours by angle, or sixty minutes of which twelve are hours, also on a square face", () => {
    for (const face of [discTop(100), squareTop(200, 140)]) {
      const hours = inGroup(draw("dial", face, [], 12), "hours");
      expect(hours).toHaveLength(12);
      const three = ends(hours[3]!.d);
      expect(Math.abs(three[3])).toBeLessThan(1);
      expect(inGroup(draw("dial", face, [], 60), "minutes")).toHaveLength(48);
    }
    expect(texts(draw("dial", discTop(100)))).toEqual(["12", "1", "2", "3", "4", "5", "6", "7", "8", "9", "10", "11"]);
  });

  test("the S is two half circles, each from the middle to the edge", () => {
    const [curve] = inGroup(draw("s-curve", discTop(60)), "s-curve");
    expect(curve!.d).toBe("M0 -60A30 30 0 0 1 0 0A30 30 0 0 0 0 60");
    expect(draw("s-curve", discTop(60)).note).toContain("30 mm, from the middle of each half");
  });

  test("all marks: as many circles as dots, swipes by their edge, bands by theirs", () => {
    const rows: readonly Row[] = [
      { id: "a", kind: "dots", diameterMm: 3, colours: WHITE, at: { radiusMm: 15 }, count: 12 },
      { id: "b", kind: "swipes", diameterMm: 3, lengthMm: 9, colours: WHITE, at: { radiusMm: 25 }, count: 8 },
      { id: "c", kind: "band", diameterMm: 4, colours: WHITE, at: { radiusMm: 44 } },
    ];
    const one = draw("marks", discTop(60), rows);
    expect([inGroup(one, "row-a").length, inGroup(one, "row-b").length, inGroup(one, "bands").length]).toEqual([12, 8, 2]);
    expect(inGroup(one, "row-b").every(({ d }) => !d.includes("A") && d.endsWith("Z"))).toBe(true);
  });

  test("an uneven stone keeps its own outline", () => {
    const [edge] = inGroup(draw("rings", unevenTop([40, 42, 50, 44], 30)), "edge");
    expect(edge!.d).not.toContain("A");
    expect(edge!.d.split("L").length).toBeGreaterThan(100);
  });

  test("every template of a top has its notch, to find its place again", () => {
    for (const kind of ["slices", "rings", "s-curve", "marks"] as const) expect(inGroup(draw(kind, discTop(50)), "notch")).toHaveLength(1);
  });
});

describe("walls", () => {
  const POT = taperedWall(140, 203, 190);
  const rows: readonly Row[] = [
    { id: "a", kind: "dots", diameterMm: 6, colours: WHITE, at: { heightMm: 60 }, count: 24 },
    { id: "b", kind: "band", diameterMm: 10, colours: WHITE, at: { heightMm: 120 } },
  ];

  test("the height gauge marks upright heights, bands by both edges", () => {
    const heights = inGroup(draw("height-gauge", POT, rows), "heights").map(({ d }) => -ends(d)[1]);
    const slant = Math.hypot(190, 31.5) / 190;
    const band = POT.atHeight(120)!;
    expect(heights.map((mm) => Math.round(mm * 100))).toEqual([60, (band - 5) / slant, 120, (band + 5) / slant].map((mm) => Math.round(mm * 100)));
  });

  test("dots on the wrap stand as far apart as on the pot, and on their row", () => {
    const centres = inGroup(draw("wrap", POT, rows), "row-a").map(({ d }) => {
      const [x, y] = d.match(/-?[\d.]+/g)!.map(Number) as [number, number];
      return [x + 3, y] as const;
    });
    expect(centres).toHaveLength(24);
    const [a, b] = [centres[10]!, centres[11]!];
    const arc = POT.ring(POT.atHeight(60)!).lengthMm / 24;
    expect(Math.hypot(a[0] - b[0], a[1] - b[1])).toBeGreaterThan(arc * 0.995);
    expect(Math.hypot(a[0] - b[0], a[1] - b[1])).toBeLessThanOrEqual(arc + 1e-3);
  });

  test("the band stencil has the edges of the bands, and nothing else to cut into", () => {
    const one = draw("bands", POT, rows);
    expect([inGroup(one, "bands").length, inGroup(one, "rows").length, inGroup(one, "row-a").length]).toEqual([2, 0, 0]);
  });

  test("an even wall is a strip as long as it is round; so is the wall of a box", () => {
    for (const [surface, around] of [
      [taperedWall(80, 80, 90), 80 * Math.PI],
      [boxWall(100, 60, 40), 320],
    ] as const) {
      const [left, , right] = draw("wrap", surface).box;
      expect(right - left - 8).toBeCloseTo(around, 6);
    }
  });
});

test("the practice sheet says each row, and how many of it go on the paper", () => {
  const rows: readonly Row[] = [
    { id: "a", kind: "dots", diameterMm: 6, colours: WHITE, at: { radiusMm: 40 }, count: 24 },
    { id: "b", kind: "petals", diameterMm: 4, steps: 2, colours: WHITE, at: { radiusMm: 20 }, count: 4 },
    { id: "c", kind: "band", diameterMm: 4, colours: WHITE, at: { radiusMm: 55 } },
  ];
  const one = draw("practice", discTop(60), rows);
  expect(texts(one)[0]).toMatch(/^Dots of 6 mm: 24 in the row, set \d+ here$/);
  expect(texts(one)).toHaveLength(2);
  expect(inGroup(one, "row-b").length % 5).toBe(0);
  const [left, , right] = one.box;
  for (const { d } of inGroup(one, "row-a")) expect(ends(d)[0]).toBeGreaterThanOrEqual(left);
  expect(right - left).toBeLessThanOrEqual(186);
});
