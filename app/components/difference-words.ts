import { format } from "date-fns";
import { pathOf } from "#core/merge/field-walk";
import { STORES } from "#core/formats/stores/stores";
import type { StoreName } from "#core/formats/stores/stores";
import { sayFact } from "./words";

/** Counts of records by store, as a list: "13 pieces, 89 coats and 6 records"; "" where there are none. */
export function sayCounts(counts: Readonly<Record<string, number>>): string {
  const said = Object.entries(STORES).flatMap(([store, { counted, single }]: [string, { counted: readonly [string, string]; single?: true }]) => {
    const count = counts[store] ?? 0;
    if (count === 0) return [];
    return [single ? `the ${counted[0]}` : `${count} ${count === 1 ? counted[0] : counted[1]}`];
  });
  return LIST.format(said);
}

const LIST = new Intl.ListFormat("en-GB", { type: "conjunction" });

/** A field of a record as its painter calls it, by the path of the value. */
export function sayField(store: StoreName, field: string): string {
  const path = pathOf(field);
  if (store === "pieces" && path[0] === "piece" && path.length > 1) return sayFact(path.slice(1).join("."));
  const says = STORES[store].says as Readonly<Record<string, string>>;
  const fits = (pattern: string) => pattern.split(".").every((key, index) => key === "*" || key === path[index]) && pattern.split(".").length <= path.length;
  const [longest] = Object.keys(says)
    .filter(fits)
    .sort((a, b) => b.split(".").length - a.split(".").length);
  return longest === undefined ? field : says[longest]!;
}

const MOST_SAID = 160;

/** Keys that are their own unit, and stand behind the number. */
const UNITS: ReadonlySet<string> = new Set(["g", "ml", "mm"]);

function parted(value: object): string {
  const said = Object.entries(value).map(([key, one]) =>
    UNITS.has(key) ? `${sayValue(one)} ${key}` : `${key.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`)} ${sayValue(one)}`,
  );
  return said.length === 0 ? "nothing" : said.join(", ");
}

/** A value as it can be read: days and instants by the calendar, lists one after another, nothing as "nothing". */
export function sayValue(value: unknown): string {
  if (value === undefined || value === null || value === "") return "nothing";
  if (typeof value === "boolean") return value ? "yes" : "no";
  if (typeof value === "number") return String(Math.round(value * 100) / 100);
  if (typeof value === "string") {
    if (/^\d{4}-\d{2}-\d{2}$/.test(value)) return format(new Date(`${value}T12:00`), "d MMMM yyyy");
    return /^\d{4}-\d{2}-\d{2}T/.test(value) && !Number.isNaN(Date.parse(value)) ? format(new Date(value), "d MMMM yyyy, HH:mm") : value.slice(0, MOST_SAID);
  }
  const said = Array.isArray(value) ? (value.length === 0 ? "none" : value.map(sayValue).join("; ")) : parted(value as object);
  return said.length > MOST_SAID ? `${said.slice(0, MOST_SAID)}…` : said;
}
