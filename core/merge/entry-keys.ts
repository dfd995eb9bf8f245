import type { Change } from "../coating/model/change";
import { targetOf } from "../coating/model/edit-clashes";

/** What names an entry of a list, so that two copies of the list can be laid beside each other. */
export type EntryKey = (entry: never, index: number) => string;

type Fields = Readonly<Record<string, unknown>>;

const textOf = (entry: unknown, field: string) => {
  const value = typeof entry === "object" && entry !== null ? (entry as Fields)[field] : undefined;
  return typeof value === "string" || typeof value === "number" ? String(value) : JSON.stringify(entry);
};

/** Entries that are named by one of their fields, or by several together. */
export function byFields(...fields: readonly string[]): EntryKey {
  return (entry: unknown) => fields.map((field) => textOf(entry, field)).join("|");
}

/** Entries that have an id. */
export const byId: EntryKey = byFields("id");

/** Entries that are what they say: words of a set. */
export const byValue: EntryKey = (entry: unknown) => (typeof entry === "string" ? entry : JSON.stringify(entry));

/** Entries that are the first, the second and so on. */
export const byPlace: EntryKey = (_entry: unknown, index: number) => String(index);

/** Changes of a plan: two that set the same thing of the same step are one entry; one that adds a step is what it says. */
export const byTarget: EntryKey = (change: Change | null) => (typeof change === "object" && change !== null && targetOf(change)) || JSON.stringify(change);
