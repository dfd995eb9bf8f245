import type { Row } from "../piece/pattern";
import { scaledRow, sizeOf } from "./kept-pattern";
import { solvePattern } from "./solve";
import type { MarkingSurface } from "./surface";

type Draft = Omit<Row, "id" | "colours"> & {
  /** Which of the colours it is set in, from 0; several are taken in turn. */
  readonly in: readonly number[];
};

/** A pattern of Tern Point: rows for a top, and for a wall where it goes there. Sizes are those of a place 90 mm across. */
export interface PatternTemplate {
  readonly id: string;
  readonly name: string;
  readonly hint: string;
  readonly guides: number;
  readonly top: readonly Draft[] | null;
  /** Laid from the rim down. */
  readonly wall: readonly Draft[] | null;
}

/** Where a pattern of Tern Point begins on a surface. */
export function beginsAt({ shape }: Pick<MarkingSurface, "shape">): "centre" | "rim" {
  return shape === "top" ? "centre" : "rim";
}

const dots = (mm: number, colour: number, more: Partial<Draft> = {}): Draft => ({ kind: "dots", diameterMm: mm, in: [colour], ...more });
const middle = (mm: number, colour: number): Draft => ({ kind: "centre", diameterMm: mm, in: [colour] });

/** A row measured in from the edge. */
const edgeDots = (mm: number, colour: number, insetMm: number, more: Partial<Draft> = {}): Draft =>
  dots(mm, colour, { at: { insetMm }, multipleOf: 4, ...more });

