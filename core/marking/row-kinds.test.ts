/** Each kind of row as a painter sets it: what stands where, in which order, how large. */
import { describe, expect, test } from "@jest/globals";
import type { Row, RowKind } from "../piece/pattern";
import { ROW_KINDS } from "../piece/pattern";
import { ROW_KIND_DEFINITIONS, rowKind } from "./row-kinds";
import type { UnitMark } from "./row-kinds";
import { solvePattern } from "./solve";
import { discTop, taperedWall } from "./surface";
import { swipeOutline } from "./swipe-outline";

const unit = (kind: RowKind, more: Partial<Row> = {}, upright = false): readonly UnitMark[] =>
  rowKind(kind).unit!({ id: "a", kind, diameterMm: 4, gapMm: 0.5, colours: ["#ffffff"], ...more }, upright);
const heads = (marks: readonly UnitMark[]) => marks.map(([spot]) => spot!);
const gap = (a: UnitMark[number], b: UnitMark[number]) => Math.hypot(a.across - b.across, a.out - b.out) - (a.diameterMm + b.diameterMm) / 2;

test("every kind has its definition, once, in the order of the list", () => expect(ROW_KIND_DEFINITIONS.map(({ id }) => id)).toEqual([...ROW_KINDS]));

describe("series of one load", () => {
  test("walked out: each dot is smaller, each a gap from the last, all in one line", () => {
    const dots = heads(unit("walk", { steps: 5, lastMm: 1 }));
    expect(dots).toHaveLength(5);
    dots.slice(1).forEach((dot, k) => {
      expect(dot.diameterMm).toBeLessThan(dots[k]!.diameterMm);
      expect(gap(dot, dots[k]!)).toBeCloseTo(0.5, 9);
      expect(dot.across).toBe(0);
      expect(dot.out).toBeGreaterThan(dots[k]!.out);
    });
    expect(dots.at(-1)!.diameterMm).toBeCloseTo(1, 9);
  });

  test("walked in is the same the other way", () =>
    expect(heads(unit("walk", { runs: "in" })).map(({ out }) => -out + 0)).toEqual(heads(unit("walk")).map(({ out }) => out)));

  test("round a large dot none touches another, nor the large one", () => {
    const [large, ...small] = heads(unit("walk", { runs: "round", steps: 9, lastMm: 1.5, diameterMm: 8 }));
    expect(small).toHaveLength(9);
    for (const dot of small) expect(gap(dot, large!)).toBeGreaterThanOrEqual(0.5 - 1e-9);
    small.forEach((dot, k) => small.slice(k + 1).forEach((other) => expect(gap(dot, other)).toBeGreaterThanOrEqual(0.5 - 1e-9)));
  });

  test("a petal: the outer middle first, one side, then the other; both sides alike", () => {
    const [middle, ...sides] = heads(unit("petals", { steps: 3, lastMm: 1.5 }));
    expect(middle).toEqual({ across: 0, out: 0, diameterMm: 4 });
    const [right, left] = [sides.slice(0, 3), sides.slice(3)];
    expect(right.every(({ across }) => across > 0)).toBe(true);
    expect(left).toEqual(right.map((dot) => ({ ...dot, across: -dot.across })));
    expect(gap(right[0]!, middle!)).toBeCloseTo(0.5, 9);
    for (const [k, dot] of right.slice(1).entries()) {
      expect(dot.out).toBeLessThan(right[k]!.out);
      expect(gap(dot, right[k]!)).toBeCloseTo(0.5, 9);
    }
  });

  test("a pendant hangs: down on a wall, outward on a top", () => {
    expect(heads(unit("pendants", {}, true)).at(-1)!.out).toBeLessThan(0);
    expect(heads(unit("pendants")).at(-1)!.out).toBeGreaterThan(0);
  });
});

