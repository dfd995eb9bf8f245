import type { StepId } from "../../catalogue/ids";
import type { Change, NewStep } from "./change";
import type { StepChoice, ZoneSteps } from "./step";

type Zones = readonly ZoneSteps<StepChoice>[];

/** The step a step would change places with in its zone; none where it is the first or the last, or where the other is on the piece already. */
function neighbour({ steps }: ZoneSteps<StepChoice>, id: StepId, by: -1 | 1): StepChoice | null {
  const at = steps.findIndex((step) => step.id === id);
  const other = at < 0 ? undefined : steps[at + by];
  return other && !other.done && !steps[at]!.done ? other : null;
}

/**
 * One act done a place earlier or later, in each of its zones where that can be.
 *
 * @param stepIds the act's steps, one or more
 * @param by -1 for earlier, 1 for later
 * @returns moves; none where it stands at the end already
 */
export function moveBy(zones: Zones, stepIds: readonly StepId[], by: -1 | 1): readonly Change[] {
  return stepIds.flatMap((stepId): readonly Change[] => {
    const zone = zones.find((one) => one.steps.some((step) => step.id === stepId));
    const other = zone && neighbour(zone, stepId, by);
    return other ? [{ op: "move", stepId, at: by < 0 ? { before: other.id } : { after: other.id } }] : [];
  });
}

/**
 * A step of the user's own after an act, in each of its zones.
 *
 * @param step without an id: each zone gives it one
 */
export function putAfter(zones: Zones, stepIds: readonly StepId[], step: NewStep): readonly Change[] {
  return zones.flatMap(({ zone, steps }) => {
    const last = steps.findLast((one) => stepIds.includes(one.id));
    return last ? [{ op: "add", zone, at: { after: last.id }, step } as const] : [];
  });
}
