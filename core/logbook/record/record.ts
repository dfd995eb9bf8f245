import type { LogRecordId, MaterialId, PictureId, PieceId, ProductId } from "../../catalogue/ids";
import type { Method, Role, Sheen, TechniqueId, ZoneId } from "../../catalogue/vocabulary";
import type { Heat, StepMarks } from "../../coating/model/step";
import type { ChosenThinning } from "../../film/thinning";
import type { TOWARDS } from "../../piece/pattern";
import type { LayerRow, Piece } from "../../piece/piece";
import type { InspectionKind } from "../inspections/inspection";

/** A row of marks as it was set: which of its place, counted from where the rows begin, and which way its top dots look. */
export interface RecordedRow extends LayerRow {
  readonly number?: number;
  readonly towards?: (typeof TOWARDS)[number];
  readonly everySecond?: true;
}

/** Work of one kind that is on the piece, in every place that got it alike. Complete in itself: names are as they were called then. */
export interface WorkLine {
  readonly zones: readonly ZoneId[];
  /** What was done, as the user reads it: "Base colour: harbour blue". */
  readonly title: string;
  readonly role: Role;
  readonly product: ProductId;
  readonly technique?: TechniqueId;
  readonly method?: Method;
  readonly sheen?: Sheen;
  /** sRGB hex. */
  readonly colour?: string;
  readonly coverage?: number;
  readonly marks?: StepMarks;
  readonly rows?: readonly RecordedRow[];
  readonly heat?: Heat;
  /** One act shared by its places. */
  readonly group?: string;
  readonly thinning?: ChosenThinning;
  /** What the mixture it was laid with was mixed from, in words. */
  readonly mix?: string;
  /** The user's jar it was laid from. */
  readonly jar?: { readonly id: string; readonly name: string };
  readonly coats: number;
  /** Instants of its first and its last coat, ISO 8601. */
  readonly first: string;
  readonly last: string;
}

/** Paint that went into it, what was ruined with it. */
export interface PaintLine {
  readonly jar?: string;
  readonly name: string;
  readonly ml: number;
  /** What a mL of it cost then, in the user's money; absent where that was never said. */
  readonly perMl?: number;
}

/** Hands on it, by kind of work (see `kindOfWork`). */
export interface MinutesLine {
  readonly kind: string;
  readonly min: number;
  /** Minutes of them that were seen by the clock; the rest is as reckoned. */
  readonly timedMin: number;
}

/** Something that went wrong at the bench. */
export interface Mishap {
  /** Instant, ISO 8601. */
  readonly at: string;
  readonly kind: "tacky" | "ruined";
  readonly zones: readonly ZoneId[];
  /** The coat it happened to. */
  readonly title: string;
}

/** A check that was made, and what it showed. */
export interface RecordedCheck {
  readonly at: string;
  readonly zone: ZoneId;
  readonly kind: InspectionKind;
  readonly passed: boolean;
  readonly grade?: number;
}

/** How the body was cast, and what it weighed while it dried. */
export interface RecordedCast {
  readonly powder: string;
  /** Water to 100 of powder by weight, as it was weighed. */
  readonly waterPer100?: number;
  readonly pouredAt: string;
  /** Of so many bodies together, g. */
  readonly weighings: readonly { readonly at: string; readonly g: number; readonly bodies: number }[];
}

export const PICTURE_STAGES = ["before", "during", "after"] as const;

/** A photograph of the piece; its pictures stand apart, named by what is in them. */
export interface RecordPicture {
  readonly picture: PictureId;
  readonly small: PictureId;
  /** Of the picture, px. */
  readonly width: number;
  readonly height: number;
  /** Instant, ISO 8601. */
  readonly at: string;
  readonly caption?: string;
  readonly stage: (typeof PICTURE_STAGES)[number];
}

/** What is remembered of a piece that was finished before there was a notebook, in the user's words. */
export interface ToldWork {
  readonly colours?: string;
  readonly paints?: string;
  readonly sealer?: string;
  readonly note?: string;
}

/** Something added afterwards: the record itself stays as it was. */
export interface Addition {
  readonly id: string;
  /** Instant, ISO 8601. */
  readonly at: string;
  readonly text: string;
}

/** What may be seen of a finish later on, in the order it is offered. */
export const SAWS = ["fine", "faded", "yellowed", "chipped", "scratched", "peeling", "cracked", "sticky", "cloudy", "stained"] as const;
export type Saw = (typeof SAWS)[number];

/** The piece was looked at again. */
export interface Look {
  readonly id: string;
  /** Instant, ISO 8601. */
  readonly at: string;
  /** "fine" alone, or what is wrong. */
  readonly saw: readonly Saw[];
  readonly zone?: ZoneId;
  readonly note?: string;
}

export const MOVE_KINDS = ["given", "sold", "left-out", "kept", "lost"] as const;

/** Where some of it went. */
export interface Move {
  readonly id: string;
  /** "YYYY-MM-DD". */
  readonly on: string;
  readonly kind: (typeof MOVE_KINDS)[number];
  readonly count: number;
  /** Who has it, or where it was left. */
  readonly to?: string;
  /** Of one, in the user's money. */
  readonly price?: number;
}

/** What the user says of its money: of one piece. */
export interface Money {
  /** The bare body. */
  readonly body?: number;
  /** Anything else: gift box, cord, felt feet. */
  readonly other?: number;
  /** What it is sold for. */
  readonly price?: number;
}

/** What was made: frozen when it was written down. */
export interface MadeRecord {
  /** Made from what was noted at the bench, or told afterwards. */
  readonly origin: "bench" | "told";
  readonly name: string;
  /** The body in words: "Smooth stone". */
  readonly body: string;
  readonly material?: MaterialId;
  /** The piece as it was stated; none of what is told. */
  readonly piece?: Piece;
  readonly count: number;
  /** Days, "YYYY-MM-DD"; of what is told they may be unknown. */
  readonly begunOn?: string;
  readonly finishedOn?: string;
  readonly work: readonly WorkLine[];
  readonly paint: readonly PaintLine[];
  readonly minutes: readonly MinutesLine[];
  readonly mishaps: readonly Mishap[];
  readonly checks: readonly RecordedCheck[];
  readonly cast?: RecordedCast;
  readonly pictures: readonly RecordPicture[];
  readonly told?: ToldWork;
}

/** The record of a piece: what was made, frozen, and what was learnt of it since, which only grows. */
export interface LogRecord extends MadeRecord {
  readonly id: LogRecordId;
  readonly rev: number;
  /** The piece of the notebook it was made from; it may be gone. */
  readonly pieceId?: PieceId;
  /** Instant, ISO 8601. */
  readonly writtenAt: string;
  readonly additions: readonly Addition[];
  readonly looks: readonly Look[];
  /** Instant of the last of them, ISO 8601: what nobody has looked at need not be read to learn from looks. */
  readonly lookedAt?: string;
  readonly moves: readonly Move[];
  readonly money?: Money;
}
