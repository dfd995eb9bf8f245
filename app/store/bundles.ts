import { writeBundle } from "#core/formats/write-bundle";
import type { Bundle } from "#core/formats/write-bundle";
import { pieceId, planId } from "#core/catalogue/ids";
import { freshId } from "./fresh-id";
import type { Notebook } from "./notebook";

/** Everything kept, as one file's document. */
export async function exportAll(db: Notebook): Promise<Bundle> {
  const transaction = db.transaction(["pieces", "plans"]);
  const [pieces, plans] = await Promise.all([transaction.objectStore("pieces").getAll(), transaction.objectStore("plans").getAll()]);
  await transaction.done;
  return writeBundle(pieces, plans);
}

export interface Imported {
  readonly added: number;
  /** Already here, word for word. */
  readonly same: number;
  /** Here under the same id but different: added as a second piece, so that neither is lost. */
  readonly beside: number;
}

/**
 * Adds a checked bundle to what is kept, in one transaction: all of it or nothing.
 *
 * @throws whatever the browser throws when it cannot write (a full disk); the notebook is then as it was
 */
export async function importBundle(db: Notebook, bundle: Bundle): Promise<Imported> {
  const transaction = db.transaction(["pieces", "plans"], "readwrite");
  const pieces = transaction.objectStore("pieces");
  const plans = transaction.objectStore("plans");
  const counts = { added: 0, same: 0, beside: 0 };
  try {
    for (const record of bundle.pieces) {
      const own = bundle.plans.filter((plan) => plan.pieceId === record.id);
      const here = await pieces.get(record.id);
      if (here && JSON.stringify(here) === JSON.stringify(record)) {
        counts.same += 1;
        for (const plan of own) if (!(await plans.get(plan.id))) await plans.put(plan);
      } else if (!here) {
        counts.added += 1;
        await pieces.put(record);
        for (const plan of own) await plans.put(plan);
      } else {
        counts.beside += 1;
        const id = pieceId(freshId());
        const renamed = new Map(own.map((plan) => [plan.id, planId(freshId())]));
        await pieces.put({
          ...record,
          id,
          planId: record.planId ? (renamed.get(record.planId) ?? null) : null,
          piece: { ...record.piece, name: `${record.piece.name} (from file)`.slice(0, 120) },
        });
        for (const plan of own) await plans.put({ ...plan, id: renamed.get(plan.id)!, pieceId: id });
      }
    }
    await transaction.done;
    return counts;
  } catch (error) {
    transaction.abort();
    await transaction.done.catch(() => undefined);
    throw error;
  }
}

/** Empties the notebook, all or nothing. */
export async function wipeAll(db: Notebook): Promise<void> {
  const transaction = db.transaction(["pieces", "plans"], "readwrite");
  await Promise.all([transaction.objectStore("pieces").clear(), transaction.objectStore("plans").clear(), transaction.done]);
}
