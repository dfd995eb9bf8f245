import { namedPieces } from "./listing";
import type { NamedPiece } from "./listing";
import { changeCount, database } from "./open.client";

let known: { readonly at: number; readonly names: Promise<readonly NamedPiece[]> } | null = null;

/** Names of all pieces in their order; read once as long as nothing is saved. */
export function names(): Promise<readonly NamedPiece[]> {
  const at = changeCount();
  if (known?.at === at) return known.names;
  const read = database().then(namedPieces);
  known = { at, names: read };
  read.catch(() => {
    known = null;
  });
  return read;
}