describe("swipes", () => {
  test("drawn out to a point as long as was said, outward or inward", () => {
    const [swipe] = unit("swipes", { lengthMm: 14 });
    expect(swipe!.at(-1)!.out).toBeCloseTo(14, 9);
    expect(swipe!.at(-1)!.diameterMm).toBeLessThan(0.2);
    expect(unit("swipes", { lengthMm: 14, runs: "in" })[0]!.at(-1)!.out).toBeCloseTo(-14, 9);
    for (const [k, spot] of swipe!.slice(1).entries()) expect(spot.diameterMm).toBeLessThan(swipe![k]!.diameterMm);
  });

  test("a bundle: the middle one, then one each side; their points meet, their heads do not touch", () => {
    const [middle, left, right] = unit("bundles", { lengthMm: 14 });
    const points = [middle, left, right].map((swipe) => swipe!.at(-1)!);
    for (const point of points) expect([point.across, point.out].map((mm) => Math.round(mm * 1e6) / 1e6 + 0)).toEqual([0, -14]);
    expect(gap(middle![0]!, left![0]!)).toBeGreaterThanOrEqual(0.5 - 1e-6);
    expect(right![0]!.across).toBeCloseTo(-left![0]!.across, 9);
  });

  test("a tail is tucked under the next dot, and clear of it", () => {
    const [row] = solvePattern(discTop(60), {
      rows: [{ id: "a", kind: "tails", diameterMm: 4, lengthMm: 8, colours: ["#ffffff"], at: { radiusMm: 40 } }],
    }).rows;
    expect(row!.gapMm!).toBeGreaterThanOrEqual(0.5 - 1e-9);
    // It reaches past where the next dot begins.
    const pitch = (2 * Math.PI * 40) / row!.places;
    expect(8).toBeGreaterThan(pitch - 2);
  });

  test("its edge is a closed line, round at the head, never wider than the head", () => {
    const outline = swipeOutline([0, 4, 8].map((x, k) => ({ flat: [x, 0] as const, diameterMm: [4, 2, 0.2][k]! })));
    expect(Math.min(...outline.map(([x]) => x))).toBeCloseTo(-2, 1);
    expect(Math.max(...outline.map(([x]) => x))).toBeCloseTo(8, 1);
    expect(Math.max(...outline.map(([, y]) => Math.abs(y)))).toBeLessThanOrEqual(2 + 1e-9);
    expect(outline.filter(([x]) => x < 0).length).toBeGreaterThan(6);
  });
});

describe("threes, bands and scatters", () => {
  test("three dots, each as far from the other two", () => {
    const [a, b, c] = heads(unit("triangles"));
    for (const [one, other] of [
      [a, b],
      [b, c],
      [a, c],
    ] as const)
      expect(gap(one!, other!)).toBeCloseTo(0.5, 9);
    expect(heads(unit("triangles", { runs: "in" }))[2]!.out).toBeCloseTo(-c!.out, 9);
  });

  test("a band takes its width, and what comes after lies clear of it", () => {
    const { rows } = solvePattern(taperedWall(90, 90, 100), {
      rows: [
        { id: "a", kind: "band", diameterMm: 12, colours: ["#ffffff"], at: { heightMm: 40 } },
        { id: "b", kind: "dots", diameterMm: 5, colours: ["#ffffff"] },
        { id: "c", kind: "dots", diameterMm: 5, colours: ["#ffffff"], at: { heightMm: 40 } },
      ],
    });
    expect(rows[1]!.level).toBeCloseTo(40 + 6 + 0.5 + 2.5, 9);
    // Marks may be set on a band: it is a field.
    expect(rows[2]!.refused).toBe(false);
  });

  test("a scatter is the same every time, its large dots first, none touching, and tells how many found no room", () => {
    const scatter: Row = { id: "s", kind: "scatter", diameterMm: 6, lastMm: 2, count: 40, colours: ["#ffffff"] };
    const [one] = solvePattern(discTop(60), { rows: [scatter] }).rows;
    const [again] = solvePattern(discTop(60), { rows: [scatter] }).rows;
    expect(again!.marks).toEqual(one!.marks);
    const sizes = one!.marks.map(({ spots }) => spots[0]!.diameterMm);
    expect([...sizes].sort((a, b) => b - a)).toEqual(sizes);
    const full = solvePattern(discTop(14), { rows: [scatter] });
    expect(full.findings[0]).toMatchObject({ code: "no-room", refused: false });
    expect(full.findings[0]!.message).toMatch(/^\d+ of the 40 find room; \d+ do not$/);
  });

  test("a middle is one dot, and no larger than its place", () => {
    const centre = (diameterMm: number) => solvePattern(discTop(20), { rows: [{ id: "a", kind: "centre", diameterMm, colours: ["#ffffff"] }] });
    expect(centre(10).rows[0]).toMatchObject({ count: 1, level: 0 });
    expect(centre(50).findings[0]).toMatchObject({ code: "over-the-edge" });
    expect(solvePattern(discTop(105, 75), { rows: [{ id: "a", kind: "centre", diameterMm: 5, colours: ["#ffffff"] }] }).rows[0]!.refused).toBe(true);
  });
});
