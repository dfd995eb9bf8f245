import { CATALOGUE } from "#core/catalogue/catalogue";
import { pieceFacts } from "#core/coating/facts/facts";
import { layersToSay } from "#core/coating/facts/layers";
import { completePiece } from "#core/piece/complete-piece";
import { nextLayer } from "#core/piece/layers";
import type { Layer, Piece } from "#core/piece/piece";
import { mainZone } from "#core/piece/zones";

/**
 * The layers of a piece one by one, as they were taken so far.
 *
 * @param first one is to be there, though nothing is decorated yet
 */
export function sayLayers(piece: Piece, first = false): readonly Layer[] {
  const { piece: complete } = completePiece(piece, CATALOGUE);
  const facts = pieceFacts(complete, CATALOGUE);
  const layers = layersToSay(facts);
  return layers.length > 0 || !first ? layers : [nextLayer([], mainZone(facts.zones)?.zone)];
}
