import { CATALOGUE } from "#core/catalogue/catalogue";
import { fingerprint } from "#core/coating/model/fingerprint";
import { fileOf, writeBundle } from "#core/formats/write-bundle";
import type { Bundle, BundleFile, BundleParts } from "#core/formats/write-bundle";
import type { Pictures } from "#core/formats/notebook-file";
import { withPatternLayers } from "#core/marking/solve-piece";
import { DEFINITIONS, STORE_NAMES } from "#core/formats/stores/stores";
import type { RecordOf, StoreName } from "#core/formats/stores/stores";
import { runCommand, storesWith } from "./command";
import type { Recorder } from "./command";
import type { Database } from "./database";

/** Of the whole database, not of one record. */
const EVERYTHING = "everything";

/** Everything kept, as it stands; some of it may fail its own schema. */
export async function everything(db: Database): Promise<Readonly<Record<StoreName, readonly unknown[]>>> {
  const transaction = db.transaction([...STORE_NAMES]);
  const parts = await Promise.all(STORE_NAMES.map(async (name) => [name, await transaction.objectStore(name).getAll()] as const));
  await transaction.done;
  return Object.fromEntries(parts) as unknown as Readonly<Record<StoreName, readonly unknown[]>>;
}

/** Everything kept, as one bundle. */
export async function exportAll(db: Database): Promise<Bundle> {
  return writeBundle((await everything(db)) as Partial<BundleParts>);
}

/** What became of the records that come in by themselves. */
export interface Imported {
  readonly added: number;
  /** Already here, word for word. */
  readonly same: number;
  /** Here under the same id but different: added as a second piece, so that neither is lost. */
  readonly beside: number;
}

/** How far an import has come, and whether it is to stop. */
export interface ImportProgress {
  readonly told: (done: number, of: number) => void;
  readonly signal?: AbortSignal;
}

type AnyRecord = RecordOf<StoreName> & Record<string, unknown>;
type Definition = (typeof DEFINITIONS)[number];

type Belongings = (store: string, id: string) => readonly { readonly definition: Definition; readonly record: AnyRecord }[];

/** Records of a file that belong to one of it, owners first. */
function belongingsIn(bundle: Bundle): Belongings {
  const byOwner = new Map<string, { readonly definition: Definition; readonly record: AnyRecord }[]>();
  for (const definition of DEFINITIONS.filter((one) => one.owner))
    for (const record of bundle[definition.name as StoreName] as unknown as readonly AnyRecord[]) {
      const key = `${definition.owner!.store}/${String(record[definition.owner!.field])}`;
      byOwner.set(key, [...(byOwner.get(key) ?? []), { definition, record }]);
    }
  const of: Belongings = (store, id) => (byOwner.get(`${store}/${id}`) ?? []).flatMap((one) => [one, ...of(one.definition.name, one.record.id)]);
  return of;
}

/** A record as a file has it, whatever its fields stand in order, and however often it was changed. */
function canonical(value: unknown): string {
  return JSON.stringify(value, (key, inside: unknown) =>
    key === "rev"
      ? 0
      : typeof inside === "object" && inside !== null && !Array.isArray(inside)
        ? Object.fromEntries(Object.entries(inside).sort(([a], [b]) => (a < b ? -1 : 1)))
        : inside,
  );
}

/** A record without what travels apart from it. */
function without(record: object | undefined, { apart }: Definition): object | undefined {
  return record && apart !== undefined ? { ...record, [apart]: null } : record;
}

/** Brings the records of one bundle into one database. */
class Importing {
  private readonly of: Belongings;
  private readonly here = new Map<string, ReadonlySet<string>>();

  constructor(
    private readonly recorder: Recorder,
    bundle: Bundle,
  ) {
    this.of = belongingsIn(bundle);
  }

  async known(name: StoreName, id: string): Promise<boolean> {
    const ids = this.here.get(name) ?? (await this.recorder.ids(name));
    this.here.set(name, ids);
    return ids.has(id);
  }

  async putMissing(store: string, id: string): Promise<void> {
    for (const { definition, record } of this.of(store, id)) {
      const name = definition.name as StoreName;
      if (!(await this.known(name, record.id))) await this.recorder.put(name, record as never);
    }
  }

  async putNew(name: StoreName, record: AnyRecord): Promise<void> {
    await this.recorder.put(name, record as never);
    await this.putMissing(name, record.id);
  }

