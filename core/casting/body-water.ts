import { BOUND_PER_G } from "./compound";
import { weightOf } from "./mix";
import type { Mix } from "./mix";

/** Where the water of a cast goes. */
export interface BodyWater {
  /** Stays bound, g. */
  readonly boundG: number;
  /** Has to leave before it may be painted, g. */
  readonly toLoseG: number;
  /** What it weighs then, g. */
  readonly dryG: number;
}

/**
 * Where the water of a cast goes: some of it sets with the powder, the rest has to dry out.
 *
 * @param bindsPerG g of water for a g of powder; of pure hemihydrate where it is left out
 * @example Math.round(bodyWater({ waterG: 38, powderG: 100 }).toLoseG * 10) / 10 // 19.4
 */
export function bodyWater(mix: Mix, bindsPerG = BOUND_PER_G): BodyWater {
  const boundG = Math.min(mix.waterG, mix.powderG * bindsPerG);
  return { boundG, toLoseG: mix.waterG - boundG, dryG: weightOf(mix) - (mix.waterG - boundG) };
}
