import { planId } from "#core/catalogue/ids";
import type { PieceId } from "#core/catalogue/ids";
import type { Change } from "#core/coating/model/change";
import { ENGINE_VERSION } from "#core/coating/planner/engine-version";
import type { Piece } from "#core/piece/piece";
import { runCommand } from "./command";
import type { By } from "./command";
import type { Database } from "./database";
import { freshId } from "./fresh-id";
import type { Followed } from "./plans";

/**
 * Begins a piece again by its record: the piece, and the plan it follows, in one go.
 *
 * @param followed the candidate it follows, and the changes that make it the same
 */
export function beginAgain(db: Database, id: PieceId, piece: Piece, followed: Followed | null, edits: readonly Change[], by: By = {}): Promise<void> {
  return runCommand(
    db,
    `beginning ${piece.name}`,
    `pieces/${id}`,
    ["pieces", "plans"],
    async (recorder) => {
      if (await recorder.get("pieces", id)) return;
      const plan = planId(freshId());
      if (followed) {
        const { candidateId, school, basis, made, madeFor } = followed;
        const asMade = { made, madeFor, ...(basis === null ? {} : { basis }) };
        await recorder.put("plans", { id: plan, pieceId: id, rev: 1, school, candidateId, edits, pinned: [], engineVersion: ENGINE_VERSION, ...asMade });
      }
      await recorder.put("pieces", { id, rev: 1, piece, planId: followed ? plan : null });
    },
    by,
  );
}
