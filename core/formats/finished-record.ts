import type { Catalogue } from "../catalogue/catalogue";
import type { PieceRecord } from "./stores/pieces";
import type { LogRecord } from "../logbook/record/record";
import { withPatternLayers } from "../marking/solve-piece";
import type { AnyRecord } from "../merge/merge-notebooks";

/** When a finished piece was looked at last follows from its looks. */
function withLastLook({ lookedAt: _before, ...record }: LogRecord): LogRecord {
  const last = record.looks
    .map(({ at }) => at)
    .sort()
    .at(-1);
  return last === undefined ? record : { ...record, lookedAt: last };
}

/**
 * A record that was put together, with what follows from the rest of it: layers from the rows of patterns, the last look from the looks.
 *
 * @param store the one it is of
 */
export function finishedRecord(store: string, record: AnyRecord, catalogue: Catalogue): AnyRecord {
  if (store === "pieces") {
    const piece = record as unknown as PieceRecord;
    return { ...piece, piece: withPatternLayers(piece.piece, catalogue) } as unknown as AnyRecord;
  }
  return store === "records" ? (withLastLook(record as unknown as LogRecord) as unknown as AnyRecord) : record;
}
