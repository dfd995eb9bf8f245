import type { StoreDefinition, StoredRecord } from "./definition";
import { CALENDAR } from "./calendar";
import { COMPOUNDS } from "./compounds";
import { HOURS } from "./hours";
import { INSPECTIONS } from "./inspections";
import { PHOTOS } from "./photos";
import { PIECES } from "./pieces";
import { PLANS } from "./plans";
import { PROGRESS } from "./progress";
import { RECIPES } from "./recipes";
import { MOULDS } from "./moulds";
import { PATTERNS } from "./patterns";
import { POURS } from "./pours";
import { RECORDS } from "./records";
import { ROOMS } from "./rooms";
import { SETTINGS } from "./settings";
import { SHELF } from "./shelf";
import { TIMERS } from "./timers";
import { TOOLS_STORE } from "./tools";
import { TRIALS } from "./trials";

/** Every store, in the order of a file: owners before what belongs to them. */
export const STORES = {
  pieces: PIECES,
  plans: PLANS,
  progress: PROGRESS,
  inspections: INSPECTIONS,
  photos: PHOTOS,
  records: RECORDS,
  trials: TRIALS,
  shelf: SHELF,
  recipes: RECIPES,
  tools: TOOLS_STORE,
  patterns: PATTERNS,
  moulds: MOULDS,
  compounds: COMPOUNDS,
  pours: POURS,
  rooms: ROOMS,
  hours: HOURS,
  calendar: CALENDAR,
  timers: TIMERS,
  settings: SETTINGS,
} as const;

export type StoreName = keyof typeof STORES;

/** The record of a store. */
export type RecordOf<N extends StoreName> = NonNullable<(typeof STORES)[N]["record"]>;

export const STORE_NAMES = Object.keys(STORES) as readonly StoreName[];

/** Definitions where their records are only handled, not read. */
export const DEFINITIONS = Object.values(STORES) as unknown as readonly StoreDefinition<StoredRecord & Record<string, unknown>>[];

/** The data version that records of these stores are of: that of the newest store or migration among them. */
export function dataVersionOf(definitions: typeof DEFINITIONS): number {
  return Math.max(...definitions.flatMap((one) => [one.since, ...one.migrations.map((migration) => migration.to)]));
}

/** The data version of the records as they are now. */
export const DATA_VERSION = dataVersionOf(DEFINITIONS);
