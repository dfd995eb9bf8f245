import type { PieceId, PlanId } from "../../catalogue/ids";
import { pieceId } from "../../catalogue/ids";
import type { Piece } from "../../piece/piece";
import { daySchema } from "../hours-schema";
import { defineStore, recordIdSchema, revSchema } from "./definition";

/** A piece the user keeps. */
export interface PieceRecord {
  readonly id: PieceId;
  readonly rev: number;
  readonly piece: Piece;
  /** The plan the user follows; null for the engine's first. */
  readonly planId: PlanId | null;
  /** When the user means to begin, and when it is needed: "YYYY-MM-DD". */
  readonly dates?: { readonly start?: string; readonly due?: string };
}

const MAX_NAME = 120;
const FROM_FILE = " (from file)";

export const PIECES = defineStore<PieceRecord>({
  name: "pieces",
  called: "a piece",
  since: 1,
  indexes: { byName: "piece.name" },
  schema: (joi) =>
    joi.object({
      id: recordIdSchema(joi).required(),
      rev: revSchema(joi).required(),
      piece: joi.object().unknown().required(),
      planId: recordIdSchema(joi).allow(null).required(),
      dates: joi.object({ start: daySchema(joi), due: daySchema(joi) }),
    }),
  check: ({ piece }, { readPiece }, at) => {
    const read = readPiece(piece, [...at, "piece"]);
    return read.ok ? null : read.problem;
  },
  onImport: "beside",
  asCopy: (record, id) => ({
    ...record,
    id: pieceId(id),
    piece: { ...record.piece, name: `${record.piece.name.slice(0, MAX_NAME - FROM_FILE.length).trimEnd()}${FROM_FILE}` },
  }),
  refers: { planId: "plans" },
  lists: [],
  migrations: [
    {
      to: 2,
      does: "every piece counts its changes and names the plan it follows",
      up: ({ rev = 1, planId = null, ...record }) => ({ ...record, rev, planId }),
    },
  ],
});
