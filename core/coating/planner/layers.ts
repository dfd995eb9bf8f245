import type { ProductId } from "../../catalogue/ids";
import type { Technique } from "../../catalogue/technique";
import type { ZoneId } from "../../catalogue/vocabulary";
import type { Layer } from "../../piece/piece";
import { mainZone } from "../../piece/zones";
import type { PieceFacts } from "../facts/facts";
import type { StepMarks } from "../model/step";

/** One layer of decoration with its place, colour and marks settled; the medium may be left to the search. */
export interface ZoneLayer {
  readonly zone: ZoneId;
  readonly technique: Technique;
  readonly medium: ProductId | null;
  readonly colour: string | null;
  readonly coverage: number;
  readonly marks: StepMarks | null;
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
  const { colours, media } = facts.piece.decoration;
  const techniques = techniquesWanted(facts);
  if (techniques.length === 0) return [];
  const rounds = Math.max(techniques.length, Math.min(colours.length, techniques.length * 4));
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

/**
 * Settles the layers of decoration: which technique, in what colour, where.
 *
 * @returns layers in working order: what is done wet first, then the user's own order
 */
export function layersOf(facts: PieceFacts): readonly ZoneLayer[] {
  const { layers, colours } = facts.piece.decoration;
  const main = mainZone(facts.zones);
  const suffixBounds = (layers.length > 0 ? layers : spread(facts)).flatMap((layer, index): ZoneLayer[] => {
    const technique = facts.catalogue.techniques.get(layer.technique);
    const zone = layer.zone ?? main?.zone;
    if (!technique || !zone || facts.zones.find((one) => one.zone === zone)?.treatment !== "paint") return [];
    const given = layer.marks;
    const usual = technique.marks?.value ?? null;
    const heightMm = (diameterMm: number) => (usual ? (usual.heightMm * diameterMm) / usual.diameterMm : diameterMm / 10);
    const marks = given ? { count: given.count, diameterMm: given.diameterMm, heightMm: given.heightMm ?? heightMm(given.diameterMm) } : usual;
    return [
      {
        zone,
        technique,
        medium: layer.medium ?? null,
        colour: layer.colour ?? colours[index % Math.max(1, colours.length)] ?? null,
        coverage: layer.coverage ?? technique.coverage.value,
        marks,
      },
    ];
  });
  return [...suffixBounds.filter((one) => one.technique.while === "wet"), ...suffixBounds.filter((one) => one.technique.while === "dry")];
}
