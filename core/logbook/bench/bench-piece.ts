import type { Candidate } from "../../coating/model/plan";
import type { Work } from "../../coating/facts/task";
import type { PieceWork } from "../../schedule/together/network";
import type { ProgressRecord } from "../progress";
import { begunTasks, leftOfBatch } from "./begun";

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

/** A piece as it is scheduled, with the word each task is alike by. */
export interface PlainWork extends Omit<PieceWork, "likeOf"> {
  readonly likes: Readonly<Record<string, string>>;
}

/** The work that is left of a piece, as it is scheduled among all. */
export function workLeft(piece: Omit<BenchPiece, "shown" | "name">): PlainWork {
  const { id, count, due, likes = {}, done, from, spoilt, agreed, held } = piece;
  const begins = Math.max(from ?? -Infinity, spoilt ?? -Infinity);
  return {
    id,
    work: leftOfBatch(piece),
    likes,
    count,
    due,
    done,
    begun: new Set(begunTasks(piece).keys()),
    ...(begins > -Infinity ? { from: begins } : {}),
    ...(agreed ? { agreed } : {}),
    ...(held ? { held } : {}),
  };
}

/** A piece as it is scheduled: what its tasks are alike by is asked of the words that went along. */
export function asPieceWork({ likes, ...piece }: PlainWork): PieceWork {
  return { ...piece, likeOf: ({ id }) => likes[id] ?? `${piece.id}/${id}` };
}
