import type { Role } from "../../catalogue/vocabulary";
import type { DoneStep } from "../../piece/piece";
import type { StepChoice } from "../model/step";
import type { ZoneContext } from "./context";
import { PHASE_OF } from "./draft";
import type { Draft, Option, Slot } from "./draft";

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
function withStep(slot: Slot, step: StepChoice): readonly Option[] {
  return slot.options.flatMap((option) => {
    const at = option.steps.findIndex((draft) => draft.kept === undefined && alikeSteps(draft, step));
    if (at < 0) return [];
    return [{ ...option, strain: 0, steps: option.steps.map((draft, index) => (index === at ? asHers(draft, step) : draft)) }];
  });
}

function keeping(slots: readonly Slot[], step: StepChoice, number: number): readonly Slot[] {
  const at = slots.findIndex((slot) => withStep(slot, step).length > 0);
  if (at >= 0) return slots.map((slot, index) => (index === at ? { ...slot, options: withStep(slot, step) } : slot));
  const own: Slot = { name: `hers-${number}`, options: [{ key: step.id, steps: [born(step)] }], school: false, unmet: "" };
  const instead = ONE_OF.includes(step.role)
    ? slots.findIndex((slot) => slot.options.some((option) => option.steps.some((draft) => draft.role === step.role && draft.kept === undefined)))
    : -1;
  if (instead < 0) return [...slots, own];
  return slots.map((slot, index) => (index === instead ? { ...slot, options: own.options } : slot));
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
function withoutDoneLayers(slots: readonly Slot[], done: readonly DoneStep[]): readonly Slot[] {
  return done
    .filter((step) => step.role === "decorate")
    .reduce<readonly Slot[]>((open, step) => {
      const layers = open.filter((slot) => slot.name.startsWith("layer-"));
      const same = layers.find((slot) => slot.options.some((option) => option.steps.some((draft) => draft.product === step.product)));
      const gone = same ?? layers[0];
      return open.filter((slot) => slot !== gone);
    }, slots);
}

/** Nothing goes under a coat that is on already, and what is done is not done again. */
function leftOf(option: Option, doneRoles: ReadonlySet<Role>, above: number): Option {
  const steps = option.steps.flatMap((draft): readonly Draft[] => {
    if (draft.role === "cure" || draft.role === "decorate") return [draft];
    if (doneRoles.has(draft.role)) return [];
    if (draft.phase >= above) return [draft];
    return TAKEN_AS_DONE.includes(draft.role) ? [{ ...draft, done: true as const, because: TAKEN }] : [];
  });
  return { ...option, steps };
}

function withoutDone(slots: readonly Slot[], done: readonly DoneStep[]): readonly Slot[] {
  if (done.length === 0) return slots;
  const roles = new Set(done.map((step) => step.role));
  const above = Math.max(...done.map((step) => PHASE_OF[step.role]));
  const layered = withoutDoneLayers(slots, done);
  const marks = layered.some((slot) => slot.name.startsWith("layer-")) || roles.has("mark");
  return layered
    .filter((slot) => marks || slot.name !== "guides")
    .map((slot) => {
      const seen = new Set<string>();
      const options = slot.options
        .map((option) => leftOf(option, roles, above))
        .filter((option) => {
          const look = JSON.stringify(option.steps);
          return !seen.has(look) && seen.add(look);
        });
      return { ...slot, options };
    });
}

/** The decisions that are left once what is on the piece already and the steps the user keeps are settled. */
export function keptSlots(context: ZoneContext, slots: readonly Slot[]): readonly Slot[] {
  return context.keep.reduce<readonly Slot[]>((current, step, index) => keeping(current, step, index), withoutDone(slots, context.done));
}
