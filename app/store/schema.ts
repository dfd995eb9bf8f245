import type { DBSchema } from "idb";
import type { PieceRecord, PlanRecord } from "#core/formats/records";

/** The stores of the browser's notebook, one a noun. */
export interface NotebookSchema extends DBSchema {
  pieces: { key: string; value: PieceRecord };
  plans: { key: string; value: PlanRecord; indexes: { byPiece: string } };
}
