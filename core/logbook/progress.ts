import type { PieceId, PlanId, ProductId, ProgressId, StepId } from "../catalogue/ids";
import type { DryingStage, ZoneId } from "../catalogue/vocabulary";
import type { ChosenThinning } from "../film/thinning";
import type { LayerRow, Room } from "../piece/piece";
import type { StepChoice } from "../coating/model/step";
import type { Touch } from "./learning/stages";

/** What was laid or done: all that is known of it once the plan it came from has changed. */
export interface RecordedAct extends Pick<
  StepChoice,
  "role" | "product" | "ownProduct" | "sheen" | "colour" | "technique" | "method" | "coverage" | "marks" | "heat" | "group"
> {
  /** What the mixture it was laid with was mixed from, in words. */
  readonly mix?: string;
  /** Wet film, µm. */
  readonly wetMicrons?: number;
  /** What was in the paint, where it is poured out; unknown in older records. */
  readonly thinning?: ChosenThinning;
  /** Rows of a pattern it is made of; unknown in older records. */
  readonly rows?: readonly LayerRow[];
}

/** What was seen at the table, beside what had been reckoned. */
export interface Actual {
  /** Hands on it, minutes. */
  readonly work?: { readonly min: number; readonly reckonedMin: number };
  /** A film that was touched. */
  readonly look?: Look;
  /** A film that was waited for, as it was noted until looks were: nothing is learnt from it, as nobody had touched it. */
  readonly drying?: {
    readonly product: ProductId;
    readonly room: Room;
    readonly stepId: StepId;
    readonly coat: number;
    readonly waitedMin: number;
    readonly reckonedMin: number;
  };
}

/** A film that was touched, to see whether it has reached a stage. */
export interface Look {
  readonly product: ProductId;
  readonly room: Room;
  /** The coat that laid it. */
  readonly stepId: StepId;
  readonly coat: number;
  /** The stage it was asked about, and what it was touched with. */
  readonly stage: DryingStage;
  readonly by: Touch;
  /** Since it was laid, minutes. */
  readonly afterMin: number;
  /** Its wait as it was reckoned then, minutes, and as it was told. */
  readonly reckonedMin: number;
  readonly toldMin: number;
  readonly seen: "tacky" | "dry";
}

/** `tacky` and `dry`: it was touched, and is still on the body. `mended`: paint was laid on it anew, in places: it dries again from then on. `started`: hands are on it, of a batch with the pieces that have it by now; it is on the body only when it is `done`. `removed`: it is not on the piece after all; `ruined`: it has to be laid again. Both take the coat off the body. */
export type ProgressKind = "started" | "done" | "tacky" | "dry" | "mended" | "ruined" | "removed";

/** Kinds after which a coat is on the body. */
const ON: ReadonlySet<ProgressKind> = new Set(["done", "tacky", "dry", "mended"]);

/** Whether a coat is on the body, by what was noted of it last. */
export function isOn(last: Pick<ProgressRecord, "kind"> | undefined): boolean {
  return last !== undefined && ON.has(last.kind);
}

/** Something that happened at the bench, complete in itself; only ever added. A countdown is never kept: it follows from these. */
export interface ProgressRecord {
  readonly id: ProgressId;
  readonly rev: number;
  readonly pieceId: PieceId;
  /** The plan that was followed. */
  readonly planId: PlanId;
  readonly stepId: StepId;
  readonly zone: ZoneId;
  readonly act: RecordedAct;
  /** From 1. */
  readonly coat: number;
  readonly half?: "first" | "second";
  readonly kind: ProgressKind;
  /** Paint it took out of the jar, mL, as the plan had it; unknown in older records. */
  readonly jarMl?: number;
  /** Hands on it, minutes, as the plan had it; unknown in older records. */
  readonly handsOnMin?: number;
  /** What was seen by the clock: of what was touched, its own film. */
  readonly actual?: Actual;
  /** Of a batch that is under way: pieces that have this coat by now. */
  readonly pieces?: number;
  /** Instant, ISO 8601. */
  readonly at: string;
}

/** One coat of one zone, before it is a record. */
export type CoatEvent = Pick<ProgressRecord, "stepId" | "zone" | "act" | "coat" | "half" | "jarMl" | "handsOnMin" | "actual" | "pieces">;

const ACT_FIELDS = ["role", "product", "ownProduct", "sheen", "colour", "technique", "method", "coverage", "marks", "rows", "heat", "group"] as const;

/**
 * What a record keeps of a step.
 *
 * @param step a step of a plan, with or without its numbers
 * @returns its act; fields the step does not have stay away
 */
export function actOf(step: StepChoice & { readonly wetMicrons?: number | null }): RecordedAct {
  const { thinning } = step;
  const own = Object.fromEntries(ACT_FIELDS.flatMap((field) => (step[field] === undefined ? [] : [[field, step[field]]]))) as unknown as RecordedAct;
  return {
    ...own,
    ...(typeof step.wetMicrons === "number" ? { wetMicrons: step.wetMicrons } : {}),
    ...(thinning ? { thinning: { with: thinning.with, percent: thinning.percent } } : {}),
  };
}
