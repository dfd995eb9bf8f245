import type { Route } from "../../catalogue/vocabulary";
import type { StackFacts } from "../facts/facts";
import type { Candidate, Finding } from "../model/plan";
import { MEASURES, SLACK, NO_SPAN, NOTHING_COUNTS as NOTHING } from "./cost";
import type { Cost, MeasureName, Span } from "./cost";
import { localSearch } from "./local-search";
import type { PracticeVariant } from "./practice-variants";
import { faultsIn } from "./zone-search";
import { asJoined, coloursIn, hasNothingToGain, reweighed } from "./found";
import type { Found } from "./found";
import { branchAndBound } from "./branch-and-bound";
import type { Joined, Sought, ZoneLeast } from "./sought";
import type { ZoneSearch } from "./zone-search";
import type { Judged } from "./judged";
import { lowerFirst } from "../../units/letter-case";

/** Stacks judged anew before a search gives up: for a measure, for one zone beside others, for a school that does not come easily, for any plan at all. */
const MOST = { measure: 100, front: 30, school: 40, any: 300 } as const;
/** Beyond this many likely faults they are no longer counted. */
const MOST_FAULTS = 6;
/** Sought from the front on; for the other measures the best all round is as good a start. */
const FROM_THE_FRONT: readonly Found["measure"][] = ["balanced", "soonest"];

/** A zone's first stack, whatever it costs. */
const ANY = { weights: MEASURES.balanced, unnoticed: 0, most: MOST.any, any: true, mostFaults: Infinity, soundTogether: () => true } as const;

interface Piecewide {
  readonly route: Route;
  /** Judges all zones of a plan together. */
  readonly sound: (stacks: readonly StackFacts[]) => boolean;
  readonly why: (stacks: readonly StackFacts[]) => Finding | null;
  readonly candidate: (stacks: readonly StackFacts[]) => Candidate;
  /** Some price is known: then there is a cheapest. */
  readonly priced: boolean;
}

/** The plans of one route: by measure, by school, or any at all. */
export class RouteSearch {
  private unsound: Finding | null = null;
  /** The first stack of each zone; null where one has none, undefined before they were looked for. */
  private found: readonly Judged[] | null | undefined;
  private leastFaults: number | null = null;
  /** A sound plan with as few likely faults as can be. */
  private start: Joined | null = null;
  private allRound: Found | null = null;
  private spans: readonly Span[] | null = null;
  private readonly bests = new Map<MeasureName, Found | null>();
  private readonly leastsOf = new Map<MeasureName, readonly (ZoneLeast | null)[]>();

  constructor(
    readonly searches: readonly ZoneSearch[],
    private readonly piece: Piecewide,
  ) {}

  get route(): Route {
    return this.piece.route;
  }

  private soundTogether = (stacks: readonly StackFacts[]): boolean => {
    const sound = this.piece.sound(stacks);
    if (!sound && !this.unsound) this.unsound = this.piece.why(stacks);
    return sound;
  };

  private seek(measure: MeasureName, as: Found["measure"], most: number, forced?: ReadonlyMap<string, string>): Found | null {
    const firsts = this.firsts();
    if (!firsts) return null;
    const sought = { weights: MEASURES[measure], unnoticed: SLACK[measure], most, soundTogether: this.soundTogether, ...(forced ? { forced } : {}) };
    if (this.leastFaults === null) this.leastFaults = this.findLeastFaults(firsts);
    const { found, proved } = this.leastOfAll({ ...sought, mostFaults: this.leastFaults }, as);
    if (!found) return null;
    const plan: Found = {
      route: this.route,
      joined: found,
      measure: as,
      proved,
      variables: this.searches[0]!.variables,
      make: () => this.piece.candidate(found.stacks),
    };
    if (as === "balanced") this.allRound = plan;
    return plan;
  }

  /** Measures that tell plans of this piece apart. */
  get measures(): readonly MeasureName[] {
    return (Object.keys(MEASURES) as MeasureName[]).filter((measure) => measure !== "cheapest" || this.piece.priced);
  }

  best(measure: MeasureName): Found | null {
    let known = this.bests.get(measure);
    if (known === undefined) this.bests.set(measure, (known = this.sought(measure)));
    return known;
  }

  private sought(measure: MeasureName): Found | null {
    const { allRound } = this;
    return allRound && hasNothingToGain(allRound.joined, measure)
      ? { ...allRound, joined: reweighed(allRound.joined, measure), measure }
      : this.seek(measure, measure, MOST.measure);
  }

