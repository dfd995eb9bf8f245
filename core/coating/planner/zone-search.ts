import type { ProductId, StepId } from "../../catalogue/ids";
import { stepId } from "../../catalogue/ids";
import type { Zone } from "../../piece/zones";
import { BEST_GRADE, durabilityOf } from "../durability";
import { amounts, cureDaysOf, handsOnMin } from "../dress";
import { seen } from "../../film/hiding";
import type { HidingFilm } from "../../film/hiding";
import { spectrumOf } from "../../film/spectrum";
import type { Spectrum } from "../../film/spectrum";
import { asksForCoats, coatsOver } from "../coats-wanted";
import { coversField, isColour, has, hidingFilm, stepFact } from "../facts";
import type { StackFacts, StepFact } from "../facts";
import { findingOf } from "../judge";
import type { Finding } from "../plan";
import type { Rule } from "../rule";
import { ChainClock, withinMin } from "../waits";
import { assemble, soleStack } from "./assemble";
import type { Assembled } from "./assemble";
import { Conflicts } from "./conflicts";
import { warmEnoughFor } from "./context";
import type { ZoneContext } from "./context";
import { harshnessOf } from "./cost";
import type { Ledger, Part, Span } from "./cost";
import type { Draft, Option, Slot } from "./draft";
import { keptSlots } from "./kept";
import { slotsOf } from "./slots";
import { avoidableCodes, faultsOf } from "./verdict";
import type { Fault } from "./verdict";

/** A way of one decision, with what it brings at the least and its steps' places in the working order. */
export interface Way {
  /** Unique in its search. */
  readonly number: number;
  readonly key: string;
  readonly option: Option;
  readonly part: Part;
  readonly places: readonly number[];
  /** Its span when nothing else is chosen: what to try first where time counts. */
  readonly alone: Omit<Span, "wear">;
}

/** A whole stack of one zone, judged: what stops it, or what it costs beyond the sum of its ways. */
export interface Judged {
  readonly ways: readonly Way[];
  readonly stack: StackFacts;
  readonly stop: string | null;
  readonly extra: Part;
  readonly span: Span;
}

/** What chosen steps come to before the rest is chosen: the zone's span, and minutes and coats beyond the ways' own. */
export interface SoFar {
  readonly span: Omit<Span, "wear">;
  readonly handsOnMin: number;
  readonly coats: number;
}

const NOTHING: Part = { handsOnMin: 0, strain: 0, steps: 0, coats: 0, wear: 0, faults: 0, money: 0, order: 0, acts: [], toBuy: [], unpriced: [], harsh: [] };

/** Ground and colour are what coats are counted of; marks are set once. */
function countsAsCoat(fact: StepFact): boolean {
  return !fact.step.done && !fact.step.marks && (isColour(fact) || has(fact, "ground"));
}

function ascending(places: readonly number[]): readonly number[] {
  return [...places].sort((a, b) => a - b);
}

/** Decided before the rest: what the others wait for, and what is not beneath them. */
const FIRST = ["heat"];

/**
 * What is settled anyway comes first, then the last film and the bake, on which the long waits hang; then the order of the work, so that
 * what lies beneath a colour is known when its coats are counted.
 */
function decisionOrder(slots: readonly Slot[]): readonly number[] {
  const begins = slots.map((slot) => Math.min(Infinity, ...slot.options.flatMap((option) => option.steps.map((draft) => draft.phase))));
  const rank = (slot: number) => (slots[slot]!.options.length <= 1 ? 0 : FIRST.includes(slots[slot]!.name) ? 1 : 2);
  return slots.map((_slot, at) => at).sort((a, b) => rank(a) - rank(b) || begins[a]! - begins[b]! || a - b);
}

/** Puts a whole judged stack on a plan's ledger. */
export function putZone(ledger: Ledger, zone: number, { ways, extra, span }: Judged): void {
  for (const way of ways) ledger.put(way.part);
  ledger.put(extra);
  ledger.setSpan(zone, span);
}

/** Searches the stacks of zones that are alike and get the same; what was judged or learnt for one measure serves the next. */
export class ZoneSearch {
  readonly slots: readonly Slot[];
  readonly ways: readonly (readonly Way[])[];
  /** Slots in the order they are decided in. */
  readonly order: readonly number[];
  readonly conflicts: Conflicts;
  private readonly byNumber: readonly Way[];
  /** How many stacks were judged so far, and how many of them nothing stops. */
  judgedCount = 0;
  soundCount = 0;
  private readonly facts: readonly StepFact[];
  private readonly clock: ChainClock;
  private readonly cures: readonly number[];
  private readonly asks: readonly boolean[];
  private readonly hers: readonly boolean[];
  private readonly films: readonly (HidingFilm | null)[];
  private readonly minutesOf: readonly number[];
  /** What is seen before anything is laid. */
  private readonly ground: Spectrum;
  private readonly judged = new Map<string, Judged>();
  private readonly avoidable: ReadonlySet<string>;
  /** How often each rule stopped a stack, and what it said of the first, for the reason of a refusal. */
  private readonly stops = new Map<string, { count: number; readonly said: Finding; readonly whatever: boolean }>();

