import type { Candidate } from "../coating/model/plan";
import type { Task } from "../coating/facts/task";
import { actOf } from "./progress";
import type { CoatEvent } from "./progress";

/**
 * What there is to record when a task is done: one event a zone, each complete in itself.
 *
 * @param candidate the plan the task is of
 * @returns an event for every zone the task touches; an act shared by zones is recorded in each of them
 */
export function coatEvents(candidate: Candidate, { stepId, coat, half, zones }: Pick<Task, "stepId" | "coat" | "half" | "zones">): readonly CoatEvent[] {
  const own = candidate.zones.flatMap((zone) => zone.steps).find((step) => step.id === stepId);
  if (!own) return [];
  return candidate.zones
    .filter((zone) => zones.includes(zone.zone))
    .flatMap(({ zone, steps }) => {
      const step = own.group === undefined ? steps.find((one) => one.id === stepId) : steps.find((one) => one.group === own.group);
      return step ? [{ zone, stepId: step.id, act: actOf(step), coat, ...(half ? { half } : {}) }] : [];
    });
}
