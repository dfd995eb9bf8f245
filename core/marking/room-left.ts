import type { Row } from "../piece/pattern";
import { LEAST_DOT_MM } from "./refusals";
import { USUAL_GAP_MM } from "./ring-count";
import type { SolvedPattern } from "./solved";
import { plainMm } from "./words";

/** What may be done with the room that is left: a row of that size, or nothing. */
export interface RoomOffer {
  readonly diameterMm: number | null;
  readonly text: string;
}

/**
 * What fits between the last row and the edge.
 *
 * @param rows so far: nothing larger than their largest dot is offered
 */
export function roomOffer({ leftMm }: Pick<SolvedPattern, "leftMm">, rows: readonly Row[]): RoomOffer {
  const largest = Math.max(LEAST_DOT_MM, ...rows.map(({ diameterMm }) => diameterMm));
  const fits = Math.floor(Math.min(largest, leftMm - (rows.length > 0 ? 2 : 0) * USUAL_GAP_MM.value) * 2) / 2;
  if (fits < LEAST_DOT_MM)
    return { diameterMm: null, text: leftMm < 0.5 ? "It is full to the edge." : `${plainMm(leftMm)} mm are left: the ground needs a rest.` };
  const more = leftMm > 2 * (fits + USUAL_GAP_MM.value) ? "a row" : "one row";
  return { diameterMm: fits, text: `${plainMm(leftMm)} mm are left: ${more} of ${plainMm(fits)} mm, or leave it, the ground needs a rest.` };
}
