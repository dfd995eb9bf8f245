import type { Catalogue } from "../catalogue/catalogue";
import type { Material } from "../catalogue/material";
import type { ZoneTemplate } from "../catalogue/object-kind";
import type { Exposure, Use, Wear } from "../catalogue/use";
import { memory } from "../catalogue/provenance";
import { plainZone } from "../catalogue/vocabulary";
import type { ZoneId } from "../catalogue/vocabulary";
import type { CompletePiece } from "./piece";
import { outsideArea, surfacesOf } from "./surfaces";

/** A zone of one piece: its size, what it meets, and what is to be done with it. */
export interface Zone {
  readonly zone: ZoneId;
  readonly areaMm2: number;
  readonly template: ZoneTemplate;
  readonly wears: readonly Wear[];
  /** Set when it has to stay bare: the finding's code and why. */
  readonly mustStayBare: { readonly code: string; readonly why: string } | null;
  /** Of a motif region: the colour of the ground laid only under it; null leaves what is beneath. Absent for a plain place. */
  readonly motifGround?: string | null;
  /**
   * What is done with it: colour; colour or a clear film on what it stands on, with its signature; a clear film on what is left of wood; only what
   * keeps the wet out; nothing, because it has to stay bare; nothing, because nothing is asked of it.
   */
  readonly treatment: "paint" | "finish-underside" | "finish" | "protect" | "leave-bare" | "leave-alone";
}

/**
 * The uses of a piece, looked up.
 *
 * @returns those the catalogue knows
 */
export function usesOf(piece: Pick<CompletePiece, "uses">, catalogue: Catalogue): readonly Use[] {
  return piece.uses.flatMap((id) => catalogue.uses.get(id) ?? []);
}

/** Exposures that meet what is seen meets, unless a use says more of them. */
const SEEN_TOO: readonly Exposure[] = ["carrying", "lip", "food", "mouth"];

function wearsOf(exposure: Exposure, uses: readonly Use[]): readonly Wear[] {
  return [...new Set(uses.flatMap((use) => use.wears[exposure] ?? (SEEN_TOO.includes(exposure) ? (use.wears.seen ?? []) : [])))];
}

/** Where nothing but its face can carry cups and plates (a coaster, a board), the face meets what a tray's floor meets. */
function carriedWears(template: ZoneTemplate, templates: readonly ZoneTemplate[], uses: readonly Use[]): readonly Wear[] {
  if (template.exposure !== "seen" || !template.decorated || templates.some((one) => one.exposure === "carrying")) return [];
  return uses.flatMap((use) => use.wears.carrying ?? []);
}

function areaOf(template: ZoneTemplate, piece: CompletePiece, lipBandMm: number, shares: number, only: boolean): number {
  if (piece.form.kind === "custom") return (piece.form.areaMm2 * template.share.value) / shares;
  if (template.surface === "parts" || template.surface === "joint") return outsideArea(piece.form) * template.share.value;
  const area = surfacesOf(piece.form, lipBandMm)[template.surface];
  return area ?? (only ? outsideArea(piece.form) : 0);
}

/** Bisque that may be fired under a food-safe glaze: what must else stay bare may be coated on that route. */
export function mayBeFired(piece: CompletePiece, material: Material | undefined): boolean {
  return piece.constraints.kiln && (material?.traits.includes("bisque") ?? false);
}

/** What a glaze makes fit to eat and drink from. */
const GLAZED_AWAY: readonly string[] = ["food-side", "lip-zone"];

function decoratedHere(zone: ZoneId, piece: CompletePiece): boolean {
  return piece.decoration.layers.some((layer) => layer.zone === zone);
}

interface Making {
  readonly piece: CompletePiece;
  readonly uses: readonly Use[];
  readonly fired: boolean;
  readonly material: Material | undefined;
}

/** Whether anything at all is laid on the piece. */
function isWorked({ decoration }: CompletePiece): boolean {
  return decoration.baseColour !== null || decoration.techniques.length > 0 || decoration.layers.length > 0 || decoration.media.length > 0;
}

/** What nobody decorates is finished all the same where it would suffer raw: all faces of wood, the rest of what is glazed, the back of what goes to someone. */
function undecorated(template: ZoneTemplate, { piece, uses, fired, material }: Making): Zone["treatment"] {
  const sold = uses.some((use) => use.finishedUnderside);
  if (!isWorked(piece) && !sold) return "leave-alone";
  if (fired) return template.exposure === "underside" || template.exposure === "contents" ? "leave-alone" : "protect";
  if (template.exposure === "underside" && material?.surface !== "slick" && sold) return "finish-underside";
  return material?.surface === "wood" ? "finish" : "leave-alone";
}

