import type { PourId } from "../../catalogue/ids";
import { PARTS } from "../../catalogue/vocabulary";
import { POWDER_KINDS } from "../../casting/compound";
import type { Pour } from "../../casting/pour";
import { CAST_STAGES, MIX_C, PREPARATION_IDS } from "../../casting/stages";
import { foundFaultSchema } from "../fault-schema";
import { formSchema } from "../form-schema";
import { instantSchema } from "../hours-schema";
import { problem } from "../problem";
import { powderLabelSchema } from "./compounds";
import { byFields, byId, byPlace } from "../../merge/entry-keys";
import { defineStore, recordIdSchema, revSchema } from "./definition";
import type { JoiRoot } from "./definition";
import { MOULD_BOUNDS, trapsSchema } from "./moulds";

/** A pour the user made, or is making. */
export interface PourRecord extends Pour {
  readonly id: PourId;
  readonly rev: number;
}

export const POUR_LIMITS = { moulds: 60, bowls: 60, weighings: 200, faults: 40, pieces: 60, pours: 5000 } as const;
export const POUR_BOUNDS = {
  grams: { least: 0, most: 100_000 },
  reservePercent: { least: 0, most: 50 },
  /** Room and water, °C: what nobody pours in is told of, not refused. */
  celsius: { least: MIX_C.least - 25, most: MIX_C.most + 20 },
} as const;

const grams = (joi: JoiRoot) => joi.number().min(POUR_BOUNDS.grams.least).max(POUR_BOUNDS.grams.most);
const count = (joi: JoiRoot) => joi.number().integer().min(1).max(MOULD_BOUNDS.count.most);
const place = (joi: JoiRoot) => joi.number().integer().min(0).max(POUR_LIMITS.moulds);

/** Moulds that are filled. */
export function pouredMouldsSchema(joi: JoiRoot) {
  return joi
    .array()
    .items(
      joi.object({
        mould: recordIdSchema(joi).required(),
        name: joi.string().trim().min(1).max(80).required(),
        form: formSchema(joi).required(),
        part: joi.string().valid("body", ...PARTS),
        stiff: joi.boolean().valid(true),
        traps: trapsSchema(joi),
        count: count(joi).required(),
        ml: joi.number().greater(0).max(POUR_BOUNDS.grams.most).required(),
      }),
    )
    .min(1)
    .max(POUR_LIMITS.moulds)
    .required();
}

/** One bowl at the scale. */
export function runSchema(joi: JoiRoot) {
  return joi.object({ tared: joi.boolean().required(), waterG: grams(joi), powderG: grams(joi), asItIs: joi.boolean().valid(true) });
}

function bowlsSchema(joi: JoiRoot) {
  const fill = joi.object({ mould: place(joi).required(), count: count(joi).required() });
  return joi
    .array()
    .items(
      joi.object({
        fills: joi.array().items(fill).min(1).max(POUR_LIMITS.moulds).required(),
        beside: joi.boolean().valid(true),
        waterG: grams(joi).required(),
        powderG: grams(joi).required(),
        run: runSchema(joi).required(),
        stages: joi.object(Object.fromEntries(CAST_STAGES.map((stage) => [stage, instantSchema(joi)]))).required(),
      }),
    )
    .min(1)
    .max(POUR_LIMITS.bowls)
    .required();
}

function bodiesSchema(joi: JoiRoot) {
  const weighing = joi.object({ at: instantSchema(joi).required(), g: grams(joi).greater(0).required() });
  return joi
    .array()
    .items(
      joi.object({
        mould: place(joi).required(),
        count: joi.number().integer().min(1).max(1000).required(),
        outAt: instantSchema(joi).required(),
        onScale: joi.number().integer().min(1).max(1000).required(),
        weighings: joi.array().items(weighing).max(POUR_LIMITS.weighings).unique("at").required(),
        faults: joi.array().items(foundFaultSchema(joi)).max(POUR_LIMITS.faults).unique("id").required(),
        pieces: joi
          .array()
          .items(joi.object({ piece: recordIdSchema(joi).required(), count: joi.number().integer().min(1).max(1000).required() }))
          .max(POUR_LIMITS.pieces)
          .required(),
      }),
    )
    .max(POUR_LIMITS.moulds * 2)
    .required();
}

/** What is said of a pour as it is begun. */
export function pourFields(joi: JoiRoot) {
  const { celsius, reservePercent } = POUR_BOUNDS;
  return {
    at: instantSchema(joi).required(),
    powder: joi
      .object({
        kind: joi
          .string()
          .valid(...POWDER_KINDS)
          .required(),
        name: joi.string().trim().min(1).max(80).required(),
        label: powderLabelSchema(joi).required(),
        compound: recordIdSchema(joi),
        paidPerG: joi.number().min(0).max(1_000_000),
      })
      .required(),
    reservePercent: joi.number().min(reservePercent.least).max(reservePercent.most).required(),
    bowlG: grams(joi).greater(0),
    preparation: joi
      .string()
      .valid(...PREPARATION_IDS)
      .required(),
    conditions: joi
      .object({ roomC: joi.number().min(celsius.least).max(celsius.most).required(), waterC: joi.number().min(celsius.least).max(celsius.most) })
      .required(),
    moulds: pouredMouldsSchema(joi),
  };
}

export const POURS = defineStore<PourRecord>({
  name: "pours",
  called: "a pour",
  counted: ["pour", "pours"],
  gone: { told: "Let go" },
  says: {
    at: "when",
    powder: "the powder",
    reservePercent: "the reserve",
    bowlG: "the bowl",
    preparation: "how the mould was prepared",
    conditions: "the room and the water",
    moulds: "a mould",
    bowls: "a bowl",
    bodies: "the bodies",
    "bodies.*.weighings": "a weighing",
    "bodies.*.faults": "a fault of the bodies",
    "bodies.*.pieces": "the pieces they became",
  },
  since: 14,
  indexes: {},
  schema: (joi) =>
    joi.object({ id: recordIdSchema(joi).required(), rev: revSchema(joi).required(), ...pourFields(joi), bowls: bowlsSchema(joi), bodies: bodiesSchema(joi) }),
  check: ({ moulds, bowls, bodies }, _tools, at) => {
    const unknown = (mould: number) => mould >= moulds.length;
    const bowl = bowls.findIndex(({ fills }) => fills.some(({ mould }) => unknown(mould)));
    if (bowl >= 0) return problem("unknown-id", [...at, "bowls", bowl].join("."), "this bowl fills a mould that is not among those of the pour");
    const body = bodies.findIndex(({ mould }) => unknown(mould));
    if (body >= 0) return problem("unknown-id", [...at, "bodies", body].join("."), "these bodies came out of a mould that is not among those of the pour");
    const over = bodies.findIndex(({ count: had, pieces }) => pieces.reduce((sum, one) => sum + one.count, 0) > had);
    if (over >= 0) return problem("bad-value", [...at, "bodies", over, "pieces"].join("."), "more bodies went to pieces than there were");
    return null;
  },
  meets: {
    lists: {
      moulds: byPlace,
      bowls: byPlace,
      bodies: byFields("mould", "outAt"),
      "bodies.*.weighings": byFields("at"),
      "bodies.*.faults": byId,
      "bodies.*.pieces": byFields("piece"),
    },
    whole: ["bowls.*.run"],
  },
  lists: [],
  migrations: [],
});
