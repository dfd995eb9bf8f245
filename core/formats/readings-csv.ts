import { isDay } from "./hours-schema";
import Papa from "papaparse";
import type { Reading } from "../drying/readings";
import { instantOf } from "../schedule/free-hours";
import { bad, good } from "./problem";
import type { Parsed } from "./problem";

/** Names a column may have, in small letters and without units. */
const COLUMNS = {
  time: ["time", "date", "datetime", "timestamp", "when"],
  temperature: ["temperature", "temp", "t"],
  humidity: ["humidity", "relative humidity", "rh", "damp"],
} as const;
type Column = keyof typeof COLUMNS;

/** Readings of one file: a year at every five minutes. */
const MOST_READINGS = 110_000;
const BOUNDS = { temperatureC: { least: -20, most: 60 }, percent: { least: 0, most: 100 } } as const;
/** The header is the first line. */
const FIRST_LINE = 2;
const LOCAL = /^(\d{4}-\d{2}-\d{2})[ T](\d{2}:\d{2})(?::\d{2}(?:\.\d+)?)?$/;

const plain = (header: string) =>
  header
    .toLowerCase()
    .replace(/\(.*?\)|\[.*?\]|°c|%/g, "")
    .replace(/[\s_]+/g, " ")
    .trim();

/** An instant as a file has it: of the user's clock where no zone is said. */
function instantIn(text: string, timeZone: string): number {
  const local = LOCAL.exec(text.trim());
  if (!isDay(text.trim().slice(0, 10))) return NaN;
  return local ? instantOf(local[1]!, local[2]!, timeZone) : /^\d{4}-\d{2}-\d{2}T/.test(text.trim()) ? Date.parse(text.trim()) : NaN;
}

/** A number with a point or a comma; an empty cell is none. */
function numberIn(text: string): number {
  const cell = text.trim().replace("−", "-").replace(",", ".");
  return /^-?\d+(\.\d+)?$/.test(cell) ? Number(cell) : NaN;
}

/**
 * Reads what a thermo-hygrometer has written down: a table with the columns `time`, `temperature` (°C) and `humidity` (%), separated by commas, semicolons
 * or tabs. Times are `2026-11-30 19:05`, of the user's clock, or ISO 8601 with a zone. A line without figures is a reading that did not come.
 *
 * @returns readings in order, each instant once; or the first fault with its line
 */
export function readReadingsCsv(text: string, timeZone: string): Parsed<readonly Reading[]> {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ""), { skipEmptyLines: "greedy" });
  const [header = [], ...lines] = data;
  const places = {} as Record<Column, number>;
  for (const column of Object.keys(COLUMNS) as Column[]) {
    places[column] = header.findIndex((one) => (COLUMNS[column] as readonly string[]).includes(plain(one)));
    if (places[column] < 0) return bad("bad-value", "line 1", `there is no column "${column}"; the columns are time, temperature and humidity`);
  }
  if (lines.length > MOST_READINGS) return bad("bad-value", `line ${MOST_READINGS + FIRST_LINE}`, `${MOST_READINGS} readings at most are read`);
  const found = new Map<number, Reading>();
  for (const [k, cells] of lines.entries()) {
    const line = `line ${k + FIRST_LINE}`;
    const [time = "", warm = "", damp = ""] = [cells[places.time], cells[places.temperature], cells[places.humidity]];
    const at = instantIn(time, timeZone);
    if (Number.isNaN(at)) return bad("bad-value", `${line}, time`, `"${time.slice(0, 40)}" is no time such as 2026-11-30 19:05`);
    if (warm.trim() === "" && damp.trim() === "") continue;
    const [temperatureC, percent] = [numberIn(warm), numberIn(damp)];
    if (!(temperatureC >= BOUNDS.temperatureC.least && temperatureC <= BOUNDS.temperatureC.most))
      return bad("bad-value", `${line}, temperature`, `"${warm.slice(0, 40)}" is no temperature between −20 and 60 °C`);
    if (!(percent >= BOUNDS.percent.least && percent <= BOUNDS.percent.most))
      return bad("bad-value", `${line}, humidity`, `"${damp.slice(0, 40)}" is no humidity between 0 and 100 %`);
    found.set(at, { at, temperatureC, relativeHumidity: percent / 100 });
  }
  if (found.size === 0) return bad("bad-value", "line 2", "there is no reading in it");
  return good([...found.values()].sort((a, b) => a.at - b.at));
}
