import { DROPS_BOUNDS, STANDARD_DROPS_PER_ML } from "../../film/drops";
import { MOST_MARGIN } from "../../logbook/record/cost";
import type { LengthUnit } from "../../units/length";
import { defineStore, revSchema } from "./definition";
import type { JoiRoot } from "./definition";

/** There is one: how the user wants the app to be. */
export interface SettingsRecord {
  readonly id: "settings";
  readonly rev: number;
  readonly units: LengthUnit;
  readonly theme: "system" | "light" | "dim";
  readonly sounds: boolean;
  /** Keys without Ctrl do things; arrows, Enter and Tab always do. */
  readonly singleKeys: boolean;
  /** The space bar notes what the Bench shows as done, wherever the page is focused; else only on the card that has the focus. */
  readonly spaceNotes: boolean;
  /** How the user signs; "" when they have not said. */
  readonly signature: string;
  /** Drops of water to 1 mL by the user's own dropper. */
  readonly dropsPerMl: number;
  /** Waits and work are reckoned as the user's own table has taught them. */
  readonly ownTimes: boolean;
  /** The user has been told that what the table teaches of drying was begun anew. */
  readonly toldLearntAnew: boolean;
  /** The device says when a wait has ended, where it may. */
  readonly notify: boolean;
  /** The screen stays on at the Bench, where it can. */
  readonly awake: boolean;
  /** An hour of the user's hands, in their money; null: never said. */
  readonly perHour: number | null;
  /** Share of brushes, tools and heat of one piece, in their money. */
  readonly toolsEach: number | null;
  /** Of a price, what is to be left over beyond cost, 0–0.95. */
  readonly margin: number | null;
  /** Where a finder may tell of a piece; "" when it was never said. */
  readonly tellAt: string;
}

export const USUAL_SETTINGS: SettingsRecord = {
  id: "settings",
  rev: 0,
  units: "mm",
  theme: "system",
  sounds: false,
  singleKeys: true,
  spaceNotes: false,
  signature: "",
  dropsPerMl: STANDARD_DROPS_PER_ML,
  ownTimes: true,
  toldLearntAnew: false,
  notify: false,
  awake: false,
  perHour: null,
  toolsEach: null,
  margin: null,
  tellAt: "",
};

/** More than anybody asks for an hour. */
const MOST_MONEY = 100_000;

/** What may be chosen. */
export function settingsFields(joi: JoiRoot) {
  return {
    units: joi.string().valid("mm", "in"),
    theme: joi.string().valid("system", "light", "dim"),
    sounds: joi.boolean(),
    singleKeys: joi.boolean(),
    spaceNotes: joi.boolean(),
    signature: joi.string().allow("").max(80),
    dropsPerMl: joi.number().min(DROPS_BOUNDS.least).max(DROPS_BOUNDS.most),
    ownTimes: joi.boolean(),
    toldLearntAnew: joi.boolean(),
    notify: joi.boolean(),
    awake: joi.boolean(),
    perHour: joi.number().min(0).max(MOST_MONEY).allow(null),
    toolsEach: joi.number().min(0).max(MOST_MONEY).allow(null),
    margin: joi.number().min(0).max(MOST_MARGIN).allow(null),
    tellAt: joi.string().allow("").max(80),
  };
}

export const SETTINGS = defineStore<SettingsRecord>({
  name: "settings",
  called: "the settings",
  counted: ["set of settings", "sets of settings"],
  says: {
    units: "lengths in",
    theme: "pages light or dim",
    sounds: "the two notes",
    singleKeys: "single keys",
    spaceNotes: "the space bar",
    signature: "how you sign",
    dropsPerMl: "your dropper",
    ownTimes: "your own times",
    toldLearntAnew: "that drying is learnt anew",
    notify: "notices",
    awake: "the screen staying on",
    perHour: "an hour of your hands",
    toolsEach: "the share of tools",
    margin: "the margin",
    tellAt: "where finders tell",
  },
  since: 3,
  indexes: {},
  single: true,
  schema: (joi) =>
    joi.object({
      id: joi.string().valid("settings").required(),
      rev: revSchema(joi).required(),
      ...Object.fromEntries(Object.entries(settingsFields(joi)).map(([key, field]) => [key, field.required()])),
    }),
  meets: {},
  usual: USUAL_SETTINGS,
  lists: [],
  migrations: [
    { to: 5, does: "keys without Ctrl may be switched off; until then they are on, as they were", up: (record) => ({ ...record, singleKeys: true }) },
    {
      to: 9,
      does: "drops may be counted; until then they are those of the standard dropper",
      up: (record) => ({ ...record, dropsPerMl: STANDARD_DROPS_PER_ML }),
    },
    { to: 12, does: "times may be learnt from the user's own table; they are, unless the user says no", up: (record) => ({ ...record, ownTimes: true }) },
    {
      to: 13,
      does: "the device may tell of waits that have ended, and stay awake; it does neither until the user says so",
      up: (record) => ({ ...record, notify: false, awake: false }),
    },
    {
      to: 15,
      does: "what an hour, tools and a margin come to may be said, and where finders may tell; until then nothing is",
      up: (record) => ({ ...record, perHour: null, toolsEach: null, margin: null, tellAt: "" }),
    },
    {
      to: 16,
      does: "drying is learnt from what was touched alone, and where it had been learnt otherwise that is told once; the space bar notes nothing by itself",
      up: (record) => ({ ...record, toldLearntAnew: false, spaceNotes: false }),
    },
  ],
});
