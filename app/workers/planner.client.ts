import { wrap } from "comlink";
import type { Keeping, PlanView } from "#core/coating/plan-with-edits";
import type { Piece } from "#core/piece/piece";
import { latestWins } from "./plan-worker-api";
import type { PlanWorkerApi } from "./plan-worker-api";

let ask: ReturnType<typeof latestWins> | null = null;

/** Plans in the worker; null when a newer question has overtaken this one. */
export function planView(piece: Piece, keeping: Keeping): Promise<PlanView | null> {
  if (!ask) {
    const worker = wrap<PlanWorkerApi>(new Worker(new URL("./plan.worker.ts", import.meta.url), { type: "module" }));
    ask = latestWins((one, kept) => worker.planView(one, kept));
  }
  return ask(piece, keeping);
}
