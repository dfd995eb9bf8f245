/** Papers read by readers that know nothing of how they were written. */
import { describe, expect, test } from "@jest/globals";
import { parseSync } from "svgson";
import type { INode } from "svgson";
import { svgPathProperties } from "svg-path-properties";
import { getDocumentProxy } from "unpdf";
import type { Row } from "../../piece/pattern";
import { solvePattern } from "../solve";
import { discTop, pebbleTop, taperedWall } from "../surface";
import type { MarkingSurface } from "../surface";
import { BAR_MM, MARGIN_MM, nextScale, pagesOf } from "./pages";
import type { Page } from "./pages";
import { pdfOf } from "./pdf";
import { PAPERS } from "./sheet";
import type { PaperId } from "./sheet";
import { drawingSvg, pageSvg } from "./svg";
import { TEMPLATES, templateOf } from "./templates";
import type { TemplateKind } from "./templates";

const ROWS: readonly Row[] = [
  { id: "a", kind: "dots", diameterMm: 6, colours: ["#ffffff"], apartMm: 10, multipleOf: 4 },
  { id: "b", kind: "band", diameterMm: 9, colours: ["#ffffff"] },
  { id: "c", kind: "swipes", diameterMm: 4, colours: ["#ffffff"], lengthMm: 12, multipleOf: 4 },
];
const POT = taperedWall(140, 203, 190);
const DISC = discTop(60);
const PEBBLE = pebbleTop(120, 84, 30);

function pages(kind: TemplateKind, surface: MarkingSurface, paper: PaperId = "a4", scale = 1): readonly Page[] {
  const solved = solvePattern(surface, { rows: ROWS });
  return pagesOf(templateOf(kind).draw({ surface, solved, slices: 8, title: "Pot & <saucer>" }), paper, scale)!;
}

function everyNode(node: INode): readonly INode[] {
  return [node, ...node.children.flatMap(everyNode)];
}

const pathsIn = (svg: string, group: string) =>
  everyNode(parseSync(svg))
    .filter(({ attributes }) => attributes.id === group)
    .flatMap(everyNode)
    .flatMap(({ name, attributes }) => (name === "path" ? [attributes.d!] : []));
const lengthOf = (d: string) => new svgPathProperties(d).getTotalLength();

describe("SVG, read by another's reader", () => {
  test.each(["a4", "letter"] as const)("a page of %s is as large as the paper, and its bar is 100 mm", (paper) => {
    const svg = pageSvg(pages("slices", DISC, paper)[0]!);
    const { widthMm, heightMm } = PAPERS[paper];
    expect(parseSync(svg).attributes).toMatchObject({ width: `${widthMm}mm`, height: `${heightMm}mm`, viewBox: `0 0 ${widthMm} ${heightMm}` });
    expect(lengthOf(pathsIn(svg, "bar")[0]!)).toBeCloseTo(BAR_MM, 3);
  });

  test("the circle of a disc of 120 mm is 120π mm round, its slices 60 mm long", () => {
    const svg = pageSvg(pages("slices", DISC)[0]!);
    expect(lengthOf(pathsIn(svg, "edge")[0]!)).toBeCloseTo(120 * Math.PI, 1);
    expect(pathsIn(svg, "slices").map((d) => Math.round(lengthOf(d) * 1000))).toEqual(Array(8).fill(60_000));
  });

  test("the wrap of a tapered pot: rim and foot are as long as round the pot, its sides as the wall", () => {
    const [foot, rim, ...sides] = pathsIn(pageSvg(pages("wrap", POT)[0]!), "edge").map(lengthOf);
    expect(rim).toBeCloseTo(203 * Math.PI, 1);
    expect(foot).toBeCloseTo(140 * Math.PI, 1);
    for (const side of sides) expect(side).toBeCloseTo(Math.hypot(190, 31.5), 3);
  });

  test("an oval guide is an ellipse of its half axes, and rows come in groups of their own", () => {
    const svg = pageSvg(pages("oval", PEBBLE)[0]!);
    expect(pathsIn(svg, "edge")[0]).toContain("A60 42 0 1 1");
    expect(pathsIn(pageSvg(pages("marks", PEBBLE)[0]!), "row-a").length).toBeGreaterThan(8);
  });

  test("in one piece it is as large as what is drawn, each row in its own group", () => {
    const one = templateOf("wrap").draw({ surface: POT, solved: solvePattern(POT, { rows: ROWS }), slices: 8, title: "Pot" });
    const svg = drawingSvg(one);
    const { width, height } = parseSync(svg).attributes;
    expect([parseFloat(width!), parseFloat(height!)].map((mm) => Math.round(mm))).toEqual(
      [one.box[2] - one.box[0], one.box[3] - one.box[1]].map((mm) => Math.round(mm)),
    );
    for (const row of ["a", "c"]) expect(pathsIn(svg, `row-${row}`).length).toBeGreaterThan(8);
    expect(pathsIn(svg, "bands")).toHaveLength(2);
  });

  test("words with signs of markup in them stay words", () => {
    expect(everyNode(parseSync(pageSvg(pages("dial", DISC)[0]!))).some(({ value }) => value.includes("Pot &amp; &lt;saucer&gt;"))).toBe(true);
  });
});

