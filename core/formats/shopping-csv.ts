import { writeCsv } from "./write-csv";

/** One line of a shopping list. */
export interface ShoppingRow {
  readonly what: string;
  readonly jars: number;
  readonly sizeMl: number;
  readonly wantedMl: number;
  readonly overMl: number;
  readonly pieces: readonly string[];
}

/**
 * Writes a shopping list as a table, a line a thing.
 *
 * @returns text with a header; what a table program would work out is made text
 */
export function writeShoppingCsv(rows: readonly ShoppingRow[]): string {
  const lines = rows.map(({ what, jars, sizeMl, wantedMl, overMl, pieces }) => [
    what,
    jars,
    sizeMl,
    Math.ceil(wantedMl),
    Math.floor(overMl),
    pieces.join("; "),
  ]);
  return writeCsv(["what", "jars", "size (ml)", "wanted (ml)", "left over (ml)", "for"], lines);
}
