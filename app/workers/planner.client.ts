import { wrap } from "comlink";
import type { Remote } from "comlink";
import type { StepId } from "#core/catalogue/ids";
import type { Explanation } from "#core/coating/explain/explain-step";
import type { Repair } from "#core/coating/planner/repair";
import type { DatedPlan, Wanted } from "#core/schedule/dates-of";
import { latestWins } from "./latest-wins";
import type { PlannedView, PlanOf, PlanWorkerApi, WaysView } from "./plan-worker-api";

/** The planner broke off; the next question is asked of a fresh one. */
export class PlannerStopped extends Error {
  constructor() {
    super("the planner stopped in the middle of its work; it starts again with the next try");
  }
}

interface Running {
  readonly api: Remote<PlanWorkerApi>;
  /** Rejects when the worker breaks; never resolves. */
  readonly broken: Promise<never>;
}

let running: Running | null = null;

function planner(): Running {
  if (running) return running;
  const worker = new Worker(new URL("./plan.worker.ts", import.meta.url), { type: "module" });
  const broken = new Promise<never>((_resolve, reject) => {
    const stopped = () => {
      worker.terminate();
      running = null;
      reject(new PlannerStopped());
    };
    worker.addEventListener("error", stopped);
    worker.addEventListener("messageerror", stopped);
  });
  // It may break while nobody asks.
  broken.catch(() => undefined);
  running = { api: wrap<PlanWorkerApi>(worker), broken };
  return running;
}

/** One question to the worker; an answer, its own error, or that it stopped. */
function asked<Answer>(question: (api: Remote<PlanWorkerApi>) => Promise<unknown>): Promise<Answer> {
  const { api, broken } = planner();
  return Promise.race([question(api) as Promise<Answer>, broken]);
}

const turns = new Map<string, (ask: () => Promise<unknown>) => Promise<unknown>>();

/** The newest question about the same thing wins. */
function newest<Answer>(about: string, question: (api: Remote<PlanWorkerApi>) => Promise<unknown>): Promise<Answer> {
  const turn = turns.get(about) ?? latestWins<unknown>();
  turns.set(about, turn);
  return turn(() => asked(question)) as Promise<Answer>;
}

/** The plan as soon as what is shown of it is known. */
export function firstView(id: string, of: PlanOf): Promise<PlannedView> {
  return newest(`first/${id}`, (api) => api.firstView(of));
}

/** The whole plan. */
export function planView(id: string, of: PlanOf): Promise<PlannedView> {
  return newest(`plan/${id}`, (api) => api.planView(of));
}

/** The ways open from where the work stands. */
export function waysView(id: string, of: PlanOf): Promise<WaysView> {
  return newest(`ways/${id}`, (api) => api.ways(of));
}

/** Dates a plan; null when there is no plan. */
export function datesFor(id: string, of: PlanOf, wanted: Omit<Wanted, "done">): Promise<DatedPlan | null> {
  return newest(`dates/${id}`, (api) => api.dates(of, wanted));
}

/** What a step is good for, or the one that is open from the start; null when there is no such step. */
export function explanationOf(id: string, of: PlanOf, stepId: StepId | null, now: number): Promise<Explanation | null> {
  return newest(`explain/${id}`, (api) => api.explain(of, stepId, now));
}

/** Makes a plan right around the steps the user keeps; null when there is no plan. */
export function repair(of: PlanOf, pinned: readonly StepId[]): Promise<Repair | null> {
  return asked((api) => api.repair(of, pinned));
}
