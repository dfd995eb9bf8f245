import type { CandidateId, ProductId, StepId, UseId } from "../../catalogue/ids";
import type { Provenance } from "../../catalogue/provenance";
import type { Severity, ZoneId, Sheen } from "../../catalogue/vocabulary";
import type { Assumption, Piece } from "../../piece/piece";
import type { Change } from "./change";
import type { Wait, ZoneSteps } from "./step";

export const PLAN_SET_FORMAT = "nook-coat/plan-set";
export const PLAN_SET_VERSION = 1;

export interface Finding {
  readonly code: string;
  readonly severity: Severity;
  readonly zone: ZoneId | null;
  readonly stepId: StepId | null;
  readonly message: string;
  readonly why: string;
  readonly fix: { readonly text: string; readonly change?: readonly Change[] };
  readonly provenance: Provenance;
}

export interface OrderedCoat {
  readonly stepId: StepId;
  readonly coat: number;
  readonly half?: "first" | "second";
}

/** One act of the work, joined over the places that get it alike. */
export interface Act {
  /** From 1, in the order of the work. */
  readonly number: number;
  readonly stepIds: readonly StepId[];
  readonly zones: readonly ZoneId[];
  /** The most that any of its places gets. */
  readonly coats: number;
  /** The longest of its places' waits. */
  readonly waitBefore: Wait | null;
}

/** What a plan takes of one paint, over all steps that are still to be done. */
export interface PaintTotal {
  readonly product: ProductId;
  /** sRGB hex. */
  readonly colour?: string;
  readonly sheen?: Sheen;
  readonly ownProduct?: string;
  /** Out of the jar, mL. */
  readonly jarMl: number;
  /** Thinner that goes in, mL. */
  readonly thinnerMl: number;
}

export interface Totals {
  readonly handsOnMin: number;
  readonly elapsedMin: number;
  readonly elapsedCautiousMin: number;
  readonly handleAfterMin: number;
  readonly cureDays: number;
  readonly jarMlByProduct: Readonly<Record<string, number>>;
  /** The same by colour or sheen, and by jar: two colours are never one. */
  readonly paints: readonly PaintTotal[];
  readonly products: readonly ProductId[];
}

/** How a candidate does by each measure; how the search weighs them stands in `planner/cost.ts`. */
export interface Scores {
  /** 0–3, of the zone that wears worst; see `durability.ts`. */
  readonly durability: number;
  readonly readyDays: number;
  readonly handsOnMin: number;
  /** Things to buy for it: products the user does not own, and colours and sheens of owned ones that they lack. */
  readonly products: number;
  /** Coats of ground and colour. */
  readonly coats: number;
  readonly harshness: number;
  /** What the user's paint costs their for this piece, in their money; null while a price is not known. */
  readonly cost: number | null;
  /** What is forgiven while the user works: guides to set marks by, a film that mistakes wipe off. */
  readonly forgiving: number;
  /** How far off what the trade usually does. */
  readonly strain: number;
}

export interface Candidate {
  readonly id: CandidateId;
  readonly title: string;
  readonly school: string;
  readonly route: "air" | "bake" | "kiln";
  /** The uses it is planned for, where one of the piece's had to be given up: it cannot be eaten or drunk from whatever is done. */
  readonly uses?: readonly UseId[];
  readonly zones: readonly ZoneSteps[];
  /** Zones that stay as they are because they must, or because the user wants them bare. */
  readonly bare: readonly ZoneId[];
  /** The work in its order, joined over places: numbered, shown and dated so. */
  readonly acts: readonly Act[];
  readonly order: readonly OrderedCoat[];
  readonly findings: readonly Finding[];
  readonly totals: Totals;
  readonly scores: Scores;
}

/** The piece as a candidate takes it: for show, where it can be used for nothing else. */
export function pieceOf({ uses }: Pick<Candidate, "uses">, piece: Piece): Piece {
  return uses ? { ...piece, uses } : piece;
}

export interface Refusal {
  readonly code: string;
  readonly message: string;
  readonly why: string;
  readonly nearest: { readonly changes: readonly Change[]; readonly text: string } | null;
}

export interface PlanSet {
  readonly format: typeof PLAN_SET_FORMAT;
  readonly version: typeof PLAN_SET_VERSION;
  readonly piece: Piece;
  readonly assumed: readonly Assumption[];
  readonly candidates: readonly Candidate[];
  readonly refusal: Refusal | null;
}
