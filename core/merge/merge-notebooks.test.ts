/** What two notebooks come to where they differ from before anybody kept count, where both together fit nothing, and where something is had back. */
import { describe, expect, test } from "@jest/globals";
import { EVERY_STORE } from "../../tests/reference/every-store";
import { CATALOGUE } from "../catalogue/catalogue";
import { DEFINITIONS, STORES } from "../formats/stores/stores";
import { causality, changedBy } from "./version-vector";
import { mergeNotebooks } from "./merge-notebooks";
import type { AnyRecord, MergeHow, NotebookCopy } from "./merge-notebooks";
import { finishedRecord } from "../formats/finished-record";
import { stamped } from "./stamp";
import type { Stamp } from "./stamp";

const room = EVERY_STORE.rooms[0] as unknown as AnyRecord;
const named = (name: string): AnyRecord => ({ ...room, name });
const notebook = (device: string, rooms: readonly AnyRecord[], stamps: readonly Stamp[] = []): NotebookCopy => ({ parts: { rooms }, stamps, device });
const change = (device: string, at: number, before: AnyRecord | null, after: AnyRecord | null, stamp: Stamp | null = null) =>
  stamped(STORES.rooms.meets, `rooms/${room.id}`, stamp, before, after, { device, at })!;
const merged = (mine: NotebookCopy, theirs: NotebookCopy, how: Partial<MergeHow> = {}) =>
  mergeNotebooks(mine, theirs, { definitions: DEFINITIONS, by: { device: mine.device!, at: 1000 }, ...how });

describe("notebooks that differed before anybody kept count", () => {
  test("what was set since is taken where the other holds what it was set from, and asked about where it holds something else", () => {
    const theirs = notebook("phone", [named("Loft")], [change("phone", 5, named("Back room"), named("Loft"))]);
    expect(merged(notebook("laptop", [named("Back room")]), theirs)).toMatchObject({ changed: { rooms: 1 }, clashes: [] });
    const other = merged(notebook("laptop", [named("Attic")]), theirs);
    expect(other.clashes).toMatchObject([{ store: "rooms", field: "name", mine: "Attic", theirs: "Loft" }]);
    expect(other.parts.rooms).toEqual([named("Attic")]);
    const back = merged(theirs, notebook("laptop", [named("Attic")]));
    expect(back.clashes).toMatchObject([{ mine: "Loft", theirs: "Attic" }]);
  });

  test("two different values nobody has a mark of are asked about; what only one of them has is taken", () => {
    const { night: _night, ...day } = room.room as Record<string, unknown>;
    const result = merged(notebook("laptop", [{ ...named("Attic"), room: day }]), notebook("phone", [named("Loft")]));
    expect(result.clashes.map(({ field }) => field)).toEqual(["name"]);
    expect(result.parts.rooms).toMatchObject([{ name: "Attic", room: room.room }]);
  });
});

test("what was laid out to look around in on both, at another time each, is asked about nowhere; what was then said of it is taken", () => {
  const how = { sample: (id: string) => id === room.id };
  const [mine, theirs] = [notebook("laptop", [named("Attic")]), notebook("phone", [named("Loft")])];
  expect(merged(mine, theirs, how)).toMatchObject({ clashes: [], parts: { rooms: [named("Attic")] } });
  const said = notebook("phone", [named("Balcony")], [change("phone", 5, named("Loft"), named("Balcony"))]);
  for (const both of [merged(mine, said, how), merged(said, mine, how)]) expect(both).toMatchObject({ clashes: [], parts: { rooms: [{ name: "Balcony" }] } });
  const here = notebook("laptop", [named("Cellar")], [change("laptop", 6, named("Attic"), named("Cellar"))]);
  expect(merged(here, said, how).clashes).toMatchObject([{ mine: "Cellar", theirs: "Balcony" }]);
});

test("two changes that fit nothing together are both asked about, and the record stays as it is here", () => {
  const cold = { ...room, room: { ...(room.room as object), temperatureC: 4 } };
  const mine = notebook("laptop", [named("Cold store")], [change("laptop", 3, room, named("Cold store"))]);
  const theirs = notebook("phone", [cold], [change("phone", 4, room, cold)]);
  const result = merged(mine, theirs, { fits: (_store, one) => !(one.name === "Cold store" && (one.room as { temperatureC: number }).temperatureC === 4) });
  expect(result.parts.rooms).toEqual([named("Cold store")]);
  expect(result.clashes.map(({ field }) => field).sort()).toEqual(["name", "room.temperatureC"]);
});

test("what was noted on both is told in the order it happened, and what follows from it follows", () => {
  const record = EVERY_STORE.records[0] as unknown as AnyRecord & { readonly looks: readonly object[] };
  const look = (id: string, at: string) => ({ id, at, saw: ["fine"] });
  const with_ = (...more: object[]): AnyRecord => ({ ...record, looks: [...record.looks, ...more] });
  const stamp = (device: string, after: AnyRecord) => stamped(STORES.records.meets, `records/${record.id}`, null, record, after, { device, at: 7 })!;
  const [a, b] = [with_(look("looklaptop01", "2027-03-01T10:00:00.000Z")), with_(look("lookphone001", "2027-02-01T10:00:00.000Z"))];
  const of = (device: string, after: AnyRecord): NotebookCopy => ({ parts: { records: [after] }, stamps: [stamp(device, after)], device });
  const finished = (store: string, one: AnyRecord) => finishedRecord(store, one, CATALOGUE);
  for (const [mine, theirs] of [
    [of("laptop", a), of("phone", b)],
    [of("phone", b), of("laptop", a)],
  ] as const) {
    const [one] = merged(mine, theirs, { finished }).parts.records! as readonly (AnyRecord & { looks: { id: string }[] })[];
    expect([one!.looks.map(({ id }) => id), one!.lookedAt]).toEqual([["everyseen001", "lookphone001", "looklaptop01"], "2027-03-01T10:00:00.000Z"]);
  }
});

test("what was taken away on both and had back from the device's own file comes back on the other too", () => {
  const before = notebook("laptop", [room]);
  const gone = notebook("laptop", [], [change("laptop", 5, room, null)]);
  const phone = merged(notebook("phone", [room]), gone);
  expect([phone.removed, phone.parts.rooms]).toEqual([{ rooms: 1 }, []]);
  const restored = merged(gone, before);
  expect(restored.parts.rooms).toEqual([room]);
  const again = merged({ ...phone, device: "phone" }, { ...restored, device: "laptop" });
  expect(again.parts.rooms).toEqual([room]);
  // The phone's older file does not take it away again.
  expect(merged({ ...restored, device: "laptop" }, { ...phone, device: "phone" }).parts.rooms).toEqual([room]);
});

test("a device's stamps grow, though its clock was set back", () => {
  const first = changedBy({}, "laptop", 900);
  expect(causality(first, changedBy(first, "laptop", 100))).toBe("before");
  expect(causality({ laptop: 2, phone: 1 }, { laptop: 1, phone: 2 })).toBe("concurrent");
});
