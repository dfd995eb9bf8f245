import type { Remote } from "comlink";
import type { StepId } from "#core/catalogue/ids";
import type { PlanColour } from "#core/coating/explain/plan-colours";
import type { Explanation } from "#core/coating/explain/explain-step";
import type { Repair } from "#core/coating/planner/repair";
import { keptRunning } from "./running";
import { NotWanted, PlannerQueue, PlannerStopped } from "./planner-queue";
import type { RecipeRecord } from "#core/formats/stores/recipes";
import type { SaidStep } from "#core/coating/model/read-sequence";
import type { AtTable, ListedOverview, MineView, OwnWay, PlannedView, PlanOf, PlanWorkerApi, WaysView } from "./plan-worker-api";

const { running: planner, stop } = keptRunning<PlanWorkerApi>(
  () => new Worker(new URL("./plan.worker.ts", import.meta.url), { type: "module" }),
  () => new PlannerStopped("broke"),
);

/** Longest a question may take, ms: the slowest piece known takes a hundredth of it. */
const LIMIT_MS = 30_000;

const queue = new PlannerQueue({
  limitMs: LIMIT_MS,
  later: (work, ms) => {
    const timer = setTimeout(work, ms);
    return () => clearTimeout(timer);
  },
  stop,
});

/** One question to the worker; an answer, its own error, or that it stopped. */
function asked<Answer>(
  kind: string,
  piece: string,
  question: (api: Remote<PlanWorkerApi>) => Promise<unknown>,
  urgent = true,
  listed = !urgent,
): Promise<Answer> {
  const put = () => {
    const { api, broken } = planner();
    return Promise.race([question(api) as Promise<Answer>, broken]);
  };
  const answer = queue.ask(`${kind}/${piece}`, piece, urgent, put, listed);
  // Whoever shows it tells of a failure; a page that was left shows nothing.
  answer.catch(() => undefined);
  return answer;
}

/** Lets go of what was asked for a list of pieces that is no longer looked at. */
export function leaveList(isLeft: (piece: string) => boolean = () => true): void {
  queue.letGo(isLeft);
}

/** Whether a question was let go of because nobody waits for it. */
export function isNotWanted(error: unknown): boolean {
  return error instanceof NotWanted;
}

/** What a list says of a piece: it waits for all that is looked at. */
export function overviewFor(id: string, of: PlanOf, now: number): Promise<ListedOverview> {
  return asked("overview", id, (api) => api.overview(of, now), false);
}

/** The plan as soon as what is shown of it is known. */
export function firstView(id: string, of: PlanOf): Promise<PlannedView> {
  return asked("first", id, (api) => api.firstView(of));
}

/** The whole plan. */
export function planView(id: string, of: PlanOf): Promise<PlannedView> {
  return asked("plan", id, (api) => api.planView(of));
}

/** The ways open from where the work stands. */
export function waysView(id: string, of: PlanOf): Promise<WaysView> {
  return asked("ways", id, (api) => api.ways(of));
}

/** What the user has in mind or has done, judged. */
export function mineView(id: string, of: PlanOf, said: readonly SaidStep[]): Promise<MineView | null> {
  return said.length === 0 ? Promise.resolve(null) : asked("mine", id, (api) => api.mine(of, said));
}

/** The user's own ways, as they come out on a piece. */
export function recipesView(id: string, of: PlanOf, recipes: readonly RecipeRecord[]): Promise<readonly OwnWay[]> {
  return recipes.length === 0 ? Promise.resolve([]) : asked("recipes", id, (api) => api.recipes(of, recipes));
}

/**
 * A piece among all that are dated together; null when there is no plan. Leaving the list does not let go of it.
 *
 * @param beside another piece is looked at: this one may wait
 */
export function atTable(id: string, of: PlanOf, beside = false): Promise<AtTable | null> {
  return asked("table", id, (api) => api.atTable(of), !beside, false);
}

/** What a step is good for, or the one that is open from the start; null when there is no such step. */
export function explanationOf(id: string, of: PlanOf, stepId: StepId | null, now: number): Promise<Explanation | null> {
  return asked("explain", id, (api) => api.explain(of, stepId, now));
}

/** The colours of the plan that is shown. */
export function coloursOf(id: string, of: PlanOf): Promise<readonly PlanColour[]> {
  return asked("colours", id, (api) => api.colours(of));
}

/** Makes a plan right around the steps the user keeps; null when there is no plan. */
export function repair(id: string, of: PlanOf, pinned: readonly StepId[]): Promise<Repair | null> {
  return asked("repair", id, (api) => api.repair(of, pinned));
}
