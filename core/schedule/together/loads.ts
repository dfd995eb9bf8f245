import type { Work } from "../../coating/facts/task";

/** How many pieces there is room for at once. */
export interface Places {
  /** Where wet pieces stand to dry; absent: as many as there are. */
  readonly rack?: number;
  /** In the oven; absent: as many as there are. */
  readonly oven?: number;
}

/** Pieces of a kind, with the work that is to be done on them. */
interface Batch {
  readonly id: string;
  readonly count: number;
  readonly work: Work;
}

/** A batch, or as much of it as goes together. */
export interface Load<Piece extends Batch> {
  readonly piece: Piece;
  readonly index: number;
  readonly count: number;
  readonly key: string;
}

/** Loads all pieces together may go in for want of room: more nobody dates. */
export const MOST_LOADS = 400;
/** Loads that one batch goes in because it is worked while it is wet, at most. */
const MOST_WET_LOADS = 40;
/** Nobody paints a piece in less, minutes. */
const LEAST_PIECE_MIN = 0.1;

/** In how many loads a batch goes for which there is no room at once. */
function roomLoads({ count, work }: Pick<Batch, "count" | "work">, { rack = Infinity, oven = Infinity }: Places): number {
  const most = Math.min(rack, work.tasks.some((task) => task.oven) ? oven : Infinity);
  return Math.max(1, Math.ceil(count / most));
}

/** In how many a batch goes that is worked while it is wet: of each the first piece is wet still when its next colour comes. */
function wetLoads({ count, work: { tasks } }: Batch): number {
  const minutes = new Map(tasks.map(({ id, handsOnMin }) => [id, handsOnMin / count]));
  const most = tasks.flatMap(({ id, after }) =>
    after.flatMap(({ task, wet, closesMin = Infinity }) => {
      const slower = Math.max(minutes.get(id)!, minutes.get(task) ?? 0, LEAST_PIECE_MIN);
      return wet ? [1 + Math.floor(closesMin / slower)] : [];
    }),
  );
  return Math.min(MOST_WET_LOADS, Math.ceil(count / Math.min(count, ...most)));
}

/** With so little room the pieces would go in more loads than anybody dates. */
export function isTooLittleRoom(pieces: readonly Pick<Batch, "count" | "work">[], places: Places): boolean {
  return pieces.reduce((sum, piece) => sum + roomLoads(piece, places), 0) > MOST_LOADS;
}

/** A batch for which there is no room at once, or that is worked while it is wet, goes in loads as even as may be. */
export function loadsOf<Piece extends Batch>(piece: Piece, index: number, places: Places): readonly Load<Piece>[] {
  const loads = Math.max(roomLoads(piece, places), wetLoads(piece));
  return Array.from({ length: loads }, (_unused, k) => ({
    piece,
    index,
    count: Math.floor(((k + 1) * piece.count) / loads) - Math.floor((k * piece.count) / loads),
    key: `${piece.id}/${k}`,
  }));
}
