import type { ProductId } from "../../catalogue/ids";
import type { Nogoods } from "./nogoods";
import { NO_SPAN } from "./cost";
import { IncrementalCost, weighedOnTop } from "./incremental-cost";
import type { Joined, Sought } from "./sought";
import type { Rated, RatedAlternative } from "./rated";
import { faultsIn, putZone } from "./zone-search";
import type { ZoneSearch } from "./zone-search";
import type { Judged } from "./judged";

const EPSILON = 1e-7;
/** Rounds over all decisions; two or three are enough. */
const MOST_ROUNDS = 4;

/**
 * Makes a plan better by changing one decision at a time, or one product for another wherever it stands, for as long as that helps.
 * It gives the search over everything a plan that is hard to beat, and so little to look at.
 *
 * @param how one decision at a time, or products and grounds in all zones together as well
 */
export function localSearch(searches: readonly ZoneSearch[], start: Joined, sought: Sought, how: "singly" | "together"): Joined {
  return new LocalSearch(searches, start, sought).run(how);
}

interface Place {
  readonly zone: number;
  readonly variable: number;
  readonly name: string;
  readonly forAll: boolean;
  readonly alternatives: readonly RatedAlternative[];
}

interface Turn extends Place {
  readonly alternative: RatedAlternative;
}

class LocalSearch {
  private readonly cost: IncrementalCost;
  private judged: readonly Judged[];
  /** The alternatives that are on the running cost: those judged, or those looked at. */
  private readonly alternatives: RatedAlternative[][];
  /** Decisions that are free. */
  private readonly places: readonly Place[];
  /** For each product where it can be laid, each time in the cheapest alternative. */
  private readonly laying: ReadonlyMap<ProductId, readonly Turn[]>;
  /** For each zone what its alternatives weigh by themselves, and what adds up of each. */
  private readonly rated: readonly Rated[];
  private faults: number;
  private total: number;

  constructor(
    private readonly searches: readonly ZoneSearch[],
    start: Joined,
    private readonly sought: Sought,
  ) {
    this.judged = start.judged;
    this.alternatives = start.judged.map((judged) => [...judged.alternatives]);
    this.cost = new IncrementalCost(sought.weights, searches.length);
    this.rated = searches.map((search) => search.rated(sought.weights));
    for (const [zone, judged] of this.judged.entries()) putZone(this.cost, zone, judged);
    this.faults = faultsIn(this.judged);
    this.total = this.cost.total();
    this.places = searches.flatMap((search, zone) =>
      search.variables.flatMap(({ name, forAll }, variable) => {
        const alternatives = search.domains[variable]!;
        return alternatives.length < 2 || (zone === 0 && sought.forced?.has(name)) ? [] : [{ zone, variable, name, forAll: forAll ?? false, alternatives }];
      }),
    );
    const laying = new Map<ProductId, Turn[]>();
    for (const place of this.places)
      if (!place.forAll)
        for (const [product, alternative] of this.cheapestLaying(place.zone, place.alternatives))
          laying.set(product, [...(laying.get(product) ?? []), { ...place, alternative }]);
    this.laying = laying;
  }

  /** What an alternative comes to by itself. */
  private alone(zone: number, alternative: RatedAlternative): number {
    return this.rated[zone]!.alone[alternative.number]!;
  }

  private cheapestLaying(zone: number, alternatives: readonly RatedAlternative[]): ReadonlyMap<ProductId, RatedAlternative> {
    const cheapest = new Map<ProductId, RatedAlternative>();
    for (const alternative of alternatives)
      for (const product of alternative.lays) {
        const known = cheapest.get(product);
        if (!known || this.alone(zone, alternative) < this.alone(zone, known)) cheapest.set(product, alternative);
      }
    return cheapest;
  }

