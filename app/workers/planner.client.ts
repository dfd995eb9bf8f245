import { wrap } from "comlink";
import type { Remote } from "comlink";
import type { StepId } from "#core/catalogue/ids";
import type { Keeping } from "#core/coating/planner/plan-with-edits";
import type { Repair } from "#core/coating/planner/repair";
import type { Piece } from "#core/piece/piece";
import type { Wanted } from "#core/schedule/dates-of";
import { latestWins } from "./plan-worker-api";
import type { PlanWorkerApi } from "./plan-worker-api";

let worker: Remote<PlanWorkerApi> | null = null;

function planner(): Remote<PlanWorkerApi> {
  worker ??= wrap<PlanWorkerApi>(new Worker(new URL("./plan.worker.ts", import.meta.url), { type: "module" }));
  return worker;
}

/** Plans in the worker; null when a newer question has overtaken this one. */
export const planView = latestWins((piece: Piece, keeping: Keeping) => planner().planView(piece, keeping));
/** Dates a plan; null when overtaken, or when there is no plan. */
export const datesFor = latestWins((piece: Piece, keeping: Keeping, wanted: Wanted) => planner().dates(piece, keeping, wanted));
/** What a step is good for; null when overtaken, or when there is no such step. */
export const explain = latestWins((piece: Piece, keeping: Keeping, stepId: StepId) => planner().explain(piece, keeping, stepId));

/** Makes a plan right around the steps the user keeps; null when overtaken, or when there is no plan. */
export const repair = latestWins(
  (piece: Piece, keeping: Keeping, pinned: readonly StepId[]): Promise<Repair | null> => planner().repair(piece, keeping, pinned) as Promise<Repair | null>,
);

/** Plans one of many pieces, each in its turn. */
export function planOneOfMany(piece: Piece, keeping: Keeping) {
  return planner().planView(piece, keeping);
}
