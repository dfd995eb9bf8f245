import type { TechniqueId } from "../catalogue/vocabulary";
import type { Layer, LayerRow } from "../piece/piece";
import type { Pattern } from "../piece/pattern";
import { capVolume } from "../piece/areas";
import { TECHNIQUES_DATA } from "../catalogue/data/techniques";
import { rowKind } from "./row-kinds";
import type { PlacedMark, SolvedPattern, SolvedRow } from "./solved";
import type { MarkingSurface } from "./surface";
import { workingOrder, rowName } from "./working-order";

/** Height of a mark as a share of its diameter, as its technique has it. */
function heightShare(technique: TechniqueId): number {
  const usual = TECHNIQUES_DATA.find(({ id }) => id === technique)?.marks?.value;
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
function marksOf(marks: readonly PlacedMark[], technique: TechniqueId) {
  const share = heightShare(technique);
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

function layerOf(group: readonly Laid[], zone: Pattern["zone"]): Layer {
  const { row } = group[0]!.solved;
  const { technique } = rowKind(row.kind);
  const rows = group.map(({ solved, marks }): LayerRow => {
    const tool = solved.row.tool;
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
      technique,
    ),
    rows,
  };
}

/** A band or line: the share of its place it takes. */
function stripeLayer({ row, lengthMm }: SolvedRow, zone: Pattern["zone"], areaMm2: number): Layer {
  return {
    technique: rowKind(row.kind).technique,
    zone,
    colour: row.colours[0]!,
    ...(row.medium ? { medium: row.medium } : {}),
    coverage: Math.min(1, Math.max(0.001, Math.round(((lengthMm * row.diameterMm) / areaMm2) * 1000) / 1000)),
    rows: [{ id: row.id, name: rowName(row), count: 1, diameterMm: row.diameterMm }],
  };
}

/**
 * The layers a pattern amounts to, in the order they are set: with count, size, colour and the rows they are made of.
 *
 * @param zone of the pattern
 * @param areaMm2 of its place
 */
export function layersOfPattern(surface: MarkingSurface, solved: SolvedPattern, zone: Pattern["zone"], areaMm2: number): readonly Layer[] {
  const order = workingOrder(surface, solved.rows);
  const byId = new Map(solved.rows.map((one) => [one.row.id, one]));
  const layers: Layer[] = [];
  const groups = new Map<string, Laid[]>();
  for (const { row: id } of order) {
    const one = byId.get(id)!;
    if (one.marks.length === 0) {
      layers.push(stripeLayer(one, zone, areaMm2));
      continue;
    }
    for (const colour of new Set(one.row.colours)) {
      const marks = one.marks.filter((mark) => mark.colour === colour);
      if (marks.length === 0) continue;
      const laid = { solved: one, colour, marks };
      const group = groups.get(keyOf(laid));
      if (group) group.push(laid);
      else groups.set(keyOf(laid), [laid]);
    }
  }
  return [...layers, ...[...groups.values()].map((group) => layerOf(group, zone))];
}
