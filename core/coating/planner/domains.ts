import type { ProductId, StepId } from "../../catalogue/ids";
import { stepId } from "../../catalogue/ids";
import { stepIdOf } from "../model/step-id";
import type { Zone } from "../../piece/zones";
import { cureDaysOf, handsOnMin } from "../facts/quantify";
import { has, isColour, stepFact } from "../facts/facts";
import type { StepFact } from "../facts/facts";
import { StackDuration } from "../facts/stack-duration";
import { CoatCount, seenAlready } from "./coat-count";
import { assemble, soleStack } from "./assemble";
import type { Assembled } from "./assemble";
import type { ZoneContext } from "./context";
import { harshnessOf } from "../facts/harshness";
import type { Part, Span } from "./cost";
import type { Alternative, DecisionVariable } from "./draft";
import { pinnedVariables } from "./pinned";
import { ShortfallBound } from "./shortfall-bound";
import type { Seal } from "./shortfall-bound";
import { decisionVariables } from "./variables";

/** An alternative of one decision, with what it brings at the least and its steps' places in the working order. */
export interface RatedAlternative extends Alternative {
  /** Unique in its search. */
  readonly number: number;
  readonly part: Part;
  readonly places: readonly number[];
  /** Products it lays, owned or not. */
  readonly lays: ReadonlySet<ProductId>;
  /** Its span when nothing else is chosen: what to try first where time counts. */
  readonly alone: Omit<Span, "wear">;
}

/** What chosen steps come to before the rest is chosen: the zone's span, and what comes on top of the alternatives' own minutes, coats and wear. */
export interface StackBound {
  readonly span: Span;
  readonly handsOnMin: number;
  readonly coats: number;
  readonly wear: number;
}

/** A part that brings nothing. */
export const NOTHING: Part = {
  handsOnMin: 0,
  strain: 0,
  steps: 0,
  coats: 0,
  wear: 0,
  faults: 0,
  money: 0,
  order: 0,
  acts: [],
  toBuy: [],
  unpriced: [],
  harsh: [],
};

/** Ground and colour are what coats are counted of; marks are set once. */
function countsAsCoat(fact: StepFact): boolean {
  return !fact.step.done && !fact.step.marks && (isColour(fact) || has(fact, "ground"));
}

function ascending(places: readonly number[]): readonly number[] {
  return [...places].sort((a, b) => a - b);
}

const SEALING = "sealing";
/** Decided before the rest: all zones have to agree on the heat; the seal says most of what a zone costs. */
const FIRST = ["heat", SEALING];

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
      stepFact({ checks: [], ...draft, id: stepId("draft"), origin: "engine" }, place, context.catalogue),
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
          alone: this.spanOf(ascending(own)),
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
    const sorted = ascending(chosen.flatMap((alternative) => alternative?.places ?? []));
    const { coats, handsOnMin, more } = this.coatCount.of(sorted);
    const own = chosen.reduce((sum, alternative) => sum + (alternative?.part.wear ?? 0), 0);
    const wear = Math.max(own, this.shortfallBound.of(sorted, this.sealOf(chosen)));
    return { span: { ...this.spanOf(sorted, coats), wear }, handsOnMin, coats: more, wear: wear - own };
  }

  private sealOf(chosen: readonly (RatedAlternative | undefined)[]): Seal {
    const alternative = chosen[this.sealing];
    if (!alternative) return this.sealing < 0 ? "none" : "undecided";
    return sealIn(alternative.places.map((place) => this.facts[place]!)) ?? "none";
  }

  private spanOf(sorted: readonly number[], coats = this.coatCount.of(sorted).coats): Omit<Span, "wear"> {
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
    const waits = this.duration.waits(sorted, coats);
    const taken = new Set<string>();
    let beneath: ProductId | null = null;
    const steps = sorted.map((place, index): StepFact => {
      const fact = this.facts[place]!;
      const id = stepIdOf(this.context.zone.zone, fact.step, beneath, taken);
      if (fact.product) beneath = fact.product.id;
      variableOf.set(id, owner.get(place)!);
      return { ...fact, index, step: { ...fact.step, id, coats: coats[index]!, waitBefore: waits[index]! } };
    });
    return { stack: { ...this.context, steps, others: [] }, variableOf };
  }

  /** Products any of its alternatives would have the user buy. */
  get mayBuy(): ReadonlySet<ProductId> {
    return new Set(this.domains.flatMap((alternatives) => alternatives.flatMap((alternative) => alternative.part.toBuy)));
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
    const { surface } = this.context;
    const films = facts.flatMap((fact) => fact.product ?? []);
    const usual = films.reduce((sum, product) => sum + product.usual.rank + (product.usual.on.includes(surface) ? 0 : 2), 0);
    const buy = films.filter((product) => product.own === undefined).map((product): ProductId => product.id);
    return {
      ...NOTHING,
      ...this.sumsOf(facts),
      strain: (alternative.strain ?? 0) + usual,
      steps: facts.length,
      wear: variable.name === SEALING ? this.shortfallUnder(sealIn(facts)) : 0,
      order,
      acts: facts.flatMap((fact) => (fact.step.group === undefined ? [] : [[fact.step.group, this.minutes(fact)] as const])),
      toBuy: [...new Set(buy)],
      unpriced: [...new Set(films.filter((product) => (product.own?.pricePerMl ?? null) === null).map((product): ProductId => product.id))],
      harsh: facts.flatMap((fact) => {
        const weight = harshnessOf(fact.product, fact.aid);
        return weight > 0 ? [[fact.step.product as string, weight] as const] : [];
      }),
    };
  }

  private shortfallUnder(seal: StepFact | undefined): number {
    return seal ? this.shortfallBound.ofSeal(seal) : this.unsealed;
  }
}
