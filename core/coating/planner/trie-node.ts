import type { SoFar } from "./domains";
import type { Judged } from "./judged";

/**
 * What is known of ways chosen in the order decisions are taken in: one searches the same few thousand branches for one measure after
 * another, and works out each of them once.
 */
export class Branch {
  /** What they come to before the rest is chosen. */
  soFar: SoFar | null = null;
  /** The verdict, where every decision is taken. */
  judged: Judged | null = null;
  private readonly next = new Map<number, Branch>();

  /** The branch one way further, by the way's number. */
  after(way: number): Branch {
    let known = this.next.get(way);
    if (!known) this.next.set(way, (known = new Branch()));
    return known;
  }
}
