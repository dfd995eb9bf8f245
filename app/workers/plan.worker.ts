import { expose } from "comlink";
import { CATALOGUE } from "#core/catalogue/catalogue";
import type { Catalogue } from "#core/catalogue/catalogue";
import { withOwnWear } from "#core/catalogue/own-wear";
import { withOwnProducts } from "#core/catalogue/own-product";
import { openStep } from "#core/logbook/open-step";
import { workAtTable } from "#core/logbook/work-at-table";
import { overviewOf } from "#core/logbook/overview";
import { planOnBody, standingPlan, stillToDo, waysOn, wholeStep } from "#core/logbook/plan-on-body";
import { planColours } from "#core/coating/explain/plan-colours";
import { explainStep } from "#core/coating/explain/explain-step";
import { pieceFacts } from "#core/coating/facts/facts";
import { layersTaken } from "#core/coating/facts/layers";
import { checkMine } from "#core/coating/planner/check-mine";
import { saidDone } from "#core/logbook/said-done";
import { applyRecipe } from "#core/coating/planner/apply-recipe";
import { PlanCache } from "#core/coating/planner/plan-cache";
import { repairPlan } from "#core/coating/planner/repair";
import { pieceWork } from "#core/schedule/together/piece-work";
import { completePiece } from "#core/piece/complete-piece";
import { needsOf } from "#core/shelf/needs";
import type { PlannedView, PlanOf, PlanWorkerApi } from "./plan-worker-api";

interface Known {
  readonly catalogue: Catalogue;
  readonly cache: PlanCache;
}

/** Shelves whose plans are remembered: the one that stands, and the one before it, which undo brings back. */
const MOST_SHELVES = 2;
const shelves = new Map<string, Known>();

/** The catalogue with what the user owns in it, and the plans made from it so far. */
function knownFor({ shelf, wear = [] }: PlanOf): Known {
  const key = JSON.stringify([shelf, wear]);
  const worn = withOwnWear(CATALOGUE, wear);
  const catalogue = shelves.get(key)?.catalogue ?? (shelf.length === 0 ? worn : withOwnProducts(worn, shelf));
  const known = shelves.get(key) ?? { catalogue, cache: new PlanCache(catalogue) };
  shelves.delete(key);
  shelves.set(key, known);
  if (shelves.size > MOST_SHELVES) shelves.delete(shelves.keys().next().value!);
  return known;
}

function viewOf(of: PlanOf, whole: boolean): PlannedView {
  const { piece, keeping, progress } = of;
  const { catalogue, cache } = knownFor(of);
  const view = planOnBody(piece, keeping, progress, catalogue, whole ? cache.plan : cache.first);
  const layers = layersTaken(pieceFacts(completePiece(piece, catalogue).piece, catalogue));
  return { ...view, work: view.shown ? workAtTable(piece, view.shown, view, of.own ?? null, catalogue) : null, layers, whole };
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
  overview: (of, now) => {
    const view = firstViewOf(of);
    const { catalogue } = knownFor(of);
    const needs = view.shown ? needsOf(standingPlan(of.piece, view.shown, view.done, catalogue)) : [];
    return { ...overviewOf(view, now), needs };
  },
  ways: (of) => {
    const { catalogue, cache } = knownFor(of);
    const { set, basis } = waysOn(of.piece, of.progress, catalogue, cache.plan);
    const view = viewOf(of, true);
    const yours = view.shown && standingPlan(of.piece, view.shown, view.done, catalogue);
    // A way that goes on just as the plan that is followed is that plan.
    const candidates = yours ? set.candidates.filter((one) => one.id === yours.id || stillToDo(one) !== stillToDo(yours)) : set.candidates;
    return { candidates, basis, yours };
  },
  mine: (of, said) => {
    const { catalogue, cache } = knownFor(of);
    const { candidates } = waysOn(of.piece, of.progress, catalogue, cache.plan).set;
    if (candidates.length === 0 || said.length === 0) return null;
    const checked = checkMine(said, candidates, of.piece, catalogue);
    return { ...checked, done: saidDone(said, checked.plan) };
  },
  recipes: (of, recipes) => {
    const { catalogue, cache } = knownFor(of);
    const { candidates } = waysOn(of.piece, of.progress, catalogue, cache.plan).set;
    return candidates.length === 0 ? [] : recipes.map((recipe) => ({ id: recipe.id, applied: applyRecipe(recipe, candidates, of.piece, catalogue) }));
  },
  atTable: (of) => {
    const { shown, work, done, tacky, basis, made, madeFor, edits } = firstViewOf(of);
    if (!shown || !work) return null;
    const { likeOf } = pieceWork("", of.piece, shown, knownFor(of).catalogue);
    return {
      work,
      likes: Object.fromEntries(work.tasks.map((task) => [task.id, likeOf(task)])),
      done,
      steps: Object.fromEntries(shown.zones.flatMap((zone) => zone.steps.map((step) => [step.id, step] as const))),
      places: shown.zones.length,
      shown,
      tacky,
      basis,
      made,
      madeFor,
      edits,
    };
  },
  explain: (of, stepId, now) => {
    const { shown, work, done } = viewOf(of, true);
    const wanted = shown && work ? (stepId ?? openStep(shown, work, done, now)) : null;
    return shown && wanted ? explainStep(of.piece, shown, wanted, knownFor(of).catalogue, of.keeping.edits) : null;
  },
  colours: (of) => {
    const { catalogue } = knownFor(of);
    const { shown, done } = viewOf(of, true);
    if (!shown) return [];
    const colours = planColours(of.piece, standingPlan(of.piece, shown, done, catalogue), catalogue);
    // The rest of a step that is half done is changed with the step.
    return colours.map((one) => ({ ...one, stepIds: [...new Set(one.stepIds.map(wholeStep))] }));
  },
  repair: (of, pinned) => {
    const { shown } = viewOf(of, true);
    return shown ? repairPlan(of.piece, shown, pinned, knownFor(of).catalogue) : null;
  },
};

expose(api);
