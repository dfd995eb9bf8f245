import { textOfCell } from "./write-csv";
import { csvRows } from "./csv-rows";
import type { CsvRow } from "./csv-rows";
import { isDay } from "./hours-schema";
import { bad, good } from "./problem";
import type { Parsed } from "./problem";
import { RECORD_LIMITS } from "./stores/records";
import type { ToldWork } from "../logbook/record/record";
import { MOST_OF_ONE } from "../piece/piece";

/** What a column of older notes may hold, in the order it is offered. */
export const OLDER_FIELDS = ["name", "body", "count", "finished", "colours", "paints", "sealer", "who", "note"] as const;
export type OlderField = (typeof OLDER_FIELDS)[number];

/** Which field each column is; null for one that is left out. */
export type OlderColumns = readonly (OlderField | null)[];

/** In which order days are written where it cannot be told: "3/4/2024". */
export const DAY_ORDERS = ["day-first", "month-first"] as const;
export type DayOrder = (typeof DAY_ORDERS)[number];

/** A table as it was read, before anything is made of it. */
export interface OlderTable {
  readonly headers: readonly string[];
  readonly rows: readonly CsvRow[];
}

/** A piece finished before there was a notebook, as a table tells it. */
export interface OlderPiece {
  readonly name: string;
  readonly body: string;
  readonly count: number;
  readonly finishedOn?: string;
  readonly who?: string;
  readonly told: ToldWork;
}

const MOST_CHARS = 5_000_000;
export const MOST_OLDER = 5000;

/** Words a column is known by. */
const KNOWN_BY: Readonly<Record<OlderField, readonly string[]>> = {
  name: ["name", "title", "piece", "what", "item"],
  body: ["body", "material", "made of", "stone", "base", "object", "surface"],
  count: ["count", "pieces", "how many", "number", "quantity", "qty"],
  finished: ["finished", "date", "done", "made on", "when", "day"],
  colours: ["colour", "color", "colours", "colors"],
  paints: ["paint", "paints", "product", "products", "brand"],
  sealer: ["sealer", "varnish", "finish", "seal", "topcoat"],
  who: ["who", "given to", "recipient", "for", "owner", "who has it"],
  note: ["note", "notes", "remarks", "comment", "comments", "text"],
};

/**
 * What each column probably holds, by what it is called; the user has the last word.
 *
 * @example guessColumns(["Title", "Varnish", "Weather"]) // ["name", "sealer", null]
 */
export function guessColumns(headers: readonly string[]): OlderColumns {
  const taken = new Set<OlderField>();
  return headers.map((header) => {
    const said = header.trim().toLowerCase();
    const field = OLDER_FIELDS.find((one) => !taken.has(one) && KNOWN_BY[one].includes(said)) ?? null;
    if (field) taken.add(field);
    return field;
  });
}

/** Reads a table of older notes: commas, semicolons or tabs between its cells; the first line names the columns. */
export function readOlderTable(text: string): Parsed<OlderTable> {
  if (text.length > MOST_CHARS) return bad("bad-value", "", "this file is larger than any notebook of older pieces");
  const read = csvRows(text);
  if (!read.ok) return read;
  const [head, ...rows] = read.value;
  if (!head || rows.length === 0) return bad("missing", "line 1", "the first line names the columns, and a line for each piece follows");
  if (rows.length > MOST_OLDER) return bad("bad-value", `line ${rows[MOST_OLDER]!.line}`, `more than ${MOST_OLDER} pieces`);
  return good({ headers: head.cells.map((one) => one.trim()), rows });
}

const MONTHS = ["jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec"];
const CENTURY = 2000;

const pad = (value: number) => String(value).padStart(2, "0");

function dayOf(year: number, month: number, day: number): string | null {
  const text = `${year < 100 ? CENTURY + year : year}-${pad(month)}-${pad(day)}`;
  return isDay(text) ? text : null;
}

/** A day, and whether only its month was said. */
export interface OlderDay {
  readonly day: string;
  readonly onlyMonth: boolean;
}

/**
 * A day of older notes: "2024-03-09", "9.3.2024", "9/3/24", "9 March 2024", "March 2024", "2024-03". Of a month alone the first day stands.
 *
 * @returns null where it is no day
 * @example readOlderDay("9.3.24", "day-first") // { day: "2024-03-09", onlyMonth: false }
 */
