import { batchesOf } from "./batches";
import type { Batch, Fill, Limits } from "./batches";
import { mixFor, slurryMl, weightOf } from "./mix";
import type { Mix, Ratio } from "./mix";

/** Moulds of one kind that are filled in one casting. */
export interface Filled {
  readonly mould: string;
  /** What one of them holds, mL. */
  readonly ml: number;
  readonly count: number;
}

/** What a casting is asked for. */
export interface CastAsk extends Limits {
  readonly ratio: Ratio;
  readonly moulds: readonly Filled[];
  /** Waste on bowl and spoon, and what is topped up, per cent of the moulds' volume. */
  readonly reservePercent?: number;
  /** Powder in the bag, g. */
  readonly bagG?: number;
}

/** What stays on bowl and spoon, and tops up what sinks, per cent [from memory]. */
export const USUAL_RESERVE_PERCENT = 5;

/** A batch with what is weighed for it. */
export interface WeighedBatch extends Batch, Mix {
  readonly slurryMl: number;
}

export interface Cast extends Mix {
  readonly slurryMl: number;
  readonly batches: readonly WeighedBatch[];
  /** So often the whole casting comes out of the bag, and what is left then, g; null without a bag. */
  readonly pours: number | null;
  readonly leftG: number | null;
  /** The bag does not hold this one: so much powder is missing, g. */
  readonly missingG: number;
}

const PER_CENT = 100;
const ROUNDING = 1e-9;

const split = (g: number, whole: Mix): Mix => {
  const share = g / weightOf(whole);
  return { waterG: whole.waterG * share, powderG: whole.powderG * share };
};

/**
 * Water and powder for a casting: all of it, for each bowl, and out of one bag.
 *
 * @returns weights in g, unrounded
 */
export function cast({ ratio, moulds, reservePercent = USUAL_RESERVE_PERCENT, bagG, ...limits }: CastAsk): Cast {
  const filled = moulds.reduce((sum, { ml, count }) => sum + ml * count, 0) * (1 + reservePercent / PER_CENT);
  const mix = mixFor(filled, ratio);
  const perMl = weightOf(mix) / filled;
  const fills = moulds.flatMap(({ mould, ml, count }): readonly Fill[] =>
    Array.from({ length: count }, () => ({ mould, g: ml * (1 + reservePercent / PER_CENT) * perMl })),
  );
  const batches = batchesOf(fills, limits).map((batch): WeighedBatch => {
    const weighed = split(batch.g, mix);
    return { ...batch, ...weighed, slurryMl: slurryMl(weighed, ratio.densityGPerMl) };
  });
  const pours = bagG === undefined ? null : Math.floor(bagG / mix.powderG + ROUNDING);
  return {
    ...mix,
    slurryMl: filled,
    batches,
    pours,
    leftG: bagG === undefined || pours === null ? null : Math.max(0, bagG - pours * mix.powderG),
    missingG: bagG === undefined ? 0 : Math.max(0, mix.powderG - bagG),
  };
}
