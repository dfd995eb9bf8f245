import { GOALS } from "../../schedule/together/schedule-all";
import type { Goal } from "../../schedule/together/schedule-all";
import { instantSchema } from "../hours-schema";
import { byFields } from "../../merge/entry-keys";
import { defineStore, recordIdSchema, revSchema } from "./definition";
import type { JoiRoot } from "./definition";

/** A task of a piece, and the sitting it is in: the instant that begins at, ISO 8601. */
export interface InSitting {
  readonly piece: string;
  readonly task: string;
  readonly at: string;
}

/** There is one: how the work of all pieces is laid into the free hours. */
export interface CalendarRecord {
  readonly id: "calendar";
  readonly rev: number;
  readonly goal: Goal;
  /** Pairs of hands. */
  readonly hands: number;
  /** Wet pieces that may stand at once, and that go into the oven at once; null: nobody has said. */
  readonly rackPlaces: number | null;
  readonly ovenPlaces: number | null;
  /** Dates the user has agreed on: they stand as far as they can. */
  readonly agreed: readonly InSitting[];
  /** What the user has put into a sitting. */
  readonly held: readonly InSitting[];
}

export const USUAL_CALENDAR: CalendarRecord = { id: "calendar", rev: 0, goal: "earliest", hands: 1, rackPlaces: null, ovenPlaces: null, agreed: [], held: [] };

/** Tasks of one notebook that are in sittings, at most. */
export const MOST_IN_SITTINGS = 6000;
/** Wet pieces on a rack, at most. */
export const MOST_PLACES = 1000;
/** Pairs of hands, at most. */
export const MOST_HANDS = 2;

/** Tasks in their sittings, each once. */
export function inSittingsSchema(joi: JoiRoot) {
  return joi
    .array()
    .items(joi.object({ piece: recordIdSchema(joi).required(), task: joi.string().min(1).max(160).required(), at: instantSchema(joi).required() }))
    .max(MOST_IN_SITTINGS)
    .unique((one: InSitting, other: InSitting) => one.piece === other.piece && one.task === other.task);
}

/** What may be chosen of it. */
export function calendarFields(joi: JoiRoot) {
  const places = () => joi.number().integer().min(1).max(MOST_PLACES).allow(null);
  return { goal: joi.string().valid(...GOALS), hands: joi.number().integer().min(1).max(MOST_HANDS), rackPlaces: places(), ovenPlaces: places() };
}

export const CALENDAR = defineStore<CalendarRecord>({
  name: "calendar",
  called: "the calendar",
  counted: ["calendar", "calendars"],
  says: {
    goal: "what comes first",
    hands: "pairs of hands",
    rackPlaces: "places on the rack",
    ovenPlaces: "places in the oven",
    agreed: "a date that was agreed",
    held: "a task put into a sitting",
  },
  since: 11,
  indexes: {},
  single: true,
  usual: USUAL_CALENDAR,
  schema: (joi) =>
    joi.object({
      id: joi.string().valid("calendar").required(),
      rev: revSchema(joi).required(),
      ...Object.fromEntries(Object.entries(calendarFields(joi)).map(([key, field]) => [key, field.required()])),
      agreed: inSittingsSchema(joi).required(),
      held: inSittingsSchema(joi).required(),
    }),
  meets: { lists: { agreed: byFields("piece", "task"), held: byFields("piece", "task") } },
  lists: [],
  migrations: [],
});
