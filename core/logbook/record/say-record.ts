import { zoneNames } from "../../catalogue/zone-words";
import { coatsOf } from "../../coating/explain/step-title";
import { thinnerName, NO_THINNER } from "../../film/thinner-names";
import { nameOfColour } from "../../film/colour-names";
import { sizeWords } from "../../piece/size-words";
import { lowerFirst } from "../../units/letter-case";
import { saySize } from "../../units/length";
import type { LengthUnit } from "../../units/length";
import { laysFilm } from "./film-lines";
import type { LogRecord, MadeRecord, Move, RecordedRow, Saw, WorkLine } from "./record";

/** Seen on a finish later on, as it is said. */
export const SAW_WORDS: Readonly<Record<Saw, string>> = {
  fine: "fine",
  faded: "faded",
  yellowed: "yellowed",
  chipped: "chipped",
  scratched: "scratched",
  peeling: "peeling",
  cracked: "cracked",
  sticky: "sticky",
  cloudy: "cloudy",
  stained: "stained",
};

export const MOVE_WORDS: Readonly<Record<Move["kind"], string>> = {
  given: "given away",
  sold: "sold",
  "left-out": "left to be found",
  kept: "kept",
  lost: "broken or lost",
};

const TOWARDS_WORDS: Readonly<Record<NonNullable<RecordedRow["towards"]>, string>> = {
  centre: "towards the centre",
  rim: "towards the rim",
  left: "to the left",
  right: "to the right",
};

/**
 * A row of marks in words.
 *
 * @example sayRow({ id: "r2", name: "Dots of 4 mm", count: 24, diameterMm: 4, tool: "ball 4", number: 2 }) // "row 2: dots of 4 mm, 24 of them, with ball 4"
 */
export function sayRow({ number, name, count, tool, towards, everySecond }: RecordedRow): string {
  const parts = [
    lowerFirst(name),
    ...(count > 1 ? [`${count} of them`] : []),
    ...(tool === undefined ? [] : [`with ${tool}`]),
    ...(towards ? [`set ${TOWARDS_WORDS[towards]}`] : []),
    ...(everySecond ? ["on every second one"] : []),
  ];
  return `${number === undefined ? "" : `row ${number}: `}${parts.join(", ")}`;
}

/** How a paint was thinned, in a few words; null where nothing was poured out, or nobody knows. */
export function sayThinned({ thinning }: Pick<WorkLine, "thinning">): string | null {
  if (!thinning) return null;
  const name = thinnerName(thinning.with);
  return name === NO_THINNER || thinning.percent === 0 ? "as it came" : `thinned with ${name}, about ${Math.round(thinning.percent)} parts to 100`;
}

/** What a line of work says beyond its title: coats, places, rows, thinning, mixture. */
export function lineDetails(line: WorkLine, unit: LengthUnit): readonly string[] {
  const { rows, marks, coats, mix, coverage } = line;
  const thinned = sayThinned(line);
  const share = coverage !== undefined && coverage < 1 ? [`over about ${Math.round(coverage * 100)} in 100 of its place`] : [];
  return [
    ...(laysFilm(line) && !rows && !marks ? [coatsOf(coats, line.method === "spray" ? "pass" : "coat").replace("passs", "passes")] : []),
    ...(rows ? rows.map(sayRow) : marks ? [`${marks.count} of ${saySize(marks.diameterMm, unit)}`] : share),
    ...(mix === undefined ? [] : [`mixed from ${mix}`]),
    ...(thinned === null ? [] : [thinned]),
  ];
}

/** A line of work in one sentence. */
export function sayLine(line: WorkLine, unit: LengthUnit): string {
  return [`${line.title} (${lowerFirst(zoneNames(line.zones))})`, ...lineDetails(line, unit)].join("; ");
}

/** The body with its measures: "Smooth stone, 62 × 48 × 24 mm". */
export function sayBody({ body, piece }: Pick<MadeRecord, "body" | "piece">, unit: LengthUnit): string {
  return piece ? `${body}, ${sizeWords(piece.form, unit)}` : body;
}

const AIR_WORDS = { still: "still air", drafty: "a draught", fan: "a fan on it" } as const;

/** The room it dried in, as it was stated; null where nothing was said of it. */
export function sayRoom({ piece }: Pick<MadeRecord, "piece">): string | null {
  const { temperatureC, relativeHumidity, airflow } = piece?.room ?? {};
  const said = [
    ...(temperatureC === undefined ? [] : [`${Math.round(temperatureC)} °C`]),
    ...(relativeHumidity === undefined ? [] : [`${Math.round(relativeHumidity * 100)} % damp`]),
    ...(airflow === undefined ? [] : [AIR_WORDS[airflow]]),
  ];
  return said.length === 0 ? null : said.join(", ");
}

/** What sealed it, as it is called, each once; empty where nothing did. */
export function sealersOf({ work, told }: Pick<MadeRecord, "work" | "told">): readonly string[] {
  const sealed = work.filter(({ role }) => role === "seal").map(({ title, jar }) => jar?.name ?? title.replace(/^Seal: /, ""));
  return [...new Set([...sealed, ...(told?.sealer === undefined ? [] : [told.sealer])])];
}

/** The colours that are on it, sRGB hex, each once, in the order of the work. */
export function coloursOf({ work, piece }: Pick<MadeRecord, "work" | "piece">): readonly string[] {
  const laid = work.flatMap(({ colour }) => colour ?? []);
  const rows = (piece?.decoration?.patterns ?? []).flatMap(({ rows: own }) => own.flatMap(({ colours }) => colours));
  return [...new Set([...laid, ...(laid.length === 0 ? rows : [])].map((hex) => hex.toLowerCase()))];
}

/** Who has some of it, or where it was left. */
export function holdersOf({ moves }: Pick<LogRecord, "moves">): readonly string[] {
  return [...new Set(moves.flatMap(({ to }) => to ?? []))];
}

/** Everything a record says, line by line, as it is searched and written out. */
export function recordText(record: LogRecord, unit: LengthUnit): readonly string[] {
  const { told } = record;
  return [
    record.name,
    sayBody(record, unit),
    ...record.work.map((line) => `${sayLine(line, unit)}${line.colour === undefined ? "" : `; ${nameOfColour(line.colour)}`}`),
    ...(told ? [told.colours, told.paints, told.sealer, told.note].flatMap((one) => one ?? []) : []),
    ...record.paint.map(({ name }) => name),
    ...record.mishaps.map(({ kind, title }) => `${kind === "tacky" ? "still tacky" : "went wrong"}: ${title}`),
    ...record.additions.map(({ text }) => text),
    ...record.looks.map((look) => `${look.saw.map((one) => SAW_WORDS[one]).join(", ")}${look.note === undefined ? "" : `: ${look.note}`}`),
    ...record.moves.map(({ kind, to = "" }) => `${MOVE_WORDS[kind]} ${to}`.trim()),
    ...record.pictures.flatMap(({ caption }) => caption ?? []),
  ];
}
