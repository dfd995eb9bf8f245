import type { EntryKey } from "./entry-keys";

/** How two copies of a store's record meet: what in it is one value, and what is many. */
export interface HowCopiesMeet {
  /** Lists that are joined entry by entry: dotted path, `*` for any entry of a list above it, and what names an entry. Other lists are one value. */
  readonly lists?: Readonly<Record<string, EntryKey>>;
  /** Dotted paths of objects whose fields make one value together. */
  readonly whole?: readonly string[];
  /** Top-level fields that are worked out: where both sides have another, the later stands, and nobody is asked. */
  readonly derived?: readonly string[];
  /** A record without what is worked out of the rest of it. */
  readonly bare?: (record: never) => object;
}

/** A record without what is worked out of the rest of it. */
export function bareOf<R extends object>({ bare }: HowCopiesMeet, record: R): R {
  return bare ? (bare(record as never) as R) : record;
}

export type Path = readonly string[];
type Fields = Readonly<Record<string, unknown>>;

export const isFields = (value: unknown): value is Fields => typeof value === "object" && value !== null && !Array.isArray(value);

function sorted(_key: string, value: unknown): unknown {
  return isFields(value) ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1))) : value;
}

/** What a value says, whatever the order of its fields; "" for none. */
export function textOf(value: unknown): string {
  return JSON.stringify(value, sorted) ?? "";
}

/** Whether two values say the same. What is written alike is told at once; whatever the order of its fields takes longer. */
export function sameValue(one: unknown, other: unknown): boolean {
  return one === other || JSON.stringify(one) === JSON.stringify(other) || textOf(one) === textOf(other);
}

/**
 * A path as one text; dots inside a key are written `~1`, tildes `~0`.
 *
 * @example pathText(["marked", "top/r2"]) // "marked.top/r2"
 */
export function pathText(path: Path): string {
  return path.map((key) => key.replaceAll("~", "~0").replaceAll(".", "~1")).join(".");
}

/**
 * The path a text stands for.
 *
 * @example pathOf("edits.set top~1base coats") // ["edits", "set top.base coats"]
 */
export function pathOf(text: string): Path {
  return text === "" ? [] : text.split(".").map((key) => key.replaceAll("~1", ".").replaceAll("~0", "~"));
}

/** Something with parts: an object by its fields, or a list by what names its entries. */
export interface Parts {
  readonly kind: "fields" | "list";
  /** In their order. */
  readonly of: ReadonlyMap<string, unknown>;
}

/** The entries of a list by name; one that is there twice is told by its number. */
function entriesOf(list: readonly unknown[], key: EntryKey): ReadonlyMap<string, unknown> {
  const entries = new Map<string, unknown>();
  for (const [index, entry] of list.entries()) {
    const name = key(entry as never, index);
    let free = name;
    for (let n = 2; entries.has(free); n += 1) free = `${name}#${n}`;
    entries.set(free, entry);
  }
  return entries;
}

/** A path as definitions name it: entries of a list above it are `*`. */
export interface Place {
  readonly path: Path;
  readonly pattern: string;
}

export const TOP: Place = { path: [], pattern: "" };

export function placeOf(within: Place, parts: Parts, key: string): Place {
  const name = parts.kind === "list" ? "*" : key;
  return { path: [...within.path, key], pattern: within.pattern === "" ? name : `${within.pattern}.${name}` };
}

/**
 * The parts two values have in common ground: both objects of one kind, or both lists that are joined by entry; what is absent has no parts yet.
 *
 * @returns null where the two are one value each
 */
export function partsOf(meets: HowCopiesMeet, { pattern }: Place, one: unknown, other: unknown): readonly [Parts, Parts] | null {
  const key = meets.lists?.[pattern];
  if (key && [one, other].every((value) => value === undefined || Array.isArray(value))) {
    const parts = (value: unknown): Parts => ({ kind: "list", of: entriesOf((value as readonly unknown[] | undefined) ?? [], key) });
    return [parts(one), parts(other)];
  }
  if (pattern !== "" && meets.whole?.includes(pattern)) return null;
  if (![one, other].every((value) => value === undefined || isFields(value))) return null;
  const [first, second] = [(one ?? {}) as Fields, (other ?? {}) as Fields];
  // A form that became another kind is one value; so is one that was not there.
  if (pattern !== "" && first.kind !== second.kind) return null;
  const parts = (value: Fields): Parts => ({ kind: "fields", of: new Map(Object.entries(value)) });
  return [parts(first), parts(second)];
}

/** Fields every record has that nobody sets. */
const HEAD: ReadonlySet<string> = new Set(["id", "rev"]);

/** Names of parts of both, those of the first before those of the second only. */
export function namesOf(place: Place, [one, other]: readonly [Parts, Parts]): readonly string[] {
  return [...new Set([...one.of.keys(), ...other.of.keys()])].filter((name) => place.path.length > 0 || !HEAD.has(name));
}

/** Where two copies of a record differ. */
export interface Difference {
  readonly path: Path;
  readonly before: unknown;
  readonly after: unknown;
}

/**
 * Where two copies of a record differ, as finely as its definition tells parts apart.
 *
 * @returns one difference for each value; `undefined` where there is none
 */
export function differences(meets: HowCopiesMeet, before: unknown, after: unknown, place: Place = TOP): readonly Difference[] {
  if (sameValue(before, after)) return [];
  const parts = partsOf(meets, place, before, after);
  if (!parts) return [{ path: place.path, before, after }];
  return namesOf(place, parts).flatMap((name) => differences(meets, parts[0].of.get(name), parts[1].of.get(name), placeOf(place, parts[0], name)));
}

/** The value at a path as `differences` gives it; undefined where there is none. */
export function valueAt(meets: HowCopiesMeet, record: unknown, path: Path): unknown {
  let [value, place]: [unknown, Place] = [record, TOP];
  for (const key of path) {
    const parts = partsOf(meets, place, value, value)?.[0];
    if (!parts) return undefined;
    place = placeOf(place, parts, key);
    value = parts.of.get(key);
  }
  return value;
}

/**
 * A record with another value in one place.
 *
 * @param path as `differences` gives it
 * @param value undefined takes away what is there
 */
export function withValue<R>(meets: HowCopiesMeet, record: R, path: Path, value: unknown, place: Place = TOP): R {
  const [head, ...rest] = path;
  if (head === undefined) return value as R;
  const parts = partsOf(meets, place, record, record)?.[0] ?? { kind: "fields", of: new Map(Object.entries((record ?? {}) as Fields)) };
  const next = withValue(meets, parts.of.get(head), rest, value, placeOf(place, parts, head));
  const of = new Map(parts.of);
  if (next === undefined) of.delete(head);
  else of.set(head, next);
  return (parts.kind === "list" ? [...of.values()] : Object.fromEntries(of)) as R;
}
