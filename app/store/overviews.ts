import type { Need } from "#core/shelf/needs";
import type { Overview } from "#core/logbook/overview";

export const OVERVIEWS_STORE = "overviews";

/** An overview as it was worked out, and of what. */
export interface KeptOverview {
  readonly id: string;
  readonly key: string;
  readonly overview: Overview;
  /** Paint it still wants; absent where that was not asked for. */
  readonly needs?: readonly Need[];
}
