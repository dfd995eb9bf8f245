import type { StepId } from "../../catalogue/ids";
import { stepId } from "../../catalogue/ids";
import { coatsWanted } from "../facts/coats-wanted";
import { stackFacts } from "../facts/facts";
import type { StackFacts, StepFact } from "../facts/facts";
import type { StepChoice } from "../model/step";
import { fillWaits } from "../facts/waits";
import type { ZoneContext } from "./context";
import { PHASE_OF } from "./draft";
import type { Draft, Alternative } from "./draft";

type Placed = Draft & { readonly variable: number };

/** Ids as zone, role and the next free number; a step the user keeps has its own. */
function withIds(context: ZoneContext, drafts: readonly Placed[], variableOf: Map<StepId, number>): readonly StepChoice[] {
  const taken = new Set<string>(drafts.flatMap((draft) => (draft.kept ? [draft.kept.id] : [])));
  const next = new Map<string, number>();
  const freeId = (role: string): StepId => {
    let n = (next.get(role) ?? 0) + 1;
    while (taken.has(`${context.zone.zone}.${role}.${n}`)) n += 1;
    next.set(role, n);
    return stepId(`${context.zone.zone}.${role}.${n}`);
  };
  return drafts.map(({ phase: _phase, variable, kept, ...draft }) => {
    const id = kept?.id ?? freeId(draft.role);
    variableOf.set(id, variable);
    return { checks: [], ...draft, id, origin: kept?.origin ?? "engine" };
  });
}

const ALREADY = [{ requirement: "already-done", text: "it is already on the piece" }];

/** Steps already on the piece stand below all that is still to do. */
function withDone(context: ZoneContext, drafts: readonly Placed[]): readonly Placed[] {
  const done = context.done.map(({ zone: _zone, ...step }): Placed => ({
    ...step,
    phase: PHASE_OF[step.role],
    variable: -1,
    done: true,
    because: ALREADY,
    checks: ["What is on it already is dry right through; if it is fresh, wait first."],
  }));
  return [...done, ...drafts].sort((a, b) => Number(b.done ?? false) - Number(a.done ?? false) || a.phase - b.phase);
}

/** A colour already on the piece that still grins through gets the coats it lacks, in the same paint. */
function toppedUp(fact: StepFact, wanted: number): readonly StepChoice[] {
  const lacks = wanted - (fact.step.coats ?? 1);
  if (!fact.step.done || lacks <= 0 || fact.step.role !== "base") return [];
  const { done: _done, ...step } = fact.step;
  return [
    {
      ...step,
      id: stepId(`${fact.step.id}.more`),
      coats: lacks,
      because: [{ requirement: "field-colour", text: "what is on it already still lets the ground grin through" }],
      checks: ["Hold it to the light: no streaks, nothing of the ground grinning through."],
    },
  ];
}

/** Coats of a colour: what it takes to look solid over what is really beneath, never fewer than practice; the user's stay the user's. */
function withCoats(stack: StackFacts, hers: ReadonlySet<StepId>): readonly StepChoice[] {
  const more: StepChoice[] = [];
  const steps = stack.steps.flatMap((fact): readonly StepChoice[] => {
    const wanted = hers.has(fact.step.id) ? null : coatsWanted(stack, fact);
    if (!wanted) return [fact.step];
    if (fact.step.done) more.push(...toppedUp(fact, wanted.laid));
    return [fact.step.done ? fact.step : { ...fact.step, coats: Math.max(fact.step.coats ?? 1, wanted.laid) }];
  });
  if (more.length === 0) return steps;
  const begun = steps.findIndex((step) => !step.done && !["clean", "sand", "dust-off"].includes(step.role));
  const at = begun < 0 ? steps.length : begun;
  return [...steps.slice(0, at), ...more, ...steps.slice(at)];
}

/** One zone's stack as facts, out of bare choices. */
export function soleStack(context: ZoneContext, steps: readonly StepChoice[]): StackFacts {
  return stackFacts(context, [{ zone: context.zone.zone, areaMm2: context.zone.areaMm2, steps }])[0]!;
}

export interface Assembled {
  readonly stack: StackFacts;
  /** Which variable each step came from; −1 for what was on the piece already. */
  readonly variableOf: ReadonlyMap<StepId, number>;
}

/** Puts chosen alternatives, one a variable, in working order; gives the steps their ids, coats and waits. */
export function assemble(context: ZoneContext, alternatives: readonly Alternative[]): Assembled {
  const variableOf = new Map<StepId, number>();
  const drafts = alternatives.flatMap((alternative, variable) => alternative.steps.map((step): Placed => ({ ...step, variable })));
  const ordered = withDone(context, drafts);
  const hers = new Set(drafts.flatMap((draft) => (draft.kept ? [draft.kept.id] : [])));
  const coated = soleStack(context, withCoats(soleStack(context, withIds(context, ordered, variableOf)), hers));
  return { stack: soleStack(context, fillWaits(coated)), variableOf };
}
