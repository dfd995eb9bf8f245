import type { CompoundId } from "../../catalogue/ids";
import { LABEL_BOUNDS, POWDER_KINDS } from "../../casting/compound";
import type { PowderKind, PowderLabel } from "../../casting/compound";
import { RESIN_BOUNDS } from "../../casting/resin";
import type { ResinLabel } from "../../casting/resin";
import { instantSchema } from "../hours-schema";
import { defineStore, recordIdSchema, revSchema } from "./definition";
import type { JoiRoot } from "./definition";

interface OfAny {
  readonly id: CompoundId;
  readonly rev: number;
  readonly name: string;
  /** What a full bag or kit weighs, g. */
  readonly bagG?: number;
  /** What it cost, in the user's money. */
  readonly paid?: number;
  /** What was seen in it, and when, ISO 8601. */
  readonly left?: { readonly g: number; readonly at: string };
}

/** What sets by itself once it is mixed: a bag of powder, or a kit of two parts. */
export type CompoundRecord = OfAny & ({ readonly kind: PowderKind; readonly label: PowderLabel } | { readonly kind: "resin"; readonly resin: ResinLabel });
export type PowderRecord = Extract<CompoundRecord, { readonly kind: PowderKind }>;

/** Bags and kits of one notebook, at most. */
export const MOST_COMPOUNDS = 200;
export const COMPOUND_BOUNDS = { bagG: { least: 50, most: 100_000 }, paid: { least: 0, most: 1_000_000 }, leftG: { least: 0, most: 100_000 } } as const;

interface Bounds {
  readonly least: number;
  readonly most: number;
}

const within = (joi: JoiRoot, { least, most }: Bounds) => joi.number().min(least).max(most);

/** What a powder's label may say. */
export function powderLabelSchema(joi: JoiRoot) {
  return joi.object(Object.fromEntries(Object.entries(LABEL_BOUNDS).map(([field, bounds]) => [field, within(joi, bounds)])));
}

/** What a kit's label says. */
export function resinLabelSchema(joi: JoiRoot) {
  const { hardenerPer100, density, potMin, potG, potC } = RESIN_BOUNDS;
  return joi.object({
    hardenerPer100: within(joi, hardenerPer100).required(),
    by: joi.string().valid("weight", "volume").required(),
    resinGPerMl: within(joi, density).required(),
    hardenerGPerMl: within(joi, density).required(),
    potMin: within(joi, potMin).required(),
    potG: within(joi, potG).required(),
    potC: within(joi, potC).required(),
  });
}

/** What is said of a bag or a kit. */
export function compoundFields(joi: JoiRoot) {
  const { bagG, paid, leftG } = COMPOUND_BOUNDS;
  return {
    kind: joi
      .string()
      .valid(...POWDER_KINDS, "resin")
      .required(),
    name: joi.string().trim().min(1).max(80).required(),
    label: powderLabelSchema(joi).when("kind", { is: "resin", then: joi.forbidden(), otherwise: joi.required() }),
    resin: resinLabelSchema(joi).when("kind", { is: "resin", then: joi.required(), otherwise: joi.forbidden() }),
    bagG: within(joi, bagG),
    paid: within(joi, paid),
    left: joi.object({ g: within(joi, leftG).required(), at: instantSchema(joi).required() }),
  };
}

export const COMPOUNDS = defineStore<CompoundRecord>({
  name: "compounds",
  called: "a bag of powder",
  counted: ["bag or kit", "bags and kits"],
  gone: { told: "Taken away" },
  says: {
    kind: "its kind",
    name: "its name",
    label: "what the label says",
    resin: "what the kit says",
    bagG: "the full weight",
    paid: "what was paid",
    left: "what is left",
  },
  since: 14,
  indexes: {},
  schema: (joi) => joi.object({ id: recordIdSchema(joi).required(), rev: revSchema(joi).required(), ...compoundFields(joi) }),
  meets: { whole: ["left", "resin"] },
  lists: [],
  migrations: [],
});
