import type { ProductId, StepId } from "../../catalogue/ids";
import type { DryingStage, Method, Role, Sheen, TechniqueId, ZoneId } from "../../catalogue/vocabulary";
import type { Stages } from "../../drying/stages";
import type { ChosenThinning, Thinning } from "../../film/thinning";
import type { LayerRow } from "../../piece/piece";

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
  /** Set by the user; the engine leaves it alone and judges it. */
  readonly set?: "hers";
  /** What dries is no film: a body that is weighed until its weight stays the same, or cement that hardens. */
  readonly body?: BodyWait;
}

/** A body that is waited for by more than the clock. */
export const BODY_WAITS = ["weighed", "cement"] as const;
export type BodyWait = (typeof BODY_WAITS)[number];

/** What is chosen of a step, before any number is worked out. Absent means unknown. */
export interface StepChoice {
  readonly id: StepId;
  readonly role: Role;
  readonly product: ProductId;
  /** The user's jar it is laid from, as it comes out. */
  readonly ownProduct?: string;
  /** The user's jar, where they chose it for this step. */
  readonly jar?: string;
  readonly sheen?: Sheen;
  readonly colour?: string;
  readonly technique?: TechniqueId;
  readonly method?: Method;
  readonly coats?: number;
  readonly coverage?: number;
  readonly marks?: StepMarks;
  /** Rows of a pattern it is made of, in the order they are set. */
  readonly rows?: readonly LayerRow[];
  /** Absent: not said. Null: there is nothing to thin. */
  readonly thinning?: ChosenThinning | null;
  readonly waitBefore?: Wait | null;
  readonly while?: "wet" | "dry";
  readonly heat?: Heat;
  /** One act shared by zones. */
  readonly group?: string;
  readonly origin: "engine" | "hers";
  /** Already on the piece: no work, no paint; no wait either where it is not known since when. */
  readonly done?: true;
  /** Instant of its last coat, ISO 8601, where that was recorded. */
  readonly laidAt?: string;
  readonly because: readonly Because[];
  readonly checks: readonly string[];
}

/** A step with its numbers. Film fields are null for steps without a film; amounts and hands-on time cover the whole count. */
export interface Step extends StepChoice {
  readonly method: Method;
  readonly coats: number;
  readonly thinning: Thinning | null;
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
