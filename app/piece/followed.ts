import type { Followed } from "~/store/plans";
import type { PlannedView } from "~/workers/plan-worker-api";

/** What a screen knows of the plan it shows, enough to keep it; null where none is shown. */
export function followedOf({ shown, basis, made, madeFor }: Pick<PlannedView, "shown" | "basis" | "made" | "madeFor">): Followed | null {
  return shown && { candidateId: shown.id, school: shown.school, basis, made, madeFor };
}
