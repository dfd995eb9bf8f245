import type { ProductId } from "../../catalogue/ids";
import type { Part, Span } from "./cost";

import type { Alternative } from "./draft";

/** An alternative of one decision, with what it brings at the least and its steps' places in the working order. */
export interface RatedAlternative extends Alternative {
  /** Unique in its search. */
  readonly number: number;
  readonly part: Part;
  readonly places: readonly number[];
  /** Products it lays, owned or not. */
  readonly lays: ReadonlySet<ProductId>;
  /** Its span when nothing else is chosen: what to try first where time counts. */
  readonly alone: Omit<Span, "shortfall">;
}

/** What a zone's alternatives weigh by one measure. */
export interface Rated {
  /** By alternative number: what adds up of it, and what it comes to by itself. */
  readonly plain: Float64Array;
  readonly alone: Float64Array;
  /** The domains, what is cheapest by itself first. */
  readonly sorted: readonly (readonly RatedAlternative[])[];
}

/** What chosen steps come to before the rest is chosen: the zone's span, and what comes on top of the alternatives' own minutes, coats and wear. */
export interface StackBound {
  readonly span: Span;
  readonly handsOnMin: number;
  readonly coats: number;
  readonly shortfall: number;
}
