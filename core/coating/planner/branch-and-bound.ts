import { NO_SPAN } from "./cost";
import { IncrementalCost, weighedOnTop } from "./incremental-cost";
import { sharedThingsKnown } from "./shared-thing";
import type { SharedThing } from "./shared-thing";
import type { TrieNode } from "./trie-node";
import { SuffixBounds } from "./suffix-bounds";
import type { RatedAlternative } from "./rated";
import { putZone } from "./zone-search";
import type { ZoneSearch } from "./zone-search";
import type { Judged } from "./judged";
import type { Given, Joined, Sought, ZoneLeast } from "./sought";

/** A search is exact up to here; then it grows content with what is worse by ever more of what nobody would notice, up to all of it. */
const EXACT_TURNS = 250;
const CONTENT_TURNS = 500;
/** Turns taken before the search gives up, however little is judged anew; more when any sound plan is sought, for then there is none to fall back on. */
const MOST_TURNS = 800;
const MOST_TURNS_FOR_ANY = 6000;
const EPSILON = 1e-7;

/**
 * Finds the plan of all zones that costs least by a measure: node and bound over every decision of every zone. A node is
 * left as soon as what is chosen, the least the rest can cost and the faults already known of it reach the best plan found.
 *
 * @returns the plan, or null when every combination is ruled out; `proved` says that no plan is better by more than nobody would notice;
 *   false when the search gave up before it had seen to all
 */
export function branchAndBound(
  searches: readonly ZoneSearch[],
  sought: Sought,
  given: Given = {},
): { readonly found: Joined | null; readonly proved: boolean } {
  return new BranchAndBound(searches, sought, given).run();
}

class BranchAndBound {
  private readonly cost: IncrementalCost;
  private readonly open: readonly (readonly (readonly RatedAlternative[])[])[];
  /** For each zone the order its decisions are taken in: the order of the work, so that what lies beneath is known. */
  private readonly orders: readonly (readonly number[])[];
  /** The least the decisions from here on add, for each zone. */
  private readonly rests: readonly (readonly number[])[];
  private readonly zonesRest: readonly number[];
  /** For each zone what adds up of each alternative, weighted. */
  private readonly plain: readonly Float64Array[];
  private readonly buyers: Int32Array;
  private readonly chosen: (RatedAlternative | undefined)[][];
  /** What the coats that colours want add in each zone, weighted. */
  private readonly more: number[];
  private readonly judged: (Judged | null)[];
  private readonly leasts: readonly (ZoneLeast | null)[];
  private readonly shared = new Map<string, string>();
  private readonly judgedBefore: number;
  private readonly suffixBounds: readonly SuffixBounds[];
  private best: Joined | null = null;
  private turns = 0;
  private slack = EPSILON;
  /** Likely faults of the zones that are settled. */
  private faults = 0;
  private gaveUp = false;
  /** Plans whose zones did not get on with each other. */
  private rejected = 0;

  constructor(
    private readonly searches: readonly ZoneSearch[],
    private readonly sought: Sought,
    private readonly given: Given,
  ) {
    this.leasts = given.leasts ?? [];
    this.best = given.best ?? null;
    this.judged = searches.map(() => null);
    this.suffixBounds = searches.map(() => new SuffixBounds(sought.weights));
    const { weights } = sought;
    this.cost = new IncrementalCost(weights, searches.length, sought.free);
    this.plain = searches.map((search) => search.rated(weights).plain);
    this.open = searches.map((search, zone) => {
      const { sorted } = search.rated(weights);
      const { forced } = sought;
      if (zone > 0 || !forced) return sorted;
      return sorted.map((alternatives, variable) => {
        const key = forced.get(search.variables[variable]!.name);
        return key === undefined ? alternatives : alternatives.filter((alternative) => alternative.key === key);
      });
    });
    this.orders = searches.map((search) => search.order);
    this.buyers = this.countBuyers();
    this.rests = this.orders.map((order, zone) => {
      const rest = new Array<number>(order.length + 1).fill(0);
      for (let depth = order.length - 1; depth >= 0; depth -= 1)
        rest[depth] =
          rest[depth + 1]! + this.open[zone]![order[depth]!]!.reduce((least, alternative) => Math.min(least, this.leastOf(zone, alternative)), Infinity);
      return rest;
    });
    const zonesRest = new Array<number>(searches.length + 1).fill(0);
    for (let zone = searches.length - 1; zone >= 0; zone -= 1)
      zonesRest[zone] = zonesRest[zone + 1]! + Math.max(this.rests[zone]![0]!, this.leasts[zone]?.total ?? -Infinity);
    for (const [zone, least] of this.leasts.entries()) this.cost.setSpan(zone, least?.span ?? NO_SPAN);
    this.zonesRest = zonesRest;
    this.chosen = searches.map((search) => new Array<RatedAlternative | undefined>(search.variables.length).fill(undefined));
    this.more = searches.map(() => 0);
    this.judgedBefore = this.judgedNow();
  }

