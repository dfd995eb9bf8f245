import type { ProductId } from "../../catalogue/ids";
import { COVERS_FROM } from "../../catalogue/technique";
import type { ProductClass } from "../../catalogue/product-class";
import type { Technique } from "../../catalogue/technique";
import type { Method, ZoneId } from "../../catalogue/vocabulary";
import { memory } from "../../catalogue/provenance";
import type { Layer, LayerRow } from "../../piece/piece";
import { mainZone } from "../../piece/zones";
import type { Zone } from "../../piece/zones";
import type { PieceFacts } from "./facts";
import { isFieldWork } from "./phase";
import type { StepChoice, StepMarks } from "../model/step";

/** One layer of decoration with its place, colour and marks settled; the medium may be left to the search. */
export interface ZoneLayer {
  readonly zone: ZoneId;
  readonly technique: Technique;
  readonly medium: ProductId | null;
  readonly colour: string | null;
  readonly coverage: number;
  readonly marks: StepMarks | null;
  /** Rows of a pattern it is made of. */
  readonly rows: readonly LayerRow[] | null;
  /** Set on other marks once they are dry. */
  readonly onTop: boolean;
  /** Laid before the guides: fields, bands, stencils, blends, powders. */
  readonly isField: boolean;
}

function techniquesWanted(facts: PieceFacts): readonly Technique[] {
  const { techniques, media } = facts.piece.decoration;
  const known = techniques.flatMap((id) => facts.catalogue.techniques.get(id) ?? []);
  if (known.length > 0) return known;
  // Only media named: each brings the technique it is usual for.
  return media.flatMap((id) => {
    const first = facts.catalogue.products.get(id)?.techniques[0];
    return (first && facts.catalogue.techniques.get(first)) ?? [];
  });
}

/** Over a base colour every paint holds; on the bare body only what grips it. */
function holdsHere(id: ProductId, facts: PieceFacts): boolean {
  const product = facts.catalogue.products.get(id);
  const { surface } = facts.material;
  return facts.piece.decoration.baseColour !== null || (product?.grips.includes(surface) ?? false) || (product?.gripsBaked.includes(surface) ?? false);
}

/** Techniques, media and colours spread when the user bound none of them together: each extra colour is another layer. */
function spread(facts: PieceFacts): readonly Layer[] {
  const { colours, media, baseColour } = facts.piece.decoration;
  // Over a base colour "solid colour" is that very base.
  const techniques = techniquesWanted(facts).filter((technique) => technique.id !== "solid" || baseColour === null);
  if (techniques.length === 0) return [];
  const rounds = Math.max(techniques.length, colours.length);
  const used = new Map<ProductId, number>();
  return Array.from({ length: rounds }, (_unused, index) => {
    const technique = techniques[index % techniques.length]!;
    // One that holds here, then the one least used so far, so that every one the user named finds its technique.
    const [medium] = media
      .filter((id) => facts.catalogue.products.get(id)?.techniques.includes(technique.id))
      .sort((a, b) => Number(holdsHere(b, facts)) - Number(holdsHere(a, facts)) || (used.get(a) ?? 0) - (used.get(b) ?? 0));
    if (medium) used.set(medium, (used.get(medium) ?? 0) + 1);
    const colour = colours[index % Math.max(1, colours.length)];
    return { technique: technique.id, ...(medium ? { medium } : {}), ...(colour ? { colour } : {}) };
  });
}

/** Smallest and largest mark anyone sets when no size is said, mm, and how many side by side make up the shorter way across. */
const USUAL_MARK_MM = memory({ least: 2, most: 6, across: 14 });
/** Nobody sets more than this when no number is said. */
const MOST_MARKS = memory(240);
const LEAST_MARKS = 8;
/** Rings divide by it. */
const MULTIPLE = 4;

/** A number and a size of marks that suit the zone: by its area and the share that the technique covers, shared by layers of one technique. */
function usualMarks(technique: Technique, zone: Zone, alike: number): StepMarks {
  const usual = technique.marks!.value;
  const { least, most, across } = USUAL_MARK_MM.value;
  const scaled = (Math.sqrt(zone.areaMm2) / across) * (usual.diameterMm / 5);
  const diameterMm = Math.round(Math.min(most * (usual.diameterMm / 5), Math.max(least, scaled)) * 2) / 2;
  const whole = (zone.areaMm2 * technique.coverage.value) / ((Math.PI * diameterMm ** 2) / 4);
  const count = Math.min(MOST_MARKS.value, whole) / alike;
  return { count: Math.max(LEAST_MARKS, Math.round(count / MULTIPLE) * MULTIPLE), diameterMm, heightMm: (usual.heightMm * diameterMm) / usual.diameterMm };
}

function marksOf(layer: Layer, technique: Technique, zone: Zone, alike: number): StepMarks | null {
  const usual = technique.marks?.value ?? null;
  const heightMm = (diameterMm: number) => (usual ? (usual.heightMm * diameterMm) / usual.diameterMm : diameterMm / 10);
  const given = layer.marks;
  if (given) return { count: given.count, diameterMm: given.diameterMm, heightMm: given.heightMm ?? heightMm(given.diameterMm) };
  return usual ? usualMarks(technique, zone, alike) : null;
}

