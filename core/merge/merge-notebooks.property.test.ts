/** Two notebooks are put together: of every store and every field, whatever was changed on whichever side, nothing is lost and both come to the same. */
import { describe, expect, test } from "@jest/globals";
import { DEFINITIONS } from "../formats/stores/stores";
import { EVERY_STORE } from "../../tests/reference/every-store";
import { bareOf, differences, isFields, partsOf, pathText, placeOf, sameValue, TOP, valueAt, withValue } from "./field-walk";
import type { HowCopiesMeet, Path, Place } from "./field-walk";
import { mergeNotebooks } from "./merge-notebooks";
import type { AnyRecord, Clash, NotebookCopy } from "./merge-notebooks";
import { stamped } from "./stamp";

interface Value {
  readonly path: Path;
  /** It is an entry of a list, that may be put in and taken out. */
  readonly isEntry: boolean;
}

/** Everything of a record that is one value, and entries of lists that are joined. */
function valuesOf(meets: HowCopiesMeet, value: unknown, place: Place = TOP): readonly Value[] {
  const parts = partsOf(meets, place, value, value)?.[0];
  if (!parts || value === undefined) return [{ path: place.path, isEntry: place.pattern.endsWith("*") }];
  const inside = [...parts.of.keys()]
    .filter((name) => place.path.length > 0 || !["id", "rev"].includes(name))
    .flatMap((name) => valuesOf(meets, parts.of.get(name), placeOf(place, parts, name)));
  const entries = parts.kind === "list" ? [...parts.of.keys()].map((name) => ({ path: [...place.path, name], isEntry: true })) : [];
  return [...inside, ...entries.filter(({ path }) => !inside.some((one) => pathText(one.path) === pathText(path)))];
}

/** Another value of the same sort; how it differs is told by the device that set it. */
function another(value: unknown, device: string): unknown {
  if (typeof value === "number") return value + (device === "laptop" ? 1 : 2);
  if (typeof value === "boolean") return device === "laptop" ? !value : `not ${String(value)}`;
  if (typeof value === "string") return `${value} ${device}`;
  if (Array.isArray(value)) return [...(value as unknown[]), device];
  if (isFields(value)) return { ...value, note: device };
  return device;
}

interface Device extends NotebookCopy {
  readonly device: string;
}

/** A device with the records of one store. */
const startOf =
  (store: string) =>
  (device: string): Device => ({ parts: { [store]: EVERY_STORE[store as never] }, stamps: [], device });
let clock = 1;

/** A device on which one record was changed. */
function changed(device: Device, store: string, id: string, change: (record: AnyRecord) => AnyRecord | null): Device {
  const { meets } = DEFINITIONS.find(({ name }) => name === store)!;
  const record = device.parts[store]!.find((one) => one.id === id) ?? null;
  const next = record && change(record);
  const key = `${store}/${id}`;
  const stamp = stamped(meets, key, device.stamps.find((one) => one.id === key) ?? null, record, next, { device: device.device, at: (clock += 1) });
  const others = device.parts[store]!.filter((one) => one.id !== id);
  return {
    device: device.device,
    parts: { ...device.parts, [store]: next ? [...others, { ...next, rev: record.rev + 1 }] : others },
    stamps: [...device.stamps.filter((one) => one.id !== key), ...(stamp ? [stamp] : [])],
  };
}

/** What becomes of one device when the file of the other is brought in. */
function after(mine: Device, theirs: Device): { readonly device: Device; readonly clashes: readonly Clash[] } {
  const merged = mergeNotebooks(mine, theirs, { definitions: DEFINITIONS, by: { device: mine.device, at: (clock += 1) } });
  return { device: { device: mine.device, parts: merged.parts, stamps: merged.stamps }, clashes: merged.clashes };
}

const said = ({ parts }: NotebookCopy) =>
  Object.fromEntries(
    DEFINITIONS.map(({ name, meets }) => [
      name,
      [...(parts[name] ?? [])].map(({ rev: _rev, ...one }) => bareOf(meets, one)).sort((a, b) => (String(a.id) < String(b.id) ? -1 : 1)),
    ]),
  );

const CASES = DEFINITIONS.flatMap(({ name, meets }) =>
  (EVERY_STORE[name as never] as readonly AnyRecord[]).flatMap((record) =>
    valuesOf(meets, bareOf(meets, record)).map((value) => ({ store: name, id: record.id, ...value, field: pathText(value.path) })),
  ),
);

/** Fields that can change and still be found where they were: what names an entry of a list is the entry. */
const isFound = (record: AnyRecord, path: Path, meets: HowCopiesMeet, device: string) => {
  const value = another(valueAt(meets, record, path), device);
  return sameValue(valueAt(meets, withValue(meets, record, path, value), path), value);
};

