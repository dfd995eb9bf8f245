import type { MaterialId } from "../../catalogue/ids";
import type { Condition, ZoneId } from "../../catalogue/vocabulary";
import type { Exposure } from "../../catalogue/use";
import type { StepChoice } from "./step";

/** The stack of one place of a recipe. */
export interface RecipeStack {
  readonly zone: ZoneId;
  readonly exposure: Exposure;
  /** Where decoration lands when no place is named. */
  readonly main: boolean;
  /** Of which it was made, mm²: marks are as many and as large there. */
  readonly areaMm2: number;
  readonly steps: readonly StepChoice[];
}

/** A plan kept as a way of working of its own: what is laid on what, without amounts, and what it was made for. */
export interface Recipe {
  readonly name: string;
  readonly school: string;
  readonly appliesTo: { readonly material: MaterialId; readonly conditions: readonly Condition[] };
  readonly stacks: readonly RecipeStack[];
}
