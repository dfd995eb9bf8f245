import type { CandidateId, ProductId, StepId } from "../../catalogue/ids";
import type { Provenance } from "../../catalogue/provenance";
import type { DryingStage, Method, Role, Severity, Sheen, TechniqueId, ZoneId } from "../../catalogue/vocabulary";
import type { Stages } from "../../drying/stages";
import type { Assumption, Piece } from "../../piece/piece";
import type { Change } from "./change";

export const PLAN_SET_FORMAT = "nook-coat/plan-set";
export const PLAN_SET_VERSION = 1;

export interface Because {
  readonly requirement: string;
  readonly text: string;
}

export interface StepMarks {
  readonly count: number;
  readonly diameterMm: number;
  readonly heightMm: number;
}

export interface Heat {
  readonly kind: "oven" | "kiln";
  readonly temperatureC: number;
  readonly holdMin: number;
  readonly start: "cold" | "hot";
  readonly cool: "inside" | "out";
}

export interface Wait {
  readonly min: number;
  readonly until: DryingStage;
  /** The careful painter's end of the range, minutes. */
  readonly cautiousMin?: number;
  /** Set by her; the engine leaves it alone and judges it. */
  readonly set?: "hers";
}

/** What is chosen of a step, before any number is worked out. Absent means unknown. */
export interface StepChoice {
  readonly id: StepId;
  readonly role: Role;
  readonly product: ProductId;
  readonly ownProduct?: string;
  readonly sheen?: Sheen;
  readonly colour?: string;
  readonly technique?: TechniqueId;
  readonly method?: Method;
  readonly coats?: number;
  readonly coverage?: number;
  readonly marks?: StepMarks;
  readonly thinning?: { readonly with: ProductId; readonly percent: number } | null;
  readonly waitBefore?: Wait | null;
  readonly while?: "wet" | "dry";
  readonly heat?: Heat;
  /** One act shared by zones. */
  readonly group?: string;
  readonly origin: "engine" | "hers";
  /** Already on the piece: no work, no paint, no wait. */
  readonly done?: true;
  readonly because: readonly Because[];
  readonly checks: readonly string[];
}

/** A step with its numbers. Film fields are null for steps without a film; amounts and hands-on time cover the whole count. */
export interface Step extends StepChoice {
  readonly method: Method;
  readonly coats: number;
  readonly thinning: { readonly with: ProductId; readonly percent: number } | null;
  readonly wetMicrons: number | null;
  readonly dryMicrons: number | null;
  readonly jarMl: number | null;
  readonly volumeMl: number | null;
  readonly waitBefore: Wait | null;
  readonly handsOnMin: number;
  readonly typical: Stages | null;
  readonly cautious: Stages | null;
}

export interface ZoneSteps<S extends StepChoice = Step> {
  readonly zone: ZoneId;
  readonly areaMm2: number;
  readonly steps: readonly S[];
}

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

export interface Totals {
  readonly handsOnMin: number;
  readonly elapsedMin: number;
  readonly elapsedCautiousMin: number;
  readonly handleAfterMin: number;
  readonly cureDays: number;
  readonly jarMlByProduct: Readonly<Record<string, number>>;
  readonly products: readonly ProductId[];
}

/** How a candidate does by each measure; how the search weighs them stands in `planner/cost.ts`. */
export interface Scores {
  /** 0–3, of the zone that wears worst; see `durability.ts`. */
  readonly durability: number;
  readonly readyDays: number;
  readonly handsOnMin: number;
  /** Product classes in it that she does not own. */
  readonly products: number;
  /** Coats of ground and colour. */
  readonly coats: number;
  readonly harshness: number;
  /** What her paint costs her for this piece, in her money; null while a price is not known. */
  readonly cost: number | null;
  /** What is forgiven while she works: guides to set marks by, a film that mistakes wipe off. */
  readonly forgiving: number;
  /** How far off what the trade usually does. */
  readonly strain: number;
}

export interface Candidate {
  readonly id: CandidateId;
  readonly title: string;
  readonly school: string;
  readonly route: "air" | "bake" | "kiln";
  readonly zones: readonly ZoneSteps[];
  /** Zones that stay as they are because they must, or because she wants them bare. */
  readonly bare: readonly ZoneId[];
  readonly order: readonly OrderedCoat[];
  readonly findings: readonly Finding[];
  readonly totals: Totals;
  readonly scores: Scores;
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
