import type { Candidate } from "../../coating/model/plan";
import type { Work } from "../../coating/facts/task";
import type { PieceWork } from "../../schedule/together/network";
import type { ProgressRecord } from "../progress";

/** A piece as it lies on the bench, with the plan that is followed. */
export interface BenchPiece extends Pick<PieceWork, "agreed" | "held" | "from"> {
  readonly id: string;
  readonly name: string;
  readonly count: number;
  /** The day it is needed: instant, ms; null where nobody has said. */
  readonly due: number | null;
  readonly shown: Candidate;
  /** Its work as it stands at the table: over what is on it, and what was found tacky left for longer. */
  readonly work: Work;
  /** What each task is alike by, the same paint in the same brush; absent: like no other. */
  readonly likes?: Readonly<Record<string, string>>;
  /** Instant, ms, at which each task that is done ended. */
  readonly done: ReadonlyMap<string, number>;
  /** All that was done on it, by time. */
  readonly progress: readonly ProgressRecord[];
  /** It is to be put right before anything else is done: from this instant on, ms. */
  readonly spoilt?: number;
}