export function readOlderDay(text: string, order: DayOrder): OlderDay | null {
  const whole = (day: string | null): OlderDay | null => (day === null ? null : { day, onlyMonth: false });
  const month = (day: string | null): OlderDay | null => (day === null ? null : { day, onlyMonth: true });
  const said = text.trim().toLowerCase();
  const iso = /^(\d{4})[-/.](\d{1,2})(?:[-/.](\d{1,2}))?$/.exec(said);
  if (iso) return iso[3] === undefined ? month(dayOf(+iso[1]!, +iso[2]!, 1)) : whole(dayOf(+iso[1]!, +iso[2]!, +iso[3]));
  const plain = /^(\d{1,2})[./-]\s?(\d{1,2})[./-]\s?(\d{4}|\d{2})$/.exec(said);
  if (plain) {
    const [first, second] = [+plain[1]!, +plain[2]!];
    // What is over twelve is no month, whatever was said of the order.
    const monthFirst = second > 12 || (order === "month-first" && first <= 12);
    return whole(monthFirst ? dayOf(+plain[3]!, first, second) : dayOf(+plain[3]!, second, first));
  }
  const named = /^(?:(\d{1,2})(?:st|nd|rd|th)?\.?\s+)?([a-z]{3,})\.?\s+(?:(\d{1,2})(?:st|nd|rd|th)?,?\s+)?(\d{4})$/.exec(said);
  if (!named) return null;
  const at = MONTHS.findIndex((one) => named[2]!.startsWith(one)) + 1;
  const day = named[1] ?? named[3];
  if (at === 0) return null;
  return day === undefined ? month(dayOf(+named[4]!, at, 1)) : whole(dayOf(+named[4]!, at, +day));
}

function countOf(text: string): number | null {
  const count = /^\d{1,4}$/.test(text) ? Number(text) : NaN;
  return count >= 1 && count <= MOST_OF_ONE ? count : null;
}

/**
 * Pieces of older notes, by the columns the user has chosen. All or nothing: the first fault is named by line and column.
 *
 * @param columns what each column is; one of them is the name
 * @param order of days where it cannot be told
 */
export function readOlderPieces({ headers, rows }: OlderTable, columns: OlderColumns, order: DayOrder): Parsed<readonly OlderPiece[]> {
  if (!columns.includes("name")) return bad("missing", "", "say which column has the name of the piece");
  const pieces: OlderPiece[] = [];
  for (const { line: at, cells } of rows) {
    const line = `line ${at}`;
    const cell = (field: OlderField) => textOfCell((cells[columns.indexOf(field)] ?? "").trim());
    const wrong = (field: OlderField, why: string): Parsed<never> => bad("bad-value", `${line}, column "${headers[columns.indexOf(field)]}"`, why);
    const long = OLDER_FIELDS.find(
      (field) => cell(field).length > (field === "name" || field === "body" || field === "who" ? RECORD_LIMITS.name : RECORD_LIMITS.text),
    );
    if (long) return wrong(long, "this is longer than is kept");
    const [name, body, who] = [cell("name"), cell("body"), cell("who")];
    if (name === "") return wrong("name", "a piece needs a name");
    const count = cell("count") === "" ? 1 : countOf(cell("count"));
    if (count === null) return wrong("count", `"${cell("count")}" is no number of pieces from 1 to ${MOST_OF_ONE}`);
    const when = cell("finished") === "" ? null : readOlderDay(cell("finished"), order);
    if (cell("finished") !== "" && when === null) return wrong("finished", `"${cell("finished")}" is no day between 2000 and 2199`);
    const monthOnly = when?.onlyMonth ? [`Finished some time in ${cell("finished")}.`] : [];
    const note = [cell("note"), ...monthOnly].filter((one) => one !== "").join(" ");
    const words = { colours: cell("colours"), paints: cell("paints"), sealer: cell("sealer"), note };
    pieces.push({
      name,
      body: body === "" ? "Not said" : body,
      count,
      ...(when ? { finishedOn: when.day } : {}),
      ...(who === "" ? {} : { who }),
      told: Object.fromEntries(Object.entries(words).filter(([, text]) => text !== "")),
    });
  }
  return good(pieces);
}
