/** Whatever happens to a pour, in whatever order and however often: it fits its schema, no body is lost or made up, and nothing weighed is forgotten. */
import { expect, test } from "@jest/globals";
import fc from "fast-check";
import joi from "joi";
import { checkShape } from "../check-shape";
import { POURS } from "./pours";
import type { PourRecord } from "./pours";
import { plannedPour } from "../../casting/begin-pour";
import { bodiesLeft } from "../../casting/pour";
import { pourAfter } from "../../casting/pour-changes";
import type { PourChange } from "../../casting/pour-changes";
import { bowlState, bowlToTurnTo, dryOf } from "../../casting/pour-state";
import { FAULT_KINDS, FAULT_PLACES } from "../../casting/repair/fault";
import { CAST_STAGES, stagesOfCast } from "../../casting/stages";

const START = Date.parse("2026-11-28T18:00:00Z");
const at = fc.integer({ min: 0, max: 20_000 }).map((min) => new Date(START + min * 60_000).toISOString());
const place = fc.nat(3);
const grams = fc.integer({ min: 1, max: 900 });
const id = fc.integer({ min: 0, max: 3 }).map((k) => `fault000000${k}`);

const change: fc.Arbitrary<PourChange> = fc.oneof(
  fc.record({ kind: fc.constant("run" as const), bowl: place, run: fc.record({ tared: fc.boolean(), waterG: grams, powderG: grams }) }),
  fc.record({ kind: fc.constant("stage" as const), bowl: place, stage: fc.constantFrom(...CAST_STAGES), at }),
  fc.record({ kind: fc.constant("weigh" as const), bodies: place, at, g: grams }),
  fc.record({ kind: fc.constant("weigh-off" as const), bodies: place, at }),
  fc.record({ kind: fc.constant("on-scale" as const), bodies: place, count: fc.integer({ min: 1, max: 9 }) }),
  fc.record({
    kind: fc.constant("fault" as const),
    bodies: place,
    fault: fc.record({
      id,
      kind: fc.constantFrom(...FAULT_KINDS),
      place: fc.constantFrom(...FAULT_PLACES),
      bodies: fc.integer({ min: 1, max: 4 }),
      each: fc.integer({ min: 1, max: 9 }),
      widthMm: fc.integer({ min: 1, max: 30 }),
    }),
  }),
  fc.record({ kind: fc.constant("fault-off" as const), bodies: place, id }),
  fc.record({
    kind: fc.constant("handed" as const),
    bodies: place,
    piece: id.map((one) => one.replace("fault", "piece")),
    count: fc.integer({ min: 1, max: 5 }),
  }),
);

const moulds = [
  { id: "mouldnumber1", name: "Table number", form: { kind: "disc", diameterMm: 90, thicknessMm: 14 }, count: 4, filled: 3, waterG: 88 },
  { id: "mouldgull001", name: "Gull stone", form: { kind: "dome", diameterMm: 78, heightMm: 34 }, count: 2, filled: 2, waterG: 101 },
  { id: "mouldurn0001", name: "Urn", form: { kind: "cylinder", diameterMm: 90, heightMm: 120 }, count: 1, filled: 1, waterG: 700 },
] as const;
const planned = plannedPour({ kind: "gypsum", label: { waterPer100: 38 }, moulds, reservePercent: 5, bowlG: 800, conditions: { roomC: 18 } })!;
const POUR: PourRecord = {
  id: "pour00000001" as never,
  rev: 1,
  at: new Date(START).toISOString(),
  powder: { kind: "gypsum", name: "Casting gypsum", label: { waterPer100: 38 } },
  reservePercent: 5,
  preparation: "soap",
  conditions: { roomC: 18 },
  moulds: planned.moulds,
  bowls: planned.bowls,
  bodies: [],
};
const SCHEMA = POURS.schema(joi);
/** Bodies a bowl gives, by hand. */
const given = (pour: PourRecord) =>
  pour.bowls
    .filter(({ stages, beside }) => stages.release !== undefined && !beside)
    .reduce((sum, { fills }) => sum + fills.reduce((all, { count }) => all + count, 0), 0);

test("a pour", () =>
  fc.assert(
    fc.property(fc.array(change, { maxLength: 40 }), (changes) => {
      let pour = POUR;
      for (const one of changes) {
        const next = pourAfter(pour, one);
        // The same once more changes nothing; what went to a piece stays with it.
        if (one.kind !== "stage" || one.stage !== "release") expect(pourAfter(next, one)).toEqual(next);
        pour = next;
      }
      const shape = checkShape<PourRecord>(SCHEMA, pour);
      expect(shape.ok ? null : shape.problem).toBeNull();
      expect(POURS.check!(pour, { readPiece: () => ({ ok: false }) as never, has: () => true, knowsProduct: () => true }, [])).toBeNull();
      expect(pour.bodies.reduce((sum, { count }) => sum + count, 0)).toBe(given(pour));
      for (const bodies of pour.bodies) {
        expect(bodiesLeft(bodies)).toBeGreaterThanOrEqual(0);
        expect(bodies.onScale).toBeLessThanOrEqual(bodies.count);
        const { dryG, toLoseG } = dryOf(pour, bodies);
        expect(Number.isFinite(dryG) && toLoseG >= 0).toBe(true);
      }
      const turn = bowlToTurnTo(pour, START);
      if (turn === null) for (const bowl of pour.bowls) expect(bowlState(bowl, pour, START).next.kind).toBe("over");
    }),
    { numRuns: Number(process.env.RUNS ?? 150) },
  ));

test("done as it is due, every bowl comes to its end, in whatever room", () =>
  fc.assert(
    fc.property(fc.integer({ min: 6, max: 35 }), fc.integer({ min: 6, max: 38 }), (roomC, waterC) => {
      let pour: PourRecord = { ...POUR, conditions: { roomC, waterC } };
      let now = START;
      for (let turns = 0; turns < 200; turns += 1) {
        const bowl = bowlToTurnTo(pour, now);
        if (bowl === null) break;
        const { next } = bowlState(pour.bowls[bowl]!, pour, now);
        if (next.kind === "weigh")
          pour = pourAfter(pour, { kind: "run", bowl, run: { tared: false, waterG: pour.bowls[bowl]!.waterG, powderG: pour.bowls[bowl]!.powderG } });
        else if (next.kind === "stage") pour = pourAfter(pour, { kind: "stage", bowl, stage: next.stage.id, at: new Date(now).toISOString() });
        now = next.kind === "wait" ? next.until : now + 60_000;
      }
      expect(bowlToTurnTo(pour, now)).toBeNull();
      expect(pour.bodies.reduce((sum, { count }) => sum + count, 0)).toBe(6);
      const order = stagesOfCast("gypsum", pour.powder.label, pour.conditions).map(({ id: stage }) => stage);
      for (const { stages } of pour.bowls) {
        const times = order.map((stage) => Date.parse(stages[stage]!));
        expect(times).toEqual([...times].sort((a, b) => a - b));
      }
    }),
    { numRuns: 30 },
  ));
