import type { UseId } from "../catalogue/ids";
import { practice } from "../catalogue/provenance";
import type { FilmStages, Wait } from "./film-drying";

/** What a painted piece may be let into, in the order it comes. */
export const RELEASES = ["put-down", "handled", "stacked", "washed", "posted", "planted"] as const;
export type Release = (typeof RELEASES)[number];

/** The stage its last film has to have reached [common practice: it cures before it is washed, stacked, wrapped, posted or planted]. */
const ASKS: Readonly<Record<Release, keyof FilmStages>> = practice({
  "put-down": "dryHard",
  handled: "dryThrough",
  stacked: "cured",
  washed: "cured",
  posted: "cured",
  planted: "cured",
} as const).value;

/**
 * From when a piece may be put down on its film, handled, stacked, washed, posted or planted, counted from its last coat.
 *
 * @returns null of what never sets, and so is never let into it
 */
export function releasesOf(stages: FilmStages): Readonly<Record<Release, Wait | null>> {
  return Object.fromEntries(RELEASES.map((release) => [release, stages[ASKS[release]]])) as Record<Release, Wait | null>;
}

/** What a use lets a piece into beyond what all are let into [common practice]. */
const BY_USE: Readonly<Partial<Record<string, Release>>> = practice({
  planter: "planted",
  drinkware: "washed",
  tableware: "washed",
  "serving-tray": "washed",
} as const).value;

/** What a piece may be let into once it is fully hard: what it is for first. */
export function releasesFor(uses: readonly UseId[]): readonly Release[] {
  return [...new Set(uses.flatMap((use) => BY_USE[use] ?? [])), "stacked", "posted"];
}