  run(how: "singly" | "together"): Joined {
    this.visitAll((nogoods, alternative) => nogoods.choose(alternative.number));
    for (let round = 0; round < MOST_ROUNDS; round += 1) {
      for (let again = 0; again < MOST_ROUNDS && this.gaining(() => this.singly()); again += 1);
      if (how === "singly" || !this.gaining(() => this.together())) break;
    }
    this.visitAll((nogoods, alternative) => nogoods.leave(alternative.number));
    return { judged: this.judged, stacks: this.judged.map((one) => one.stack), total: this.total };
  }

  private visitAll(step: (nogoods: Nogoods, alternative: RatedAlternative) => void): void {
    for (const [zone, alternatives] of this.alternatives.entries()) for (const alternative of alternatives) step(this.searches[zone]!.nogoods, alternative);
  }

  private gaining(work: () => void): boolean {
    const before = this.total;
    work();
    return this.total < before - EPSILON;
  }

  private together(): void {
    this.everywhere();
    this.systems();
    this.wholeSystems();
  }

  /** One paint in everything it can lay, in all zones, under each seal: what stands by itself and what wants a film over it are far apart, step by step. */
  private wholeSystems(): void {
    const keys = (name: string) =>
      new Set(this.places.flatMap((place) => (place.name === name ? place.alternatives.map((alternative) => alternative.key) : [])));
    const seals = [...keys("sealing")].map((key) => this.inAllZones("sealing", key));
    for (const turns of this.laying.values()) {
      const paint = turns.filter((turn) => turn.name === "base" || turn.name.startsWith("layer-"));
      if (paint.length < 2 || paint.every((turn) => this.alternativeAt(turn) === turn.alternative)) continue;
      for (const seal of seals) this.attempt([...paint, ...seal]);
    }
  }

  private alternativeAt({ zone, variable }: Place): RatedAlternative {
    return this.alternatives[zone]![variable]!;
  }

  /** Every alternative of every decision in turn; what all zones have to agree on, in all of them. */
  private singly(): void {
    for (const place of this.places)
      for (const alternative of place.alternatives) {
        if (!place.forAll) {
          if (!this.isDearer(place, alternative)) this.attempt([{ ...place, alternative }]);
        } else if (place.zone === 0) this.attempt(this.inAllZones(place.name, alternative.key));
      }
  }

  private inAllZones(name: string, key: string): readonly Turn[] {
    return this.places.flatMap((place): readonly Turn[] => {
      const alternative = place.name === name ? place.alternatives.find((one) => one.key === key) : undefined;
      return alternative ? [{ ...place, alternative }] : [];
    });
  }

  /** Each product wherever it could go in a zone, and in the stead of each that is in use, in all zones: a jar is bought once. */
  private everywhere(): void {
    for (const [product, turns] of this.laying) {
      if (turns.length < 2) continue;
      for (const zone of this.searches.keys()) this.attempt(turns.filter((turn) => turn.zone === zone));
      const others = new Set(turns.flatMap((turn) => [...this.alternativeAt(turn).lays]));
      for (const other of others) if (other !== product) this.attempt(turns.filter((turn) => this.alternativeAt(turn).lays.has(other)));
    }
  }

  /** Each paint on each ground (or none), in all zones, and what is set on it in the same paint with it. */
  private systems(): void {
    const keys = (name: string) =>
      new Set(this.places.flatMap((place) => (place.name === name ? place.alternatives.map((alternative) => alternative.key) : [])));
    const grounds = [...keys("ground")].map((key) => this.inAllZones("ground", key));
    for (const base of keys("base")) {
      const bases = this.inAllZones("base", base);
      const [paint] = bases[0]!.alternative.lays;
      const now = new Set(bases.flatMap((place) => [...this.alternativeAt(place).lays]));
      const turns = (paint && this.laying.get(paint)) ?? [];
      const marks = turns.filter((turn) => turn.name !== "base" && turn.name !== "ground" && [...this.alternativeAt(turn).lays].some((one) => now.has(one)));
      // Under what is no paint a ground may be needed still.
      for (const ground of grounds) this.attempt([...marks, ...bases, ...ground.filter((turn) => bases.some((other) => other.zone === turn.zone))]);
    }
  }

