import type { RecordOf, StoreName } from "#core/formats/stores/stores";
import { printOfValue } from "#core/merge/stamp";
import type { Stamp } from "#core/merge/stamp";
import type { KeptBeside, KeptDifference } from "./beside";
import { freshId } from "./fresh-id";
import { isKeptLonger } from "./removals";

export type Kept = RecordOf<StoreName>;

/** One record before and after; null where there was none, or is none. */
export interface Entry {
  readonly store: StoreName;
  readonly id: string;
  readonly before: Kept | null;
  readonly after: Kept | null;
  /** Of a new record, of which no more than its count of changes is kept: a print of what it said. */
  readonly print?: string;
}

/** A print of what a record says, whatever its count of changes and the order of its fields. */
export function printOf(record: Kept): string {
  return printOfValue({ ...record, rev: 0 });
}

/** One thing the user did, as what it changed: turned round, it is its own undoing. */
export interface Act {
  readonly id: string;
  /** Instant, ms. */
  readonly at: number;
  /** The tab it was done in. */
  readonly tab: string;
  readonly label: string;
  readonly entries: readonly Entry[];
  /** Stamps and differences as they were before: of what put two notebooks together, which taken back is as if it had never been. */
  readonly stamps?: readonly KeptBeside<Stamp>[];
  readonly differences?: readonly KeptBeside<KeptDifference>[];
  /** Strokes of one thing that is typed are one act. */
  readonly merge?: string;
  /** Acts it goes on from, which are no longer by themselves. */
  readonly covers?: readonly string[];
  /** Set on what took something away that may be wanted back: such acts are kept longer. */
  readonly removedAt?: number;
  /** Set on what is taken back, until something else is done. */
  readonly undoneAt?: number;
}

/** This page, for as long as it is open. */
export const TAB = freshId();

/** Acts that can be taken back after a reload; as many again of those that took something away. */
export const MOST_ACTS = 50;
/** Older ones are cleared away only now and then. */
const SLACK = 20;
/** Typing that goes on within this time is the same act, ms. */
const ONE_STROKE_MS = 5000;

export const ACTS_STORE = "acts";
export const ACT_INDEXES = { byTime: "at", byRemoval: "removedAt", byUndone: "undoneAt" } as const;

/** What acts need of their object store inside a transaction. */
export interface ActsInside {
  readonly get: (id: string) => Promise<Act | undefined>;
  readonly put: (act: Act) => Promise<unknown>;
  readonly delete: (id: string) => Promise<void>;
  readonly count: () => Promise<number>;
  readonly getAll: () => Promise<readonly Act[]>;
  readonly index: (name: keyof typeof ACT_INDEXES) => {
    readonly getAllKeys: () => Promise<readonly string[]>;
    readonly openCursor: (range: null, direction: "prev") => Promise<{ readonly value: Act } | null>;
  };
}

/** A new record is told by its count of changes and a print: taking it back asks only whether it says something else by now. */
function slim(entry: Entry): Entry {
  return entry.before === null && entry.after !== null
    ? { ...entry, after: { id: entry.after.id, rev: entry.after.rev } as Kept, print: printOf(entry.after) }
    : entry;
}

function sameRecords(one: readonly Entry[], other: readonly Entry[]): boolean {
  const names = (entries: readonly Entry[]) =>
    entries
      .map(({ store, id }) => `${store}/${id}`)
      .sort()
      .join(" ");
  return names(one) === names(other);
}

/** An act with the mark of one that took something away, where it did; an act that is taken back has taken nothing away. */
function marked({ removedAt: _before, ...act }: Act): Act {
  return act.undoneAt === undefined && isKeptLonger(act.entries) ? { ...act, removedAt: act.at } : act;
}

/**
 * Keeps an act turned round: taken back, or done again.
 *
 * @param entries what turning it round has changed
 */
export async function keepTurned(acts: ActsInside, { undoneAt, merge: _merge, ...act }: Act, entries: readonly Entry[]): Promise<Act> {
  const before = (await acts.index("byUndone").openCursor(null, "prev"))?.value.undoneAt ?? -Infinity;
  // What is taken back later is done again sooner, in the same millisecond too.
  const turned = marked({ ...act, entries, ...(undoneAt === undefined ? { undoneAt: Math.max(Date.now(), before + 1) } : {}) });
  await acts.put(turned);
  return turned;
}

async function cleared(acts: ActsInside): Promise<void> {
  if ((await acts.count()) <= 2 * MOST_ACTS + SLACK) return;
  const removals = await acts.index("byRemoval").getAllKeys();
  const spared = new Set(removals.slice(-MOST_ACTS));
  const times = await acts.index("byTime").getAllKeys();
  for (const id of times.slice(0, -MOST_ACTS)) if (!spared.has(id)) await acts.delete(id);
}

/**
 * Whether an ask was done before.
 *
 * @param left a page that is gone has left it: it may be older than acts that went on from its own
 */
export async function isDone(acts: ActsInside, ask: string, left: boolean): Promise<boolean> {
  if (await acts.get(ask)) return true;
  return left && (await acts.getAll()).some((act) => act.covers?.includes(ask));
}

/**
 * Keeps an act beside what it changed, in the same transaction.
 *
 * @returns the act as it is kept, and the one it goes on from, which is no longer kept
 */
export async function keepAct(acts: ActsInside, act: Act): Promise<{ readonly act: Act; readonly replaces: string | null }> {
  for (const id of await acts.index("byUndone").getAllKeys()) await acts.delete(id);
  const last = (await acts.index("byTime").openCursor(null, "prev"))?.value;
  const goesOn =
    last &&
    act.merge !== undefined &&
    last.merge === act.merge &&
    last.tab === act.tab &&
    act.at - last.at < ONE_STROKE_MS &&
    sameRecords(last.entries, act.entries);
  const entries = goesOn
    ? act.entries.map((entry) => ({ ...entry, before: last.entries.find((one) => one.store === entry.store && one.id === entry.id)!.before }))
    : act.entries;
  if (goesOn) await acts.delete(last.id);
  const covers = goesOn ? { covers: [...(last.covers ?? []), last.id] } : {};
  // What is done later stands later, in the same millisecond too, and where the clock was set back in between.
  const at = Math.max(act.at, (last?.at ?? -Infinity) + (goesOn ? 0 : 1));
  const kept = marked({ ...act, ...covers, at, entries: entries.map(slim) });
  await acts.put(kept);
  await cleared(acts);
  return { act: kept, replaces: goesOn ? last.id : null };
}
