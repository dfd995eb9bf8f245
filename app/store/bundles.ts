import { PART_NAMES, writeBundle } from "#core/formats/write-bundle";
import type { Bundle } from "#core/formats/write-bundle";
import { pieceId, planId, progressId } from "#core/catalogue/ids";
import type { PieceRecord } from "#core/formats/records";
import { runCommand } from "./command";
import type { Recorder } from "./command";
import { freshId } from "./fresh-id";
import type { Database } from "./database";

/** Everything kept, as one file's document. */
export async function exportAll(db: Database): Promise<Bundle> {
  const transaction = db.transaction([...PART_NAMES]);
  const parts = await Promise.all(PART_NAMES.map(async (part) => [part, await transaction.objectStore(part).getAll()] as const));
  await transaction.done;
  return writeBundle(Object.fromEntries(parts));
}

export interface Imported {
  readonly added: number;
  /** Already here, word for word. */
  readonly same: number;
  /** Here under the same id but different: added as a second piece, so that neither is lost. */
  readonly beside: number;
}

async function putMissing(recorder: Recorder, bundle: Bundle, own: readonly string[]): Promise<void> {
  for (const plan of bundle.plans.filter((one) => own.includes(one.id))) if (!(await recorder.get("plans", plan.id))) await recorder.put("plans", plan);
  for (const done of bundle.progress.filter((one) => own.includes(one.planId)))
    if (!(await recorder.get("progress", done.id))) await recorder.put("progress", done);
}

/** A piece of the file whose namesake here has changed: it comes in under ids of its own, with its plans and their work. */
async function putBeside(recorder: Recorder, bundle: Bundle, record: PieceRecord): Promise<void> {
  const id = pieceId(freshId());
  const own = bundle.plans.filter((plan) => plan.pieceId === record.id);
  const renamed = new Map(own.map((plan) => [plan.id, planId(freshId())]));
  await recorder.put("pieces", {
    ...record,
    id,
    planId: record.planId ? (renamed.get(record.planId) ?? null) : null,
    piece: { ...record.piece, name: `${record.piece.name} (from file)`.slice(0, 120) },
  });
  for (const plan of own) await recorder.put("plans", { ...plan, id: renamed.get(plan.id)!, pieceId: id });
  for (const done of bundle.progress)
    if (renamed.has(done.planId)) await recorder.put("progress", { ...done, id: progressId(freshId()), planId: renamed.get(done.planId)! });
}

/**
 * Adds a checked bundle to what is kept, in one transaction: all of it or nothing. The user's own hours and settings stay where
 * the user has any.
 *
 * @throws whatever the browser throws when it cannot write (a full disk); the database is then as it was
 */
export function importBundle(db: Database, bundle: Bundle, label = "bringing the file in"): Promise<Imported> {
  return runCommand(db, label, PART_NAMES, async (recorder) => {
    const counts = { added: 0, same: 0, beside: 0 };
    for (const record of bundle.pieces) {
      const own = bundle.plans.filter((plan) => plan.pieceId === record.id).map((plan) => plan.id);
      const here = await recorder.get("pieces", record.id);
      if (here && JSON.stringify(here) === JSON.stringify(record)) {
        counts.same += 1;
        await putMissing(recorder, bundle, own);
      } else if (!here) {
        counts.added += 1;
        await recorder.put("pieces", record);
        await putMissing(recorder, bundle, own);
      } else {
        counts.beside += 1;
        await putBeside(recorder, bundle, record);
      }
    }
    for (const room of bundle.rooms) if (!(await recorder.get("rooms", room.id))) await recorder.put("rooms", room);
    for (const hours of bundle.hours) if (!(await recorder.get("hours", hours.id))) await recorder.put("hours", hours);
    for (const settings of bundle.settings) if (!(await recorder.get("settings", settings.id))) await recorder.put("settings", settings);
    return counts;
  });
}

/** Empties the database, all or nothing; it can be taken back. */
export function wipeAll(db: Database): Promise<void> {
  return runCommand(db, "emptying the notebook", PART_NAMES, async (recorder) => {
    for (const part of PART_NAMES) for (const record of await recorder.all(part)) await recorder.remove(part, record.id);
  });
}
