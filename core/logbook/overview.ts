import type { StepId } from "../catalogue/ids";
import { alikeZones } from "../coating/explain/alike-zones";
import type { ZoneGroup } from "../coating/explain/alike-zones";
import { toldActs } from "../coating/explain/told-acts";
import type { Work } from "../coating/facts/task";
import type { Candidate } from "../coating/model/plan";
import type { Step } from "../coating/model/step";
import { coatStates } from "./coat-states";
import type { StepState } from "./coat-states";
import { actStates, groupStates } from "./group-states";

/** A piece in the list: its section, where it stands, what is next. */
export interface Overview {
  readonly groups: readonly ZoneGroup[];
  /** Null before anything is done. */
  readonly states: ReadonlyMap<StepId, StepState> | null;
  readonly next: { readonly step: Step; readonly state: StepState } | null;
  readonly finished: boolean;
  readonly refused: boolean;
  /** Instant, ms, at which one of its waits ends: from then on it is another; null for never. */
  readonly until: number | null;
}

const RANKS = ["ready", "waiting", "nothing"] as const;

function rankOf({ next }: Overview): number {
  return RANKS.indexOf(next === null ? "nothing" : next.state.state === "ready" ? "ready" : "waiting");
}

/**
 * The order of begun pieces on the table: what may be touched now, then what waits, in the order its waits end, then what only hardens.
 *
 * @returns below 0 where the first comes before the other
 */
export function tableOrder(one: Overview, other: Overview): number {
  return rankOf(one) - rankOf(other) || (one.next?.state.until ?? 0) - (other.next?.state.until ?? 0);
}

/** A step as a list needs it: what it is made from and why stays out, so that thousands can be remembered. */
function lean(step: Step): Step {
  return { ...step, because: [], checks: [], thinning: null, typical: null, cautious: null };
}

/**
 * What the list says of a plan at an instant.
 *
 * @param of the plan with its tasks and what is done of it, by task, instant in ms
 * @param now instant, ms
 */
export function overviewOf(
  { shown, work, done }: { readonly shown: Candidate | null; readonly work: Work | null; readonly done: ReadonlyMap<string, number> },
  now: number,
): Overview {
  if (!shown || !work) return { groups: [], states: null, next: null, finished: false, refused: true, until: null };
  const groups = alikeZones(shown.zones).map((group) => ({ ...group, steps: group.steps.map(lean) }));
  const each = coatStates(shown, work, done, now);
  const acts = actStates(shown.acts, each);
  const standing = toldActs(shown).flatMap(({ step }) => (acts.has(step.id) ? [{ step: lean(step), state: acts.get(step.id)! }] : []));
  const ready = standing.find((one) => one.state.state === "ready");
  const [waiting] = standing.filter((one) => one.state.state === "waiting").sort((a, b) => a.state.until! - b.state.until!);
  const ends = [...each.values()].flatMap(({ until }) => (until !== null && until > now ? [until] : []));
  return {
    groups,
    states: done.size > 0 ? groupStates(groups, shown.zones, each) : null,
    next: ready ?? waiting ?? null,
    finished: standing.every((one) => one.state.state === "done" || one.state.state === "wet"),
    refused: false,
    until: ends.length > 0 ? Math.min(...ends) : null,
  };
}