  /**
   * The best of all zones together: a sound plan made better one decision at a time; then, for a measure, a search over every decision
   * of every zone for anything better still.
   */
  private leastOfAll(sought: Sought, as: Found["measure"]): { readonly found: Joined | null; readonly proved: boolean } {
    const start = sought.forced
      ? (this.turnedTo(sought) ?? branchAndBound(this.searches, { ...sought, any: true }).found)
      : (this.allRound?.joined ?? this.start);
    if (!start) return { found: null, proved: false };
    const front = this.searches.length > 1 && FROM_THE_FRONT.includes(as) ? this.frontFirst(sought) : null;
    const singly = localSearch(this.searches, front ?? start, sought, as === "school" ? "singly" : "together");
    // A school is whole: where one came out in more paints than the plan it differs from, they are looked for together.
    const best =
      as === "school" && this.allRound && coloursIn(singly) > coloursIn(this.allRound.joined) ? localSearch(this.searches, singly, sought, "together") : singly;
    if (as === "school") return { found: best, proved: false };
    return branchAndBound(this.searches, sought, { best, leasts: this.leasts(as, sought.mostFaults) });
  }

  /** The best plan all round with only the forced alternatives changed, where it is sound so. */
  private turnedTo({ forced, mostFaults }: Sought): Joined | null {
    const from = this.allRound?.joined;
    const main = this.searches[0]!;
    const alternatives = from?.judged[0]!.alternatives.map((alternative, variable) => {
      const key = forced!.get(main.variables[variable]!.name);
      return key === undefined ? alternative : main.domains[variable]!.find((one) => one.key === key);
    });
    if (!from || !alternatives?.every((alternative) => alternative !== undefined) || main.ruledOut(alternatives, mostFaults)) return null;
    const first = main.judge(alternatives);
    if (first.stop !== null) return null;
    // A school means the whole piece: places that went with the main one go with it still, where they can.
    const rest = from.judged.slice(1).map((judged, index) => this.alongWith(judged, this.searches[index + 1]!, from.judged[0]!, forced!, mostFaults));
    return this.ifSound([first, ...rest], mostFaults) ?? this.ifSound([first, ...from.judged.slice(1)], mostFaults);
  }

  /** A zone's stack with the forced alternatives in place of those it had alike with the main zone. */
  private alongWith(judged: Judged, search: ZoneSearch, was: Judged, forced: ReadonlyMap<string, string>, mostFaults: number): Judged {
    const main = this.searches[0]!;
    const wasKey = (name: string) => was.alternatives[main.variables.findIndex((variable) => variable.name === name)]?.key;
    const turned = judged.alternatives.map((alternative, at) => {
      const { name } = search.variables[at]!;
      const key = forced.get(name);
      const other = key === undefined || alternative.key !== wasKey(name) ? undefined : search.domains[at]!.find((one) => one.key === key);
      return other ?? alternative;
    });
    if (search.ruledOut(turned, mostFaults)) return judged;
    const anew = search.judge(turned);
    return anew.stop === null && anew.extra.faults <= judged.extra.faults ? anew : judged;
  }

  /** A zone's own best by some weights, while all that another zone could share is free; null where that is not proved. */
  private alone(search: ZoneSearch, weights: Partial<Record<keyof Cost, number>>, mostFaults: number): Joined | null {
    const elsewhere = new Set(this.searches.flatMap((other) => (other === search ? [] : other.mayShare.map((thing) => thing.index))));
    const free = new Set(
      search.mayShare.flatMap((thing) => ((thing.kind !== "buy" && thing.kind !== "kind") || elsewhere.has(thing.index) ? [thing.index] : [])),
    );
    const sought = { weights: { ...NOTHING, ...weights }, unnoticed: 0, most: MOST.measure, mostFaults, free, soundTogether: () => true };
    const { found, proved } = branchAndBound([search], sought);
    return proved ? found : null;
  }

  /** The shortest chain and cure, and the least wear, that each zone but the main one can have. */
  private leastSpans(mostFaults: number): readonly Span[] {
    this.spans ??= this.searches.map((search, index): Span => {
      if (index === 0) return NO_SPAN;
      const least = (weights: Partial<Record<keyof Cost, number>>) => this.alone(search, weights, mostFaults)?.judged[0]?.span ?? NO_SPAN;
      return {
        underside: search.underside,
        chainMin: least({ days: 1 }).chainMin,
        cureDays: least({ cureDays: 1 }).cureDays,
        shortfall: least({ shortfall: 1 }).shortfall,
      };
    });
    return this.spans;
  }

