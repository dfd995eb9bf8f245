import { STORES } from "#core/formats/stores/stores";
import type { StoreName } from "#core/formats/stores/stores";
import { sameValue } from "#core/merge/field-walk";
import type { VersionVector } from "#core/merge/version-vector";
import { stamped } from "#core/merge/stamp";
import type { Stamp } from "#core/merge/stamp";
import type { Entry } from "./acts";
import { freshId } from "./fresh-id";

/** Who changed what in the records: it goes into files, and tells newer from older where two notebooks are put together. */
export const STAMPS_STORE = "stamps";
/** The name of this device among those the notebook has met. */
export const DEVICES_STORE = "devices";
/** What two notebooks say differently, until it is decided. */
export const DIFFERENCES_STORE = "differences";

const THIS = "this";

export interface ThisDevice {
  readonly id: string;
  readonly device: string;
}

/** A value the notebook and a file that was brought in, or two tabs, say differently; what the notebook says stands until it is decided. */
export interface KeptDifference {
  /** Store, record and path of the value: "pieces/ID/piece.name". */
  readonly id: string;
  readonly store: StoreName;
  readonly record: string;
  readonly field: string;
  /** What the file says, or what was set over what another tab had set meanwhile; absent where it says nothing. */
  readonly theirs?: unknown;
  readonly theirMark: VersionVector;
  /** When it was brought in: instant, ms. */
  readonly at: number;
  /** Not a file says so, but a tab. */
  readonly from?: "tab";
}

/** A stamp or a difference that was, or is to be again; null for none. */
export interface KeptBeside<T> {
  readonly id: string;
  readonly was: T | null;
}

/** What stands beside records, inside a transaction. */
export interface BesideInside {
  readonly stamps: {
    readonly get: (id: string) => Promise<Stamp | undefined>;
    readonly put: (stamp: Stamp) => Promise<unknown>;
    readonly delete: (id: string) => Promise<void>;
  };
  readonly devices: { readonly get: (id: string) => Promise<ThisDevice | undefined>; readonly put: (device: ThisDevice) => Promise<unknown> };
  readonly differences: {
    readonly get: (id: string) => Promise<KeptDifference | undefined>;
    readonly put: (difference: KeptDifference) => Promise<unknown>;
    readonly delete: (id: string) => Promise<void>;
  };
}

/** The name of this device, and how it is kept where it has none yet: it is given one when it first changes anything. */
export async function namedDevice({ devices }: Pick<BesideInside, "devices">): Promise<{ readonly device: string; readonly keep: () => Promise<void> }> {
  const known = await devices.get(THIS);
  if (known) return { device: known.device, keep: async () => undefined };
  const device = freshId();
  return { device, keep: async () => void (await devices.put({ id: THIS, device })) };
}

/** The name of this device, kept from now on. */
export async function deviceOf(inside: Pick<BesideInside, "devices">): Promise<string> {
  const { device, keep } = await namedDevice(inside);
  await keep();
  return device;
}

async function putOrRemove(stamps: BesideInside["stamps"], id: string, stamp: Stamp | null): Promise<void> {
  if (stamp) await stamps.put(stamp);
  else await stamps.delete(id);
}

/**
 * Stamps what a command has changed.
 *
 * @param entries its records before and after
 * @param exact records whose stamps the command has set itself
 */
export async function stampEntries(inside: BesideInside, entries: readonly Entry[], at: number, exact: ReadonlySet<string>): Promise<void> {
  let device: string | null = null;
  for (const { store, id, before, after } of entries) {
    const key = `${store}/${id}`;
    if (exact.has(key)) continue;
    const stamp = (await inside.stamps.get(key)) ?? null;
    const { meets, usual = null } = STORES[store] as { meets: (typeof STORES)[StoreName]["meets"]; usual?: object | null };
    // A record that is new needs no stamp, unless there was one of it before, or there is a usual one it differs from.
    if (before === null && !stamp && usual === null) continue;
    device ??= await deviceOf(inside);
    const next = stamped(meets, key, stamp, before, after, { device, at }, usual);
    if (!sameValue(next, stamp)) await putOrRemove(inside.stamps, key, next);
  }
}

/** Puts stamps and differences as they were, and says what they were before that. */
export async function swapped(
  inside: BesideInside,
  stamps: readonly KeptBeside<Stamp>[],
  differences: readonly KeptBeside<KeptDifference>[],
): Promise<{ readonly stamps: readonly KeptBeside<Stamp>[]; readonly differences: readonly KeptBeside<KeptDifference>[] }> {
  const stampsWere: KeptBeside<Stamp>[] = [];
  for (const { id, was } of stamps) {
    stampsWere.push({ id, was: (await inside.stamps.get(id)) ?? null });
    await putOrRemove(inside.stamps, id, was);
  }
  const differencesWere: KeptBeside<KeptDifference>[] = [];
  for (const { id, was } of differences) {
    differencesWere.push({ id, was: (await inside.differences.get(id)) ?? null });
    if (was) await inside.differences.put(was);
    else await inside.differences.delete(id);
  }
  return { stamps: stampsWere, differences: differencesWere };
}

/** On which device what was changed, for a file. */
export async function provenance(
  stamps: { readonly getAll: () => Promise<readonly Stamp[]> },
  devices: { readonly get: (id: string) => Promise<ThisDevice | undefined> },
): Promise<{ readonly stamps: readonly Stamp[]; readonly device?: string }> {
  const [known, all] = [await devices.get(THIS), await stamps.getAll()];
  return { stamps: all, ...(known ? { device: known.device } : {}) };
}