  private swap({ zone, variable }: Place, from: RatedAlternative, to: RatedAlternative): void {
    const { plain } = this.rated[zone]!;
    this.cost.takeWeighed(from.part, plain[from.number]!);
    this.cost.putWeighed(to.part, plain[to.number]!);
    const { nogoods } = this.searches[zone]!;
    nogoods.leave(from.number);
    nogoods.choose(to.number);
    this.alternatives[zone]![variable] = to;
  }

  /** Already there, or dearer by itself than what stands there by more than sharing and waiting could make up for: not worth the look. */
  private isDearer(place: Place, alternative: RatedAlternative): boolean {
    const { unnoticed, weights } = this.sought;
    const here = this.alternativeAt(place);
    return here === alternative || this.alone(place.zone, alternative) - this.alone(place.zone, here) >= unnoticed + weights.faults * this.faults;
  }

  /** Takes the change if the plan is sound with it and costs less. */
  private attempt(turns: readonly Turn[]): void {
    const fresh = turns.filter((turn) => this.alternativeAt(turn) !== turn.alternative);
    if (fresh.length === 0) return;
    if (fresh.length === 1 && this.isDearer(fresh[0]!, fresh[0]!.alternative)) return;
    const zones = [...new Set(fresh.map((turn) => turn.zone))];
    for (const turn of fresh) this.swap(turn, this.alternativeAt(turn), turn.alternative);
    for (const zone of zones) this.cost.take(this.judged[zone]!.extra);
    if (this.mayGain(zones) && this.gains(zones)) return;
    for (const turn of fresh) this.swap(turn, turn.alternative, this.judged[turn.zone]!.alternatives[turn.variable]!);
    for (const zone of zones) {
      this.cost.put(this.judged[zone]!.extra);
      this.cost.setSpan(zone, this.judged[zone]!.span);
    }
  }

  /** Likely faults of the zones that stay as they are. */
  private faultsBeside(zones: readonly number[]): number {
    return zones.reduce((sum, zone) => sum - this.judged[zone]!.extra.faults, this.faults);
  }

  /** Whether the plan could be sound and cost less with these zones as they are on the running cost; with what is seen before they are judged. */
  private mayGain(zones: readonly number[]): boolean {
    const most = this.sought.mostFaults - this.faultsBeside(zones);
    for (const zone of zones) {
      const { nogoods } = this.searches[zone]!;
      if (nogoods.stopped || nogoods.faults > most) return false;
      this.cost.setSpan(zone, NO_SPAN);
    }
    let more = 0;
    for (const zone of zones) {
      if (this.cost.total() + more >= this.total - EPSILON) return false;
      const least = this.searches[zone]!.leastOfStack(this.alternatives[zone]!);
      this.cost.setSpan(zone, least.span);
      more += weighedOnTop(this.sought.weights, least);
    }
    return this.cost.total() + more < this.total - EPSILON;
  }

  /** Judges the zones anew, their alternatives being on the running cost, and takes them if the plan is sound with them and costs less. */
  private gains(zones: readonly number[]): boolean {
    const anew: Judged[] = [];
    let faults = this.faultsBeside(zones);
    for (const zone of zones) {
      const judged = this.searches[zone]!.judge(this.alternatives[zone]!);
      faults += judged.extra.faults;
      if (judged.stop !== null || faults > this.sought.mostFaults) return false;
      anew.push(judged);
    }
    for (const [index, zone] of zones.entries()) {
      this.cost.put(anew[index]!.extra);
      this.cost.setSpan(zone, anew[index]!.span);
    }
    const total = this.cost.total();
    const all = this.judged.map((judged, zone) => (zones.includes(zone) ? anew[zones.indexOf(zone)]! : judged));
    if (total < this.total - EPSILON && this.sought.soundTogether(all.map((one) => one.stack))) {
      this.judged = all;
      this.faults = faults;
      this.total = total;
      return true;
    }
    for (const judged of anew) this.cost.take(judged.extra);
    return false;
  }
}
