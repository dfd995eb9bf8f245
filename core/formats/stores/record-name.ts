import type { StoreDefinition, StoredRecord } from "./definition";

/** Fields that may hold what a record goes by. */
const NAMES = ["name", "piece", "label"] as const;

/** Whether records of a store go by a name. */
export function hasNames({ says }: Pick<StoreDefinition<StoredRecord>, "says">): boolean {
  return NAMES.some((field) => field in says);
}

/**
 * The name a record goes by, as far as it can be read.
 *
 * @param record any record, sound or not
 * @returns null where it has none
 * @example recordName({ id: "jar1", name: " Chalk cream " }) // "Chalk cream"
 */
export function recordName(record: unknown): string | null {
  const fields = (record ?? {}) as Readonly<Record<string, unknown>>;
  const inside = (value: unknown) => (typeof value === "object" && value !== null ? (value as { readonly name?: unknown }).name : value);
  const said = NAMES.map((field) => inside(fields[field])).find((one): one is string => typeof one === "string");
  return said?.trim() || null;
}
