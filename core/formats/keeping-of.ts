import type { Keeping } from "../coating/planner/plan-with-edits";
import type { PlanRecord } from "./stores/plans";

/**
 * What a kept plan says of the candidate to follow; nothing, where none is kept.
 *
 * @param plan the kept record; null where none is
 * @returns what the planner is to follow
 */
export function keepingOf(plan: PlanRecord | null): Keeping {
  if (!plan) return { candidateId: null, school: "", edits: [] };
  const { candidateId, school, edits, engineVersion, made, madeFor, basis } = plan;
  return { candidateId, school, edits, basis: basis ?? null, ...(made && madeFor !== undefined ? { kept: { engineVersion, made, madeFor } } : {}) };
}
