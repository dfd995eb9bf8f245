import { plainZone } from "../../catalogue/vocabulary";
import type { ZoneId } from "../../catalogue/vocabulary";

/** Parts of a piece that lie on the table by themselves. */
const APART: ReadonlySet<string> = new Set(["saucer", "lid", "parts"]);

/**
 * What a zone is taken in the hand with: the piece itself, or a part of it.
 *
 * @example bodyOfZone("rim") // "piece"
 */
export function bodyOfZone(zone: ZoneId): string {
  const plain = plainZone(zone);
  return APART.has(plain) ? plain : "piece";
}

/** Places in the hand, and what is laid there in one go: its act and coat. */
export interface InHand {
  readonly zones: readonly ZoneId[];
  readonly go: string | undefined;
}

/**
 * Whether a hand that works in one place would hold the piece by another that is wet: both are on one body, neither is the other's place, and they are
 * not laid in one go. Of a film on its own place the waits of the plan say when it may be worked over.
 *
 * @param work where the hand is
 * @param film what is wet
 */
export function isHeldBy(work: InHand, film: InHand): boolean {
  if (work.go !== undefined && work.go === film.go) return false;
  const own = new Set(work.zones.map(plainZone));
  const bodies = new Set(work.zones.map(bodyOfZone));
  return film.zones.some((zone) => bodies.has(bodyOfZone(zone))) && !film.zones.some((zone) => own.has(plainZone(zone)));
}
