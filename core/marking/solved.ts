import type { Row } from "../piece/pattern";
import type { Closing } from "./ring-count";
import type { LevelWords, Point3 } from "./surface";

/** A round spot where it lies: told flat, and in space. */
export interface PlacedSpot {
  readonly flat: readonly [number, number];
  readonly at: Point3;
  readonly diameterMm: number;
}

/** One mark of a row: a dot, or a swipe of several spots. */
export interface PlacedMark {
  /** Which place of the row, from 0. */
  readonly place: number;
  readonly colour: string;
  readonly spots: readonly PlacedSpot[];
}

export type MarkingCode =
  | "too-many"
  | "would-touch"
  | "over-the-edge"
  | "no-room"
  | "nothing-to-sit-on"
  | "larger-than-its-dot"
  | "not-on-this-body"
  | "gap-wanders"
  | "uneven-colours"
  | "left-out"
  | "mask-first";

/** Something to know of a row. */
export interface MarkingFinding {
  readonly code: MarkingCode;
  /** A row that has one of these is not laid. */
  readonly refused: boolean;
  readonly row: string;
  readonly message: string;
  /** The row as it would go. */
  readonly fix?: { readonly text: string; readonly set: Partial<Row> };
}

/** On an uneven or oval top: what the wide side leaves. */
export interface WideSide {
  /** Towards which hour of a clock, 1–12. */
  readonly towards: number;
  /** Between this row and the one before, there. */
  readonly gapMm: number;
  /** A dot may be that much larger there. */
  readonly largerMm: number;
}

/** A row worked out. */
export interface SolvedRow {
  readonly row: Row;
  /** Along the surface, mm; null of one that is not laid or has no level. */
  readonly level: number | null;
  readonly say: LevelWords | null;
  readonly lengthMm: number;
  /** Places round the row. */
  readonly places: number;
  /** Marks of one whole place. */
  readonly inEach: number;
  /** Marks in all: those of each place, without the ones left out where a place is kept free. */
  readonly count: number;
  /** Least clear space between marks of neighbouring places, mm; null of a row of one. */
  readonly gapMm: number | null;
  /** Share of the way round the first place stands at. */
  readonly start: number;
  readonly marks: readonly PlacedMark[];
  /** Counts beside the one taken, with their gaps; worked out when asked. */
  readonly nearest: () => readonly Closing[];
  /** The clear space another count would leave where the row lies, mm; below 0 they overlap, NaN where it is no matter of closing. */
  readonly gapWith: (count: number) => number;
  readonly wide: WideSide | null;
  readonly refused: boolean;
}

export interface SolvedPattern {
  readonly rows: readonly SolvedRow[];
  readonly findings: readonly MarkingFinding[];
  /** Free along the surface from the last row to the edge (or to the centre), mm. */
  readonly leftMm: number;
}

/** A row of which nothing is worked out yet. What it is refused for, or where it lies, is said over it. */
export function bareRow(row: Row): SolvedRow {
  return {
    row,
    level: null,
    say: null,
    lengthMm: 0,
    places: 0,
    inEach: 1,
    count: 0,
    gapMm: null,
    start: 0,
    marks: [],
    nearest: () => [],
    gapWith: () => NaN,
    wide: null,
    refused: false,
  };
}
