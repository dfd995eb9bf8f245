import { WEEKDAYS } from "../../schedule/free-hours";
import type { FreeHours } from "../../schedule/free-hours";
import { hoursSchema } from "../hours-schema";
import { byFields, byPlace } from "../../merge/entry-keys";
import { defineStore, revSchema } from "./definition";

/** There is one: the user's free hours. */
export interface HoursRecord {
  readonly id: "hours";
  readonly rev: number;
  readonly hours: FreeHours;
}

export const HOURS = defineStore<HoursRecord>({
  name: "hours",
  called: "the free hours",
  counted: ["table of free hours", "tables of free hours"],
  says: {
    hours: "the time zone",
    ...Object.fromEntries(WEEKDAYS.map((day, at) => [`hours.weekday.${at}`, day])),
    "hours.exceptions": "a day that is different",
  },
  since: 3,
  indexes: {},
  single: true,
  schema: (joi) => joi.object({ id: joi.string().valid("hours").required(), rev: revSchema(joi).required(), hours: hoursSchema(joi).required() }),
  meets: { lists: { "hours.weekday": byPlace, "hours.exceptions": byFields("date") } },
  lists: [],
  migrations: [],
});
