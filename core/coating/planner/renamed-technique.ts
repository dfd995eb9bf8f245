import { techniqueWork } from "../facts/layers";
import type { PieceFacts } from "../facts/facts";
import type { Change } from "../model/change";
import type { StepChoice, ZoneSteps } from "../model/step";

/** What a technique settles of a step, unless the user settles it. */
const SETTLED = ["method", "coverage", "while", "marks"] as const;

function settings(edits: readonly Change[], step: StepChoice): ReadonlySet<string> {
  return new Set(edits.flatMap((edit) => (edit.op === "set" && edit.stepId === step.id && edit.value !== undefined ? [edit.field] : [])));
}

/**
 * Steps whose technique the user set, with all that follows from it: marks of a size and number for their place, how much of it they take, the tool.
 * What they set themselves stays, and so does what is on the piece already.
 *
 * @param zones stacks with the user's changes on them
 */
export function withTechniquesWorked(facts: PieceFacts, zones: readonly ZoneSteps<StepChoice>[], edits: readonly Change[]): readonly ZoneSteps<StepChoice>[] {
  return zones.map((stack) => {
    const zone = facts.zones.find((one) => one.zone === stack.zone);
    if (!zone) return stack;
    const steps = stack.steps.map((step): StepChoice => {
      const set = settings(edits, step);
      const technique = step.technique && facts.catalogue.techniques.get(step.technique);
      const fresh = step.origin === "hers" && step.role === "decorate" && step.coverage === undefined && step.marks === undefined;
      const product = facts.catalogue.products.get(step.product);
      if (!technique || !product || step.done || !(set.has("technique") || fresh)) return step;
      const work: Partial<StepChoice> = techniqueWork(technique, zone, product);
      const { marks: _marks, ...plain } = step;
      const kept = Object.fromEntries(SETTLED.flatMap((key) => (set.has(key) && step[key] !== undefined ? [[key, step[key]]] : [])));
      return { ...plain, ...work, ...kept };
    });
    return { ...stack, steps };
  });
}
