import type { Form } from "../piece/form";
import type { Weighing } from "../drying/drying-curve";
import type { PowderKind, PowderLabel } from "./compound";
import type { Mould } from "./mould";
import type { Run } from "./weighing-run";
import type { Fault } from "./repair/fault";
import type { CastStage, Conditions, PreparationId } from "./stages";

/** A mould that is filled in a pour, complete in itself: it may be gone later. */
export interface PouredMould {
  readonly mould: string;
  readonly name: string;
  readonly form: Form;
  readonly part?: Mould["part"];
  readonly stiff?: boolean;
  readonly traps?: Mould["traps"];
  readonly count: number;
  /** What one of them holds, mL. */
  readonly ml: number;
}

/** One bowl of a pour: what is to be in it, what was weighed into it, and when it passed each stage. */
export interface Bowl {
  /** Moulds that are filled out of it, by their place in the pour. */
  readonly fills: readonly { readonly mould: number; readonly count: number }[];
  /** It is stirred beside the bowl before it, for the same mould: its body is counted there. */
  readonly beside?: true;
  readonly waterG: number;
  readonly powderG: number;
  readonly run: Run;
  /** Instant each stage was begun, ISO 8601. */
  readonly stages: Readonly<Partial<Record<CastStage, string>>>;
}

/** A fault as it was found on bodies of a pour, with what was done about it. */
export interface FoundFault extends Fault {
  readonly id: string;
  /** Rounds of filling that are done; absent: none. */
  readonly roundsDone?: number;
  /** It is mended. */
  readonly mended?: true;
}

/** Bodies out of one kind of mould, from when they were taken out. */
export interface CastBodies {
  /** By its place in the pour. */
  readonly mould: number;
  readonly count: number;
  /** Instant, ISO 8601. */
  readonly outAt: string;
  /** So many of them lie on the scale together. */
  readonly onScale: number;
  readonly weighings: readonly { readonly at: string; readonly g: number }[];
  readonly faults: readonly FoundFault[];
  /** Pieces they have become, and how many bodies each took. */
  readonly pieces: readonly { readonly piece: string; readonly count: number }[];
}

/** A pour from the first weighing to the last body that leaves it. */
export interface Pour {
  /** Instant, ISO 8601. */
  readonly at: string;
  readonly powder: {
    readonly kind: PowderKind;
    readonly name: string;
    readonly label: PowderLabel;
    /** The bag it came out of, where there is one. */
    readonly compound?: string;
    /** What a gram of it cost. */
    readonly paidPerG?: number;
  };
  readonly reservePercent: number;
  readonly bowlG?: number;
  readonly preparation: PreparationId;
  readonly conditions: Conditions;
  readonly moulds: readonly PouredMould[];
  readonly bowls: readonly Bowl[];
  readonly bodies: readonly CastBodies[];
}

/** Weighings as the drying curve takes them. */
export function weighingsOf({ weighings }: Pick<CastBodies, "weighings">): readonly Weighing[] {
  return weighings.map(({ at, g }) => ({ at: Date.parse(at), g }));
}

/** How many of its bodies are still here. */
export function bodiesLeft({ count, pieces }: Pick<CastBodies, "count" | "pieces">): number {
  return Math.max(0, count - pieces.reduce((sum, one) => sum + one.count, 0));
}

/** Powder that went into a pour, g: what was weighed. */
export function powderUsedG({ bowls }: Pick<Pour, "bowls">): number {
  return bowls.reduce((sum, { run }) => sum + (run.powderG ?? 0), 0);
}
