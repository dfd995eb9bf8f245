import type { ProductId, StepId } from "../../catalogue/ids";
import { stepId } from "../../catalogue/ids";
import type { Zone } from "../../piece/zones";
import { cureDaysOf, handsOnMin } from "../facts/quantify";
import { has, isColour, stepFact } from "../facts/facts";
import type { StepFact } from "../facts/facts";
import { ChainClock } from "../facts/stack-duration";
import { CoatsLaid, seenAlready } from "./coat-count";
import { assemble, soleStack } from "./assemble";
import type { Assembled } from "./assemble";
import type { ZoneContext } from "./context";
import { harshnessOf } from "../facts/harshness";
import type { Part, Span } from "./cost";
import type { Option, Slot } from "./draft";
import { keptSlots } from "./pinned";
import { LeastWear } from "./shortfall-bound";
import type { Seal } from "./shortfall-bound";
import { slotsOf } from "./variables";

/** A way of one decision, with what it brings at the least and its steps' places in the working order. */
export interface Way {
  /** Unique in its search. */
  readonly number: number;
  readonly key: string;
  readonly option: Option;
  readonly part: Part;
  readonly places: readonly number[];
  /** Products it lays, owned or not. */
  readonly lays: ReadonlySet<ProductId>;
  /** Its span when nothing else is chosen: what to try first where time counts. */
  readonly alone: Omit<Span, "wear">;
}

/** What chosen steps come to before the rest is chosen: the zone's span, and what comes on top of the ways' own minutes, coats and wear. */
export interface SoFar {
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

/** Of what one way of sealing lays, the film that meets the world. */
function sealIn(steps: readonly StepFact[]): StepFact | undefined {
  return steps.findLast((fact) => fact.product !== null);
}

/**
 * What is settled anyway comes first, then the bake and the seal; then the order of the work, so that what lies beneath a colour is known when its
 * coats are counted.
 */
function decisionOrder(slots: readonly Slot[]): readonly number[] {
  const begins = slots.map((slot) => Math.min(Infinity, ...slot.options.flatMap((option) => option.steps.map((draft) => draft.phase))));
  const rank = (slot: number) => (slots[slot]!.options.length <= 1 ? 0 : FIRST.includes(slots[slot]!.name) ? 1 : 2);
  return slots.map((_slot, at) => at).sort((a, b) => rank(a) - rank(b) || begins[a]! - begins[b]! || a - b);
}

/** Every way of every decision of zones that are alike and get the same, with what was looked up of it once. */
export class WayTable {
  readonly slots: readonly Slot[];
  readonly ways: readonly (readonly Way[])[];
  /** Slots in the order they are decided in. */
  readonly order: readonly number[];
  private readonly facts: readonly StepFact[];
  private readonly clock: ChainClock;
  private readonly cures: readonly number[];
  private readonly laying: CoatsLaid;
  private readonly leastWear: LeastWear;
  private readonly sealing: number;
  /** What the zone falls short by without a seal. */
  private readonly unsealed: number;

  /** @param zones zones alike, the one of the context first */
  constructor(
    readonly context: ZoneContext,
    readonly zones: readonly Zone[],
  ) {
    this.slots = keptSlots(context, slotsOf(context));
    const drafts = this.slots.flatMap((slot, at) => slot.options.flatMap((option, way) => option.steps.map((draft, index) => ({ draft, at, way, index }))));
    const ordered = drafts.sort((a, b) => a.draft.phase - b.draft.phase || a.at - b.at || a.way - b.way || a.index - b.index);
    const facts = ordered.map(({ draft: { phase: _phase, kept: _kept, ...draft } }, place) =>
      stepFact({ checks: [], ...draft, id: stepId("draft"), origin: "engine" }, place, context.catalogue),
    );
    const bare = soleStack(context, []);
    this.facts = facts;
    this.clock = new ChainClock(bare, facts);
    this.cures = facts.map((fact) => this.cureDaysOf(fact));
    this.laying = new CoatsLaid(
      seenAlready(context),
      facts.map((fact, place) => ({
        fact,
        hers: ordered[place]!.draft.kept !== undefined,
        minutes: fact.step.group === undefined && countsAsCoat(fact) ? this.minutes(fact) : 0,
      })),
    );
    this.sealing = this.slots.findIndex((slot) => slot.name === SEALING);
    const places = this.slots.map((slot) => slot.options.map((): number[] => []));
    for (const [place, { at, way }] of ordered.entries()) places[at]![way]!.push(place);
    this.leastWear = new LeastWear(context, facts, new Set(places[this.sealing]?.flat()));
    this.unsealed = this.leastWear.ofNone(places);
    this.order = decisionOrder(this.slots);
    let number = 0;
    this.ways = this.slots.map((slot, at) =>
      slot.options.map((option, way): Way => {
        const own = places[at]![way]!;
        const steps = own.map((place) => facts[place]!);
        return {
          number: number++,
          key: option.key,
          option,
          places: own,
          lays: new Set(steps.flatMap((fact) => fact.product?.id ?? [])),
          alone: this.spanOf(ascending(own)),
          part: this.leastOf(slot, option, way, steps),
        };
      }),
    );
  }

