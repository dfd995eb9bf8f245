import type { DatedPlan } from "#core/schedule/dates-of";
import { sayDay } from "~/components/time-words";

/** Ready for gentle hands, and fully hard, as a range where a careful painter waits longer. */
export function readyText(dates: DatedPlan, pick: "handle" | "cured", now: number): string {
  const [usual, careful] = [dates.usual?.[pick], dates.careful?.[pick]];
  if (usual === undefined) return "not with these hours";
  const [from, to] = [sayDay(usual, now), careful === undefined ? null : sayDay(careful, now)];
  return to && to !== from ? `${from}, or ${to} to be safe` : from;
}
