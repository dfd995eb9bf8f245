import type { Spots } from "./clearance";
import type { Rings } from "./lay-row";
import type { SolvedRow } from "./solved";

/** A pattern while it is being laid out. */
export interface Laying {
  readonly rings: Rings;
  /** Of ovals: lines measured evenly in from the edge. */
  readonly evenRings: Rings | null;
  readonly outward: boolean;
  readonly guides: number;
  /** Levels that may be painted. */
  readonly inner: number;
  readonly outer: number;
  /** Level up to which it is laid. */
  edge: number;
  /** Rows of both families lie on it: their levels cannot be compared. */
  mixed: boolean;
  readonly laid: Spots;
  /** Spots no mark may lie on; null where there are none. */
  readonly kept: Spots | null;
  readonly before: SolvedRow[];
}
