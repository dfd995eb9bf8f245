import { isOfTernPoint } from "~/demo/of-tern-point";
import { CATALOGUE } from "#core/catalogue/catalogue";
import type { Pictures } from "#core/formats/notebook-file";
import { DEFINITIONS, STORE_NAMES } from "#core/formats/stores/stores";
import type { StoreName } from "#core/formats/stores/stores";
import { fileOf, writeBundle } from "#core/formats/write-bundle";
import type { Bundle, BundleFile, BundleParts } from "#core/formats/write-bundle";
import { finishedRecord } from "#core/formats/finished-record";
import { sameValue } from "#core/merge/field-walk";
import { mergeNotebooks } from "#core/merge/merge-notebooks";
import type { AnyRecord, MergedNotebook, NotebookCopy } from "#core/merge/merge-notebooks";
import type { Stamp } from "#core/merge/stamp";
import { knownOf } from "#core/merge/stamp";
import { causality } from "#core/merge/version-vector";
import { runCommand } from "./command";
import type { Database } from "./database";
import { storesWith } from "./recorder";
import type { Recorder } from "./recorder";
import { DEVICES_STORE, STAMPS_STORE } from "./beside";
import { namedDevice, provenance } from "./stamps";

/** Of the whole database, not of one record. */
const EVERYTHING = "everything";

/** Everything kept, as it stands, with who changed what; some of it may fail its own schema. */
export type Everything = Readonly<Record<StoreName, readonly unknown[]>> & { readonly stamps: readonly Stamp[]; readonly device?: string };

export async function everything(db: Database): Promise<Everything> {
  const transaction = db.transaction([...STORE_NAMES, STAMPS_STORE, DEVICES_STORE]);
  const parts = await Promise.all(STORE_NAMES.map(async (name) => [name, await transaction.objectStore(name).getAll()] as const));
  const who = await provenance(transaction.objectStore(STAMPS_STORE), transaction.objectStore(DEVICES_STORE));
  await transaction.done;
  return { ...(Object.fromEntries(parts) as unknown as Readonly<Record<StoreName, readonly unknown[]>>), ...who };
}

/** The records that are kept, as one bundle. */
export async function exportAll(db: Database): Promise<Bundle> {
  const { stamps: _stamps, device: _device, ...parts } = await everything(db);
  return writeBundle(parts as unknown as Partial<BundleParts>);
}

/** What became of a file that was brought in, by kind of record. */
export interface Imported {
  readonly added: MergedNotebook["added"];
  readonly changed: MergedNotebook["changed"];
  readonly removed: MergedNotebook["removed"];
  /** Here already, word for word. */
  readonly same: MergedNotebook["same"];
  /** Here as something newer: changed, or taken away, since the file was written. */
  readonly older: MergedNotebook["older"];
  /** Values both sides set otherwise: the notebook's own stand until it is decided. */
  readonly differences: number;
  /** Records that do not fit what is kept, by name and why: each costs itself. */
  readonly unfit: readonly string[];
}

