import { putRight, ratioOf, weightOf } from "./mix";
import type { Mix, Ratio } from "./mix";

/** What is done at the scale in turn: set to zero, water, set to zero, powder; water once more where too much powder went in. */
export const RUN_PARTS = ["zero", "water", "powder", "more-water", "done"] as const;
export type RunPart = (typeof RUN_PARTS)[number];

/** One bowl at the scale: what was weighed of it so far. */
export interface Run {
  /** The scale is set to zero for what comes next; the bowl stands on it. */
  readonly tared: boolean;
  readonly waterG?: number;
  readonly powderG?: number;
  /** Taken as it is, though it is off the ratio. */
  readonly asItIs?: true;
}

/** A weight is right within this share of it, and at least within so much, g: less no mix feels [from memory]. */
const RIGHT = { share: 0.01, leastG: 1 } as const;

/** Within so much of a target, g, a weight is right. */
export function rightWithin(targetG: number): number {
  return Math.max(RIGHT.leastG, targetG * RIGHT.share);
}

/** What the scale is to show, and what to do about what it shows. */
export interface Told {
  readonly part: RunPart;
  /** Weight to come to, g; null where nothing is weighed. */
  readonly targetG: number | null;
  /** Still to go, g; below 0 it is too much. */
  readonly toGoG: number | null;
  readonly state: "nothing" | "more" | "right" | "over";
}

const stateOf = (g: number, targetG: number): Told["state"] => {
  if (g <= 0) return "nothing";
  if (Math.abs(g - targetG) <= rightWithin(targetG)) return "right";
  return g < targetG ? "more" : "over";
};

/** Water that is missing for the powder that is in the bowl, g; 0 where it is right. */
export function missingWaterG({ waterG, powderG, asItIs }: Run, { waterPer100 }: Ratio): number {
  if (waterG === undefined || powderG === undefined || asItIs) return 0;
  const missing = (powderG * waterPer100) / 100 - waterG;
  return missing > rightWithin(waterG) ? missing : 0;
}

/** What is weighed next, once the scale is set to zero. */
export function comingPart(run: Run, ratio: Ratio): Exclude<RunPart, "zero"> {
  if (run.waterG === undefined) return "water";
  if (run.powderG === undefined) return "powder";
  return missingWaterG(run, ratio) > 0 ? "more-water" : "done";
}

/** Which part is on the scale now. */
export function partOf(run: Run, ratio: Ratio): RunPart {
  const coming = comingPart(run, ratio);
  return coming === "done" || run.tared ? coming : "zero";
}

/**
 * What the mix is to be by now: water that was weighed wrong has moved the powder's target.
 *
 * @param wanted as it was reckoned
 */
export function targetOf({ waterG }: Run, wanted: Mix, ratio: Ratio): Mix {
  return waterG === undefined || Math.abs(waterG - wanted.waterG) <= rightWithin(wanted.waterG) ? wanted : putRight({ waterG }, wanted, ratio).mix;
}

/**
 * One look at the scale.
 *
 * @param g what it shows, as tared for this part
 */
export function told(run: Run, wanted: Mix, ratio: Ratio, g: number): Told {
  const part = partOf(run, ratio);
  const target = targetOf(run, wanted, ratio);
  const targetG = { zero: null, water: target.waterG, powder: target.powderG, "more-water": missingWaterG(run, ratio), done: null }[part];
  return targetG === null ? { part, targetG, toGoG: null, state: "nothing" } : { part, targetG, toGoG: targetG - g, state: stateOf(g, targetG) };
}

/**
 * Takes a weight down. Water too much moves the powder's target; powder too much asks for more water.
 *
 * @param g above 0; where the scale is set to zero it is of no matter
 * @returns the run after it
 */
export function weighed(run: Run, ratio: Ratio, g: number): Run {
  switch (partOf(run, ratio)) {
    case "zero":
      return { ...run, tared: true };
    case "water":
      return { ...run, tared: false, waterG: g };
    case "powder":
      return { ...run, tared: false, powderG: g };
    case "more-water":
      return { ...run, tared: false, waterG: run.waterG! + g };
    case "done":
      return run;
  }
}

/** What a bowl has come to. */
export interface InBowl extends Mix {
  /** g of water to 100 g of powder. */
  readonly ratio: number;
  /** More of the mix than was wanted, g: the reserve it makes; below 0 it falls short. */
  readonly extraG: number;
}

/** What a bowl holds that is weighed; null while it is not. */
export function inBowl({ waterG, powderG }: Run, wanted: Mix): InBowl | null {
  if (waterG === undefined || powderG === undefined) return null;
  const mix = { waterG, powderG };
  return { ...mix, ratio: ratioOf(mix), extraG: weightOf(mix) - weightOf(wanted) };
}
