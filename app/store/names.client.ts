import { onCommand } from "./command";
import { namedPieces } from "./listing";
import type { NamedPiece } from "./listing";
import { database, onOtherTab } from "./open.client";

let known: Promise<readonly NamedPiece[]> | null = null;
const forget = () => {
  known = null;
};

onCommand(forget);
onOtherTab(forget);

/** Names of all pieces in their order; read once as long as nothing is saved. */
export function names(): Promise<readonly NamedPiece[]> {
  if (!known) {
    known = database().then(namedPieces);
    known.catch(forget);
  }
  return known;
}
