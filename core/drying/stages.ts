import type { ProductClass, Span } from "../catalogue/product-class";
import type { Room } from "../piece/piece";
import { hours, MIN_PER_DAY } from "../units/duration";
import { deepFactor, roomFactor } from "./room-factor";
import { waterOutMin } from "./water-out";

/** Stages of one coat in one room, minutes (cure in days): one column of a plan's `typical` and `cautious`. */
export interface Stages {
  readonly touchDry: number;
  readonly dryHard: number;
  readonly dryThrough: number;
  readonly recoatFrom: number;
  readonly recoatUntil?: number;
  readonly cureDays: number | null;
}

export interface StageRange {
  readonly typical: Stages;
  readonly cautious: Stages;
}

/** Wet thickness of a brushed coat the law of thickness is anchored at, and of a thick mark, µm. */
const COAT_MICRONS = 75;
const THICK_MARK_MICRONS = 800;

/** Time to touch grows as A·w + B·w²: 0.248 and 2.53e-4 for w in µm, minutes [from memory: handbook §10]. */
export function touchLaw(wetMicrons: number): number {
  return 0.248 * wetMicrons + 2.53e-4 * wetMicrons ** 2;
}

/**
 * Dry-through of a thick waterborne mark before it is sealed in, minutes:
 * 24 h + 24 h · (w² − 75²)/(800² − 75²) [from memory: handbook §10]. Never below 24 h.
 *
 * @example markThroughMin(660) / 60 // about 40 hours
 */
export function markThroughMin(wetMicrons: number): number {
  const share = (wetMicrons ** 2 - COAT_MICRONS ** 2) / (THICK_MARK_MICRONS ** 2 - COAT_MICRONS ** 2);
  return hours(24) + hours(24) * Math.max(0, share);
}

/** Share of the way from recoat to dry-through at which a film takes tape [from memory]. */
const HARD_AFTER_RECOATS = 3;
/** Dry-through of a class that states none, in recoat waits [from memory]. */
const THROUGH_AFTER_RECOATS = 4;

function throughOf(product: ProductClass): Span {
  const { through, recoat, touch } = product.drying;
  if (through) return through;
  const base = recoat ?? touch;
  return { typical: base.typical * THROUGH_AFTER_RECOATS, cautious: base.cautious * THROUGH_AFTER_RECOATS };
}

/** How much a mark thicker than the usual coat stretches touch and recoat, and its own dry-through. */
function thickness(product: ProductClass, markMicrons: number | null) {
  const usual = product.film.wetMicrons ?? COAT_MICRONS;
  // Kiln colour only has to be dry: nothing seals it in before the fire.
  if (product.traits.includes("needs-firing")) return { early: 1, throughMin: 0 };
  if (markMicrons === null || markMicrons <= usual || product.drying.by !== "evaporation") return { early: 1, throughMin: 0 };
  return { early: touchLaw(markMicrons) / touchLaw(usual), throughMin: markThroughMin(markMicrons) };
}

/**
 * Drying stages of one coat here: the class's times scaled by the room and, for marks, by their thickness.
 *
 * @param markMicrons wet height of the thickest mark, µm; null for an even coat
 * @returns null when it will not dry in this room
 */
export function stagesIn(product: ProductClass, room: Room, markMicrons: number | null = null): StageRange | null {
  let rooms = stagesByProduct.get(product);
  if (!rooms) stagesByProduct.set(product, (rooms = new WeakMap()));
  let marks = rooms.get(room);
  if (!marks) rooms.set(room, (marks = new Map()));
  let range = marks.get(markMicrons);
  if (range === undefined) marks.set(markMicrons, (range = workOutStages(product, room, markMicrons)));
  return range;
}

/** The search asks for the same product in the same room thousands of times. */
const stagesByProduct = new WeakMap<ProductClass, WeakMap<Room, Map<number | null, StageRange | null>>>();

function workOutStages(product: ProductClass, room: Room, markMicrons: number | null): StageRange | null {
  const factor = roomFactor(product.drying.by, room);
  const deep = deepFactor(product.drying.by, room);
  const water = waterOutMin(product, markMicrons ?? product.film.wetMicrons, room);
  if (!factor || !deep || !water) return null;
  const { early, throughMin } = thickness(product, markMicrons);
  const through = throughOf(product);
  const { touch, recoat, cureDays } = product.drying;
  const column = (pick: (span: Span) => number, by: number, deepBy: number, waterMin: number): Stages => {
    const recoatFrom = pick(recoat ?? touch) * by * early;
    const dryThrough = Math.max(Math.max(pick(through), throughMin) * deepBy, waterMin);
    const until = recoat?.untilMin ?? null;
    return {
      touchDry: pick(touch) * by * early,
      dryHard: Math.min(recoatFrom * HARD_AFTER_RECOATS, Math.max(dryThrough, recoatFrom)),
      dryThrough: Math.max(dryThrough, recoatFrom),
      recoatFrom,
      ...(until === null ? {} : { recoatUntil: until * by }),
      cureDays: cureDays ? (pick(cureDays) * deepBy) / MIN_PER_DAY : null,
    };
  };
  return {
    typical: column((s) => s.typical, factor.fast, deep.fast, water.typical),
    cautious: column((s) => s.cautious, factor.slow, deep.slow, water.cautious),
  };
}

/**
 * The shortest wait that is not too early: the fast end of the window in this room. What rules judge by.
 *
 * @returns null when it will not dry here
 */
export function earliestRecoatMin(product: ProductClass, room: Room, markMicrons: number | null = null): number | null {
  const factor = roomFactor(product.drying.by, room);
  if (!factor) return null;
  const { early } = thickness(product, markMicrons);
  const { recoat, touch } = product.drying;
  return (recoat ? recoat.min : touch.typical) * factor.fast * early;
}
