import { memory } from "../catalogue/provenance";

/** What the label of a two-part resin says. */
export interface ResinLabel {
  /** Parts of hardener to 100 of resin. */
  readonly hardenerPer100: number;
  /** Whether the label's parts are weights or volumes. */
  readonly by: "weight" | "volume";
  /** Densities of the two, g/mL. */
  readonly resinGPerMl: number;
  readonly hardenerGPerMl: number;
  /** How long it stays fluid in the cup, minutes, for so many g at so many °C. */
  readonly potMin: number;
  readonly potG: number;
  readonly potC: number;
}

/** Typical of a coating resin [from memory]; the label wins. */
export const TYPICAL_RESIN: ResinLabel = memory({
  hardenerPer100: 50,
  by: "weight",
  resinGPerMl: 1.12,
  hardenerGPerMl: 1.01,
  potMin: 40,
  potG: 150,
  potC: 23,
} as const).value;

export const RESIN_BOUNDS = {
  hardenerPer100: { least: 5, most: 200 },
  density: { least: 0.7, most: 2 },
  potMin: { least: 3, most: 600 },
  potG: { least: 10, most: 5000 },
  potC: { least: 5, most: 40 },
} as const;

/** Both parts of it. */
export interface ResinParts {
  readonly resinG: number;
  readonly hardenerG: number;
  readonly resinMl: number;
  readonly hardenerMl: number;
}

const PER_100 = 100;

/**
 * The label's ratio by weight: parts by volume are turned round by density.
 *
 * @returns g of hardener to 100 g of resin
 * @example Math.round(hardenerByWeight({ hardenerPer100: 50, by: "volume", resinGPerMl: 1.1, hardenerGPerMl: 0.99, potMin: 40, potG: 150, potC: 23 })) // 45
 */
export function hardenerByWeight({ hardenerPer100, by, resinGPerMl, hardenerGPerMl }: ResinLabel): number {
  return by === "weight" ? hardenerPer100 : (hardenerPer100 * hardenerGPerMl) / resinGPerMl;
}

/** The same ratio by volume, mL of hardener to 100 mL of resin. */
export function hardenerByVolume({ hardenerPer100, by, resinGPerMl, hardenerGPerMl }: ResinLabel): number {
  return by === "volume" ? hardenerPer100 : (hardenerPer100 * resinGPerMl) / hardenerGPerMl;
}

/**
 * Both parts for a volume of mixed resin; volumes are taken to add up.
 *
 * @param ml from 0
 */
export function resinParts(ml: number, label: ResinLabel): ResinParts {
  const ratio = hardenerByWeight(label) / PER_100;
  const resinG = ml / (1 / label.resinGPerMl + ratio / label.hardenerGPerMl);
  const hardenerG = resinG * ratio;
  return { resinG, hardenerG, resinMl: resinG / label.resinGPerMl, hardenerMl: hardenerG / label.hardenerGPerMl };
}

/** What is to be covered. */
export interface ResinAsk {
  readonly areaMm2: number;
  /** Depth above the highest bump, mm. */
  readonly depthMm: number;
  /** Height of bumps over the hollows between them, mm; 0: it is flat. */
  readonly bumpMm: number;
  /** Stays in the cup and runs off, per cent. */
  readonly lossPercent: number;
}

/** Of the room between bumps the resin fills about so much: they are round, not pyramids [from memory]. */
const HOLLOW_SHARE = memory(0.5).value;
/** What one pour takes at most, mm: deeper it gets hot, and cracks or yellows [from memory]. */
export const DEEPEST_MM = memory(3).value;
const MM3_PER_ML = 1000;

/** Volume of mixed resin, mL, and in how many pours. */
export function resinMl({ areaMm2, depthMm, bumpMm, lossPercent }: ResinAsk): { readonly ml: number; readonly pours: number } {
  const deep = depthMm + bumpMm * HOLLOW_SHARE;
  return { ml: ((areaMm2 * deep) / MM3_PER_ML) * (1 + lossPercent / PER_100), pours: Math.max(1, Math.ceil(deep / DEEPEST_MM - 1e-9)) };
}

/** The reaction goes twice as fast for each so many °C [from memory]. */
const DOUBLES_PER_C = 10;
/** More in a cup keeps its heat: half as long for each doubling is too much, a third less is about right [from memory]. */
const MASS_POWER = 0.5;

/**
 * How long resin stays fluid in the cup: warmth and mass shorten it.
 *
 * @returns minutes
 */
export function potLifeMin(g: number, roomC: number, { potMin, potG, potC }: ResinLabel): number {
  const byMass = (Math.max(potG / 10, g) / potG) ** -MASS_POWER;
  return potMin * 2 ** ((potC - roomC) / DOUBLES_PER_C) * byMass;
}

/** Below this it stalls, above it bubbles and runs, °C. */
export const RESIN_ROOM_C = { least: 15, good: [20, 25], most: 30 } as const;
/** A cup with more than this at once runs hot, g [from memory]. */
export const HOT_CUP_G = memory(300).value;

/** What is said of the room and the cup. */
export type ResinWarning = "stalls" | "slow" | "runs" | "hot-cup" | "several-pours";

export function resinWarnings(g: number, roomC: number, pours: number): readonly ResinWarning[] {
  const warnings: ResinWarning[] = [];
  if (roomC < RESIN_ROOM_C.least) warnings.push("stalls");
  else if (roomC < RESIN_ROOM_C.good[0]) warnings.push("slow");
  if (roomC > RESIN_ROOM_C.most) warnings.push("runs");
  if (g > HOT_CUP_G) warnings.push("hot-cup");
  if (pours > 1) warnings.push("several-pours");
  return warnings;
}
