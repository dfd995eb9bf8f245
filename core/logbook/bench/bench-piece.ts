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
  readonly work: Work;
  /** Instant, ms, at which each task that is done ended. */
  readonly done: ReadonlyMap<string, number>;
  /** Instant, ms, at which the film of a task was last found tacky. */
  readonly tacky: ReadonlyMap<string, number>;
  /** All that was done on it, by time. */
  readonly progress: readonly ProgressRecord[];
  /** It is to be put right before anything else is done: from this instant on, ms. */
  readonly spoilt?: number;
}
