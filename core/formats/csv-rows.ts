import Papa from "papaparse";
import { good, problem } from "./problem";
import type { Parsed, Problem } from "./problem";

/** A row of a table, with the line of its file it begins on. */
export interface CsvRow {
  readonly line: number;
  readonly cells: readonly string[];
}

const SEPARATORS = [",", ";", "\t"] as const;

/** What stands between the cells: of commas, semicolons and tabs the one the first line has most of, outside quotes; a comma where it has none. */
function separatorOf(text: string): string {
  const first = /^[\r\n]*((?:"(?:[^"]|"")*"|[^"\r\n])*)/.exec(text)![1]!.replace(/"(?:[^"]|"")*"/g, "");
  const count = (separator: string) => first.split(separator).length;
  return SEPARATORS.reduce((best, one) => (count(one) > count(best) ? one : best));
}

/**
 * Rows of a table with the line each begins on: a cell in quotes may run over several, and empty rows are passed over.
 *
 * @param file its text; commas, semicolons or tabs between cells
 */
export function csvRows(file: string): Parsed<readonly CsvRow[]> {
  const text = file.replace(/^\uFEFF/, "");
  const rows: CsvRow[] = [];
  let from = 0;
  let line = 1;
  let fault: Problem | null = null;
  Papa.parse<string[]>(text, {
    delimiter: separatorOf(text),
    step: ({ data, errors, meta }) => {
      const [first] = errors;
      // A table of one column has no separator to be found, which is no fault.
      if (first && first.type !== "Delimiter") fault ??= problem("bad-value", `line ${line}`, first.message);
      const said = text.slice(from, meta.cursor);
      const blank = /^[\r\n]*/.exec(said)![0];
      if (data.some((cell) => cell.trim() !== "")) rows.push({ line: line + (blank.match(/\r\n|\r|\n/g)?.length ?? 0), cells: data });
      line += said.match(/\r\n|\r|\n/g)?.length ?? 0;
      from = meta.cursor;
    },
  });
  return fault ? { ok: false, problem: fault } : good(rows);
}
