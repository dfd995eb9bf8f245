import type { Row } from "../piece/pattern";
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
  readonly wall: readonly Draft[] | null;
}

const dots = (mm: number, colour: number, more: Partial<Draft> = {}): Draft => ({ kind: "dots", diameterMm: mm, in: [colour], ...more });
const middle = (mm: number, colour: number): Draft => ({ kind: "centre", diameterMm: mm, in: [colour] });

/** Ten patterns of our own, made for several bodies each. */
export const PATTERN_TEMPLATES: readonly PatternTemplate[] = [
  {
    id: "lamp-rings",
    name: "Lamp rings",
    hint: "light going out from the lamp",
    guides: 8,
    top: [middle(9, 1), dots(3, 0, { multipleOf: 4 }), dots(4, 0, { seat: "nestle" }), dots(4.5, 1, { multipleOf: 8 }), dots(3, 0, { multipleOf: 8 })],
    wall: [dots(3, 0, { multipleOf: 8 }), dots(5, 1, { multipleOf: 8, apartMm: 4 }), dots(3, 0, { multipleOf: 8, apartMm: 4 })],
  },
  {
    id: "tide-marks",
    name: "Tide marks",
    hint: "three lines of foam, each a little finer",
    guides: 4,
    top: [middle(6, 0), dots(5, 0, { apartMm: 5 }), dots(3.5, 0, { apartMm: 4 }), dots(2.5, 1, { apartMm: 3 })],
    wall: [dots(5, 0, { apartMm: 12 }), dots(3.5, 0, { apartMm: 6 }), dots(2.5, 1, { apartMm: 5 })],
  },
  {
    id: "signal-bands",
    name: "Signal bands",
    hint: "two stripes with a row of lights between them",
    guides: 4,
    top: [
      middle(8, 1),
      { kind: "band", diameterMm: 4, in: [0], apartMm: 5 },
      dots(3.5, 1, { multipleOf: 4, apartMm: 3 }),
      { kind: "band", diameterMm: 4, in: [0], apartMm: 3 },
    ],
    wall: [
      { kind: "band", diameterMm: 10, in: [0], apartMm: 12 },
      dots(5, 1, { multipleOf: 4, apartMm: 5 }),
      { kind: "band", diameterMm: 10, in: [0], apartMm: 5 },
    ],
  },
  {
    id: "rope-edge",
    name: "Rope edge",
    hint: "tails tucked one under the other, as rope is laid",
    guides: 4,
    top: [{ kind: "tails", diameterMm: 3.5, lengthMm: 7, in: [0], at: { insetMm: 9 }, multipleOf: 2 }, dots(2, 1, { at: { insetMm: 3 }, multipleOf: 4 })],
    wall: [{ kind: "tails", diameterMm: 4, lengthMm: 8, in: [0], at: { insetMm: 14 }, multipleOf: 2 }, dots(2.5, 1, { at: { insetMm: 6 }, multipleOf: 4 })],
  },
  {
    id: "gull-feathers",
    name: "Gull feathers",
    hint: "bundles of three strokes round a dark eye",
    guides: 8,
    top: [
      middle(7, 1),
      { kind: "bundles", diameterMm: 3, lengthMm: 10, in: [0], multipleOf: 2 },
      dots(3, 1, { seat: "nestle" }),
      dots(2, 0, { multipleOf: 8 }),
    ],
    wall: [{ kind: "bundles", diameterMm: 4, lengthMm: 16, in: [0], multipleOf: 4, apartMm: 10 }, dots(3, 1, { seat: "nestle", apartMm: 2 })],
  },
  {
    id: "dune-grass",
    name: "Dune grass",
    hint: "blades that lean out of the sand",
    guides: 8,
    top: [
      middle(5, 1),
      { kind: "swipes", diameterMm: 2.5, lengthMm: 12, in: [0], multipleOf: 4 },
      { kind: "swipes", diameterMm: 2, lengthMm: 8, in: [1], seat: "nestle" },
      dots(2, 0, { multipleOf: 4 }),
    ],
    wall: [{ kind: "swipes", diameterMm: 3.5, lengthMm: 26, in: [0], multipleOf: 4, apartMm: 3 }, dots(2.5, 1, { seat: "nestle", apartMm: 3 })],
  },
  {
    id: "harbour-lights",
    name: "Harbour lights",
    hint: "two colours in turn, each with a glint",
    guides: 4,
    top: [
      middle(8, 0),
      { kind: "dots", diameterMm: 5, in: [0, 1], apartMm: 1.5 },
      { kind: "dots", diameterMm: 5, in: [1, 0], seat: "nestle" },
      { kind: "top-dots", diameterMm: 2, in: [2], towards: "rim" },
    ],
    wall: [
      { kind: "dots", diameterMm: 7, in: [0, 1], apartMm: 14 },
      { kind: "top-dots", diameterMm: 2.5, in: [2], towards: "rim" },
      { kind: "dots", diameterMm: 4, in: [1, 0], seat: "nestle" },
    ],
  },
  {
    id: "lighthouse-stair",
    name: "Lighthouse stair",
    hint: "walked dots that climb and shrink",
    guides: 8,
    top: [middle(7, 1), { kind: "walk", diameterMm: 4, steps: 5, lastMm: 1.5, in: [0], multipleOf: 4 }, dots(2.5, 1, { seat: "nestle" })],
    wall: [{ kind: "walk", diameterMm: 5, steps: 6, lastMm: 1.8, in: [0], multipleOf: 4, apartMm: 4 }, dots(3, 1, { seat: "nestle" })],
  },
  {
    id: "sea-pinks",
    name: "Sea pinks",
    hint: "bridges of dots that make petals, a light in each",
    guides: 8,
    top: [
      middle(6, 1),
      dots(2.5, 0),
      { kind: "petals", diameterMm: 3.5, steps: 3, lastMm: 1.6, in: [0], multipleOf: 2 },
      dots(2.5, 1, { seat: "nestle", apartMm: 0.3 }),
    ],
    wall: [{ kind: "petals", diameterMm: 5, steps: 4, lastMm: 2, in: [0], multipleOf: 4, apartMm: 8 }, dots(3.5, 1, { seat: "nestle" })],
  },
  {
    id: "spray",
    name: "Spray",
    hint: "threes along a line, and drops thrown over it",
    guides: 4,
    top: [
      middle(6, 0),
      { kind: "triangles", diameterMm: 2.5, in: [0], multipleOf: 2 },
      { kind: "line", diameterMm: 1, in: [1], apartMm: 1.5 },
      { kind: "scatter", diameterMm: 3.5, lastMm: 1.2, in: [0, 1], count: 36 },
    ],
    wall: [
      { kind: "line", diameterMm: 1.2, in: [1], apartMm: 20 },
      { kind: "triangles", diameterMm: 3, in: [0], multipleOf: 4 },
      { kind: "pendants", diameterMm: 3.5, steps: 3, in: [1], at: { insetMm: 6 }, multipleOf: 4 },
    ],
  },
];

