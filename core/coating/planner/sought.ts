import type { StackFacts } from "../facts/facts";
import type { Cost, Span } from "./cost";
import type { Judged } from "./judged";

/** A plan of all zones: one judged stack for each search. */
export interface Joined {
  readonly stacks: readonly StackFacts[];
  readonly judged: readonly Judged[];
  readonly total: number;
}

export interface Sought {
  readonly weights: Record<keyof Cost, number>;
  /** Variable name → alternative key in the first zone: a school that is to be followed. */
  readonly forced?: ReadonlyMap<string, string>;
  /** Likely faults a plan may have; more rule it out. */
  readonly mostFaults: number;
  /** Stacks that may be judged anew before the search gives up. */
  readonly most: number;
  /** Indexes of shared things that cost nothing here: another zone may have them already. */
  readonly free?: ReadonlySet<number>;
  /** Weighted cost that nobody would notice: a long search may end with a plan that is dearer by no more than this. */
  readonly unnoticed: number;
  /** The first plan will do. */
  readonly any?: boolean;
  /** Judges all zones together; a stack that is sound by itself may harm its neighbour. */
  readonly soundTogether: (stacks: readonly StackFacts[]) => boolean;
}

/** What a zone adds to a plan at the least, whatever is chosen elsewhere. */
export interface ZoneLeast {
  readonly total: number;
  readonly span: Span;
}

/** What is known before the search. */
export interface Given {
  /** What each zone adds at the least. */
  readonly leasts?: readonly (ZoneLeast | null)[];
  /** A plan already found; only a better one is looked for. */
  readonly best?: Joined | null;
  /** Stacks of the first zones that stay as they are. */
  readonly fixed?: readonly Judged[];
}
