import { expose } from "comlink";
import { calibrated } from "#core/film/calibrate";
import { reaching } from "#core/film/reach";
import { tinting } from "#core/film/tint";
import { breath } from "./breath";
import type { MixingWorkerApi } from "./mixing-worker-api";

/** What is mixed now: the latest wins. */
let turn = 0;

/** Runs what goes step by step, with a breath between two steps; null where something else was asked for meanwhile. */
async function inBreaths<T>(steps: Generator<number, T>, progress: (share: number) => void = () => undefined): Promise<{ readonly found: T } | null> {
  turn += 1;
  const own = turn;
  let step = steps.next();
  while (step.done !== true) {
    progress(step.value);
    await breath();
    if (own !== turn) return null;
    step = steps.next();
  }
  return { found: step.value };
}

const api: MixingWorkerApi = {
  tint: async (ask, progress) => (await inBreaths(tinting(ask), progress))?.found ?? null,
  leave: () => {
    turn += 1;
  },
  reach: (target, paints) => inBreaths(reaching(target, paints)),
  swatch: calibrated,
};

expose(api);
