import { writeCsv } from "./write-csv";
import { createEvents } from "ics";
import type { EventAttributes } from "ics";

/** A stretch of work as it goes into a file; instants in ms. */
export interface FileAct {
  /** Names it in the whole calendar: the same act keeps its entry when the file is read again. */
  readonly id: string;
  readonly from: number;
  readonly to: number;
  readonly act: string;
  readonly pieces: string;
}

/** A sitting of a calendar as it goes into a file. */
export interface FileSitting {
  readonly acts: readonly FileAct[];
}

/** A time in which something is to be left alone. */
export interface FileWait {
  readonly piece: string;
  readonly name: string;
  readonly from: number;
  readonly to: number;
}

/** A day something is needed on, "YYYY-MM-DD". */
export interface FileDue {
  readonly piece: string;
  readonly name: string;
  readonly date: string;
}

/** A day a finished piece is to be looked at again, "YYYY-MM-DD". */
export interface FileLook {
  readonly record: string;
  readonly kind: string;
  readonly name: string;
  readonly date: string;
}

/** All of a calendar that goes into a file. */
export interface CalendarFile {
  readonly sittings: readonly FileSitting[];
  readonly waits: readonly FileWait[];
  readonly dues: readonly FileDue[];
  readonly looks?: readonly FileLook[];
  /** A reminder so many minutes before each sitting; none where it is absent. Waits and days have none. */
  readonly remindMin?: number;
}

const PRODUCT = "nook-coat/calendar";
const HOST = "nook-coat";
const MS_PER_MIN = 60_000;

const wholeMinutes = (instant: number) => Math.round(instant / MS_PER_MIN) * MS_PER_MIN;

/** A stretch as the file has it: in whole minutes. */
function at(
  start: number,
  end: number,
): Pick<EventAttributes, "start" | "startInputType" | "startOutputType"> & { readonly end: number; readonly endOutputType: "utc" } {
  return { start: wholeMinutes(start), end: wholeMinutes(end), startInputType: "utc", startOutputType: "utc", endOutputType: "utc" };
}

const dayArray = (date: string): [number, number, number] => date.split("-").map(Number) as [number, number, number];

function eventsOf({ sittings, waits, dues, looks = [], remindMin }: CalendarFile): EventAttributes[] {
  const work = sittings.flatMap(({ acts }): EventAttributes[] => {
    const [first] = acts;
    if (!first) return [];
    const description = acts.map(({ act, pieces }) => `${act}: ${pieces}`).join("\n");
    const title = acts.length === 1 ? `${first.act}: ${first.pieces}` : `${first.act} and ${acts.length - 1} more`;
    const alarms: EventAttributes["alarms"] =
      remindMin === undefined ? [] : [{ action: "display", description: printable(title), trigger: { minutes: remindMin, before: true } }];
    return [{ ...at(first.from, acts.at(-1)!.to), uid: `${first.id}@${HOST}`, title, description, busyStatus: "BUSY", transp: "OPAQUE", alarms }];
  });
  const left = waits.map(({ piece, name, from, to }): EventAttributes => ({
    ...at(from, to),
    uid: `wait/${piece}/${from}@${HOST}`,
    title: `Leave alone: ${name}`,
    busyStatus: "FREE",
    transp: "TRANSPARENT",
  }));
  const needed = dues.map(({ piece, name, date }): EventAttributes => ({
    start: dayArray(date),
    duration: { days: 1 },
    uid: `due/${piece}@${HOST}`,
    title: `Needed: ${name}`,
    busyStatus: "FREE",
    transp: "TRANSPARENT",
  }));
  const again = looks.map(({ record, kind, name, date }): EventAttributes => ({
    start: dayArray(date),
    duration: { days: 1 },
    uid: `look/${record}/${kind}@${HOST}`,
    title: `Look again: ${name}`,
    description: "How has it held? Colour, edges, where it is handled. Note it in the logbook.",
    busyStatus: "FREE",
    transp: "TRANSPARENT",
  }));
  return [...work, ...left, ...needed, ...again];
}

/** Text without control characters, which no calendar file may have [published: RFC 5545, 3.3.11]; the end of a line stays. */
function printable(text: string): string {
  // eslint-disable-next-line no-control-regex
  return text.replace(/\r\n?/g, "\n").replace(/[\u0000-\u0009\u000b-\u001f\u007f-\u009f\u2028\u2029]/g, " ");
}

/** Bytes of a line, without its end [published: RFC 5545, 3.1]. */
const LINE_BYTES = 75;
const encoder = new TextEncoder();

/** Folds lines by their bytes: the library counts letters, of which some are several. */
function folded(text: string): string {
  const lines = text.replace(/\r\n[ \t]/g, "").split("\r\n");
  return lines
    .map((line) => {
      let out = "";
      let bytes = 0;
      for (const letter of line) {
        const size = encoder.encode(letter).length;
        if (bytes + size > LINE_BYTES) [out, bytes] = [`${out}\r\n `, 1];
        out += letter;
        bytes += size;
      }
      return out;
    })
    .join("\r\n");
}

/**
 * A calendar as iCalendar: one event a sitting with what is done in it, one a wait, one a day something is needed. Instants are in universal time, so
 * that no clock that is set forward or back moves them.
 * Source of the format: RFC 5545.
 *
 * @throws when the file cannot be made
 */
export function writeIcs(calendar: CalendarFile): string {
  const events = eventsOf(calendar).map((one) => ({
    ...one,
    title: printable(one.title ?? ""),
    ...(one.description ? { description: printable(one.description) } : {}),
  }));
  const { error, value } = createEvents(events, { productId: PRODUCT, calName: "Nook Coat", method: "PUBLISH" });
  if (error || value === null) throw error ?? new Error("the calendar file could not be made");
  return folded(value);
}

/**
 * A calendar as a table: one line an act.
 *
 * @param local an instant as date and time of the user's zone: ["2026-11-26", "19:00"]
 */
export function writeCalendarCsv({ sittings }: CalendarFile, local: (instant: number) => readonly [string, string]): string {
  const rows = sittings.flatMap(({ acts }) =>
    acts.map(({ from, to, act, pieces }) => {
      const [day, begin] = local(from);
      return [day, begin, local(to)[1], Math.round((to - from) / MS_PER_MIN), act, pieces];
    }),
  );
  return writeCsv(["day", "from", "to", "minutes", "act", "pieces"], rows);
}
