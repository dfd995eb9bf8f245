import type { ProductId, StepId } from "../../catalogue/ids";
import { stepId } from "../../catalogue/ids";
import type { Zone } from "../../piece/zones";
import { handsOnMin } from "../facts/hands-on";
import { cureDaysOf } from "../facts/quantify";
import { has, isColour, stepFact } from "../facts/facts";
import type { StepFact } from "../facts/facts";
import { StackDuration } from "../facts/stack-duration";
import { CoatCount, seenAlready } from "./coat-count";
import { assemble, soleStack } from "./assemble";
import type { Assembled } from "./assemble";
import type { ZoneContext } from "./context";
import { harshnessOf } from "../facts/harshness";
import { offTrack } from "../facts/off-track";
import { NOTHING } from "./cost";
import type { Cost, Part, Span } from "./cost";
import { weighedAlone, weighedPlain } from "./incremental-cost";
import { sharedThing } from "./shared-thing";
import type { SharedThing } from "./shared-thing";

import type { Alternative, DecisionVariable } from "./draft";
import type { Rated, RatedAlternative, StackBound } from "./rated";
import { pinnedVariables } from "./pinned";
import { ShortfallBound } from "./shortfall-bound";
import type { Seal } from "./shortfall-bound";
import { decisionVariables } from "./variables";

/** Ground and colour are what coats are counted of; marks are set once. */
function countsAsCoat(fact: StepFact): boolean {
  return !fact.step.done && !fact.step.marks && (isColour(fact) || has(fact, "ground"));
}

/** Ground, colour or clear, and which: what a painter wants one of for the whole piece. */
function kindOfFilm({ step, product }: StepFact): readonly string[] {
  if (!product || product.drying.by === "none" || step.role === "fill") return [];
  const use = step.role === "prime" ? "ground" : step.role === "base" || step.role === "decorate" ? "colour" : "clear";
  return [`${use}:${product.id}`];
}

function ascending(places: number[]): readonly number[] {
  // Few, and nearly sorted.
  for (let at = 1; at < places.length; at += 1) {
    const place = places[at]!;
    let before = at - 1;
    for (; before >= 0 && places[before]! > place; before -= 1) places[before + 1] = places[before]!;
    places[before + 1] = place;
  }
  return places;
}

/** What it takes to change a product of a plan that is followed, in strain: more than a little better [judgement of this project]. */
const STEADY = 4;

const SEALING = "sealing";
/** Decided before the rest: all zones have to agree on the heat; the seal says most of what a zone costs. */
const FIRST = ["heat", SEALING];

/** Steps of stacks that are only looked at go by their place; a plan's own ids are given when it is made. */
export const PROVISIONAL = "#";

/** Of what one alternative of sealing lays, the film that meets the world. */
function sealIn(steps: readonly StepFact[]): StepFact | undefined {
  return steps.findLast((fact) => fact.product !== null);
}

/**
 * What is settled anyway comes first, then the bake and the seal; then the order of the work, so that what lies beneath a colour is known when its
 * coats are counted.
 */
function decisionOrder(variables: readonly DecisionVariable[]): readonly number[] {
  const begins = variables.map((variable) =>
    Math.min(Infinity, ...variable.alternatives.flatMap((alternative) => alternative.steps.map((draft) => draft.phase))),
  );
  const rank = (variable: number) => (variables[variable]!.alternatives.length <= 1 ? 0 : FIRST.includes(variables[variable]!.name) ? 1 : 2);
  return variables.map((_slot, at) => at).sort((a, b) => rank(a) - rank(b) || begins[a]! - begins[b]! || a - b);
}

/** Every alternative of every decision of zones that are alike and get the same, with what was looked up of it once. */
export class ZoneDomains {
  readonly variables: readonly DecisionVariable[];
  readonly domains: readonly (readonly RatedAlternative[])[];
  /** Slots in the order they are decided in. */
  readonly order: readonly number[];
  private readonly facts: readonly StepFact[];
  private readonly duration: StackDuration;
  private readonly cures: readonly number[];
  private readonly coatCount: CoatCount;
  private readonly shortfallBound: ShortfallBound;
  private readonly ratings = new WeakMap<object, Rated>();
  private readonly seals = new Map<RatedAlternative, Seal>();
  private readonly sealing: number;
  /** What the zone falls short by without a seal. */
  private readonly unsealed: number;

