/** What rows promise: where they lie, what is refused, and what is said of it. */
import { describe, expect, test } from "@jest/globals";
import type { Row } from "../piece/pattern";
import { roomOffer } from "./room-left";
import { shrinking } from "./row-kinds";
import { solvePattern } from "./solve";
import { discTop, taperedWall, unevenTop } from "./surface";

const row = (id: string, more: Partial<Row> = {}): Row => ({ id, kind: "dots", diameterMm: 4, colours: ["#ffffff"], ...more });

describe("rows", () => {
  test("one that nestles has as many as the row below, turned by half a step, and lies nearer than one that does not", () => {
    const solved = solvePattern(discTop(80), { rows: [row("a", { at: { radiusMm: 30 }, count: 36 }), row("b", { seat: "nestle" })] });
    const loose = solvePattern(discTop(80), { rows: [row("a", { at: { radiusMm: 30 }, count: 36 }), row("b")] });
    const [a, b] = solved.rows;
    expect([b!.places, b!.start]).toEqual([36, 0.5 / 36]);
    expect(b!.level! - a!.level!).toBeLessThan(loose.rows[1]!.level! - 30);
    expect(b!.level!).toBeGreaterThan(a!.level!);
  });

  test("marks between stand on the same ring, and are refused by name where they would touch, with the size that goes", () => {
    const base = row("a", { at: { radiusMm: 30 }, count: 20 });
    expect(solvePattern(discTop(80), { rows: [base, row("b", { seat: "between" })] }).rows[1]).toMatchObject({ level: 30, places: 20, refused: false });
    const tight = solvePattern(discTop(80), { rows: [row("a", { at: { radiusMm: 30 }, count: 30 }), row("b", { seat: "between", diameterMm: 3 })] });
    expect(tight.rows[1]!.refused).toBe(true);
    expect(tight.findings[0]).toMatchObject({ code: "would-touch", row: "b", fix: { set: { diameterMm: 2 } } });
  });

  test("a count that overlaps is refused, with the counts that close and the size that would", () => {
    const { rows, findings } = solvePattern(discTop(80), { rows: [row("a", { at: { radiusMm: 20 }, count: 40 })] });
    expect(rows[0]).toMatchObject({ refused: true, count: 0, marks: [] });
    expect(findings[0]!.message).toMatch(/^40 of 4 mm do not close here\. 31 close just touching; 30 with a hair between/);
    const fixed = solvePattern(discTop(80), { rows: [row("a", { at: { radiusMm: 20 }, ...findings[0]!.fix!.set })] });
    expect(fixed.rows[0]!.refused).toBe(false);
  });

  test("a wished count is laid as near as it closes, farther out where it must", () => {
    const { rows } = solvePattern(discTop(80), { rows: [row("a", { count: 24 })] });
    expect(rows[0]!.level).toBeCloseTo(4 / (2 * Math.sin(Math.PI / 24)), 6);
  });

  test("what overhangs is refused with what the room is good for, and what is left is offered, or rest", () => {
    const solved = solvePattern(discTop(20), { rows: [row("a", { kind: "centre", diameterMm: 20 }), row("b", { diameterMm: 12 })] });
    expect(solved.rows[1]!.refused).toBe(true);
    expect(solved.findings[0]).toMatchObject({ code: "over-the-edge", fix: { set: { diameterMm: 9.5 } } });
    expect(roomOffer({ leftMm: 4.2 }, [row("a")])).toMatchObject({ diameterMm: 3 });
    expect(roomOffer({ leftMm: 1.2 }, [row("a")])).toMatchObject({ diameterMm: null, text: expect.stringContaining("rest") as unknown });
  });

  test("colours in turn: where the wished count is no multiple, the seam is told", () => {
    const two = row("a", { at: { radiusMm: 30 }, count: 21, colours: ["#ffffff", "#000000"] });
    expect(solvePattern(discTop(80), { rows: [two] }).findings[0]).toMatchObject({ code: "uneven-colours", refused: false, fix: { set: { count: 20 } } });
  });

  test("a multiple that leaves wide gaps tells of the next one that nobody sees is short", () => {
    const { rows, findings } = solvePattern(discTop(80), { rows: [row("a", { at: { radiusMm: 16.4 }, multipleOf: 12, gapMm: 0.3 })] });
    expect(rows[0]!.places).toBe(12);
    expect(findings[0]).toMatchObject({ code: "gap-wanders", refused: false, fix: { set: { count: 24 } } });
  });

  test("what another count would leave is told for the very place the row lies at", () => {
    const [ring] = solvePattern(discTop(80), { rows: [row("a", { at: { radiusMm: 30 }, count: 20 })] }).rows;
    expect(ring!.gapWith(30)).toBeCloseTo(60 * Math.sin(Math.PI / 30) - 4, 9);
    expect(ring!.nearest().every(({ count, gapMm }) => Math.abs(ring!.gapWith(count) - gapMm) < 1e-9)).toBe(true);
  });

  test("top dots lie on dots that are larger, all or every second, and not on top of each other's ring", () => {
    const base = row("a", { at: { radiusMm: 30 }, count: 20, diameterMm: 6 });
    const top = row("t", { kind: "top-dots", diameterMm: 2, on: "a", towards: "rim" });
    const [, all] = solvePattern(discTop(80), { rows: [base, top] }).rows;
    expect(all!.marks).toHaveLength(20);
    for (const { spots } of all!.marks) expect(Math.hypot(...spots[0]!.flat)).toBeGreaterThan(30);
    expect(solvePattern(discTop(80), { rows: [base, { ...top, everySecond: true }] }).rows[1]!.marks).toHaveLength(10);
    expect(solvePattern(discTop(80), { rows: [base, { ...top, diameterMm: 6 }] }).findings[0]).toMatchObject({ code: "larger-than-its-dot" });
    expect(solvePattern(discTop(80), { rows: [top] }).findings[0]).toMatchObject({ code: "nothing-to-sit-on" });
  });

  test("on a wall there is no middle, on a top no height: said, not guessed", () => {
    expect(solvePattern(taperedWall(80, 80, 90), { rows: [row("a", { kind: "centre" })] }).findings[0]).toMatchObject({ code: "not-on-this-body" });
    expect(solvePattern(discTop(50), { rows: [row("a", { at: { heightMm: 20 } })] }).findings[0]).toMatchObject({ code: "not-on-this-body" });
  });

  test("on an uneven stone the wide side is named, with how much larger a dot may be there", () => {
    const stone = unevenTop([40, 40, 40, 52, 52, 52, 40, 40], 30);
    const { rows } = solvePattern(stone, { rows: [row("a", { at: { radiusMm: 20 } }), row("b", { apartMm: 3 })] });
    expect(rows[1]!.wide!.towards).toBeGreaterThanOrEqual(4);
    expect(rows[1]!.wide!.towards).toBeLessThanOrEqual(8);
    expect(rows[1]!.wide!.largerMm).toBeGreaterThan(1);
    expect(solvePattern(discTop(50), { rows: [row("a", { at: { radiusMm: 20 } }), row("b")] }).rows[1]!.wide).toBeNull();
  });

  test("from the rim inward the first row lies at the rim, and what is left is left in the middle", () => {
    const { rows, leftMm } = solvePattern(discTop(50), { rows: [row("a"), row("b")], from: "rim", clearMm: 5 });
    expect(rows[0]!.level).toBeCloseTo(43, 6);
    expect(rows[1]!.level!).toBeLessThan(43);
    expect(leftMm).toBeCloseTo(rows[1]!.level! - 2, 6);
  });

  test("a series falls by one ratio: each touch leaves the same share", () => expect(shrinking(8, 2, 3)).toEqual([8, 4, 2]));
});
