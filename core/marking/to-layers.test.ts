/** Rows as the planner takes them: how many, how large, how high, how much of their place. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "../catalogue/catalogue";
import { materialId, productId, useId } from "../catalogue/ids";
import { marksAmount } from "../film/amount";
import { planPiece } from "../coating/planner/plan-piece";
import { parsePiece } from "../formats/parse-piece";
import { capVolume, discArea } from "../piece/areas";
import { MOST_LAYERS } from "../piece/piece";
import type { Layer, Piece } from "../piece/piece";
import type { Row } from "../piece/pattern";
import { changedCounts } from "./changed-counts";
import { solvePattern } from "./solve";
import { withPatternLayers } from "./solve-piece";
import { discTop } from "./surface";
import { layersOfPattern } from "./to-layers";

const row = (id: string, more: Partial<Row> = {}): Row => ({ id, kind: "dots", diameterMm: 4, colours: ["#ffffff"], ...more });
const layersOf = (rows: readonly Row[]) => layersOfPattern(discTop(80), solvePattern(discTop(80), { rows }), "top", discArea(160), CATALOGUE);

describe("layers of rows", () => {
  test("rows alike in paint, colour and size are one layer that names them all; another size or colour is another", () => {
    const layers = layersOf([
      row("a", { at: { radiusMm: 20 }, count: 8 }),
      row("b", { at: { radiusMm: 40 }, count: 16 }),
      row("c", { at: { radiusMm: 60 }, count: 8, diameterMm: 6 }),
    ]);
    expect(layers.map(({ marks, rows }) => [marks!.count, marks!.diameterMm, rows!.map(({ id }) => id)])).toEqual([
      [24, 4, ["a", "b"]],
      [8, 6, ["c"]],
    ]);
    expect(
      layersOf([row("a", { at: { radiusMm: 20 }, count: 8, medium: productId("heavy-body-acrylic") }), row("b", { at: { radiusMm: 40 }, count: 16 })]),
    ).toHaveLength(2);
  });

  test("colours in turn are a layer each, of half the marks", () => {
    const layers = layersOf([row("a", { at: { radiusMm: 30 }, count: 20, colours: ["#ffffff", "#000000"] })]);
    expect(layers.map(({ colour, marks }) => [colour, marks!.count])).toEqual([
      ["#ffffff", 10],
      ["#000000", 10],
    ]);
  });

  test("shrinking dots: the paint of all of them, as high as the largest, which is the last to be dry", () => {
    const rows = [row("a", { kind: "walk", at: { radiusMm: 30 }, count: 6, steps: 4, lastMm: 1, diameterMm: 5 })];
    const [layer] = layersOf(rows);
    const sizes = solvePattern(discTop(80), { rows }).rows[0]!.marks.map(({ spots }) => spots[0]!.diameterMm);
    const share = 0.5 / 4;
    const truly = sizes.reduce((sum, mm) => sum + capVolume(mm, mm * share), 0);
    expect(layer!.marks).toMatchObject({ count: 24, heightMm: 0.63 });
    expect((capVolume(layer!.marks!.diameterMm, layer!.marks!.heightMm!) * 24) / truly).toBeCloseTo(1, 1);
  });

  test("stripes of one colour are one layer, with the share of the place they take", () => {
    const bands = [row("a", { kind: "band", at: { radiusMm: 30 }, diameterMm: 6 }), row("b", { kind: "band", at: { radiusMm: 60 }, diameterMm: 4 })];
    const [layer, ...more] = layersOf(bands);
    expect(more).toEqual([]);
    expect(layer).toMatchObject({ technique: "bands", rows: [{ id: "a" }, { id: "b" }] });
    expect(layer!.coverage).toBeCloseTo((2 * Math.PI * (30 * 6 + 60 * 4)) / discArea(160), 3);
    expect(layersOf([...bands, row("c", { kind: "line", at: { radiusMm: 70 }, diameterMm: 1 })]).map(({ technique }) => technique)).toEqual([
      "bands",
      "outline",
    ]);
  });

  test("top dots come last, and say that they lie on others", () => {
    const layers = layersOf([row("t", { kind: "top-dots", diameterMm: 1.5, on: "a" }), row("a", { at: { radiusMm: 30 }, count: 12 })].reverse());
    expect(layers.map(({ onTop }) => onTop ?? false)).toEqual([false, true]);
  });

  test("a row that is not laid is no layer", () => expect(layersOf([row("a", { at: { radiusMm: 10 }, count: 90 })])).toEqual([]));
});

const STONE: Piece = {
  format: "nook-coat/piece",
  version: 1,
  name: "Stone",
  material: materialId("stone-smooth"),
  form: { kind: "pebble", lengthMm: 110, widthMm: 90, thicknessMm: 35 },
  uses: [useId("handled")],
  decoration: { baseColour: "#1f3a4d" },
};
const on = (rows: readonly Row[], decoration: Piece["decoration"] = {}): Piece =>
  withPatternLayers({ ...STONE, decoration: { ...STONE.decoration, ...decoration, patterns: [{ zone: "top", rows }] } }, CATALOGUE);
const own = (piece: Piece): readonly Layer[] => piece.decoration!.layers!.filter(({ rows }) => !rows);

describe("beside what is said by hand", () => {
  test("marks with a number of their own stay; what was only a kind gives way to rows of its kin in the same place", () => {
    const said: Layer = { technique: "dots", zone: "top", marks: { count: 7, diameterMm: 3 } };
    expect(own(on([row("a")], { layers: [said] }))).toEqual([said]);
    expect(own(on([row("a")], { layers: [{ technique: "swipes", zone: "top" }] }))).toEqual([]);
    expect(own(on([row("a")], { layers: [{ technique: "dots", zone: "back" }] }))).toHaveLength(1);
    expect(own(on([row("a")], { layers: [{ technique: "lettering", zone: "top" }] }))).toHaveLength(1);
  });

  test("colours and kinds of the piece follow from its rows", () => {
    expect(on([row("a", { colours: ["#d9822b"] })]).decoration).toMatchObject({ techniques: ["dots"], colours: ["#d9822b"] });
  });

  test("a place that is not there, or has to stay bare, takes no rows and loses none", () => {
    const back = withPatternLayers({ ...STONE, decoration: { baseColour: "#1f3a4d", patterns: [{ zone: "lid", rows: [row("a")] }] } }, CATALOGUE);
    expect(back.decoration!.layers ?? []).toEqual([]);
    expect(back.decoration!.patterns).toHaveLength(1);
  });

  test("more sizes than a plan has room for are put together by their colour: the file may be kept", () => {
    const many = Array.from({ length: 60 }, (_unused, k) => row(`r${k}`, { diameterMm: 0.3 + k / 100, apartMm: 0, colours: ["#ffffff", "#d9822b"] }));
    const piece = on(many);
    expect(piece.decoration!.layers!.length).toBeLessThanOrEqual(MOST_LAYERS);
    const laid = solvePattern(discTop(45), { rows: many }).rows.filter(({ refused }) => !refused);
    expect(laid.length).toBeGreaterThan(30);
    expect(parsePiece(piece, CATALOGUE).ok).toBe(true);
    expect(piece.decoration!.layers!.reduce((sum, { rows }) => sum + (rows?.length ?? 0), 0)).toBeGreaterThan(60);
  });
});

test("rows of one colour are set from one puddle: what stays in the palette is lost once", () => {
  const piece = on([row("a", { at: { radiusMm: 15 }, count: 8 }), row("b", { at: { radiusMm: 30 }, count: 8, diameterMm: 5 })]);
  const steps = planPiece(piece, CATALOGUE)
    .candidates[0]!.zones.find(({ zone }) => zone === "top")!
    .steps.filter(({ rows }) => rows);
  const alone = (k: number) => marksAmount(steps[k]!.marks!, 1, 1, steps[k]!.thinning!.percent).jarMl;
  expect(steps).toHaveLength(2);
  expect(steps[0]!.jarMl).toBeCloseTo(alone(0), 9);
  expect(steps[1]!.jarMl!).toBeLessThan(alone(1) / 2);
});

const POT: Piece = {
  format: "nook-coat/piece",
  version: 1,
  name: "Herb pot",
  material: materialId("terracotta"),
  form: { kind: "frustum", topDiameterMm: 203, bottomDiameterMm: 140, heightMm: 190 },
  uses: [useId("planter")],
  decoration: { baseColour: "#1f3a4d", techniques: ["bands", "dots"], colours: ["#f4efe2"] },
};

describe("into the plan", () => {
  const marked = (form: Piece["form"] = POT.form): Piece =>
    withPatternLayers(
      {
        ...POT,
        form,
        decoration: {
          ...POT.decoration,
          patterns: [
            {
              zone: "outside",
              rows: [
                row("a", { at: { insetMm: 30 }, multipleOf: 8 }),
                row("b", { at: { insetMm: 60 }, count: 24, diameterMm: 6, colours: ["#d9822b"], toolName: "5 (blue set)" }),
                row("t", { kind: "top-dots", diameterMm: 2, on: "b" }),
                row("s", { kind: "swipes", at: { insetMm: 90 }, count: 16, lengthMm: 12 }),
              ],
            },
          ],
        },
      },
      CATALOGUE,
    );

  test("rows are layers with their real number, size, colour and tool; guessed dots give way, bands stay", () => {
    const layers = marked().decoration!.layers!;
    expect(layers.map(({ technique, onTop }) => (onTop ? "top" : technique))).toEqual(["bands", "dots", "dots", "swipes", "top"]);
    expect(layers.find(({ rows }) => rows?.[0]!.id === "b")).toMatchObject({
      marks: { count: 24, diameterMm: 6 },
      colour: "#d9822b",
      rows: [{ count: 24, tool: "5 (blue set)" }],
    });
    expect(parsePiece(marked(), CATALOGUE).ok).toBe(true);
  });

  test("worked out again it is the very same piece; another size is another count; without rows nothing of it is left", () => {
    const piece = marked();
    expect(withPatternLayers(piece, CATALOGUE)).toBe(piece);
    const count = (one: Piece) => one.decoration!.layers!.find(({ rows }) => rows?.[0]!.id === "a")!.marks!.count;
    const smaller = marked({ kind: "frustum", topDiameterMm: 150, bottomDiameterMm: 100, heightMm: 190 });
    expect(count(smaller)).toBeLessThan(count(piece));
    const gone = withPatternLayers({ ...piece, decoration: { ...piece.decoration, patterns: [] } }, CATALOGUE);
    expect(gone.decoration!.layers!.some(({ rows }) => rows)).toBe(false);
  });

  test("another size says which rows count anew, and undone it says so back; what was said anew is no news", () => {
    const [piece, smaller] = [marked(), marked({ kind: "frustum", topDiameterMm: 150, bottomDiameterMm: 100, heightMm: 190 })];
    const changed = changedCounts(piece, smaller);
    const count = (one: Piece, id: string) => one.decoration!.layers!.find(({ rows }) => rows?.some((each) => each.id === id))!.marks!.count;
    expect(changed).toEqual([{ zone: "outside", row: "a", name: "Dots of 4 mm", before: count(piece, "a"), after: count(smaller, "a") }]);
    expect(changedCounts(smaller, piece)).toEqual(changed.map(({ before, after, ...one }) => ({ ...one, before: after, after: before })));
    // A rim too low for the last rows: they go no more.
    const low = marked({ kind: "frustum", topDiameterMm: 203, bottomDiameterMm: 140, heightMm: 50 });
    expect(
      changedCounts(piece, low)
        .filter(({ after }) => after === 0)
        .map(({ row }) => row),
    ).toContain("s");
    const [pattern] = piece.decoration!.patterns!;
    const said = { ...pattern!, rows: pattern!.rows.map((one) => (one.id === "a" ? { ...one, count: 8 } : one)) };
    expect(changedCounts(piece, withPatternLayers({ ...piece, decoration: { ...piece.decoration, patterns: [said] } }, CATALOGUE))).toEqual([]);
  });

  test("the plan sets those marks: their paint, their time, and top dots only when the dots are dry through", () => {
    const { candidates } = planPiece(marked(), CATALOGUE);
    const steps = candidates[0]!.zones.find(({ zone }) => zone === "outside")!.steps;
    const [b, top] = [steps.find(({ rows }) => rows?.[0]!.id === "b")!, steps.find(({ role }) => role === "top-dot")!];
    expect(b.marks).toMatchObject({ count: 24, diameterMm: 6 });
    expect(b.jarMl).toBeGreaterThan(0);
    expect(steps.indexOf(top)).toBeGreaterThan(steps.indexOf(b));
    expect(top.waitBefore).toMatchObject({ until: "dry-through" });
    expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
  });
});
