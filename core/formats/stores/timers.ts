import type { PieceId, PourId, StepId, TimerId } from "../../catalogue/ids";
import type { ZoneId } from "../../catalogue/vocabulary";
import { instantSchema } from "../hours-schema";
import { problem } from "../problem";
import { zoneSchema } from "../zone-schema";
import { defineStore, recordIdSchema, revSchema } from "./definition";
import type { JoiRoot } from "./definition";

/** What is to be put right once it is dry, on which band. */
export interface ToRescue {
  readonly mishap: string;
  readonly remedy: string;
  readonly zone: ZoneId;
  readonly stepId: StepId;
}

/** Something the user waits for. What is left of it follows from the clock, and is never kept. */
export interface TimerRecord {
  readonly id: TimerId;
  readonly rev: number;
  readonly label: string;
  /** Instants, ISO 8601. */
  readonly from: string;
  readonly until: string;
  readonly piece?: PieceId;
  /** The pour it is of. */
  readonly pour?: PourId;
  /** The piece is left alone until then, and then put right. */
  readonly rescue?: ToRescue;
}

/** Timers of one notebook, at most. */
export const MOST_TIMERS = 200;
/** Nobody waits at the Bench for longer, minutes. */
export const MOST_TIMER_MIN = 60 * 24 * 60;

/** What is said of a timer. */
export function timerFields(joi: JoiRoot) {
  return {
    label: joi.string().trim().min(1).max(80).required(),
    from: instantSchema(joi).required(),
    until: instantSchema(joi).required(),
    piece: recordIdSchema(joi),
    pour: recordIdSchema(joi),
    rescue: joi.object({
      mishap: joi.string().max(40).required(),
      remedy: joi.string().max(40).required(),
      zone: zoneSchema(joi).required(),
      stepId: joi.string().max(120).required(),
    }),
  };
}

export const TIMERS = defineStore<TimerRecord>({
  name: "timers",
  called: "a timer",
  counted: ["timer", "timers"],
  gone: { told: "Off the clock", passing: true },
  says: { label: "its name", from: "when it began", until: "when it ends", piece: "the piece", pour: "the pour", rescue: "what is to be put right" },
  since: 13,
  indexes: { byPiece: "piece" },
  schema: (joi) => joi.object({ id: recordIdSchema(joi).required(), rev: revSchema(joi).required(), ...timerFields(joi) }),
  check: ({ piece }, { has }, at) =>
    piece === undefined || has("pieces", piece) ? null : problem("unknown-id", [...at, "piece"].join("."), "this timer is of a piece that is not in the file"),
  // One of no piece stands by itself.
  owner: { store: "pieces", field: "piece" },
  meets: { whole: ["rescue"] },
  refers: { piece: "pieces", pour: "pours" },
  lists: [],
  migrations: [{ to: 14, does: "a timer may be of a pour; until then it is of none", up: (record) => record }],
});
