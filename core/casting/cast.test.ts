/** Water and powder by weight: for all moulds, for each bowl, out of one bag, and when the hand slipped; mass is kept throughout. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { plannedPour } from "./begin-pour";
import { batchesOf, mouldsWithin } from "./batches";
import type { Fill } from "./batches";
import { bodyWater } from "./body-water";
import { cast } from "./cast";
import { powderValue } from "./compound";
import { mixFor, putRight, ratioOf, slurryMl, weightOf } from "./mix";
import { capacityOf, trapsOf } from "./mould";

const RUNS = Number(process.env.RUNS ?? 60);
const grams = fc.double({ min: 5, max: 5000, noNaN: true });
const ratio = fc.record({ waterPer100: fc.double({ min: 12, max: 90, noNaN: true }), densityGPerMl: fc.double({ min: 2, max: 3.2, noNaN: true }) });
const RATIO = { waterPer100: 38 };

describe("a mix", () => {
  test("fills what it is reckoned for, in its ratio, whatever the label says", () =>
    fc.assert(
      fc.property(grams, ratio, (ml, of) => {
        const mix = mixFor(ml, of);
        expect(slurryMl(mix, of.densityGPerMl)).toBeCloseTo(ml, 6);
        expect(ratioOf(mix)).toBeCloseTo(of.waterPer100, 6);
      }),
      { numRuns: RUNS },
    ));

  test("too much of one is made right with the other, and what it makes beyond the wanted is the reserve", () =>
    fc.assert(
      fc.property(grams, ratio, fc.double({ min: 0.7, max: 1.6, noNaN: true }), (ml, of, slip) => {
        const wanted = mixFor(ml, of);
        const water = putRight({ waterG: wanted.waterG * slip }, wanted, of);
        const powder = putRight({ powderG: wanted.powderG * slip }, wanted, of);
        for (const { mix, extraG } of [water, powder]) {
          expect(ratioOf(mix)).toBeCloseTo(of.waterPer100, 6);
          expect(weightOf(mix)).toBeCloseTo(weightOf(wanted) + extraG, 6);
        }
        expect(water.extraG).toBeCloseTo(powder.extraG, 6);
      }),
      { numRuns: RUNS },
    ));

  test("its water stays where it binds, or has to leave; none is lost", () =>
    fc.assert(
      fc.property(grams, grams, (waterG, powderG) => {
        const { boundG, toLoseG, dryG } = bodyWater({ waterG, powderG });
        expect(boundG + toLoseG).toBeCloseTo(waterG, 6);
        expect(dryG + toLoseG).toBeCloseTo(waterG + powderG, 6);
        expect(toLoseG).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: RUNS },
    ));

  test("the label wins over what is typical, and says so", () => {
    expect(powderValue("gypsum", {}, "waterPer100")).toEqual({ value: 38, provenance: { kind: "memory" } });
    expect(powderValue("gypsum", { waterPer100: 32 }, "waterPer100")).toEqual({ value: 32, provenance: { kind: "label" } });
  });
});

/** The fewest bowls that take all of it, by looking at every way. */
function fewestByHand(weights: readonly number[], bowl: number): number {
  const place = (at: number, held: readonly number[]): number => {
    if (at === weights.length) return held.length;
    const into = held.map((sum, k) => (sum + weights[at]! <= bowl ? place(at + 1, held.with(k, sum + weights[at]!)) : Infinity));
    return Math.min(...into, place(at + 1, [...held, weights[at]!]));
  };
  return place(0, []);
}

describe("bowls", () => {
  test("as few as there can be, none over its brim, every mould out of one", () =>
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1, maxLength: 7 }), (weights) => {
        const fills = weights.map((g, k): Fill => ({ mould: String(k), g }));
        const batches = batchesOf(fills, { bowlG: 10 });
        expect(batches).toHaveLength(fewestByHand(weights, 10));
        for (const { g } of batches) expect(g).toBeLessThanOrEqual(10);
        expect(
          batches
            .flatMap((one) => one.fills)
            .map(({ mould }) => mould)
            .sort(),
        ).toEqual(fills.map(({ mould }) => mould).sort());
      }),
      { numRuns: RUNS },
    ));

  test("mass is kept through bowls and reserve, whatever is filled", () =>
    fc.assert(
      fc.property(
        fc.array(fc.record({ ml: fc.double({ min: 10, max: 900, noNaN: true }), count: fc.integer({ min: 1, max: 6 }) }), { minLength: 1, maxLength: 5 }),
        ratio,
        fc.double({ min: 0, max: 30, noNaN: true }),
        fc.option(fc.double({ min: 100, max: 3000, noNaN: true }), { nil: undefined }),
        (moulds, of, reservePercent, bowlG) => {
          const made = cast({
            ratio: of,
            moulds: moulds.map((one, k) => ({ ...one, mould: String(k) })),
            reservePercent,
            ...(bowlG === undefined ? {} : { bowlG }),
          });
          const sum = (pick: (one: (typeof made.batches)[number]) => number) => made.batches.reduce((all, one) => all + pick(one), 0);
          expect(sum((one) => one.waterG)).toBeCloseTo(made.waterG, 5);
          expect(sum((one) => one.powderG)).toBeCloseTo(made.powderG, 5);
          expect(sum((one) => one.slurryMl)).toBeCloseTo(moulds.reduce((all, { ml, count }) => all + ml * count, 0) * (1 + reservePercent / 100), 5);
          for (const one of made.batches) {
            if (bowlG !== undefined) expect(one.g).toBeLessThanOrEqual(bowlG * (1 + 1e-6));
            expect(ratioOf(one)).toBeCloseTo(of.waterPer100, 6);
          }
        },
      ),
      { numRuns: RUNS },
    ));

  test("what no bowl holds is stirred in several at once; what thickens before it is poured is split", () => {
    const large = batchesOf([{ mould: "urn", g: 2500 }], { bowlG: 1000 });
    expect(large.map(({ g, part }) => [Math.round(g), part?.nth, part?.of])).toEqual([
      [833, 1, 3],
      [833, 2, 3],
      [833, 3, 3],
    ]);
    // Six minutes before the first pour, three quarters for each mould.
    expect(mouldsWithin(9)).toBe(4);
    expect(mouldsWithin(2)).toBe(1);
    const many = Array.from({ length: 10 }, (_unused, k) => ({ mould: String(k), g: 20 }));
    expect(batchesOf(many, { openMin: 9 }).map(({ fills }) => fills.length)).toEqual([4, 4, 2]);
  });
});