  /** @param zones zones alike, the one of the context first */
  constructor(
    readonly context: ZoneContext,
    readonly zones: readonly Zone[],
  ) {
    this.variables = pinnedVariables(context, decisionVariables(context));
    const drafts = this.variables.flatMap((variable, at) =>
      variable.alternatives.flatMap(({ steps }, order) => steps.map((draft, index) => ({ draft, at, order, index }))),
    );
    const ordered = drafts.sort((a, b) => a.draft.phase - b.draft.phase || a.at - b.at || a.order - b.order || a.index - b.index);
    const facts = ordered.map(({ draft: { phase: _phase, pinned: _pinned, ...draft } }, place) =>
      stepFact({ checks: [], ...draft, id: stepId(`${PROVISIONAL}${place}`), origin: "engine" }, place, context.catalogue),
    );
    const bare = soleStack(context, []);
    this.facts = facts;
    this.duration = new StackDuration(bare, facts);
    this.cures = facts.map((fact) => this.cureDaysOf(fact));
    this.coatCount = new CoatCount(
      seenAlready(context),
      facts.map((fact, place) => ({
        fact,
        pinned: ordered[place]!.draft.pinned !== undefined,
        minutes: fact.step.group === undefined && countsAsCoat(fact) ? this.minutes(fact) : 0,
      })),
    );
    this.sealing = this.variables.findIndex((variable) => variable.name === SEALING);
    const places = this.variables.map((variable) => variable.alternatives.map((): number[] => []));
    for (const [place, { at, order }] of ordered.entries()) places[at]![order]!.push(place);
    this.shortfallBound = new ShortfallBound(context, facts, new Set(places[this.sealing]?.flat()));
    this.unsealed = this.shortfallBound.ofNone(places);
    this.order = decisionOrder(this.variables);
    let number = 0;
    this.domains = this.variables.map((variable, at) =>
      variable.alternatives.map((alternative, order): RatedAlternative => {
        const own = places[at]![order]!;
        const steps = own.map((place) => facts[place]!);
        return {
          number: number++,
          ...alternative,
          places: own,
          lays: new Set(steps.flatMap((fact) => fact.product?.id ?? [])),
          alone: this.spanOf(ascending([...own])),
          part: this.leastOf(variable, alternative, order, steps),
        };
      }),
    );
  }

  /**
   * What the zone comes to with these steps at the least: more steps only add. Coats are known as soon as all that lies beneath
   * is chosen, which taking decisions in working order sees to.
   */
  protected boundOf(chosen: readonly (RatedAlternative | undefined)[]): StackBound {
    const places: number[] = [];
    let own = 0;
    for (const alternative of chosen) {
      if (!alternative) continue;
      for (const place of alternative.places) places.push(place);
      own += alternative.part.shortfall;
    }
    const sorted = ascending(places);
    const { coats, handsOnMin, more } = this.coatCount.of(sorted);
    const shortfall = Math.max(own, this.shortfallBound.of(sorted, this.sealOf(chosen)));
    const { chainMin, cureDays } = this.spanOf(sorted, coats);
    return { span: { underside: this.underside, chainMin, cureDays, shortfall }, handsOnMin, coats: more, shortfall: shortfall - own };
  }

  /** What its alternatives weigh by a measure, worked out once. */
  rated(weights: Record<keyof Cost, number>): Rated {
    let known = this.ratings.get(weights);
    if (!known) {
      const all = this.domains.flat();
      const plain = Float64Array.from(all, (one) => weighedPlain(weights, one.part));
      const alone = Float64Array.from(all, (one) => weighedAlone(weights, one));
      const sorted = this.domains.map((domain) => [...domain].sort((a, b) => alone[a.number]! - alone[b.number]!));
      this.ratings.set(weights, (known = { plain, alone, sorted }));
    }
    return known;
  }

  private sealOf(chosen: readonly (RatedAlternative | undefined)[]): Seal {
    const alternative = chosen[this.sealing];
    if (!alternative) return this.sealing < 0 ? "none" : "undecided";
    let seal = this.seals.get(alternative);
    if (seal === undefined) this.seals.set(alternative, (seal = sealIn(alternative.places.map((place) => this.facts[place]!)) ?? "none"));
    return seal;
  }

  private spanOf(sorted: readonly number[], coats = this.coatCount.of(sorted).coats): Omit<Span, "shortfall"> {
    let cureDays = 0;
    for (const place of sorted) cureDays = Math.max(cureDays, this.cures[place]!);
    return { underside: this.underside, chainMin: this.duration.minutes(sorted, coats), cureDays };
  }

