import { STORES } from "#core/formats/stores/stores";
import type { StoreName } from "#core/formats/stores/stores";
import { sameValue } from "#core/merge/field-walk";
import { stamped } from "#core/merge/stamp";
import type { Stamp } from "#core/merge/stamp";
import type { Entry } from "./acts";
import type { BesideInside, KeptBeside, KeptDifference, ThisDevice } from "./beside";
import { freshId } from "./fresh-id";

const THIS = "this";

/** The name of this device, and how it is kept where it has none yet: it is given one when it first changes anything. */
export async function namedDevice({ devices }: Pick<BesideInside, "devices">): Promise<{ readonly device: string; readonly keep: () => Promise<void> }> {
  const known = await devices.get(THIS);
  if (known) return { device: known.device, keep: async () => undefined };
  const device = freshId();
  return { device, keep: async () => void (await devices.put({ id: THIS, device })) };
}

/** Whether a file is this device's own: what waited to be written when it was saved waits here still, or was written. */
export async function isOwn(devices: { readonly get: (id: string) => Promise<ThisDevice | undefined> }, device: string | undefined): Promise<boolean> {
  return device !== undefined && (await devices.get(THIS))?.device === device;
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