  /**
   * What the zone comes to with these steps at the least: more steps only add. Coats are known as soon as all that lies beneath
   * is chosen, which taking decisions in working order sees to.
   */
  protected soFar(chosen: readonly (Way | undefined)[]): SoFar {
    const sorted = ascending(chosen.flatMap((way) => way?.places ?? []));
    const { coats, handsOnMin, more } = this.laying.of(sorted);
    const own = chosen.reduce((sum, way) => sum + (way?.part.wear ?? 0), 0);
    const wear = Math.max(own, this.leastWear.of(sorted, this.sealOf(chosen)));
    return { span: { ...this.spanOf(sorted, coats), wear }, handsOnMin, coats: more, wear: wear - own };
  }

  private sealOf(chosen: readonly (Way | undefined)[]): Seal {
    const way = chosen[this.sealing];
    if (!way) return this.sealing < 0 ? "none" : "undecided";
    return sealIn(way.places.map((place) => this.facts[place]!)) ?? "none";
  }

  private spanOf(sorted: readonly number[], coats = this.laying.of(sorted).coats): Omit<Span, "wear"> {
    let cureDays = 0;
    for (const place of sorted) cureDays = Math.max(cureDays, this.cures[place]!);
    return { underside: this.underside, chainMin: this.clock.minutes(sorted, coats), cureDays };
  }

  /**
   * The stack of chosen ways. Out of what was looked up once; where something is on the piece already or stays by the user's wish, put together
   * step by step.
   */
  protected stackOf(ways: readonly Way[]): Assembled {
    if (this.context.done.length > 0 || this.context.keep.length > 0)
      return assemble(
        this.context,
        ways.map((way) => way.option),
      );
    const slotOf = new Map<StepId, number>();
    const owner = new Map<number, number>();
    for (const [slot, way] of ways.entries()) for (const place of way.places) owner.set(place, slot);
    const sorted = ascending([...owner.keys()]);
    const { coats } = this.laying.of(sorted);
    const waits = this.clock.waits(sorted, coats);
    const counts = new Map<string, number>();
    const steps = sorted.map((place, index): StepFact => {
      const fact = this.facts[place]!;
      const { role } = fact.step;
      const count = (counts.get(role) ?? 0) + 1;
      counts.set(role, count);
      const id = stepId(`${this.context.zone.zone}.${role}.${count}`);
      slotOf.set(id, owner.get(place)!);
      return { ...fact, index, step: { ...fact.step, id, coats: coats[index]!, waitBefore: waits[index]! } };
    });
    return { stack: { ...this.context, steps, others: [] }, slotOf };
  }

  /** Products any of its ways would have the user buy. */
  get mayBuy(): ReadonlySet<ProductId> {
    return new Set(this.ways.flatMap((ways) => ways.flatMap((way) => way.part.toBuy)));
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

  private leastOf(slot: Slot, option: Option, order: number, facts: readonly StepFact[]): Part {
    const { surface } = this.context;
    const films = facts.flatMap((fact) => fact.product ?? []);
    const usual = films.reduce((sum, product) => sum + product.usual.rank + (product.usual.on.includes(surface) ? 0 : 2), 0);
    const buy = films.filter((product) => product.own === undefined).map((product): ProductId => product.id);
    return {
      ...NOTHING,
      ...this.sumsOf(facts),
      strain: (option.strain ?? 0) + usual,
      steps: facts.length,
      wear: slot.name === SEALING ? this.wearUnder(sealIn(facts)) : 0,
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

  private wearUnder(seal: StepFact | undefined): number {
    return seal ? this.leastWear.ofSeal(seal) : this.unsealed;
  }
}
