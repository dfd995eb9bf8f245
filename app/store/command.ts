import { STORES } from "#core/formats/stores/stores";
import type { StoreName } from "#core/formats/stores/stores";
import { ACTS_STORE, isDone, keepAct, keepTurned, printOf, TAB } from "./acts";
import type { Act, ActsInside, Entry, Kept } from "./acts";
import { isReadOnly } from "./database";
import type { Database } from "./database";
import { fieldChanges, turnedRound } from "./field-diff";
import { freshId } from "./fresh-id";
import { PICTURES_STORE } from "./pictures";
import { BESIDE, Recorder } from "./recorder";
import type { Writing, Written } from "./recorder";
import { standingOn, stillNaming, stoodOn } from "./standing";
import { stampEntries } from "./stamps";
import { keepVersions, VERSIONS_STORE } from "./versions";
import type { VersionsInside } from "./versions";
import { inTurn } from "./write-queue";

/** Stores whose changes are kept as versions of a piece. */
const VERSIONED: readonly StoreName[] = ["pieces", "plans"];

/** Stores whose records name pictures. */
export const PICTURED: readonly StoreName[] = ["photos", "records"];

/** What is known of whoever asks. */
export interface By {
  /** The ask's own id: what was done for it already is not done twice. */
  readonly ask?: string | undefined;
  /** A page that is gone has left the ask. */
  readonly left?: boolean | undefined;
  /** Strokes of one thing that is typed: they are one act. */
  readonly merge?: string | undefined;
}

/** The same ask came twice; it was done the first time. */
export class DoneAlready extends Error {
  override readonly name = "DoneAlready";
}

/** A newer Nook Coat keeps this notebook: it may be read and saved to a file, not changed. */
export class ReadOnlyNotebook extends Error {
  override readonly name = "ReadOnlyNotebook";

  constructor() {
    super("this notebook was last used with a newer Nook Coat, so it can be read and saved to a file here, but not changed");
  }
}

const checks = () => import("./check-record");

/** Fetches what checks records, so that the first that is written need not wait for it. */
export function checksAtHand(): void {
  void checks().catch(() => undefined);
}

/** @param replaces the act it goes on from, which is no longer by itself */
type Listener = (act: Act, replaces: string | null) => void;
const listeners = new Set<Listener>();

/** Hears of everything that is done, so that it can be undone. */
export function onCommand(listener: Listener): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

function versionsInside(transaction: Writing): VersionsInside {
  const versions = transaction.objectStore(VERSIONS_STORE);
  return {
    piece: (id) => transaction.objectStore("pieces").get(id),
    plan: (id) => transaction.objectStore("plans").get(id),
    last: async (piece) => (await versions.index("byPiece").openCursor(piece, "prev"))?.value ?? null,
    ids: (piece) => versions.index("byPiece").getAllKeys(piece),
    put: (version) => versions.put(version),
    delete: (id) => versions.delete(id),
  };
}

/** Works inside one transaction: all of it or nothing. */
async function written<T>(db: Database, stores: readonly StoreName[], work: (recorder: Recorder, acts: ActsInside) => Promise<T>): Promise<T> {
  if (isReadOnly(db)) throw new ReadOnlyNotebook();
  // Only who writes needs the schemas: a page that reads does not load them.
  const { assertFits } = await checks();
  const versioned = stores.some((store) => VERSIONED.includes(store));
  const beside = [
    ...(versioned ? ([...VERSIONED, VERSIONS_STORE] as const) : []),
    ...(PICTURED.some((store) => stores.includes(store)) ? ([PICTURES_STORE] as const) : []),
  ];
  const all = [...new Set<Written>([...stores, ...beside, ...BESIDE, ACTS_STORE])];
  const transaction: Writing = db.transaction(all, "readwrite", { durability: "strict" });
  try {
    const recorder = new Recorder(transaction, assertFits);
    const result = await work(recorder, transaction.objectStore(ACTS_STORE) as unknown as ActsInside);
    await stampEntries(recorder.beside, recorder.entries, Date.now(), recorder.exact);
    if (versioned) await keepVersions(recorder.entries, versionsInside(transaction), Date.now());
    await transaction.done;
    return result;
  } catch (error) {
    try {
      transaction.abort();
    } catch {
      // It had ended by itself.
    }
    await transaction.done.catch(() => undefined);
    throw error;
  }
}

