import type { StepId } from "../../catalogue/ids";
import { freeStepId } from "./apply-changes";
import type { Change, Place } from "./change";
import type { StepChoice, ZoneSteps } from "./step";

/** What of a step may differ while it is still the same work. */
const FIELDS = ["coats", "sheen", "colour", "thinning", "method", "heat", "marks", "coverage", "while", "group", "waitBefore", "jar"] as const;

function sameWork(a: StepChoice, b: StepChoice): boolean {
  return a.role === b.role && a.product === b.product && a.technique === b.technique && (a.colour ?? "") === (b.colour ?? "");
}

/** The longest run of the same work in both, as pairs of places. */
function common(from: readonly StepChoice[], to: readonly StepChoice[]): readonly (readonly [number, number])[] {
  const length = Array.from({ length: from.length + 1 }, () => new Array<number>(to.length + 1).fill(0));
  for (let i = from.length - 1; i >= 0; i -= 1)
    for (let j = to.length - 1; j >= 0; j -= 1)
      length[i]![j] = sameWork(from[i]!, to[j]!) ? length[i + 1]![j + 1]! + 1 : Math.max(length[i + 1]![j]!, length[i]![j + 1]!);
  const pairs: (readonly [number, number])[] = [];
  let [i, j] = [0, 0];
  while (i < from.length && j < to.length) {
    if (sameWork(from[i]!, to[j]!)) pairs.push([i++, j++]);
    else if (length[i + 1]![j]! >= length[i]![j + 1]!) i += 1;
    else j += 1;
  }
  return pairs;
}

function settings(before: StepChoice, after: StepChoice): readonly Change[] {
  return FIELDS.filter((field) => JSON.stringify(before[field] ?? null) !== JSON.stringify(after[field] ?? null)).map((field): Change => ({
    op: "set",
    stepId: before.id,
    field,
    value: after[field] ?? undefined,
  }));
}

function inZone(from: ZoneSteps<StepChoice>, to: ZoneSteps<StepChoice>): readonly Change[] {
  const pairs = common(from.steps, to.steps);
  const partner = new Map(pairs.map(([left, right]) => [right, from.steps[left]!]));
  const stays = new Set(pairs.map(([left]) => left));
  const taken: StepId[] = from.steps.map((step) => step.id);
  let at: Place = { start: true };
  const built = to.steps.flatMap((step, index): readonly Change[] => {
    const before = partner.get(index);
    if (before) {
      at = { after: before.id };
      return settings(before, step);
    }
    const id = freeStepId(to.zone, step.role, taken);
    taken.push(id);
    const change: Change = { op: "add", zone: to.zone, at, step: { ...step, id } };
    at = { after: id };
    return [change];
  });
  const gone = from.steps.filter((_step, index) => !stays.has(index)).map((step): Change => ({ op: "remove", stepId: step.id }));
  return [...built, ...gone];
}

/**
 * The changes that turn one plan's stacks into another's. What is the same work in both stays and keeps its id.
 *
 * @returns changes in the order they are applied; none when the stacks are alike
 */
export function changesBetween(from: readonly ZoneSteps<StepChoice>[], to: readonly ZoneSteps<StepChoice>[]): readonly Change[] {
  return to.flatMap((zone) => inZone(from.find((one) => one.zone === zone.zone) ?? { ...zone, steps: [] }, zone));
}
