import { useEffect, useState } from "react";
import type { PlanView } from "#core/coating/plan-with-edits";
import type { PieceRecord, PlanRecord } from "#core/formats/records";

export interface Planned {
  readonly view: PlanView | null;
  /** The view shown is of an older state; the new one is on its way. */
  readonly busy: boolean;
  readonly failed: string | null;
}

interface Answered {
  readonly view: PlanView | null;
  readonly failed: string | null;
  /** What it is the answer to. */
  readonly piece: PieceRecord["piece"] | null;
  readonly plan: PlanRecord | null;
}

/** Plans in the worker whenever piece or plan change; the last view stays up meanwhile, so nothing flickers. */
export function usePlan(record: PieceRecord, plan: PlanRecord | null): Planned {
  const [answered, setAnswered] = useState<Answered>({ view: null, failed: null, piece: null, plan: null });
  const { piece } = record;
  useEffect(() => {
    let current = true;
    const keeping = { candidateId: plan?.candidateId ?? null, school: plan?.school ?? "", edits: plan?.edits ?? [] };
    void import("~/workers/planner.client")
      .then(({ planView }) => planView(piece, keeping))
      .then((view) => {
        if (current && view) setAnswered({ view, failed: null, piece, plan });
      })
      .catch((error: unknown) => {
        const failed = error instanceof Error ? error.message : "the plan could not be worked out";
        if (current) setAnswered((before) => ({ ...before, failed, piece, plan }));
      });
    return () => {
      current = false;
    };
  }, [piece, plan]);
  return { view: answered.view, failed: answered.failed, busy: answered.piece !== piece || answered.plan !== plan };
}
