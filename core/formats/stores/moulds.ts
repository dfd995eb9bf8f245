import type { MouldId } from "../../catalogue/ids";
import { PARTS } from "../../catalogue/vocabulary";
import { TRAP_KINDS } from "../../casting/mould";
import type { Mould } from "../../casting/mould";
import { formSchema } from "../form-schema";
import { byValue } from "../../merge/entry-keys";
import { defineStore, recordIdSchema, revSchema } from "./definition";
import type { JoiRoot } from "./definition";

/** A mould the user owns. How often it was used, and where its bodies have faults, follows from the pours. */
export interface MouldRecord extends Mould {
  readonly id: MouldId;
  readonly rev: number;
}

/** Moulds of one notebook, at most. */
export const MOST_MOULDS = 300;
export const MOULD_BOUNDS = { waterG: { least: 1, most: 50_000 }, count: { least: 1, most: 200 } } as const;

/** Places in which air stays. */
export function trapsSchema(joi: JoiRoot) {
  return joi
    .array()
    .items(joi.string().valid(...TRAP_KINDS))
    .max(TRAP_KINDS.length)
    .unique();
}

/** What is said of a mould. */
export function mouldFields(joi: JoiRoot) {
  const { waterG, count } = MOULD_BOUNDS;
  return {
    name: joi.string().trim().min(1).max(80).required(),
    form: formSchema(joi).required(),
    part: joi.string().valid("body", ...PARTS),
    waterG: joi.number().min(waterG.least).max(waterG.most),
    count: joi.number().integer().min(count.least).max(count.most).required(),
    stiff: joi.boolean().valid(true),
    traps: trapsSchema(joi),
  };
}

export const MOULDS = defineStore<MouldRecord>({
  name: "moulds",
  called: "a mould",
  counted: ["mould", "moulds"],
  gone: { told: "Taken away" },
  says: {
    name: "its name",
    form: "its shape",
    part: "what it makes",
    waterG: "what it holds",
    count: "how many",
    stiff: "whether it is stiff",
    traps: "where air stays",
  },
  since: 14,
  indexes: {},
  schema: (joi) => joi.object({ id: recordIdSchema(joi).required(), rev: revSchema(joi).required(), ...mouldFields(joi) }),
  meets: { lists: { traps: byValue } },
  lists: [],
  migrations: [],
});
