import type { Candidate } from "../../coating/model/plan";
import type { Work } from "../../coating/facts/task";
import type { ProgressRecord } from "../progress";

/** A piece as it lies on the bench, with the plan that is followed. */
export interface BenchPiece {
  readonly id: string;
  readonly name: string;
  readonly count: number;
  /** The day it is needed: instant, ms; null where nobody has said. */
  readonly due: number | null;
  readonly shown: Candidate;
  /** Its work as it stands at the table: over what is on it, and what was found tacky left for longer. */
  readonly work: Work;
  /** Instant, ms, at which each task that is done ended. */
  readonly done: ReadonlyMap<string, number>;
  /** All that was done on it, by time. */
  readonly progress: readonly ProgressRecord[];
  /** It is to be put right before anything else is done: from this instant on, ms. */
  readonly spoilt?: number;
}
