import type { ProductId } from "../../catalogue/ids";
import type { ProductClass } from "../../catalogue/product-class";
import type { Sheen } from "../../catalogue/vocabulary";
import { isLiquid, purposeOf } from "../../film/purposes";
import { usualThinning } from "../../film/thinning";
import type { Surface } from "../../catalogue/material";
import type { Because, StepChoice } from "../model/step";

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

/** Nothing of the kind is done. */
export const NONE: Alternative = { key: "none", steps: [] };

export function because(requirement: string, text: string): readonly Because[] {
  return [{ requirement, text }];
}

/** A film step from a product class, thinned for what it is to do. */
export function filmDraft(
  product: ProductClass,
  draft: Omit<Draft, "product" | "method" | "coats" | "thinning"> & Partial<Pick<Draft, "coats" | "method" | "thinning">>,
  surface: Surface,
): Draft {
  const method = draft.method ?? product.methods[0] ?? "brush";
  const thinning = isLiquid(product, method) ? usualThinning(product, purposeOf(draft, product), surface) : null;
  return { coats: product.coats, thinning, ...draft, product: product.id, method };
}

/** A step without a film. */
export function aidDraft(product: ProductId, draft: Omit<Draft, "product" | "method" | "coats">): Draft {
  return { ...draft, product, method: "hand", coats: 1, thinning: null };
}

export function sheenOf(product: ProductClass, wanted: Sheen): { sheen: Sheen } | Record<string, never> {
  const sheen = product.sheens.includes(wanted) ? wanted : product.sheens[0];
  return sheen ? { sheen } : {};
}
