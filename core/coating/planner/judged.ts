import type { StackFacts } from "../facts/facts";
import type { Part, Span } from "./cost";
import type { RatedAlternative } from "./rated";

/** A whole stack of one zone, judged: what stops it, or what it costs beyond the sum of its alternatives. */
export interface Judged {
  readonly alternatives: readonly RatedAlternative[];
  readonly stack: StackFacts;
  readonly stop: string | null;
  readonly extra: Part;
  readonly span: Span;
}
