import { isFields, namesOf, partsOf, pathText, placeOf, sameValue, textOf, TOP } from "./field-walk";
import type { HowCopiesMeet, Parts, Place } from "./field-walk";
import { knownOf, PRESENCE, printOfValue } from "./stamp";
import type { Mark, Stamp } from "./stamp";
import { causality, joined } from "./version-vector";
import type { VersionVector } from "./version-vector";

/** One copy of a record, and who changed what in it. */
export interface Copy<R extends object = object> {
  readonly record: R;
  readonly stamp: Stamp | null;
}

/** A value both sides set, neither knowing of the other. */
export interface FieldClash {
  /** As `pathText` writes it. */
  readonly field: string;
  readonly mine: unknown;
  readonly theirs: unknown;
  /** Who set theirs, to be known once it is decided. */
  readonly theirMark: VersionVector;
  /** Nobody need decide: it is worked out, and the later stands. */
  readonly settled?: true;
}

export interface MergedRecord<R extends object> extends Copy<R> {
  readonly clashes: readonly FieldClash[];
}

const size = (vector: VersionVector) => Object.keys(vector).length;
const last = (vector: VersionVector) => Math.max(0, ...Object.values(vector));

type Verdict = "mine" | "theirs" | "clash";

/** Whose value stands where two copies differ. */
function verdictOn(path: string, mine: unknown, theirs: unknown, one: Stamp | null, other: Stamp | null): Verdict {
  const [m, t] = [knownOf(one, path), knownOf(other, path)];
  const order = causality(m, t);
  // Where only one side has a mark, the other must hold what was there before it: else both said something, one of them before there were marks.
  const began = (stamp: Stamp | null, value: unknown) => {
    const from = stamp?.by[path]?.from;
    return from === undefined || from === printOfValue(value);
  };
  if (order === "before") return size(m) > 0 || began(other, mine) ? "theirs" : "clash";
  if (order === "after") return size(t) > 0 || began(one, theirs) ? "mine" : "clash";
  if (order === "concurrent") return "clash";
  // Nobody has changed either since there were marks: what one side lacks is no answer to what the other says.
  if (mine === undefined) return "theirs";
  return theirs === undefined ? "mine" : "clash";
}

/** The later of two, by its stamp, and where that does not tell by what it says: both sides choose the same. */
function isLater(one: unknown, other: unknown, m: VersionVector, t: VersionVector): boolean {
  return last(m) === last(t) ? textOf(one) > textOf(other) : last(m) > last(t);
}

/** Names of both, so that both sides come to the same order: that of the fuller list, with the other's own entries after what they follow there. */
function joinedOrder(one: readonly string[], other: readonly string[]): readonly string[] {
  const [a, b] = [new Set(one), new Set(other)];
  const holds = (outer: ReadonlySet<string>, inner: ReadonlySet<string>) => [...inner].every((name) => outer.has(name));
  const text = (names: readonly string[]) => JSON.stringify(names);
  const oneFirst = holds(a, b) ? !holds(b, a) || text(one) <= text(other) : !holds(b, a) && text(one) <= text(other);
  const [first, second] = oneFirst ? [one, other] : [other, one];
  const order = [...first];
  second.forEach((name, index) => {
    if (order.includes(name)) return;
    const before = second.slice(0, index).findLast((earlier) => order.includes(earlier));
    order.splice(before === undefined ? order.length : order.indexOf(before) + 1, 0, name);
  });
  return order;
}

/** Names in the order of what happened, where entries say when; in the order they have where they do not. */
function inTime(names: readonly string[], of: ReadonlyMap<string, unknown>): readonly string[] {
  const when = (name: string) => {
    const { at, on } = (of.get(name) ?? {}) as { readonly at?: unknown; readonly on?: unknown };
    return typeof at === "string" ? at : typeof on === "string" ? on : null;
  };
  if (names.some((name) => when(name) === null)) return names;
  return [...names].sort((a, b) => when(a)!.localeCompare(when(b)!));
}

