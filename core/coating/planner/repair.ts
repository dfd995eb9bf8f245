import type { Catalogue } from "../../catalogue/catalogue";
import type { StepId } from "../../catalogue/ids";
import type { Piece } from "../../piece/piece";
import type { Change } from "../model/change";
import { changesBetween } from "../model/changes-between";
import type { Candidate, Refusal } from "../model/plan";
import { choiceOf } from "../model/step-choice";
import { choicesOf } from "./edited";
import { canPlan } from "./piece-search";
import { planPiece } from "./plan-piece";
import type { PinnedStep } from "./piece-search";

/** A plan made right around the steps the user keeps, or what stands in the way. */
export type Repair =
  | { readonly done: true; readonly changes: readonly Change[]; readonly candidate: Candidate }
  | {
      readonly done: false;
      readonly refusal: Refusal;
      /** Kept steps without any one of which there would be a plan; empty when it takes more. */
      readonly inTheWay: readonly StepId[];
    };

function keptOf(candidate: Candidate, pinned: ReadonlySet<StepId>): readonly PinnedStep[] {
  return candidate.zones.flatMap(({ zone, steps }) =>
    steps.filter((step) => pinned.has(step.id) && !step.done).map((step): PinnedStep => ({ ...choiceOf(step), zone })),
  );
}

/**
 * "Keep these steps of mine, make the rest right": searches anew on the plan's own route, with the kept steps as they are.
 *
 * @param candidate the plan as it stands, with the user's changes
 * @param pinned steps that stay; what is on the piece already stays in any case
 * @returns the changes that lead there, or a refusal that names the pinned steps in the way
 */
export function repairPlan(piece: Piece, candidate: Candidate, pinned: readonly StepId[], catalogue: Catalogue): Repair {
  const keep = keptOf(candidate, new Set(pinned));
  const onRoute: Piece = { ...piece, wishes: { ...piece.wishes, route: candidate.route } };
  const { candidates, refusal } = planPiece(onRoute, catalogue, { keep });
  const [best] = candidates;
  if (best) return { done: true, changes: changesBetween(choicesOf(candidate), choicesOf(best)), candidate: best };
  const inTheWay = keep.filter((step) => canPlan(onRoute, catalogue, { keep: keep.filter((other) => other !== step) })).map((step) => step.id);
  return { done: false, refusal: refusal!, inTheWay };
}
