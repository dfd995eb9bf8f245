import { STORES } from "#core/formats/stores/stores";

import { onCommand } from "./command";
import type { Database } from "./database";
import { PICTURES_STORE } from "./pictures";
import type { KeptPicture } from "./pictures";

type Kept = Readonly<Record<string, unknown>> & { readonly id: string };

/** Records and pictures this page holds at most of each store; the ones read longest ago go first. */
const MOST = 5000;
const MOST_PICTURES = 200;

/** What this page has read, store by store: for the case that the browser clears the notebook under it. */
const stores = new Map<string, Map<string, Kept>>();

const isHeld = (store: string) => store === PICTURES_STORE || store in STORES;

function storeOf(name: string): Map<string, Kept> {
  const known = stores.get(name) ?? new Map<string, Kept>();
  stores.set(name, known);
  return known;
}

function remember(store: string, record: Kept): void {
  const known = storeOf(store);
  known.delete(record.id);
  known.set(record.id, record);
  if (known.size > (store === PICTURES_STORE ? MOST_PICTURES : MOST)) known.delete(known.keys().next().value!);
}

const isKept = (value: unknown): value is Kept => typeof (value as { readonly id?: unknown } | null)?.id === "string";

/** What a question to the database has shown of its store. */
function heard(method: string, [store, key]: readonly unknown[], answer: unknown): void {
  if (typeof store !== "string" || !isHeld(store)) return;
  if (Array.isArray(answer)) {
    // All there is of it: what is not among them was taken away, in another tab.
    if (method === "getAll" && key === undefined) storeOf(store).clear();
    for (const one of answer) if (isKept(one)) remember(store, one);
  } else if (isKept(answer)) remember(store, answer);
  else if (method === "get" && answer === undefined) storeOf(store).delete(String(key));
}

const READS: ReadonlySet<string | symbol> = new Set(["get", "getAll", "getFromIndex", "getAllFromIndex"]);

/** A database of which everything that is read is remembered by this page. */
export function remembering(db: Database): Database {
  return new Proxy(db, {
    get: (target, name) => {
      const value: unknown = Reflect.get(target, name, target);
      if (typeof value !== "function") return value;
      if (!READS.has(name)) return value.bind(target) as unknown;
      return async (...asked: unknown[]) => {
        const answer: unknown = await (value as (...asked: unknown[]) => Promise<unknown>).apply(target, asked);
        heard(String(name), asked, answer);
        return answer;
      };
    },
    has: (target, name) => Reflect.has(target, name),
  });
}

onCommand(({ entries }) => {
  for (const { store, id, after } of entries) {
    // Of a new record no more is told than its count of changes: it is read soon enough.
    if (after === null) storeOf(store).delete(id);
    else if (Object.keys(after).length > 2) remember(store, after as unknown as Kept);
  }
});

/**
 * Puts back what this page has read, into a notebook the browser has cleared: records that stand by themselves, and what belongs to those that are there.
 *
 * @returns how many pieces; null where the notebook was not cleared, or nothing was read of it
 */
export async function putBack(db: Database): Promise<number | null> {
  const all = Object.fromEntries([...stores].map(([name, records]) => [name, [...records.values()]])) as Readonly<Record<string, readonly Kept[]>>;
  const { [PICTURES_STORE]: pictures = [], ...parts } = all;
  if (Object.values(parts).every((records) => records.length === 0) || (await db.count("pieces")) > 0 || (await db.count("acts")) > 0) return null;
  const [{ importBundle }, { sortedOut }, { CATALOGUE }] = await Promise.all([
    import("./bundles"),
    import("#core/formats/bundle"),
    import("#core/catalogue/catalogue"),
  ]);
  const { bundle } = sortedOut(parts, CATALOGUE);
  const shown = new Map(pictures.map((one) => [one.id, (one as unknown as KeptPicture).bytes]));
  await importBundle(db, bundle, { label: "putting back what the browser had cleared", pictures: shown as never });
  return bundle.pieces.length;
}
