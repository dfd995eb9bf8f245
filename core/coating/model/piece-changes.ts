import type { Change } from "./change";

type PieceChange = Extract<Change, { op: "setPiece" }>;

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === "object" && value !== null && !Array.isArray(value);
}

function same(a: unknown, b: unknown): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}

/**
 * What turned one piece into another, field by field. Lists count as one field; so does a form that became another kind.
 *
 * @param before the record as it was
 * @param after the record as it is
 * @param at dotted path of both inside a larger record
 * @returns one change a field
 * @example changesBetween({ count: 1 }, { count: 2 }) // [{ op: "setPiece", path: "count", value: 2 }]
 */
export function changesBetween(before: object, after: object, at = ""): readonly PieceChange[] {
  const from = before as Record<string, unknown>;
  const to = after as Record<string, unknown>;
  return [...new Set([...Object.keys(from), ...Object.keys(to)])].flatMap((key): readonly PieceChange[] => {
    const path = at === "" ? key : `${at}.${key}`;
    const [old, fresh] = [from[key], to[key]];
    if (same(old, fresh)) return [];
    if (isRecord(old) && isRecord(fresh) && old.kind === fresh.kind) return changesBetween(old, fresh, path);
    return [{ op: "setPiece", path, value: fresh }];
  });
}

/**
 * Paths both sides set to different values, the one at or inside the other.
 *
 * @param mine changes made here
 * @param theirs changes made elsewhere to the same record
 * @returns dotted paths of mine that meet one of theirs
 */
export function clashes(mine: readonly PieceChange[], theirs: readonly PieceChange[]): readonly string[] {
  const meet = (a: string, b: string) => a === b || a.startsWith(`${b}.`) || b.startsWith(`${a}.`);
  return mine
    .filter((one) => theirs.some((other) => meet(one.path, other.path) && !(one.path === other.path && same(one.value, other.value))))
    .map((one) => one.path);
}

/** Lists whose entries are independent of one another and of their order: putting one in is no change of the others. */
export const FREE_LISTS: ReadonlySet<string> = new Set([
  "uses",
  "conditions",
  "parts",
  "decoration.techniques",
  "decoration.media",
  "decoration.bareZones",
  "constraints.avoid",
]);

const entriesOf = (value: unknown) => (Array.isArray(value) ? (value as readonly unknown[]) : []);
const lacks = (list: readonly unknown[], one: unknown) => !list.some((other) => same(one, other));

/** A list as it stands, with what was put in and taken out of it elsewhere. */
function listMerged(seen: readonly unknown[], wanted: readonly unknown[], current: readonly unknown[]): readonly unknown[] {
  const taken = seen.filter((one) => lacks(wanted, one));
  const added = wanted.filter((one) => lacks(seen, one) && lacks(current, one));
  return [...current.filter((one) => lacks(taken, one)), ...added];
}

function valueAt(record: unknown, path: string): unknown {
  return path.split(".").reduce<unknown>((inside, key) => (isRecord(inside) ? inside[key] : undefined), record);
}

/** Changes made on a screen, brought to bear on a record that has changed since. */
export interface Merged {
  readonly changes: readonly PieceChange[];
  /** Paths somebody else set otherwise meanwhile. */
  readonly clashes: readonly string[];
}

/**
 * Brings changes that were made to a record as it was seen to bear on the record as it stands. What the changes do not touch stays; entries are put
 * into lists and taken out one by one.
 *
 * @param seen the record the user's screen showed
 * @param wanted what they made of it
 * @param current the record as it stands
 * @param isOwn whether the value that stands at a path was set by the same user in the same tab, only later than what was seen
 */
export function mergedChanges(seen: object, wanted: object, current: object, isOwn: (path: string, value: unknown) => boolean = () => false): Merged {
  const mine = changesBetween(seen, wanted);
  const [lists, fields] = [mine.filter((one) => FREE_LISTS.has(one.path)), mine.filter((one) => !FREE_LISTS.has(one.path))];
  const theirs = changesBetween(seen, current).filter((one) => !FREE_LISTS.has(one.path) && !isOwn(one.path, one.value));
  const merged = lists.map(({ op, path, value }) => ({
    op,
    path,
    value: listMerged(entriesOf(valueAt(seen, path)), entriesOf(value), entriesOf(valueAt(current, path))),
  }));
  return { changes: [...fields, ...merged], clashes: clashes(fields, theirs) };
}