/** Ten patterns of our own, made for several bodies each. */
export const PATTERN_TEMPLATES: readonly PatternTemplate[] = [
  {
    id: "lamp-rings",
    name: "Lamp rings",
    hint: "light going out from the lamp",
    guides: 8,
    top: [
      middle(9, 1),
      dots(3, 0, { seat: "guides" }),
      dots(4, 0, { seat: "nestle" }),
      dots(4.5, 1, { multipleOf: 8 }),
      dots(5, 0, { multipleOf: 8 }),
      dots(3, 1, { seat: "nestle", apartMm: 0 }),
      dots(5.5, 0, { multipleOf: 8, apartMm: 1 }),
      edgeDots(2, 1, 4, { multipleOf: 8 }),
    ],
    wall: [
      dots(3, 0, { multipleOf: 8, apartMm: 8 }),
      dots(6, 1, { multipleOf: 8, apartMm: 4 }),
      dots(3, 0, { multipleOf: 8, apartMm: 4 }),
      dots(8, 1, { multipleOf: 8, apartMm: 8 }),
      dots(3, 0, { multipleOf: 8, apartMm: 5 }),
    ],
  },
  {
    id: "tide-marks",
    name: "Tide marks",
    hint: "lines of foam, each a little finer",
    guides: 4,
    top: [
      middle(6, 0),
      dots(5, 0, { apartMm: 4 }),
      dots(4, 0, { apartMm: 4 }),
      dots(3, 1, { apartMm: 4 }),
      dots(2.5, 0, { apartMm: 4 }),
      dots(2, 0, { apartMm: 3 }),
    ],
    wall: [dots(6, 0, { apartMm: 12 }), dots(5, 0, { apartMm: 9 }), dots(4, 1, { apartMm: 8 }), dots(3, 0, { apartMm: 7 }), dots(2.5, 0, { apartMm: 6 })],
  },
  {
    id: "signal-bands",
    name: "Signal bands",
    hint: "stripes with a row of lights between them",
    guides: 4,
    top: [
      middle(8, 1),
      { kind: "band", diameterMm: 4, in: [0], apartMm: 5 },
      dots(4, 1, { multipleOf: 4, apartMm: 3 }),
      { kind: "band", diameterMm: 5, in: [0], apartMm: 3 },
      edgeDots(2.5, 1, 6),
    ],
    wall: [
      { kind: "band", diameterMm: 14, in: [0], apartMm: 22 },
      dots(6, 1, { multipleOf: 4, apartMm: 6 }),
      { kind: "band", diameterMm: 14, in: [0], apartMm: 6 },
    ],
  },
  {
    id: "rope-edge",
    name: "Rope edge",
    hint: "tails tucked one under the other, as rope is laid",
    guides: 8,
    top: [
      edgeDots(2, 1, 3),
      { kind: "tails", diameterMm: 3.5, lengthMm: 7, in: [0], at: { insetMm: 9 }, multipleOf: 2 },
      middle(8, 1),
      { kind: "swipes", diameterMm: 3.5, lengthMm: 13, in: [0], seat: "guides", at: { insetMm: 36 } },
      dots(2, 1, { seat: "between", at: { insetMm: 27 } }),
    ],
    wall: [
      dots(2.5, 1, { apartMm: 6, multipleOf: 4 }),
      { kind: "tails", diameterMm: 5, lengthMm: 10, in: [0], apartMm: 5, multipleOf: 2 },
      dots(2.5, 1, { apartMm: 5, multipleOf: 4 }),
    ],
  },
  {
    id: "gull-feathers",
    name: "Gull feathers",
    hint: "bundles of three strokes round a dark eye",
    guides: 8,
    top: [
      middle(7, 1),
      { kind: "bundles", diameterMm: 3.5, lengthMm: 12, in: [0], multipleOf: 2 },
      dots(4, 1, { seat: "nestle" }),
      { kind: "bundles", diameterMm: 3, lengthMm: 9, in: [0], multipleOf: 4, apartMm: 1 },
      dots(2, 1, { multipleOf: 8, apartMm: 1 }),
    ],
    wall: [{ kind: "bundles", diameterMm: 6, lengthMm: 28, in: [0], multipleOf: 4, apartMm: 14, runs: "in" }, dots(4, 1, { seat: "nestle", apartMm: 2 })],
  },
  {
    id: "dune-grass",
    name: "Dune grass",
    hint: "blades that stand out of the sand",
    guides: 8,
    top: [
      middle(6, 1),
      dots(2.5, 0, { seat: "guides" }),
      { kind: "swipes", diameterMm: 3, lengthMm: 16, in: [0], seat: "nestle" },
      { kind: "swipes", diameterMm: 2.5, lengthMm: 10, in: [1], multipleOf: 8, apartMm: 1 },
      dots(2.5, 0, { seat: "nestle", apartMm: 1 }),
    ],
    wall: [dots(3, 1, { apartMm: 14, multipleOf: 4 }), { kind: "swipes", diameterMm: 4, lengthMm: 40, in: [0], seat: "nestle", apartMm: 3, runs: "in" }],
  },
  {
    id: "harbour-lights",
    name: "Harbour lights",
    hint: "two colours in turn, each with a glint",
    guides: 4,
    top: [
      middle(8, 0),
      { kind: "dots", diameterMm: 5, in: [0, 1], apartMm: 1.5 },
      { kind: "dots", diameterMm: 6.5, in: [1, 0], seat: "nestle" },
      { kind: "dots", diameterMm: 7, in: [0, 1], apartMm: 1 },
      { kind: "top-dots", diameterMm: 2.5, in: [2], towards: "rim" },
      { kind: "dots", diameterMm: 3, in: [1, 0], apartMm: 1.5 },
    ],
    wall: [
      { kind: "dots", diameterMm: 8, in: [0, 1], apartMm: 16 },
      { kind: "top-dots", diameterMm: 3, in: [2], towards: "rim" },
      { kind: "dots", diameterMm: 5, in: [1, 0], seat: "nestle" },
      { kind: "dots", diameterMm: 3, in: [0, 1], apartMm: 6 },
    ],
  },
  {
    id: "lighthouse-stair",
    name: "Lighthouse stair",
    hint: "walked dots that climb and shrink",
    guides: 8,
    top: [
      middle(9, 1),
      { kind: "walk", diameterMm: 5, steps: 6, lastMm: 1.5, in: [0], multipleOf: 4, seat: "guides", apartMm: 1 },
      { kind: "walk", diameterMm: 4, steps: 4, lastMm: 1.5, in: [1], seat: "between", at: { insetMm: 25 } },
      edgeDots(2.5, 0, 4, { multipleOf: 8 }),
    ],
    wall: [dots(3, 1, { multipleOf: 4, apartMm: 8 }), { kind: "walk", diameterMm: 6.5, steps: 8, lastMm: 2, in: [0], multipleOf: 4, apartMm: 4, runs: "in" }],
  },
  {
    id: "sea-pinks",
    name: "Sea pinks",
    hint: "bridges of dots that make petals, a light in each",
    guides: 8,
    top: [
      middle(9, 1),
      dots(4, 0, { multipleOf: 8 }),
      { kind: "petals", diameterMm: 3.5, steps: 2, lastMm: 1.6, in: [0], multipleOf: 4, apartMm: 1 },
      { kind: "petals", diameterMm: 4, steps: 3, lastMm: 1.8, in: [1], multipleOf: 4, apartMm: 1 },
      dots(2, 0, { multipleOf: 8, apartMm: 1.5 }),
    ],
    wall: [
      { kind: "petals", diameterMm: 6.5, steps: 4, lastMm: 2.5, in: [0], multipleOf: 4, apartMm: 14 },
      dots(4, 1, { multipleOf: 4, apartMm: 3 }),
      dots(2.5, 0, { multipleOf: 4, apartMm: 3 }),
    ],
  },
  {
    id: "spray",
    name: "Spray",
    hint: "threes along a line, and drops thrown over it",
    guides: 4,
    top: [
      middle(7, 0),
      { kind: "triangles", diameterMm: 3, in: [0], multipleOf: 2, apartMm: 1.5 },
      { kind: "line", diameterMm: 1, in: [1], apartMm: 2 },
      { kind: "scatter", diameterMm: 4, lastMm: 1.2, in: [0, 1], count: 48 },
    ],
    wall: [
      { kind: "line", diameterMm: 1.5, in: [1], apartMm: 14 },
      { kind: "pendants", diameterMm: 5, steps: 4, in: [0], multipleOf: 4, apartMm: 3 },
      { kind: "scatter", diameterMm: 4, lastMm: 1.5, in: [0, 1], count: 60, lengthMm: 60 },
    ],
  },
];

