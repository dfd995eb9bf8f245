/** What a scale shows at an instant. */
export interface ScaleReading {
  /** Instant, ms. */
  readonly at: number;
  /** Grams, as it is tared; may be below 0. */
  readonly g: number;
}

/** What a kitchen scale is to Nook Coat, whether it stands on the table or is made up. */
export interface Scale {
  readonly name: string;
  /** The smallest step it shows, g. */
  readonly stepG: number;
  /**
   * What it shows at an instant, ms; it may be late.
   *
   * @returns null where it shows nothing
   */
  readonly read: (at: number) => ScaleReading | null;
}

/** Readings that lie this close together for so long are one weight. */
const STEADY_MS = 800;
const STEADY_STEPS = 1;
/** Two readings are too few to call it steady. */
const LEAST_READINGS = 3;

/**
 * The weight a scale has come to rest on.
 *
 * @param readings in their order
 * @param stepG the smallest step of the scale, g
 * @returns g; null while it still runs
 * @example steadyWeight([{ at: 0, g: 100 }, { at: 500, g: 100 }, { at: 1000, g: 101 }], 1) // 101
 */
export function steadyWeight(readings: readonly ScaleReading[], stepG: number): number | null {
  const last = readings.at(-1);
  if (!last) return null;
  const since = readings.findLastIndex(({ at }) => last.at - at >= STEADY_MS);
  if (since < 0) return null;
  const lately = readings.slice(since);
  const weights = lately.map(({ g }) => g);
  const apart = Math.max(...weights) - Math.min(...weights);
  return lately.length >= LEAST_READINGS && apart <= STEADY_STEPS * stepG * (1 + 1e-9) ? last.g : null;
}
