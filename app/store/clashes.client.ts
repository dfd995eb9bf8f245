import type { Clash } from "~/piece/use-record";
import { OwnValues } from "./pieces";

const open = new Map<string, Clash>();

/** What two tabs changed at once, until the user has decided. */
export function clashOf(pieceId: string): Clash | null {
  return open.get(pieceId) ?? null;
}

export function noteClash(pieceId: string, clash: Clash): void {
  open.set(pieceId, clash);
}

export function settleClash(pieceId: string): void {
  open.delete(pieceId);
}

const own = new Map<string, OwnValues>();

/** What this tab has set in a piece. */
export function ownValuesOf(pieceId: string): OwnValues {
  const values = own.get(pieceId) ?? new OwnValues();
  own.set(pieceId, values);
  return values;
}
