import { proxy } from "comlink";
import type { Calibrated, Swatch } from "#core/film/calibrate";
import type { WouldReach } from "#core/film/reach";
import type { TintAnswer, TintAsk, TintPaint } from "#core/film/tint";
import type { MixingWorkerApi } from "./mixing-worker-api";
import { keptRunning } from "./running";

const { running: mixer, asked } = keptRunning<MixingWorkerApi>(
  () => new Worker(new URL("./mixing.worker.ts", import.meta.url), { type: "module" }),
  () => new Error("mixing stopped; try it again"),
);

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
    return await asked((api, heard) =>
      api.tint(
        ask,
        proxy((share: number) => (heard(), progress(share))),
      ),
    );
  } finally {
    signal.removeEventListener("abort", leave);
  }
}

/** What would have to be bought for a colour; null where it was left. */
export function reachFor(target: string, paints: readonly TintPaint[]): Promise<{ readonly found: WouldReach | null } | null> {
  return asked((api) => api.reach(target, paints));
}

/** Hiding fitted to a swatch. */
export function swatchRead(swatch: Swatch): Promise<Calibrated> {
  return asked((api) => api.swatch(swatch) as Promise<Calibrated>);
}
