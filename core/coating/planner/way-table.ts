import type { ProductId, StepId } from "../../catalogue/ids";
import { stepId } from "../../catalogue/ids";
import { seen } from "../../film/hiding";
import type { HidingFilm } from "../../film/hiding";
import { spectrumOf } from "../../film/spectrum";
import type { Spectrum } from "../../film/spectrum";
import type { Zone } from "../../piece/zones";
import { asksForCoats, coatsOver } from "../coats-wanted";
import { cureDaysOf, handsOnMin } from "../dress";
import { coversField, has, hidingFilm, isColour, stepFact } from "../facts";
import type { StepFact } from "../facts";
import { ChainClock } from "../waits";
import { assemble, soleStack } from "./assemble";
import type { Assembled } from "./assemble";
import type { ZoneContext } from "./context";
import { harshnessOf } from "./cost";
import type { Part, Span } from "./cost";
import type { Option, Slot } from "./draft";
import { keptSlots } from "./kept";
import { LeastWear } from "./least-wear";
import type { Seal } from "./least-wear";
import { slotsOf } from "./slots";

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
  readonly span: Omit<Span, "wear">;
  readonly handsOnMin: number;
  readonly coats: number;
  readonly wear: number;
}

interface Over {
  readonly laid: number;
  readonly seen: Spectrum;
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

/** Decided before the rest: all zones have to agree on it. */
const FIRST = ["heat", "sealing"];

/**
 * What is settled anyway comes first, then the bake; then the order of the work, so that what lies beneath a colour is known when its
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
  private readonly asks: readonly boolean[];
  private readonly hers: readonly boolean[];
  private readonly films: readonly (HidingFilm | null)[];
  private readonly minutesOf: readonly number[];
  private readonly overs: readonly Map<Spectrum, Over>[];
  private readonly leastWear: LeastWear;
  private readonly sealing: number;
  /** What the zone falls short by without a seal. */
  private readonly unsealed: number;
  /** What is seen before anything is laid. */
  private readonly ground: Spectrum;

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
    this.asks = facts.map(asksForCoats);
    this.hers = ordered.map(({ draft }) => draft.kept !== undefined);
    this.films = facts.map((fact) => (coversField(fact) ? hidingFilm(fact) : null));
    this.overs = facts.map(() => new Map<Spectrum, Over>());
    this.minutesOf = facts.map((fact) => (fact.step.group === undefined && countsAsCoat(fact) ? this.minutes(fact) : 0));
    this.ground = soleStack(
      context,
      context.done.map((step, index) => ({ ...step, id: stepId(`done.${index}`), done: true, origin: "hers", because: [], checks: [] })),
    )
      .steps.filter(coversField)
      .reduce<Spectrum>((beneath, fact) => (hidingFilm(fact) ? seen(hidingFilm(fact)!, beneath) : beneath), spectrumOf(context.material.bodyColour));
    this.sealing = this.slots.findIndex((slot) => slot.name === "sealing");
    const seals = new Set([...ordered.entries()].filter(([, { at }]) => at === this.sealing).map(([place]) => place));
    this.leastWear = new LeastWear(context, facts, seals);
    this.order = decisionOrder(this.slots);
    const placesOf = new Map<string, number[]>();
    for (const [place, { at, way }] of ordered.entries()) placesOf.set(`${at}:${way}`, [...(placesOf.get(`${at}:${way}`) ?? []), place]);
    const placesBySlot = this.slots.map((slot, at) => slot.options.map((_option, way) => placesOf.get(`${at}:${way}`) ?? []));
    this.unsealed = this.leastWear.ofNone(placesBySlot);
    let number = 0;
    this.ways = this.slots.map((slot, at) =>
      slot.options.map((option, way): Way => {
        const places = placesBySlot[at]![way]!;
        return {
          number: number++,
          key: option.key,
          option,
          places,
          lays: new Set(places.flatMap((place) => facts[place]!.product?.id ?? [])),
          alone: this.spanOf(ascending(places)),
          part: this.leastOf(
            slot,
            option,
            way,
            places.map((place) => facts[place]!),
          ),
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
    const { coats, handsOnMin, more } = this.coatsAt(sorted);
    const wear = chosen.reduce((sum, way) => sum + (way?.part.wear ?? 0), 0);
    const least = this.leastWear.of(sorted, this.sealOf(chosen));
    return { span: this.spanOf(sorted, coats), handsOnMin, coats: more, wear: Math.max(0, least - wear) };
  }

  private sealOf(chosen: readonly (Way | undefined)[]): Seal {
    const way = chosen[this.sealing];
    if (!way) return this.sealing < 0 ? "none" : "undecided";
    return way.places.length > 0 ? this.facts[way.places[0]!]! : "none";
  }

  private spanOf(sorted: readonly number[], coats = this.coatsAt(sorted).coats): Omit<Span, "wear"> {
    let cureDays = 0;
    for (const place of sorted) cureDays = Math.max(cureDays, this.cures[place]!);
    return { underside: this.underside, chainMin: this.clock.minutes(sorted, coats), cureDays };
  }

  /** Coats of chosen steps over what is beneath them, and what they add to the least. */
  private coatsAt(sorted: readonly number[]): { readonly coats: readonly number[]; readonly handsOnMin: number; readonly more: number } {
    let [handsOnMin, more] = [0, 0];
    let beneath = this.ground;
    const coats = sorted.map((place) => {
      const least = this.facts[place]!.step.coats ?? 1;
      const over = this.over(place, beneath);
      if (over.laid > least) {
        handsOnMin += (this.minutesOf[place]! / least) * (over.laid - least);
        more += over.laid - least;
      }
      beneath = over.seen;
      return over.laid;
    });
    return { coats, handsOnMin, more };
  }

  /** Coats of one step over what is seen beneath it, and what is seen then: over each ground worked out once. */
  private over(place: number, beneath: Spectrum): Over {
    const known = this.overs[place]!.get(beneath);
    if (known) return known;
    const fact = this.facts[place]!;
    const least = fact.step.coats ?? 1;
    const laid = this.asks[place] && !this.hers[place] ? Math.max(least, coatsOver(fact, beneath).laid) : least;
    const film = this.films[place];
    const over = { laid, seen: film ? seen({ ...film, coats: laid }, beneath) : beneath };
    this.overs[place]!.set(beneath, over);
    return over;
  }

  /**
   * The stack of chosen ways. Out of what was looked up once; where something is on the piece already or stays by her wish, put together
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
    const { coats } = this.coatsAt(sorted);
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

  /** Products any of its ways would have her buy. */
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
      wear: slot.name === "sealing" ? this.wearOf(facts) : 0,
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

  private wearOf(seals: readonly StepFact[]): number {
    return seals.length === 0 ? this.unsealed : seals.reduce((sum, fact) => sum + (fact.product ? this.leastWear.ofSeal(fact) : 0), 0);
  }
}
