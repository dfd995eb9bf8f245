import type { ProductId } from "../../catalogue/ids";
import type { ProductClass } from "../../catalogue/product-class";
import type { Role, Sheen } from "../../catalogue/vocabulary";
import type { Because, StepChoice } from "../model/step";

/**
 * Where in the work a step falls when nothing moves it. The stack is sorted by it; loops (fill, sand; mask, paint, unmask;
 * lock and paint on) sit inside one phase and keep the order their alternative gives them.
 */
export const PHASE = {
  clean: 10,
  level: 20,
  key: 30,
  size: 40,
  ground: 50,
  base: 60,
  isolate: 70,
  mark: 80,
  decorate: 90,
  unmark: 110,
  sign: 120,
  seal: 130,
  afterSeal: 140,
  assemble: 145,
  heat: 150,
  cure: 160,
} as const;

/** Where a step falls in the work by its role alone: one the user keeps or has done already. */
export const PHASE_OF: Readonly<Record<Role, number>> = {
  cast: PHASE.clean,
  clean: PHASE.clean,
  fill: PHASE.level,
  sand: PHASE.level,
  "dust-off": PHASE.level,
  size: PHASE.size,
  prime: PHASE.ground,
  base: PHASE.base,
  isolate: PHASE.isolate,
  mark: PHASE.mark,
  mask: PHASE.decorate,
  decorate: PHASE.decorate,
  "top-dot": PHASE.decorate,
  lock: PHASE.decorate,
  unmask: PHASE.decorate,
  unmark: PHASE.unmark,
  sign: PHASE.sign,
  seal: PHASE.seal,
  "heat-set": PHASE.heat,
  fire: PHASE.heat,
  assemble: PHASE.assemble,
  cure: PHASE.cure,
};

/** A step before it has an id: what an alternative brings to the stack. One the user keeps has its id, its maker and its coats already. */
export type Draft = Omit<StepChoice, "id" | "origin" | "checks"> & {
  readonly phase: number;
  readonly checks?: readonly string[];
  readonly pinned?: Pick<StepChoice, "id" | "origin">;
};

/** One alternative of a decision variable; `steps` is empty where leaving it out is an alternative too. */
export interface Alternative {
  /** Stable within the variable. */
  readonly key: string;
  readonly steps: readonly Draft[];
  /** How far off usual practice it is to leave this out or do it so: 0 when absent. */
  readonly strain?: number;
}

/** A decision variable: the requirement it serves and its domain of alternatives. */
export interface DecisionVariable {
  readonly name: string;
  readonly alternatives: readonly Alternative[];
  /** Practitioners differ here: each alternative is a school worth showing. */
  readonly school: boolean;
  /** All zones decide it alike: one bake for the piece. */
  readonly forAll?: true;
  /** When no alternative is left: what could not be met, for the refusal. */
  readonly unmet: string;
}

export function because(requirement: string, text: string): readonly Because[] {
  return [{ requirement, text }];
}

/** A film step from a product class. */
export function filmDraft(product: ProductClass, draft: Omit<Draft, "product" | "method" | "coats"> & { coats?: number }): Draft {
  return { coats: product.coats, ...draft, product: product.id, method: product.methods[0] ?? "brush" };
}

/** A step without a film. */
export function aidDraft(product: ProductId, draft: Omit<Draft, "product" | "method" | "coats">): Draft {
  return { ...draft, product, method: "hand", coats: 1, thinning: null };
}

export function sheenOf(product: ProductClass, wanted: Sheen): { sheen: Sheen } | Record<string, never> {
  const sheen = product.sheens.includes(wanted) ? wanted : product.sheens[0];
  return sheen ? { sheen } : {};
}
