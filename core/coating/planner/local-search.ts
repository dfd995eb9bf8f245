import type { ProductId } from "../../catalogue/ids";
import type { Conflicts } from "./nogoods";
import { Ledger, NO_SPAN } from "./cost";
import type { Joined, Sought } from "./branch-and-bound";
import type { Way } from "./domains";
import { faultsIn, putZone } from "./zone-search";
import type { ZoneSearch } from "./zone-search";
import type { Judged } from "./judged";

const EPSILON = 1e-7;
/** Rounds over all decisions; two or three are enough. */
const MOST_ROUNDS = 4;

/**
 * Makes a plan better by changing one decision at a time, or one product for another wherever it stands, for as long as that helps.
 * It gives the walk over everything a plan that is hard to beat, and so little to look at.
 *
 * @param how one decision at a time, or products and grounds in all zones together as well
 */
export function polished(searches: readonly ZoneSearch[], start: Joined, sought: Sought, how: "singly" | "together"): Joined {
  return new Polish(searches, start, sought).run(how);
}

interface Place {
  readonly zone: number;
  readonly slot: number;
  readonly name: string;
  readonly forAll: boolean;
  readonly ways: readonly Way[];
}

interface Turn extends Place {
  readonly way: Way;
}

class Polish {
  private readonly ledger: Ledger;
  private judged: readonly Judged[];
  /** The ways that are on the ledger: those judged, or those looked at. */
  private readonly ways: Way[][];
  /** Decisions that are free. */
  private readonly places: readonly Place[];
  /** For each product where it can be laid, each time in the cheapest way. */
  private readonly laying: ReadonlyMap<ProductId, readonly Turn[]>;
  private readonly alones = new Map<Way, number>();
  private faults: number;
  private total: number;

  constructor(
    private readonly searches: readonly ZoneSearch[],
    start: Joined,
    private readonly sought: Sought,
  ) {
    this.judged = start.judged;
    this.ways = start.judged.map((judged) => [...judged.ways]);
    this.ledger = new Ledger(sought.weights, searches.length);
    for (const [zone, judged] of this.judged.entries()) putZone(this.ledger, zone, judged);
    this.faults = faultsIn(this.judged);
    this.total = this.ledger.total();
    this.places = searches.flatMap((search, zone) =>
      search.slots.flatMap(({ name, forAll }, slot) => {
        const ways = search.ways[slot]!;
        return ways.length < 2 || (zone === 0 && sought.forced?.has(name)) ? [] : [{ zone, slot, name, forAll: forAll ?? false, ways }];
      }),
    );
    const laying = new Map<ProductId, Turn[]>();
    for (const place of this.places)
      if (!place.forAll) for (const [product, way] of this.cheapestLaying(place.ways)) laying.set(product, [...(laying.get(product) ?? []), { ...place, way }]);
    this.laying = laying;
  }

  /** What a way comes to by itself. */
  private alone(way: Way): number {
    let known = this.alones.get(way);
    if (known === undefined) this.alones.set(way, (known = this.ledger.alone(way)));
    return known;
  }

  private cheapestLaying(ways: readonly Way[]): ReadonlyMap<ProductId, Way> {
    const cheapest = new Map<ProductId, Way>();
    for (const way of ways)
      for (const product of way.lays) {
        const known = cheapest.get(product);
        if (!known || this.alone(way) < this.alone(known)) cheapest.set(product, way);
      }
    return cheapest;
  }

  run(how: "singly" | "together"): Joined {
    this.walkInto((conflicts, way) => conflicts.choose(way.number));
    for (let round = 0; round < MOST_ROUNDS; round += 1) {
      for (let again = 0; again < MOST_ROUNDS && this.gaining(() => this.singly()); again += 1);
      if (how === "singly" || !this.gaining(() => this.together())) break;
    }
    this.walkInto((conflicts, way) => conflicts.leave(way.number));
    return { judged: this.judged, stacks: this.judged.map((one) => one.stack), total: this.total };
  }

  private walkInto(step: (conflicts: Conflicts, way: Way) => void): void {
    for (const [zone, ways] of this.ways.entries()) for (const way of ways) step(this.searches[zone]!.conflicts, way);
  }

  private gaining(work: () => void): boolean {
    const before = this.total;
    work();
    return this.total < before - EPSILON;
  }

  private together(): void {
    this.everywhere();
    this.systems();
  }

  private wayAt({ zone, slot }: Place): Way {
    return this.ways[zone]![slot]!;
  }

  /** Every way of every decision in turn; what all zones have to agree on, in all of them. */
  private singly(): void {
    for (const place of this.places)
      for (const way of place.ways) {
        if (!place.forAll) this.attempt([{ ...place, way }]);
        else if (place.zone === 0) this.attempt(this.inAllZones(place.name, way.key));
      }
  }

  private inAllZones(name: string, key: string): readonly Turn[] {
    return this.places.flatMap((place): readonly Turn[] => {
      const way = place.name === name ? place.ways.find((one) => one.key === key) : undefined;
      return way ? [{ ...place, way }] : [];
    });
  }

