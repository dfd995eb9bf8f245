import { expose } from "comlink";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { openStep } from "#core/logbook/open-step";
import { overviewOf } from "#core/logbook/overview";
import { planOnBody, standingPlan, stillToDo, waysOn } from "#core/logbook/plan-on-body";
import { explainStep } from "#core/coating/explain/explain-step";
import { PlanCache } from "#core/coating/planner/plan-cache";
import { repairPlan } from "#core/coating/planner/repair";
import { datesOf, workFor } from "#core/schedule/dates-of";
import type { PlannedView, PlanOf, PlanWorkerApi } from "./plan-worker-api";

const cache = new PlanCache(CATALOGUE);

function viewOf({ piece, keeping, progress }: PlanOf, whole: boolean): PlannedView {
  const view = planOnBody(piece, keeping, progress, CATALOGUE, whole ? cache.plan : cache.first);
  return { ...view, work: view.shown ? workFor(piece, view.shown, CATALOGUE) : null, whole };
}

/** The plan that is shown, as soon as it is known. */
function firstViewOf(of: PlanOf): PlannedView {
  const first = viewOf(of, false);
  const { candidateId } = of.keeping;
  // What is followed may be another than the first.
  return candidateId === null || first.shown?.id === candidateId ? first : viewOf(of, true);
}

const api: PlanWorkerApi = {
  firstView: firstViewOf,
  planView: (of) => viewOf(of, true),
  overview: (of, now) => overviewOf(firstViewOf(of), now),
  ways: (of) => {
    const { set, basis } = waysOn(of.piece, of.progress, CATALOGUE, cache.plan);
    const view = viewOf(of, true);
    const yours = view.shown && standingPlan(of.piece, view.shown, view.done, CATALOGUE);
    // A way that goes on just as the plan that is followed is that plan.
    const candidates = yours ? set.candidates.filter((one) => one.id === yours.id || stillToDo(one) !== stillToDo(yours)) : set.candidates;
    return { candidates, basis, yours };
  },
  dates: (of, wanted) => {
    const { shown, work, done } = viewOf(of, true);
    return shown && work ? { ...datesOf(work, { ...wanted, done }), shown } : null;
  },
  explain: (of, stepId, now) => {
    const { shown, work, done } = viewOf(of, true);
    const wanted = shown && work ? (stepId ?? openStep(shown, work, done, now)) : null;
    return shown && wanted ? explainStep(of.piece, shown, wanted, CATALOGUE, of.keeping.edits) : null;
  },
  repair: (of, pinned) => {
    const { shown } = viewOf(of, true);
    return shown ? repairPlan(of.piece, shown, pinned, CATALOGUE) : null;
  },
};

expose(api);
