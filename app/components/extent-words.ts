import type { Step } from "#core/coating/model/step";
import type { Layer, LayerRow, Marks } from "#core/piece/piece";
import { saySize } from "#core/units/length";
import type { LengthUnit } from "#core/units/length";
import { lowerFirst } from "#core/units/letter-case";

export { saySize };

/** Shares of a place as they are said. */
export const SHARES = [
  { share: 0.05, name: "a little" },
  { share: 0.1, name: "a tenth" },
  { share: 0.25, name: "a quarter" },
  { share: 0.33, name: "a third" },
  { share: 0.5, name: "half" },
  { share: 0.75, name: "three quarters" },
  { share: 1, name: "all" },
] as const;

/** A share of a place in words. @example sayShare(0.3) // "a third of it" */
export function sayShare(share: number): string {
  const near = SHARES.reduce((best, one) => (Math.abs(one.share - share) < Math.abs(best.share - share) ? one : best));
  return `${near.name} of it`;
}

/** How many marks, and how large. @example marksWords({ count: 24, diameterMm: 8 }, "mm") // "24 of 8 mm" */
export function marksWords({ count, diameterMm }: Marks, unit: LengthUnit): string {
  return `${count} of ${saySize(diameterMm, unit)}`;
}

/** Marks of a technique, as they are called. */
const MARK_NAMES: Readonly<Record<string, string>> = { dots: "dots", "walked-dots": "dots", swipes: "swipes" };

/** How much of a decoration a step is reckoned for; null of what is laid all over its place. */
export function extentText(
  { role, technique, marks, coverage, rows }: Pick<Step, "role" | "technique" | "marks" | "coverage" | "rows">,
  unit: LengthUnit,
): string | null {
  if (role !== "decorate" && role !== "top-dot") return null;
  if (rows) return `Marked out: ${rows.map(rowWords).join("; ")}.`;
  if (marks) return `Reckoned for ${marks.count} ${MARK_NAMES[technique ?? ""] ?? "marks"} of ${saySize(marks.diameterMm, unit)}.`;
  return coverage === undefined || coverage >= 1 ? null : `Reckoned for about ${sayShare(coverage)}.`;
}

/** One row of a pattern, with its count. @example rowWords({ id: "r1", name: "Dots of 5 mm", count: 24, diameterMm: 5 }) // "dots of 5 mm: 24" */
function rowWords({ name, count, tool }: LayerRow): string {
  const called = `${lowerFirst(name)}${tool === undefined ? "" : ` with ${tool}`}`;
  return count === 1 ? called : `${called}: ${count}`;
}

/** What a pattern amounts to, by its layers. @example "72 marks and 2 stripes in 3 rows" */
export function patternWords(layers: readonly Layer[]): string {
  const marks = layers.reduce((sum, layer) => sum + (layer.marks?.count ?? 0), 0);
  const rows = new Set(layers.flatMap((layer) => layer.rows?.map(({ id }) => `${layer.zone}/${id}`) ?? []));
  const inRows = rows.size === 1 ? "one row" : `${rows.size} rows`;
  return marks > 0 ? `${marks} marks in ${inRows}` : `stripes in ${inRows}`;
}