/**
 * Does one thing in one transaction, all of it or nothing, keeps what it changed so that it can be taken back, and tells whoever listens. Things
 * done to the same record are done one after another, each with its own answer.
 *
 * @param label what the user did, in a few words, for "undo …"; or what says so once it is done
 * @param of the record it is mainly about, such as "pieces/ID"
 * @param stores the stores it may touch
 * @throws UnfitRecord when it would store what fails its schema; DoneAlready when the very same ask was done before; ReadOnlyNotebook; whatever the
 * browser throws when it cannot write
 */
export function runCommand<T>(
  db: Database,
  label: string | ((entries: readonly Entry[]) => string),
  of: string,
  stores: readonly StoreName[],
  work: (recorder: Recorder) => Promise<T>,
  by: By = {},
): Promise<T> {
  return inTurn(of, async () => {
    const { result, kept } = await written(db, stores, async (recorder, acts) => {
      if (by.ask !== undefined && (await isDone(acts, by.ask, by.left === true))) throw new DoneAlready();
      const result = await work(recorder);
      const { entries, stampsBefore, differencesBefore, exact } = recorder;
      if (entries.length === 0 && differencesBefore.length === 0) return { result, kept: null };
      const beside = { ...(exact.size > 0 ? { stamps: stampsBefore } : {}), ...(differencesBefore.length > 0 ? { differences: differencesBefore } : {}) };
      const said = typeof label === "string" ? label : label(entries);
      const act: Act = {
        id: by.ask ?? freshId(),
        at: Date.now(),
        tab: TAB,
        label: said,
        entries,
        ...beside,
        ...(by.merge === undefined ? {} : { merge: by.merge }),
      };
      return { result, kept: await keepAct(acts, act) };
    });
    if (kept) for (const listener of listeners) listener(kept.act, kept.replaces);
    return result;
  });
}

class Clash extends Error {}

/** What a record becomes when what was done to it is taken back; null where it goes. */
function takenBack({ store, before, after, print }: Entry, current: Kept | undefined): Kept | null {
  if (after === null) {
    if (current) throw new Clash();
    return before;
  }
  if (!current) {
    if (before === null) return null;
    throw new Clash();
  }
  if (before === null) {
    // What was done to it since and taken back again is no change of it.
    if (current.rev !== after.rev && printOf(current) !== (print ?? printOf(after))) throw new Clash();
    return null;
  }
  const turned = turnedRound(current, fieldChanges(before as never, after as never, STORES[store].lists as readonly string[]));
  if (!turned) throw new Clash();
  return turned;
}

/**
 * Takes an act back: exactly what it changed is turned round, field by field; what else was changed since stays, and so does a record of it that
 * something else stands on by now. Where the very same field was changed since, or where nothing is left to take back, nothing at all is written.
 *
 * @returns the act that does it again, or null when something else was changed or noted in between
 */
export async function takeBack(db: Database, act: Act): Promise<Act | null> {
  const stores = [...new Set([...act.entries.map((entry) => entry.store), ...standingOn(act)])];
  try {
    return await written(db, stores, async (recorder, acts) => {
      const kept = await stoodOn(recorder, act);
      if (kept.size > 0 && kept.size === act.entries.length) throw new Clash();
      const [untouched, touched] = [new Set<string>(), new Set<string>()];
      for (const entry of [...act.entries].reverse()) {
        const current = await recorder.get(entry.store, entry.id);
        ((current?.rev ?? null) === (entry.after?.rev ?? null) ? untouched : touched).add(`${entry.store}/${entry.id}`);
        if (kept.has(`${entry.store}/${entry.id}`)) continue;
        const turned = takenBack(entry, current as Kept | undefined);
        const next = turned && stillNaming(entry.store, turned, current as Kept | undefined, kept);
        const rev = Math.max(current?.rev ?? 0, entry.before?.rev ?? 0) + 1;
        if (next) await recorder.put(entry.store, { ...next, rev } as never);
        else if (current) await recorder.remove(entry.store, entry.id);
      }
      // What put two notebooks together is as if it had never been: what had no stamp before has none again.
      const were = new Map((act.stamps ?? []).map(({ id, was }) => [id, was]));
      if (act.stamps) for (const id of new Set([...were.keys(), ...untouched])) if (!touched.has(id)) await recorder.putStamp(id, were.get(id) ?? null);
      for (const { id, was } of act.differences ?? []) await recorder.putDifference(id, was);
      const { stampsBefore, differencesBefore } = recorder;
      return keepTurned(
        acts,
        { ...act, ...(act.stamps ? { stamps: stampsBefore } : {}), ...(act.differences ? { differences: differencesBefore } : {}) },
        recorder.entries,
      );
    });
  } catch (error) {
    if (error instanceof Clash) return null;
    throw error;
  }
}
