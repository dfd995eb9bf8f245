import type { PieceDates } from "~/workers/schedule-worker-api";
import type { UseId } from "#core/catalogue/ids";
import { releasesFor } from "#core/drying/releases";
import type { Release } from "#core/drying/releases";
import { sayDay } from "~/components/time-words";

/** Ready for gentle hands, and fully hard, as a range where a careful painter waits longer. */
export function readyText(dates: Pick<PieceDates, "usual" | "careful">, pick: "handle" | "cured", now: number): string {
  const [usual, careful] = [dates.usual?.[pick], dates.careful?.[pick]];
  if (usual === undefined) return "not with these hours";
  const [from, to] = [sayDay(usual, now), careful === undefined ? null : sayDay(careful, now)];
  return to && to !== from ? `${from}, or ${to} to be safe` : from;
}

const RELEASE_WORDS: Readonly<Record<Release, string>> = {
  "put-down": "put down",
  handled: "handled",
  stacked: "stacked",
  washed: "washed by hand",
  posted: "wrapped and posted",
  planted: "planted",
};

/**
 * What a piece may be let into once it is fully hard, by what it is for.
 *
 * @example hardText(["planter"]) // "planted, stacked, wrapped and posted"
 */
export function hardText(uses: readonly UseId[]): string {
  return releasesFor(uses)
    .map((release) => RELEASE_WORDS[release])
    .join(", ");
}
