import type { PieceWork } from "../../schedule/together/network";
import { begunTasks, leftOfBatch } from "./begun";
import type { BenchPiece } from "./bench-piece";

/** A piece as it is scheduled, with the word each task is alike by. */
export interface PlainWork extends Omit<PieceWork, "likeOf"> {
  readonly likes: Readonly<Record<string, string>>;
}

/** The work that is left of a piece, as it is scheduled among all. */
export function workLeft(piece: Omit<BenchPiece, "shown" | "name">): PlainWork {
  const { id, count, due, likes = {}, done, from, spoilt, agreed, held } = piece;
  return {
    id,
    work: leftOfBatch(piece),
    likes,
    count,
    due,
    done,
    begun: new Set(begunTasks(piece).keys()),
    ...(from === undefined ? {} : { from }),
    ...(spoilt === undefined ? {} : { spoilt }),
    ...(agreed ? { agreed } : {}),
    ...(held ? { held } : {}),
  };
}

/** A piece as it is scheduled: what its tasks are alike by is asked of the words that went along. */
export function asPieceWork({ likes, ...piece }: PlainWork): PieceWork {
  return { ...piece, likeOf: ({ id }) => likes[id] ?? `${piece.id}/${id}` };
}
