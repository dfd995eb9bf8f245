import { motifNumber, plainZone } from "../catalogue/vocabulary";
import type { PlainZoneId, ZoneId } from "../catalogue/vocabulary";
import { USUAL_MARK_COLOURS } from "./complete-piece";
import type { Layer, Piece } from "./piece";

/**
 * A piece's decoration said by its layers: kinds and colours follow from them.
 *
 * @param decoration what is said of the rest stays
 */
export function layered(decoration: Piece["decoration"], layers: readonly Layer[]): NonNullable<Piece["decoration"]> {
  return {
    ...decoration,
    layers,
    techniques: [...new Set(layers.map(({ technique }) => technique))],
    colours: [...new Set(layers.flatMap(({ colour }) => colour ?? []))],
  };
}

/** One layer more: in the colour and the place of the last one, until it is said otherwise. */
export function nextLayer(layers: readonly Layer[], zone: ZoneId | undefined): Layer {
  const last = layers.at(-1);
  const there = zone ?? last?.zone;
  return { technique: "dots", colour: last?.colour ?? USUAL_MARK_COLOURS.onDark, ...(there === undefined ? {} : { zone: there }) };
}

/**
 * Places decoration may go: those of the object, those that are named already, and in each place a motif that is not there yet.
 *
 * @param zones of the object
 */
export function placesForLayers(zones: readonly ZoneId[], layers: readonly Layer[]): readonly ZoneId[] {
  const named = layers.flatMap(({ zone }) => zone ?? []);
  const motifs = zones.map((zone): ZoneId => {
    const numbers = named.flatMap((one) => (plainZone(one) === zone ? (motifNumber(one) ?? []) : []));
    return `${zone as PlainZoneId}/motif-${Math.max(0, ...numbers) + 1}`;
  });
  return [...new Set([...zones, ...named, ...motifs])];
}
