import Papa from "papaparse";

/** By it a table program knows that the text is UTF-8, and shows "°C" as it is. */
const BYTE_ORDER_MARK = "\uFEFF";

/** A table program takes a cell that begins with one of these as something to work out; a quote before it makes it text. */
const WORKED_OUT = /^[\s]*[=+\-@'\t\r\uFF1D\uFF0B\uFF0D\uFF20]/;

const asText = (text: string) => (WORKED_OUT.test(text) ? `'${text}` : text);

/**
 * What a cell says that was written so that no table program works it out.
 *
 * @example textOfCell("'=1+1") // "=1+1"
 */
export function textOfCell(cell: string): string {
  return cell.startsWith("'") && WORKED_OUT.test(cell.slice(1)) ? cell.slice(1) : cell;
}

/** A number as every table reads it: without an exponent. */
function plainNumber(value: number): string {
  const text = String(value);
  return /e/i.test(text) ? value.toFixed(12).replace(/\.?0+$/, "") : text;
}

/**
 * Writes a table: a line of names, a line for each row, commas between, UTF-8 with its mark. Text that a table program would work out is made harmless.
 *
 * @param fields names of the columns
 * @param rows cells; numbers stay numbers
 */
export function writeCsv(fields: readonly string[], rows: readonly (readonly (string | number)[])[]): string {
  const data = rows.map((row) => row.map((cell) => (typeof cell === "number" ? plainNumber(cell) : asText(cell))));
  return `${BYTE_ORDER_MARK}${Papa.unparse({ fields: [...fields], data }, { newline: "\n" })}\n`;
}
