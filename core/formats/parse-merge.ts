import type { Catalogue } from "../catalogue/catalogue";
import { finishedRecord } from "./finished-record";
import { mergeNotebooks } from "../merge/merge-notebooks";
import type { AnyRecord, NotebookCopy } from "../merge/merge-notebooks";
import { readBundle, sortedOut } from "./bundle";
import { bad, good } from "./problem";
import type { Parsed } from "./problem";
import { DEFINITIONS } from "./stores/stores";
import { fileOf } from "./write-bundle";
import type { Bundle } from "./write-bundle";

/** The device of a bundle that names none. */
const UNNAMED = "mergedhere";

const copyOf = (bundle: Bundle): NotebookCopy => ({ parts: bundle as unknown as NotebookCopy["parts"], stamps: bundle.stamps ?? [], device: bundle.device });

/**
 * Puts two notebooks together: `{ mine, theirs }`, a bundle each.
 *
 * @param document as it came in
 * @returns the notebook they make, what of theirs was taken by store, and values both set otherwise; or what is wrong with one of them, by its path
 */
export function answerMerge(document: unknown, catalogue: Catalogue): Parsed<unknown> {
  if (typeof document !== "object" || document === null) return bad("bad-value", "", "say { mine, theirs }, a bundle each");
  const sides: Bundle[] = [];
  for (const side of ["mine", "theirs"] as const) {
    const read = readBundle(JSON.stringify((document as Record<string, unknown>)[side] ?? null), catalogue);
    if (!read.ok) return bad(read.problem.code, read.problem.path === "" ? side : `${side}.${read.problem.path}`, read.problem.message);
    const [first] = read.value.aside;
    if (first) return bad(first.problem.code, `${side}.${first.problem.path}`, first.problem.message);
    sides.push(read.value.bundle);
  }
  const [mine, theirs] = sides.map(copyOf) as [NotebookCopy, NotebookCopy];
  const finished = (store: string, record: AnyRecord) => finishedRecord(store, record, catalogue);
  // Its neighbours are asked of the whole notebook afterwards; here a record is asked by itself.
  const fits = (store: string, record: AnyRecord) => sortedOut({ [store]: [record] }, catalogue).aside.every(({ problem }) => problem.code === "unknown-id");
  const at = Math.max(0, ...[...mine.stamps, ...theirs.stamps].flatMap(({ by }) => Object.values(by).flatMap(({ v }) => Object.values(v)))) + 1;
  const merged = mergeNotebooks(mine, theirs, { definitions: DEFINITIONS, fits, finished, by: { device: mine.device ?? UNNAMED, at } });
  const { added, changed, removed, clashes } = merged;
  const taken = Object.fromEntries(
    DEFINITIONS.flatMap(({ name }) => (added[name] || changed[name] ? [[name, (added[name] ?? 0) + (changed[name] ?? 0)]] : [])),
  );
  const { bundle } = sortedOut({ ...merged.parts, device: mine.device, stamps: merged.stamps }, catalogue);
  return good({
    bundle: fileOf(bundle),
    taken,
    added,
    changed,
    removed,
    clashes: clashes.map(({ theirMark: _mark, mine: own, theirs: other, ...one }) => ({ ...one, mine: own ?? null, theirs: other ?? null })),
  });
}
