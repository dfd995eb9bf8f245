import type { StepId } from "../../catalogue/ids";
import type { Change } from "./change";
import type { StepChoice } from "./step";

/** A step that comes in the place of another. */
export type Added = Extract<Change, { op: "add" }>;

/**
 * Of what goes and what comes, the pairs that are one change: the same act in the same place, done otherwise.
 *
 * @param changes that turn one plan into another
 * @param steps of both plans, by id
 * @returns what each added step comes instead of; each step that goes is in at most one pair
 */
export function replacementsIn(changes: readonly Change[], steps: ReadonlyMap<StepId, StepChoice>): ReadonlyMap<Added, StepChoice> {
  const gone = changes.flatMap((change) => (change.op === "remove" ? (steps.get(change.stepId) ?? []) : []));
  const pairs = new Map<Added, StepChoice>();
  for (const change of changes) {
    if (change.op !== "add") continue;
    const at = gone.findIndex((step) => step.role === change.step.role && step.id.startsWith(`${change.zone}.`));
    if (at >= 0) pairs.set(change, gone.splice(at, 1)[0]!);
  }
  return pairs;
}
