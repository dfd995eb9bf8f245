import type Joi from "joi";
import type { Piece } from "../../piece/piece";
import type { HowCopiesMeet } from "../../merge/field-walk";
import type { Parsed, Problem } from "../problem";
import type { RawParts, StepTranslator } from "../step-translation";

export type JoiRoot = typeof Joi;

/** What every record has. */
export interface StoredRecord {
  readonly id: string;
  /** Grows by one with every change. */
  readonly rev: number;
}

type Path = readonly (string | number)[];

/** What a record's own check may ask beyond its shape. */
export interface CheckTools {
  readonly readPiece: (value: unknown, at: Path) => Parsed<Piece>;
  /** Whether the catalogue has a class of product of that id. */
  readonly knowsProduct: (id: string) => boolean;
  /** Whether the same document has a record of that id. */
  readonly has: (store: string, id: string) => boolean;
}

export interface MigrationTools {
  /** Every store as it was before this migration. */
  readonly parts: RawParts;
  /** The steps of a plan of the first engine, by the ids they had then. */
  readonly stepsOf: StepTranslator;
}

/** One change of a store's records. Released ones are never edited. */
export interface RecordMigration {
  /** The data version it leads to. */
  readonly to: number;
  readonly does: string;
  /** Leaves a record it cannot read as it is: the schema names what is wrong with it. */
  readonly up: (record: Record<string, unknown>, tools: MigrationTools) => Record<string, unknown>;
}

/** All there is to know of one store: everything else that handles its records is derived from this. */
export interface StoreDefinition<R extends StoredRecord> {
  readonly name: string;
  /** What a person calls one of its records that has no name. */
  readonly called: string;
  /** What one of them, and several, are called. */
  readonly counted: readonly [string, string];
  /**
   * What is told when one is taken away; of what goes with others only there is nothing to tell. What is passing is told only where nothing is put in its
   * place, and can be had back for no longer than anything else.
   */
  readonly gone?: { readonly told: string; readonly passing?: true };
  /** What a person calls the fields of one, by dotted path (`*` for any entry of a list); every top-level field has a word. */
  readonly says: Readonly<Record<string, string>>;
  /** The type of its records; no value is ever here. */
  readonly record?: R;
  /** The data version it came with. */
  readonly since: number;
  /** Name of each index, and the field it is over. */
  readonly indexes: Readonly<Record<string, string>>;
  readonly schema: (joi: JoiRoot) => Joi.Schema;
  /** There is one record at most. */
  readonly single?: true;
  /** What the shape alone does not say; `at` is the record's path in its document. */
  readonly check?: (record: R, tools: CheckTools, at: Path) => Problem | null;
  /** The store and field of the record it belongs to: it is removed with it, and comes in with it. */
  readonly owner?: { readonly store: string; readonly field: keyof R & string };
  /** How two copies of a record meet, of two devices or of a file and the notebook. */
  readonly meets: HowCopiesMeet;
  /** What the one record says before anybody has said anything. */
  readonly usual?: R;
  /** Fields that name a record of another store, and which: renamed with it. */
  readonly refers?: Readonly<Partial<Record<keyof R & string, string>>>;
  /** Fields that are lists of independent entries: undoing takes out what was put in and leaves the rest. */
  readonly lists: readonly (keyof R & string)[];
  readonly migrations: readonly RecordMigration[];
}

/** Gives a definition the type of its records. */
export function defineStore<R extends StoredRecord>(definition: StoreDefinition<R>): StoreDefinition<R> {
  return definition;
}

/** An id of a record. */
export function recordIdSchema(joi: JoiRoot): Joi.StringSchema {
  return joi.string().pattern(/^[0-9a-z]{8,40}$/, "record id");
}

/** A record's count of changes. */
export function revSchema(joi: JoiRoot): Joi.NumberSchema {
  return joi.number().integer().min(1);
}
