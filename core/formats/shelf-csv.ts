import Papa from "papaparse";
import type { Catalogue } from "../catalogue/catalogue";
import { jarId, productId } from "../catalogue/ids";
import { OPACITIES } from "../catalogue/jar";
import type { Jar, JarLabel, Opacity } from "../catalogue/jar";
import { SHEENS } from "../catalogue/vocabulary";
import type { Sheen } from "../catalogue/vocabulary";
import { isDay } from "./hours-schema";
import { bad, good, problem } from "./problem";
import type { Parsed, Problem } from "./problem";
import { JAR_BOUNDS, MOST_JARS } from "./stores/shelf";

/** A jar out of a table; one without an id is new. */
export type ReadJar = Omit<Jar, "id" | "left"> & { readonly id?: Jar["id"]; readonly leftMl?: number };

type Draft = { -readonly [K in keyof Omit<ReadJar, "label">]?: ReadJar[K] } & { label: { -readonly [K in keyof JarLabel]?: JarLabel[K] } };

/** What a cell says, or what is wrong with it. */
type Cell = (text: string, draft: Draft) => string | null;

interface Column {
  readonly header: string;
  /** Other words for it. */
  readonly also?: readonly string[];
  readonly write: (jar: Jar, leftMl: number | undefined) => string | number | undefined;
  readonly read: Cell;
}

const NUMBER = /^-?\d+(?:[.,]\d+)?$/;

/** A number with a point or a comma, between bounds. */
function numberCell({ least, most }: { readonly least: number; readonly most: number }, take: (value: number, draft: Draft) => void, whole = false): Cell {
  return (text, draft) => {
    const value = NUMBER.test(text) ? Number(text.replace(",", ".")) : NaN;
    if (!(value >= least && value <= most) || (whole && !Number.isInteger(value)))
      return `"${text}" is not a ${whole ? "whole " : ""}number from ${least} to ${most}`;
    take(value, draft);
    return null;
  };
}

function wordCell<W extends string>(words: readonly W[], also: Readonly<Record<string, W>>, take: (word: W, draft: Draft) => void): Cell {
  return (text, draft) => {
    const said = text.toLowerCase();
    const word = words.find((one) => one === said) ?? also[said];
    if (word === undefined) return `"${text}" is none of: ${words.join(", ")}`;
    take(word, draft);
    return null;
  };
}

const YES = new Set(["yes", "y", "true", "1", "x"]);
const NO = new Set(["no", "n", "false", "0"]);

function yesCell(take: (value: boolean, draft: Draft) => void): Cell {
  return (text, draft) => {
    const said = text.toLowerCase();
    if (!YES.has(said) && !NO.has(said)) return `"${text}" is neither yes nor no`;
    take(YES.has(said), draft);
    return null;
  };
}

const sayYes = (value: boolean | undefined) => (value === undefined ? undefined : value ? "yes" : "no");

const BAKE_C: Cell = (text, draft) => {
  if (NO.has(text.toLowerCase())) {
    draft.label.bake = null;
    return null;
  }
  return numberCell(JAR_BOUNDS.bakeC, (atC) => (draft.label.bake = { atC, holdMin: draft.label.bake?.holdMin ?? NaN }))(text, draft);
};
const BAKE_MIN: Cell = (text, draft) =>
  numberCell(JAR_BOUNDS.bakeMin, (holdMin) => (draft.label.bake = { atC: draft.label.bake?.atC ?? NaN, holdMin }))(text, draft);

