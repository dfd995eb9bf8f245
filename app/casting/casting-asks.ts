import type Joi from "joi";
import { CAST_STAGES } from "#core/casting/stages";
import type { PourChange } from "#core/casting/pour-changes";
import type { HandOver } from "#core/casting/body-piece";
import type { Fault } from "#core/casting/repair/fault";
import { foundFaultSchema } from "#core/formats/fault-schema";
import { instantSchema } from "#core/formats/hours-schema";
import { compoundFields } from "#core/formats/stores/compounds";
import type { CompoundRecord } from "#core/formats/stores/compounds";
import { recordIdSchema } from "#core/formats/stores/definition";
import type { JoiRoot } from "#core/formats/stores/definition";
import { mouldFields } from "#core/formats/stores/moulds";
import type { MouldRecord } from "#core/formats/stores/moulds";
import { faultsSchema, setNameSchema } from "#core/formats/stores/pieces";
import { POUR_BOUNDS, POURS, runSchema } from "#core/formats/stores/pours";
import type { PourRecord } from "#core/formats/stores/pours";
import type { Unkept } from "~/store/casting";

/** The address of all that is asked of casting. */
export const CASTING = "/desk/casting";

export type KeptMould = Unkept<MouldRecord>;
export type KeptCompound = Unkept<CompoundRecord>;
export type KeptPour = Unkept<PourRecord>;

/** What casting may be asked. */
export type CastingAsk =
  | { readonly intent: "keep-mould"; readonly mould: KeptMould; readonly seen?: KeptMould }
  | { readonly intent: "remove-mould"; readonly id: string; readonly name: string }
  | { readonly intent: "keep-compound"; readonly compound: KeptCompound; readonly seen?: KeptCompound }
  | { readonly intent: "remove-compound"; readonly id: string; readonly name: string }
  | { readonly intent: "begin"; readonly pour: KeptPour }
  | { readonly intent: "pour"; readonly id: string; readonly change: PourChange }
  | { readonly intent: "remove-pour"; readonly id: string }
  | { readonly intent: "hand-over"; readonly id: string; readonly piece: string; readonly bodies: number; readonly of: HandOver; readonly set?: string }
  | { readonly intent: "piece-of-mould"; readonly mould: string; readonly piece: string }
  | { readonly intent: "faults"; readonly piece: string; readonly faults: readonly Fault[]; readonly seen?: readonly Fault[] };

const place = (joi: JoiRoot) => joi.number().integer().min(0).max(200).required();
const grams = (joi: JoiRoot) => joi.number().greater(0).max(POUR_BOUNDS.grams.most).required();

/** What may happen to a pour. */
function pourChangeSchema(joi: JoiRoot): Joi.Schema {
  const kind = (of: PourChange["kind"]) => joi.string().valid(of).required();
  const { celsius } = POUR_BOUNDS;
  return joi
    .alternatives(
      joi.object({ kind: kind("run"), bowl: place(joi), run: runSchema(joi).required() }),
      joi.object({
        kind: kind("stage"),
        bowl: place(joi),
        stage: joi
          .string()
          .valid(...CAST_STAGES)
          .required(),
        at: instantSchema(joi).required(),
      }),
      joi.object({ kind: kind("weigh"), bodies: place(joi), at: instantSchema(joi).required(), g: grams(joi) }),
      joi.object({ kind: kind("weigh-off"), bodies: place(joi), at: instantSchema(joi).required() }),
      joi.object({ kind: kind("on-scale"), bodies: place(joi), count: joi.number().integer().min(1).max(1000).required() }),
      joi.object({ kind: kind("fault"), bodies: place(joi), fault: foundFaultSchema(joi).required() }),
      joi.object({ kind: kind("fault-off"), bodies: place(joi), id: recordIdSchema(joi).required() }),
      joi.object({ kind: kind("water"), waterC: joi.number().min(celsius.least).max(celsius.most).required() }),
    )
    .match("one");
}

const handedSchema = (joi: JoiRoot) =>
  joi
    .object({
      name: joi.string().trim().min(1).max(120).required(),
      count: joi.number().integer().min(1).max(1000).required(),
      uses: joi.array().items(joi.string().max(80)).min(1).max(12).unique().required(),
      faulty: joi.boolean().required(),
      soapy: joi.boolean().required(),
      matured: joi.boolean().required(),
    })
    .required();

/** A pour as a page asks for it: the record without its count of changes. */
function pourSchema(joi: JoiRoot): Joi.Schema {
  return (POURS.schema(joi) as Joi.ObjectSchema).fork("rev", (rev) => rev.forbidden());
}

const mouldSchema = (joi: JoiRoot) => joi.object({ id: recordIdSchema(joi).required(), ...mouldFields(joi) });
const compoundSchema = (joi: JoiRoot) => joi.object({ id: recordIdSchema(joi).required(), ...compoundFields(joi) });

export const CASTING_FIELDS: { readonly [I in CastingAsk["intent"]]: (joi: JoiRoot) => Readonly<Record<string, Joi.Schema>> } = {
  "keep-mould": (joi) => ({ mould: mouldSchema(joi).required(), seen: mouldSchema(joi) }),
  "remove-mould": (joi) => ({ id: recordIdSchema(joi).required(), name: joi.string().max(80).required() }),
  "keep-compound": (joi) => ({ compound: compoundSchema(joi).required(), seen: compoundSchema(joi) }),
  "remove-compound": (joi) => ({ id: recordIdSchema(joi).required(), name: joi.string().max(80).required() }),
  begin: (joi) => ({ pour: pourSchema(joi).required() }),
  pour: (joi) => ({ id: recordIdSchema(joi).required(), change: pourChangeSchema(joi).required() }),
  "remove-pour": (joi) => ({ id: recordIdSchema(joi).required() }),
  "hand-over": (joi) => ({
    id: recordIdSchema(joi).required(),
    piece: recordIdSchema(joi).required(),
    bodies: place(joi),
    of: handedSchema(joi),
    set: setNameSchema(joi),
  }),
  "piece-of-mould": (joi) => ({ mould: recordIdSchema(joi).required(), piece: recordIdSchema(joi).required() }),
  faults: (joi) => ({ piece: recordIdSchema(joi).required(), faults: faultsSchema(joi).required(), seen: faultsSchema(joi) }),
};
