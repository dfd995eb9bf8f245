import type { ProductId } from "./ids";
import type { Condition } from "./vocabulary";
import type { Soil } from "./aid";

/** A state a piece may be in, what it brings with it, and what is done about it. */
export interface ConditionKind {
  readonly id: Condition;
  /** Short, as said of a piece in hand. */
  readonly name: string;
  /** As a reason, after "because": "it has air holes". */
  readonly said: string;
  readonly soil: Soil | null;
  /** Cleaning it adds, in order. */
  readonly adds: readonly ProductId[];
  /** Unevenness to fill or level. */
  readonly uneven: boolean;
  /** An old film to key. */
  readonly oldFilm: boolean;
  /** An old film that gives no grip of its own. */
  readonly glossy: boolean;
  /** Bleeds colour through pale films. */
  readonly bleeds: boolean;
  /** Wet inside; minutes it takes to dry out [from memory], beyond the material's own. */
  readonly driesForMin: number;
}