function columnsFor(catalogue: Catalogue): readonly Column[] {
  const byName = new Map([...catalogue.products.values()].flatMap(({ id, name }) => [[id as string, id] as const, [name.toLowerCase(), id] as const]));
  return [
    {
      header: "name",
      also: ["title"],
      write: ({ name }) => name,
      read: (text, draft) => {
        if (text.length > JAR_BOUNDS.name) return `a name has at most ${JAR_BOUNDS.name} letters`;
        draft.name = text;
        return null;
      },
    },
    {
      header: "kind",
      also: ["class", "type"],
      write: ({ classId }) => catalogue.products.get(classId)?.name ?? classId,
      read: (text, draft) => {
        const id = byName.get(text.toLowerCase());
        if (id === undefined) return `"${text}" is no kind of paint known here`;
        draft.classId = productId(id);
        return null;
      },
    },
    {
      header: "colour",
      also: ["color", "hex"],
      write: ({ colour }) => colour,
      read: (text, draft) => {
        const hex = /^#?([0-9a-f]{6})$/i.exec(text)?.[1] ?? /^#?([0-9a-f]{3})$/i.exec(text)?.[1]?.replace(/./g, "$&$&");
        if (hex === undefined) return `"${text}" is not a colour such as #1f3a4d`;
        draft.colour = `#${hex.toLowerCase()}`;
        return null;
      },
    },
    {
      header: "opacity",
      write: ({ label }) => label.opacity,
      read: wordCell<Opacity>(OPACITIES, { "semi-transparent": "translucent" }, (word, draft) => (draft.label.opacity = word)),
    },
    {
      header: "sheen",
      also: ["finish"],
      write: ({ label }) => label.sheen,
      read: wordCell<Sheen>(SHEENS, { matt: "matte", glossy: "gloss" }, (word, draft) => (draft.label.sheen = word)),
    },
    {
      header: "touch dry (min)",
      write: ({ label }) => label.touchMin,
      read: numberCell(JAR_BOUNDS.touchMin, (value, draft) => (draft.label.touchMin = value)),
    },
    {
      header: "recoat (min)",
      write: ({ label }) => label.recoatMin,
      read: numberCell(JAR_BOUNDS.recoatMin, (value, draft) => (draft.label.recoatMin = value)),
    },
    { header: "coldest (°C)", write: ({ label }) => label.minC, read: numberCell(JAR_BOUNDS.minC, (value, draft) => (draft.label.minC = value)) },
    { header: "warmest (°C)", write: ({ label }) => label.maxC, read: numberCell(JAR_BOUNDS.maxC, (value, draft) => (draft.label.maxC = value)) },
    { header: "coats", write: ({ label }) => label.coats, read: numberCell(JAR_BOUNDS.coats, (value, draft) => (draft.label.coats = value), true) },
    {
      header: "water at most (%)",
      also: ["thinner"],
      write: ({ label }) => label.thinnerPercent,
      read: numberCell(JAR_BOUNDS.thinnerPercent, (value, draft) => (draft.label.thinnerPercent = value)),
    },
    {
      header: "covers (m²/l)",
      also: ["covers (m2/l)", "spread"],
      write: ({ label }) => label.spreadM2PerL,
      read: numberCell(JAR_BOUNDS.spreadM2PerL, (value, draft) => (draft.label.spreadM2PerL = value)),
    },
    {
      header: "outdoors",
      also: ["weatherproof"],
      write: ({ label }) => sayYes(label.weatherproof),
      read: yesCell((value, draft) => (draft.label.weatherproof = value)),
    },
    { header: "food safe", also: ["food"], write: ({ label }) => sayYes(label.foodClaim), read: yesCell((value, draft) => (draft.label.foodClaim = value)) },
    { header: "bake (°C)", write: ({ label }) => (label.bake === null ? "no" : label.bake?.atC), read: BAKE_C },
    { header: "bake (min)", write: ({ label }) => label.bake?.holdMin, read: BAKE_MIN },
    {
      header: "opened",
      also: ["opened on"],
      write: ({ openedOn }) => openedOn,
      read: (text, draft) => {
        if (!isDay(text)) return `"${text}" is not a day such as 2026-05-01`;
        draft.openedOn = text;
        return null;
      },
    },
    { header: "size (ml)", write: ({ sizeMl }) => sizeMl, read: numberCell(JAR_BOUNDS.sizeMl, (value, draft) => (draft.sizeMl = value)) },
    { header: "left (ml)", write: (_jar, leftMl) => leftMl, read: numberCell(JAR_BOUNDS.ml, (value, draft) => (draft.leftMl = value)) },
    { header: "empty weight (g)", also: ["tare"], write: ({ tareG }) => tareG, read: numberCell(JAR_BOUNDS.grams, (value, draft) => (draft.tareG = value)) },
    { header: "paid", also: ["price"], write: ({ paid }) => paid, read: numberCell(JAR_BOUNDS.paid, (value, draft) => (draft.paid = value)) },
    {
      header: "id",
      write: ({ id }) => id,
      read: (text, draft) => {
        if (!/^[0-9a-z]{8,40}$/.test(text)) return `"${text}" is no id of a jar; leave it empty for a new one`;
        draft.id = jarId(text);
        return null;
      },
    },
  ];
}

/** A table program takes what begins with one of these as something to work out; a quote before it makes it text. */
const WORKED_OUT = /^[=+\-@\t\r']/;
const asText = (text: string) => (WORKED_OUT.test(text) ? `'${text}` : text);
const fromText = (text: string) => (text.startsWith("'") ? text.slice(1) : text);

/**
 * Writes the shelf as a table: one line a jar, commas between, points in numbers.
 *
 * @param left what is left in each jar, mL
 */
export function writeShelfCsv(shelf: readonly Jar[], left: ReadonlyMap<string, number>, catalogue: Catalogue): string {
  const columns = columnsFor(catalogue);
  const rows = shelf.map((jar) =>
    columns.map(({ header, write }) => {
      const value = write(jar, left.get(jar.id));
      return header === "name" && typeof value === "string" ? asText(value) : (value ?? "");
    }),
  );
  return `${Papa.unparse({ fields: columns.map((one) => one.header), data: rows }, { newline: "\n" })}\n`;
}

const plain = (header: string) =>
  header
    .toLowerCase()
    .replace(/\(.*?\)/g, "")
    .replace(/[\s_-]+/g, " ")
    .trim();

const MOST_CSV_CHARS = 5_000_000;

interface Row {
  readonly line: number;
  readonly cells: readonly string[];
}

/** Rows with the line each begins on: a name in quotes may run over several. */
function rowsOf(text: string): Parsed<readonly Row[]> {
  const rows: Row[] = [];
  let from = 0;
  let line = 1;
  let fault: Problem | null = null;
  Papa.parse<string[]>(text, {
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

function jarIn({ line, cells }: Row, headers: readonly Column[]): Parsed<ReadJar> {
  const draft: Draft = { label: {} };
  const wrong = (header: string, said: string): Parsed<never> => bad("bad-value", `line ${line}, column "${header}"`, said);
  for (const [index, cell] of cells.entries()) {
    const column = headers[index];
    const text = fromText(cell.trim());
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
  const rows = rowsOf(text.replace(/^\uFEFF/, ""));
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
