import { CATALOGUE } from "#core/catalogue/catalogue";
import { finishedRecord } from "#core/formats/finished-record";
import type { StoreName } from "#core/formats/stores/stores";
import { DEFINITIONS, STORES } from "#core/formats/stores/stores";
import { bareOf, pathOf, sameValue, valueAt, withValue } from "#core/merge/field-walk";
import { knownOf } from "#core/merge/stamp";
import type { Mark, Stamp } from "#core/merge/stamp";
import { changedBy, joined } from "#core/merge/version-vector";
import { runCommand } from "./command";
import type { By } from "./command";
import type { Database } from "./database";
import type { Recorder } from "./recorder";
import { DIFFERENCES_STORE } from "./beside";
import { deviceOf } from "./stamps";
import type { KeptDifference } from "./beside";
import { FinalError } from "./final-error";

/** A value that this notebook and a file say differently. */
export interface Difference {
  readonly id: string;
  readonly store: StoreName;
  /** What the record is called, as far as it can be read. */
  readonly name: string;
  readonly field: string;
  /** What stands. */
  readonly mine: unknown;
  readonly theirs: unknown;
  readonly from: "file" | "tab";
}

type Fields = Readonly<Record<string, unknown>>;

const meetsOf = (store: StoreName) => DEFINITIONS.find(({ name }) => name === store)!.meets;

/** What a record is called: by its name, or by that of the piece it is of. */
async function nameOf(db: Database, store: StoreName, record: Fields): Promise<string> {
  const own = record.name ?? record.label ?? (record.piece as Fields | undefined)?.name;
  if (typeof own === "string") return own;
  const { owner, called } = STORES[store] as { readonly owner?: { readonly field: string }; readonly called: string };
  const piece = owner && typeof record[owner.field] === "string" ? await db.get("pieces", record[owner.field] as string) : undefined;
  return piece ? `${called} of ${piece.piece.name}` : called;
}

/** All that is not decided yet, the oldest first; what says the same by now is no longer told. */
export async function differencesIn(db: Database): Promise<readonly Difference[]> {
  const kept = [...(await db.getAll(DIFFERENCES_STORE))].sort((a, b) => a.at - b.at);
  const told = await Promise.all(
    kept.map(async ({ id, store, record, field, theirs, from = "file" }) => {
      const here = (await db.get(store, record)) as Fields | undefined;
      if (!here) return [];
      const mine = valueAt(meetsOf(store), bareOf(meetsOf(store), here), pathOf(field));
      if (sameValue(mine, theirs)) return [];
      return [{ id, store, name: await nameOf(db, store, here), field, mine, theirs, from: from as Difference["from"] }];
    }),
  );
  return told.flat();
}

/** Decides one difference; whoever gets a file from here knows that it was decided. */
async function decide(
  recorder: Recorder,
  { id, store, record, field, theirs, theirMark }: KeptDifference,
  whose: "mine" | "theirs",
  at: number,
): Promise<boolean> {
  await recorder.putDifference(id, null);
  const here = (await recorder.get(store, record)) as (object & { readonly rev: number }) | undefined;
  if (!here) return true;
  const key = `${store}/${record}`;
  const stamp: Stamp | null = (await recorder.beside.stamps.get(key)) ?? null;
  if (whose === "theirs") {
    const next = finishedRecord(store, { ...withValue(meetsOf(store), here, pathOf(field), theirs), rev: here.rev + 1 } as never, CATALOGUE);
    if (!recorder.fits(store, next)) return false;
    await recorder.put(store, next as never);
  }
  const from = stamp?.by[field]?.from;
  const mark: Mark = { v: changedBy(joined(knownOf(stamp, field), theirMark), await deviceOf(recorder.beside), at), ...(from === undefined ? {} : { from }) };
  await recorder.putStamp(key, { id: key, by: { ...stamp?.by, [field]: mark } });
  return true;
}

/** A value of the file that cannot stand with the rest of the record. */
export class DoesNotFit extends FinalError {
  override readonly name = "DoesNotFit";
}

/**
 * Decides differences, all of them in one go.
 *
 * @param whose whose values stand
 * @throws DoesNotFit when a value of the file cannot stand with what the notebook has beside it; nothing is decided then
 */
export function decideDifferences(db: Database, ids: readonly string[], whose: "mine" | "theirs", by: By = {}): Promise<void> {
  const stores = [...new Set(ids.map((id) => id.split("/")[0] as StoreName))];
  return runCommand(
    db,
    whose === "mine" ? "leaving it as it is here" : "taking it as the file has it",
    "everything",
    stores,
    async (recorder) => {
      const at = Date.now();
      for (const difference of (await recorder.allBeside()).differences.filter((one) => ids.includes(one.id)))
        if (!(await decide(recorder, difference, whose, at)))
          throw new DoesNotFit("what the file says does not fit with what stands beside it here; set it by hand");
    },
    by,
  );
}
