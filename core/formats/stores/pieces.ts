import type { PieceId, PlanId } from "../../catalogue/ids";
import { MOST_FAULTS } from "../../casting/repair/fault";
import type { Fault } from "../../casting/repair/fault";
import { PATTERN_LIMITS } from "../../piece/pattern";
import type { Piece } from "../../piece/piece";
import { faultFields } from "../fault-schema";
import { daySchema } from "../hours-schema";
import type Joi from "joi";
import { byFields, byId, byValue } from "../../merge/entry-keys";
import { FREE_LISTS } from "../../coating/model/piece-changes";
import { defineStore, recordIdSchema, revSchema } from "./definition";
import type { JoiRoot } from "./definition";

/** A piece the user keeps. */
export interface PieceRecord {
  readonly id: PieceId;
  readonly rev: number;
  readonly piece: Piece;
  /** The plan the user follows; null for the engine's first. */
  readonly planId: PlanId | null;
  /** When the user means to begin, and when it is needed: "YYYY-MM-DD". */
  readonly dates?: { readonly start?: string; readonly due?: string };
  /** The set it is made with. */
  readonly set?: string;
  /** The day it was put away: "YYYY-MM-DD". */
  readonly putAway?: string;
  /** Where it stands to dry, as it was said: "left of the window". */
  readonly standsAt?: string;
  /** What is wrong with its bare body, and is to be mended. */
  readonly faults?: readonly Fault[];
  /** How many marks of each row are set by now, by its place and its name: "top/r2". */
  readonly marked?: Readonly<Record<string, number>>;
}

/** The name a row's marks are counted under. */
export function markedKey(zone: string, row: string): string {
  return `${zone}/${row}`;
}

/** How many marks of each row are set. */
export function markedSchema(joi: JoiRoot): Joi.Schema {
  return joi
    .object()
    .pattern(joi.string().max(60), joi.number().integer().min(1).max(100_000))
    .max(PATTERN_LIMITS.rows * PATTERN_LIMITS.patterns);
}

/** Faults of a bare body. */
export function faultsSchema(joi: JoiRoot): Joi.Schema {
  return joi
    .array()
    .items(joi.object(faultFields(joi)))
    .max(MOST_FAULTS);
}

/** The name of a set, or of a place on the rack, as it is typed. */
export function setNameSchema(joi: JoiRoot): Joi.StringSchema {
  return joi.string().trim().min(1).max(60);
}

const MAX_NAME = 120;

/** A name with something after it, cut so that it still fits. */
export function nameWith(name: string, after: string): string {
  return `${name.slice(0, MAX_NAME - after.length).trimEnd()}${after}`;
}

/** A piece without the layers its patterns amount to: they are worked out again. */
function withoutPatternLayers(record: PieceRecord): PieceRecord {
  const { decoration } = record.piece;
  if (!decoration?.layers?.some(({ rows }) => rows !== undefined)) return record;
  const layers = decoration.layers.filter(({ rows }) => rows === undefined);
  return { ...record, piece: { ...record.piece, decoration: { ...decoration, layers } } };
}

export const PIECES = defineStore<PieceRecord>({
  name: "pieces",
  called: "a piece",
  counted: ["piece", "pieces"],
  gone: { told: "Removed" },
  says: {
    piece: "the piece",
    planId: "the plan it follows",
    dates: "its dates",
    set: "its set",
    putAway: "the day it was put away",
    standsAt: "where it stands",
    faults: "faults of the body",
    marked: "marks that are set",
  },
  since: 1,
  indexes: { byName: "piece.name", bySet: "set", byPutAway: "putAway", byDue: "dates.due" },
  schema: (joi) =>
    joi.object({
      id: recordIdSchema(joi).required(),
      rev: revSchema(joi).required(),
      piece: joi.object().unknown().required(),
      planId: recordIdSchema(joi).allow(null).required(),
      dates: joi.object({ start: daySchema(joi), due: daySchema(joi) }),
      set: setNameSchema(joi),
      putAway: daySchema(joi),
      standsAt: setNameSchema(joi),
      faults: faultsSchema(joi),
      marked: markedSchema(joi),
    }),
  check: ({ piece }, { readPiece }, at) => {
    const read = readPiece(piece, [...at, "piece"]);
    return read.ok ? null : read.problem;
  },
  meets: {
    lists: {
      faults: byFields("kind", "place"),
      ...Object.fromEntries([...FREE_LISTS].map((path) => [`piece.${path}`, byValue])),
      "piece.decoration.patterns": byFields("zone"),
      "piece.decoration.patterns.*.rows": byId,
    },
    bare: withoutPatternLayers,
  },
  refers: { planId: "plans" },
  lists: [],
  migrations: [
    {
      to: 2,
      does: "every piece counts its changes and names the plan it follows",
      up: ({ rev = 1, planId = null, ...record }) => ({ ...record, rev, planId }),
    },
    { to: 14, does: "a piece may say what is wrong with its bare body; until then it says nothing of it", up: (record) => record },
  ],
});
