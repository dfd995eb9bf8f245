import type { StepId } from "../../catalogue/ids";
import { freeStepId } from "../apply-changes";
import { coatsWanted } from "../coats-wanted";
import { stackFacts } from "../facts";
import type { StackFacts } from "../facts";
import type { StepChoice } from "../plan";
import { fillWaits } from "../waits";
import type { ZoneContext } from "./context";
import type { Draft, Option } from "./draft";

type Placed = Draft & { readonly slot: number };

function withIds(context: ZoneContext, drafts: readonly Placed[], slotOf: Map<StepId, number>): readonly StepChoice[] {
  const taken: StepId[] = [];
  return drafts.map(({ phase: _phase, slot, ...draft }) => {
    const id = freeStepId(context.zone.zone, draft.role, taken);
    taken.push(id);
    slotOf.set(id, slot);
    return { checks: [], ...draft, id, origin: "engine" as const };
  });
}

/** Steps already on the piece stand first, as hers; the engine plans no second one of the same role. */
function withDone(context: ZoneContext, drafts: readonly Placed[]): readonly Placed[] {
  const done = context.piece.done.filter((step) => step.zone === context.zone.zone);
  const roles = new Set(done.map((step) => step.role));
  return [
    ...done.map(({ zone: _zone, ...step }): Placed => ({
      ...step,
      phase: 0,
      slot: -1,
      because: [{ requirement: "already-done", text: "it is already on the piece" }],
    })),
    ...drafts.filter((draft) => !roles.has(draft.role) || draft.role === "cure"),
  ];
}

/** Coats of a colour: what it takes to look solid over what is really beneath, never fewer than practice. */
function withCoats(stack: StackFacts): readonly StepChoice[] {
  return stack.steps.map((fact) => {
    const wanted = coatsWanted(stack, fact);
    return wanted ? { ...fact.step, coats: Math.max(fact.step.coats ?? 1, wanted.laid) } : fact.step;
  });
}

/** One zone's stack as facts, out of bare choices. */
export function soleStack(context: ZoneContext, steps: readonly StepChoice[]): StackFacts {
  return stackFacts(context, [{ zone: context.zone.zone, areaMm2: context.zone.areaMm2, steps }])[0]!;
}

export interface Assembled {
  readonly stack: StackFacts;
  /** Which slot each step came from; −1 for what was on the piece already. */
  readonly slotOf: ReadonlyMap<StepId, number>;
}

/** Puts chosen options, one a slot, in working order; gives the steps their ids, coats and waits. */
export function assemble(context: ZoneContext, options: readonly Option[]): Assembled {
  const slotOf = new Map<StepId, number>();
  const drafts = options.flatMap((option, slot) => option.steps.map((step): Placed => ({ ...step, slot })));
  const ordered = [...withDone(context, drafts)].sort((a, b) => a.phase - b.phase);
  const coated = soleStack(context, withCoats(soleStack(context, withIds(context, ordered, slotOf))));
  return { stack: soleStack(context, fillWaits(coated)), slotOf };
}