  /**
   * A record of the file whose namesake here has changed: it comes in under an id of its own, with all that belongs to it. The id follows from
   * what the record says, so that the same file brought in again adds nothing.
   */
  async putBeside(definition: Definition, record: AnyRecord): Promise<boolean> {
    const all = [{ definition, record }, ...this.of(definition.name, record.id)];
    const mark = fingerprint(canonical(all.map((one) => one.record)));
    const renamed = new Map(all.map((one) => [`${one.definition.name}/${one.record.id}`, fingerprint(`${mark}/${one.definition.name}/${one.record.id}`)]));
    if (await this.recorder.get(definition.name as StoreName, renamed.get(`${definition.name}/${record.id}`)!)) return false;
    const copied = (of: Definition, one: AnyRecord): AnyRecord => {
      const id = renamed.get(`${of.name}/${one.id}`)!;
      const refers = Object.entries(of.refers ?? {}).flatMap(([field, store]) => {
        const value = one[field];
        return typeof value === "string" ? [[field, renamed.get(`${store}/${value}`) ?? null]] : [];
      });
      return { ...(of.asCopy ? of.asCopy(one as never, id) : { ...one, id }), ...Object.fromEntries(refers) } as AnyRecord;
    };
    for (const one of all) await this.recorder.put(one.definition.name as StoreName, copied(one.definition, one.record) as never);
    return true;
  }
}

/** How a bundle comes in. */
export interface ImportHow {
  /** What the user did, for "undo …". */
  readonly label?: string;
  readonly progress?: ImportProgress;
  /** Pictures of its photographs. */
  readonly pictures?: Pictures;
}

/** Told to stop: nothing was written. */
export class ImportStopped extends Error {
  override readonly name = "ImportStopped";

  constructor() {
    super("stopped before anything was written");
  }
}

/**
 * Adds a checked bundle to what is kept, in one transaction: all of it or nothing. What each store does with a record that is here already
 * stands in its definition; nothing is overwritten, and the same file brought in again adds nothing.
 *
 * @returns what became of the records that come in by themselves
 * @throws ImportStopped; whatever the browser throws when it cannot write (a full disk); the database is then as it was
 */
export function importBundle(db: Database, read: Bundle, { label = "bringing the file in", progress, pictures }: ImportHow = {}): Promise<Imported> {
  // Rows are planned with by the layers they come to, whoever wrote the file.
  const bundle: Bundle = { ...read, pieces: read.pieces.map((record) => ({ ...record, piece: withPatternLayers(record.piece, CATALOGUE) })) };
  return runCommand(db, label, EVERYTHING, STORE_NAMES, async (recorder) => {
    for (const [id, bytes] of pictures ?? []) await recorder.putPicture({ id, bytes: bytes as Uint8Array<ArrayBuffer> });
    const counts = { added: 0, same: 0, beside: 0 };
    const importing = new Importing(recorder, bundle);
    const own = DEFINITIONS.filter((one) => one.onImport !== "with-owner").map((definition) => ({
      definition,
      name: definition.name as StoreName,
      records: bundle[definition.name as StoreName] as unknown as readonly AnyRecord[],
    }));
    const of = own.reduce((sum, one) => sum + one.records.length, 0);
    let done = 0;
    for (const { definition, name, records } of own)
      for (const record of records) {
        if (progress?.signal?.aborted) throw new ImportStopped();
        done += 1;
        progress?.told(done, of);
        if (!(await importing.known(name, record.id))) {
          if (definition.onImport === "beside") counts.added += 1;
          await importing.putNew(name, record);
          continue;
        }
        if (definition.onImport === "keep") continue;
        const here = await recorder.get(name, record.id);
        const differs = canonical(without(here, definition)) !== canonical(without(record, definition));
        const isCopied = differs && (await importing.putBeside(definition, record));
        counts[isCopied ? "beside" : "same"] += 1;
        if (!differs) await importing.putMissing(name, record.id);
      }
    return counts;
  });
}

/**
 * Takes a piece that cannot be shown out of the notebook, with all that belongs to it.
 *
 * @returns its records as they stand, for a file; null when it is not here
 */
export function setAside(db: Database, id: string): Promise<BundleFile | null> {
  return runCommand(db, "setting a piece aside", `pieces/${id}`, storesWith("pieces"), async (recorder) => {
    const piece = await recorder.get("pieces", id);
    if (!piece) return null;
    const own: Record<string, readonly unknown[]> = {};
    for (const store of storesWith("pieces").slice(1)) own[store] = await recorder.of(store, "byPiece", id);
    await recorder.removeWhole("pieces", id);
    return fileOf({ ...writeBundle({}), ...own, pieces: [piece] });
  });
}

/** Empties the database, all or nothing; it can be taken back. */
export function wipeAll(db: Database): Promise<void> {
  return runCommand(db, "emptying the notebook", EVERYTHING, STORE_NAMES, async (recorder) => {
    for (const name of STORE_NAMES) for (const record of await recorder.all(name)) await recorder.remove(name, record.id);
  });
}
