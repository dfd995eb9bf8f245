import type { Catalogue } from "../../catalogue/catalogue";
import type { Role } from "../../catalogue/vocabulary";
import { isRecorded } from "../model/laid-step";
import type { LaidStep } from "../model/laid-step";
import type { ZoneContext } from "./context";
import { PHASE, phaseOf } from "../facts/phase";
import type { Alternative, DecisionVariable, Draft } from "./draft";
import { OVER_OLD } from "./variables-over-old";

/** Acts that were plainly done if a film lies over them. */
const TAKEN_AS_DONE: readonly Role[] = ["clean", "sand", "dust-off"];
const TAKEN = [{ requirement: "already-done", text: "taken as done: a coat lies over it already" }];

/** Whether a coat that is on is the very layer a draft would lay: the technique and colour asked for, or, where no technique is said, one its paint does. */
function isLayer(draft: Draft, step: LaidStep, catalogue: Catalogue): boolean {
  const same = <T>(one: T | undefined, other: T | undefined) => one === undefined || other === undefined || one === other;
  const size = draft.rows === undefined || same(draft.marks?.diameterMm, step.marks?.diameterMm);
  const able = step.technique !== undefined || draft.technique === undefined || catalogue.products.get(step.product)?.techniques.includes(draft.technique);
  return (
    isMarking(draft.role) && draft.role === step.role && size && able === true && same(draft.technique, step.technique) && sameColour(draft.colour, step.colour)
  );
}

const isMarking = (role: Role) => role === "decorate" || role === "top-dot";

function sameColour(a: string | undefined, b: string | undefined): boolean {
  return a === undefined || b === undefined || a.toLowerCase() === b.toLowerCase();
}

const isLayerVariable = ({ name }: DecisionVariable) => name.startsWith("layer-");

/** Masks that are on it and not lifted yet. */
function masksOn(done: readonly LaidStep[]): number {
  return done.filter((step) => step.role === "mask").length - done.filter((step) => step.role === "unmask").length;
}

/** The same film: role and product, and of a field the colour. */
function isOf(draft: Draft, step: LaidStep): boolean {
  return draft.role === step.role && draft.product === step.product && (draft.role !== "base" || sameColour(draft.colour, step.colour));
}

/** Coats of a step that is on: of one that is only stated all it needs, where no number is said. */
function coatsLaid(step: LaidStep): number {
  return step.coats ?? (isRecorded(step) ? 1 : Infinity);
}

/** Coats of a draft's own film that are on already. */
function coatsOn(done: readonly LaidStep[], draft: Draft): number {
  return done.filter((step) => isOf(draft, step)).reduce((sum, step) => sum + coatsLaid(step), 0);
}

/** A draft with the coats that are on taken off; null where it has them all. */
function restOf(draft: Draft, coats: number): Draft | null {
  const left = (draft.coats ?? 1) - coats;
  return left > 0 ? { ...draft, coats: left } : null;
}

/** The layer a mask on the piece is for: the next one whose paint is not begun; none where the mask's paint is on. */
function maskedLayer(variables: readonly DecisionVariable[], done: readonly LaidStep[]): string | null {
  const last = (role: Role) => done.findLastIndex((step) => step.role === role);
  if (masksOn(done) <= 0 || last("decorate") > last("mask")) return null;
  const waiting = variables.find(
    (variable) => isLayerVariable(variable) && variable.alternatives.some((one) => one.steps.some((draft) => draft.role === "mask")),
  );
  return waiting?.name ?? null;
}

/** What is left of a layer whose paint is on: coats it lacks, lifting its mask, locking its particles. */
function afterPaint(variable: DecisionVariable, step: LaidStep, done: readonly LaidStep[]): DecisionVariable {
  const paintAt = ({ steps }: Alternative) => steps.findIndex((draft) => isMarking(draft.role));
  const same = variable.alternatives.filter((one) => one.steps[paintAt(one)]?.product === step.product);
  const after = done.slice(done.indexOf(step));
  const locked = after.some((later) => later.role === "lock");
  const masked = masksOn(done.slice(0, done.indexOf(step))) > 0 && !after.some((later) => later.role === "unmask");
  const rest = (same.length > 0 ? same : variable.alternatives.slice(0, 1)).map((one): Alternative => ({
    ...one,
    steps: [
      ...(same.length > 0 ? [restOf(one.steps[paintAt(one)]!, coatsLaid(step))] : []).flatMap((draft) => draft ?? []),
      ...one.steps.slice(paintAt(one) + 1).filter((draft) => (draft.role === "unmask" ? masked : !locked && same.length > 0)),
    ],
  }));
  return { ...variable, school: false, alternatives: rest };
}

