import { productId } from "../../catalogue/ids";
import type { DryingStage } from "../../catalogue/vocabulary";
import type { Change, NewStep } from "../model/change";
import type { StackFacts, StepFact } from "../facts/facts";
import type { StepChoice } from "../model/step";

/** Builders of the few changes that rules offer as fixes. */

export function addBefore(stack: StackFacts, fact: StepFact, step: NewStep): readonly Change[] {
  return [{ op: "add", zone: stack.zone.zone, at: { before: fact.step.id }, step }];
}

export function addAfter(stack: StackFacts, fact: StepFact, step: NewStep): readonly Change[] {
  return [{ op: "add", zone: stack.zone.zone, at: { after: fact.step.id }, step }];
}

export function remove(fact: StepFact): readonly Change[] {
  return [{ op: "remove", stepId: fact.step.id }];
}

export function set<F extends keyof StepChoice>(fact: StepFact, field: F, value: StepChoice[F]): readonly Change[] {
  return [{ op: "set", stepId: fact.step.id, field, value }];
}

export function setPiece(path: string, value: unknown): readonly Change[] {
  return [{ op: "setPiece", path, value }];
}

/** A wait long enough, as the user's: it stays when other things change. */
export function waitFix(fact: StepFact, short: number, until: DryingStage): readonly Change[] {
  const min = Math.ceil((fact.step.waitBefore?.min ?? 0) + short);
  return set(fact, "waitBefore", { min, until, set: "hers" });
}

export function aidStep(role: NewStep["role"], product: string): NewStep {
  return { role, product: productId(product), method: "hand", coats: 1, thinning: null };
}

/** Puts another product in a step's place; what belonged to the old one is dropped. */
export function swap(fact: StepFact, product: string, more: Partial<NewStep> = {}): readonly Change[] {
  const changes: Change[] = [
    { op: "set", stepId: fact.step.id, field: "product", value: product },
    { op: "set", stepId: fact.step.id, field: "method", value: undefined },
    { op: "set", stepId: fact.step.id, field: "thinning", value: undefined },
  ];
  return [...changes, ...Object.entries(more).map(([field, value]): Change => ({ op: "set", stepId: fact.step.id, field, value }))];
}
