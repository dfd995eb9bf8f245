import type { Severity } from "#core/catalogue/vocabulary";
import type { Piece } from "#core/piece/piece";
import type { Stacks } from "../bench";

/** A real sequence that fails, told twice: as it went wrong, and as it should have gone. */
export interface Story {
  readonly code: string;
  readonly tells: string;
  readonly piece: Piece;
  readonly wrong: Stacks;
  readonly severity: Severity;
  /** The sound way: the same rule stays silent. */
  readonly right: Stacks;
  /** The sound piece, where it is the piece that was wrong. */
  readonly rightPiece?: Piece;
}
