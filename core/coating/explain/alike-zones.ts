import type { ZoneId } from "../../catalogue/vocabulary";
import type { Step, ZoneSteps } from "../model/step";

/** Zones that get the very same stack: painted in one go, shown as one. */
export interface ZoneGroup {
  readonly zones: readonly ZoneId[];
  readonly areaMm2: number;
  /** Steps of the first zone; amounts and hands-on time are of all of them. */
  readonly steps: readonly Step[];
}

function signature(steps: readonly Step[], numbers: ReadonlyMap<string, number> | undefined): string {
  return JSON.stringify(
    steps.map((step) => [
      numbers?.get(step.id),
      step.role,
      step.product,
      step.coats,
      step.colour,
      step.sheen,
      step.technique,
      step.marks,
      step.thinning,
      step.waitBefore?.min,
      step.heat,
      step.origin,
    ]),
  );
}

function summed(a: Step, b: Step): Step {
  const add = (x: number | null, y: number | null) => (x === null ? null : x + (y ?? 0));
  return { ...a, jarMl: add(a.jarMl, b.jarMl), volumeMl: add(a.volumeMl, b.volumeMl), handsOnMin: a.group ? a.handsOnMin : a.handsOnMin + b.handsOnMin };
}

/**
 * Puts zones of one stack together, in the order they came.
 *
 * @param zones stacks with their numbers
 * @param numbers of their acts: places that get the same at another time are shown apart
 * @returns groups; areas in mm², amounts in mL and minutes are of all zones of a group
 */
export function alikeZones(zones: readonly ZoneSteps[], numbers?: ReadonlyMap<string, number>): readonly ZoneGroup[] {
  const groups = new Map<string, ZoneGroup>();
  for (const zone of zones) {
    const key = signature(zone.steps, numbers);
    const known = groups.get(key);
    groups.set(
      key,
      known
        ? {
            zones: [...known.zones, zone.zone],
            areaMm2: known.areaMm2 + zone.areaMm2,
            steps: known.steps.map((step, index) => summed(step, zone.steps[index]!)),
          }
        : { zones: [zone.zone], areaMm2: zone.areaMm2, steps: zone.steps },
    );
  }
  return [...groups.values()];
}