/** A place as large as the patterns are drawn for, mm across or up. */
const DRAWN_FOR_MM = { top: 90, wall: 150 } as const;
const SCALES = { least: 0.5, most: 2 } as const;

/** To half a millimetre, never under one. */
function sized(mm: number, scale: number): number {
  return Math.max(1, Math.round(mm * scale * 2) / 2);
}

/**
 * The rows of a pattern for a surface: sized to it, in the colours of the piece.
 *
 * @param colours taken in the order the pattern names them, again from the first where there are fewer
 * @returns null where it is not made for such a surface
 */
export function rowsOfTemplate({ top, wall }: PatternTemplate, surface: MarkingSurface, colours: readonly string[]): readonly Row[] | null {
  const drafts = surface.shape === "top" ? top : wall;
  if (!drafts) return null;
  const across = surface.shape === "top" ? Math.min(surface.widthMm, surface.heightMm) : surface.heightMm;
  const scale = Math.min(SCALES.most, Math.max(SCALES.least, across / DRAWN_FOR_MM[surface.shape]));
  const flatRing = surface.shape === "top" && surface.from > 0;
  const going = drafts.filter(({ kind }) => !(flatRing && kind === "centre"));
  return going.map(({ in: taken, ...draft }, k): Row => {
    const { lengthMm, lastMm, apartMm, at, diameterMm } = draft;
    return {
      ...draft,
      id: `r${k + 1}`,
      colours: taken.map((index) => colours[index % colours.length]!),
      diameterMm: sized(diameterMm, scale),
      ...(lengthMm === undefined ? {} : { lengthMm: sized(lengthMm, scale) }),
      ...(lastMm === undefined ? {} : { lastMm: sized(lastMm, scale) }),
      ...(apartMm === undefined ? {} : { apartMm: Math.round(apartMm * scale * 2) / 2 }),
      ...(at && "insetMm" in at ? { at: { insetMm: Math.round(at.insetMm * scale * 2) / 2 } } : {}),
    };
  });
}
