import type { Step } from "#core/coating/model/step";
import type { Marks } from "#core/piece/piece";
import { sayLength, typedLength } from "#core/units/length";
import type { LengthUnit } from "#core/units/length";

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

/** How large marks are: "8.5 mm", or to the nearest eighth of an inch. */
export function saySize(mm: number, unit: LengthUnit): string {
  return unit === "mm" ? `${typedLength(mm, unit)} mm` : sayLength(mm, unit);
}

/** How many marks, and how large. @example marksWords({ count: 24, diameterMm: 8 }, "mm") // "24 of 8 mm" */
export function marksWords({ count, diameterMm }: Marks, unit: LengthUnit): string {
  return `${count} of ${saySize(diameterMm, unit)}`;
}

/** Marks of a technique, as they are called. */
const MARK_NAMES: Readonly<Record<string, string>> = { dots: "dots", "walked-dots": "dots", swipes: "swipes" };

/** How much of a decoration a step is reckoned for; null of what is laid all over its place. */
export function extentText({ role, technique, marks, coverage }: Pick<Step, "role" | "technique" | "marks" | "coverage">, unit: LengthUnit): string | null {
  if (role !== "decorate") return null;
  if (marks) return `Reckoned for ${marks.count} ${MARK_NAMES[technique ?? ""] ?? "marks"} of ${saySize(marks.diameterMm, unit)}.`;
  return coverage === undefined || coverage >= 1 ? null : `Reckoned for about ${sayShare(coverage)}.`;
}