describe("a bag", () => {
  const moulds = [{ mould: "a", ml: 228, count: 2 }];

  test("says how often it reaches and what is left, or what is missing", () => {
    const { powderG, ...made } = cast({ ratio: RATIO, moulds, bagG: 2000 });
    expect(made.pours).toBe(Math.floor(2000 / powderG));
    expect(made.leftG).toBeCloseTo(2000 - made.pours! * powderG, 6);
    expect(made.missingG).toBe(0);
    const small = cast({ ratio: RATIO, moulds, bagG: 500 });
    expect([small.pours, small.leftG]).toEqual([0, 500]);
    expect(small.missingG).toBeCloseTo(small.powderG - 500, 6);
    expect(cast({ ratio: RATIO, moulds })).toMatchObject({ pours: null, leftG: null, missingG: 0 });
  });

  test("that holds exactly so many is not one short for rounding", () => {
    const { powderG } = cast({ ratio: RATIO, moulds });
    expect(cast({ ratio: RATIO, moulds, bagG: powderG * 7 })).toMatchObject({ pours: 7 });
  });
});

describe("moulds", () => {
  test("hold what they were weighed to, else what their size says, with how far that may be off", () => {
    const form = { kind: "disc", diameterMm: 100, thicknessMm: 12 } as const;
    expect(capacityOf({ form, waterG: 88 })).toEqual({ ml: 88, fromMl: 88, toMl: 88, by: "water" });
    const bySize = capacityOf({ form })!;
    expect(bySize.ml).toBeCloseTo(94.2, 1);
    expect([bySize.by, bySize.fromMl < bySize.ml, bySize.toMl > bySize.ml]).toEqual(["size", true, true]);
    expect(capacityOf({ form: { kind: "custom", areaMm2: 500 } })).toBeNull();
  });

  test("name where air stays in them: by their shape, and as their owner knows it", () => {
    expect(trapsOf({ form: { kind: "box", lengthMm: 90, widthMm: 60, heightMm: 40 }, traps: ["groove"] })).toEqual(["groove", "thin-wall"]);
    expect(trapsOf({ form: { kind: "disc", diameterMm: 90, thicknessMm: 12 }, part: "lid" })).toEqual(["lip"]);
    expect(trapsOf({ form: { kind: "pebble", lengthMm: 90, widthMm: 60, thicknessMm: 30 } })).toEqual([]);
  });

  test("make a pour: six of three kinds, each with its bowl; one nobody knows the size of is named, not guessed", () => {
    const of = (
      id: string,
      waterG: number | undefined,
      filled: number,
      form: Parameters<typeof capacityOf>[0]["form"] = { kind: "disc", diameterMm: 90, thicknessMm: 14 },
    ) => ({ id, name: id, form, count: 4, filled, ...(waterG === undefined ? {} : { waterG }) });
    const moulds = [of("number", 88, 3), of("gull", 101, 2), of("box", 240, 1), of("idle", 50, 0), of("odd", undefined, 1, { kind: "custom", areaMm2: 900 })];
    const conditions = { roomC: 21 };
    const made = plannedPour({ kind: "gypsum", label: RATIO, moulds, reservePercent: 5, bowlG: 700, conditions })!;
    expect(made.unknown).toEqual(["odd"]);
    expect(made.moulds.map(({ name, count }) => [name, count])).toEqual([
      ["number", 3],
      ["gull", 2],
      ["box", 1],
    ]);
    const filled = made.bowls.flatMap(({ fills }) => fills);
    expect(filled.reduce((sum, { count }) => sum + count, 0)).toBe(6);
    for (const bowl of made.bowls) expect(bowl.waterG + bowl.powderG).toBeLessThanOrEqual(700 + 1e-6);
    // A mould that needs two bowls gives one body.
    const large = plannedPour({ kind: "gypsum", label: RATIO, moulds: [of("urn", 700, 1)], reservePercent: 0, bowlG: 900, conditions })!;
    expect(large.bowls.map(({ beside }) => beside === true)).toEqual([false, true]);
    expect(plannedPour({ kind: "gypsum", label: RATIO, moulds: [of("odd", undefined, 0)], reservePercent: 0, conditions })).toBeNull();
  });
});
