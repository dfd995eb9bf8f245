import type { Catalogue } from "../catalogue/catalogue";
import type { ZoneId } from "../catalogue/vocabulary";
import { completePiece } from "./complete-piece";
import type { Piece } from "./piece";
import { zonesOf } from "./zones";

/**
 * The zones of a piece and the area of each, mm², of one piece whatever the count.
 *
 * @returns areas in mm², one piece
 * @throws Error when the material is not in the catalogue
 */
export function zoneAreas(piece: Piece, catalogue: Catalogue): readonly { readonly zone: ZoneId; readonly areaMm2: number }[] {
  return zonesOf(completePiece(piece, catalogue).piece, catalogue).map(({ zone, areaMm2 }) => ({ zone, areaMm2 }));
}
