import type { Pattern, Row } from "../piece/pattern";
import type { MarkingSurface } from "./surface";

/** A pattern the user keeps: rows as they were set on a body of some size. */
export interface KeptPattern {
  readonly name: string;
  readonly shape: "top" | "wall";
  /** Shortest way across, or the way up, of the place it was made for, mm. */
  readonly acrossMm: number;
  readonly guides: number;
  readonly from?: "centre" | "rim";
  readonly rows: readonly Row[];
}

/** How large a place is for a pattern: across the shorter way, or up the wall, mm. */
export function sizeOf({ shape, widthMm, heightMm }: Pick<MarkingSurface, "shape" | "widthMm" | "heightMm">): number {
  return shape === "top" ? Math.min(widthMm, heightMm) : heightMm;
}

/** What is kept of a piece's pattern. */
export function keptPatternOf(name: string, { rows, guides = 1, from }: Pattern, surface: MarkingSurface): KeptPattern {
  return { name, shape: surface.shape, acrossMm: Math.round(sizeOf(surface) * 10) / 10, guides, ...(from ? { from } : {}), rows };
}

const SCALES = { least: 0.25, most: 4 } as const;

/** A length on a place of another size, to half a millimetre. @param leastMm it is never smaller */
export function scaledMm(mm: number, scale: number, leastMm = 0): number {
  return Math.max(leastMm, Math.round(mm * scale * 2) / 2);
}

const SMALLEST_DOT_MM = 1;

/** A row on a place of another size: counts stay free to close anew. */
export function scaledRow(row: Row, scale: number): Row {
  const { diameterMm, gapMm, apartMm, lengthMm, lastMm, at } = row;
  const place = at && (Object.fromEntries(Object.entries(at).map(([key, mm]) => [key, scaledMm(mm as number, scale)])) as unknown as Row["at"]);
  return {
    ...row,
    diameterMm: scaledMm(diameterMm, scale, SMALLEST_DOT_MM),
    ...(gapMm === undefined ? {} : { gapMm: Math.round(gapMm * scale * 10) / 10 }),
    ...(apartMm === undefined ? {} : { apartMm: scaledMm(apartMm, scale) }),
    ...(lengthMm === undefined ? {} : { lengthMm: scaledMm(lengthMm, scale, SMALLEST_DOT_MM) }),
    ...(lastMm === undefined ? {} : { lastMm: scaledMm(lastMm, scale, SMALLEST_DOT_MM) }),
    ...(place ? { at: place } : {}),
  };
}

/** The rows of a kept pattern on a place of another size; as they are where it is nearly the same. */
export function rowsOfKept({ rows, acrossMm }: KeptPattern, surface: MarkingSurface): readonly Row[] {
  const scale = Math.min(SCALES.most, Math.max(SCALES.least, sizeOf(surface) / acrossMm));
  return Math.abs(scale - 1) < 0.1 ? rows : rows.map((row) => scaledRow(row, scale));
}
