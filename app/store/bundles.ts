import { writeBundle } from "#core/formats/write-bundle";
import type { Bundle, BundleParts } from "#core/formats/write-bundle";
import { DEFINITIONS, STORE_NAMES } from "#core/formats/stores/stores";
import type { RecordOf, StoreName } from "#core/formats/stores/stores";
import { ownedBy, runCommand } from "./command";
import type { Recorder } from "./command";
import type { Database } from "./database";
import { freshId } from "./fresh-id";

/** Of the whole database, not of one record. */
const EVERYTHING = "everything";

/** Everything kept, as one file's document. */
export async function exportAll(db: Database): Promise<Bundle> {
  const transaction = db.transaction([...STORE_NAMES]);
  const parts = await Promise.all(STORE_NAMES.map(async (name) => [name, await transaction.objectStore(name).getAll()] as const));
  await transaction.done;
  return writeBundle(Object.fromEntries(parts) as unknown as Partial<BundleParts>);
}

export interface Imported {
  readonly added: number;
  /** Already here, word for word. */
  readonly same: number;
  /** Here under the same id but different: added as a second piece, so that neither is lost. */
  readonly beside: number;
}

type AnyRecord = RecordOf<StoreName> & Record<string, unknown>;
type Definition = (typeof DEFINITIONS)[number];

/** Records of a file that belong to one of it, owners first. */
function belongings(bundle: Bundle, store: string, id: string): readonly { readonly definition: Definition; readonly record: AnyRecord }[] {
  return ownedBy(store).flatMap((definition) => {
    const own = (bundle[definition.name as StoreName] as unknown as readonly AnyRecord[]).filter((record) => record[definition.owner!.field] === id);
    return own.flatMap((record) => [{ definition, record }, ...belongings(bundle, definition.name, record.id)]);
  });
}

async function putMissing(recorder: Recorder, bundle: Bundle, store: string, id: string): Promise<void> {
  for (const { definition, record } of belongings(bundle, store, id)) {
    const name = definition.name as StoreName;
    if (!(await recorder.get(name, record.id))) await recorder.put(name, record as never);
  }
}

/** A record of the file whose namesake here has changed: it comes in under an id of its own, with all that belongs to it. */
async function putBeside(recorder: Recorder, bundle: Bundle, definition: Definition, record: AnyRecord): Promise<void> {
  const own = belongings(bundle, definition.name, record.id);
  const renamed = new Map([{ definition, record }, ...own].map((one) => [`${one.definition.name}/${one.record.id}`, freshId()]));
  const copied = (of: Definition, one: AnyRecord): AnyRecord => {
    const id = renamed.get(`${of.name}/${one.id}`)!;
    const refers = Object.entries(of.refers ?? {}).flatMap(([field, store]) => {
      const value = one[field];
      return typeof value === "string" ? [[field, renamed.get(`${store}/${value}`) ?? null]] : [];
    });
    return { ...(of.asCopy ? of.asCopy(one as never, id) : { ...one, id }), ...Object.fromEntries(refers) } as AnyRecord;
  };
  for (const one of [{ definition, record }, ...own]) await recorder.put(one.definition.name as StoreName, copied(one.definition, one.record) as never);
}

/**
 * Adds a checked bundle to what is kept, in one transaction: all of it or nothing. What each store does with a record that is here already
 * stands in its definition; nothing is overwritten.
 *
 * @returns what became of the records that come in by themselves
 * @throws whatever the browser throws when it cannot write (a full disk); the database is then as it was
 */
export function importBundle(db: Database, bundle: Bundle, label = "bringing the file in"): Promise<Imported> {
  return runCommand(db, label, EVERYTHING, STORE_NAMES, async (recorder) => {
    const counts = { added: 0, same: 0, beside: 0 };
    for (const definition of DEFINITIONS.filter((one) => one.onImport !== "with-owner")) {
      const name = definition.name as StoreName;
      for (const record of bundle[name] as unknown as readonly AnyRecord[]) {
        const here = await recorder.get(name, record.id);
        if (definition.onImport === "keep") {
          if (!here) await recorder.put(name, record as never);
        } else if (here && JSON.stringify(here) !== JSON.stringify(record)) {
          counts.beside += 1;
          await putBeside(recorder, bundle, definition, record);
        } else {
          counts[here ? "same" : "added"] += 1;
          if (!here) await recorder.put(name, record as never);
          await putMissing(recorder, bundle, name, record.id);
        }
      }
    }
    return counts;
  });
}

/** Empties the database, all or nothing; it can be taken back. */
export function wipeAll(db: Database): Promise<void> {
  return runCommand(db, "emptying the notebook", EVERYTHING, STORE_NAMES, async (recorder) => {
    for (const name of STORE_NAMES) for (const record of await recorder.all(name)) await recorder.remove(name, record.id);
  });
}
