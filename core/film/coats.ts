import { lightness } from "./colour";

/**
 * Coats that look solid, by the colour's own contrast ratio, over a ground of much the same lightness or white, and over a
 * dark one. The handbook's plausible results for brushed films; interpolated between its rows.
 * [from memory: trade handbook §8; a full hiding model replaces this table]
 */
const COATS_BY_CONTRAST_RATIO: readonly { readonly ratio: number; readonly near: number; readonly lightOnDark: number }[] = [
  { ratio: 0.95, near: 1, lightOnDark: 2 },
  { ratio: 0.9, near: 1.6, lightOnDark: 2 },
  { ratio: 0.8, near: 2, lightOnDark: 3 },
  { ratio: 0.65, near: 3, lightOnDark: 5 },
  { ratio: 0.5, near: 4, lightOnDark: 7.5 },
  { ratio: 0.25, near: 6, lightOnDark: 14 },
];
/** A colour at least this much lighter (L*) than what lies beneath has to hide it; the other way round it hides easily. */
const LIGHTER_BY = 25;

/**
 * Coats of a colour needed over what is beneath, before the practice floor of the class.
 *
 * @param contrastRatio of the very colour, 0–1; null (clears, effects) needs one by this measure
 * @param colour sRGB hex of the paint
 * @param beneath sRGB hex of the ground
 * @returns whole coats, 1 or more
 * @example coatsToLookSolid(0.8, "#f4efe2", "#1f2a30") // 3
 */
export function coatsToLookSolid(contrastRatio: number | null, colour: string, beneath: string): number {
  if (contrastRatio === null) return 1;
  const lift = lightness(colour) - lightness(beneath);
  const column = lift > LIGHTER_BY ? "lightOnDark" : "near";
  const rows = COATS_BY_CONTRAST_RATIO;
  const at = rows.findIndex((row) => contrastRatio >= row.ratio);
  if (at === 0) return Math.ceil(rows[0]![column]);
  if (at < 0) return Math.ceil(rows[rows.length - 1]![column]);
  const [above, below] = [rows[at - 1]!, rows[at]!];
  const share = (contrastRatio - below.ratio) / (above.ratio - below.ratio);
  return Math.max(1, Math.round(below[column] + share * (above[column] - below[column])));
}
