import { fingerprint } from "../coating/model/fingerprint";
import { bareOf, differences, isFields, pathText, textOf } from "./field-walk";
import type { HowCopiesMeet } from "./field-walk";
import { changedBy, joined } from "./version-vector";
import type { VersionVector } from "./version-vector";

/** Who changed one value of a record, as far as is known. */
export interface Mark {
  readonly v: VersionVector;
  /** A print of what it was before anybody changed it, where that is known. */
  readonly from?: string;
}

/** Who changed what in a record since it was made. A record nobody changed since has none. */
export interface Stamp {
  /** Store and id of the record: "pieces/ID". */
  readonly id: string;
  /** By the path of the value; "" for whether the record is there at all. */
  readonly by: Readonly<Record<string, Mark>>;
  /** It was taken away. */
  readonly gone?: true;
}

/** Who makes a change, and when. */
export interface Changer {
  readonly device: string;
  /** Instant, ms. */
  readonly at: number;
}

/** The path of whether a record is there at all. */
export const PRESENCE = "";

const NOBODY: VersionVector = {};

/** A print of a value, to tell it again without keeping it. */
export function printOfValue(value: unknown): string {
  return fingerprint(textOf(value));
}

const within = (inner: string, outer: string) => inner.startsWith(`${outer}.`);

/** All that is known of who changed the value at a path: there, in something it is part of, or in a part of it. */
export function knownOf(stamp: Stamp | null, path: string): VersionVector {
  if (!stamp) return NOBODY;
  return Object.entries(stamp.by)
    .filter(([at]) => at !== PRESENCE && (at === path || within(path, at) || within(at, path)))
    .reduce((all, [, mark]) => joined(all, mark.v), NOBODY);
}

/**
 * The stamp of a record after a change.
 *
 * @param stamp as it was; null where nobody had changed the record since it was made
 * @param before null where there was no record
 * @param after null where there is none any more
 * @param usual what a record of the store says before anybody has said anything
 * @returns null where there is nothing to keep: a record that was made, and not changed since
 */
export function stamped(
  meets: HowCopiesMeet,
  id: string,
  stamp: Stamp | null,
  before: object | null,
  after: object | null,
  { device, at }: Changer,
  usual: object | null = null,
): Stamp | null {
  const marked = (old: Mark | undefined, known: VersionVector, was: unknown): Mark => {
    const first = Object.keys(known).length === 0;
    const from = first ? printOfValue(was) : old?.from;
    return { v: changedBy(known, device, at), ...(from === undefined ? {} : { from }) };
  };
  let by: { [path: string]: Mark } = { ...stamp?.by };
  if (before === null || after === null) {
    const isNew = before === null && !stamp;
    if (before === null && after === null) return stamp;
    if (!isNew) by[PRESENCE] = { v: changedBy(by[PRESENCE]?.v ?? NOBODY, device, at) };
  }
  if (after === null) return { id, by, gone: true };
  const was = before ?? (stamp ? null : usual);
  if (was !== null)
    for (const one of differences(meets, bareOf(meets, was), bareOf(meets, after))) {
      const path = pathText(one.path);
      const mark = marked(by[path], knownOf({ id, by }, path), one.before);
      // What is part of it is told by it from now on.
      by = { ...Object.fromEntries(Object.entries(by).filter(([inner]) => inner === PRESENCE || !within(inner, path))), [path]: mark };
    }
  return Object.keys(by).length === 0 ? null : { id, by };
}

/** Whether a word may name a device. */
export function isDevice(word: string): boolean {
  return /^[0-9a-z]{8,40}$/.test(word);
}

/** Whether a value is a stamp. */
export function isStamp(value: unknown): value is Stamp {
  if (!isFields(value)) return false;
  const { id, by, gone, ...more } = value;
  const isVector = (v: unknown) =>
    isFields(v) && Object.keys(v).every(isDevice) && Object.values(v).every((stamp) => typeof stamp === "number" && Number.isSafeInteger(stamp) && stamp > 0);
  const isMark = (mark: unknown) => isFields(mark) && isVector(mark.v) && (mark.from === undefined || typeof mark.from === "string");
  return (
    typeof id === "string" &&
    /^[a-z]+\/[0-9a-z]{4,40}$/.test(id) &&
    isFields(by) &&
    Object.values(by).every(isMark) &&
    (gone === undefined || gone === true) &&
    Object.keys(more).length === 0
  );
}