function built(parts: Parts, of: ReadonlyMap<string, unknown>, order: readonly string[]): unknown {
  const kept = order.filter((name) => of.get(name) !== undefined);
  if (parts.kind === "list") return kept.map((name) => of.get(name));
  return Object.fromEntries(kept.map((name) => [name, of.get(name)]));
}

/** The order of a list that was joined: where both put something into it, that of what happened. */
function orderOf(one: Parts, other: Parts, of: ReadonlyMap<string, unknown>): readonly string[] {
  const order = joinedOrder([...one.of.keys()], [...other.of.keys()]);
  const areBothIn = order.some((name) => !one.of.has(name)) && order.some((name) => !other.of.has(name));
  return areBothIn
    ? inTime(
        order.filter((name) => of.get(name) !== undefined),
        of,
      )
    : order;
}

/** Marks of both together; of what is undecided those of mine. */
export function joinedStamp(one: Stamp | null, other: Stamp | null, undecided: readonly string[] = []): Stamp | null {
  if (!other) return one;
  const meets = (path: string) => undecided.some((at) => at === path || path.startsWith(`${at}.`) || at.startsWith(`${path}.`));
  const by: Record<string, Mark> = { ...one?.by };
  for (const [path, mark] of Object.entries(other.by)) {
    if (path !== PRESENCE && meets(path)) continue;
    const mine = by[path];
    const from = mine?.from ?? mark.from;
    by[path] = { v: joined(mine?.v ?? {}, mark.v), ...(from === undefined ? {} : { from }) };
  }
  return Object.keys(by).length === 0 ? null : { id: other.id, by };
}

/**
 * Lays two copies of one record together, value by value: what one side changed is taken, what both changed is a clash, in which mine stands until
 * it is decided.
 *
 * @param fits whether a record may be kept: where the two together make one that may not, all in which they differ is a clash
 */
export function mergeRecords<R extends object>(
  meets: HowCopiesMeet,
  mine: Copy<R>,
  theirs: Copy<R>,
  fits: (record: R) => boolean = () => true,
): MergedRecord<R> {
  const clashes: FieldClash[] = [];
  const differing: FieldClash[] = [];
  const decided = (place: Place, a: unknown, b: unknown): unknown => {
    const field = pathText(place.path);
    const theirMark = knownOf(theirs.stamp, field);
    differing.push({ field, mine: a, theirs: b, theirMark });
    const verdict = verdictOn(field, a, b, mine.stamp, theirs.stamp);
    if (verdict !== "clash") return verdict === "mine" ? a : b;
    if (!meets.derived?.includes(place.path[0]!)) {
      clashes.push({ field, mine: a, theirs: b, theirMark });
      return a;
    }
    clashes.push({ field, mine: a, theirs: b, theirMark, settled: true });
    return isLater(a, b, knownOf(mine.stamp, field), theirMark) ? a : b;
  };
  const together = (place: Place, a: unknown, b: unknown): unknown => {
    const parts = sameValue(a, b) ? null : partsOf(meets, place, a, b);
    if (!parts) return sameValue(a, b) ? a : decided(place, a, b);
    const [one, other] = parts;
    const of = new Map(namesOf(place, parts).map((name) => [name, together(placeOf(place, one, name), one.of.get(name), other.of.get(name))]));
    const order = one.kind === "list" ? orderOf(one, other, of) : [...of.keys()];
    const result = built(one, of, order);
    const isEmpty = Array.isArray(result) ? result.length === 0 : isFields(result) && Object.keys(result).length === 0;
    return isEmpty && (a === undefined || b === undefined) ? undefined : result;
  };
  const { id, rev } = mine.record as { readonly id?: unknown; readonly rev?: unknown };
  const record = { id, rev, ...(together(TOP, mine.record, theirs.record) as object) } as R;
  const open = clashes.filter((one) => !one.settled);
  if (sameValue(record, mine.record) || fits(record))
    return {
      record,
      stamp: joinedStamp(
        mine.stamp,
        theirs.stamp,
        open.map((one) => one.field),
      ),
      clashes,
    };
  return { record: mine.record, stamp: mine.stamp, clashes: differing };
}