describe.each(DEFINITIONS.map(({ name }) => name))("two copies of %s", (store) => {
  const { meets } = DEFINITIONS.find(({ name }) => name === store)!;
  const start = startOf(store);
  const set = (device: Device, id: string, path: Path, value: (was: unknown) => unknown) =>
    changed(device, store, id, (record) => withValue(meets, record, path, value(valueAt(meets, record, path))));

  const recordOf = (id: string) => (EVERY_STORE[store as never] as readonly AnyRecord[]).find((one) => one.id === id)!;
  const all = CASES.filter((one) => one.store === store);
  const settable = all.filter(({ id, path }) => isFound(recordOf(id), path, meets, "laptop"));
  const cases = all.filter((one) => one.isEntry || settable.includes(one));

  test.each(cases)("$field, changed or taken away on one side, is so on both, whichever file goes first", ({ id, path }) => {
    const ways = [() => undefined, ...(isFound(recordOf(id), path, meets, "laptop") ? [(was: unknown) => another(was, "laptop")] : [])];
    for (const value of ways) {
      const [a, b] = [set(start("laptop"), id, path, value), start("phone")];
      const [there, here] = [after(b, a), after(a, b)];
      expect([there.clashes, here.clashes]).toEqual([[], []]);
      expect(said(there.device)).toEqual(said(a));
      expect(said(here.device)).toEqual(said(a));
      // And back: what came from the other is not taken for older.
      const again = set(there.device, id, path, () => "phone again");
      expect(said(after(here.device, again).device)).toEqual(said(again));
      expect(after(again, here.device).clashes).toEqual([]);
    }
  });

  test.each(settable)("$field, set on both, stands on each as it was set there, and is asked about with both values", ({ id, path }) => {
    const [a, b] = [set(start("laptop"), id, path, (was) => another(was, "laptop")), set(start("phone"), id, path, (was) => another(was, "phone"))];
    const [here, there] = [after(a, b), after(b, a)];
    const told = (clash: Clash) => [clash.field, clash.mine, clash.theirs];
    const isDerived = meets.derived?.includes(path[0]!) ?? false;
    expect([said(here.device), said(there.device)]).toEqual(isDerived ? [said(b), said(b)] : [said(a), said(b)]);
    expect(here.clashes.length).toBeGreaterThan(0);
    expect(here.clashes.map(told)).toEqual(there.clashes.map(({ field, mine, theirs }) => [field, theirs, mine]));
    // It goes on being asked about until it is decided.
    expect(after(here.device, b).clashes.map(told)).toEqual(isDerived ? [] : here.clashes.map(told));
  });

  test("two fields, one on each side, are both taken, by every pair of fields", () => {
    const meetIn = (one: string, other: string) => one === other || one.startsWith(`${other}.`) || other.startsWith(`${one}.`);
    /** What kind a thing is decides what its other fields mean: a change of it is a change of all of it. */
    const isKind = (one: Path, other: Path) => one.length > 1 && one.at(-1) === "kind" && meetIn(pathText(other), pathText(one.slice(0, -1)));
    for (const [index, one] of settable.entries())
      for (const other of settable.slice(index + 1)) {
        if (other.id !== one.id || meetIn(one.field, other.field) || isKind(one.path, other.path) || isKind(other.path, one.path)) continue;
        const [a, b] = [
          set(start("laptop"), one.id, one.path, (was) => another(was, "laptop")),
          set(start("phone"), other.id, other.path, (was) => another(was, "phone")),
        ];
        const [here, there] = [after(a, b), after(b, a)];
        expect([one.field, other.field, here.clashes, there.clashes]).toEqual([one.field, other.field, [], []]);
        expect(sameValue(said(here.device), said(there.device))).toBe(true);
        expect(
          differences(
            meets,
            bareOf(meets, recordOf(one.id)),
            bareOf(
              meets,
              here.device.parts[store]!.find(({ id }) => id === one.id)!,
            ),
          ),
        ).toHaveLength(2);
      }
  });

  test("a record that is new comes in, one that was taken away goes, and one that was changed since stays", () => {
    for (const { id } of EVERY_STORE[store as never] as readonly AnyRecord[]) {
      const without = changed(start("laptop"), store, id, () => null);
      const gone = after(start("phone"), without);
      expect(said(gone.device)).toEqual(said(after(without, start("phone")).device));
      const first = cases.find((one) => one.id === id)!;
      const since = set(start("phone"), id, first.path, (was) => another(was, "phone"));
      const [here, there] = [after(without, since), after(since, without)];
      expect(said(here.device)).toEqual(said(since));
      expect(said(there.device)).toEqual(said(since));
      // It is back for good.
      expect(said(after(here.device, without).device)).toEqual(said(since));
      const fresh = { ...start("phone"), parts: {} };
      expect(said(after(fresh, start("laptop")).device)).toEqual(said(start("laptop")));
    }
  });
});
