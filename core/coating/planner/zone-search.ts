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
import { Nogoods } from "./nogoods";
import { TrieNode } from "./trie-node";
import { warmEnoughFor } from "./context";
import type { ZoneContext } from "./context";
import type { Part } from "./cost";
import type { IncrementalCost } from "./incremental-cost";
import type { Draft, DecisionVariable } from "./draft";
import { avoidableCodes, violationsOf } from "./violations";
import type { Violation } from "./violations";
import { ZoneDomains } from "./domains";
import { NOTHING } from "./cost";
import type { StackBound, RatedAlternative } from "./rated";
import { lowerFirst } from "../../units/letter-case";

/** Puts a whole judged stack on a plan's running cost. */
export function putZone(cost: IncrementalCost, zone: number, { alternatives, extra, span }: Judged): void {
  for (const alternative of alternatives) cost.put(alternative.part);
  cost.put(extra);
  cost.setSpan(zone, span);
}

/** Likely faults of judged zones together. */
export function faultsIn(judged: readonly Judged[]): number {
  return judged.reduce((sum, one) => sum + one.extra.faults, 0);
}

/** Searches the stacks of zones that are alike and get the same; what was judged or learnt for one measure serves the next. */
export class ZoneSearch extends ZoneDomains {
  readonly nogoods: Nogoods;
  /** How many stacks were judged so far, and how many of them nothing stops. */
  judgedCount = 0;
  soundCount = 0;
  private readonly byNumber: readonly RatedAlternative[];
  /** The node on which nothing is chosen yet. */
  readonly root = new TrieNode();
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
    this.byNumber = this.domains.flat();
    this.nogoods = new Nogoods(this.byNumber.length);
  }

  /** Is a whole stack known to be ruled out, or to have more likely faults than it may? */
  ruledOut(alternatives: readonly RatedAlternative[], mostFaults: number): boolean {
    for (const alternative of alternatives) this.nogoods.choose(alternative.number);
    const out = this.nogoods.stopped || this.nogoods.faults > mostFaults;
    for (const alternative of alternatives) this.nogoods.leave(alternative.number);
    return out;
  }

  /** The node of a whole stack. */
  private nodeOf(alternatives: readonly RatedAlternative[]): TrieNode {
    return this.order.reduce((node, variable) => node.after(alternatives[variable]!.number), this.root);
  }

  /** What a whole stack comes to at the least, before it is judged. */
  leastOfStack(alternatives: readonly RatedAlternative[]): StackBound {
    return this.boundAt(this.nodeOf(alternatives), alternatives);
  }

  /** What chosen steps come to, as long as the rest is not chosen. */
  boundAt(node: TrieNode, chosen: readonly (RatedAlternative | undefined)[]): StackBound {
    return (node.boundOf ??= this.boundOf(chosen));
  }

  /** Judges a whole stack, one alternative of each decision; learns what is wrong with it. */
  judge(chosen: readonly RatedAlternative[]): Judged {
    const alternatives = chosen.map((alternative) => this.byNumber[alternative.number]!);
    const node = this.nodeOf(alternatives);
    if (node.judged) return node.judged;
    this.judgedCount += 1;
    const { stack, variableOf } = this.stackOf(alternatives);
    const faults = violationsOf(stack, this.rules, this.avoidable);
    for (const fault of faults) {
      if (fault.severity === "stop") this.count(fault, stack);
      const anyOf = this.hangsOn(fault, variableOf, alternatives);
      if (anyOf) this.nogoods.learn({ code: fault.code, stop: fault.severity === "stop", anyOf });
    }
    const stop = faults.find((fault) => fault.severity === "stop")?.code ?? null;
    if (stop === null) this.soundCount += 1;
    const judged =
      stop === null
        ? this.measured(stack, alternatives, faults.length)
        : { alternatives, stack, stop, extra: NOTHING, span: { underside: false, chainMin: 0, cureDays: 0, shortfall: 0 } };
    node.judged = judged;
    return judged;
  }

  private measured(stack: StackFacts, alternatives: readonly RatedAlternative[], faults: number): Judged {
    const exact = this.sumsOf(stack.steps);
    const least = (pick: (part: Part) => number) => alternatives.reduce((sum, alternative) => sum + pick(alternative.part), 0);
    const shortfall = BEST_GRADE - durabilityOf(stack);
    const chainMin = stack.steps
      .filter((fact) => fact.step.role !== "cure")
      .reduce((sum, fact) => sum + (fact.step.waitBefore?.min ?? 0) + withinMin(fact, stack, "typical"), 0);
    return {
      alternatives,
      stack,
      stop: null,
      extra: {
        ...NOTHING,
        handsOnMin: exact.handsOnMin - least((part) => part.handsOnMin),
        coats: exact.coats - least((part) => part.coats),
        shortfall: shortfall - least((part) => part.shortfall),
        faults,
        money: this.money(stack),
      },
      span: { underside: this.underside, chainMin, cureDays: cureDaysOf(stack), shortfall },
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
   * What a fault hangs on: in the decisions its culprits came from, every alternative with that very step; in those that could have brought
   * what is missing, every alternative without it. Null when it hangs on more than can be told.
   */
  private hangsOn(
    { culprits, missing }: Violation,
    variableOf: ReadonlyMap<StepId, number>,
    alternatives: readonly RatedAlternative[],
  ): readonly (readonly number[])[] | null {
    if (!culprits) return null;
    if (culprits.length === 0) return [];
    const numbers = (variable: number, alike: (draft: Draft) => boolean, wanted: boolean) =>
      this.domains[variable]!.filter((alternative) => alternative.steps.some(alike) === wanted).map((alternative) => alternative.number);
    const blamed = culprits.flatMap(({ step }) => {
      const variable = variableOf.get(step.id) ?? -1;
      const same = (draft: Draft) =>
        draft.role === step.role &&
        draft.product === step.product &&
        draft.technique === step.technique &&
        draft.heat?.temperatureC === step.heat?.temperatureC;
      return variable < 0 ? [] : [{ variable, alike: numbers(variable, same, true) }];
    });
    const variables = new Map(blamed.map(({ variable, alike }) => [variable, alike]));
    const lacks = (draft: Draft) => missing.includes(draft.role);
    for (const [variable, own] of this.domains.entries()) {
      if (!own.some((alternative) => alternative.steps.some(lacks))) continue;
      // The alternative that was taken may have brought it and not helped.
      const without = new Set([...numbers(variable, lacks, false), alternatives[variable]!.number]);
      // A decision may bring both what is at fault and what would have held it.
      variables.set(
        variable,
        (variables.get(variable) ?? [...without]).filter((number) => without.has(number)),
      );
    }
    // With none left it hangs on what is on the piece already, and every stack has it.
    return [...variables.values()];
  }

  private count(fault: Violation, stack: StackFacts): void {
    const known = this.stops.get(fault.code);
    if (known) known.count += 1;
    else this.stops.set(fault.code, { count: 1, said: findingOf(fault.rule, fault.hit, stack), whatever: fault.culprits?.length === 0 });
  }

  /** Why the zone has no stack: a decision without an alternative (the cold, if that is what took them), else the rule that stopped most, in its own words. */
  obstacle(): { readonly why: string; readonly code: string } {
    const empty = this.variables.find((variable) => variable.alternatives.length === 0);
    if (empty) return this.nothingFor(empty);
    // What stops every stack says more than what stopped the most of them.
    const [most] = [...this.stops.values()].sort((a, b) => Number(b.whatever) - Number(a.whatever) || b.count - a.count);
    if (!most) return { why: "no way of coating it is left", code: "nothing-fits" };
    const { message, why, code } = most.said;
    return { why: `${message}: ${lowerFirst(why)}`, code };
  }

  private nothingFor(variable: DecisionVariable): { why: string; code: string } {
    const { context } = this;
    const cold = [...context.catalogue.products.values()].some((product) => product.usual.rank === 0 && !warmEnoughFor(product, context));
    const rule = cold ? this.rules.find((one) => one.code === "too-cold") : undefined;
    if (rule) return { why: rule.why, code: rule.code };
    return context.piece.constraints.shelfOnly
      ? { why: `${variable.unmet}: nothing on your shelf does it`, code: "not-on-shelf" }
      : { why: variable.unmet, code: "nothing-fits" };
  }
}