describe("sheets that are joined", () => {
  test("a wrap too large for one sheet is on several that lie over one another, and nothing of it is on none", () => {
    const sheets = pages("wrap", POT);
    expect(sheets.length).toBeGreaterThan(3);
    const solved = solvePattern(POT, { rows: ROWS });
    const { box } = templateOf("wrap").draw({ surface: POT, solved, slices: 8, title: "" });
    for (let k = 0; k <= 40; k++)
      for (let m = 0; m <= 20; m++) {
        const [x, y] = [box[0] + ((box[2] - box[0]) * k) / 40, box[1] + ((box[3] - box[1]) * m) / 20];
        const seen = sheets.filter(
          ({ window: [left, top, w, h], shift: [dx, dy] }) =>
            x + dx >= left - 1e-6 && x + dx <= left + w + 1e-6 && y + dy >= top - 1e-6 && y + dy <= top + h + 1e-6,
        );
        expect(seen.length).toBeGreaterThan(0);
      }
  });

  test("what no one would join is refused", () =>
    expect(pagesOf(templateOf("slices").draw({ surface: discTop(1400), solved: null, slices: 8, title: "" }), "a4")).toBeNull());
});

test("a printer that draws 97 mm for 100 gets 3.09 % more the next time, and more again from there; one that fits to the page is told so", () => {
  expect(nextScale(97)).toBeCloseTo(1.0309, 4);
  expect(nextScale(99, 1.0309)).toBeCloseTo(1.0413, 4);
  expect(nextScale(70)).toBeNull();
  const svg = pageSvg(pages("slices", DISC, "a4", 1.0309)[0]!);
  expect(lengthOf(pathsIn(svg, "bar")[0]!)).toBeCloseTo(103.09, 2);
});

/** The reader wants a newer language than Node 20 has. */
if (!("transferToFixedLength" in ArrayBuffer.prototype))
  Object.defineProperty(ArrayBuffer.prototype, "transferToFixedLength", {
    value(this: ArrayBuffer, length = this.byteLength) {
      return this.slice(0, length);
    },
  });

test("PDF, read by another's reader: the paper, the bar and the circle in points of 1/72 in", async () => {
  const sheets = pages("slices", DISC);
  const document = await getDocumentProxy(await pdfOf(sheets, "Slices"));
  expect(document.numPages).toBe(sheets.length);
  const page = await document.getPage(1);
  expect((page.view[2]! * 25.4) / 72).toBeCloseTo(210, 2);
  expect((page.view[3]! * 25.4) / 72).toBeCloseTo(297, 2);
  const { fnArray, argsArray } = await page.getOperatorList();
  // Where each path lies on the paper: by the transforms before it and the box of its own.
  let matrix = [1, 0, 0, 1, 0, 0];
  const kept: number[][] = [];
  const widths: number[] = [];
  const OPS = { save: 10, restore: 11, transform: 12, constructPath: 91 };
  fnArray.forEach((op: number, k: number) => {
    const args = argsArray[k] as unknown[];
    if (op === OPS.save) kept.push(matrix);
    if (op === OPS.restore) matrix = kept.pop()!;
    if (op === OPS.transform) {
      const [a, b, c, d, e, f] = args as [number, number, number, number, number, number];
      const [A, B, C, D, E, F] = matrix as [number, number, number, number, number, number];
      matrix = [A * a + C * b, B * a + D * b, A * c + C * d, B * c + D * d, A * e + C * f + E, B * e + D * f + F];
    }
    if (op === OPS.constructPath) {
      const box = args[2] as ArrayLike<number>;
      widths.push(((box[2]! - box[0]!) * Math.abs(matrix[0]!) * 25.4) / 72);
    }
  });
  expect(widths.some((mm) => Math.abs(mm - 120) < 0.01)).toBe(true);
  expect(widths.some((mm) => Math.abs(mm - BAR_MM) < 0.01)).toBe(true);
});

test.each(TEMPLATES)("$name stays on its paper, for every surface it fits", ({ fits, draw }) => {
  for (const surface of [POT, DISC, PEBBLE].filter(fits)) {
    const sheets = pagesOf(draw({ surface, solved: solvePattern(surface, { rows: ROWS }), slices: 12, title: "T" }), "letter")!;
    for (const { window, widthMm, heightMm } of sheets) {
      expect(window[0]).toBeGreaterThanOrEqual(MARGIN_MM);
      expect(window[0] + window[2]).toBeLessThanOrEqual(widthMm - MARGIN_MM);
      expect(window[1] + window[3]).toBeLessThanOrEqual(heightMm - MARGIN_MM);
    }
  }
});