  /** Each product wherever it could go in a zone, and in the stead of each that is in use, in all zones: a jar is bought once. */
  private everywhere(): void {
    for (const [product, turns] of this.laying) {
      if (turns.length < 2) continue;
      for (const zone of this.searches.keys()) this.attempt(turns.filter((turn) => turn.zone === zone));
      const others = new Set(turns.flatMap((turn) => [...this.wayAt(turn).lays]));
      for (const other of others) if (other !== product) this.attempt(turns.filter((turn) => this.wayAt(turn).lays.has(other)));
    }
  }

  /** Each paint on each ground (or none), in all zones, and what is set on it in the same paint with it. */
  private systems(): void {
    const keys = (name: string) => new Set(this.places.flatMap((place) => (place.name === name ? place.ways.map((way) => way.key) : [])));
    const grounds = [...keys("ground")].map((key) => this.inAllZones("ground", key));
    for (const base of keys("base")) {
      const bases = this.inAllZones("base", base);
      const [paint] = bases[0]!.way.lays;
      const now = new Set(bases.flatMap((place) => [...this.wayAt(place).lays]));
      const turns = (paint && this.laying.get(paint)) ?? [];
      const marks = turns.filter((turn) => turn.name !== "base" && turn.name !== "ground" && [...this.wayAt(turn).lays].some((one) => now.has(one)));
      // Under what is no paint a ground may be needed still.
      for (const ground of grounds) this.attempt([...marks, ...bases, ...ground.filter((turn) => bases.some((other) => other.zone === turn.zone))]);
    }
  }

  private swap({ zone, slot }: Place, from: Way, to: Way): void {
    this.ledger.take(from.part);
    this.ledger.put(to.part);
    const { conflicts } = this.searches[zone]!;
    conflicts.leave(from.number);
    conflicts.choose(to.number);
    this.ways[zone]![slot] = to;
  }

  /** Dearer by itself than what stands there, by more than sharing and waiting could make up for: not worth the look. */
  private isDearer(turn: Turn): boolean {
    const { unnoticed, weights } = this.sought;
    return this.alone(turn.way) - this.alone(this.wayAt(turn)) >= unnoticed + weights.faults * this.faults;
  }

  /** Takes the change if the plan is sound with it and costs less. */
  private attempt(turns: readonly Turn[]): void {
    const fresh = turns.filter((turn) => this.wayAt(turn) !== turn.way);
    if (fresh.length === 0) return;
    if (fresh.length === 1 && this.isDearer(fresh[0]!)) return;
    const zones = [...new Set(fresh.map((turn) => turn.zone))];
    for (const turn of fresh) this.swap(turn, this.wayAt(turn), turn.way);
    for (const zone of zones) this.ledger.take(this.judged[zone]!.extra);
    if (this.mayGain(zones) && this.gains(zones)) return;
    for (const turn of fresh) this.swap(turn, turn.way, this.judged[turn.zone]!.ways[turn.slot]!);
    for (const zone of zones) {
      this.ledger.put(this.judged[zone]!.extra);
      this.ledger.setSpan(zone, this.judged[zone]!.span);
    }
  }

  /** Likely faults of the zones that stay as they are. */
  private faultsBeside(zones: readonly number[]): number {
    return zones.reduce((sum, zone) => sum - this.judged[zone]!.extra.faults, this.faults);
  }

  /** Whether the plan could be sound and cost less with these zones as they are on the ledger; with what is seen before they are judged. */
  private mayGain(zones: readonly number[]): boolean {
    const most = this.sought.mostFaults - this.faultsBeside(zones);
    for (const zone of zones) {
      const { conflicts } = this.searches[zone]!;
      if (conflicts.stopped || conflicts.faults > most) return false;
      this.ledger.setSpan(zone, NO_SPAN);
    }
    let more = 0;
    for (const zone of zones) {
      if (this.ledger.total() + more >= this.total - EPSILON) return false;
      const least = this.searches[zone]!.leastOfStack(this.ways[zone]!);
      this.ledger.setSpan(zone, least.span);
      more += this.ledger.onTop(least);
    }
    return this.ledger.total() + more < this.total - EPSILON;
  }

  /** Judges the zones anew, their ways being on the ledger, and takes them if the plan is sound with them and costs less. */
  private gains(zones: readonly number[]): boolean {
    const anew: Judged[] = [];
    let faults = this.faultsBeside(zones);
    for (const zone of zones) {
      const judged = this.searches[zone]!.judge(this.ways[zone]!);
      faults += judged.extra.faults;
      if (judged.stop !== null || faults > this.sought.mostFaults) return false;
      anew.push(judged);
    }
    for (const [index, zone] of zones.entries()) {
      this.ledger.put(anew[index]!.extra);
      this.ledger.setSpan(zone, anew[index]!.span);
    }
    const total = this.ledger.total();
    const all = this.judged.map((judged, zone) => (zones.includes(zone) ? anew[zones.indexOf(zone)]! : judged));
    if (total < this.total - EPSILON && this.sought.soundTogether(all.map((one) => one.stack))) {
      this.judged = all;
      this.faults = faults;
      this.total = total;
      return true;
    }
    for (const judged of anew) this.ledger.take(judged.extra);
    return false;
  }
}
