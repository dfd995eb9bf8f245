import { bareOf, sameValue } from "./field-walk";
import type { HowCopiesMeet } from "./field-walk";
import { namedBy } from "./named-by";
import type { Naming } from "./named-by";
import { joinedStamp, mergeRecords } from "./merge-records";
import type { FieldClash } from "./merge-records";
import { knownOf, PRESENCE } from "./stamp";
import type { Changer, Stamp } from "./stamp";
import { causality, changedBy, joined } from "./version-vector";

export type AnyRecord = { readonly id: string; readonly rev: number } & Readonly<Record<string, unknown>>;

/** What has to be known of a store to put two copies of it together. */
export interface MergedStore extends Naming {
  readonly name: string;
  readonly meets: HowCopiesMeet;
}

/** A notebook as it is laid beside another. */
export interface NotebookCopy {
  /** Records by store; a store left out has none. */
  readonly parts: Readonly<Record<string, readonly AnyRecord[] | undefined>>;
  readonly stamps: readonly Stamp[];
  /** The device it is of; absent in files written before devices were told apart. */
  readonly device?: string | undefined;
}

/** A clash, and the record it is in. */
export interface Clash extends FieldClash {
  readonly store: string;
  readonly id: string;
}

type Counts = Readonly<Record<string, number>>;

export interface MergedNotebook {
  readonly parts: Readonly<Record<string, readonly AnyRecord[]>>;
  readonly stamps: readonly Stamp[];
  readonly clashes: readonly Clash[];
  /** Records that came in, by store. */
  readonly added: Counts;
  /** Records in which something of theirs was taken. */
  readonly changed: Counts;
  /** Records they have taken away. */
  readonly removed: Counts;
  /** Records of theirs that say the very same here. */
  readonly same: Counts;
  /** Records of theirs that say what was here before it was changed or taken away here. */
  readonly older: Counts;
}

export interface MergeHow {
  readonly definitions: readonly MergedStore[];
  /** Whether a record may be kept. */
  readonly fits?: (store: string, record: AnyRecord) => boolean;
  /** What is worked out of a record once it has been put together. */
  readonly finished?: (store: string, record: AnyRecord) => AnyRecord;
  /**
   * Whether a record was laid out to look around in, on each device at another time: what nobody has changed in it nobody has said, so it is taken whole
   * from the side that has, and stays as it is here where neither has.
   */
  readonly sample?: (id: string) => boolean;
  /** Who puts them together, and when: records that are brought back are so from then on. */
  readonly by: Changer;
}

/** One record of the two notebooks. */
interface Pair {
  readonly definition: MergedStore;
  readonly id: string;
  readonly mine: AnyRecord | null;
  readonly theirs: AnyRecord | null;
  readonly myStamp: Stamp | null;
  readonly theirStamp: Stamp | null;
}

const keyOf = (store: string, id: string) => `${store}/${id}`;

function pairsOf(mine: NotebookCopy, theirs: NotebookCopy, definitions: readonly MergedStore[]): ReadonlyMap<string, Pair> {
  const [myStamps, theirStamps] = [mine, theirs].map(({ stamps }) => new Map(stamps.map((one) => [one.id, one]))) as [Map<string, Stamp>, Map<string, Stamp>];
  const pairs = new Map<string, Pair>();
  for (const definition of definitions) {
    const [here, there] = [mine, theirs].map(({ parts }) => new Map((parts[definition.name] ?? []).map((one) => [one.id, one]))) as [
      Map<string, AnyRecord>,
      Map<string, AnyRecord>,
    ];
    for (const id of new Set([...here.keys(), ...there.keys()])) {
      const key = keyOf(definition.name, id);
      const stamps = { myStamp: myStamps.get(key) ?? null, theirStamp: theirStamps.get(key) ?? null };
      pairs.set(key, { definition, id, mine: here.get(id) ?? null, theirs: there.get(id) ?? null, ...stamps });
    }
  }
  return pairs;
}

/** Whether one side took a record away, knowing all that the other says of it. */
function tookAway(gone: Stamp | null, other: Stamp | null): boolean {
  if (!gone?.gone) return false;
  return Object.entries(other?.by ?? {}).every(([path, mark]) => {
    const known = path === PRESENCE ? (gone.by[PRESENCE]?.v ?? {}) : knownOf(gone, path);
    return ["same", "after"].includes(causality(known, mark.v));
  });
}

/** Keys of the records that a record of a pair names. */
function namesIn({ definition, mine, theirs }: Pair): readonly string[] {
  const record = (mine ?? theirs)!;
  return namedBy(definition).flatMap(({ field, store }) => (typeof record[field] === "string" ? [keyOf(store, record[field])] : []));
}

