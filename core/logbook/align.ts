import type { Catalogue } from "../catalogue/catalogue";
import { choiceOf } from "../coating/model/step-choice";
import type { Candidate } from "../coating/model/plan";
import type { Step, StepChoice, ZoneSteps } from "../coating/model/step";
import { taskId } from "../coating/facts/task";
import { actKey, coatsOn, dryingSince } from "./body-state";
import type { LaidAct } from "./body-state";

/** A plan with what was done of it. */
export interface Aligned {
  /** Instant, ms, at which each task that is done ended. */
  readonly done: ReadonlyMap<string, number>;
  /** Instant, ms, at which the film of a task was last found tacky. */
  readonly tacky: ReadonlyMap<string, number>;
  /** The stacks as they stand where work went another way than planned: steps passed over, coats more or fewer; null where all goes as planned. */
  readonly zones: readonly ZoneSteps<StepChoice>[] | null;
}

/** A step and what was laid of it. */
interface Met {
  readonly at: number;
  readonly laid: LaidAct;
}

/** Pairs what was laid on a zone with its steps: by id and work, then by the work alone; null where something was laid that is no step of it. */
function pairs(steps: readonly Step[], laid: readonly LaidAct[]): readonly Met[] | null {
  const met: Met[] = [];
  const free = (at: number) => !steps[at]!.done && met.every((one) => one.at !== at);
  for (const one of laid) {
    const key = actKey(one.act);
    const same = steps.flatMap((step, at) => (free(at) && actKey(step) === key ? [at] : []));
    const at = same.find((index) => steps[index]!.id === one.stepId) ?? same[0];
    if (at === undefined) return null;
    met.push({ at, laid: one });
  }
  return met;
}

/** The stack as it stands: what lies under the last film laid is passed over, acts taken as done, films left out. */
function standing(steps: readonly Step[], met: readonly Met[], catalogue: Catalogue): readonly StepChoice[] | null {
  const isFilm = (step: Step) => catalogue.products.has(step.product);
  const coats = new Map(met.map(({ at, laid }) => [at, coatsOn(laid)]));
  const topmost = Math.max(-1, ...met.filter(({ at }) => isFilm(steps[at]!)).map(({ at }) => at));
  let changed = false;
  const now = steps.flatMap((step, at): readonly StepChoice[] => {
    const laid = coats.get(at);
    const choice = choiceOf(step);
    if (step.done) return [choice];
    const more = laid !== undefined && laid > step.coats;
    const fewer = laid !== undefined && laid < step.coats && at < topmost;
    if (more || fewer) {
      changed = true;
      return [{ ...choice, coats: laid }];
    }
    if (laid !== undefined || at > topmost) return [choice];
    changed = true;
    return isFilm(step) ? [] : [{ ...choice, done: true }];
  });
  return changed ? now : null;
}

/**
 * Lays what was done beside the steps of a plan.
 *
 * @param laid what is on the body beyond what the plan itself counts as done
 * @returns null when something was laid that the plan has no step for: then it is a plan for another body
 */
export function alignWith(candidate: Candidate, laid: readonly LaidAct[], catalogue: Catalogue): Aligned | null {
  const done = new Map<string, number>();
  const tacky = new Map<string, number>();
  const zones: ZoneSteps<StepChoice>[] = [];
  const halved = new Set(candidate.order.map(({ stepId, coat, half }) => taskId(stepId, coat, half)));
  let changed = false;
  const known = new Set(candidate.zones.map((zone) => zone.zone));
  if (laid.some((one) => !known.has(one.zone))) return null;
  for (const { zone, areaMm2, steps } of candidate.zones) {
    const met = pairs(
      steps,
      laid.filter((one) => one.zone === zone),
    );
    if (!met) return null;
    for (const step of steps) if (step.done && step.laidAt) done.set(taskId(step.id, 1), Date.parse(step.laidAt));
    for (const { at, laid: one } of met)
      for (const laidCoat of one.coats) {
        const { coat, half, tackyAt } = laidCoat;
        const step = steps[at]!.id;
        // Laid in one go, it is on both halves.
        const ids =
          half === undefined && halved.has(taskId(step, coat, "first"))
            ? [taskId(step, coat, "first"), taskId(step, coat, "second")]
            : [taskId(step, coat, half)];
        for (const id of ids) {
          done.set(id, Date.parse(dryingSince(laidCoat)));
          if (tackyAt !== undefined) tacky.set(id, Date.parse(tackyAt));
        }
      }
    const now = standing(steps, met, catalogue);
    changed ||= now !== null;
    zones.push({ zone, areaMm2, steps: now ?? steps.map(choiceOf) });
  }
  return { done, tacky, zones: changed ? zones : null };
}
