import { alikeZones } from "#core/coating/explain/alike-zones";
import type { ZoneGroup } from "#core/coating/explain/alike-zones";
import { toldActs } from "#core/coating/explain/told-acts";
import type { Step } from "#core/coating/model/step";
import type { StepId } from "#core/catalogue/ids";
import { coatStates } from "#core/logbook/coat-states";
import type { StepState } from "#core/logbook/coat-states";
import { actStates, groupStates } from "#core/logbook/group-states";
import type { PlannedView } from "~/workers/plan-worker-api";

/** A piece in the list: its section, where it stands, what is next. */
export interface Overview {
  readonly groups: readonly ZoneGroup[];
  /** Null before anything is done. */
  readonly states: ReadonlyMap<StepId, StepState> | null;
  readonly next: { readonly step: Step; readonly state: StepState } | null;
  readonly finished: boolean;
  readonly refused: boolean;
}

/**
 * What the list says of a plan at an instant.
 *
 * @param now instant, ms
 */
export function overviewOf({ shown, work, done }: PlannedView, now: number): Overview {
  if (!shown || !work) return { groups: [], states: null, next: null, finished: false, refused: true };
  const groups = alikeZones(shown.zones);
  const each = coatStates(shown, work, done, now);
  const states = groupStates(groups, shown.zones, each);
  const acts = actStates(shown.acts, each);
  const standing = toldActs(shown).flatMap(({ step }) => (acts.has(step.id) ? [{ step, state: acts.get(step.id)! }] : []));
  const ready = standing.find((one) => one.state.state === "ready");
  const [waiting] = standing.filter((one) => one.state.state === "waiting").sort((a, b) => a.state.until! - b.state.until!);
  return {
    groups,
    states: done.size > 0 ? states : null,
    next: ready ?? waiting ?? null,
    finished: standing.every((one) => one.state.state === "done" || one.state.state === "wet"),
    refused: false,
  };
}
