import { writeCsv } from "./write-csv";
import { nameOfColour } from "../film/colour-names";
import { costOf } from "../logbook/record/cost";
import type { Rates } from "../logbook/record/cost";
import { piecesOf, stallOf } from "../logbook/record/pieces-left";
import type { LogRecord } from "../logbook/record/record";
import { coloursOf, holdersOf, sayBody, sayLine, sealersOf, SAW_WORDS } from "../logbook/record/say-record";
import type { LengthUnit } from "../units/length";

const BETWEEN = " | ";
const money = (value: number) => Math.round(value * 100) / 100;
const tenths = (value: number) => Math.round(value * 10) / 10;

const COLUMNS = [
  "name",
  "body",
  "pieces",
  "begun",
  "finished",
  "work",
  "colours",
  "sealers",
  "paints (ml)",
  "minutes",
  "went wrong",
  "how it held",
  "who has it",
  "here",
  "sold",
  "cost of one",
  "price",
  "notes",
] as const;

/**
 * The logbook as a table: one line a record, several things of one cell apart by " | ".
 *
 * @param unit lengths are written in
 */
export function writeLogbookCsv(records: readonly LogRecord[], rates: Rates, unit: LengthUnit): string {
  const rows = records.map((record) => {
    const { here, sold } = piecesOf(record);
    const { told = {}, money: own } = record;
    const colours = [...coloursOf(record).map(nameOfColour), ...(told.colours === undefined ? [] : [told.colours])];
    const paints = [...record.paint.map(({ name, ml }) => `${name}: ${tenths(ml)}`), ...(told.paints === undefined ? [] : [told.paints])];
    const cost = costOf(record, rates).known;
    const notes = [...(told.note === undefined ? [] : [told.note]), ...record.additions.map(({ at, text }) => `${at.slice(0, 10)}: ${text}`)];
    return [
      record.name,
      sayBody(record, unit),
      record.count,
      record.begunOn ?? "",
      record.finishedOn ?? "",
      record.work.map((line) => sayLine(line, unit)).join(BETWEEN),
      [...new Set(colours)].join(BETWEEN),
      sealersOf(record).join(BETWEEN),
      paints.join(BETWEEN),
      Math.round(record.minutes.reduce((sum, { min }) => sum + min, 0)),
      record.mishaps.map(({ at, kind, title }) => `${at.slice(0, 10)} ${kind === "tacky" ? "still tacky" : "went wrong"}: ${title}`).join(BETWEEN),
      record.looks.map(({ at, saw, note }) => `${at.slice(0, 10)} ${saw.map((one) => SAW_WORDS[one]).join(", ")}${note ? ` (${note})` : ""}`).join(BETWEEN),
      holdersOf(record).join(BETWEEN),
      here,
      sold,
      cost > 0 ? money(cost) : "",
      own?.price ?? "",
      notes.join(BETWEEN),
    ];
  });
  return writeCsv(COLUMNS, rows);
}

/** A list for the stall: what is taken along, at what price, what was sold before; the last column is left to fill in. */
export function writeStallCsv(records: readonly LogRecord[]): string {
  const rows = stallOf(records).map(({ record, pieces, price }) => [
    record.name,
    record.body,
    pieces.here,
    price ?? "",
    pieces.sold,
    money(pieces.takings),
    "",
  ]);
  return writeCsv(["name", "body", "to take along", "price", "sold before", "brought in", "sold today"], rows);
}
