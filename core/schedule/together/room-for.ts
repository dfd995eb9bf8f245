import type { Node, Places } from "./network";

/** Bakes of one heat that are put in within so long of the first share its load, ms. */
const ONE_LOAD_MS = 30 * 60_000;

interface Baking {
  readonly like: string;
  readonly from: number;
  until: number;
  count: number;
}

/** Where wet pieces stand, and what is in the oven: nothing is begun for which there is no room when it is done. */
export class RoomFor {
  /** By load: until when it stands wet, and how many pieces it is. */
  private readonly standing = new Map<number, { readonly until: number; readonly count: number }>();
  private baking: Baking | null = null;

  constructor(
    private readonly nodes: readonly Node[],
    private readonly places: Places,
  ) {}

  /** The first instant from there on at which a task may begin. */
  from(index: number, at: number): number {
    const { ovenMs, wetMs } = this.nodes[index]!;
    if (ovenMs > 0) return this.ovenFrom(index, at);
    return wetMs > 0 && this.places.rack !== undefined ? this.rackFrom(index, at) : at;
  }

  private ovenFrom(index: number, at: number): number {
    const { baking } = this;
    return !baking || this.shares(index, at) ? at : Math.max(at, baking.until);
  }

  /** The same heat, put in while the oven is being filled, and there is room. */
  private shares(index: number, at: number): boolean {
    const { baking, places } = this;
    const { like, count } = this.nodes[index]!;
    return baking !== null && like === baking.like && at <= baking.from + ONE_LOAD_MS && baking.count + count <= (places.oven ?? Infinity);
  }

  private rackFrom(index: number, at: number): number {
    const { load, count, ms: whole, breakMs } = this.nodes[index]!;
    // It may be broken off after the first part, which stands wet then.
    const ms = Math.min(whole, breakMs);
    const others = [...this.standing].filter(([other, { until }]) => other !== load && until > at + ms).map(([, one]) => one);
    let used = others.reduce((sum, one) => sum + one.count, 0);
    let from = at;
    for (const { until, count: leaves } of others.sort((a, b) => a.until - b.until)) {
      if (used + count <= this.places.rack!) break;
      from = Math.max(from, until - ms);
      used -= leaves;
    }
    return from;
  }

  /** A stretch of work was done. */
  done(index: number, from: number, to: number): void {
    const { ovenMs, wetMs, load, count, like } = this.nodes[index]!;
    if (ovenMs > 0) {
      if (this.shares(index, from)) {
        this.baking!.count += count;
        this.baking!.until = Math.max(this.baking!.until, from + ovenMs);
      } else this.baking = { like, from, until: from + ovenMs, count };
    }
    if (wetMs > 0) this.standing.set(load, { until: Math.max(to + wetMs, this.standing.get(load)?.until ?? 0), count });
  }
}
