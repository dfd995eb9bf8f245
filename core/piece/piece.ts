import type { MaterialId, ProductId, UseId } from "../catalogue/ids";
import type { Airflow, Condition, ObjectId, Part, Role, Route, Sheen, TechniqueId, ZoneId } from "../catalogue/vocabulary";
import type { Form } from "./form";
import type { Pattern } from "./pattern";

export const PIECE_FORMAT = "nook-coat/piece";
export const PIECE_VERSION = 1;

/** Marks of one layer: so many at least and at most, and so large, mm. */
export const MARKS_LIMITS = { count: { least: 1, most: 100_000 }, diameterMm: { least: 0.2, most: 200 } } as const;

/** Layers of one piece, at most. */
export const MOST_LAYERS = 60;

export interface Marks {
  readonly count: number;
  readonly diameterMm: number;
  readonly heightMm?: number;
}

/** A row of a pattern that a layer is made of. */
export interface LayerRow {
  readonly id: string;
  readonly name: string;
  readonly count: number;
  readonly diameterMm: number;
  /** What it is set with, as its owner calls it. */
  readonly tool?: string;
}

/** One layer of decoration: what, with what, in which colour, where. */
export interface Layer {
  readonly technique: TechniqueId;
  readonly medium?: ProductId;
  readonly colour?: string;
  readonly zone?: ZoneId;
  readonly marks?: Marks;
  readonly coverage?: number;
  /** Set on other marks once they are dry. */
  readonly onTop?: true;
  /** Worked out from rows of a pattern: replaced when it is worked out again. */
  readonly rows?: readonly LayerRow[];
}

export interface Decoration {
  readonly techniques?: readonly TechniqueId[];
  readonly media?: readonly ProductId[];
  readonly baseColour?: string | null;
  readonly colours?: readonly string[];
  readonly bareZones?: readonly ZoneId[];
  readonly layers?: readonly Layer[];
  /** Rows of marks, place by place; the layers they amount to stand among the layers. */
  readonly patterns?: readonly Pattern[];
}

/** Pieces of one kind that are made together, at most. */
export const MOST_OF_ONE = 1000;

/** Air that someone may still work in, °C; beyond it a room is a slip of the pen. */
export const ROOM_TEMPERATURE_C = { least: -20, most: 60 } as const;

/** What a thermo-hygrometer shows. */
export interface Air {
  readonly temperatureC: number;
  /** 0–1. */
  readonly relativeHumidity: number;
}

export interface Room extends Air {
  readonly airflow: Airflow;
  /** Its air by night, where that is another; absent: by night as by day. */
  readonly night?: Air;
}

export interface Wishes {
  readonly primer?: ProductId;
  readonly base?: ProductId;
  readonly sealer?: ProductId;
  readonly guide?: ProductId;
  readonly route?: Route;
}

export interface Constraints {
  readonly oven?: boolean;
  readonly kiln?: boolean;
  readonly childSafe?: boolean;
  readonly shelfOnly?: boolean;
  readonly avoid?: readonly ProductId[];
}

/** How long a body dries that was weighed, minutes: it is a slip of the pen beyond it. */
export const BODY_DRIES_MIN = { least: 0, most: 366 * 24 * 60 } as const;

/** A body one pair of hands lifts, g. */
export const BODY_WEIGHT_G = { least: 0.1, most: 100_000 } as const;

/** What is known of the very body, beyond what its material is like. */
export interface BodyFacts {
  /** What one of it weighs dry, g. */
  readonly weightG?: number;
  /** From the mould until it may be coated, as its own weighings have it, minutes; it stands in place of what is typical of the material. */
  readonly driesMin?: { readonly typical: number; readonly cautious: number };
  /** Cement that has had its 28 days at 20 °C, or as much. */
  readonly matured?: true;
}

/** A step already on the piece. */
export interface DoneStep {
  readonly zone: ZoneId;
  readonly role: Role;
  readonly product: ProductId;
  readonly coats?: number;
  readonly colour?: string;
}

/** A piece as the user states it: six facts are required, everything else may be unknown. Lengths mm, °C, humidity 0–1. */
export interface Piece {
  readonly format: typeof PIECE_FORMAT;
  readonly version: typeof PIECE_VERSION;
  readonly name: string;
  readonly material: MaterialId;
  readonly form: Form;
  readonly uses: readonly UseId[];
  readonly object?: ObjectId;
  readonly conditions?: readonly Condition[];
  readonly parts?: readonly Part[];
  readonly decoration?: Decoration;
  readonly finish?: Sheen;
  readonly count?: number;
  readonly room?: Partial<Room>;
  readonly body?: BodyFacts;
  readonly wishes?: Wishes;
  readonly constraints?: Constraints;
  readonly done?: readonly DoneStep[];
}

/** A default taken where the user said nothing; the answer lists every one. */
export interface Assumption {
  /** Dotted path into the piece. */
  readonly path: string;
  readonly value: unknown;
  readonly text: string;
}

declare const complete: unique symbol;

/** A piece with nothing left open. Made by `completePiece` only; the planner takes no other. */
export interface CompletePiece extends Required<Omit<Piece, "decoration" | "room" | "constraints" | "wishes" | "body">> {
  readonly body?: BodyFacts;
  readonly decoration: Required<Omit<Decoration, "baseColour" | "patterns">> & { readonly baseColour: string | null };
  readonly room: Room;
  readonly constraints: Required<Constraints>;
  readonly wishes: Wishes;
  readonly [complete]: true;
}
