import { dryAt } from "./network";
import type { Places } from "./loads";
import type { Node } from "./network";

/** Bakes of one heat that are put in within so long of the first share its load, ms [judgement of this project]. */
const ONE_LOAD_MS = 30 * 60_000;

/** What is in the oven at once. */
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
  private readonly bakes: Baking[] = [];

  constructor(
    private readonly nodes: readonly Node[],
    private readonly places: Places,
  ) {}

  /**
   * The first instant from there on at which a task may begin.
   *
   * @param leastMs of work before any of it stands wet: all that is left, or a part
   */
  from(index: number, at: number, leastMs: number): number {
    const { ovenMs, dries } = this.nodes[index]!;
    if (ovenMs > 0) return this.ovenFrom(index, at);
    return dries.length > 0 && this.places.rack !== undefined ? this.rackFrom(index, at, leastMs) : at;
  }

  /** With several hands a later load may be known before an earlier one is put in: all of them are looked at. */
  private ovenFrom(index: number, at: number): number {
    const { ovenMs } = this.nodes[index]!;
    const inTheWay = (from: number) => this.bakes.find((load) => load.from < from + ovenMs && from < load.until && !this.shares(index, load, from));
    let from = at;
    for (let load = inTheWay(from); load; load = inTheWay(from)) from = load.until;
    return from;
  }

  /** The same heat, put in while the oven is being filled, and there is room. */
  private shares(index: number, load: Baking, at: number): boolean {
    const { like, count } = this.nodes[index]!;
    return like === load.like && Math.abs(at - load.from) <= ONE_LOAD_MS && load.count + count <= (this.places.oven ?? Infinity);
  }

  private rackFrom(index: number, at: number, ms: number): number {
    const { load, count } = this.nodes[index]!;
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
    const node = this.nodes[index]!;
    const { ovenMs, load, count, like } = node;
    if (ovenMs > 0) {
      const baking = this.bakes.find((one) => one.from < from + ovenMs && from < one.until && this.shares(index, one, from));
      if (baking) {
        baking.count += count;
        baking.until = Math.max(baking.until, from + ovenMs);
      } else this.bakes.push({ like, from, until: from + ovenMs, count });
      // What cools does so in the oven, and not on the rack.
    } else if (node.dries.length > 0) this.standing.set(load, { until: Math.max(dryAt(node, to), this.standing.get(load)?.until ?? 0), count });
  }
}
