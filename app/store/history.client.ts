import { MOST_ACTS } from "./acts";
import type { Act, Entry } from "./acts";
import { onCommand, takeBack } from "./command";
import type { Database } from "./database";
import { announceChange, database } from "./open.client";
import { tidyUp } from "./tidy";
import { allWritten } from "./write-queue";

/** Acts that can be taken back while the page is open; after a reload the last of them. */
const MOST_IN_A_SITTING = 4 * MOST_ACTS;

export interface Said {
  readonly step: number;
  readonly text: string;
  /** The act that removed something, so that it can be brought back; null where nothing was removed. */
  readonly removal: string | null;
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

/** What could be taken back when this page was opened; from then on what is done in it is added. */
let lists: Promise<void> | null = null;
let past: readonly Act[] = [];
let future: readonly Act[] = [];
let said: HistoryState["said"] = null;

onCommand((act, replaces) => {
  past = [...past.filter((one) => one.id !== replaces), act].slice(-MOST_IN_A_SITTING);
  future = [];
  if (act.removedAt !== undefined) say(removedText(act), act.id);
});

/** Names told of what was removed together; more are only counted. */
const MOST_NAMED = 3;

/** "its plan, 3 coats noted and one photograph". */
const LIST = new Intl.ListFormat("en-GB", { type: "conjunction" });

const counted = (count: number, one: string, more: string) => (count === 0 ? [] : [count === 1 ? one : `${count} ${more}`]);

/** The name of a jar that was taken off the shelf, as far as it can be read. */
function jarName({ store, before }: Entry): readonly string[] {
  if (store !== "shelf" || before === null) return [];
  const { name } = before as { readonly name?: unknown };
  return [typeof name === "string" ? name : "a damaged jar"];
}

/** The name of a piece that was removed, as far as it can be read. */
function pieceName({ store, before }: Entry): readonly string[] {
  if (store !== "pieces" || before === null) return [];
  const { piece } = before as { readonly piece?: { readonly name?: unknown } | null };
  return [typeof piece?.name === "string" ? piece.name : "a damaged piece"];
}

/** What an act removed, in a sentence. */
function removedText({ entries }: Act): string {
  const gone = entries.filter((one) => one.after === null);
  const names = gone.flatMap(pieceName);
  const jars = gone.flatMap(jarName);
  const of = (store: string) => gone.filter((one) => one.store === store).length;
  const photographs = counted(of("photos"), "one photograph", "photographs");
  if (names.length === 0 && jars.length === 0) return `Taken off: ${photographs.join()}`;
  if (names.length === 0) return `Off the shelf: ${jars.length > MOST_NAMED ? `${jars.length} jars` : jars.join(", ")}`;
  const beside = [...counted(of("plans"), "its plan", "plans"), ...counted(of("progress"), "one coat noted", "coats noted"), ...photographs];
  const what = names.length > MOST_NAMED ? `${names.length} pieces` : names.join(", ");
  return `Removed: ${what}${beside.length > 0 ? `, with ${LIST.format(beside)}` : ""}`;
}

async function load(db: Database): Promise<void> {
  const kept = await db.getAllFromIndex("acts", "byTime");
  const known = new Set(past.map((one) => one.id));
  past = [...kept.filter((one) => one.undoneAt === undefined && !known.has(one.id)), ...past];
  future = kept.filter((one) => one.undoneAt !== undefined).sort((a, b) => a.undoneAt! - b.undoneAt!);
  void tidyUp(db).catch(() => undefined);
}

/** What can be taken back and done again: in this page, and what was done before it was opened. */
export async function historyState(db: Database): Promise<HistoryState> {
  lists ??= load(db).catch(() => undefined);
  await lists;
  return { undo: past.at(-1)?.label ?? null, redo: future.at(-1)?.label ?? null, said };
}

function say(text: string, removal: string | null = null): void {
  said = { step: (said?.step ?? 0) + 1, text, removal };
}

/** Takes back what was done last, or does it again; nothing where there is nothing. */
export async function step(direction: "undo" | "redo"): Promise<void> {
  await allWritten();
  const from = direction === "undo" ? past : future;
  const act = from.at(-1);
  if (!act) return;
  const reversed = await takeBack(await database(), act);
  if (direction === "undo") {
    past = past.slice(0, -1);
    if (reversed) future = [...future, reversed];
  } else {
    future = future.slice(0, -1);
    if (reversed) past = [...past, reversed];
  }
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
    .map(({ id, at, entries }) => ({ actId: id, at, names: entries.filter((one) => one.after === null).flatMap(pieceName) }))
    .filter(({ names }) => names.length > 0);
}

/** Brings back what one act removed, wherever it stands among what was done since. */
export async function bringBack(actId: string): Promise<boolean> {
  const db = await database();
  const act = await db.get("acts", actId);
  if (!act || act.undoneAt !== undefined) return false;
  const reversed = await takeBack(db, act);
  past = past.filter((one) => one.id !== actId);
  if (reversed) future = [...future, reversed];
  announceChange();
  say(reversed ? `Brought back: ${act.label}` : "This could not be brought back: it is here already");
  return reversed !== null;
}
