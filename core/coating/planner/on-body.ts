import type { Role } from "../../catalogue/vocabulary";
import { isRecorded } from "../model/laid-step";
import type { LaidStep } from "../model/laid-step";
import type { ZoneContext } from "./context";
import { PHASE_OF } from "./draft";
import type { Alternative, DecisionVariable, Draft } from "./draft";

/** Acts that were plainly done if a film lies over them. */
const TAKEN_AS_DONE: readonly Role[] = ["clean", "sand", "dust-off"];
const TAKEN = [{ requirement: "already-done", text: "taken as done: a coat lies over it already" }];

/** Whether a recorded coat is the very layer a draft would lay: the technique and colour asked for. */
function isLayer(draft: Draft, step: LaidStep): boolean {
  const same = <T>(one: T | undefined, other: T | undefined) => one === undefined || other === undefined || one === other;
  return draft.role === "decorate" && same(draft.technique, step.technique) && sameColour(draft.colour, step.colour);
}

function sameColour(a: string | undefined, b: string | undefined): boolean {
  return a === undefined || b === undefined || a.toLowerCase() === b.toLowerCase();
}

const isLayerVariable = ({ name }: DecisionVariable) => name.startsWith("layer-");

/** Masks that are on it and not lifted yet. */
function masksOn(done: readonly LaidStep[]): number {
  return done.filter((step) => step.role === "mask").length - done.filter((step) => step.role === "unmask").length;
}

/** What is left of a layer whose paint is on: lifting its mask, locking its particles. */
function afterPaint(variable: DecisionVariable, step: LaidStep, done: readonly LaidStep[]): DecisionVariable {
  const paintAt = ({ steps }: Alternative) => steps.findIndex((draft) => draft.role === "decorate");
  const same = variable.alternatives.filter((one) => one.steps[paintAt(one)]?.product === step.product);
  const locked = done.slice(done.indexOf(step)).some((later) => later.role === "lock");
  const rest = (same.length > 0 ? same : variable.alternatives.slice(0, 1)).map((one): Alternative => ({
    ...one,
    steps: one.steps.slice(paintAt(one) + 1).filter((draft) => (draft.role === "unmask" ? masksOn(done) > 0 : !locked && same.length > 0)),
  }));
  return { ...variable, school: false, alternatives: rest };
}

/** Layers of decoration already on it: each done one takes its own layer, or, where only stated, one of the same product or the first. */
function withoutDoneLayers(variables: readonly DecisionVariable[], done: readonly LaidStep[]): readonly DecisionVariable[] {
  const taken = new Set<string>();
  return done
    .filter((step) => step.role === "decorate")
    .reduce<readonly DecisionVariable[]>((open, step) => {
      const layers = open.filter((variable) => isLayerVariable(variable) && !taken.has(variable.name));
      const has = (test: (draft: Draft) => boolean) =>
        layers.find((variable) => variable.alternatives.some((alternative) => alternative.steps.some((draft) => test(draft))));
      if (!isRecorded(step)) {
        const gone = has((draft) => draft.product === step.product) ?? layers[0];
        return open.filter((variable) => variable !== gone);
      }
      const own = has((draft) => isLayer(draft, step) && draft.product === step.product) ?? has((draft) => isLayer(draft, step));
      if (!own) return open;
      taken.add(own.name);
      return open.map((variable) => (variable === own ? afterPaint(own, step, done) : variable));
    }, variables);
}

/** A wash that takes off all that another would has done its work. */
function washedBy(context: ZoneContext, step: LaidStep, draft: Draft): boolean {
  if (step.product === draft.product) return true;
  const removes = (id: Draft["product"]) => context.catalogue.aids.get(id)?.removes ?? [];
  const wanted = removes(draft.product);
  return wanted.length > 0 && wanted.every((soil) => removes(step.product).includes(soil));
}

/** Whether what is on the piece already does what a draft is there for. */
function isMet(context: ZoneContext, draft: Draft, above: number): boolean {
  const own = context.done.filter((step) => step.role === draft.role);
  if (own.some((step) => !isRecorded(step))) return true;
  switch (draft.role) {
    case "clean":
      return own.some((step) => washedBy(context, step, draft));
    case "sand":
    case "dust-off":
      return own.some((step) => step.product === draft.product) && draft.phase <= above;
    case "base":
      return own.length > 0 && sameColour(own.at(-1)!.colour, draft.colour);
    case "mask":
      return masksOn(context.done) > 0;
    case "unmask":
    case "lock":
    case "seal":
      return false;
    default:
      return own.length > 0;
  }
}

/** Belongs to a layer of decoration, whose place in the work is its own. */
const OF_A_LAYER: readonly Role[] = ["decorate", "mask", "unmask", "lock"];

/** Nothing goes under a coat that is on already, and what is done is not done again. */
function leftOf(context: ZoneContext, alternative: Alternative, above: number): Alternative {
  const recorded = context.done.some(isRecorded);
  const steps = alternative.steps.flatMap((draft): readonly Draft[] => {
    if (draft.role === "cure" || draft.role === "decorate") return [draft];
    if (isMet(context, draft, above)) return [];
    if (draft.phase >= above || (recorded && OF_A_LAYER.includes(draft.role))) return [draft];
    // An earlier act is not made up for once a coat lies over it.
    return TAKEN_AS_DONE.includes(draft.role) && !(recorded && draft.phase > PHASE_OF.clean) ? [{ ...draft, done: true as const, because: TAKEN }] : [];
  });
  return { ...alternative, steps };
}

/** Guides that are on it are taken off the way they ask for; and never by leaving them. */
function ofGuidesOn(variable: DecisionVariable, done: readonly LaidStep[]): readonly Alternative[] {
  const guide = done.findLast((step) => step.role === "mark" && isRecorded(step));
  if (variable.name !== "guides" || !guide) return variable.alternatives;
  if (done.slice(done.indexOf(guide)).some((step) => step.role === "unmark")) return [{ key: "guided", steps: [] }];
  const same = variable.alternatives.filter((one) => one.steps.some((draft) => draft.role === "mark" && draft.product === guide.product));
  return same.length > 0 ? same : variable.alternatives;
}

/** A seal that is on may do as it is; where it does not, another one goes over it. */
function withSealOn(variable: DecisionVariable, done: readonly LaidStep[]): readonly Alternative[] {
  const sealed = variable.name === "sealing" && done.some((step) => step.role === "seal" && isRecorded(step));
  return sealed ? [{ key: "sealed", steps: [] }, ...variable.alternatives.filter((one) => one.steps.length > 0)] : variable.alternatives;
}

/**
 * The decisions left where coats are on the piece already: nothing goes under them, and what is done is not done again.
 *
 * @returns the variables with what is done taken out of their alternatives
 */
export function withoutDone(context: ZoneContext, variables: readonly DecisionVariable[]): readonly DecisionVariable[] {
  const { done } = context;
  if (done.length === 0) return variables;
  const above = Math.max(...done.map((step) => PHASE_OF[step.role]));
  const layered = withoutDoneLayers(variables, done);
  const marks = layered.some(isLayerVariable) || done.some((step) => step.role === "mark");
  return layered
    .filter((variable) => marks || variable.name !== "guides")
    .map((variable) => {
      const seen = new Set<string>();
      const open = variable.name === "guides" ? ofGuidesOn(variable, done) : withSealOn(variable, done);
      const alternatives = open
        .map((alternative) => leftOf(context, alternative, above))
        .filter((alternative) => {
          const look = JSON.stringify(alternative.steps);
          return !seen.has(look) && seen.add(look);
        });
      return { ...variable, alternatives };
    });
}
