/** Notebooks of several devices that are changed at random and put together by their files in any order. */
import { DEFINITIONS } from "#core/formats/stores/stores";
import { bareOf, differences, isFields, partsOf, placeOf, sameValue, TOP, valueAt, withValue } from "#core/merge/field-walk";
import type { HowCopiesMeet, Path, Place } from "#core/merge/field-walk";
import { mergeNotebooks } from "#core/merge/merge-notebooks";
import type { AnyRecord, NotebookCopy } from "#core/merge/merge-notebooks";
import { stamped } from "#core/merge/stamp";
import { EVERY_STORE } from "../reference/every-store";
import { pick, seeded } from "./attack";
import type { Random } from "./attack";

type Device = NotebookCopy & { readonly device: string };

/** Values of a record, as finely as its definition tells them apart. */
function pathsOf(meets: HowCopiesMeet, value: unknown, place: Place = TOP): readonly Path[] {
  const parts = partsOf(meets, place, value, value)?.[0];
  if (!parts) return [place.path];
  const names = [...parts.of.keys()].filter((name) => place.path.length > 0 || !["id", "rev"].includes(name));
  return names.flatMap((name) => pathsOf(meets, parts.of.get(name), placeOf(place, parts, name)));
}

/** Another value of the same sort, that no other turn sets. */
function another(value: unknown, turn: number): unknown {
  if (typeof value === "number") return value + turn;
  if (Array.isArray(value)) return [...(value as unknown[]), `turn ${turn}`];
  return isFields(value) ? { ...value, turn } : `turn ${turn}`;
}

/** A device on which one value was set; null where nothing could be. */
function changed(device: Device, random: Random, turn: number): Device | null {
  const { name, meets } = pick(random, DEFINITIONS);
  const records = device.parts[name] ?? [];
  if (records.length === 0) return null;
  const record = pick(random, records);
  const path = pick(random, pathsOf(meets, bareOf(meets, record)));
  const value = another(valueAt(meets, record, path), turn);
  const next = withValue(meets, record, path, value);
  // What names an entry of a list is the entry: set otherwise it is another one.
  if (!sameValue(valueAt(meets, next, path), value) || differences(meets, record, next).length !== 1) return null;
  const key = `${name}/${record.id}`;
  const before = device.stamps.find((one) => one.id === key) ?? null;
  const stamp = stamped(meets, key, before, record, next, { device: device.device, at: turn })!;
  const others = (list: readonly AnyRecord[]) => list.filter((one) => one.id !== record.id);
  return {
    device: device.device,
    parts: { ...device.parts, [name]: [...others(records), { ...next, rev: record.rev + 1 }] },
    stamps: [...device.stamps.filter((one) => one.id !== key), stamp],
  };
}

const said = ({ parts }: NotebookCopy) =>
  JSON.stringify(
    DEFINITIONS.map(({ name, meets }) =>
      [...(parts[name] ?? [])]
        .map(({ rev: _rev, ...one }) => bareOf(meets, one as object))
        .sort((a, b) => ((a as AnyRecord).id < (b as AnyRecord).id ? -1 : 1)),
    ),
    (_key, value: unknown) => (isFields(value) ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1))) : value),
  );

/**
 * Changes and exchanges at random on three devices, then every file to every other until nothing comes any more.
 *
 * @param turns changes and exchanges
 * @returns what went wrong: something that was set is neither kept, nor set anew, nor asked about; or notebooks that ask nothing and are not the same
 */
export function exchanged(seed: number, turns: number): readonly string[] {
  const random = seeded(seed);
  const faults: string[] = [];
  const devices: Device[] = ["laptop", "phone", "tablet"].map((device) => ({ device, parts: EVERY_STORE as unknown as Device["parts"], stamps: [] }));
  const bring = (to: number, from: number, at: number) => {
    const merged = mergeNotebooks(devices[to]!, devices[from]!, { definitions: DEFINITIONS, by: { device: devices[to]!.device, at } });
    devices[to] = { device: devices[to]!.device, parts: merged.parts, stamps: merged.stamps };
    return merged;
  };
  /** Values both sides held, of which neither is left nor asked about. */
  let lost = 0;
  for (let turn = 1; turn <= turns; turn += 1) {
    const who = Math.floor(random() * devices.length);
    if (random() < 0.7) {
      const made = changed(devices[who]!, random, turn);
      if (made) devices[who] = made;
      continue;
    }
    const other = (who + 1 + Math.floor(random() * (devices.length - 1))) % devices.length;
    const [mine, theirs] = [said(devices[who]!), said(devices[other]!)];
    const { clashes, parts } = bring(who, other, turn);
    const now = said({ parts, stamps: [] }) + JSON.stringify(clashes);
    const both = [...new Set(mine.match(/"turn \d+"/g) ?? [])].filter((word) => theirs.includes(word));
    lost += both.filter((word) => !now.includes(word)).length;
  }
  if (lost > 0) faults.push(`exchange ${seed}: ${lost} values both sides held are gone`);
  for (let round = 0; round < devices.length; round += 1)
    for (const [to] of devices.entries()) for (const [from] of devices.entries()) if (to !== from) bring(to, from, turns + round + 1);
  const last = devices.map((_one, to) => devices.flatMap((_other, from) => (to === from ? [] : bring(to, from, turns + 9).clashes)));
  const asked = new Set(last.flat().map(({ store, id }) => `${store}/${id}`));
  const settled = (device: Device): Device => ({
    ...device,
    parts: Object.fromEntries(Object.entries(device.parts).map(([name, records]) => [name, records!.filter(({ id }) => !asked.has(`${name}/${id}`))])),
  });
  if (new Set(devices.map((one) => said(settled(one)))).size > 1) faults.push(`exchange ${seed}: notebooks that ask nothing are not the same`);
  return faults;
}
