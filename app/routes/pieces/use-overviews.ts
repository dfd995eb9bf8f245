import { useEffect, useState } from "react";
import type { KeptPiece } from "~/components/use-kept-plan";
import type { ZoneGroup } from "#core/coating/explain/alike-zones";
import { alikeZones } from "#core/coating/explain/alike-zones";
import { partsOfWork } from "#core/coating/explain/parts-of-work";
import type { Step } from "#core/coating/model/step";
import type { StepId } from "#core/catalogue/ids";
import { coatStates } from "#core/logbook/coat-states";
import type { StepState } from "#core/logbook/coat-states";
import { groupStates } from "#core/logbook/group-states";
import { keepingOf } from "#core/formats/keeping-of";
import { doneTasks } from "#core/logbook/done-tasks";

/** A piece in the list: its section, where it stands, what is next. */
export interface Overview {
  readonly groups: readonly ZoneGroup[];
  /** Null before anything is done. */
  readonly states: ReadonlyMap<StepId, StepState> | null;
  readonly next: { readonly step: Step; readonly state: StepState } | null;
  readonly finished: boolean;
  readonly refused: boolean;
}

async function overviewOf({ record, plan, progress }: KeptPiece): Promise<Overview> {
  const { planOneOfMany } = await import("~/workers/planner.client");
  const view = await planOneOfMany(record.piece, keepingOf(plan));
  if (!view.shown || !view.work) return { groups: [], states: null, next: null, finished: false, refused: true };
  const done = doneTasks(progress);
  const groups = alikeZones(view.shown.zones);
  const states = groupStates(groups, view.shown.zones, coatStates(view.shown, view.work, done, Date.now()));
  const told = partsOfWork(groups, view.shown.order).flatMap((part) => part.steps);
  const standing = told.flatMap((step) => (states.has(step.id) ? [{ step, state: states.get(step.id)! }] : []));
  const ready = standing.find((one) => one.state.state === "ready");
  const [waiting] = standing.filter((one) => one.state.state === "waiting").sort((a, b) => a.state.until! - b.state.until!);
  return {
    groups,
    states: done.size > 0 ? states : null,
    next: ready ?? waiting ?? null,
    finished: standing.every((one) => one.state.state === "done" || one.state.state === "wet"),
    refused: false,
  };
}

/** Plans every piece of the list in the worker, one after another; each shows as soon as it is there. */
export function useOverviews(kept: readonly KeptPiece[]): ReadonlyMap<string, Overview> {
  const [overviews, setOverviews] = useState<ReadonlyMap<string, Overview>>(new Map());
  useEffect(() => {
    let current = true;
    for (const one of kept)
      void overviewOf(one)
        .then((overview) => {
          if (current) setOverviews((before) => new Map(before).set(one.record.id, overview));
        })
        .catch(() => undefined);
    return () => {
      current = false;
    };
  }, [kept]);
  return overviews;
}