/** How far an import has come, and whether it is to stop. */
export interface ImportProgress {
  readonly told: (done: number, of: number) => void;
  readonly signal?: AbortSignal;
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

/** Rows are planned with by the layers they come to, whoever wrote the file. */
const finished = (store: string, record: AnyRecord) => finishedRecord(store, record, CATALOGUE);

/** What is kept, as it is laid beside what comes in. */
async function copyOf(recorder: Recorder, device: string): Promise<NotebookCopy> {
  const parts: Record<string, readonly AnyRecord[]> = {};
  for (const name of STORE_NAMES) parts[name] = (await recorder.all(name)) as unknown as readonly AnyRecord[];
  return { parts, stamps: (await recorder.allBeside()).stamps, device };
}

/** Writes a notebook that was put together over the one it was put together from. */
async function writeMerged(
  recorder: Recorder,
  mine: NotebookCopy,
  merged: MergedNotebook,
  at: number,
  { told, signal }: ImportProgress,
): Promise<Pick<Imported, "differences" | "unfit">> {
  const writes: (() => Promise<void>)[] = [];
  for (const store of STORE_NAMES) {
    const here = new Map((mine.parts[store] ?? []).map((one) => [one.id, one]));
    const now = merged.parts[store] ?? [];
    for (const record of now) if (here.get(record.id) !== record) writes.push(() => recorder.put(store, record as never));
    const kept = new Set(now.map((one) => one.id));
    for (const id of here.keys()) if (!kept.has(id)) writes.push(() => recorder.remove(store, id));
  }
  const before = new Map(mine.stamps.map((one) => [one.id, one]));
  const unfit: string[] = [];
  for (const [index, write] of writes.entries()) {
    if (signal?.aborted) throw new ImportStopped();
    try {
      await write();
    } catch (error) {
      if (!(error instanceof Error) || error.name !== "UnfitRecord") throw error;
      unfit.push(error.message);
    }
    told(index + 1, writes.length);
  }
  for (const stamp of merged.stamps) if (!sameValue(before.get(stamp.id), stamp)) await recorder.putStamp(stamp.id, stamp);
  // A record that came in is not stamped as changed here.
  const stamps = new Map(merged.stamps.map((one) => [one.id, one]));
  for (const { store, id } of recorder.entries) if (!stamps.has(`${store}/${id}`)) recorder.leaveUnstamped(`${store}/${id}`);
  const open = merged.clashes.filter((one) => !one.settled);
  const asked = (await recorder.allBeside()).differences;
  // What was decided on the other side is decided here too.
  for (const { id, store, record, field, theirMark, from } of asked)
    if (from === undefined && ["same", "after"].includes(causality(knownOf(stamps.get(`${store}/${record}`) ?? null, field), theirMark)))
      await recorder.putDifference(id, null);
  for (const { store, id: record, field, theirs, theirMark } of open) {
    const id = `${store}/${record}/${field}`;
    // The same file again asks nothing anew.
    if (asked.some((one) => one.id === id && sameValue([one.theirs, one.theirMark], [theirs, theirMark]))) continue;
    await recorder.putDifference(id, { id, store: store as StoreName, record, field, ...(theirs === undefined ? {} : { theirs }), theirMark, at });
  }
  return { differences: open.length, unfit };
}

/**
 * Puts a checked bundle together with what is kept, in one transaction: all of it or nothing. How two copies of a record meet stands in its
 * definition; the same file brought in again changes nothing.
 *
 * @returns what became of its records, by kind
 * @throws ImportStopped; whatever the browser throws when it cannot write (a full disk); the database is then as it was
 */
export function importBundle(db: Database, read: Bundle, { label = "bringing the file in", progress, pictures }: ImportHow = {}): Promise<Imported> {
  return runCommand(db, label, EVERYTHING, STORE_NAMES, async (recorder) => {
    for (const [id, bytes] of pictures ?? []) await recorder.putPicture({ id, bytes: bytes as Uint8Array<ArrayBuffer> });
    const at = Date.now();
    const { device, keep } = await namedDevice(recorder.beside);
    const mine = await copyOf(recorder, device);
    const parts = { ...(read as unknown as NotebookCopy["parts"]), pieces: read.pieces.map((one) => finished("pieces", one as never)) };
    const theirs: NotebookCopy = { parts, stamps: read.stamps ?? [], device: read.device };
    const fits = (store: string, record: AnyRecord) => recorder.fits(store as StoreName, record);
    const merged = mergeNotebooks(mine, theirs, { definitions: DEFINITIONS, fits, finished, sample: isOfTernPoint, by: { device, at } });
    // A notebook that has taken anything in has a name from then on: its own file is told from another's by it.
    const isTaken = [merged.added, merged.changed, merged.removed].some((counts) => Object.keys(counts).length > 0);
    if (isTaken || merged.stamps.some(({ by }) => Object.values(by).some(({ v }) => device in v))) await keep();
    if (progress?.signal?.aborted) throw new ImportStopped();
    const written = await writeMerged(recorder, mine, merged, at, progress ?? { told: () => undefined });
    const { added, changed, removed, same, older } = merged;
    return { added, changed, removed, same, older, ...written };
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
    // It begins anew: what is brought in afterwards is not held to have been taken away here.
    const { stamps, differences } = await recorder.allBeside();
    for (const { id } of stamps) await recorder.putStamp(id, null);
    for (const name of STORE_NAMES)
      for (const record of await recorder.all(name)) {
        await recorder.remove(name, record.id);
        recorder.leaveUnstamped(`${name}/${record.id}`);
      }
    for (const { id } of differences) await recorder.putDifference(id, null);
  });
}
