import { memory } from "../catalogue/provenance";
import type { TechniqueId } from "../catalogue/vocabulary";
import type { Row, RowKind } from "../piece/pattern";
import { USUAL_GAP_MM } from "./ring-count";

/** A round spot of a mark, by where it lies from the mark's place: along the row clockwise, and outward (upward on walls). Lengths mm. */
export interface Spot {
  readonly across: number;
  readonly out: number;
  readonly diameterMm: number;
}

/** One mark: a dot is one spot, a swipe several that run together. */
export type UnitMark = readonly Spot[];

/** What stands at each place of a row. */
export interface RowKindDefinition {
  readonly id: RowKind;
  /** What it is called, and in the plural where it is counted. */
  readonly name: string;
  readonly hint: string;
  readonly technique: TechniqueId;
  /** Fields that are asked of it. */
  readonly asks: readonly (keyof Row)[];
  /** Null of what has no places: one in the middle, a line, a scatter, what lies on other marks. */
  readonly unit: ((row: Row, upright: boolean) => readonly UnitMark[]) | null;
}

/** Spots that draw one swipe. */
const SWIPE_SPOTS = 7;
/** A swipe is this long for its head where nothing is said. */
const USUAL_SWIPE = memory(2.5).value;
/** Dots of a series where nothing is said, and the last of them for the first. */
const USUAL_STEPS = memory(4).value;
const USUAL_LAST = memory(0.45).value;

/** No spot of a mark is smaller than that share of its head. */
const LEAST_SHARE = 0.03;

/** The last dot of a series, mm. */
export function lastOf({ diameterMm, lastMm }: Row): number {
  return Math.max(diameterMm * LEAST_SHARE, lastMm ?? diameterMm * USUAL_LAST);
}

export function stepsOf({ steps }: Row): number {
  return steps ?? USUAL_STEPS;
}

export function lengthOf({ diameterMm, lengthMm }: Row): number {
  return Math.max(diameterMm, lengthMm ?? diameterMm * USUAL_SWIPE);
}

/**
 * Diameters of a series set with one load, mm: each touch leaves the same share of what the tool still carries, so that diameters fall by one
 * ratio [common practice: walked dots shrink; the law is the simplest that does].
 *
 * @param from the first, mm
 * @param to the last, mm
 * @param steps how many
 * @example shrinking(8, 2, 3) // [8, 4, 2]
 */
export function shrinking(from: number, to: number, steps: number): readonly number[] {
  return Array.from({ length: steps }, (_unused, k) => (steps === 1 ? from : from * (to / from) ** (k / (steps - 1))));
}

const innerGap = ({ gapMm }: Row) => gapMm ?? USUAL_GAP_MM.value;

/** A series straight in or out, one dot after the other. */
function straight(row: Row, sign: 1 | -1): readonly UnitMark[] {
  const sizes = shrinking(row.diameterMm, lastOf(row), stepsOf(row));
  let out = 0;
  return sizes.map((diameterMm, k) => {
    if (k > 0) out += sign * ((sizes[k - 1]! + diameterMm) / 2 + innerGap(row));
    return [{ across: 0, out, diameterMm }];
  });
}

/** Small dots round a large one. */
function roundLarge(row: Row): readonly UnitMark[] {
  const steps = stepsOf(row);
  const sizes = shrinking(lastOf(row) * 1.4, lastOf(row), steps);
  const gap = innerGap(row);
  const largest = sizes[0]!;
  const beside = (row.diameterMm + largest) / 2 + gap;
  const radius = steps > 1 ? Math.max(beside, (largest + gap) / (2 * Math.sin(Math.PI / steps))) : beside;
  const turn = (2 * Math.PI) / steps;
  return [
    [{ across: 0, out: 0, diameterMm: row.diameterMm }],
    ...sizes.map((diameterMm, k): UnitMark => [{ across: radius * Math.sin(turn * k), out: radius * Math.cos(turn * k), diameterMm }]),
  ];
}

/** A bridge of dots: the outer middle, then each side downward and inward. */
function bridge(row: Row): readonly UnitMark[] {
  const steps = stepsOf(row);
  const sizes = shrinking(row.diameterMm, lastOf(row), steps + 1);
  const side = (sign: 1 | -1) => {
    let [across, out] = [0, 0];
    return sizes.slice(1).map((diameterMm, k): UnitMark => {
      const way = (sizes[k]! + diameterMm) / 2 + innerGap(row);
      const angle = ((k + 0.5) / steps) * (Math.PI / 2);
      across += way * Math.cos(angle);
      out -= way * Math.sin(angle);
      return [{ across: sign * across, out, diameterMm }];
    });
  };
  return [[{ across: 0, out: 0, diameterMm: row.diameterMm }], ...side(1), ...side(-1)];
}

/** A swipe along a line: its head, drawn out to a point. @param at way along, 0–1 */
function swipe(headMm: number, at: (way: number) => readonly [number, number]): UnitMark {
  return Array.from({ length: SWIPE_SPOTS }, (_unused, k) => {
    const way = k / (SWIPE_SPOTS - 1);
    const [across, out] = at(way);
    return { across, out, diameterMm: headMm * Math.max(LEAST_SHARE, (1 - way) ** 0.8) };
  });
}

