import type { Trial } from "../../logbook/record/trial";
import { TRIAL_LIMITS } from "../../logbook/record/trial";
import { daySchema } from "../hours-schema";
import { byId } from "../../merge/entry-keys";
import { defineStore, recordIdSchema, revSchema } from "./definition";
import type { JoiRoot } from "./definition";
import { lookSchema, RECORD_LIMITS } from "./records";

/** A trial the user keeps. */
export interface TrialRecord extends Trial {
  readonly rev: number;
}

/** Trials of one notebook, at most. */
export const MOST_TRIALS = 500;

/** What is said of a trial. */
export function trialFields(joi: JoiRoot) {
  return {
    name: joi.string().trim().min(1).max(RECORD_LIMITS.name).required(),
    material: joi.string().max(80),
    lies: joi.string().trim().min(1).max(RECORD_LIMITS.to),
    begunOn: daySchema(joi).required(),
    spots: joi
      .array()
      .items(
        joi.object({
          id: recordIdSchema(joi).required(),
          what: joi.string().trim().min(1).max(RECORD_LIMITS.name).required(),
          jar: joi.string().max(80),
          bare: joi.boolean().valid(true),
          looks: joi.array().items(lookSchema(joi)).max(TRIAL_LIMITS.looks).required(),
        }),
      )
      .min(2)
      .max(TRIAL_LIMITS.spots)
      .unique("id")
      .required(),
  };
}

export const TRIALS = defineStore<TrialRecord>({
  name: "trials",
  called: "a trial",
  counted: ["trial", "trials"],
  gone: { told: "Let go" },
  says: {
    name: "its name",
    material: "the material",
    lies: "where it lies",
    begunOn: "the day it was begun",
    spots: "a field",
    "spots.*.looks": "a look at a field",
  },
  since: 15,
  indexes: {},
  schema: (joi) => joi.object({ id: recordIdSchema(joi).required(), rev: revSchema(joi).required(), ...trialFields(joi) }),
  meets: { lists: { spots: byId, "spots.*.looks": byId } },
  lists: [],
  migrations: [],
});
