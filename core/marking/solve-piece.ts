import type { Catalogue } from "../catalogue/catalogue";
import type { TechniqueId, ZoneId } from "../catalogue/vocabulary";
import { layered } from "../piece/layers";
import { completePiece } from "../piece/complete-piece";
import { MOST_LAYERS } from "../piece/piece";
import type { Layer, Piece } from "../piece/piece";
import type { Pattern } from "../piece/pattern";
import { usesOf, zonesOf } from "../piece/zones";
import type { Zone } from "../piece/zones";
import { solvePattern } from "./solve";
import type { SolvedPattern } from "./solved";
import type { MarkingSurface } from "./surface";
import { surfaceOf } from "./surface-of";
import { layersOfPattern } from "./to-layers";

/** A place of a piece that rows can be set out on. */
export interface MarkingPlace {
  readonly zone: ZoneId;
  readonly surface: MarkingSurface;
  readonly areaMm2: number;
  /** Why nothing is set out on it; null where it is free. */
  readonly stayBare: string | null;
}

function lipOf(piece: Piece, catalogue: Catalogue): number {
  return Math.max(0, ...usesOf(piece, catalogue).map((use) => use.lipBandMm?.value ?? 0));
}

function placeOf(zone: Zone, piece: Piece, catalogue: Catalogue): MarkingPlace | null {
  const radiiMm = piece.decoration?.patterns?.find((one) => one.zone === zone.zone)?.radiiMm;
  const surface = surfaceOf(piece.form, zone.zone, { lipBandMm: lipOf(piece, catalogue), ...(radiiMm ? { radiiMm } : {}) });
  return surface && { zone: zone.zone, surface, areaMm2: zone.areaMm2, stayBare: zone.mustStayBare?.why ?? null };
}

/** The places of a piece that rows can be set out on, those meant for decoration first. */
export function markingPlaces(piece: Piece, catalogue: Catalogue): readonly MarkingPlace[] {
  const zones = zonesOf(completePiece(piece, catalogue).piece, catalogue);
  return [...zones].sort((a, b) => Number(b.template.decorated) - Number(a.template.decorated)).flatMap((zone) => placeOf(zone, piece, catalogue) ?? []);
}

/** A pattern of a piece, worked out; null where its place is not there or bears no rows. */
export function solvedOn(places: readonly MarkingPlace[], pattern: Pattern): { readonly place: MarkingPlace; readonly solved: SolvedPattern } | null {
  const place = places.find(({ zone, stayBare }) => zone === pattern.zone && stayBare === null);
  return place ? { place, solved: solvePattern(place.surface, pattern) } : null;
}

/** Marks that rows set, whichever their kind: where a pattern has some, it takes the place of those that were only guessed. */
const SET_BY_ROWS: readonly TechniqueId[] = ["dots", "walked-dots", "swipes"];

/** Whether a layer was only guessed, and a pattern of its place says the same for good. */
function replaced(layer: Layer, zone: ZoneId | undefined, made: readonly Layer[]): boolean {
  if (layer.marks !== undefined || layer.coverage !== undefined) return false;
  const kin = (technique: TechniqueId) => technique === layer.technique || (SET_BY_ROWS.includes(technique) && SET_BY_ROWS.includes(layer.technique));
  return made.some((one) => one.zone === zone && kin(one.technique));
}

/** Layers the user says by hand: without those that patterns made, and without what was a guess where a pattern sets it. */
function ownLayers({ decoration = {} }: Piece, made: readonly Layer[], main: ZoneId | undefined): readonly Layer[] {
  const said = decoration.layers ?? (decoration.techniques ?? []).map((technique): Layer => ({ technique }));
  return said.filter((layer) => layer.rows === undefined && !replaced(layer, layer.zone ?? main, made));
}

/** Few enough layers for a plan: what differs only in size is one where there are too many. */
function fewEnough(layers: readonly Layer[], most: number): readonly Layer[] {
  if (layers.length <= most) return layers;
  const merged = new Map<string, Layer>();
  for (const layer of layers) {
    const key = [layer.technique, layer.onTop, layer.zone, layer.medium, layer.colour].join("/");
    const here = merged.get(key);
    const largest = here?.marks && layer.marks && here.marks.diameterMm >= layer.marks.diameterMm ? here : layer;
    const count = (here?.marks?.count ?? 0) + (layer.marks?.count ?? 0);
    const rows = [...(here?.rows ?? []), ...(layer.rows ?? [])];
    merged.set(key, { ...largest, ...(largest.marks ? { marks: { ...largest.marks, count } } : {}), ...(rows.length > 0 ? { rows } : {}) });
  }
  return [...merged.values()].slice(0, most);
}

/**
 * A piece with the layers its patterns amount to. Worked out again whenever its body, a size or a row changes.
 *
 * @returns the very same piece where nothing changes
 */
export function withPatternLayers(piece: Piece, catalogue: Catalogue): Piece {
  const { decoration } = piece;
  const patterns = decoration?.patterns ?? [];
  const made = decoration?.layers?.some(({ rows }) => rows !== undefined) ?? false;
  if (patterns.every(({ rows }) => rows.length === 0) && !made) return piece;
  const places = markingPlaces(piece, catalogue);
  const laid = patterns.flatMap((pattern) => {
    const worked = solvedOn(places, pattern);
    return worked ? layersOfPattern(worked.place.surface, worked.solved, pattern.zone, worked.place.areaMm2, catalogue) : [];
  });
  const own = ownLayers(piece, laid, places[0]?.zone);
  const layers = [...own, ...fewEnough(laid, MOST_LAYERS - own.length)];
  if (JSON.stringify(layers) === JSON.stringify(decoration?.layers ?? [])) return piece;
  return { ...piece, decoration: layered(decoration, layers) };
}
