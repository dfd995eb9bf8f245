/** A version of the browser's database, and the data version of the records in it. */
export interface ReleasedDatabase {
  readonly database: number;
  readonly data: number;
}

/**
 * Versions of the database, oldest first. What is here has been in somebody's browser: a line is never changed, only added. Two of one data version
 * differ in the stores of this browser alone.
 */
export const RELEASED_DATABASES: readonly ReleasedDatabase[] = [
  { database: 1, data: 1 },
  { database: 2, data: 2 },
  { database: 3, data: 3 },
  { database: 4, data: 4 },
  { database: 5, data: 4 },
  { database: 6, data: 5 },
  { database: 7, data: 6 },
  { database: 8, data: 7 },
  { database: 9, data: 8 },
  { database: 10, data: 9 },
  { database: 11, data: 10 },
  { database: 12, data: 11 },
  { database: 13, data: 12 },
  { database: 14, data: 13 },
  { database: 15, data: 14 },
  { database: 16, data: 15 },
  { database: 17, data: 15 },
  { database: 18, data: 16 },
];

/** A version of a notebook's file, the data version of the records in it, and what came with it. */
export interface ReleasedBundle {
  readonly bundle: number;
  readonly data: number;
  readonly brought: string;
}

/** Versions of a notebook's file, oldest first. What is here lies on somebody's disk: a line is never changed, only added. */
export const RELEASED_BUNDLES: readonly ReleasedBundle[] = [
  { bundle: 1, data: 3, brought: "pieces, plans, progress, rooms, hours, settings" },
  { bundle: 2, data: 4, brought: "progress records complete in themselves; steps named by what they are" },
  { bundle: 3, data: 5, brought: "whether single keys do things" },
  { bundle: 4, data: 6, brought: "the shelf, and what a coat took out of its jar" },
  { bundle: 5, data: 7, brought: "recipes; pieces belong to a set, and are put away" },
  { bundle: 6, data: 8, brought: "photographs" },
  { bundle: 7, data: 9, brought: "mixtures and drops" },
  { bundle: 8, data: 10, brought: "patterns, tools, and what is marked of a row" },
  { bundle: 9, data: 11, brought: "the calendar" },
  { bundle: 10, data: 12, brought: "what was seen at the table" },
  { bundle: 11, data: 13, brought: "timers, inspections, counts of a batch" },
  { bundle: 12, data: 14, brought: "moulds, powders, pours, and faults of bare bodies" },
  { bundle: 13, data: 15, brought: "records of finished pieces, and trials" },
  { bundle: 14, data: 15, brought: "on which device what was changed, so that two notebooks can be put together" },
  { bundle: 15, data: 16, brought: "films that were touched, each with the stage it was asked about" },
];

/** The version of the database as it is now. */
export const DATABASE_VERSION = RELEASED_DATABASES.at(-1)!.database;
/** The version of a file as it is written now. */
export const BUNDLE_VERSION = RELEASED_BUNDLES.at(-1)!.bundle;

/** The data version of a database's records; undefined where the version is not known here. */
export function dataOfDatabase(version: number): number | undefined {
  return RELEASED_DATABASES.find((one) => one.database === version)?.data;
}

/** The data version of a file's records; undefined where the version is not known here. */
export function dataOfBundle(version: number): number | undefined {
  return RELEASED_BUNDLES.find((one) => one.bundle === version)?.data;
}
