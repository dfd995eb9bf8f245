/**
 * The name a record goes by, as far as it can be read.
 *
 * @param record any record, sound or not
 * @returns null where it has none
 * @example recordName({ id: "jar1", name: " Chalk cream " }) // "Chalk cream"
 */
export function recordName(record: unknown): string | null {
  const { name, label, piece } = (record ?? {}) as { readonly name?: unknown; readonly label?: unknown; readonly piece?: { readonly name?: unknown } };
  const said = [name, piece && typeof piece === "object" ? piece.name : undefined, label].find((one): one is string => typeof one === "string");
  return said?.trim() || null;
}