function straightSwipe(row: Row): readonly UnitMark[] {
  const sign = row.runs === "in" ? -1 : 1;
  return [swipe(row.diameterMm, (way) => [0, sign * lengthOf(row) * way])];
}

/** Three swipes whose points meet: the middle one, then the two beside it. */
function fan(row: Row): readonly UnitMark[] {
  const length = lengthOf(row);
  const lean = 2 * Math.asin(Math.min(0.9, (row.diameterMm + innerGap(row)) / (2 * length)));
  const sign = row.runs === "in" ? -1 : 1;
  const leaning = (angle: number) =>
    swipe(row.diameterMm, (way) => [length * (1 - way) * Math.sin(angle), sign * (length * (1 - way) * Math.cos(angle) - length)]);
  return [leaning(0), leaning(-lean), leaning(lean)];
}

/** A dot whose tail is drawn along the row, under the next one. */
function tail(row: Row): readonly UnitMark[] {
  const dip = row.diameterMm / 2 + innerGap(row);
  return [swipe(row.diameterMm, (way) => [lengthOf(row) * way, -dip * Math.sin((Math.PI / 2) * Math.min(1, way * 1.4))])];
}

function triangle(row: Row): readonly UnitMark[] {
  const side = row.diameterMm + innerGap(row);
  const { diameterMm } = row;
  return [
    [{ across: -side / 2, out: 0, diameterMm }],
    [{ across: side / 2, out: 0, diameterMm }],
    [{ across: 0, out: ((row.runs === "in" ? -1 : 1) * side * Math.sqrt(3)) / 2, diameterMm }],
  ];
}

/** Every kind of row, in the order they are offered. */
export const ROW_KIND_DEFINITIONS: readonly RowKindDefinition[] = [
  { id: "centre", name: "Dot in the middle", hint: "one dot the rows grow from", technique: "dots", asks: [], unit: null },
  {
    id: "dots",
    name: "Dots",
    hint: "one dot beside the other",
    technique: "dots",
    asks: ["gapMm", "count", "multipleOf", "seat"],
    unit: ({ diameterMm }) => [[{ across: 0, out: 0, diameterMm }]],
  },
  {
    id: "petals",
    name: "Petals of dots",
    hint: "a bridge of dots: the outer middle, one side, load again, the other side",
    technique: "walked-dots",
    asks: ["steps", "lastMm", "gapMm", "count", "multipleOf", "seat"],
    unit: bridge,
  },
  {
    id: "walk",
    name: "Walked dots",
    hint: "one load, set down again and again: they shrink",
    technique: "walked-dots",
    asks: ["runs", "steps", "lastMm", "gapMm", "count", "multipleOf", "seat"],
    unit: (row) => (row.runs === "round" ? roundLarge(row) : straight(row, row.runs === "in" ? -1 : 1)),
  },
  {
    id: "swipes",
    name: "Swipes",
    hint: "a drop drawn out to a point",
    technique: "swipes",
    asks: ["runs", "lengthMm", "gapMm", "count", "multipleOf", "seat"],
    unit: straightSwipe,
  },
  {
    id: "bundles",
    name: "Bundles of swipes",
    hint: "one swipe and one each side of it, their points together",
    technique: "swipes",
    asks: ["runs", "lengthMm", "gapMm", "count", "multipleOf", "seat"],
    unit: fan,
  },
  {
    id: "tails",
    name: "Dots with tails",
    hint: "each tail is tucked under the next dot",
    technique: "swipes",
    asks: ["lengthMm", "gapMm", "count", "multipleOf", "seat"],
    unit: tail,
  },
  {
    id: "triangles",
    name: "Threes",
    hint: "three dots in a triangle",
    technique: "dots",
    asks: ["runs", "gapMm", "count", "multipleOf", "seat"],
    unit: triangle,
  },
  {
    id: "pendants",
    name: "Pendants",
    hint: "a dot with smaller ones hanging from it",
    technique: "walked-dots",
    asks: ["steps", "lastMm", "gapMm", "count", "multipleOf", "seat"],
    unit: (row, upright) => straight({ ...row, steps: row.steps ?? 3 }, upright ? -1 : 1),
  },
  {
    id: "scatter",
    name: "Scatter",
    hint: "large dots first, then smaller ones in what is left between",
    technique: "dots",
    asks: ["count", "lastMm", "lengthMm", "gapMm"],
    unit: null,
  },
  { id: "band", name: "Band", hint: "a painted stripe all round", technique: "bands", asks: [], unit: null },
  { id: "line", name: "Line", hint: "a thin line all round", technique: "outline", asks: [], unit: null },
  { id: "top-dots", name: "Top dots", hint: "a smaller dot on each dot of another row", technique: "dots", asks: ["on", "towards", "everySecond"], unit: null },
];

const BY_ID = new Map(ROW_KIND_DEFINITIONS.map((one) => [one.id, one]));

export function rowKind(id: RowKind): RowKindDefinition {
  return BY_ID.get(id)!;
}
