import type { StackFacts } from "../facts/facts";
import type { Part, Span } from "./cost";
import type { Way } from "./domains";

/** A whole stack of one zone, judged: what stops it, or what it costs beyond the sum of its ways. */
export interface Judged {
  readonly ways: readonly Way[];
  readonly stack: StackFacts;
  readonly stop: string | null;
  readonly extra: Part;
  readonly span: Span;
}
