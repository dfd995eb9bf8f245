/** What one change did to a record, and taking exactly that back. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { fieldChanges, turnedRound } from "./field-diff";

const record = fc.record({
  id: fc.constant("one"),
  rev: fc.nat(9),
  name: fc.string(),
  dates: fc.record({ start: fc.string(), due: fc.string() }, { requiredKeys: [] }),
  form: fc.oneof(fc.record({ kind: fc.constant("disc"), diameterMm: fc.nat(9) }), fc.record({ kind: fc.constant("box"), lengthMm: fc.nat(9) })),
  edits: fc.array(fc.record({ op: fc.constantFrom("add", "remove"), at: fc.nat(3) }), { maxLength: 4 }),
});
const bare = (of: object) => ({ ...of, rev: 0 });

describe("a change turned round", () => {
  test("brings the record back to what it was, whatever the change; entries of a list may stand in another order", () => {
    const sorted = ({ edits, ...rest }: { edits: readonly object[] }) => ({ ...bare(rest), edits: edits.map((one) => JSON.stringify(one)).sort() });
    fc.assert(
      fc.property(record, record, (before, after) => {
        const back = turnedRound(after, fieldChanges(before, after, ["edits"]));
        expect(back).not.toBeNull();
        expect(sorted(back!)).toEqual(sorted(before));
      }),
      { seed: 20261125 },
    );
  });

  test("leaves what was changed since in other fields", () => {
    const before = { name: "Was", dates: { due: "2026-12-01" }, edits: [1] };
    const after = { ...before, name: "Is" };
    const since = { ...after, dates: { start: "2026-11-26", due: "2026-12-24" }, edits: [1, 2] };
    expect(turnedRound(since, fieldChanges(before, after, ["edits"]))).toEqual({ ...since, name: "Was" });
  });

  test("takes its own entries out of a list and leaves those that came after", () => {
    const changes = fieldChanges({ edits: ["a"] }, { edits: ["a", "b"] }, ["edits"]);
    expect(turnedRound({ edits: ["a", "b", "c"] }, changes)).toEqual({ edits: ["a", "c"] });
    expect(turnedRound({ edits: ["c"] }, fieldChanges({ edits: ["a", "c"] }, { edits: ["c"] }, ["edits"]))).toEqual({ edits: ["c", "a"] });
  });

  test("is refused where the very same field was set to something else since, and is nothing where it is back already", () => {
    const changes = fieldChanges({ name: "Was" }, { name: "Is" }, []);
    expect(turnedRound({ name: "Other" }, changes)).toBeNull();
    expect(turnedRound({ name: "Was" }, changes)).toEqual({ name: "Was" });
  });

  test("takes a field away that was not there, and does not count the record's count of changes", () => {
    const changes = fieldChanges({ rev: 1 }, { rev: 2, dates: { due: "2026-12-01" } }, []);
    expect(changes).toHaveLength(1);
    expect(turnedRound({ rev: 7, dates: { due: "2026-12-01" } }, changes)).toEqual({ rev: 7 });
  });
});
