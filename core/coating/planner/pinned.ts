import type { Role } from "../../catalogue/vocabulary";
import type { DoneStep } from "../../piece/piece";
import type { StepChoice } from "../model/step";
import type { ZoneContext } from "./context";
import { PHASE_OF } from "./draft";
import type { Draft, Alternative, DecisionVariable } from "./draft";

/** Roles of which a zone has one: a step of the user's takes the place of the engine's. */
const ONE_OF: readonly Role[] = ["fill", "size", "prime", "base", "isolate", "mark", "seal", "heat-set"];

function asHers(draft: Draft, step: StepChoice): Draft {
  const { id, origin, because: _because, checks: _checks, waitBefore, done: _done, ...choice } = step;
  return { ...draft, ...choice, ...(waitBefore?.set === "hers" ? { waitBefore } : {}), kept: { id, origin } };
}

function born(step: StepChoice): Draft {
  const { because, checks } = step;
  return asHers({ ...step, phase: PHASE_OF[step.role], because, checks }, step);
}

/** Options that have the step, with the user's in place of their own. */
function withStep(variable: DecisionVariable, step: StepChoice): readonly Alternative[] {
  return variable.alternatives.flatMap((alternative) => {
    const at = alternative.steps.findIndex((draft) => draft.kept === undefined && alikeSteps(draft, step));
    if (at < 0) return [];
    return [{ ...alternative, strain: 0, steps: alternative.steps.map((draft, index) => (index === at ? asHers(draft, step) : draft)) }];
  });
}

function keeping(variables: readonly DecisionVariable[], step: StepChoice, number: number): readonly DecisionVariable[] {
  const at = variables.findIndex((variable) => withStep(variable, step).length > 0);
  if (at >= 0) return variables.map((variable, index) => (index === at ? { ...variable, alternatives: withStep(variable, step) } : variable));
  const own: DecisionVariable = { name: `hers-${number}`, alternatives: [{ key: step.id, steps: [born(step)] }], school: false, unmet: "" };
  const instead = ONE_OF.includes(step.role)
    ? variables.findIndex((variable) =>
        variable.alternatives.some((alternative) => alternative.steps.some((draft) => draft.role === step.role && draft.kept === undefined)),
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

/** Acts that were plainly done if a film lies over them. */
const TAKEN_AS_DONE: readonly Role[] = ["clean", "sand", "dust-off"];
const TAKEN = [{ requirement: "already-done", text: "taken as done: a coat lies over it already" }];

/** Layers of decoration already on it: one for each done step, of the same product where one is. */
function withoutDoneLayers(variables: readonly DecisionVariable[], done: readonly DoneStep[]): readonly DecisionVariable[] {
  return done
    .filter((step) => step.role === "decorate")
    .reduce<readonly DecisionVariable[]>((open, step) => {
      const layers = open.filter((variable) => variable.name.startsWith("layer-"));
      const same = layers.find((variable) => variable.alternatives.some((alternative) => alternative.steps.some((draft) => draft.product === step.product)));
      const gone = same ?? layers[0];
      return open.filter((variable) => variable !== gone);
    }, variables);
}

/** Nothing goes under a coat that is on already, and what is done is not done again. */
function leftOf(alternative: Alternative, doneRoles: ReadonlySet<Role>, above: number): Alternative {
  const steps = alternative.steps.flatMap((draft): readonly Draft[] => {
    if (draft.role === "cure" || draft.role === "decorate") return [draft];
    if (doneRoles.has(draft.role)) return [];
    if (draft.phase >= above) return [draft];
    return TAKEN_AS_DONE.includes(draft.role) ? [{ ...draft, done: true as const, because: TAKEN }] : [];
  });
  return { ...alternative, steps };
}

function withoutDone(variables: readonly DecisionVariable[], done: readonly DoneStep[]): readonly DecisionVariable[] {
  if (done.length === 0) return variables;
  const roles = new Set(done.map((step) => step.role));
  const above = Math.max(...done.map((step) => PHASE_OF[step.role]));
  const layered = withoutDoneLayers(variables, done);
  const marks = layered.some((variable) => variable.name.startsWith("layer-")) || roles.has("mark");
  return layered
    .filter((variable) => marks || variable.name !== "guides")
    .map((variable) => {
      const seen = new Set<string>();
      const alternatives = variable.alternatives
        .map((alternative) => leftOf(alternative, roles, above))
        .filter((alternative) => {
          const look = JSON.stringify(alternative.steps);
          return !seen.has(look) && seen.add(look);
        });
      return { ...variable, alternatives };
    });
}

/** The decisions that are left once what is on the piece already and the steps the user keeps are settled. */
export function pinnedVariables(context: ZoneContext, variables: readonly DecisionVariable[]): readonly DecisionVariable[] {
  return context.keep.reduce<readonly DecisionVariable[]>((current, step, index) => keeping(current, step, index), withoutDone(variables, context.done));
}
