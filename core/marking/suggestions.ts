import { USUAL_GAP_MM } from "./ring-count";
import type { Closing } from "./ring-count";
import type { SolvedRow } from "./solved";

/** Counts that go with those of other rows: as many, twice as many, half as many; those that close where the row lies. */
export function kindredCounts({ gapWith }: SolvedRow, others: readonly SolvedRow[]): readonly Closing[] {
  const counts = new Set(others.filter(({ places }) => places > 1).flatMap(({ places }) => [places, places * 2, places / 2]));
  return [...counts].flatMap((count) => {
    const gapMm = Number.isInteger(count) && count > 1 ? gapWith(count) : NaN;
    return gapMm >= 0 ? [{ count, gapMm }] : [];
  });
}

const wishedGap = ({ row }: SolvedRow) => row.gapMm ?? USUAL_GAP_MM.value;

/** Down to a tenth of a millimetre. */
const tenth = (mm: number) => Math.floor(mm * 10 + 1e-9) / 10;
/** Less than this more is no larger dot, mm. */
const WORTH_MM = 0.2;

/**
 * The dot with which a row of single dots fills its line: as many, with just the wished space between.
 *
 * @returns mm; null where nothing is gained, or the row is not one of single dots
 */
export function fillingDiameter(solved: SolvedRow): number | null {
  const { row, gapMm } = solved;
  if (gapMm === null || row.kind !== "dots") return null;
  const fits = tenth(row.diameterMm + gapMm - wishedGap(solved));
  return fits > row.diameterMm + WORTH_MM ? fits : null;
}

/**
 * As many single dots of another size as close where a row lies, with the space it is wished.
 *
 * @param diameterMm of the other dot
 * @returns null where the count is said, or follows from another row
 */
export function closingWith(solved: SolvedRow, diameterMm: number): number | null {
  const { row, places, gapWith } = solved;
  if (row.kind !== "dots" || row.count !== undefined || row.seat !== undefined || places < 2) return null;
  const step = Math.max(row.multipleOf ?? 1, row.colours.length);
  const goes = (count: number) => gapWith(count) + row.diameterMm - diameterMm >= wishedGap(solved) - 1e-9;
  let count = places;
  while (count > step && !goes(count)) count -= step;
  while (goes(count + step)) count += step;
  return count;
}
