import { textOfCell, writeCsv } from "./write-csv";
import type { Catalogue } from "../catalogue/catalogue";
import type { Jar } from "../catalogue/jar";
import { csvRows } from "./csv-rows";
import type { CsvRow } from "./csv-rows";
import { bad, good } from "./problem";
import type { Parsed } from "./problem";
import { columnsFor } from "./shelf-columns";
import type { Column, ReadJar, RowDraft } from "./shelf-columns";
import { MOST_JARS } from "./stores/shelf";

/**
 * Writes the shelf as a table: one line a jar, commas between, points in numbers.
 *
 * @param left what is left in each jar, mL
 */
export function writeShelfCsv(shelf: readonly Jar[], left: ReadonlyMap<string, number>, catalogue: Catalogue): string {
  const columns = columnsFor(catalogue);
  const rows = shelf.map((jar) => columns.map(({ write }) => write(jar, left.get(jar.id)) ?? ""));
  return writeCsv(
    columns.map((one) => one.header),
    rows,
  );
}

const plain = (header: string) =>
  header
    .toLowerCase()
    .replace(/\(.*?\)/g, "")
    .replace(/[\s_-]+/g, " ")
    .trim();

const MOST_CSV_CHARS = 5_000_000;

function jarIn({ line, cells }: CsvRow, headers: readonly Column[]): Parsed<ReadJar> {
  const draft: RowDraft = { label: {} };
  const wrong = (header: string, said: string): Parsed<never> => bad("bad-value", `line ${line}, column "${header}"`, said);
  for (const [index, cell] of cells.entries()) {
    const column = headers[index];
    const text = textOfCell(cell.trim());
    if (text === "") continue;
    if (!column) return bad("bad-value", `line ${line}`, "more cells than the first line has");
    const fault = column.read(text, draft);
    if (fault !== null) return wrong(column.header, fault);
  }
  if (draft.name === undefined) return wrong("name", "a jar needs a name");
  if (draft.classId === undefined) return wrong("kind", "say what kind of paint it is");
  const { minC, maxC, bake } = draft.label;
  if (bake && (Number.isNaN(bake.atC) || Number.isNaN(bake.holdMin))) return wrong("bake (°C)", "baking needs both the temperature and the minutes");
  if (minC !== undefined && maxC !== undefined && minC >= maxC) return wrong("warmest (°C)", "it is not above the coldest");
  return good(draft as ReadJar);
}

/**
 * Reads a shelf from a table: columns in any order, commas, semicolons or tabs between them, decimal commas or points, cells in quotes. All of it or
 * nothing: the first fault is named by line and column.
 *
 * @param text the file
 * @returns the jars in the order of the file
 */
export function readShelfCsv(text: string, catalogue: Catalogue): Parsed<readonly ReadJar[]> {
  if (text.length > MOST_CSV_CHARS) return bad("bad-value", "", "this file is larger than any shelf");
  const rows = csvRows(text);
  if (!rows.ok) return rows;
  const [head, ...lines] = rows.value;
  if (!head || lines.length === 0) return bad("missing", "line 1", "the first line names the columns, and a line for each jar follows");
  if (lines.length > MOST_JARS) return bad("bad-value", `line ${lines[MOST_JARS]!.line}`, `more than ${MOST_JARS} jars`);
  const known = columnsFor(catalogue);
  const headers: Column[] = [];
  for (const cell of head.cells) {
    const said = plain(cell);
    const column =
      known.find((one) => plain(one.header) === said && !ambiguous(one, cell)) ?? known.find((one) => one.also?.includes(cell.trim().toLowerCase()));
    if (!column)
      return bad(
        "unknown-key",
        `line ${head.line}, column "${cell.trim()}"`,
        `this column is not known; the columns are: ${known.map((one) => one.header).join(", ")}`,
      );
    if (headers.includes(column)) return bad("bad-value", `line ${head.line}, column "${cell.trim()}"`, "this column stands there twice");
    headers.push(column);
  }
  const jars: ReadJar[] = [];
  const ids = new Set<string>();
  for (const row of lines) {
    const jar = jarIn(row, headers);
    if (!jar.ok) return jar;
    const { id } = jar.value;
    if (id !== undefined && ids.has(id)) return bad("bad-value", `line ${row.line}, column "id"`, "another jar of this file has the same id");
    if (id !== undefined) ids.add(id);
    jars.push(jar.value);
  }
  return good(jars);
}

/** "bake" alone may be the temperature or the minutes: its unit tells. */
function ambiguous({ header }: Column, cell: string): boolean {
  return header.startsWith("bake") && /min/i.test(header) !== /min/i.test(cell);
}
