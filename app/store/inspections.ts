import { inspectionId } from "#core/catalogue/ids";
import type { PieceId } from "#core/catalogue/ids";
import type { InspectionRecord } from "#core/formats/stores/inspections";
import { runCommand } from "./command";
import type { By } from "./command";
import type { Database } from "./database";
import { freshId } from "./fresh-id";
import { GonePiece } from "./plans";

/** What was looked at on a piece, by time. */
export async function inspectionsOf(db: Database, piece: PieceId): Promise<readonly InspectionRecord[]> {
  return (await db.getAllFromIndex("inspections", "byPiece", piece)).sort((a, b) => (a.at < b.at ? -1 : 1));
}

/**
 * Notes what was found; what was found before stays.
 *
 * @throws GonePiece
 */
export function noteInspection(db: Database, of: Omit<InspectionRecord, "id" | "rev">, by: By = {}): Promise<void> {
  return runCommand(
    db,
    of.passed ? "a check that held" : "a check that failed",
    `pieces/${of.pieceId}`,
    ["pieces", "inspections"],
    async (recorder) => {
      if (!(await recorder.get("pieces", of.pieceId))) throw new GonePiece();
      await recorder.put("inspections", { ...of, id: inspectionId(freshId()), rev: 1 });
    },
    by,
  );
}
