import type { StepId } from "#core/catalogue/ids";
import { twinsOf } from "#core/logbook/group-states";
import type { ZoneGroup } from "#core/coating/explain/alike-zones";
import type { Change } from "#core/coating/model/change";
import type { Candidate } from "#core/coating/model/plan";
import type { Step } from "#core/coating/model/step";
import { coatEvents } from "#core/logbook/coat-events";
import type { Task, Work } from "#core/coating/facts/task";
import { useAsk } from "~/actions/use-ask";
import { followedOf } from "~/piece/followed";
import type { SaveChanges } from "~/components/shape/measured-drawing";
import type { PlannedView } from "~/workers/plan-worker-api";
import type { PlanAsk } from "./plan-ask";

export type Apply = (changes: readonly Change[]) => void;

/** What the parts of the plan screen may do to the plan. */
export interface PlanActions {
  /** Changes of the plan, and of the piece among them. */
  readonly apply: Apply;
  /** Keeps a step of the plan whatever is made right around it, or lets it go. */
  readonly pin: (stepId: StepId, kept: boolean) => void;
  readonly markDone: (task: Task) => void;
  readonly markUndone: (task: Task) => void;
  readonly repair: (pinned: readonly StepId[]) => void;
  /** The plan as it was before the user's changes. */
  readonly asPlanned: () => void;
  readonly settleEngine: (take: "newer" | "kept") => void;
}

/** The actions of a plan as it is shown. */
export function usePlanActions(pieceId: string, view: PlannedView, save: SaveChanges): PlanActions {
  const ask = useAsk<PlanAsk>(`/pieces/${pieceId}?index`);
  const { shown } = view;
  const followed = followedOf(view);
  const now = () => new Date().toISOString();
  return {
    apply: (changes) => {
      const onPiece = changes.filter((change) => change.op === "setPiece");
      const edits = changes.filter((change) => change.op !== "setPiece");
      if (onPiece.length > 0) save(onPiece);
      if (edits.length > 0 && followed) ask({ intent: "edit", followed, edits });
    },
    pin: (stepId, kept) => followed && ask({ intent: "pin", followed, stepId, kept }),
    markDone: (task) => shown && followed && ask({ intent: "done", followed, coats: coatEvents(shown, task), at: now() }),
    markUndone: (task) => shown && ask({ intent: "undone", coats: coatEvents(shown, task), at: now() }),
    repair: (pinned) => followed && ask({ intent: "repair", followed, pinned }),
    asPlanned: () => ask({ intent: "plain" }),
    settleEngine: (take) => ask({ intent: "engine", take }),
  };
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