/** The tool a medium is laid with in a technique: pens and cans are their own; a line that is no pen's is drawn with a liner brush. */
export function methodFor({ method }: Technique, { methods }: ProductClass): Method {
  if (methods[0] === "pen" || methods[0] === "spray") return methods[0];
  return method === "pen" ? "brush" : method;
}

/**
 * What of a technique follows where the user names it for a step, and says no more of it: how it is laid, how much of its place it takes, its marks.
 *
 * @param zone where it is done
 * @param product what it is done with
 */
export function techniqueWork(
  technique: Technique,
  zone: Zone,
  product: ProductClass,
): Pick<StepChoice, "method" | "coverage" | "while"> & { readonly marks?: StepMarks } {
  const { coverage } = technique;
  return {
    method: methodFor(technique, product),
    coverage: coverage.value,
    while: technique.while,
    ...(technique.marks ? { marks: usualMarks(technique, zone, 1) } : {}),
  };
}

/** A solid layer over a whole place: its field, with its colour and the paint named for it. */
export interface WholeField {
  readonly colour: string;
  readonly medium: ProductId | null;
}

function listed(facts: PieceFacts): readonly Layer[] {
  const { layers } = facts.piece.decoration;
  return layers.length > 0 ? layers : spread(facts);
}

/**
 * The layers of a piece said one by one, as they are taken while the user has only named techniques, colours and media: each with its place.
 *
 * @returns none where nothing is decorated
 */
export function layersToSay(facts: PieceFacts): readonly Layer[] {
  const main = mainZone(facts.zones)?.zone;
  return listed(facts).map((layer) => ({ ...layer, ...(layer.zone === undefined && main !== undefined ? { zone: main } : {}) }));
}

const coversAll = (layer: Layer) => layer.technique === "solid" && (layer.coverage ?? 1) >= COVERS_FROM;

/** The field a solid layer makes of a whole zone; null where none does. */
export function wholeFieldOf(facts: PieceFacts, zone: ZoneId): WholeField | null {
  const main = mainZone(facts.zones)?.zone;
  const { colours } = facts.piece.decoration;
  const all = listed(facts);
  const last = all.findLast((layer) => coversAll(layer) && (layer.zone ?? main) === zone);
  const colour = last && (last.colour ?? colours[all.indexOf(last) % Math.max(1, colours.length)]);
  return last && colour ? { colour, medium: last.medium ?? null } : null;
}

/** One layer with all that is open in it settled; null where nothing is laid for it. */
function settledLayer(facts: PieceFacts, all: readonly Layer[], index: number): ZoneLayer | null {
  const { colours } = facts.piece.decoration;
  const main = mainZone(facts.zones);
  const layer = all[index]!;
  const technique = facts.catalogue.techniques.get(layer.technique);
  const zone = facts.zones.find((one) => one.zone === (layer.zone ?? main?.zone));
  if (!technique || zone?.treatment !== "paint" || (zone.motifGround === undefined && coversAll(layer))) return null;
  const alike = all.filter((other) => other.technique === layer.technique && (other.zone ?? main?.zone) === zone.zone && !other.marks).length;
  const medium = layer.medium ?? null;
  return {
    zone: zone.zone,
    technique,
    medium,
    colour: layer.colour ?? colours[index % Math.max(1, colours.length)] ?? null,
    coverage: layer.coverage ?? technique.coverage.value,
    marks: marksOf(layer, technique, zone, Math.max(1, alike)),
    rows: layer.rows ?? null,
    onTop: layer.onTop ?? false,
    isField: isFieldWork(technique, medium === null ? null : (facts.catalogue.products.get(medium) ?? null)),
  };
}

/**
 * Settles the layers of decoration: which technique, in what colour, where. A solid layer over a whole place is no layer: it is its field.
 *
 * @returns layers in working order: what is done wet first, then the user's own order
 */
export function layersOf(facts: PieceFacts): readonly ZoneLayer[] {
  const all = listed(facts);
  const settled = all.flatMap((_layer, index) => settledLayer(facts, all, index) ?? []);
  return [...settled.filter((one) => one.technique.while === "wet"), ...settled.filter((one) => one.technique.while === "dry")];
}

/** What is taken for a layer where its number, its size and its share are left open. */
export interface LayerTaken {
  /** Null of a technique that sets no marks. */
  readonly marks: StepMarks | null;
  /** Share of its place, 0–1. */
  readonly coverage: number;
}

/**
 * What would be taken for each layer the user has said, were its marks and its share left open.
 *
 * @returns one for each, in the user's order; null where nothing is laid for it
 */
export function layersTaken(facts: PieceFacts): readonly (LayerTaken | null)[] {
  const { layers } = facts.piece.decoration;
  const open = ({ marks: _marks, coverage: _coverage, ...rest }: Layer): Layer => rest;
  return layers.map((_layer, index) => {
    const all = layers.map((layer, at) => (at === index ? open(layer) : layer));
    const taken = settledLayer(facts, all, index);
    return taken && { marks: taken.marks, coverage: taken.coverage };
  });
}
