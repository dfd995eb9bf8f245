import type { Keeping } from "../coating/planner/plan-with-edits";
import type { PlanRecord } from "./records";

/** What a kept plan says of the candidate to follow; nothing, where none is kept. */
export function keepingOf(plan: PlanRecord | null): Keeping {
  return { candidateId: plan?.candidateId ?? null, school: plan?.school ?? "", edits: plan?.edits ?? [] };
}
