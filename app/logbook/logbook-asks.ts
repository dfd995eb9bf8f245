import type Joi from "joi";
import { MOST_CHANGES, stepChangeSchema } from "#core/formats/change-schema";
import { instantSchema } from "#core/formats/hours-schema";
import { MOST_OLDER } from "#core/formats/older-csv";
import type { OlderPiece } from "#core/formats/older-csv";
import { recordIdSchema } from "#core/formats/stores/definition";
import type { JoiRoot } from "#core/formats/stores/definition";
import { additionSchema, lookSchema, moneySchema, moveSchema, RECORD_LIMITS, toldFields } from "#core/formats/stores/records";
import { trialFields } from "#core/formats/stores/trials";
import type { RecordChange } from "#core/logbook/record/record-changes";
import type { Look } from "#core/logbook/record/record";
import { TRIAL_LIMITS } from "#core/logbook/record/trial";
import type { TrialSpot } from "#core/logbook/record/trial";
import type { Change } from "#core/coating/model/change";
import { followedField } from "~/piece/change-asks";
import type { Followed } from "~/store/plans";

/** The address of all that is asked of the logbook. */
export const LOGBOOK = "/logbook";

/** A trial as a page asks for it. */
export interface AskedTrial {
  readonly id: string;
  readonly name: string;
  readonly material?: string;
  readonly lies?: string;
  readonly begunOn: string;
  readonly spots: readonly TrialSpot[];
}

/** What the logbook may be asked. */
export type LogbookAsk =
  | { readonly intent: "write-down"; readonly piece: string; readonly id: string; readonly at: string }
  | { readonly intent: "tell"; readonly pieces: readonly { readonly id: string; readonly piece: OlderPiece }[]; readonly at: string }
  | { readonly intent: "change"; readonly id: string; readonly change: RecordChange }
  | { readonly intent: "remove"; readonly id: string; readonly name: string }
  | { readonly intent: "again"; readonly piece: string; readonly of: unknown; readonly followed: Followed | null; readonly edits: readonly Change[] }
  | { readonly intent: "begin-trial"; readonly trial: AskedTrial }
  | { readonly intent: "look-trial"; readonly id: string; readonly looks: readonly { readonly spot: string; readonly look: Look }[] }
  | { readonly intent: "remove-trial"; readonly id: string; readonly name: string };

/** What may be added to a record. */
function recordChangeSchema(joi: JoiRoot): Joi.Schema {
  const kind = (of: RecordChange["kind"]) => joi.string().valid(of).required();
  return joi
    .alternatives(
      joi.object({ kind: kind("add"), addition: additionSchema(joi).required() }),
      joi.object({ kind: kind("look"), look: lookSchema(joi).required() }),
      joi.object({ kind: kind("move"), move: moveSchema(joi).required() }),
      joi.object({ kind: kind("off"), of: joi.string().valid("additions", "looks", "moves").required(), id: recordIdSchema(joi).required() }),
      joi.object({ kind: kind("money"), money: moneySchema(joi).required(), seen: moneySchema(joi) }),
    )
    .match("one");
}

const id = (joi: JoiRoot) => recordIdSchema(joi).required();
const named = (joi: JoiRoot) => joi.string().max(RECORD_LIMITS.name).required();

export const LOGBOOK_FIELDS: { readonly [I in LogbookAsk["intent"]]: (joi: JoiRoot) => Readonly<Record<string, Joi.Schema>> } = {
  "write-down": (joi) => ({ piece: id(joi), id: id(joi), at: instantSchema(joi).required() }),
  tell: (joi) => ({
    pieces: joi
      .array()
      .items(joi.object({ id: id(joi), piece: joi.object({ ...toldFields(joi), who: joi.string().trim().min(1).max(RECORD_LIMITS.to) }).required() }))
      .min(1)
      .max(MOST_OLDER)
      .required(),
    at: instantSchema(joi).required(),
  }),
  change: (joi) => ({ id: id(joi), change: recordChangeSchema(joi).required() }),
  remove: (joi) => ({ id: id(joi), name: named(joi) }),
  // What the piece says is checked as a piece before it is kept.
  again: (joi) => ({
    piece: id(joi),
    of: joi.object().unknown().required(),
    followed: followedField(joi).allow(null),
    edits: joi.array().items(stepChangeSchema(joi)).max(MOST_CHANGES).required(),
  }),
  "begin-trial": (joi) => ({ trial: joi.object({ id: id(joi), ...trialFields(joi) }).required() }),
  "look-trial": (joi) => ({
    id: id(joi),
    looks: joi
      .array()
      .items(joi.object({ spot: id(joi), look: lookSchema(joi).required() }))
      .min(1)
      .max(TRIAL_LIMITS.spots)
      .required(),
  }),
  "remove-trial": (joi) => ({ id: id(joi), name: named(joi) }),
};
