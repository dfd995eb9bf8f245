import type { Catalogue } from "../../catalogue/catalogue";
import type { Role } from "../../catalogue/vocabulary";
import type { Candidate } from "../../coating/model/plan";
import type { Piece } from "../../piece/piece";
import { workFor } from "../dates-of";
import type { PieceWork } from "./network";

/** Acts that are put down and taken up again in the middle of a piece; a coat is laid in one go, or its edge shows [common practice]. */
const BROKEN_OFF: ReadonlySet<Role> = new Set(["decorate", "top-dot", "mark", "sand", "mask"]);

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
      return step ? `${step.role} ${step.product} ${step.colour ?? ""}` : stepId;
    },
    breaks: ({ stepId }) => BROKEN_OFF.has(steps.get(stepId)?.role ?? "base"),
    due,
    done,
  };
}
