import { coloursNamedIn, nameOfColour } from "../../film/colour-names";
import { familyOfName } from "../../film/colour-family";
import type { ColourFamily } from "../../film/colour-family";
import { coloursOf, holdersOf, recordText, sealersOf } from "./say-record";
import type { LogRecord, WorkLine } from "./record";

/** What is looked for in the logbook; "" for anything. All of it has to hold. */
export interface SoughtRecord {
  /** Every word of it has to stand somewhere in the record. */
  readonly text: string;
  readonly family: ColourFamily | "";
  /** Name of the body. */
  readonly body: string;
  readonly sealer: string;
  /** A paint that went into it, by the user's name for it. */
  readonly paint: string;
  /** "YYYY-MM" it was finished in, or "YYYY". */
  readonly month: string;
  /** Who has it. */
  readonly who: string;
}

export const ANY_RECORD: SoughtRecord = { text: "", family: "", body: "", sealer: "", paint: "", month: "", who: "" };

/** A record as it is searched: worked out once. */
export interface IndexedRecord {
  readonly record: LogRecord;
  /** What it says, line by line, and the same in small letters. */
  readonly lines: readonly string[];
  readonly small: readonly string[];
  readonly families: readonly ColourFamily[];
  readonly sealers: readonly string[];
  readonly holders: readonly string[];
}

/** Other words people look for work by: by its product, its role, its technique. They are found, and not shown. */
const ALSO_CALLED: Readonly<Record<string, string>> = {
  "pearl-acrylic": "shimmer pearly effect",
  "metallic-acrylic": "shimmer metallic effect",
  "interference-acrylic": "shimmer colour-shift effect",
  "metallic-watercolour": "shimmer metallic effect",
  "effect-powder": "shimmer powder effect",
  "glitter-acrylic": "glitter sparkle effect",
  "loose-glitter": "glitter sparkle effect",
  "glued-crystals": "crystals stones sparkle",
  seal: "sealer sealed varnish varnished finish clear coat",
  isolate: "clear coat",
  lock: "clear coat",
  prime: "primer primed ground",
  base: "ground field background",
  "top-dot": "top dots",
  lettering: "letters words writing",
  bands: "stripes",
};

const ORDINALS = ["first", "second", "third", "fourth", "fifth", "sixth", "seventh", "eighth", "ninth", "tenth"];

/** "the second ring" and "the second row" are the row with that number. */
function rowCalled(number: number | undefined): string {
  const word = number === undefined ? undefined : ORDINALS[number - 1];
  return word === undefined ? "" : `${word} ring ${word} row ring ${number}`;
}

function otherWords({ product, role, technique, rows = [] }: WorkLine): string {
  return [ALSO_CALLED[product], ALSO_CALLED[role], technique === undefined ? "" : ALSO_CALLED[technique], ...rows.map(({ number }) => rowCalled(number))].join(
    " ",
  );
}

const MONTHS = ["January", "February", "March", "April", "May", "June", "July", "August", "September", "October", "November", "December"];

/** A month as it is typed into a search: "March 2027". */
function monthWords(day: string): string {
  return `${MONTHS[Number(day.slice(5, 7)) - 1] ?? ""} ${day.slice(0, 4)}`;
}

/** Where the lines of the work begin among those of a record: after its name and its body. */
const WORK_FROM = 2;

/** Works out what a record is found by. */
export function indexed(record: LogRecord): IndexedRecord {
  const hexes = coloursOf(record);
  const said = [record.told?.colours ?? "", record.told?.paints ?? ""].join(" ").trim();
  const told = said === "" ? [] : coloursNamedIn(said).map(({ name }) => name);
  const colours = [...new Set([...hexes.map(nameOfColour), ...told])];
  const families = [...new Set(colours.flatMap((name) => familyOfName(name) ?? []))];
  const when = record.finishedOn === undefined ? [] : [`finished in ${monthWords(record.finishedOn)}, ${record.finishedOn}`];
  const lines = [...recordText(record, "mm"), ...(colours.length > 0 ? [`in ${colours.join(", ")} (${families.join(", ")})`] : []), ...when];
  // The lines of the work stand after the name and the body.
  const small = lines.map((line, index) => `${line} ${record.work[index - WORK_FROM] ? otherWords(record.work[index - WORK_FROM]!) : ""}`.toLowerCase());
  return { record, lines, small, families, sealers: sealersOf(record), holders: holdersOf(record) };
}

