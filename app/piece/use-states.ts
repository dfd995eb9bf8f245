import { useEffect, useMemo, useRef } from "react";
import { useNow } from "~/components/use-now";
import type { StepId } from "#core/catalogue/ids";
import { coatStates } from "#core/logbook/coat-states";
import type { StepState } from "#core/logbook/coat-states";
import { useAppContext } from "~/components/app-context";
import type { PlannedView } from "~/workers/plan-worker-api";

export interface Standing {
  readonly states: ReadonlyMap<StepId, StepState>;
  /** Something has been done already. */
  readonly begun: boolean;
  readonly done: ReadonlyMap<string, number>;
  readonly now: number;
}

/** Where the work stands; says aloud, and sounds if the user wants it, when a wait has ended. */
export function useStates(view: PlannedView): Standing {
  const now = useNow();
  const { settings, announce } = useAppContext();
  const { done } = view;
  const states = useMemo(() => (view.shown && view.work ? coatStates(view.shown, view.work, done, now) : new Map<StepId, StepState>()), [view, done, now]);
  const before = useRef<ReadonlyMap<StepId, StepState>>(new Map());
  useEffect(() => {
    const ended = [...states].some(([id, state]) => state.state === "ready" && before.current.get(id)?.state === "waiting");
    before.current = states;
    if (!ended) return;
    announce("A wait has ended: the next coat may go on");
    if (settings.sounds) void import("~/bench/alerts.client").then(({ chime }) => chime());
  }, [states, announce, settings.sounds]);
  return { states, begun: done.size > 0, done, now };
}
