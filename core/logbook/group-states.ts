import type { StepId } from "../catalogue/ids";
import type { ZoneGroup } from "../coating/explain/alike-zones";
import type { Act } from "../coating/model/plan";
import type { Step, ZoneSteps } from "../coating/model/step";
import type { CoatState, StepState } from "./coat-states";

/** What of several zones is told for all of them: what can be done comes first. */
const TELLING: readonly CoatState[] = ["ready", "waiting", "wet", "to-come", "done"];

/**
 * The same step in every zone of a group, in the order of its zones.
 *
 * @param index place of the step in the stack of the group
 */
export function twinsOf(group: ZoneGroup, index: number, zones: readonly ZoneSteps[]): readonly Step[] {
  return group.zones.flatMap((zone) => zones.find((one) => one.zone === zone)?.steps[index] ?? []);
}

function together(states: readonly StepState[]): StepState {
  const state = TELLING.find((one) => states.some((other) => other.state === one)) ?? "to-come";
  const telling = states.filter((one) => one.state === state);
  const soonest = telling.reduce((a, b) => ((b.until ?? Infinity) < (a.until ?? Infinity) ? b : a), telling[0]!);
  return { ...soonest, state, done: states.reduce((sum, one) => sum + one.done, 0), of: states.reduce((sum, one) => sum + one.of, 0) };
}

/**
 * Where each act of the work stands, over all its places: it may be done as soon as it may in one of them.
 *
 * @returns states by the first step of each act
 */
export function actStates(acts: readonly Act[], states: ReadonlyMap<StepId, StepState>): ReadonlyMap<StepId, StepState> {
  return new Map(
    acts.flatMap(({ stepIds }) => {
      const own = stepIds.flatMap((id) => states.get(id) ?? []);
      const [first] = stepIds;
      return first && own.length > 0 ? [[first, own[0]!.of > 0 && new Set(own).size === 1 ? own[0]! : together(own)] as const] : [];
    }),
  );
}

/**
 * Where each step of zones treated alike stands, told once for all of them: it may be done as soon as it may in one of them.
 *
 * @returns states by the step of each group's first zone
 */
export function groupStates(groups: readonly ZoneGroup[], zones: readonly ZoneSteps[], states: ReadonlyMap<StepId, StepState>): ReadonlyMap<StepId, StepState> {
  const told = new Map<StepId, StepState>();
  for (const group of groups)
    for (const [index, step] of group.steps.entries()) {
      const twins = step.group === undefined ? twinsOf(group, index, zones) : [step];
      const own = twins.flatMap((twin) => states.get(twin.id) ?? []);
      if (own.length > 0) told.set(step.id, together(own));
    }
  return told;
}
