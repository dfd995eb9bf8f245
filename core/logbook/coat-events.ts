import type { Candidate } from "../coating/model/plan";
import type { Task } from "../coating/facts/task";
import type { Step } from "../coating/model/step";
import { actOf } from "./progress";
import type { CoatEvent } from "./progress";

/** Paint one coat of a step, or one half of it, takes out of the jar, mL; null where it takes none. */
function coatMl({ jarMl, coats }: Pick<Step, "jarMl" | "coats">, half: Task["half"]): number | null {
  return jarMl === null ? null : jarMl / coats / (half ? 2 : 1);
}

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
      if (!step) return [];
      const jarMl = coatMl(step, half);
      const handsOnMin = step.handsOnMin / step.coats / (half ? 2 : 1);
      return [
        {
          zone,
          stepId: step.id,
          act: actOf(step),
          coat,
          ...(half ? { half } : {}),
          ...(jarMl === null ? {} : { jarMl }),
          ...(handsOnMin > 0 ? { handsOnMin } : {}),
        },
      ];
    });
}

/**
 * What there is to record while a batch is under way: the coats of its go, with the pieces that have them and the paint these took.
 *
 * @param tasks of the go, in all its places
 * @param pieces that have it by now
 * @param count pieces of the batch
 */
export function countedEvents(candidate: Candidate, tasks: readonly Task[], pieces: number, count: number): readonly CoatEvent[] {
  return tasks
    .flatMap((task) => coatEvents(candidate, task))
    .map(({ jarMl, ...coat }) => ({ ...coat, pieces, ...(jarMl === undefined ? {} : { jarMl: (jarMl * pieces) / count }) }));
}