/** Pairs of which nothing is to stay: one side took the record away, and the other has said nothing new of it or of what belongs to it. */
function goneFrom(pairs: ReadonlyMap<string, Pair>, isRestoring: boolean): ReadonlySet<string> {
  const gone = new Set<string>();
  for (const [key, { mine, theirs, myStamp, theirStamp }] of pairs) {
    if (!mine && theirs && !isRestoring && tookAway(myStamp, theirStamp)) gone.add(key);
    if (mine && !theirs && tookAway(theirStamp, myStamp)) gone.add(key);
  }
  const removalOf = ({ myStamp, theirStamp }: Pair) => JSON.stringify((myStamp?.gone ? myStamp : theirStamp)?.by[PRESENCE]?.v);
  /** What stays needs what it names; what was taken away with that comes with it. */
  const keep = (key: string): void => {
    const pair = pairs.get(key);
    if (!pair || !gone.delete(key)) return;
    const removal = removalOf(pair);
    for (const [other, one] of pairs) if (gone.has(other) && removalOf(one) === removal && namesIn(one).includes(key)) keep(other);
    for (const named of namesIn(pair)) keep(named);
  };
  for (const [key, one] of pairs) {
    if (gone.has(key)) continue;
    // Where a record stands beside the gap already, it is no news to whoever made it.
    const isNews = (named: string) => {
      const pair = pairs.get(named);
      return pair !== undefined && (pair.mine ? one.theirs === null : one.mine === null);
    };
    for (const named of namesIn(one).filter(isNews)) keep(named);
  }
  return gone;
}

/** Counts by store. */
class Tally {
  readonly counts: Record<string, number> = {};
  add(store: string): void {
    this.counts[store] = (this.counts[store] ?? 0) + 1;
  }
}

const withoutRev = ({ rev: _rev, ...rest }: AnyRecord) => rest;

/** A stamp with what the other side knows of whether the record is there. */
function presenceJoined(key: string, one: Stamp | null, other: Stamp | null): Stamp | null {
  if (!one && !other) return null;
  const by = { ...other?.by, ...one?.by };
  const v = joined(one?.by[PRESENCE]?.v ?? {}, other?.by[PRESENCE]?.v ?? {});
  return { id: key, by: Object.keys(v).length > 0 ? { ...by, [PRESENCE]: { v } } : by };
}

/**
 * Puts two notebooks together, as seen from one of them. What only one side has comes in; what one side changed is taken; what both set otherwise is a
 * clash, in which mine stands until it is decided. What one side took away stays away, unless the other has said something new of it since, or the
 * file is of the same device and so was kept to have it back.
 *
 * @param mine the notebook it is brought into
 * @param theirs the one that is brought
 */
export function mergeNotebooks(
  mine: NotebookCopy,
  theirs: NotebookCopy,
  { definitions, fits = () => true, finished = (_store, one) => one, sample = () => false, by }: MergeHow,
): MergedNotebook {
  const pairs = pairsOf(mine, theirs, definitions);
  const gone = goneFrom(pairs, theirs.device === undefined || theirs.device === mine.device);
  const [added, changed, removed, same, older] = [new Tally(), new Tally(), new Tally(), new Tally(), new Tally()];
  const parts: Record<string, AnyRecord[]> = Object.fromEntries(definitions.map(({ name }) => [name, []]));
  const stamps = new Map<string, Stamp>();
  const clashes: Clash[] = [];
  for (const [key, pair] of pairs) {
    const { definition, id, mine: here, theirs: there, myStamp, theirStamp } = pair;
    const store = definition.name;
    const put = (record: AnyRecord, stamp: Stamp | null) => {
      parts[store]!.push(record);
      if (stamp) stamps.set(key, stamp);
    };
    if (gone.has(key)) {
      stamps.set(key, { ...presenceJoined(key, myStamp, theirStamp)!, gone: true });
      (here ? removed : older).add(store);
    } else if (here && there && JSON.stringify(withoutRev(here)) === JSON.stringify(withoutRev(there))) {
      // Mostly it is so, and needs no looking through.
      put(here, joinedStamp(myStamp, theirStamp));
      same.add(store);
    } else if (here && there) {
      const [one, other] = [here, there].map((record) => bareOf(definition.meets, record)) as [AnyRecord, AnyRecord];
      const [my, their] = [
        { record: one, stamp: myStamp },
        { record: other, stamp: theirStamp },
      ];
      const merged =
        sample(id) && !(myStamp && theirStamp)
          ? { ...(theirStamp ? their : my), clashes: [] }
          : mergeRecords(definition.meets, my, their, (record) => fits(store, finished(store, record)));
      const isChanged = !sameValue(withoutRev(merged.record), withoutRev(one));
      put(isChanged ? { ...finished(store, merged.record), rev: Math.max(here.rev, there.rev) + 1 } : here, merged.stamp);
      if (isChanged) changed.add(store);
      else if (sameValue(withoutRev(one), withoutRev(other))) same.add(store);
      else if (merged.clashes.length === 0) older.add(store);
      for (const clash of merged.clashes) clashes.push({ store, id, ...clash });
    } else {
      const stamp = presenceJoined(key, myStamp, theirStamp);
      // It was taken away on one side and stays all the same: so it says from now on, there too.
      const isBack = (myStamp?.gone ?? theirStamp?.gone) === true;
      const back = isBack && stamp ? { id: key, by: { ...stamp.by, [PRESENCE]: { v: changedBy(stamp.by[PRESENCE]?.v ?? {}, by.device, by.at) } } } : stamp;
      put((here ?? there)!, back);
      if (!here) added.add(store);
    }
  }
  // What neither has any more stays known of.
  const rest = new Map([...theirs.stamps, ...mine.stamps].filter((one) => !pairs.has(one.id)).map((one) => [one.id, one]));
  for (const [key, stamp] of rest) stamps.set(key, stamp);
  return {
    parts,
    stamps: [...stamps.values()],
    clashes,
    added: added.counts,
    changed: changed.counts,
    removed: removed.counts,
    same: same.counts,
    older: older.counts,
  };
}
