import { fingerprint } from "#core/coating/model/fingerprint";
import { targetOf } from "#core/coating/model/edit-clashes";
import type { Change } from "#core/coating/model/change";
import type { Ask } from "~/actions/perform";
import { OwnValues } from "./pieces";

/** What two tabs changed at once: what the user wanted is kept until they have decided. */
export interface Clash {
  /** The same for clashes about the same thing. */
  readonly key: string;
  /** What was changed, as the user calls it. */
  readonly what: readonly string[];
  /** What makes it stand all the same, and where it is asked. */
  readonly again: { readonly action: string; readonly ask: Ask };
}

/** The key of a clash about some things of a kind. */
export function clashKey(kind: "piece" | "plan" | "dates" | "jar", things: readonly string[]): string {
  return `${kind}/${fingerprint([...things].sort().join())}`;
}

const open = new Map<string, readonly Clash[]>();

/** What two tabs changed at once in a piece, until the user has decided. */
export function clashesOf(pieceId: string): readonly Clash[] {
  return open.get(pieceId) ?? [];
}

export function noteClash(pieceId: string, clash: Clash): void {
  open.set(pieceId, [...clashesOf(pieceId).filter((one) => one.key !== clash.key), clash]);
}

/** The user has decided, or said it anew. */
export function settleClash(pieceId: string, key: string): void {
  open.set(
    pieceId,
    clashesOf(pieceId).filter((one) => one.key !== key),
  );
}

const own = new Map<string, OwnValues>();
const NAME = "nook-coat-own";

/** What this tab had set in a piece before it was reloaded. */
function ownBefore(pieceId: string): readonly (readonly [string, string])[] {
  try {
    return JSON.parse(sessionStorage.getItem(`${NAME}/${pieceId}`) ?? "[]") as readonly (readonly [string, string])[];
  } catch {
    return [];
  }
}

function keepOwn(pieceId: string, values: readonly (readonly [string, string])[]): void {
  try {
    sessionStorage.setItem(`${NAME}/${pieceId}`, JSON.stringify(values));
  } catch {
    // A tab that remembers nothing tells of a clash too many after a reload.
  }
}

/** What this tab has set in a piece. */
export function ownValuesOf(pieceId: string): OwnValues {
  const values = own.get(pieceId) ?? new OwnValues(ownBefore(pieceId), (set) => keepOwn(pieceId, set));
  own.set(pieceId, values);
  return values;
}

/** Whether this tab has made a change of a plan itself. */
export function isOwnEdit(pieceId: string, change: Change): boolean {
  return ownValuesOf(pieceId).isOwn(targetOf(change), change);
}

export function noteOwnEdits(pieceId: string, changes: readonly Change[]): void {
  ownValuesOf(pieceId).note(changes.map((change) => ({ path: targetOf(change), value: change })));
}
