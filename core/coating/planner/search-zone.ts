import type { ProductId, StepId } from "../../catalogue/ids";
import type { StackFacts } from "../facts";
import { findingOf } from "../judge";
import type { Finding } from "../plan";
import type { Rule } from "../rule";
import { assemble } from "./assemble";
import { cheapest } from "./branch-and-bound";
import type { Conflict } from "./branch-and-bound";
import { warmEnoughFor } from "./context";
import type { ZoneContext } from "./context";
import type { Option, Slot } from "./draft";
import { costOf, weigh } from "./measures";
import type { MeasureName } from "./measures";
import { slotsOf } from "./slots";
import { avoidableCodes, faultsOf } from "./verdict";
import type { Fault } from "./verdict";

/** Stacks judged and combinations walked before the search gives a zone up. */
const MOST_JUDGED = 400;
/** Enough to know whether anything fits at all. */
const MOST_JUDGED_FOR_ANY = 120;
/** A school that does not come easily is not one worth showing. */
const MOST_JUDGED_FOR_A_SCHOOL = 60;
const MOST_WALKED = 60_000;
/** Further off usual practice than this, a way is no school. */
const MOST_STRAIN = 2.5;
/** What one likely fault weighs against the measures: some days and a product more [judgement of this project]. */
const WARN_WEIGHT = 4;

export type ZoneResult = { readonly stack: StackFacts } | { readonly stack: null; readonly why: string; readonly code: string };

interface Judged {
  readonly stack: StackFacts;
  readonly stop: string | null;
  readonly warns: number;
}

/** Ways that are worked differently first (brush, spray, pour), then more of the same. */
function byMethod(options: readonly Option[]): readonly Option[] {
  const methods = new Set<string>();
  const fresh = options.filter((option) => {
    const method = option.steps[0]?.method ?? "none";
    return !methods.has(method) && methods.add(method);
  });
  return [...fresh, ...options.filter((option) => !fresh.includes(option))];
}

/** Searches the stacks of one zone; what was judged or learnt for one measure serves the next. */
export class ZoneSearch {
  private readonly slots: readonly Slot[];
  private readonly avoidable: ReadonlySet<string>;
  private readonly judged = new Map<string, Judged>();
  private readonly conflicts: Conflict[] = [];
  private readonly learnt = new Set<string>();
  /** How often each rule stopped a stack, and what it said of the first, for the reason of a refusal. */
  private readonly stops = new Map<string, { count: number; readonly said: Finding }>();

  constructor(
    readonly context: ZoneContext,
    private readonly rules: readonly Rule[],
  ) {
    this.slots = slotsOf(context);
    this.avoidable = avoidableCodes(rules);
  }

  /** The ways practitioners differ by, one of each decision in turn; what the trade does not reach for here is no school. */
  schools(): readonly { readonly slot: string; readonly option: string }[] {
    const usual = (option: Option) =>
      (option.strain ?? 0) <= MOST_STRAIN &&
      option.steps.every(({ product }) => {
        const known = this.context.catalogue.products.get(product);
        return !known || (known.usual.rank < 2 && known.usual.on.includes(this.context.surface));
      });
    const slots = this.slots.filter((slot) => slot.school && slot.options.length > 1);
    const longest = Math.max(0, ...slots.map((slot) => slot.options.length));
    return Array.from({ length: longest }, (_unused, round) => round).flatMap((round) =>
      slots.flatMap((slot) => {
        const option = byMethod(slot.options.filter(usual))[round];
        return option ? [{ slot: slot.name, option: option.key }] : [];
      }),
    );
  }

  /**
   * The best stack by a measure: a likely fault costs, a stop rules out, and what was learnt of one combination spares others.
   *
   * @param owned products chosen for other zones already
   * @param forced slot name → option key: a school that is to be followed
   */
  best(measure: MeasureName, owned: ReadonlySet<ProductId>, forced: ReadonlyMap<string, string> = new Map()): ZoneResult {
    return this.search(measure, owned, forced, forced.size > 0 ? MOST_JUDGED_FOR_A_SCHOOL : MOST_JUDGED, false);
  }

  /** The first stack that nothing stops: enough to know that there is one. */
  any(): ZoneResult {
    return this.search("balanced", new Set(), new Map(), MOST_JUDGED_FOR_ANY, true);
  }

