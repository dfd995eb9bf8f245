import { MOST_ACTS } from "./acts";
import type { Act } from "./acts";
import { onCommand, takeBack } from "./command";
import type { Database } from "./database";
import { isNoted } from "./noted";
import { COUNTING } from "./progress";
import { announceChange, database } from "./open.client";
import { namesGone, removedFrom, removedText } from "./removals";
import { tidyUp } from "./tidy";
import { allWritten } from "./write-queue";

/** Acts that can be taken back while the page is open; after a reload the last of them. */
const MOST_IN_A_SITTING = 4 * MOST_ACTS;

export interface Said {
  readonly step: number;
  readonly text: string;
  /** The act that removed something, so that it can be brought back; null where nothing was removed. */
  readonly removal: string | null;
  /** The act that noted something at the table, so that it can be taken back at once; absent where nothing was noted. */
  readonly noted?: string;
}

export interface HistoryState {
  readonly undo: string | null;
  readonly redo: string | null;
  /** What to say of the last step, and which step it was. */
  readonly said: Said | null;
}

/** A piece that was removed and can be brought back. */
export interface RemovedPiece {
  /** Of the act that removed it. */
  readonly actId: string;
  readonly at: number;
  readonly names: readonly string[];
}

/** An act that can be turned round: as it was done here; of what was done before this page was opened no more than its id, until it is wanted. */
interface Known {
  readonly id: string;
  readonly act?: Act;
}

/** What could be taken back when this page was opened; from then on what is done in it is added. */
let lists: Promise<void> | null = null;
let past: readonly Known[] = [];
let future: readonly Known[] = [];
let said: HistoryState["said"] = null;

const known = (act: Act): Known => ({ id: act.id, act });

onCommand((act, replaces) => {
  past = [...past.filter((one) => one.id !== replaces), known(act)].slice(-MOST_IN_A_SITTING);
  future = [];
  const from = removedFrom(act.entries);
  if (from) say(removedText(act.entries, from), act.id);
  else if (isNoted(act.entries) && act.label !== COUNTING) said = { step: (said?.step ?? 0) + 1, text: `Noted: ${act.label}`, removal: null, noted: act.id };
});

/** Only ids are read, for an act may hold much: what it did is read when it is to be told or turned round. */
async function load(db: Database): Promise<void> {
  const [all, undone] = await Promise.all([db.getAllKeysFromIndex("acts", "byTime"), db.getAllKeysFromIndex("acts", "byUndone")]);
  const here = new Set([...undone, ...past.map(({ id }) => id)]);
  past = [...all.filter((id) => !here.has(id)).map((id) => ({ id })), ...past];
  future = undone.map((id) => ({ id }));
  void tidyUp(db).catch(() => undefined);
}

/** The last act of a list that is still kept, read where it was not yet; what another tab has cleared away in between is passed over. */
async function lastOf(db: Database, list: readonly Known[]): Promise<Act | null> {
  for (const one of list.toReversed()) {
    const act = one.act ?? (await db.get("acts", one.id));
    if (act) return act;
  }
  return null;
}

/** Keeps at hand what was read, so that it is read once. */
const withRead = (list: readonly Known[], act: Act | null) => (act ? list.map((one) => (one.id === act.id ? known(act) : one)) : list);

/** What can be taken back and done again: in this page, and what was done before it was opened. */
export async function historyState(db: Database): Promise<HistoryState> {
  lists ??= load(db).catch(() => undefined);
  await lists;
  const [undo, redo] = [await lastOf(db, past), await lastOf(db, future)];
  past = withRead(past, undo);
  future = withRead(future, redo);
  return { undo: undo?.label ?? null, redo: redo?.label ?? null, said };
}

function say(text: string, removal: string | null = null): void {
  said = { step: (said?.step ?? 0) + 1, text, removal };
}

/** Takes back what was done last, or does it again; nothing where there is nothing. */
export async function step(direction: "undo" | "redo"): Promise<void> {
  await allWritten();
  const db = await database();
  const act = await lastOf(db, direction === "undo" ? past : future);
  if (!act) return;
  const reversed = await takeBack(db, act);
  const without = (list: readonly Known[]) => list.filter(({ id }) => id !== act.id);
  const turned = reversed ? [known(reversed)] : [];
  past = [...without(past), ...(direction === "redo" ? turned : [])];
  future = [...without(future), ...(direction === "undo" ? turned : [])];
  announceChange();
  say(
    reversed
      ? `${direction === "undo" ? "Taken back" : "Done again"}: ${act.label}`
      : `This could not be taken back: something else has changed ${act.label} since, or was noted on it`,
  );
}

/** Pieces that were removed lately, the last one first. */
export async function removedLately(db: Database): Promise<readonly RemovedPiece[]> {
  const acts = await db.getAllFromIndex("acts", "byRemoval");
  return acts
    .filter((act) => act.undoneAt === undefined)
    .reverse()
    .map(({ id, at, entries }) => ({ actId: id, at, names: namesGone(entries, "pieces") }))
    .filter(({ names }) => names.length > 0);
}

/** Brings back what one act removed, or takes back what it noted, wherever it stands among what was done since. */
export async function bringBack(actId: string): Promise<boolean> {
  const db = await database();
  const act = await db.get("acts", actId);
  if (!act || act.undoneAt !== undefined) return false;
  const reversed = await takeBack(db, act);
  past = past.filter((one) => one.id !== actId);
  if (reversed) future = [...future, known(reversed)];
  announceChange();
  if (removedFrom(act.entries)) say(reversed ? `Brought back: ${act.label}` : "This could not be brought back: it is here already");
  else say(reversed ? `Taken back: ${act.label}` : `This could not be taken back: something else has changed ${act.label} since, or was noted on it`);
  return reversed !== null;
}