/** A record that was found, with the lines that say what was asked for. */
export interface FoundRecord {
  readonly record: LogRecord;
  /** None where nothing was asked in words. */
  readonly answers: readonly string[];
}

/** Words that say nothing of what is looked for. */
const EMPTY_WORDS = new Set(["what", "did", "i", "put", "on", "the", "a", "an", "of", "in", "with", "was", "which", "where", "is", "it", "my"]);

/** Words longer than this lose the s of their plural. */
const LEAST_PLURAL = 3;

function wordsOf(text: string): readonly string[] {
  const words = text
    .toLowerCase()
    .split(/[^\p{L}\p{N}-]+/u)
    .filter((word) => word !== "");
  const telling = words.filter((word) => !EMPTY_WORDS.has(word));
  // One pebble is found by pebbles too.
  return (telling.length > 0 ? telling : words).map((word) => (word.length > LEAST_PLURAL && /[^s]s$/.test(word) ? word.slice(0, -1) : word));
}

/** Lines that answer: those with the most of the words that were asked. Words of its name say which piece is meant, and not what is asked of it. */
function answersIn({ lines, small }: IndexedRecord, words: readonly string[]): readonly string[] {
  const asked = words.filter((word) => !small[0]!.includes(word));
  const counts = small.map((line, index) => (index === 0 ? 0 : (asked.length > 0 ? asked : words).filter((word) => line.includes(word)).length));
  const most = Math.max(0, ...counts);
  return most === 0 ? [] : lines.filter((_line, index) => counts[index] === most);
}

/**
 * Looks through the logbook. A question is taken by its telling words: "what did I put on the grey pebble" looks for grey and pebble.
 *
 * @returns those that have all of it, in the order they were given
 */
export function searchRecords(records: readonly IndexedRecord[], { text, family, body, sealer, paint, month, who }: SoughtRecord): readonly FoundRecord[] {
  const words = wordsOf(text);
  const found: FoundRecord[] = [];
  for (const one of records) {
    const { record, small } = one;
    if (family !== "" && !one.families.includes(family)) continue;
    if (body !== "" && record.body !== body) continue;
    if (sealer !== "" && !one.sealers.includes(sealer)) continue;
    if (paint !== "" && !record.paint.some(({ name }) => name === paint)) continue;
    if (month !== "" && !(record.finishedOn ?? "").startsWith(month)) continue;
    if (who !== "" && !one.holders.includes(who)) continue;
    if (!words.every((word) => small.some((line) => line.includes(word)))) continue;
    found.push({ record, answers: words.length === 0 ? [] : answersIn(one, words) });
  }
  return found;
}

/** What can be looked for: only what some record has. */
export interface SearchChoices {
  readonly families: readonly ColourFamily[];
  readonly bodies: readonly string[];
  readonly sealers: readonly string[];
  readonly paints: readonly string[];
  /** The latest first. */
  readonly months: readonly string[];
  readonly holders: readonly string[];
}

/** What the records can be narrowed by. */
export function choicesIn(records: readonly IndexedRecord[]): SearchChoices {
  const sorted = (texts: readonly string[]) => [...new Set(texts)].sort((a, b) => a.localeCompare(b));
  const order = new Set(records.flatMap(({ families }) => families));
  return {
    families: [...order],
    bodies: sorted(records.map(({ record }) => record.body)),
    sealers: sorted(records.flatMap(({ sealers }) => sealers)),
    paints: sorted(records.flatMap(({ record }) => record.paint.map(({ name }) => name))),
    months: sorted(records.flatMap(({ record }) => record.finishedOn?.slice(0, 7) ?? [])).reverse(),
    holders: sorted(records.flatMap(({ holders }) => holders)),
  };
}
