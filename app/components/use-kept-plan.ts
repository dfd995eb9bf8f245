import { useEffect, useState } from "react";
import { data } from "react-router";
import { pieceId } from "#core/catalogue/ids";
import { keepingOf } from "#core/formats/keeping-of";
import type { ProgressRecord } from "#core/logbook/progress";
import type { PlanRecord } from "#core/formats/stores/plans";
import type { PieceRecord } from "#core/formats/stores/pieces";
import type { PlannedView } from "~/workers/plan-worker-api";

export interface KeptPiece {
  readonly record: PieceRecord;
  readonly plan: PlanRecord | null;
  readonly progress: readonly ProgressRecord[];
}

/** A piece with its plan and its work, for a page that only reads them. */
export async function keptPiece(id: string): Promise<KeptPiece> {
  const [{ database }, { pieceById }, { planById }, { progressOf }] = await Promise.all([
    import("~/store/open.client"),
    import("~/store/pieces"),
    import("~/store/plans"),
    import("~/store/progress"),
  ]);
  const db = await database();
  const record = await pieceById(db, pieceId(id));
  if (!record) throw data("this piece is not in your notebook; it may have been removed in another tab", { status: 404 });
  const [plan, progress] = await Promise.all([planById(db, record.planId), progressOf(db, record.planId)]);
  return { record, plan, progress };
}

/** Its plan, from the worker; null until it is there. */
export function useKeptPlan({ record, plan }: KeptPiece): PlannedView | null {
  const [view, setView] = useState<PlannedView | null>(null);
  useEffect(() => {
    let current = true;
    void import("~/workers/planner.client")
      .then(({ planOneOfMany }) => planOneOfMany(record.piece, keepingOf(plan)))
      .then((answer) => {
        if (current) setView(answer);
      });
    return () => {
      current = false;
    };
  }, [record, plan]);
  return view;
}