/** Layers of decoration already on it: each done one takes its own layer, and leaves of it what it lacks. */
function withoutDoneLayers({ done, catalogue }: ZoneContext, variables: readonly DecisionVariable[]): readonly DecisionVariable[] {
  const taken = new Set<string>();
  return done
    .filter((step) => isMarking(step.role))
    .reduce<readonly DecisionVariable[]>((open, step) => {
      const layers = open.filter((variable) => isLayerVariable(variable) && !taken.has(variable.name));
      const has = (test: (draft: Draft) => boolean) =>
        layers.find((variable) => variable.alternatives.some((alternative) => alternative.steps.some((draft) => test(draft))));
      const isIt = (draft: Draft) => isLayer(draft, step, catalogue);
      // Recorded, it may be the layer in another paint than was planned; of what is only stated the paint or the colour has to say so.
      const tells = (draft: Draft) => isRecorded(step) || (step.colour !== undefined && draft.colour !== undefined);
      const own = has((draft) => isIt(draft) && draft.product === step.product) ?? has((draft) => isIt(draft) && tells(draft));
      if (!own) return open;
      taken.add(own.name);
      return open.map((variable) => (variable === own ? afterPaint(own, step, done) : variable));
    }, variables);
}

/** A wash that takes off all that another would has done its work. */
function washedBy(context: ZoneContext, step: LaidStep, draft: Draft): boolean {
  // Alcohol is for what a wash leaves behind.
  if (context.catalogue.aids.get(draft.product)?.vapour) return false;
  const removes = (id: Draft["product"]) => context.catalogue.aids.get(id)?.removes ?? [];
  const wanted = removes(draft.product);
  return wanted.length > 0 && wanted.every((soil) => removes(step.product).includes(soil));
}

/** Where in the work a recorded act fell: sanding and dusting by the film they were done on. */
function phaseOfDone({ done, catalogue }: ZoneContext, step: LaidStep): number {
  if (step.role !== "sand" && step.role !== "dust-off") return phaseOf(step, catalogue);
  const beneath = done.slice(0, done.indexOf(step)).findLast((other) => catalogue.products.has(other.product));
  return Math.max(PHASE.key, beneath ? phaseOf(beneath, catalogue) : 0);
}

/** Where the topmost film falls: nothing goes under it. What is only stated counts whatever it is. */
function topmostPhase(context: ZoneContext): number {
  const films = context.done.filter((step) => !isRecorded(step) || context.catalogue.products.has(step.product));
  return Math.max(-Infinity, ...films.map((step) => phaseOf(step, context.catalogue)));
}

/** Sanded since it was last dusted. */
function isDustyAgain({ done }: ZoneContext, draft: Draft): boolean {
  const last = (role: Role) => done.findLastIndex((step) => step.role === role);
  return draft.role === "dust-off" && last("sand") > last("dust-off");
}

/** Whether what is on the piece already does what a draft is there for. */
function isMet(context: ZoneContext, draft: Draft, among: readonly Draft[]): boolean {
  const own = context.done.filter((step) => step.role === draft.role);
  switch (draft.role) {
    case "clean":
      // What was planned together is not one for the other.
      return own.some((step) => step.product === draft.product || (!among.some((one) => one.product === step.product) && washedBy(context, step, draft)));
    case "sand":
    case "dust-off":
      return own.some((step) => step.product === draft.product && draft.phase <= phaseOfDone(context, step)) && !isDustyAgain(context, draft);
    case "base":
      return own.length > 0 && sameColour(own.at(-1)!.colour, draft.colour);
    case "mask":
    case "unmask":
    case "lock":
    case "seal":
      return false;
    default:
      return own.length > 0;
  }
}

/** Belongs to a layer of decoration, whose place in the work is its own. */
export const OF_A_LAYER: readonly Role[] = ["decorate", "top-dot", "mask", "unmask", "lock"];

/** Clear and ground films: of one that was begun, the coats it lacks are laid. */
const IN_COATS: readonly Role[] = ["fill", "size", "prime", "isolate", "seal"];

