/** What one command changed in a record, field by field. */
export type FieldChange =
  | { readonly kind: "set"; readonly path: readonly string[]; readonly before: unknown; readonly after: unknown }
  | { readonly kind: "list"; readonly path: readonly string[]; readonly added: readonly unknown[]; readonly taken: readonly unknown[] };

type Fields = Readonly<Record<string, unknown>>;

const isFields = (value: unknown): value is Fields => typeof value === "object" && value !== null && !Array.isArray(value);
const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/** Entries of one list that the other lacks, each as often as it is missing. */
function without(list: readonly unknown[], other: readonly unknown[]): readonly unknown[] {
  const left = other.map((one) => JSON.stringify(one));
  return list.filter((one) => {
    const at = left.indexOf(JSON.stringify(one));
    if (at < 0) return true;
    left.splice(at, 1);
    return false;
  });
}

/**
 * What turned one record into another; `rev` is no field. Lists count as one field, but for those of independent entries.
 *
 * @param lists paths of lists whose entries are independent
 */
export function fieldChanges(before: Fields, after: Fields, lists: readonly string[], at: readonly string[] = []): readonly FieldChange[] {
  return [...new Set([...Object.keys(before), ...Object.keys(after)])].flatMap((key): readonly FieldChange[] => {
    const path = [...at, key];
    const [old, fresh] = [before[key], after[key]];
    if ((at.length === 0 && key === "rev") || same(old, fresh)) return [];
    if (lists.includes(path.join(".")) && Array.isArray(old) && Array.isArray(fresh))
      return [{ kind: "list", path, added: without(fresh, old), taken: without(old, fresh) }];
    if (isFields(old) && isFields(fresh) && old.kind === fresh.kind) return fieldChanges(old, fresh, lists, path);
    return [{ kind: "set", path, before: old, after: fresh }];
  });
}

function getAt(record: unknown, path: readonly string[]): unknown {
  return path.reduce<unknown>((inside, key) => (isFields(inside) ? inside[key] : undefined), record);
}

function setAt(record: unknown, [head, ...rest]: readonly string[], value: unknown): unknown {
  if (head === undefined) return value;
  const { [head]: inside, ...others } = isFields(record) ? record : {};
  const next = setAt(inside, rest, value);
  return next === undefined ? others : { ...(isFields(record) ? record : {}), [head]: next };
}

/**
 * Turns changes round on a record that may have changed since: what the changes did not touch stays as it is.
 *
 * @returns the record with them turned round, or null when the very same field was set to something else since
 */
export function turnedRound<R extends object>(current: R, changes: readonly FieldChange[]): R | null {
  let record: unknown = current;
  for (const change of changes) {
    const now = getAt(record, change.path);
    if (change.kind === "list") {
      const list = Array.isArray(now) ? now : [];
      record = setAt(record, change.path, [...without(list, change.added), ...change.taken]);
    } else if (same(now, change.after)) record = setAt(record, change.path, change.before);
    else if (!same(now, change.before)) return null;
  }
  return record as R;
}
