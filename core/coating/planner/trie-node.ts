import type { StackBound } from "./rated";
import type { Judged } from "./judged";

/**
 * What is known of alternatives chosen in the order decisions are taken in: one searches the same few thousand branches for one measure after
 * another, and works out each of them once.
 */
export class TrieNode {
  /** What they come to before the rest is chosen. */
  boundOf: StackBound | null = null;
  /** The verdict, where every decision is taken. */
  judged: Judged | null = null;
  private readonly next = new Map<number, TrieNode>();

  /** The node one alternative further, by the alternative's number. */
  after(alternative: number): TrieNode {
    let known = this.next.get(alternative);
    if (!known) this.next.set(alternative, (known = new TrieNode()));
    return known;
  }
}
