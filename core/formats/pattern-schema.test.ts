/** What of a pattern may stand in a file: as it is kept, by its place where it is not. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "../catalogue/catalogue";
import { withPatternLayers } from "../marking/solve-piece";
import type { Piece } from "../piece/piece";
import { parsePiece } from "./parse-piece";

const ROW = { id: "r1", kind: "dots", diameterMm: 4, colours: ["#f4efe2"] };
const piece = (patterns: unknown, more: object = {}) => ({
  format: "nook-coat/piece",
  version: 1,
  name: "Pebble",
  material: "stone-smooth",
  form: { kind: "pebble", lengthMm: 70, widthMm: 55, thicknessMm: 25 },
  uses: ["handled"],
  decoration: { patterns, ...more },
});
const fault = (document: unknown) => {
  const read = parsePiece(document, CATALOGUE);
  return read.ok ? null : read.problem.path;
};

describe("patterns of a piece", () => {
  test("every word a row may have is kept as it was", () => {
    const whole = {
      zone: "top",
      from: "rim",
      guides: 12,
      clearMm: 3,
      radiiMm: [30, 31, 33, 30],
      hand: "left",
      byEye: true,
      rows: [
        { ...ROW, tool: "abcdefgh", toolName: "4 (blue)", gapMm: 0.4, count: 24, multipleOf: 4, seat: "guides", at: { radiusMm: 12 }, medium: "craft-acrylic" },
        { ...ROW, id: "r2", kind: "walk", runs: "round", steps: 6, lastMm: 1, apartMm: 2, at: { insetMm: 4 } },
        { ...ROW, id: "r3", kind: "swipes", lengthMm: 9, seat: "nestle" },
        { ...ROW, id: "r4", kind: "top-dots", on: "r1", towards: "rim", everySecond: true, colours: ["#f4efe2", "#d9822b"] },
      ],
    };
    const read = parsePiece(piece([whole]), CATALOGUE);
    expect(read.ok && read.value.decoration!.patterns).toEqual([whole]);
  });

  test.each([
    [[{ zone: "top" }], "decoration.patterns.0.rows"],
    [[{ zone: "nowhere", rows: [] }], "decoration.patterns.0.zone"],
    [
      [
        { zone: "top", rows: [] },
        { zone: "top", rows: [] },
      ],
      "decoration.patterns.1",
    ],
    [[{ zone: "top", rows: [{ ...ROW, kind: "mandala" }] }], "decoration.patterns.0.rows.0.kind"],
    [[{ zone: "top", rows: [ROW, ROW] }], "decoration.patterns.0.rows.1"],
    [[{ zone: "top", rows: [{ ...ROW, diameterMm: 0 }] }], "decoration.patterns.0.rows.0.diameterMm"],
    [[{ zone: "top", rows: [{ ...ROW, count: 2.5 }] }], "decoration.patterns.0.rows.0.count"],
    [[{ zone: "top", rows: [{ ...ROW, colours: ["white"] }] }], "decoration.patterns.0.rows.0.colours.0"],
    [[{ zone: "top", rows: [{ ...ROW, at: { radiusMm: 3, heightMm: 4 } }] }], "decoration.patterns.0.rows.0.at"],
    [[{ zone: "top", rows: [{ ...ROW, id: "R 1" }] }], "decoration.patterns.0.rows.0.id"],
    [[{ zone: "top", rows: [{ ...ROW, everySecond: false }] }], "decoration.patterns.0.rows.0.everySecond"],
    [[{ zone: "top", rows: [], radiiMm: [1, 2, 3] }], "decoration.patterns.0.radiiMm"],
    [[{ zone: "top", rows: [], guides: 0 }], "decoration.patterns.0.guides"],
    [[{ zone: "top", rows: Array.from({ length: 61 }, (_unused, k) => ({ ...ROW, id: `r${k}` })) }], "decoration.patterns.0.rows"],
  ])("turned away by its place: %#", (patterns, path) => expect(fault(piece(patterns))).toBe(path));

  test("layers that rows made say which rows, and are read again", () => {
    const made = withPatternLayers(piece([{ zone: "top", rows: [ROW, { ...ROW, id: "r2", kind: "band" }] }]) as unknown as Piece, CATALOGUE);
    expect(fault(made)).toBeNull();
    const [layer] = made.decoration!.layers!;
    expect(fault({ ...made, decoration: { ...made.decoration, layers: [{ ...layer, rows: [] }] } })).toBe("decoration.layers.0.rows");
    expect(fault({ ...made, decoration: { ...made.decoration, layers: [{ ...layer, rows: [{ id: "r1" }] }] } })).toBe("decoration.layers.0.rows.0.name");
  });
});
