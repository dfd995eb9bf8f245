import type { PieceFacts } from "./facts";
import type { OrderedCoat } from "../model/plan";
import type { Step, ZoneSteps } from "../model/step";

/** Zones that are finished before the face is begun: what it stands on and what is inside [common practice]. */
function rank(zone: ZoneSteps, facts: PieceFacts): number {
  const exposure = facts.zones.find((one) => one.zone === zone.zone)?.template.exposure;
  return exposure === "underside" ? 0 : exposure === "contents" ? 1 : 2;
}

function isUpright(zone: ZoneSteps, facts: PieceFacts): boolean {
  return facts.zones.find((one) => one.zone === zone.zone)?.template.halves ?? false;
}

function coatsOf(step: Step, upright: boolean): readonly OrderedCoat[] {
  const film = step.wetMicrons !== null && step.role !== "decorate";
  return Array.from({ length: step.coats }, (_unused, index) => index + 1).flatMap((coat): OrderedCoat[] =>
    upright && film && step.method !== "spray"
      ? [
          { stepId: step.id, coat, half: "first" },
          { stepId: step.id, coat, half: "second" },
        ]
      : [{ stepId: step.id, coat }],
  );
}

/**
 * The working order across zones: shared acts once, the back before the face, upright things in halves, one bake and one
 * cure for all at the end.
 *
 * @param zones stacks with their numbers
 * @returns every coat, or half of one, that is still to be done
 */
export function workingOrder(zones: readonly ZoneSteps[], facts: PieceFacts): readonly OrderedCoat[] {
  const left = zones.map((zone) => ({ ...zone, steps: zone.steps.filter((step) => !step.done) }));
  const sorted = left.sort((a, b) => rank(a, facts) - rank(b, facts));
  const seen = new Set<string>();
  const firstOfGroup = (step: Step) => step.group === undefined || (!seen.has(step.group) && (seen.add(step.group), true));
  const cleans = sorted.flatMap((zone) => zone.steps.filter((step) => step.role === "clean" && firstOfGroup(step)));
  const last = sorted.flatMap((zone) => zone.steps.filter((step) => step.group !== undefined && step.role !== "clean"));
  const middle = sorted.flatMap((zone) =>
    zone.steps.filter((step) => step.role !== "clean" && step.group === undefined).flatMap((step) => coatsOf(step, isUpright(zone, facts))),
  );
  const heat = last.filter((step) => step.role !== "cure" && firstOfGroup(step));
  const cure = last.filter((step) => step.role === "cure" && firstOfGroup(step));
  const once = (steps: readonly Step[]) => steps.map((step): OrderedCoat => ({ stepId: step.id, coat: 1 }));
  return [...once(cleans), ...middle, ...once(heat), ...once(cure)];
}
