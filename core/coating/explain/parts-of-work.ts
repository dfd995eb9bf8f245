import type { ZoneId } from "../../catalogue/vocabulary";
import type { ZoneGroup } from "./alike-zones";
import type { OrderedCoat } from "../model/plan";
import type { Step } from "../model/step";

/** A stretch of the work: the whole piece (no zones), or zones treated alike. */
export interface PartOfWork {
  readonly key: string;
  readonly zones: readonly ZoneId[];
  readonly steps: readonly Step[];
}

function onceEach(steps: readonly Step[]): readonly Step[] {
  const seen = new Set<string>();
  return steps.filter((step) => step.group !== undefined && !seen.has(step.group) && seen.add(step.group));
}

/** The slowest of the same act over all zones: its wait is the piece's. */
function slowest(acts: readonly Step[], all: readonly Step[]): readonly Step[] {
  return acts.map((act) => all.filter((step) => step.group === act.group).reduce((a, b) => ((b.waitBefore?.min ?? 0) > (a.waitBefore?.min ?? 0) ? b : a), act));
}

/**
 * Tells a plan as it is worked: what the whole piece gets first, each group of zones in the working order, and what the
 * whole piece gets last. Shared acts are told once.
 *
 * @param groups zones treated alike
 * @param order working order over all zones
 * @returns what the whole piece gets first, each group, what it gets last
 */
export function partsOfWork(groups: readonly ZoneGroup[], order: readonly OrderedCoat[]): readonly PartOfWork[] {
  const all = groups.flatMap((group) => group.steps);
  const shared = onceEach(all);
  const begun = (group: ZoneGroup) => order.findIndex((coat) => group.steps.some((step) => step.group === undefined && step.id === coat.stepId));
  const middle = [...groups]
    .sort((a, b) => begun(a) - begun(b))
    .map((group): PartOfWork => ({ key: group.zones.join("+"), zones: group.zones, steps: group.steps.filter((step) => step.group === undefined) }));
  const parts: readonly PartOfWork[] = [
    { key: "first", zones: [], steps: shared.filter((step) => step.role === "clean") },
    ...middle,
    {
      key: "last",
      zones: [],
      steps: slowest(
        shared.filter((step) => step.role !== "clean"),
        all,
      ),
    },
  ];
  return parts.filter((part) => part.steps.length > 0);
}

/**
 * Numbers the steps as they are told; a step of a zone whose act is shared carries the act's number.
 *
 * @param parts as `partsOfWork` gives them
 * @returns numbers from 1, by step
 */
export function stepNumbers(parts: readonly PartOfWork[], groups: readonly ZoneGroup[]): ReadonlyMap<string, number> {
  const told = parts.flatMap((part) => part.steps);
  const numbers = new Map<string, number>(told.map((step, index) => [step.id, index + 1]));
  for (const step of groups.flatMap((group) => group.steps)) {
    const act = step.group === undefined ? undefined : told.find((one) => one.group === step.group);
    if (act) numbers.set(step.id, numbers.get(act.id)!);
  }
  return numbers;
}
