import type { Catalogue } from "../../catalogue/catalogue";
import type { Role } from "../../catalogue/vocabulary";
import type { StepChoice } from "../model/step";
import type { ZoneContext } from "./context";
import { withoutDone } from "./on-body";
import { phaseOf } from "../facts/phase";
import type { Draft, Alternative, DecisionVariable } from "./draft";

/** Roles of which a zone has one: a step of the user's takes the place of the engine's. */
const ONE_OF: readonly Role[] = ["fill", "size", "prime", "base", "isolate", "mark", "seal", "heat-set"];

function asHers(draft: Draft, step: StepChoice): Draft {
  const { id, origin, because: _because, checks: _checks, waitBefore, done: _done, ...choice } = step;
  return { ...draft, ...choice, ...(waitBefore?.set === "hers" ? { waitBefore } : {}), pinned: { id, origin } };
}

function born(step: StepChoice, catalogue: Catalogue): Draft {
  const { because, checks } = step;
  return asHers({ ...step, phase: phaseOf(step, catalogue), because, checks }, step);
}

/** Options that have the step, with the user's in place of their own. */
function withStep(variable: DecisionVariable, step: StepChoice): readonly Alternative[] {
  return variable.alternatives.flatMap((alternative) => {
    const at = alternative.steps.findIndex((draft) => draft.pinned === undefined && alikeSteps(draft, step));
    if (at < 0) return [];
    return [{ ...alternative, strain: 0, steps: alternative.steps.map((draft, index) => (index === at ? asHers(draft, step) : draft)) }];
  });
}

function keeping(variables: readonly DecisionVariable[], step: StepChoice, number: number, catalogue: Catalogue): readonly DecisionVariable[] {
  const at = variables.findIndex((variable) => withStep(variable, step).length > 0);
  if (at >= 0) return variables.map((variable, index) => (index === at ? { ...variable, alternatives: withStep(variable, step) } : variable));
  const own: DecisionVariable = { name: `hers-${number}`, alternatives: [{ key: step.id, steps: [born(step, catalogue)] }], school: false, unmet: "" };
  const instead = ONE_OF.includes(step.role)
    ? variables.findIndex((variable) =>
        variable.alternatives.some((alternative) => alternative.steps.some((draft) => draft.role === step.role && draft.pinned === undefined)),
      )
    : -1;
  if (instead < 0) return [...variables, own];
  return variables.map((variable, index) => (index === instead ? { ...variable, alternatives: own.alternatives } : variable));
}

/** The same work: role and product, and technique and colour where both name one. */
function alikeSteps(draft: Draft, step: StepChoice): boolean {
  const same = <T>(a: T | undefined, b: T | undefined) => a === undefined || b === undefined || a === b;
  return draft.role === step.role && draft.product === step.product && same(draft.technique, step.technique) && same(draft.colour, step.colour);
}

/** The decisions that are left once what is on the piece already and the steps the user keeps are settled. */
export function pinnedVariables(context: ZoneContext, variables: readonly DecisionVariable[]): readonly DecisionVariable[] {
  return context.keep.reduce<readonly DecisionVariable[]>(
    (current, step, index) => keeping(current, step, index, context.catalogue),
    withoutDone(context, variables),
  );
}
