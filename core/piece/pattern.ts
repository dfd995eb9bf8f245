import type { ProductId } from "../catalogue/ids";
import type { ZoneId } from "../catalogue/vocabulary";

/** What a row is made of, in the order they are offered. */
export const ROW_KINDS = [
  "centre",
  "dots",
  "petals",
  "walk",
  "swipes",
  "bundles",
  "tails",
  "triangles",
  "pendants",
  "scatter",
  "band",
  "line",
  "top-dots",
] as const;
export type RowKind = (typeof ROW_KINDS)[number];

/** How the marks of a row lie against what was laid before. */
export const ROW_SEATS = ["free", "guides", "between", "nestle"] as const;
export type RowSeat = (typeof ROW_SEATS)[number];

/** Where a row is laid when the user says so; without it, next to the row before. One of the three, mm. */
export type RowPlace = { readonly radiusMm: number } | { readonly heightMm: number } | { readonly insetMm: number };

export const TOWARDS = ["centre", "rim", "left", "right"] as const;
export const RUNS = ["out", "in", "round"] as const;

/** One row of a pattern: what the user says of it. Everything else is worked out. Lengths mm. */
export interface Row {
  readonly id: string;
  readonly kind: RowKind;
  /** Taken in turn along the row; one at least. */
  readonly colours: readonly string[];
  /** Across a dot, the head of a swipe, the width of a band or line; the largest of a scatter. */
  readonly diameterMm: number;
  /** Of the user's own tools, by its id, and as it is called. */
  readonly tool?: string;
  readonly toolName?: string;
  /** Least clear space to the next mark of the row; `USUAL_GAP_MM` without it. */
  readonly gapMm?: number;
  /** How many are wanted; as many as close without it. */
  readonly count?: number;
  /** The count is held to multiples of it. */
  readonly multipleOf?: number;
  readonly seat?: RowSeat;
  readonly at?: RowPlace;
  /** Clear space to the rows before; `USUAL_GAP_MM` without it. */
  readonly apartMm?: number;
  /** Which way a series or swipe runs; out without it. */
  readonly runs?: (typeof RUNS)[number];
  /** Of a swipe or tail, from the head to its point. */
  readonly lengthMm?: number;
  /** Dots of one series: a walk, one side of a petal, a pendant. */
  readonly steps?: number;
  /** Of a series: its last dot. */
  readonly lastMm?: number;
  /** Of top dots: the row they are set on. */
  readonly on?: string;
  /** Of top dots: off the middle in a direction. */
  readonly towards?: (typeof TOWARDS)[number];
  /** Of top dots: every second one only. */
  readonly everySecond?: true;
  readonly medium?: ProductId;
}

/** Round spots of a place that no mark may lie on: where hands turn, numerals are glued, a cord runs. Lengths mm. */
export interface KeepOut {
  /** Evenly round from twelve; 1 in the middle where `at` is radius 0. */
  readonly count: number;
  readonly at: RowPlace;
  readonly diameterMm: number;
}

/** The rows of one place of a piece. */
export interface Pattern {
  readonly zone: ZoneId;
  readonly rows: readonly Row[];
  /** Where the rows begin: from the centre (or the foot) outward, or from the rim inward. */
  readonly from?: "centre" | "rim";
  /** Lines that divide the round; rows may sit on them. */
  readonly guides?: number;
  /** Kept clear along the edge, mm. */
  readonly clearMm?: number;
  readonly keepOuts?: readonly KeepOut[];
  /** An uneven stone: from its centre to its edge at equal angles, clockwise from twelve, mm; four to eight. */
  readonly radiiMm?: readonly number[];
  /** Which hand holds a mug: its front is the side seen with the handle at the left, or mirrored. */
  readonly hand?: "right" | "left";
  /** Set without guides. */
  readonly byEye?: true;
}

/** Bounds of what may be said of a pattern. */
export const PATTERN_LIMITS = {
  rows: 60,
  patterns: 8,
  diameterMm: { least: 0.2, most: 200 },
  gapMm: { least: 0, most: 500 },
  apartMm: { least: 0, most: 500 },
  count: { least: 1, most: 2000 },
  multipleOf: { least: 1, most: 120 },
  placeMm: { least: 0, most: 3000 },
  lengthMm: { least: 0.5, most: 500 },
  steps: { least: 1, most: 40 },
  guides: { least: 1, most: 120 },
  radii: { least: 4, most: 8 },
  keepOuts: 6,
  colours: 8,
} as const;
