import type { StepId } from "../../catalogue/ids";
import { coatsWanted } from "../facts/coats-wanted";
import { stackFacts } from "../facts/facts";
import type { PieceFacts } from "../facts/facts";
import type { Change } from "../model/change";
import type { StepChoice, ZoneSteps } from "../model/step";

/** Steps whose coats the user set after they were there; a step they put in says its own. */
export function coatsSetBy(edits: readonly Change[]): ReadonlySet<StepId> {
  return new Set(edits.flatMap((edit) => (edit.op === "set" && edit.field === "coats" ? [edit.stepId] : [])));
}

/**
 * Coats worked out anew over what is really beneath: without a ground a colour takes more of them, over a white one fewer. Coats the
 * user set, or said with a step of their own, and what is on the piece already, stay.
 *
 * @param kept steps whose coats stay
 */
export function withCoatsReckoned(facts: PieceFacts, zones: readonly ZoneSteps<StepChoice>[], kept: ReadonlySet<StepId>): readonly ZoneSteps<StepChoice>[] {
  return zones.map((zone) => {
    // From the body up: what lies beneath a colour has its coats already.
    let steps = zone.steps;
    for (const [at, step] of zone.steps.entries()) {
      const said = step.origin === "hers" && step.coats !== undefined;
      if (step.done || said || kept.has(step.id)) continue;
      const [stack] = stackFacts(facts, [{ ...zone, steps }]);
      const fact = stack?.steps[at];
      const wanted = stack && fact && coatsWanted(stack, fact);
      if (!wanted || !fact.product) continue;
      const coats = Math.max(fact.product.coats, wanted.laid);
      if (coats !== step.coats) steps = steps.map((one, index) => (index === at ? { ...one, coats } : one));
    }
    return { ...zone, steps };
  });
}
