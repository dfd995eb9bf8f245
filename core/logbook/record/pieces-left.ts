import type { LogRecord } from "./record";

/** Where the pieces of a record are. */
export interface PiecesOf {
  /** Still here: neither given, sold, left out nor lost. */
  readonly here: number;
  readonly sold: number;
  readonly given: number;
  readonly leftOut: number;
  /** Kept by the maker: still here, but not for sale. */
  readonly kept: number;
  readonly lost: number;
  /** What the sold ones brought, in the user's money; those without a price are in `soldUnpriced`. */
  readonly takings: number;
  readonly soldUnpriced: number;
}

type Moved = Pick<LogRecord, "count" | "moves">;

/** Where the pieces of a record are, folded from its moves. */
export function piecesOf({ count, moves }: Moved): PiecesOf {
  const of = (kind: LogRecord["moves"][number]["kind"]) => moves.filter((one) => one.kind === kind);
  const sum = (list: LogRecord["moves"]) => list.reduce((all, one) => all + one.count, 0);
  const sold = of("sold");
  return {
    here: Math.max(0, count - sum(moves)),
    sold: sum(sold),
    given: sum(of("given")),
    leftOut: sum(of("left-out")),
    kept: sum(of("kept")),
    lost: sum(of("lost")),
    takings: sold.reduce((all, one) => all + (one.price ?? 0) * one.count, 0),
    soldUnpriced: sum(sold.filter(({ price }) => price === undefined)),
  };
}

/**
 * The next number of an edition: pieces are numbered as they leave.
 *
 * @example editionNumber({ count: 20, moves: [] }) // 1
 */
export function editionNumber({ count, moves }: Moved): number {
  return Math.min(count, moves.reduce((sum, one) => sum + one.count, 0) + 1);
}

/** A line of the stall. */
export interface StallLine {
  readonly record: LogRecord;
  readonly pieces: PiecesOf;
  readonly price: number | null;
}

/** What can be taken along to a stall, and what was sold of each; what is all gone and never sold is not on it. */
export function stallOf(records: readonly LogRecord[]): readonly StallLine[] {
  return records
    .map((record) => ({ record, pieces: piecesOf(record), price: record.money?.price ?? null }))
    .filter(({ pieces }) => pieces.here > 0 || pieces.sold > 0)
    .sort((a, b) => b.pieces.here - a.pieces.here || a.record.name.localeCompare(b.record.name));
}