  /** How many decisions can bring each product: whoever takes what only one can bring pays for it. */
  private countBuyers(): Int32Array {
    const known = sharedThingsKnown();
    const [variables, last] = [new Int32Array(known), new Int32Array(known)];
    let at = 0;
    for (const zone of this.open)
      for (const alternatives of zone) {
        at += 1;
        for (const { part } of alternatives)
          for (const thing of part.shared)
            if (last[thing.index] !== at && this.isBought(thing)) {
              last[thing.index] = at;
              variables[thing.index]! += 1;
            }
      }
    return variables;
  }

  private isBought({ kind, index }: SharedThing): boolean {
    return kind === "buy" && !this.sought.free?.has(index);
  }

  /** The least an alternative adds, whatever else is chosen. */
  private leastOf(zone: number, alternative: RatedAlternative): number {
    let buys = 0;
    for (const thing of alternative.part.shared) if (this.buyers[thing.index] === 1 && this.isBought(thing)) buys += 1;
    return this.plain[zone]![alternative.number]! + this.sought.weights.products * buys;
  }

  run(): { readonly found: Joined | null; readonly proved: boolean } {
    if (this.open.every((variables) => variables.every((alternatives) => alternatives.length > 0))) this.after(this.given.fixed ?? []);
    return { found: this.best, proved: !this.gaveUp };
  }

  private after(fixed: readonly Judged[]): void {
    for (const [zone, judged] of fixed.entries()) {
      putZone(this.cost, zone, judged);
      this.judged[zone] = judged;
      this.faults += judged.extra.faults;
      for (const [variable, { name, forAll }] of this.searches[zone]!.variables.entries())
        if (forAll) this.shared.set(name, judged.alternatives[variable]!.key);
    }
    this.zone(fixed.length);
  }

  private judgedNow(): number {
    let sum = 0;
    for (const search of this.searches) sum += search.judgedCount;
    return sum;
  }

  private enough(): boolean {
    if (this.sought.any && this.best) return true;
    if (this.gaveUp) return true;
    this.turns += 1;
    if (this.turns > EXACT_TURNS) this.slack = EPSILON + this.sought.unnoticed * Math.min(1, (this.turns - EXACT_TURNS) / (CONTENT_TURNS - EXACT_TURNS));
    this.gaveUp = this.turns > (this.sought.any ? MOST_TURNS_FOR_ANY : MOST_TURNS) || this.judgedNow() - this.judgedBefore > this.sought.most;
    return this.gaveUp;
  }

  private hopeless(total: number): boolean {
    return this.best !== null && total >= this.best.total - this.slack;
  }

  private ruledOut(search: ZoneSearch): boolean {
    return search.nogoods.stopped || search.nogoods.faults + this.faults > this.sought.mostFaults;
  }

  private zone(zone: number): void {
    if (zone === this.searches.length) return this.plan();
    const { root } = this.searches[zone]!;
    if (zone === 0) return this.variable(zone, 0, root);
    // What the zones from here on add may be known from much the same zones before them.
    const suffixBounds = this.suffixBounds[zone]!;
    const [state, agreed, mostFaults] = [this.cost.state(), [...this.shared.values()].join(), this.sought.mostFaults - this.faults];
    const before = this.cost.total();
    if (this.hopeless(before + suffixBounds.least(state, agreed, mostFaults))) return;
    const rejected = this.rejected;
    this.variable(zone, 0, root);
    // What did not get on with the zones before might with others.
    if (this.best && !this.gaveUp && !this.sought.any && this.rejected === rejected)
      suffixBounds.add(state, agreed, mostFaults, this.best.total - this.slack - before);
  }

