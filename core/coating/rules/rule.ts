import type { Provenance } from "../../catalogue/provenance";
import type { Role, Severity } from "../../catalogue/vocabulary";
import type { Change } from "../model/change";
import type { StackFacts, StepFact } from "../facts/facts";

export type Heading = "Surface" | "Ground and colour" | "Guides and masks" | "Locking and sealing" | "Heat" | "People and food" | "Time and room";

/** One place where a rule bites. */
export interface Hit {
  readonly at: StepFact | null;
  /** Fills `{word}` in the rule's message and fix. */
  readonly words?: Readonly<Record<string, string>>;
  /** What mends it; worked out only where it is said. */
  readonly change?: readonly Change[] | (() => readonly Change[]);
  /** Raised or lowered by use. */
  readonly severity?: Severity;
  /** The steps that are at fault together, whatever else is in the stack: lets the search skip every stack that has them all. Empty: it is
   * no step's fault, and every stack has it. */
  readonly culprits?: readonly StepFact[];
  /** Roles whose absence is part of the fault: with a step of one of them it might not be. Read together with `culprits`. */
  readonly missing?: readonly Role[];
  /** What decides is not known: said as a note with "if". */
  readonly unknown?: string;
}

/** A rule of the trade: a row of data and a small predicate over one zone's stack and its neighbours. */
export interface Rule {
  readonly code: string;
  readonly heading: Heading;
  readonly severity: Severity;
  readonly provenance: Provenance;
  /** When it fires, in a line of plain words. */
  readonly when: string;
  /** Names the layers: `{step}`, `{under}`, `{zone}`, `{material}` and the hit's own words. */
  readonly message: string;
  readonly why: string;
  readonly fix: string;
  /** A caution or fact of the whole piece: said once, for no zone. */
  readonly ofPiece?: boolean;
  /** Judges only waits and coats, which the planner sets right by itself: it speaks of what the user changed, and the search need not ask it. */
  readonly metByPlanning?: true;
  /** Looks at the other zones of the plan too: a stack that is sound by itself may break it beside its neighbours. */
  readonly acrossZones?: true;
  readonly find: (stack: StackFacts) => readonly Hit[];
}