  private search(measure: MeasureName, owned: ReadonlySet<ProductId>, forced: ReadonlyMap<string, string>, most: number, anyWillDo: boolean): ZoneResult {
    const empty = this.slots.find((slot) => slot.options.length === 0);
    if (empty) return { stack: null, ...this.nothingFor(empty) };
    const before = this.judged.size;
    let walked = 0;
    let met = false;
    const chosen = cheapest({
      lists: this.slots.map((slot) => this.priced(slot, measure, owned, forced.get(slot.name))),
      conflicts: this.conflicts,
      faultCost: WARN_WEIGHT,
      judge: (choices) => {
        const { stop, warns } = this.judge(choices.map((choice) => choice.option));
        met ||= stop === null;
        return stop === null ? warns * WARN_WEIGHT : null;
      },
      enough: () => (walked += 1) > MOST_WALKED || this.judged.size - before > most || (anyWillDo && met),
    });
    return chosen ? { stack: this.judge(chosen.map((choice) => choice.option)).stack } : { stack: null, ...this.mainObstacle() };
  }

  /** Why a decision has no way left: the cold, if that is what took them. */
  private nothingFor(slot: Slot): { why: string; code: string } {
    const { context } = this;
    const cold = [...context.catalogue.products.values()].some((product) => product.usual.rank === 0 && !warmEnoughFor(product, context));
    const rule = cold ? this.rules.find((one) => one.code === "too-cold") : undefined;
    return rule ? { why: rule.why, code: rule.code } : { why: slot.unmet, code: "nothing-fits" };
  }

  private priced(slot: Slot, measure: MeasureName, owned: ReadonlySet<ProductId>, key: string | undefined) {
    const open = key === undefined ? slot.options : slot.options.filter((option) => option.key === key);
    // The order of the catalogue breaks ties.
    return open.map((option, order) => ({ key: option.key, option, cost: weigh(costOf(option, this.context, slot.name, owned), measure) + order * 1e-3 }));
  }

  /** A fault is learnt once, however often it is met. */
  private learn(conflict: Conflict): void {
    const key = `${conflict.code}|${conflict.parts.map((part) => `${part.slot}:${part.key}`).join("|")}`;
    if (this.learnt.has(key)) return;
    this.learnt.add(key);
    this.conflicts.push(conflict);
  }

  private judge(options: readonly Option[]): Judged {
    const key = options.map((option) => option.key).join("|");
    const known = this.judged.get(key);
    if (known) return known;
    const { stack, slotOf } = assemble(this.context, options);
    const faults = faultsOf(stack, this.rules, this.avoidable);
    for (const fault of faults) {
      if (fault.severity === "stop") this.count(fault, stack);
      const slots = fault.culprits && this.slotsOf(fault, slotOf);
      const always = fault.culprits?.length === 0;
      if (always || (slots && slots.length > 0))
        this.learn({ code: fault.code, stop: fault.severity === "stop", parts: (slots ?? []).map((slot) => ({ slot, key: options[slot]!.key })) });
    }
    const stop = faults.find((fault) => fault.severity === "stop")?.code ?? null;
    const judged = { stack, stop, warns: stop ? 0 : faults.length };
    this.judged.set(key, judged);
    return judged;
  }

  /** The decisions a fault hangs on: those its culprits came from, and those that could have brought what is missing. */
  private slotsOf(fault: Fault, slotOf: ReadonlyMap<StepId, number>): readonly number[] {
    const blamed = fault.culprits?.map((culprit) => slotOf.get(culprit.step.id) ?? -1) ?? [];
    const open = this.slots.flatMap((slot, index) =>
      slot.options.some((option) => option.steps.some((step) => fault.missing.includes(step.role))) ? [index] : [],
    );
    return [...new Set([...blamed, ...open])].filter((slot) => slot >= 0);
  }

  private count(fault: Fault, stack: StackFacts): void {
    const known = this.stops.get(fault.code);
    if (known) known.count += 1;
    else this.stops.set(fault.code, { count: 1, said: findingOf(fault.rule, fault.hit, stack) });
  }

  /** The rule that stopped most stacks, in its own words. */
  private mainObstacle(): { why: string; code: string } {
    const [most] = [...this.stops.values()].sort((a, b) => b.count - a.count);
    return most
      ? { why: `${most.said.message}: ${lowered(most.said.why)}`, code: most.said.code }
      : { why: "no way of coating it is left", code: "nothing-fits" };
  }
}

function lowered(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1);
}
