import type { Clash } from "~/piece/use-record";

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
