import { expose } from "comlink";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { explainStep } from "#core/coating/explain/explain-step";
import { planWithEdits } from "#core/coating/planner/plan-with-edits";
import type { Keeping } from "#core/coating/planner/plan-with-edits";
import { repairPlan } from "#core/coating/planner/repair";
import type { Piece } from "#core/piece/piece";
import { datesOf, workFor } from "#core/schedule/dates-of";
import type { PlannedView, PlanWorkerApi } from "./plan-worker-api";

/** Plans kept ready: the same piece is asked for its plan, its dates and its reasons. */
const MOST_KEPT = 16;
const kept = new Map<string, PlannedView>();

function planned(piece: Piece, keeping: Keeping): PlannedView {
  const key = JSON.stringify([piece, keeping]);
  const known = kept.get(key);
  if (known) return known;
  const view = planWithEdits(piece, keeping, CATALOGUE);
  const fresh = { ...view, work: view.shown ? workFor(piece, view.shown, CATALOGUE) : null };
  if (kept.size >= MOST_KEPT) kept.delete(kept.keys().next().value!);
  kept.set(key, fresh);
  return fresh;
}

const api: PlanWorkerApi = {
  planView: planned,
  dates: (piece, keeping, wanted) => {
    const { work } = planned(piece, keeping);
    return work ? datesOf(work, wanted) : null;
  },
  explain: (piece, keeping, stepId) => {
    const { shown } = planned(piece, keeping);
    return shown ? explainStep(piece, shown, stepId, CATALOGUE) : null;
  },
  repair: (piece, keeping, pinned) => {
    const { shown } = planned(piece, keeping);
    return shown ? repairPlan(piece, shown, pinned, CATALOGUE) : null;
  },
};

expose(api);
