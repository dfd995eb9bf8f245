import { choiceOf } from "#core/coating/model/step-choice";
import type { Candidate } from "#core/coating/model/plan";
import { factsKey } from "#core/coating/planner/facts-key";
import type { Piece } from "#core/piece/piece";
import type { Followed } from "~/store/plans";
import type { PlannedView } from "~/workers/plan-worker-api";

/** What a screen knows of the plan it shows, enough to keep it; null where none is shown. */
export function followedOf({ shown, basis, made, madeFor, edits }: Pick<PlannedView, "shown" | "basis" | "made" | "madeFor" | "edits">): Followed | null {
  return shown && { candidateId: shown.id, school: shown.school, basis, made, madeFor, edits };
}

/** A candidate a piece is to follow, as it is kept. @param basis the body it was made for; null for the bare piece */
export function followedAs(one: Candidate, basis: string | null, piece: Piece): Followed {
  const made = one.zones.map((zone) => ({ ...zone, steps: zone.steps.map(choiceOf) }));
  return { candidateId: one.id, school: one.school, basis, made, madeFor: factsKey(piece) };
}
