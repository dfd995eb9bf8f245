import type { Wait } from "../../drying/film-drying";
import type { Stretch } from "./own-times";

/** Nothing learnt takes a wait below this share of what is reckoned [judgement of this project]. */
const LEAST_SHARE = 0.5;

/**
 * A wait as the table has taught it: as far down as the label and half of what is reckoned allow, upwards freely. Careful waits only grow.
 *
 * @param reckoned as it is reckoned, minutes
 * @param labelMin what the label says of the stage, minutes; undefined where it says nothing
 * @param stretch how many times longer it is left
 * @example learntWait({ typicalMin: 120, cautiousMin: 180 }, 60, { typical: 0.3, cautious: 1 }) // { typicalMin: 60, cautiousMin: 180 }
 */
export function learntWait(reckoned: Wait, labelMin: number | undefined, stretch: Stretch): Wait {
  const { typicalMin: usual, cautiousMin } = reckoned;
  const floor = Math.max(usual * LEAST_SHARE, Math.min(labelMin ?? 0, usual));
  const typicalMin = Math.ceil(Math.max(usual * stretch.typical, floor));
  return { typicalMin, cautiousMin: Math.max(typicalMin, Math.ceil(cautiousMin * Math.max(1, stretch.cautious))) };
}
