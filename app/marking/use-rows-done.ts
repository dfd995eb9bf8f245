import { useMemo } from "react";
import { coatStates } from "#core/logbook/coat-states";
import { rowsOn } from "#core/logbook/rows-on";
import { useNow } from "~/components/use-now";
import type { PlannedView } from "~/workers/plan-worker-api";

/** The rows of a place that the plan knows to be on. */
export function useRowsDone(view: PlannedView | null, zone: string): ReadonlySet<string> {
  const now = useNow();
  return useMemo(() => {
    if (!view?.shown || !view.work) return new Set();
    const steps = view.shown.zones.find((one) => one.zone === zone)?.steps ?? [];
    return rowsOn(steps, coatStates(view.shown, view.work, view.done, now));
  }, [view, zone, now]);
}
