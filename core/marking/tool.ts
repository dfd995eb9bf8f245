import { memory } from "../catalogue/provenance";

export const TIPS = ["ball", "flat", "needle"] as const;
export type Tip = (typeof TIPS)[number];

/** A tool that dots are set with. */
export interface MarkTool {
  readonly id: string;
  /** The set it belongs to, as its owner calls it. */
  readonly set?: string;
  /** What is written on it, or its colour. */
  readonly label: string;
  readonly tip: Tip;
  /** Across the tip, mm. */
  readonly mm: number;
  /** Dot for tip, as measured by its owner's own test row; the usual one without it. */
  readonly leaves?: number;
}

/** How full the tool is, and what that does to the dot. */
export const LOADS = ["light", "usual", "full"] as const;
export type Load = (typeof LOADS)[number];

/** How much wider than its tip a dot is, by tip [from memory]: a ball leaves less than its width when it only touches, a flat end a little more. */
const SPREAD: Readonly<Record<Tip, number>> = memory({ ball: 1.05, flat: 1.1, needle: 1.6 }).value;
/** What a load changes [from memory]. */
const BY_LOAD: Readonly<Record<Load, number>> = memory({ light: 0.85, usual: 1, full: 1.15 }).value;
/** What the body of the paint changes: thin paint runs wider, stiff paint stays [from memory]. */
const BY_BODY: Readonly<Record<PaintBody, number>> = memory({ thin: 1.2, usual: 1, stiff: 0.95 }).value;
export const BODIES = ["thin", "usual", "stiff"] as const;
export type PaintBody = (typeof BODIES)[number];

/** How a tool is used: how full it is, and how thick the paint. */
export interface Hand {
  readonly load: Load;
  readonly body: PaintBody;
}

export const USUAL_HAND: Hand = { load: "usual", body: "usual" };

/**
 * The dot a tool leaves, mm.
 *
 * @param tool its own test row wins over the usual spread
 * @example dotOf({ tip: "ball", mm: 4 }) // 4.2
 */
export function dotOf({ tip, mm, leaves }: Pick<MarkTool, "tip" | "mm" | "leaves">, { load, body }: Hand = USUAL_HAND): number {
  return Math.round(mm * (leaves ?? SPREAD[tip]) * BY_LOAD[load] * BY_BODY[body] * 100) / 100;
}

/**
 * What a test row says of a tool: so many dots set one touching the other, measured from end to end.
 *
 * @param rowMm length of the row
 * @param dots in it
 * @param tipMm across the tip
 * @returns dot for tip; null where it cannot be (no dot is a fifth or five times its tip)
 */
export function leavesByRow(rowMm: number, dots: number, tipMm: number): number | null {
  const leaves = rowMm / dots / tipMm;
  return dots >= 2 && Number.isFinite(leaves) && leaves >= 0.2 && leaves <= 5 ? Math.round(leaves * 1000) / 1000 : null;
}

/** Whether dots set again without loading shrink: from a ball or a needle they do, from a flat end they do not [common practice]. */
export function shrinks(tip: Tip): boolean {
  return tip !== "flat";
}

/** Things of the house that set dots, with sizes that are usual [from memory]: measure your own. */
export const HOUSEHOLD_TOOLS: readonly MarkTool[] = [
  { id: "house-pin", label: "Glass-headed pin", tip: "ball", mm: 2 },
  { id: "house-toothpick", label: "Toothpick, its blunt end", tip: "flat", mm: 1.8 },
  { id: "house-skewer", label: "Wooden skewer, its blunt end", tip: "flat", mm: 3 },
  { id: "house-brush-end", label: "End of a thin brush", tip: "ball", mm: 4 },
  { id: "house-swab", label: "Cotton swab", tip: "ball", mm: 5 },
  { id: "house-eraser", label: "Eraser of a pencil", tip: "flat", mm: 6.5 },
  { id: "house-drill-3", label: "Shank of a 3 mm drill", tip: "flat", mm: 3 },
  { id: "house-drill-5", label: "Shank of a 5 mm drill", tip: "flat", mm: 5 },
  { id: "house-drill-8", label: "Shank of an 8 mm drill", tip: "flat", mm: 8 },
  { id: "house-needle", label: "Darning needle", tip: "needle", mm: 0.8 },
];

/** The tool for a dot, and what it really leaves. */
export interface ToolChoice {
  readonly tool: MarkTool;
  readonly leavesMm: number;
  /** Larger than was asked, or smaller below 0. */
  readonly offMm: number;
}

/** A dot this near to the wished one is that dot, as a share of it [from memory]. */
const NEAR = memory(0.1).value;

/**
 * The tool whose dot is nearest.
 *
 * @param tools the user's own
 * @returns null where there is none; `exact` where nobody would see the difference
 */
export function nearestTool(diameterMm: number, tools: readonly MarkTool[], hand: Hand = USUAL_HAND): (ToolChoice & { readonly exact: boolean }) | null {
  const choices = tools.map((tool): ToolChoice => {
    const leavesMm = dotOf(tool, hand);
    return { tool, leavesMm, offMm: leavesMm - diameterMm };
  });
  const [best] = [...choices].sort((a, b) => Math.abs(a.offMm) - Math.abs(b.offMm));
  return best ? { ...best, exact: Math.abs(best.offMm) <= diameterMm * NEAR } : null;
}