/** A place as large as the patterns are drawn for, mm across or up. */
const DRAWN_FOR_MM = { top: 90, wall: 150 } as const;
const SCALES = { least: 0.5, most: 2 } as const;

/** A pattern is no longer itself with fewer of its rows than this. */
const LEAST_ROWS = 0.6;

/**
 * The rows of a pattern for a surface: sized to it, in the colours of the piece. Rows that find no room there are left out.
 *
 * @param colours taken in the order the pattern names them, again from the first where there are fewer
 * @returns null where it is not made for such a surface
 */
export function rowsOfTemplate({ top, wall, guides }: PatternTemplate, surface: MarkingSurface, colours: readonly string[]): readonly Row[] | null {
  const drafts = surface.shape === "top" ? top : wall;
  if (!drafts) return null;
  const scale = Math.min(SCALES.most, Math.max(SCALES.least, sizeOf(surface) / DRAWN_FOR_MM[surface.shape]));
  const all = drafts.map(({ in: taken, ...draft }, k) =>
    scaledRow({ ...draft, id: `r${k + 1}`, colours: taken.map((index) => colours[index % colours.length]!) }, scale),
  );
  let rows: readonly Row[] = all;
  // A row that is gone may leave another with nothing to sit on.
  for (let lastly = -1; lastly !== rows.length;) {
    lastly = rows.length;
    const { rows: solved } = solvePattern(surface, { rows, guides, from: beginsAt(surface) });
    rows = rows.filter((_row, k) => !solved[k]!.refused);
  }
  return rows.length < Math.max(2, all.length * LEAST_ROWS) ? null : rows;
}