  /** @param zones zones alike, the one of the context first */
  constructor(
    readonly context: ZoneContext,
    readonly zones: readonly Zone[],
    private readonly rules: readonly Rule[],
  ) {
    this.slots = keptSlots(context, slotsOf(context));
    this.avoidable = avoidableCodes(rules);
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
    this.minutesOf = facts.map((fact) => (fact.step.group === undefined && countsAsCoat(fact) ? this.minutes(fact) : 0));
    this.ground = soleStack(
      context,
      context.done.map((step, index) => ({ ...step, id: stepId(`done.${index}`), done: true, origin: "hers", because: [], checks: [] })),
    )
      .steps.filter(coversField)
      .reduce<Spectrum>((beneath, fact) => (hidingFilm(fact) ? seen(hidingFilm(fact)!, beneath) : beneath), spectrumOf(context.material.bodyColour));
    this.order = decisionOrder(this.slots);
    const placesOf = new Map<string, number[]>();
    for (const [place, { at, way }] of ordered.entries()) placesOf.set(`${at}:${way}`, [...(placesOf.get(`${at}:${way}`) ?? []), place]);
    let number = 0;
    this.ways = this.slots.map((slot, at) =>
      slot.options.map((option, way): Way => {
        const places = placesOf.get(`${at}:${way}`) ?? [];
        return {
          number: number++,
          key: option.key,
          option,
          places,
          alone: this.soFar(places).span,
          part: this.leastOf(
            slot,
            option,
            way,
            places.map((place) => facts[place]!),
          ),
        };
      }),
    );
    this.byNumber = this.ways.flat();
    this.conflicts = new Conflicts(number);
  }

  /**
   * What the zone comes to with these steps at the least: more steps only add. Coats are known as soon as all that lies beneath
   * is chosen, which taking decisions in working order sees to.
   */
  soFar(places: readonly number[]): SoFar {
    const sorted = ascending(places);
    const { coats, handsOnMin, more } = this.coatsAt(sorted);
    let cureDays = 0;
    for (const place of sorted) cureDays = Math.max(cureDays, this.cures[place]!);
    return { span: { underside: this.underside, chainMin: this.clock.minutes(sorted, coats), cureDays }, handsOnMin, coats: more };
  }

  /** Coats of chosen steps over what is beneath them, and what they add to the least. */
  private coatsAt(sorted: readonly number[]): { readonly coats: readonly number[]; readonly handsOnMin: number; readonly more: number } {
    let [handsOnMin, more] = [0, 0];
    let beneath = this.ground;
    const coats = sorted.map((place) => {
      const fact = this.facts[place]!;
      const least = fact.step.coats ?? 1;
      const laid = this.asks[place] && !this.hers[place] ? Math.max(least, coatsOver(fact, beneath).laid) : least;
      if (laid > least) {
        handsOnMin += (this.minutesOf[place]! / least) * (laid - least);
        more += laid - least;
      }
      const film = this.films[place];
      if (film) beneath = seen({ ...film, coats: laid }, beneath);
      return laid;
    });
    return { coats, handsOnMin, more };
  }

