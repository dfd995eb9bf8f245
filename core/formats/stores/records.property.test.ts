/** A record under random hands: whatever is noted of it, it fits its schema, and pieces are neither lost nor made. */
import { expect, test } from "@jest/globals";
import fc from "fast-check";
import joi from "joi";
import { checkShape } from "../check-shape";
import { editionNumber, piecesOf } from "../../logbook/record/pieces-left";
import { MOVE_KINDS } from "../../logbook/record/record";
import type { LogRecord } from "../../logbook/record/record";
import { recordAfter } from "../../logbook/record/record-changes";
import type { RecordChange } from "../../logbook/record/record-changes";
import { after, look, record } from "../../../tests/reference/records";
import { RECORDS } from "./records";

test("walked at random, a record fits its schema, and pieces are neither lost nor made", () => {
  const id = fc.constantFrom("aaaaaaaa1", "bbbbbbbb2", "cccccccc3", "dddddddd4");
  const change: fc.Arbitrary<RecordChange> = fc.oneof(
    fc
      .record({ id, kind: fc.constantFrom(...MOVE_KINDS), count: fc.integer({ min: 1, max: 4 }) })
      .map(({ id: of, kind, count }): RecordChange => ({
        kind: "move",
        move: { id: of, on: "2026-04-01", kind, count, ...(kind === "sold" ? { price: 5 } : {}) },
      })),
    fc
      .record({ id, days: fc.integer({ min: 0, max: 500 }) })
      .map(({ id: of, days }): RecordChange => ({ kind: "look", look: { ...look(days, "fine"), id: of } })),
    fc
      .record({ id, days: fc.integer({ min: 0, max: 500 }) })
      .map(({ id: of, days }): RecordChange => ({ kind: "add", addition: { id: of, at: after(days), text: "more" } })),
    fc
      .record({ id, of: fc.constantFrom("looks" as const, "moves" as const, "additions" as const) })
      .map(({ id: which, of }): RecordChange => ({ kind: "off", of, id: which })),
    fc.constantFrom<RecordChange>({ kind: "money", money: {} }, { kind: "money", money: { body: 1, price: 4 } }),
  );
  const schema = RECORDS.schema(joi);
  fc.assert(
    fc.property(fc.array(change, { maxLength: 25 }), fc.integer({ min: 1, max: 9 }), (changes, count) => {
      let now: LogRecord = record({ count, work: [] });
      for (const one of changes) {
        try {
          now = recordAfter(now, one);
        } catch (error) {
          expect(error).toMatchObject({ name: "NoneLeft" });
        }
        const { here, sold, given, leftOut, kept, lost } = piecesOf(now);
        expect(here + sold + given + leftOut + kept + lost).toBe(count);
        expect(editionNumber(now)).toBeLessThanOrEqual(count);
      }
      const shape = checkShape(schema, now);
      expect(shape.ok ? null : shape.problem).toBeNull();
    }),
    { numRuns: 150, seed: 11 },
  );
});
