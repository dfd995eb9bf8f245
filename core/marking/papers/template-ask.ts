import type { KeepOut } from "../../piece/pattern";
import { keptFree } from "../keep-outs";
import type { PlacedMark, SolvedPattern, SolvedRow } from "../solved";
import type { MarkingSurface } from "../surface";
import { swipeOutline } from "../swipe-outline";
import { circlePath, throughPoints } from "./sheet";
import type { Drawing, Shape } from "./sheet";

/** What a template is drawn for. */
export interface TemplateAsk {
  readonly surface: MarkingSurface;
  /** Rows it shows; null of a bare place. */
  readonly solved: SolvedPattern | null;
  /** Parts of the round; of a dial 12 or 60. */
  readonly slices: number;
  readonly title: string;
  readonly keepOuts?: readonly KeepOut[];
}

const PAD = 4;

/** Space round a drawing, so that no line runs into its window. */
export function padded([left, top, right, bottom]: Drawing["box"]): Drawing["box"] {
  return [left - PAD, top - PAD, right + PAD, bottom + PAD];
}

/** Rings that are drawn where no rows say which: so far apart, mm. */
const USUAL_STEP_MM = 10;

export function laidRows(solved: SolvedPattern | null): readonly SolvedRow[] {
  return solved?.rows.filter(({ refused, row }) => !refused && row.kind !== "top-dots") ?? [];
}

/** Levels rows lie at, once each; where there are none, steps from the middle or the foot. */
export function levelsOf({ surface, solved }: TemplateAsk): readonly number[] {
  const set = [...new Set(laidRows(solved).flatMap(({ level }) => (level !== null && level > 1e-6 ? [Math.round(level * 1000) / 1000] : [])))];
  if (set.length > 0) return set.sort((a, b) => a - b);
  const count = Math.max(1, Math.floor((surface.to - surface.from) / USUAL_STEP_MM - 1e-9));
  return Array.from({ length: count }, (_unused, k) => surface.from + USUAL_STEP_MM * (k + 1));
}

export function stripeEdges({ level, row }: SolvedRow): readonly number[] {
  return row.kind === "band" || row.kind === "line" ? [level! - row.diameterMm / 2, level! + row.diameterMm / 2] : [];
}

type ToPaper = (flat: readonly [number, number]) => readonly [number, number];

/** From a top as it is seen from above to a sheet, whose y goes downward. */
export const downward: ToPaper = ([x, y]) => [x, -y];

/** A mark at true size: a dot as a circle, a swipe by its edge. */
export function markShape(spots: PlacedMark["spots"], at: ToPaper, group: string): Shape {
  const [first] = spots;
  return spots.length === 1
    ? circlePath(...at(first!.flat), first!.diameterMm / 2, "mark", group)
    : throughPoints(swipeOutline(spots).map(at), true, "mark", group);
}

/** Places kept free, as a help to draw round. */
export function keptShapes({ surface, keepOuts = [] }: TemplateAsk, at: ToPaper = downward): readonly Shape[] {
  return keptFree(surface, keepOuts).map(({ flat, diameterMm }) => circlePath(...at(flat), diameterMm / 2, "faint", "kept-free"));
}