  /**
   * The stack of chosen ways. Out of what was looked up once; where something is on the piece already or stays by her wish, put together
   * step by step.
   */
  private stackOf(ways: readonly Way[]): Assembled {
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

  private sumsOf(facts: readonly StepFact[]): Pick<Part, "handsOnMin" | "coats"> {
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
      wear: this.leastWear(slot, option),
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

  /** What a seal leaves to be desired at the least: nothing under it makes it better. */
  private leastWear(slot: Slot, option: Option): number {
    const [seal] = slot.name === "sealing" ? option.steps : [];
    const product = seal && this.context.catalogue.products.get(seal.product);
    if (!product) return 0;
    const { wears } = this.context.zone;
    const grades = (wears.length > 0 ? wears : (["wipe"] as const)).map((wear) => product.resists[wear] ?? 0);
    return BEST_GRADE - (Math.min(...grades) + grades.reduce<number>((sum, grade) => sum + grade, 0) / grades.length) / 2;
  }

  /** Is a whole stack known to be ruled out, or to have more likely faults than it may? */
  ruledOut(ways: readonly Way[], mostFaults: number): boolean {
    for (const way of ways) this.conflicts.choose(way.number);
    const out = this.conflicts.stopped || this.conflicts.faults > mostFaults;
    for (const way of ways) this.conflicts.leave(way.number);
    return out;
  }

  /** Judges a whole stack, one way of each decision; learns what is wrong with it. */
  judge(chosen: readonly Way[]): Judged {
    const ways = chosen.map((way) => this.byNumber[way.number]!);
    const key = ways.map((way) => way.number).join();
    const known = this.judged.get(key);
    if (known) return known;
    this.judgedCount += 1;
    const { stack, slotOf } = this.stackOf(ways);
    const faults = faultsOf(stack, this.rules, this.avoidable);
    for (const fault of faults) {
      if (fault.severity === "stop") this.count(fault, stack);
      const anyOf = this.hangsOn(fault, slotOf, ways);
      if (anyOf) this.conflicts.learn({ code: fault.code, stop: fault.severity === "stop", anyOf });
    }
    const stop = faults.find((fault) => fault.severity === "stop")?.code ?? null;
    if (stop === null) this.soundCount += 1;
    const judged =
      stop === null
        ? this.measured(stack, ways, faults.length)
        : { ways, stack, stop, extra: NOTHING, span: { underside: false, chainMin: 0, cureDays: 0, wear: 0 } };
    this.judged.set(key, judged);
    return judged;
  }

  private measured(stack: StackFacts, ways: readonly Way[], faults: number): Judged {
    const exact = this.sumsOf(stack.steps);
    const least = (pick: (part: Part) => number) => ways.reduce((sum, way) => sum + pick(way.part), 0);
    const wear = BEST_GRADE - durabilityOf(stack);
    const chainMin = stack.steps
      .filter((fact) => fact.step.role !== "cure")
      .reduce((sum, fact) => sum + (fact.step.waitBefore?.min ?? 0) + withinMin(fact, stack, "typical"), 0);
    return {
      ways,
      stack,
      stop: null,
      extra: {
        ...NOTHING,
        handsOnMin: exact.handsOnMin - least((part) => part.handsOnMin),
        coats: exact.coats - least((part) => part.coats),
        wear: wear - least((part) => part.wear),
        faults,
        money: this.money(stack),
      },
      span: { underside: this.underside, chainMin, cureDays: cureDaysOf(stack), wear },
    };
  }

  private money(stack: StackFacts): number {
    if (stack.steps.every((fact) => (fact.product?.own?.pricePerMl ?? null) === null)) return 0;
    return this.zones.reduce(
      (sum, zone) => sum + stack.steps.reduce((own, fact) => own + (amounts(fact, { ...stack, zone }).jarMl ?? 0) * (fact.product?.own?.pricePerMl ?? 0), 0),
      0,
    );
  }

  /**
   * What a fault hangs on: in the decisions its culprits came from, every way with that very step; in those that could have brought
   * what is missing, every way without it. Null when it hangs on more than can be told.
   */
  private hangsOn({ culprits, missing }: Fault, slotOf: ReadonlyMap<StepId, number>, ways: readonly Way[]): readonly (readonly number[])[] | null {
    if (!culprits) return null;
    if (culprits.length === 0) return [];
    const numbers = (slot: number, alike: (draft: Draft) => boolean, wanted: boolean) =>
      this.ways[slot]!.filter((way) => way.option.steps.some(alike) === wanted).map((way) => way.number);
    const blamed = culprits.flatMap(({ step }) => {
      const slot = slotOf.get(step.id) ?? -1;
      const same = (draft: Draft) =>
        draft.role === step.role &&
        draft.product === step.product &&
        draft.technique === step.technique &&
        draft.heat?.temperatureC === step.heat?.temperatureC;
      return slot < 0 ? [] : [{ slot, alike: numbers(slot, same, true) }];
    });
    const slots = new Map(blamed.map(({ slot, alike }) => [slot, alike]));
    const lacks = (draft: Draft) => missing.includes(draft.role);
    for (const [slot, own] of this.ways.entries())
      if (own.some((way) => way.option.steps.some(lacks))) {
        // The way that was taken may have brought it and not helped.
        if (!slots.has(slot)) slots.set(slot, [...new Set([...numbers(slot, lacks, false), ways[slot]!.number])]);
      }
    return slots.size === 0 ? null : [...slots.values()];
  }

  private count(fault: Fault, stack: StackFacts): void {
    const known = this.stops.get(fault.code);
    if (known) known.count += 1;
    else this.stops.set(fault.code, { count: 1, said: findingOf(fault.rule, fault.hit, stack), whatever: fault.culprits?.length === 0 });
  }

  /** Why the zone has no stack: a decision without a way (the cold, if that is what took them), else the rule that stopped most, in its own words. */
  obstacle(): { readonly why: string; readonly code: string } {
    const empty = this.slots.find((slot) => slot.options.length === 0);
    if (empty) return this.nothingFor(empty);
    // What stops every stack says more than what stopped the most of them.
    const [most] = [...this.stops.values()].sort((a, b) => Number(b.whatever) - Number(a.whatever) || b.count - a.count);
    if (!most) return { why: "no way of coating it is left", code: "nothing-fits" };
    const { message, why, code } = most.said;
    return { why: `${message}: ${why.charAt(0).toLowerCase()}${why.slice(1)}`, code };
  }

  private nothingFor(slot: Slot): { why: string; code: string } {
    const { context } = this;
    const cold = [...context.catalogue.products.values()].some((product) => product.usual.rank === 0 && !warmEnoughFor(product, context));
    const rule = cold ? this.rules.find((one) => one.code === "too-cold") : undefined;
    if (rule) return { why: rule.why, code: rule.code };
    return context.piece.constraints.shelfOnly
      ? { why: `${slot.unmet}: nothing on your shelf does it`, code: "not-on-shelf" }
      : { why: slot.unmet, code: "nothing-fits" };
  }
}
