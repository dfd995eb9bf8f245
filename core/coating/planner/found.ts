import type { Route } from "../../catalogue/vocabulary";
import type { Candidate } from "../model/plan";
import { MEASURES } from "./cost";
import { IncrementalCost } from "./incremental-cost";
import type { MeasureName } from "./cost";
import type { DecisionVariable } from "./draft";
import { putZone } from "./zone-search";
import type { Joined } from "./sought";
import type { Judged } from "./judged";

/** One whole plan found on a route, and what was sought. */
export interface Found {
  readonly route: Route;
  readonly joined: Joined;
  readonly measure: MeasureName | "school";
  /** False when the search gave up before it had seen to all: then a better one may have been missed. */
  readonly proved: boolean;
  /** The decisions of the main zone. */
  readonly variables: readonly DecisionVariable[];
  readonly make: () => Candidate;
}

/** Whether the best plan all round is already as good as can be by a measure: then it is the best by that one too. */
export function hasNothingToGain({ judged }: Joined, measure: MeasureName): boolean {
  if (measure === "gentle")
    return judged.every((one) => one.alternatives.every((alternative) => alternative.part.shared.every((thing) => thing.kind !== "harsh")));
  return measure === "durable" && judged.every((one) => one.span.shortfall === 0);
}

/** Different paints of fields and marks. */
export function coloursIn({ stacks }: Joined): number {
  return new Set(
    stacks.flatMap((stack) => stack.steps.flatMap(({ step, product }) => (product && (step.role === "base" || step.role === "decorate") ? [product.id] : []))),
  ).size;
}

/** A plan to start from: what it costs is not asked yet. */
export function asJoined(judged: readonly Judged[]): Joined {
  return { judged, stacks: judged.map((one) => one.stack), total: Infinity };
}

export function reweighed(joined: Joined, measure: MeasureName): Joined {
  const cost = new IncrementalCost(MEASURES[measure], joined.judged.length);
  for (const [zone, judged] of joined.judged.entries()) putZone(cost, zone, judged);
  return { ...joined, total: cost.total() };
}
