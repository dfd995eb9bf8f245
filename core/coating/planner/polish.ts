import { Ledger } from "./cost";
import type { Joined, Sought } from "./walk";
import { putZone } from "./zone-search";
import type { Way } from "./way-table";
import type { Judged, ZoneSearch } from "./zone-search";

const EPSILON = 1e-7;
/** Rounds over all decisions; two or three are enough. */
const MOST_ROUNDS = 4;

/**
 * Makes a plan better by changing one decision at a time, or all that could use the same product, for as long as that helps. It
 * gives the walk over everything a plan that is hard to beat, and so little to look at.
 */
export function polished(searches: readonly ZoneSearch[], start: Joined, sought: Sought): Joined {
  return new Polish(searches, start, sought).run();
}

class Polish {
  private readonly ledger: Ledger;
  private readonly judged: Judged[];
  private faults: number;
  private total: number;

  constructor(
    private readonly searches: readonly ZoneSearch[],
    start: Joined,
    private readonly sought: Sought,
  ) {
    this.judged = [...start.judged];
    this.ledger = new Ledger(sought.weights, searches.length);
    for (const [zone, judged] of this.judged.entries()) putZone(this.ledger, zone, judged);
    this.faults = this.judged.reduce((sum, one) => sum + one.extra.faults, 0);
    this.total = this.ledger.total();
  }

  run(): Joined {
    for (let round = 0; round < MOST_ROUNDS; round += 1) {
      const before = this.total;
      for (const zone of this.searches.keys()) this.zone(zone);
      if (this.total > before - EPSILON) break;
    }
    return { judged: this.judged, stacks: this.judged.map((one) => one.stack), total: this.total };
  }

  private take({ ways, extra }: Judged): void {
    for (const way of ways) this.ledger.take(way.part);
    this.ledger.take(extra);
  }

  private isOpen(zone: number, slot: number): boolean {
    const { name, forAll } = this.searches[zone]!.slots[slot]!;
    return !(zone === 0 && this.sought.forced?.has(name)) && !(forAll && this.searches.length > 1);
  }

  private zone(zone: number): void {
    const { ways } = this.searches[zone]!;
    for (const [slot, open] of ways.entries()) {
      if (open.length < 2 || !this.isOpen(zone, slot)) continue;
      for (const way of open) {
        // Dearer by itself than what stands there, by more than sharing and waiting could make up for: not worth the look.
        const dearer = this.ledger.alone(way) - this.ledger.alone(this.judged[zone]!.ways[slot]!);
        if (dearer < this.sought.unnoticed) this.attempt(zone, new Map([[slot, way]]));
      }
    }
    const products = new Set(ways.flatMap((open) => open.flatMap((way) => way.part.toBuy)));
    for (const product of products) {
      const together = new Map<number, Way>();
      for (const [slot, open] of ways.entries()) {
        const way = this.isOpen(zone, slot) ? open.find((one) => one.part.toBuy.includes(product)) : undefined;
        if (way) together.set(slot, way);
      }
      if (together.size > 1) this.attempt(zone, together);
    }
  }

  /** Takes the change if the plan is sound with it and costs less. */
  private attempt(zone: number, change: ReadonlyMap<number, Way>): void {
    const search = this.searches[zone]!;
    const now = this.judged[zone]!;
    if ([...change].every(([slot, way]) => now.ways[slot] === way)) return;
    const ways = now.ways.map((way, slot) => change.get(slot) ?? way);
    if (search.ruledOut(ways, this.sought.mostFaults - this.faults + now.extra.faults)) return;
    this.take(now);
    const total = this.withWays(zone, ways);
    if (total !== null) {
      this.total = total;
      return;
    }
    putZone(this.ledger, zone, now);
  }

  /** The total with other ways in a zone, its parts put on; null, with nothing put on, when that is no better or not sound. */
  private withWays(zone: number, ways: readonly Way[]): number | null {
    const search = this.searches[zone]!;
    const { weights, mostFaults } = this.sought;
    const before = this.judged[zone]!;
    for (const way of ways) this.ledger.put(way.part);
    const soFar = search.soFar(ways.flatMap((way) => way.places));
    const wear = ways.reduce((sum, way) => sum + way.part.wear, 0);
    this.ledger.setSpan(zone, { ...soFar.span, wear });
    const least = this.ledger.total() + weights.handsOnMin * soFar.handsOnMin + weights.coats * soFar.coats;
    for (const way of ways) this.ledger.take(way.part);
    if (least >= this.total - EPSILON) return null;
    const judged = search.judge(ways);
    const faults = this.faults - before.extra.faults + judged.extra.faults;
    if (judged.stop !== null || faults > mostFaults) return null;
    putZone(this.ledger, zone, judged);
    const total = this.ledger.total();
    this.judged[zone] = judged;
    if (total < this.total - EPSILON && this.sought.soundTogether(this.judged.map((one) => one.stack))) {
      this.faults = faults;
      return total;
    }
    this.judged[zone] = before;
    this.take(judged);
    return null;
  }
}
