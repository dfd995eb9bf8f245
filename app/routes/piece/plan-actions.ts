import type { ZoneGroup } from "#core/coating/explain/alike-zones";
import type { StepId } from "#core/catalogue/ids";
import type { Change } from "#core/coating/model/change";
import type { Candidate } from "#core/coating/model/plan";
import type { Step } from "#core/coating/model/step";
import { twinsOf } from "#core/logbook/group-states";
import type { Task, Work } from "#core/schedule/task";
import type { Coat } from "~/store/progress";

/** What the parts of the plan screen may do to the plan. */
export interface PlanActions {
  readonly apply: (changes: readonly Change[]) => void;
  readonly choose: (candidate: Candidate) => void;
  /** Keeps a step of the plan whatever is made right around it, or lets it go. */
  readonly pin: (stepId: StepId, kept: boolean) => void;
  readonly markDone: (coats: readonly Coat[]) => void;
  readonly markUndone: (coats: readonly Coat[]) => void;
}

export function coatOf({ stepId, coat, half }: Task): Coat {
  return { stepId, coat, ...(half ? { half } : {}) };
}

/** The tasks of a step as it is told: of its twins where it is a shared act, of every zone where zones are treated alike. */
export function tasksOf(step: Step, groups: readonly ZoneGroup[], candidate: Candidate, work: Work): readonly Task[] {
  const all = candidate.zones.flatMap((zone) => zone.steps);
  const group = groups.find((one) => one.steps.some((other) => other.id === step.id));
  const alike = group
    ? twinsOf(
        group,
        group.steps.findIndex((one) => one.id === step.id),
        candidate.zones,
      )
    : [step];
  const twins = step.group === undefined ? alike : all.filter((one) => one.group === step.group);
  return work.tasks.filter((task) => twins.some((one) => one.id === task.stepId));
}
