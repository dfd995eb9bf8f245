import type { ProductId } from "../../catalogue/ids";
import type { ProductClass } from "../../catalogue/product-class";
import type { Wear } from "../../catalogue/use";
import { MIN_PER_DAY } from "../../units/duration";
import type { ZoneContext } from "./context";
import type { Option } from "./draft";

/**
 * What one option costs by each measure. Every figure adds up over the slots of a zone, so that the search can walk
 * combinations from the cheapest on and stop at the first that the rules let through.
 */
export interface Cost {
  readonly days: number;
  readonly handsOnMin: number;
  /** Product classes not yet needed elsewhere on the piece. */
  readonly products: number;
  /** Wear left unmet or met thinly: 0 is very good for every wear of the zone. */
  readonly wearLoss: number;
  /** Solvent, oven and resin steps. */
  readonly harshness: number;
  /** Off the beaten track: products not usual on this surface, working by eye, leaving pits open. */
  readonly unusual: number;
  /** Steps. */
  readonly steps: number;
}

export type MeasureName = "balanced" | "durable" | "soonest" | "fewest" | "gentle";

/** Weights that turn a cost into one number for each measure; the small ones break ties [judgement of this project]. */
export const MEASURES: Record<MeasureName, Record<keyof Cost, number>> = {
  balanced: { days: 0.4, handsOnMin: 0.02, products: 0.6, wearLoss: 1.6, harshness: 1.2, unusual: 1.0, steps: 0.15 },
  durable: { days: 0.02, handsOnMin: 0.002, products: 0.1, wearLoss: 6, harshness: 0.2, unusual: 0.2, steps: 0.02 },
  soonest: { days: 8, handsOnMin: 0.01, products: 0.1, wearLoss: 0.3, harshness: 0.2, unusual: 0.3, steps: 0.05 },
  fewest: { days: 0.1, handsOnMin: 0.01, products: 5, wearLoss: 0.4, harshness: 0.6, unusual: 0.4, steps: 0.1 },
  gentle: { days: 0.1, handsOnMin: 0.01, products: 0.2, wearLoss: 0.5, harshness: 10, unusual: 0.4, steps: 0.1 },
};

/** Cure counts, but less than waiting at the bench: the piece already stands finished [judgement of this project]. */
const CURE_WEIGHT = 0.15;

/** How well a film stands the wears of a zone, 0–3 for each, averaged; an unmet wear counts 0. */
export function wearScore(resists: Partial<Record<Wear, 1 | 2 | 3>>, wears: readonly Wear[]): number {
  const asked: readonly Wear[] = wears.length > 0 ? wears : ["wipe"];
  return asked.reduce((sum, wear) => sum + (resists[wear] ?? 0), 0) / asked.length;
}

function harshness(product: ProductClass): number {
  return (product.carrier === "solvent" ? 1 : 0) + (product.traits.includes("two-part") ? 1.5 : 0);
}

function filmMinutes(product: ProductClass, coats: number, areaMm2: number): number {
  return (product.handsOn.fixedMin + (product.handsOn.perDm2Min * areaMm2) / 10_000) * coats;
}

/**
 * The cost of one option in its slot.
 *
 * @param owned products already chosen for other zones: no shopping for them
 */
export function costOf(option: Option, context: ZoneContext, slot: string, owned: ReadonlySet<ProductId>): Cost {
  let days = 0;
  let handsOnMin = 0;
  let harsh = 0;
  let unusual = option.strain ?? 0;
  const bought = new Set<ProductId>();
  for (const step of option.steps) {
    const product = context.catalogue.products.get(step.product);
    const aid = context.catalogue.aids.get(step.product);
    const coats = step.coats ?? 1;
    if (product) {
      const recoat = product.drying.recoat?.typical ?? product.drying.touch.typical;
      const through = step.role === "base" || step.role === "decorate" ? (product.drying.through?.typical ?? recoat) : recoat;
      const cure = step.role === "seal" || step.role === "base" ? (product.drying.cureDays?.typical ?? 0) : 0;
      days += (recoat * (coats - 1) + through + cure * CURE_WEIGHT) / MIN_PER_DAY;
      handsOnMin += filmMinutes(product, coats, context.zone.areaMm2);
      harsh += harshness(product);
      unusual += product.usual.rank + (product.usual.on.includes(context.surface) ? 0 : 2);
      if (!owned.has(product.id)) bought.add(product.id);
    }
    if (aid) {
      handsOnMin += aid.handsOnMin;
      harsh += (aid.heat ? 1 : 0) + (aid.vapour ? 0.1 : 0);
    }
  }
  return { days, handsOnMin, products: bought.size, harshness: harsh, unusual, steps: option.steps.length, wearLoss: wearLossOf(option, context, slot) };
}

/** Only the seal, and colour that stands alone, meet wear; going without a seal loses what the colour cannot stand. */
function wearLossOf(option: Option, context: ZoneContext, slot: string): number {
  const best = 3;
  const { wears } = context.zone;
  if (slot === "sealing") {
    const seal = option.steps[0] && context.catalogue.products.get(option.steps[0].product);
    return best - (seal ? wearScore(seal.resists, wears) : 0);
  }
  // On slick ware the colour itself is what wears; elsewhere the seal over it is.
  if (context.surface !== "slick" || (slot !== "base" && !slot.startsWith("layer"))) return 0;
  const colour = option.steps
    .map((step) => context.catalogue.products.get(step.product))
    .find((product) => product?.jobs.includes("colour") || product?.jobs.includes("decorate"));
  if (!colour) return 0;
  const alone = context.route === "bake" && colour.bakeable ? colour.standsAloneBaked : colour.standsAlone;
  return (best - wearScore(alone, wears)) * 0.2;
}

export function weigh(cost: Cost, measure: MeasureName): number {
  const weights = MEASURES[measure];
  return (Object.keys(weights) as (keyof Cost)[]).reduce((sum, key) => sum + weights[key] * cost[key], 0);
}
