import type { CompoundId, MouldId, PourId } from "#core/catalogue/ids";
import { MOST_COMPOUNDS } from "#core/formats/stores/compounds";
import type { CompoundRecord } from "#core/formats/stores/compounds";
import { MOST_MOULDS } from "#core/formats/stores/moulds";
import type { MouldRecord } from "#core/formats/stores/moulds";
import type { PourRecord } from "#core/formats/stores/pours";
import { runCommand } from "./command";
import type { By } from "./command";
import type { Database } from "./database";
import { putFields } from "./put-fields";
import { TooMany } from "./marking";

/** A record as it is asked for: without its count of changes. */
export type Unkept<R> = R extends unknown ? Omit<R, "rev"> : never;

const order = new Intl.Collator(undefined, { numeric: true });
const byName = (a: { readonly name: string }, b: { readonly name: string }) => order.compare(a.name, b.name);

/** The user's moulds, by name. */
export async function mouldsIn(db: Database): Promise<readonly MouldRecord[]> {
  return (await db.getAll("moulds")).sort(byName);
}

/** Bags of powder and kits of resin, by name. */
export async function compoundsIn(db: Database): Promise<readonly CompoundRecord[]> {
  return (await db.getAll("compounds")).sort(byName);
}

/** Every pour, the newest first. */
export async function poursIn(db: Database): Promise<readonly PourRecord[]> {
  return (await db.getAll("pours")).sort((a, b) => b.at.localeCompare(a.at));
}

/**
 * Puts a mould into the register, or says otherwise of one that is there.
 *
 * @param seen the mould as the screen showed it; null for a new one
 */
export function keepMould(db: Database, mould: Unkept<MouldRecord>, by: By = {}, seen: object | null = null): Promise<void> {
  return runCommand(
    db,
    `the mould ${mould.name}`,
    `moulds/${mould.id}`,
    ["moulds"],
    async (recorder) => {
      if (!(await recorder.get("moulds", mould.id)) && (await recorder.ids("moulds")).size >= MOST_MOULDS)
        throw new TooMany(`${MOST_MOULDS} moulds are in the register, more do not go`);
      await putFields(recorder, "moulds", seen, { ...mould, rev: 0 });
    },
    by,
  );
}

/** Takes a mould out of the register; pours that used it keep what they know of it. */
export function removeMould(db: Database, id: MouldId, name: string, by: By = {}): Promise<void> {
  return runCommand(
    db,
    `taking the mould ${name} away`,
    `moulds/${id}`,
    ["moulds"],
    async (recorder) => {
      if (await recorder.get("moulds", id)) await recorder.remove("moulds", id);
    },
    by,
  );
}

/**
 * Puts a bag or a kit on the shelf, or says otherwise of one that is there.
 *
 * @param seen the bag as the screen showed it; null for a new one
 */
export function keepCompound(db: Database, compound: Unkept<CompoundRecord>, by: By = {}, seen: object | null = null): Promise<void> {
  return runCommand(
    db,
    compound.name,
    `compounds/${compound.id}`,
    ["compounds"],
    async (recorder) => {
      if (!(await recorder.get("compounds", compound.id)) && (await recorder.ids("compounds")).size >= MOST_COMPOUNDS)
        throw new TooMany(`${MOST_COMPOUNDS} bags are on the shelf, more do not go`);
      await putFields(recorder, "compounds", seen, { ...compound, rev: 0 } as CompoundRecord);
    },
    by,
  );
}

/** Takes a bag off the shelf; pours out of it stay as they are. */
export function removeCompound(db: Database, id: CompoundId, name: string, by: By = {}): Promise<void> {
  return runCommand(
    db,
    `taking ${name} off the shelf`,
    `compounds/${id}`,
    ["compounds"],
    async (recorder) => {
      if (await recorder.get("compounds", id)) await recorder.remove("compounds", id);
    },
    by,
  );
}

/** Pours of one notebook, at most. */
const MOST_POURS = 5000;

/** Begins a pour; one that is begun already stays as it is. */
export function beginPour(db: Database, pour: Omit<PourRecord, "rev">, by: By = {}): Promise<void> {
  return runCommand(
    db,
    "a new pour",
    `pours/${pour.id}`,
    ["pours"],
    async (recorder) => {
      if (await recorder.get("pours", pour.id)) return;
      if ((await recorder.ids("pours")).size >= MOST_POURS) throw new TooMany(`${MOST_POURS} pours are kept, more do not go`);
      await recorder.put("pours", { ...pour, rev: 1 });
    },
    by,
  );
}

/** Lets a pour go, with what was noted of it. Pieces that came of it stay. */
export function removePour(db: Database, id: PourId, by: By = {}): Promise<void> {
  return runCommand(
    db,
    "letting go of a pour",
    `pours/${id}`,
    ["pours", "timers"],
    async (recorder) => {
      if (!(await recorder.get("pours", id))) return;
      for (const timer of await recorder.all("timers")) if (timer.pour === id) await recorder.remove("timers", timer.id);
      await recorder.remove("pours", id);
    },
    by,
  );
}
