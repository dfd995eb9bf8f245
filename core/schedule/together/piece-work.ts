import type { Catalogue } from "../../catalogue/catalogue";
import { togetherKey } from "../../coating/explain/together";
import type { Candidate } from "../../coating/model/plan";
import type { Piece } from "../../piece/piece";
import { workFor } from "../dates-of";
import type { PieceWork } from "./network";

/**
 * A planned piece as the table sees it.
 *
 * @param due instant, ms; null: no hurry
 * @param done tasks that are done, by id: when each ended, ms
 */
export function pieceWork(
  id: string,
  piece: Piece,
  candidate: Candidate,
  catalogue: Catalogue,
  { due = null, done = new Map() }: { readonly due?: number | null; readonly done?: ReadonlyMap<string, number> } = {},
): PieceWork {
  const steps = new Map(candidate.zones.flatMap((zone) => zone.steps.map((step) => [step.id, step] as const)));
  return {
    id,
    work: workFor(piece, candidate, catalogue),
    count: piece.count ?? 1,
    likeOf: ({ stepId }) => {
      const step = steps.get(stepId);
      return step ? togetherKey(step) : stepId;
    },
    due,
    done,
  };
}
