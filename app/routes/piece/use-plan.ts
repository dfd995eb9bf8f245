import { useEffect, useMemo, useState } from "react";
import type { Keeping } from "#core/coating/planner/plan-with-edits";
import { keepingOf } from "#core/formats/keeping-of";
import type { PlanRecord } from "#core/formats/stores/plans";
import type { PieceRecord } from "#core/formats/stores/pieces";
import type { PlannedView } from "~/workers/plan-worker-api";

export interface Planned {
  readonly view: PlannedView | null;
  readonly keeping: Keeping;
  /** The view shown is of an older state; the new one is on its way. */
  readonly busy: boolean;
  readonly failed: string | null;
  /** Steps of the view that the one before did not have, or had otherwise. */
  readonly fresh: ReadonlySet<string>;
}

interface Answered {
  readonly view: PlannedView | null;
  readonly failed: string | null;
  readonly fresh: ReadonlySet<string>;
  /** What it is the answer to. */
  readonly piece: PieceRecord["piece"] | null;
  readonly plan: PlanRecord | null;
}

const NOTHING: ReadonlySet<string> = new Set();

/** Steps by what a painter would see of them. */
function looks(view: PlannedView | null): ReadonlyMap<string, string> {
  const steps = view?.shown?.zones.flatMap((zone) => zone.steps) ?? [];
  return new Map(steps.map((step) => [step.id as string, JSON.stringify([step.product, step.coats, step.colour, step.sheen, step.technique])]));
}

function newIn(before: PlannedView | null, after: PlannedView): ReadonlySet<string> {
  if (!before?.shown) return NOTHING;
  const old = looks(before);
  return new Set([...looks(after)].filter(([id, look]) => old.get(id) !== look).map(([id]) => id));
}

/** Plans in the worker whenever piece or plan change; the last view stays up meanwhile, so nothing flickers. */
export function usePlan(record: PieceRecord, plan: PlanRecord | null): Planned {
  const [answered, setAnswered] = useState<Answered>({ view: null, failed: null, fresh: NOTHING, piece: null, plan: null });
  const { piece } = record;
  const keeping = useMemo(() => keepingOf(plan), [plan]);
  useEffect(() => {
    let current = true;
    void import("~/workers/planner.client")
      .then(({ planView }) => planView(piece, keeping))
      .then((view) => {
        if (current && view) setAnswered((before) => ({ view, failed: null, fresh: newIn(before.view, view), piece, plan }));
      })
      .catch((error: unknown) => {
        const failed = error instanceof Error ? error.message : "the plan could not be worked out";
        if (current) setAnswered((before) => ({ ...before, failed, piece, plan }));
      });
    return () => {
      current = false;
    };
  }, [piece, plan, keeping]);
  return { view: answered.view, keeping, failed: answered.failed, fresh: answered.fresh, busy: answered.piece !== piece || answered.plan !== plan };
}
