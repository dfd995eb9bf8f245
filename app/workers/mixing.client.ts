import { proxy, wrap } from "comlink";
import type { Remote } from "comlink";
import type { Calibrated, Swatch } from "#core/film/calibrate";
import type { WouldReach } from "#core/film/reach";
import type { TintAnswer, TintAsk, TintPaint } from "#core/film/tint";
import type { MixingWorkerApi } from "./mixing-worker-api";

interface Running {
  readonly worker: Worker;
  readonly api: Remote<MixingWorkerApi>;
  /** Rejects when the worker breaks; never resolves. */
  readonly broken: Promise<never>;
}

let running: Running | null = null;

function mixer(): Running {
  if (running) return running;
  const worker = new Worker(new URL("./mixing.worker.ts", import.meta.url), { type: "module" });
  const broken = new Promise<never>((_resolve, reject) => {
    const stopped = () => {
      worker.terminate();
      running = null;
      reject(new Error("mixing stopped; try it again"));
    };
    worker.addEventListener("error", stopped);
    worker.addEventListener("messageerror", stopped);
  });
  // It may break while nobody asks.
  broken.catch(() => undefined);
  running = { worker, api: wrap<MixingWorkerApi>(worker), broken };
  return running;
}

const asked = <Answer>(question: (api: Remote<MixingWorkerApi>) => Promise<Answer>): Promise<Answer> => {
  const { api, broken } = mixer();
  return Promise.race([question(api), broken]);
};

/**
 * Recipes for a colour.
 *
 * @param signal leaves it
 * @returns null where it was left, or another colour was asked for meanwhile
 */
export async function recipesFor(ask: TintAsk, progress: (share: number) => void, signal: AbortSignal): Promise<TintAnswer | null> {
  if (signal.aborted) return null;
  const leave = () => void mixer().api.leave();
  signal.addEventListener("abort", leave);
  try {
    return await asked((api) => api.tint(ask, proxy(progress)));
  } finally {
    signal.removeEventListener("abort", leave);
  }
}

/** What would have to be bought for a colour. */
export function reachFor(target: string, paints: readonly TintPaint[]): Promise<WouldReach | null> {
  return asked((api) => api.reach(target, paints));
}

/** Hiding fitted to a swatch. */
export function swatchRead(swatch: Swatch): Promise<Calibrated> {
  return asked((api) => api.swatch(swatch) as Promise<Calibrated>);
}