  /**
   * The stack of chosen alternatives. Out of what was looked up once; where something is on the piece already or stays by the user's wish, put together
   * step by step.
   */
  protected stackOf(alternatives: readonly RatedAlternative[]): Assembled {
    if (this.context.done.length > 0 || this.context.keep.length > 0) return assemble(this.context, alternatives);
    const variableOf = new Map<StepId, number>();
    const owner = new Map<number, number>();
    for (const [variable, alternative] of alternatives.entries()) for (const place of alternative.places) owner.set(place, variable);
    const sorted = ascending([...owner.keys()]);
    const { coats } = this.coatCount.of(sorted);
    const waits = this.duration.typicalWaits(sorted, coats);
    const steps = sorted.map((place, index): StepFact => {
      const fact = this.facts[place]!;
      variableOf.set(fact.step.id, owner.get(place)!);
      return { ...fact, index, step: { ...fact.step, coats: coats[index]!, waitBefore: waits[index]! } };
    });
    return { stack: { ...this.context, steps, others: [] }, variableOf };
  }

  /** Everything that counts once of all its alternatives. */
  get mayShare(): readonly SharedThing[] {
    return this.domains.flatMap((alternatives) => alternatives.flatMap((alternative) => alternative.part.shared));
  }

  get underside(): boolean {
    return this.context.zone.template.exposure === "underside";
  }

  private cureDaysOf(fact: StepFact): number {
    if (this.context.route !== "air" && fact.product?.bakeable) return 0;
    return fact.product ? cureDaysOf(soleStack(this.context, [fact.step])) : 0;
  }

  /** Minutes at the bench in all the zones. */
  private minutes(fact: StepFact): number {
    return this.zones.reduce((sum, zone) => sum + handsOnMin(fact, { piece: this.context.piece, zone }), 0);
  }

  protected sumsOf(facts: readonly StepFact[]): Pick<Part, "handsOnMin" | "coats"> {
    const own = facts.filter((fact) => fact.step.group === undefined);
    return {
      handsOnMin: own.reduce((sum, fact) => sum + this.minutes(fact), 0),
      coats: facts.filter(countsAsCoat).reduce((sum, fact) => sum + (fact.step.coats ?? 1), 0),
    };
  }

  private leastOf(variable: DecisionVariable, alternative: Alternative, order: number, facts: readonly StepFact[]): Part {
    const films = facts.flatMap((fact) => fact.product ?? []);
    const usual = films.reduce((sum, product) => sum + offTrack(product, this.context), 0);
    const strange = this.strangeTo(facts);
    // What is on the piece already stands on the table: it is neither bought nor a new kind.
    const { done } = this.context;
    const there = (id: ProductId) => done.some((step) => step.product === id);
    const buy = films.filter((product) => product.own === undefined && !there(product.id)).map((product): ProductId => product.id);
    const unpriced = films.filter((product) => (product.own?.pricePerMl ?? null) === null).map((product): ProductId => product.id);
    return {
      ...NOTHING,
      ...this.sumsOf(facts),
      strain: (alternative.strain ?? 0) + usual + strange,
      steps: facts.length,
      shortfall: variable.name === SEALING ? this.shortfallUnder(sealIn(facts)) : 0,
      order,
      shared: [
        ...facts.flatMap((fact) => (fact.step.group === undefined ? [] : [sharedThing("act", fact.step.group, this.minutes(fact))])),
        ...[...new Set(buy)].map((id) => sharedThing("buy", id, 1)),
        ...[...new Set(facts.filter((fact) => !there(fact.step.product)).flatMap(kindOfFilm))].map((name) => sharedThing("kind", name, 1)),
        ...[...new Set(unpriced)].map((id) => sharedThing("unpriced", id, 1)),
        ...facts.flatMap((fact) => {
          const weight = harshnessOf(fact.product, fact.aid);
          return weight > 0 ? [sharedThing("harsh", fact.step.product, weight)] : [];
        }),
      ],
    };
  }

  /** Films the followed plan does not have in this place: a change of one fact is no reason to change them. */
  private strangeTo(facts: readonly StepFact[]): number {
    const { followed } = this.context;
    if (!followed) return 0;
    return STEADY * facts.filter((fact) => fact.product !== null && !followed.has(`${fact.step.role}:${fact.step.product}`)).length;
  }

  private shortfallUnder(seal: StepFact | undefined): number {
    return seal ? this.shortfallBound.ofSeal(seal) : this.unsealed;
  }
}
