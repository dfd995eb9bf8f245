/** What is learnt of a finished piece only grows, and never more of it goes than there were. */
import { describe, expect, test } from "@jest/globals";
import { FINISHED, look, record, after } from "../../../tests/reference/records";
import { dayLater } from "../../schedule/free-hours";
import { stallOf } from "./pieces-left";
import type { MOVE_KINDS } from "./record";
import { recordAfter } from "./record-changes";
import type { RecordChange } from "./record-changes";
import { dueLooks, remindersOf } from "./reminders";

const move = (id: string, kind: (typeof MOVE_KINDS)[number], count: number, price?: number): RecordChange => ({
  kind: "move",
  move: { id, on: "2026-04-01", kind, count, ...(price === undefined ? {} : { price }) },
});

describe("changes", () => {
  test("are added once, in the order of their time, and taken off again; what was made stays as it was", () => {
    const start = record({ count: 3 });
    const first: RecordChange = { kind: "look", look: look(400, "fine") };
    const early: RecordChange = { kind: "look", look: look(30, "faded") };
    const seen = [first, early, first].reduce(recordAfter, start);
    expect(seen.looks.map(({ saw }) => saw)).toEqual([["faded"], ["fine"]]);
    expect(seen.lookedAt).toBe(after(400));
    const off = recordAfter(seen, { kind: "off", of: "looks", id: seen.looks[1]!.id });
    expect(off.lookedAt).toBe(after(30));
    expect(recordAfter(off, { kind: "off", of: "looks", id: off.looks[0]!.id })).toEqual(start);
    const told = recordAfter(start, { kind: "add", addition: { id: "added0000001", at: after(1), text: "the rim too" } });
    expect({ ...told, additions: [] }).toEqual(start);
    expect(recordAfter(recordAfter(start, { kind: "money", money: { price: 9 } }), { kind: "money", money: {} })).toEqual(start);
    expect(recordAfter(start, { kind: "off", of: "moves", id: "nothing" })).toBe(start);
  });

  test("more than are here cannot go", () => {
    const sold = recordAfter(record({ count: 2 }), move("aaaaaaaa1", "sold", 1, 9));
    expect(() => recordAfter(sold, move("bbbbbbbb2", "given", 2))).toThrow("only 1 of it is still here");
    expect(() => recordAfter(recordAfter(sold, move("bbbbbbbb2", "lost", 1)), move("cccccccc3", "sold", 1))).toThrow("none of it is here any more");
  });
});

test("the stall has what is here and what was sold, with what that brought; what is all given away is not on it", () => {
  const moved = (name: string, count: number, ...changes: readonly RecordChange[]) => changes.reduce(recordAfter, record({ name, count }));
  const stall = stallOf([
    moved("Wedges", 4, move("aaaaaaaa1", "sold", 2, 9), move("bbbbbbbb2", "sold", 1)),
    moved("Gift", 1, move("aaaaaaaa1", "given", 1)),
    moved("Pots", 6),
    moved("Sold out", 2, move("aaaaaaaa1", "sold", 2, 5)),
  ]);
  expect(stall.map(({ record: { name }, pieces: { here, sold, takings, soldUnpriced } }) => [name, here, sold, takings, soldUnpriced])).toEqual([
    ["Pots", 6, 0, 0, 0],
    ["Wedges", 1, 3, 18, 1],
    ["Sold out", 0, 2, 10, 0],
  ]);
});

describe("a look again", () => {
  const kinds = (days: number, ...looked: readonly number[]) =>
    dueLooks([record({ looks: looked.map((at) => look(at, "fine")) })], dayLater(FINISHED, days)).map(({ kind }) => kind);

  test("is due after a month and after a year; a little early counts; long after nobody asks any more", () => {
    expect([kinds(29), kinds(30), kinds(30, 21), kinds(30, 12)]).toEqual([[], ["month"], [], ["month"]]);
    expect([kinds(179), kinds(181)]).toEqual([["month"], []]);
    expect([kinds(364, 31), kinds(365, 31), kinds(365, 31, 330), kinds(720), kinds(740)]).toEqual([[], ["year"], [], ["year"], []]);
  });

  test("is not asked for of what has no day, or is all lost; of one that was given away it is", () => {
    const { finishedOn: _day, ...dayless } = record();
    expect(remindersOf(dayless, "2026-12-01")).toEqual([]);
    const gone = (kind: "lost" | "given") => recordAfter(record(), move("aaaaaaaa1", kind, 1));
    expect([dueLooks([gone("lost")], "2026-04-20").length, dueLooks([gone("given")], "2026-04-20").length]).toEqual([0, 1]);
  });
});