  /**
   * What each zone but the main one adds at the least by a measure. With it the search over all zones turns only to those stacks of
   * the main zone that can still win.
   */
  private leasts(measure: MeasureName, mostFaults: number): readonly (ZoneLeast | null)[] {
    const known = this.leastsOf.get(measure);
    if (known) return known;
    const { handsOnMin, products, kinds, strain, steps, coats, shortfallInAll, money, order } = MEASURES[measure];
    const spans = this.leastSpans(mostFaults);
    const leasts = this.searches.map((search, index): ZoneLeast | null => {
      if (index === 0) return null;
      const plain = this.alone(search, { handsOnMin, products, kinds, strain, steps, coats, shortfallInAll, money, order }, mostFaults);
      return plain && { total: plain.total, span: spans[index]! };
    });
    this.leastsOf.set(measure, leasts);
    return leasts;
  }

  /** Likely faults no plan of this piece is without: a plan with more is not worth showing. */
  private findLeastFaults(firsts: readonly Judged[]): number {
    const apart = firsts.map((first, zone) => this.soundest(this.searches[zone]!, first));
    const least = faultsIn(apart);
    this.start = this.agree(apart) ? this.ifSound(apart, least) : null;
    if (this.start) return least;
    for (let faults = least; ; faults += 1) {
      const mostFaults = faults < MOST_FAULTS ? faults : Infinity;
      this.start = branchAndBound(this.searches, { ...ANY, mostFaults, soundTogether: this.soundTogether }).found;
      if (this.start || mostFaults === Infinity) return mostFaults;
    }
  }

  /** Whether the zones decide alike wherever they have to. */
  private agree(judged: readonly Judged[]): boolean {
    const keys = new Map<string, string>();
    return this.searches.every(({ variables }, zone) =>
      variables.every(({ name, forAll }, variable) => {
        const { key } = judged[zone]!.alternatives[variable]!;
        const known = keys.get(name) ?? key;
        if (forAll) keys.set(name, known);
        return !forAll || known === key;
      }),
    );
  }

  /**
   * The best of the main zone by itself, then of each further zone beside those already settled: what a painter would do who thinks
   * of the front first.
   */
  private frontFirst(sought: Sought): Joined | null {
    const { start } = this;
    if (!start) return null;
    let fixed: readonly Judged[] = [];
    for (const zone of this.searches.keys()) {
      const searches = this.searches.slice(0, zone + 1);
      const own = { ...sought, most: MOST.front, soundTogether: zone === this.searches.length - 1 ? this.soundTogether : () => true };
      const best = localSearch(searches, asJoined([...fixed, start.judged[zone]!]), own, "singly");
      fixed = (branchAndBound(searches, own, { fixed, best }).found ?? best).judged;
    }
    return this.ifSound(fixed, sought.mostFaults);
  }

  private ifSound(judged: readonly Judged[], mostFaults: number): Joined | null {
    const joined = asJoined(judged);
    return faultsIn(judged) <= mostFaults && this.soundTogether(joined.stacks) ? joined : null;
  }

  /** A zone's stack with as few likely faults as can be, from the first one found on. */
  private soundest(search: ZoneSearch, first: Judged): Judged {
    for (let mostFaults = 0; mostFaults < first.extra.faults; mostFaults += 1) {
      const better = branchAndBound([search], { ...ANY, mostFaults }).found;
      if (better) return better.judged[0]!;
    }
    return first;
  }

  /** The first stack of each zone by itself; asked once, so that no search over all zones stumbles over one that has none. */
  private firsts(): readonly Judged[] | null {
    if (this.found === undefined) {
      const found: Judged[] = [];
      for (const search of this.searches) {
        const first = branchAndBound([search], ANY).found?.judged[0];
        if (!first) break;
        found.push(first);
      }
      this.found = found.length > 0 && found.length === this.searches.length ? found : null;
    }
    return this.found;
  }

  /** Is there a plan at all? */
  any(): boolean {
    return this.firsts() !== null && branchAndBound(this.searches, { ...ANY, soundTogether: this.soundTogether }).found !== null;
  }

  /** The best all round that follows a school. */
  following({ variable, alternative }: PracticeVariant): Found | null {
    return this.seek("balanced", "school", MOST.school, new Map([[variable, alternative]]));
  }

  /** Why there is no plan. */
  obstacle(): { readonly why: string; readonly code: string } {
    if (this.searches.length === 0) return { why: "every zone of it has to stay bare", code: "nothing-to-paint" };
    const { unsound } = this;
    if (unsound) return { why: `${unsound.message}: ${lowerFirst(unsound.why)}`, code: unsound.code };
    return (this.searches.find((search) => search.soundCount === 0) ?? this.searches[0]!).obstacle();
  }
}