function treatmentOf(template: ZoneTemplate, wears: readonly Wear[], bare: Zone["mustStayBare"], making: Making): Zone["treatment"] {
  const own = plainTreatmentOf(template, wears, bare, making);
  return own === "leave-alone" ? undecorated(template, making) : own;
}

function plainTreatmentOf(
  template: ZoneTemplate,
  wears: readonly Wear[],
  bare: Zone["mustStayBare"],
  { piece, uses, fired, material }: Making,
): Zone["treatment"] {
  const slick = material?.surface === "slick";
  if (template.exposure === "joint") return "leave-bare";
  if (bare && fired && GLAZED_AWAY.includes(bare.code))
    return piece.decoration.bareZones.includes(template.zone) ? "leave-bare" : template.exposure === "contents" ? "protect" : "paint";
  if (bare || piece.decoration.bareZones.includes(template.zone)) return "leave-bare";
  if (decoratedHere(template.zone, piece)) return "paint";
  const coated = piece.decoration.baseColour !== null;
  switch (template.exposure) {
    case "underside":
      if (coated && (uses.some((use) => use.finishedUnderside) || !template.optional)) return "finish-underside";
      return coated && wears.includes("weather") ? "finish-underside" : "leave-alone";
    case "contents":
      // What does not soak needs no film to keep the wet out.
      return wears.length > 0 && !slick ? "protect" : "leave-alone";
    default:
      if (template.decorated) return "paint";
      return coated && !template.optional ? "paint" : "leave-alone";
  }
}

/** What lies beside or above a flame, whatever the object calls it: the rim and the strip inside it. */
function byTheFlame({ surface }: ZoneTemplate, use: Use) {
  return use.flame && (surface === "rim" || surface === "inner-strip") ? use.bare.mouth : undefined;
}

/**
 * Derives the zones of a piece from its object, form, parts and uses, with area, wear and treatment.
 *
 * @returns zones in the order of the object's columns; zones of no area (no lip band on a vase) are left out.
 *   `areaMm2` is of one piece, whatever the count.
 */
export function zonesOf(piece: CompletePiece, catalogue: Catalogue): readonly Zone[] {
  const uses = usesOf(piece, catalogue);
  const lipBandMm = Math.max(0, ...uses.map((use) => use.lipBandMm?.value ?? 0));
  const templates = (catalogue.objects.get(piece.object)?.zones ?? []).filter(
    (template) => (template.part === undefined || piece.parts.includes(template.part)) && (template.exposure !== "lip" || lipBandMm > 0),
  );
  const shares = templates.reduce((sum, template) => sum + template.share.value, 0);
  const material = catalogue.materials.get(piece.material);
  const making = { piece, uses, material, fired: mayBeFired(piece, material) };
  const plain = templates.flatMap((template): Zone[] => {
    const areaMm2 = areaOf(template, piece, lipBandMm, shares, templates.length === 1);
    if (areaMm2 <= 0) return [];
    const mustStayBare = uses.map((use) => use.bare[template.exposure] ?? byTheFlame(template, use)).find((bare) => bare !== undefined) ?? null;
    const wears = [...new Set([...wearsOf(template.exposure, uses), ...carriedWears(template, templates, uses)])];
    return [{ zone: template.zone, areaMm2, template, wears, mustStayBare, treatment: treatmentOf(template, wears, mustStayBare, making) }];
  });
  return plain.flatMap((zone) => [zone, ...motifsIn(zone, piece)]);
}

/** Share of its place a motif takes when the user does not say [from memory]. */
const MOTIF_SHARE = memory(0.25);

/** Motif regions the user names inside a place: each with its share of the area, and its own ground where the user wants one. */
function motifsIn(zone: Zone, piece: CompletePiece): readonly Zone[] {
  const names = [
    ...new Set(piece.decoration.layers.flatMap((layer) => (layer.zone && layer.zone !== zone.zone && plainZone(layer.zone) === zone.zone ? [layer.zone] : []))),
  ];
  if (zone.mustStayBare) return [];
  return names.sort().map((name): Zone => {
    const ground = piece.decoration.layers.find((layer) => layer.zone === name && layer.technique === "solid");
    return { ...zone, zone: name, areaMm2: zone.areaMm2 * (ground?.coverage ?? MOTIF_SHARE.value), treatment: "paint", motifGround: ground?.colour ?? null };
  });
}

/**
 * The zone decoration lands on when the user names no place: the largest one meant for it and free to be painted.
 *
 * @returns null where nothing of the piece is free to be painted
 */
export function mainZone(zones: readonly Zone[]): Zone | null {
  const open = zones.filter((zone) => zone.treatment === "paint" && zone.motifGround === undefined);
  const meant = open.filter((zone) => zone.template.decorated);
  return [...(meant.length > 0 ? meant : open)].sort((a, b) => b.areaMm2 - a.areaMm2)[0] ?? null;
}
