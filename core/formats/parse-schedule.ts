import Joi from "joi";
import type { Catalogue } from "../catalogue/catalogue";
import type { Piece } from "../piece/piece";
import { writtenInstant } from "../schedule/free-hours";
import type { FreeHours } from "../schedule/free-hours";
import { GOALS } from "../schedule/together/schedule-all";
import type { Goal } from "../schedule/together/schedule-all";
import { checkShape } from "./check-shape";
import { hoursSchema, whenSchema } from "./hours-schema";
import { parsePiece } from "./parse-piece";
import { good } from "./problem";
import type { Parsed } from "./problem";

const LIMITS = { pieces: 200, seconds: 60, hands: 4, places: 1000 } as const;

const SCHEDULE_SCHEMA = Joi.object({
  pieces: Joi.array()
    .items(Joi.object({ id: Joi.string().min(1).max(80).required(), piece: Joi.object().unknown().required(), due: whenSchema(Joi) }))
    .min(1)
    .max(LIMITS.pieces)
    .unique("id")
    .required(),
  start: whenSchema(Joi).required(),
  freeHours: hoursSchema(Joi).required(),
  goal: Joi.string().valid(...GOALS),
  careful: Joi.boolean(),
  hands: Joi.number().integer().min(1).max(LIMITS.hands),
  rackPlaces: Joi.number().integer().min(1).max(LIMITS.places),
  ovenPlaces: Joi.number().integer().min(1).max(LIMITS.places),
  seed: Joi.number()
    .integer()
    .min(0)
    .max(2 ** 31),
  seconds: Joi.number().min(0).max(LIMITS.seconds),
});

interface ScheduleDocument {
  readonly pieces: readonly { readonly id: string; readonly piece: unknown; readonly due?: string }[];
  readonly start: string;
  readonly freeHours: FreeHours;
  readonly goal?: Goal;
  readonly careful?: boolean;
  readonly hands?: number;
  readonly rackPlaces?: number;
  readonly ovenPlaces?: number;
  readonly seed?: number;
  readonly seconds?: number;
}

/** What `schedule` is asked. */
export interface ScheduleAsk extends Omit<ScheduleDocument, "pieces" | "start"> {
  readonly pieces: readonly { readonly id: string; readonly piece: Piece; readonly due: number | null }[];
  /** Instant, ms. */
  readonly start: number;
}

/**
 * Reads what `schedule` is asked. A day that is due is due when its morning begins.
 *
 * @returns the question, or the first fault with its dotted path
 */
export function parseSchedule(document: unknown, catalogue: Catalogue): Parsed<ScheduleAsk> {
  const shape = checkShape<ScheduleDocument>(SCHEDULE_SCHEMA, document);
  if (!shape.ok) return shape;
  const { start, pieces: asked, ...rest } = shape.value;
  const { timeZone } = rest.freeHours;
  const pieces: ScheduleAsk["pieces"][number][] = [];
  for (const [index, { id, piece, due }] of asked.entries()) {
    const read = parsePiece(piece, catalogue, ["pieces", index, "piece"]);
    if (!read.ok) return read;
    pieces.push({ id, piece: read.value, due: due === undefined ? null : writtenInstant(due, "08:00", timeZone) });
  }
  return good({ ...rest, pieces, start: writtenInstant(start, "00:00", timeZone) });
}