  private choose(zone: number, variable: number, alternative: RatedAlternative): void {
    this.chosen[zone]![variable] = alternative;
    this.cost.putWeighed(alternative.part, this.plain[zone]![alternative.number]!);
    this.searches[zone]!.nogoods.choose(alternative.number);
  }

  private leave(zone: number, variable: number, alternative: RatedAlternative): void {
    const search = this.searches[zone]!;
    this.chosen[zone]![variable] = undefined;
    this.cost.takeWeighed(alternative.part, this.plain[zone]![alternative.number]!);
    search.nogoods.leave(alternative.number);
  }

  /** The least of what is chosen in a zone comes to. */
  private reckon(zone: number, node: TrieNode): void {
    const bound = this.searches[zone]!.boundAt(node, this.chosen[zone]!);
    const least = this.leasts[zone]?.span;
    const { span } = bound;
    this.more[zone] = weighedOnTop(this.sought.weights, bound);
    this.cost.setSpan(
      zone,
      least
        ? {
            underside: span.underside,
            chainMin: Math.max(span.chainMin, least.chainMin),
            cureDays: Math.max(span.cureDays, least.cureDays),
            shortfall: Math.max(span.shortfall, least.shortfall),
          }
        : span,
    );
  }

  private variable(zone: number, depth: number, node: TrieNode): void {
    const order = this.orders[zone]!;
    if (depth === order.length) return this.stack(zone);
    const variable = order[depth]!;
    const search = this.searches[zone]!;
    const before = this.cost.span(zone);
    const more = this.more[zone]!;
    const restore = () => {
      this.cost.setSpan(zone, before);
      this.more[zone] = more;
    };
    const plain = this.plain[zone]!;
    const { forAll, name } = search.variables[variable]!;
    const agreed = forAll ? this.shared.get(name) : undefined;
    const rest = this.rests[zone]![depth + 1]! + this.zonesRest[zone + 1]! + this.more[zone]! + this.cost.total();
    for (const alternative of this.open[zone]![variable]!) {
      if (agreed !== undefined && alternative.key !== agreed) continue;
      if (this.enough()) break;
      if (this.hopeless(rest + plain[alternative.number]!)) continue;
      this.choose(zone, variable, alternative);
      if (!this.ruledOut(search) && this.canWin(zone, depth + 1)) {
        const further = node.after(alternative.number);
        this.reckon(zone, further);
        if (this.canWin(zone, depth + 1)) {
          if (forAll && agreed === undefined) this.shared.set(name, alternative.key);
          this.variable(zone, depth + 1, further);
          if (forAll && agreed === undefined) this.shared.delete(name);
        }
        restore();
      }
      this.leave(zone, variable, alternative);
      // What was learnt below may rule out the choices made above: then nothing is left to find here.
      if (this.ruledOut(search)) break;
    }
  }

  private canWin(zone: number, depth: number): boolean {
    return !this.hopeless(this.cost.total() + this.more[zone]! + this.rests[zone]![depth]! + this.zonesRest[zone + 1]!);
  }

  private stack(zone: number): void {
    const search = this.searches[zone]!;
    const judged = search.judge(this.chosen[zone] as RatedAlternative[]);
    if (judged.stop !== null || this.faults + judged.extra.faults > this.sought.mostFaults) return;
    this.faults += judged.extra.faults;
    const before = this.cost.span(zone);
    const more = this.more[zone]!;
    this.more[zone] = 0;
    this.cost.put(judged.extra);
    this.cost.setSpan(zone, judged.span);
    if (!this.hopeless(this.cost.total() + this.zonesRest[zone + 1]!)) {
      this.judged[zone] = judged;
      this.zone(zone + 1);
      this.judged[zone] = null;
    }
    this.cost.take(judged.extra);
    this.cost.setSpan(zone, before);
    this.more[zone] = more;
    this.faults -= judged.extra.faults;
  }

  private plan(): void {
    const total = this.cost.total();
    if (this.hopeless(total)) return;
    const judged = this.judged.flatMap((one) => one ?? []);
    const stacks = judged.map((one) => one.stack);
    if (this.sought.soundTogether(stacks)) this.best = { stacks, judged, total };
    else this.rejected += 1;
  }
}
