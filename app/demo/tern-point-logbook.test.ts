/** What is written down at Tern Point is sound whenever the notebook is opened, and shows what the logbook is for. */
import { expect, test } from "@jest/globals";
import joi from "joi";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { checkShape } from "#core/formats/check-shape";
import { parsePiece } from "#core/formats/parse-piece";
import { RECORDS } from "#core/formats/stores/records";
import { TRIALS } from "#core/formats/stores/trials";
import { heldBy, wearLearnt } from "#core/logbook/record/held";
import { recipeOfRecord } from "#core/logbook/record/recipe-of-record";
import { sameDesign } from "#core/logbook/record/beside";
import { ANY_RECORD, indexed, searchRecords } from "#core/logbook/record/search";
import { trialSays } from "#core/logbook/record/trial";
import { ternPointRecords, ternPointTrials } from "./tern-point-logbook";

const records = ternPointRecords("2026-11-28", "UTC");

test("every record and trial fits, its piece is a piece, and nothing of it lies in the future", () => {
  for (const [schema, all] of [
    [RECORDS.schema(joi), records],
    [TRIALS.schema(joi), ternPointTrials("2026-11-28", "UTC")],
  ] as const)
    for (const one of all) {
      const shape = checkShape(schema, one);
      expect(shape.ok ? null : shape.problem).toBeNull();
    }
  const tools = {
    readPiece: (value: unknown, at: readonly (string | number)[]) => parsePiece(value, CATALOGUE, at),
    knowsProduct: () => true,
    has: () => true,
  };
  for (const one of records) {
    expect(RECORDS.check!(one, tools, [])).toBeNull();
    const days = [one.finishedOn, ...one.looks.map(({ at }) => at), ...one.moves.map(({ on }) => on), ...one.additions.map(({ at }) => at)];
    for (const day of days) expect(day! <= "2026-11-28T23").toBe(true);
  }
});

test("the grey pebble is found by its shimmer, on its second ring; it has a colourway, and can be made again", () => {
  const [found, ...more] = searchRecords(records.map(indexed), { ...ANY_RECORD, text: "where is the shimmer on the grey pebble" });
  expect(more).toEqual([]);
  expect(found!.answers).toEqual([expect.stringMatching(/^Dots: Moon pearl.*row 2/)]);
  expect(sameDesign(found!.record, records).map(({ name }) => name)).toEqual(["Green pebble for the gate"]);
  expect(recipeOfRecord(found!.record, CATALOGUE)!.stacks.length).toBe(2);
  const held = heldBy(records, CATALOGUE);
  expect(held.find(({ film }) => film === "Quiet varnish")!.failed.hits).toBe(0);
  // A few made-up pieces teach the plans nothing.
  expect(wearLearnt(held)).toEqual([]);
  expect(trialSays(ternPointTrials("2026-11-28", "UTC")[0]!)!.text).toContain("“Quiet varnish” held");
});