/** Nothing goes under a coat that is on already, and what is done is not done again. */
function leftOf(context: ZoneContext, alternative: Alternative, above: number, masked: boolean): Alternative {
  const recorded = context.done.some(isRecorded);
  const steps = alternative.steps.flatMap((draft): readonly Draft[] => {
    if (draft.role === "cure" || isMarking(draft.role)) return [draft];
    if (draft.role === "mask" && masked) return [];
    const laid = IN_COATS.includes(draft.role) || draft.role === "base" ? coatsOn(context.done, draft) : 0;
    if (laid > 0 && draft.phase >= above) {
      const rest = restOf(draft, laid);
      return rest ? [rest] : [];
    }
    if (isMet(context, draft, alternative.steps)) return [];
    if (draft.phase >= above || OF_A_LAYER.includes(draft.role)) return [draft];
    // An earlier act is not made up for once a coat lies over it.
    return TAKEN_AS_DONE.includes(draft.role) && !(recorded && draft.phase > PHASE.clean) ? [{ ...draft, done: true as const, because: TAKEN }] : [];
  });
  // Guides that were never set are not taken off.
  const guided = steps.some((draft) => draft.role === "mark") || context.done.some((step) => step.role === "mark");
  return { ...alternative, steps: guided ? steps : steps.filter((draft) => draft.role !== "unmark") };
}

/** Guides that are on it are taken off the way they ask for; and never by leaving them. */
function ofGuidesOn(variable: DecisionVariable, done: readonly LaidStep[]): readonly Alternative[] {
  const guide = done.findLast((step) => step.role === "mark");
  if (variable.name !== "guides" || !guide) return variable.alternatives;
  if (done.slice(done.indexOf(guide)).some((step) => step.role === "unmark")) return [{ key: "guided", steps: [] }];
  const same = variable.alternatives.filter((one) => one.steps.some((draft) => draft.role === "mark" && draft.product === guide.product));
  return same.length > 0 ? same : variable.alternatives;
}

/** A decision that was begun is taken: the alternatives that have what was recorded of it. */
function begunOf({ name, alternatives }: DecisionVariable, done: readonly LaidStep[]): readonly Alternative[] {
  if (name === "sealing" || name.startsWith("layer-")) return alternatives;
  const films = done.filter((step) => IN_COATS.includes(step.role) || step.role === "base");
  const begun = alternatives.filter((one) => one.steps.some((draft) => films.some((step) => isOf(draft, step))));
  return begun.length > 0 ? begun : alternatives;
}

/** A seal that is on may do as it is; where it does not, another one goes over it. */
function withSealOn(variable: DecisionVariable, { done, piece }: ZoneContext): readonly Alternative[] {
  const seals = done.filter((step) => step.role === "seal");
  const wish = piece.wishes.sealer;
  const isWishedAnew = wish !== undefined && !seals.some((step) => isRecorded(step) || step.product === wish);
  const sealed = variable.name === "sealing" && done.some((step) => step.role === "seal");
  if (!sealed) return variable.alternatives;
  // Coats it lacks are laid before anything else is thought of.
  const begun = variable.alternatives.filter((one) =>
    one.steps.some((draft) => {
      const laid = coatsOn(done, draft);
      return draft.role === "seal" && laid > 0 && restOf(draft, laid) !== null;
    }),
  );
  const others = variable.alternatives.filter((one) => one.steps.length > 0);
  if (begun.length > 0) return begun;
  // Where the user asks for another finish than the old one they state, that is what is laid.
  return isWishedAnew ? others : [{ key: "sealed", steps: [] }, ...others];
}

/**
 * The decisions left where coats are on the piece already: nothing goes under them, and what is done is not done again.
 *
 * @returns the variables with what is done taken out of their alternatives
 */
export function withoutDone(context: ZoneContext, variables: readonly DecisionVariable[]): readonly DecisionVariable[] {
  const { done } = context;
  if (done.length === 0) return variables;
  const above = topmostPhase(context);
  const layered = withoutDoneLayers(context, variables);
  const masked = maskedLayer(layered, done);
  const marks = layered.some(isLayerVariable) || done.some((step) => step.role === "mark");
  return layered
    .filter((variable) => marks || variable.name !== "guides")
    .map((variable) => {
      if (OVER_OLD.includes(variable.name)) return variable;
      const seen = new Set<string>();
      const open = variable.name === "guides" ? ofGuidesOn(variable, done) : withSealOn({ ...variable, alternatives: begunOf(variable, done) }, context);
      const alternatives = open
        .map((alternative) => leftOf(context, alternative, above, variable.name === masked))
        .filter((alternative) => {
          const look = JSON.stringify(alternative.steps);
          return !seen.has(look) && seen.add(look);
        });
      return { ...variable, alternatives };
    });
}
