import type { StepId } from "../../catalogue/ids";
import type { Zone } from "../../piece/zones";
import type { Judged } from "./judged";
import { amounts, cureDaysOf } from "../facts/quantify";
import { BEST_GRADE, durabilityOf } from "../facts/durability";
import type { StackFacts } from "../facts/facts";
import { findingOf } from "../rules/judge";
import type { Finding } from "../model/plan";
import type { Rule } from "../rules/rule";
import { withinMin } from "../facts/waits";
import { Conflicts } from "./nogoods";
import { Branch } from "./trie-node";
import { warmEnoughFor } from "./context";
import type { ZoneContext } from "./context";
import type { Ledger, Part, Span } from "./cost";
import type { Draft, Slot } from "./draft";
import { avoidableCodes, faultsOf } from "./violations";
import type { Fault } from "./violations";
import { NOTHING, WayTable } from "./domains";
import type { SoFar, Way } from "./domains";

/** Puts a whole judged stack on a plan's ledger. */
export function putZone(ledger: Ledger, zone: number, { ways, extra, span }: Judged): void {
  for (const way of ways) ledger.put(way.part);
  ledger.put(extra);
  ledger.setSpan(zone, span);
}

/** Likely faults of judged zones together. */
export function faultsIn(judged: readonly Judged[]): number {
  return judged.reduce((sum, one) => sum + one.extra.faults, 0);
}

/** Searches the stacks of zones that are alike and get the same; what was judged or learnt for one measure serves the next. */
export class ZoneSearch extends WayTable {
  readonly conflicts: Conflicts;
  /** How many stacks were judged so far, and how many of them nothing stops. */
  judgedCount = 0;
  soundCount = 0;
  private readonly byNumber: readonly Way[];
  /** The branch on which nothing is chosen yet. */
  readonly trunk = new Branch();
  private readonly avoidable: ReadonlySet<string>;
  /** How often each rule stopped a stack, and what it said of the first, for the reason of a refusal. */
  private readonly stops = new Map<string, { count: number; readonly said: Finding; readonly whatever: boolean }>();

  constructor(
    context: ZoneContext,
    zones: readonly Zone[],
    private readonly rules: readonly Rule[],
  ) {
    super(context, zones);
    this.avoidable = avoidableCodes(rules);
    this.byNumber = this.ways.flat();
    this.conflicts = new Conflicts(this.byNumber.length);
  }

  /** Is a whole stack known to be ruled out, or to have more likely faults than it may? */
  ruledOut(ways: readonly Way[], mostFaults: number): boolean {
    for (const way of ways) this.conflicts.choose(way.number);
    const out = this.conflicts.stopped || this.conflicts.faults > mostFaults;
    for (const way of ways) this.conflicts.leave(way.number);
    return out;
  }

  /** The branch of a whole stack. */
  private branchOf(ways: readonly Way[]): Branch {
    return this.order.reduce((branch, slot) => branch.after(ways[slot]!.number), this.trunk);
  }

  /** What a whole stack comes to at the least, before it is judged. */
  leastOfStack(ways: readonly Way[]): SoFar {
    return this.soFarOn(this.branchOf(ways), ways);
  }

  /** What chosen steps come to, as long as the rest is not chosen. */
  soFarOn(branch: Branch, chosen: readonly (Way | undefined)[]): SoFar {
    return (branch.soFar ??= this.soFar(chosen));
  }

  /** Judges a whole stack, one way of each decision; learns what is wrong with it. */
  judge(chosen: readonly Way[]): Judged {
    const ways = chosen.map((way) => this.byNumber[way.number]!);
    const branch = this.branchOf(ways);
    if (branch.judged) return branch.judged;
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
    branch.judged = judged;
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
    // With none left it hangs on what is on the piece already, and every stack has it.
    return [...slots.values()];
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
