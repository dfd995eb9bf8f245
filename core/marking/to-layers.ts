import type { Catalogue } from "../catalogue/catalogue";
import type { TechniqueId } from "../catalogue/vocabulary";
import type { Layer, LayerRow } from "../piece/piece";
import type { Pattern } from "../piece/pattern";
import { capVolume } from "../piece/areas";
import { rowKind } from "./row-kinds";
import type { PlacedMark, SolvedPattern, SolvedRow } from "./solved";
import type { MarkingSurface } from "./surface";
import { workingOrder, rowName } from "./working-order";

/** Height of a mark as a share of its diameter, as its technique has it. */
function heightShare(technique: TechniqueId, catalogue: Catalogue): number {
  const usual = catalogue.techniques.get(technique)?.marks?.value;
  return usual ? usual.heightMm / usual.diameterMm : 0;
}

/** A swipe as the round mark of its area, mm across. */
function roundOf({ spots }: PlacedMark): number {
  if (spots.length === 1) return spots[0]!.diameterMm;
  let area = (Math.PI * spots[0]!.diameterMm ** 2) / 8;
  for (let k = 1; k < spots.length; k++) {
    const [a, b] = [spots[k - 1]!, spots[k]!];
    const way = Math.hypot(a.at[0] - b.at[0], a.at[1] - b.at[1], a.at[2] - b.at[2]);
    area += (way * (a.diameterMm + b.diameterMm)) / 2;
  }
  return Math.sqrt((4 * area) / Math.PI);
}

/** Marks of one layer as one number and size: their paint in all at the height of the tallest, which is the last to be dry. */
function marksOf(marks: readonly PlacedMark[], share: number) {
  const sizes = marks.map(roundOf);
  const heightMm = share * Math.max(...marks.map(({ spots }) => Math.max(...spots.map((spot) => spot.diameterMm))));
  const volume = sizes.reduce((sum, mm) => sum + capVolume(mm, share * mm), 0) / marks.length;
  const alike = sizes.every((mm) => Math.abs(mm - sizes[0]!) < 1e-6);
  const across = Math.sqrt(Math.max(0, (4 / 3) * ((6 * volume) / (Math.PI * heightMm) - heightMm ** 2)));
  return { count: marks.length, diameterMm: tidy(alike ? sizes[0]! : across), heightMm: tidy(Math.max(0.01, heightMm)) };
}

/** To hundredths: a layer that is worked out again is the same layer. */
const tidy = (mm: number) => Math.round(mm * 100) / 100;

interface Laid {
  readonly solved: SolvedRow;
  readonly colour: string;
  readonly marks: readonly PlacedMark[];
}

/** Rows that share a technique, a paint, a colour and a size are one layer: set with one tool from one puddle. */
function keyOf({ solved: { row }, colour }: Laid): string {
  const { technique } = rowKind(row.kind);
  const top = row.kind === "top-dots";
  return [technique, top, row.medium ?? "", colour, technique === "dots" ? row.diameterMm : ""].join("/");
}

function layerOf(group: readonly Laid[], zone: Pattern["zone"], catalogue: Catalogue): Layer {
  const { row } = group[0]!.solved;
  const { technique } = rowKind(row.kind);
  const rows = group.map(({ solved, marks }): LayerRow => {
    const tool = solved.row.toolName;
    return { id: solved.row.id, name: rowName(solved.row), count: marks.length, diameterMm: solved.row.diameterMm, ...(tool === undefined ? {} : { tool }) };
  });
  return {
    technique,
    zone,
    colour: group[0]!.colour,
    ...(row.medium ? { medium: row.medium } : {}),
    ...(row.kind === "top-dots" ? { onTop: true as const } : {}),
    marks: marksOf(
      group.flatMap(({ marks }) => marks),
      heightShare(technique, catalogue),
    ),
    rows,
  };
}

/** Stripes of one colour as one layer: they are masked and painted in one go, and take a share of their place. */
function stripeLayer(group: readonly SolvedRow[], zone: Pattern["zone"], areaMm2: number): Layer {
  const { row } = group[0]!;
  const covered = group.reduce((sum, one) => sum + one.lengthMm * one.row.diameterMm, 0);
  return {
    technique: rowKind(row.kind).technique,
    zone,
    colour: row.colours[0]!,
    ...(row.medium ? { medium: row.medium } : {}),
    coverage: Math.min(1, Math.max(0.001, Math.round((covered / Math.max(1, areaMm2)) * 1000) / 1000)),
    rows: group.map((one) => ({ id: one.row.id, name: rowName(one.row), count: 1, diameterMm: one.row.diameterMm })),
  };
}

/** Rows by what they are set with, in the order each comes first. */
function grouped<T>(all: readonly T[], keyOf: (one: T) => string): readonly (readonly T[])[] {
  const groups = new Map<string, T[]>();
  for (const one of all) {
    const group = groups.get(keyOf(one));
    if (group) group.push(one);
    else groups.set(keyOf(one), [one]);
  }
  return [...groups.values()];
}

/**
 * The layers a pattern amounts to, in the order they are set: with count, size, colour and the rows they are made of.
 *
 * @param zone of the pattern
 * @param areaMm2 of its place
 * @param catalogue how high a mark of each technique is
 */
export function layersOfPattern(
  surface: MarkingSurface,
  solved: SolvedPattern,
  zone: Pattern["zone"],
  areaMm2: number,
  catalogue: Catalogue,
): readonly Layer[] {
  const order = workingOrder(surface, solved.rows);
  const byId = new Map(solved.rows.map((one) => [one.row.id, one]));
  const inOrder = order.map(({ row }) => byId.get(row)!);
  const stripes = inOrder.filter(({ marks }) => marks.length === 0);
  const laid = inOrder.flatMap((one): Laid[] =>
    [...new Set(one.row.colours)].flatMap((colour) => {
      const marks = one.marks.filter((mark) => mark.colour === colour);
      return marks.length > 0 ? [{ solved: one, colour, marks }] : [];
    }),
  );
  return [
    ...grouped(stripes, ({ row }) => [row.kind, row.medium ?? "", row.colours[0]].join("/")).map((group) => stripeLayer(group, zone, areaMm2)),
    ...grouped(laid, keyOf).map((group) => layerOf(group, zone, catalogue)),
  ];
}
