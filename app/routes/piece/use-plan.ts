import { useEffect, useState } from "react";
import type { PlanView } from "#core/coating/plan-with-edits";
import type { PieceRecord, PlanRecord } from "#core/formats/records";

export interface Planned {
  readonly view: PlanView | null;
  /** The view shown is of an older state; the new one is on its way. */
  readonly busy: boolean;
  readonly failed: string | null;
}

/** Plans in the worker whenever piece or plan change; the last view stays up meanwhile, so nothing flickers. */
export function usePlan(record: PieceRecord, plan: PlanRecord | null): Planned {
  const [state, setState] = useState<Planned>({ view: null, busy: true, failed: null });
  useEffect(() => {
    let current = true;
    setState((before) => ({ ...before, busy: true }));
    const keeping = { candidateId: plan?.candidateId ?? null, school: plan?.school ?? "", edits: plan?.edits ?? [] };
    void import("~/workers/planner.client")
      .then(({ planView }) => planView(record.piece, keeping))
      .then((view) => {
        if (current && view) setState({ view, busy: false, failed: null });
      })
      .catch((error: unknown) => {
        if (current)
          setState((before) => ({
            ...before,
            busy: false,
            failed: error instanceof Error ? error.message : "the plan could not be worked out",
          }));
      });
    return () => {
      current = false;
    };
  }, [record.piece, plan]);
  return state;
}
