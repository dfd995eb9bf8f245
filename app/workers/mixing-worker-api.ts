import type { Calibrated, Swatch } from "#core/film/calibrate";
import type { WouldReach } from "#core/film/reach";
import type { TintAnswer, TintAsk, TintPaint } from "#core/film/tint";

/** What the mixing worker answers; the whole protocol. */
export interface MixingWorkerApi {
  /**
   * Recipes for a colour.
   *
   * @param progress hears how far it has come, 0–1
   * @returns null where another colour was asked for meanwhile, or it was left
   */
  tint: (ask: TintAsk, progress: (share: number) => void) => Promise<TintAnswer | null>;
  /** Leaves what is being mixed. */
  leave: () => void;
  /** What would have to be bought for a colour, nothing where nothing plain would do; null where it was left. */
  reach: (target: string, paints: readonly TintPaint[]) => Promise<{ readonly found: WouldReach | null } | null>;
  swatch: (swatch: Swatch) => Calibrated;
}
