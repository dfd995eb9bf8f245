import type { Piece } from "../../piece/piece";
import { fingerprint } from "../model/fingerprint";

/**
 * Names the facts a plan is made from; the piece's name is none of them.
 *
 * @returns sixteen hexadecimal digits
 */
export function factsKey({ name: _name, ...facts }: Piece): string {
  return fingerprint(JSON.stringify(facts));
}
