import { useState } from "react";
import { useFetcher } from "react-router";
import type { StepId } from "#core/catalogue/ids";
import { changePiece } from "#core/coating/model/apply-changes";
import type { Change } from "#core/coating/model/change";
import type { Candidate } from "#core/coating/model/plan";
import type { PieceRecord } from "#core/formats/stores/pieces";
import type { Saved } from "~/store/pieces";
import type { Coat } from "~/store/progress";

/** What the piece's screen may ask of its action. */
export type Ask =
  | { readonly intent: "change"; readonly seen: PieceRecord; readonly changes: readonly Change[] }
  | { readonly intent: "follow"; readonly candidateId: Candidate["id"]; readonly school: string }
  | { readonly intent: "edit"; readonly candidateId: Candidate["id"]; readonly school: string; readonly edits: readonly Change[] }
  | { readonly intent: "pin"; readonly candidateId: Candidate["id"]; readonly school: string; readonly stepId: StepId; readonly kept: boolean }
  | { readonly intent: "plain"; readonly planId: string }
  | { readonly intent: "done"; readonly candidateId: Candidate["id"]; readonly school: string; readonly coats: readonly Coat[]; readonly at: string }
  | { readonly intent: "undone"; readonly planId: string; readonly coats: readonly Coat[] }
  | { readonly intent: "dates"; readonly dates: { readonly start?: string; readonly due?: string } }
  | { readonly intent: "remove" };

export type Answer = Saved | { readonly kind: "done" };

/**
 * Saves through the route's action. What the user did shows at once, before the database has answered; a clash is remembered
 * until the user has decided.
 */
export function useSaving(kept: PieceRecord) {
  const fetcher = useFetcher<Answer>();
  const send = (ask: Ask) => void fetcher.submit(ask as never, { method: "post", encType: "application/json" });
  const [asked, setAsked] = useState<readonly Change[]>([]);
  const [ahead, setAhead] = useState<{ readonly rev: number; readonly changes: readonly Change[] }>({ rev: 0, changes: [] });
  const record = ahead.rev === kept.rev ? { ...kept, piece: changePiece(kept.piece, ahead.changes) } : kept;
  const [dismissed, setDismissed] = useState<unknown>(null);
  const clash = fetcher.data?.kind === "clash" && fetcher.data !== dismissed ? fetcher.data : null;
  return {
    record,
    send,
    clash,
    saving: fetcher.state !== "idle",
    save: (changes: readonly Change[], seen: PieceRecord) => {
      setAsked(changes);
      setAhead((before) => ({ rev: kept.rev, changes: before.rev === kept.rev ? [...before.changes, ...changes] : changes }));
      send({ intent: "change", seen, changes });
    },
    takeTheirs: () => setDismissed(fetcher.data),
    keepMine: () => send({ intent: "change", seen: clash?.theirs ?? record, changes: asked }),
  };
}
