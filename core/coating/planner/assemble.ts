import type { ProductId, StepId } from "../../catalogue/ids";
import { stepId } from "../../catalogue/ids";
import { coatsWanted } from "../facts/coats-wanted";
import { isFilm, stackFacts } from "../facts/facts";
import type { StackFacts, StepFact } from "../facts/facts";
import { isRecorded } from "../model/laid-step";
import type { StepChoice } from "../model/step";
import { stepIdOf } from "../model/step-id";
import { fillWaits } from "../facts/waits";
import type { ZoneContext } from "./context";
import { PHASE, phaseOf } from "../facts/phase";
import type { Draft, Alternative } from "./draft";
import { OF_A_LAYER } from "./on-body";

type Placed = Draft & { readonly variable: number };

/** Ids by what each step is; a step the user keeps, or one that is on the piece already, has its own. */
function withIds(context: ZoneContext, drafts: readonly Placed[], variableOf: Map<StepId, number>): readonly StepChoice[] {
  const taken = new Set<string>(drafts.flatMap((draft) => (draft.pinned ? [draft.pinned.id] : [])));
  let beneath: ProductId | null = null;
  return drafts.map(({ phase: _phase, variable, pinned, ...draft }) => {
    const id = pinned?.id ?? stepIdOf(context.zone.zone, draft, beneath, taken);
    if (context.catalogue.products.has(draft.product)) beneath = draft.product;
    variableOf.set(id, variable);
    return { checks: [], ...draft, id, origin: pinned?.origin ?? "engine" };
  });
}

const ALREADY = [{ requirement: "already-done", text: "it is already on the piece" }];

/** Steps already on the piece stand below all that is still to do. */
function withDone(context: ZoneContext, drafts: readonly Placed[]): readonly Placed[] {
  const done = context.done.map(({ zone: _zone, id, ...step }): Placed => ({
    ...step,
    ...(id ? { pinned: { id, origin: "engine" } } : {}),
    // Layers, their masks and their locks lie as they were said, one on the other.
    phase: OF_A_LAYER.includes(step.role) ? PHASE.decorate : phaseOf(step, context.catalogue),
    variable: -1,
    done: true,
    because: ALREADY,
    checks: isRecorded(step) ? [] : ["What is on it already is dry right through; if it is fresh, wait first."],
  }));
  const byPhase = (steps: readonly Placed[]) => [...steps].sort((a, b) => a.phase - b.phase);
  // What was recorded lies in the order it was laid in.
  const before = byPhase([...done.filter((step) => !isRecorded(step)), ...drafts.filter((step) => step.done)]);
  return [...before, ...done.filter(isRecorded), ...byPhase(drafts.filter((step) => !step.done))];
}

function isSameWork(a: StepChoice, b: StepChoice): boolean {
  return a.role === b.role && a.product === b.product && a.technique === b.technique && a.colour === b.colour && a.rows?.[0]?.id === b.rows?.[0]?.id;
}

/** A colour already on the piece that still grins through gets the coats it lacks, in the same paint. */
function toppedUp(stack: StackFacts, fact: StepFact, wanted: number): readonly StepChoice[] {
  const lacks = wanted - (fact.step.coats ?? 1);
  if (!fact.step.done || lacks <= 0 || !["base", "decorate"].includes(fact.step.role)) return [];
  // Not over later coats, and not where another colour comes over it anyway.
  const more = (above: StepFact) => !above.step.done && isSameWork(above.step, fact.step);
  if (stack.steps.slice(fact.index + 1).some((above) => (above.step.done && isFilm(above)) || above.step.role === "base" || more(above))) return [];
  const { done: _done, laidAt: _laidAt, ...step } = fact.step;
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
function withCoats(stack: StackFacts, pinned: ReadonlySet<StepId>): readonly StepChoice[] {
  const more: StepChoice[] = [];
  const steps = stack.steps.flatMap((fact): readonly StepChoice[] => {
    const wanted = pinned.has(fact.step.id) ? null : coatsWanted(stack, fact);
    if (!wanted) return [fact.step];
    if (fact.step.done) more.push(...toppedUp(stack, fact, wanted.laid));
    if (fact.step.done) return [fact.step];
    // Of a layer that was begun only what it lacks; a field is reckoned over the coats beneath it anyway.
    const begun = fact.step.role === "decorate" ? stack.steps.filter((below) => below.step.done && isSameWork(below.step, fact.step)) : [];
    const laid = begun.reduce((sum, below) => sum + (below.step.coats ?? 1), 0);
    return [{ ...fact.step, coats: Math.max(fact.step.coats ?? 1, wanted.laid - laid) }];
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
  const pinned = new Set(drafts.flatMap((draft) => (draft.pinned ? [draft.pinned.id] : [])));
  const coated = soleStack(context, withCoats(soleStack(context, withIds(context, ordered, variableOf)), pinned));
  return { stack: soleStack(context, fillWaits(coated)), variableOf };
}
