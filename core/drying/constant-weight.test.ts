/** Bodies that give their water off, weighed now and then on a kitchen scale: what is still in them, when it is gone, and never too soon. */
import { describe, expect, test } from "@jest/globals";
import { numbersFrom } from "../units/seeded";
import { CONSTANT_SHARE, dryingCurve, weightTold } from "./constant-weight";
import { quantile, stepOf } from "./drying-curve";
import { waterLeft } from "./drying-shapes";
import type { DryingShape } from "./drying-shapes";

const HOUR = 3_600_000;
const START = Date.parse("2026-11-28T09:00:00Z");
const at = (hour: number, g: number) => ({ at: START + hour * HOUR, g });
/** Half of the sum of two even numbers, spread to a standard error of 1. */
const unrest = (number: () => number) => (number() + number() - 1) * Math.sqrt(6);

/** A body made up: dry it weighs so much, and holds so much water at the start. */
interface Body {
  readonly dryG: number;
  readonly waterG: number;
  readonly shape: DryingShape;
}
const weightAt = ({ dryG, waterG, shape }: Body, hour: number) => dryG + waterG * waterLeft(shape, Math.max(0, hour));
const weighed = (body: Body, hours: readonly number[]) => hours.map((hour) => at(hour, weightAt(body, hour)));

/** Hours after which a day takes less than counts. */
function flatFrom(body: Body): number {
  for (let hour = 0; ; hour += 1) {
    const next = weightAt(body, hour + 24);
    if (weightAt(body, hour) - next < CONSTANT_SHARE * next) return hour;
  }
}

/** One of many bodies, as the trade has them: 100 g to 1.6 kg, a tenth to a quarter of water, dry in days or weeks. */
function bodyOf(seed: number, noiseG: number, falls: (number: number) => number) {
  const number = numbersFrom(seed * 7919 + 13);
  number();
  const dryG = 100 + number() * 1500;
  const body: Body = { dryG, waterG: dryG * (0.08 + number() * 0.2), shape: { kind: "steady-first", tauHours: 10 ** (1 + number()), bend: falls(number()) } };
  const each = 12 + number() * 12;
  const hours = Array.from({ length: 3 + Math.floor(number() * 6) }, (_unused, k) => k * each);
  const readings = hours.map((hour) => at(hour, Math.round(weightAt(body, hour) + noiseG * unrest(number))));
  return { body, hours, readings, poured: { dryG: dryG * (1 + (number() - 0.5) * 0.06) } };
}

const SEEDS = Array.from({ length: Number(process.env.RUNS ?? 40) }, (_unused, k) => k + 1);

describe("a cast on the scales", () => {
  test("two weighings say what it has lost, and no more; a day without loss says it is dry", () => {
    const body: Body = { dryG: 600, waterG: 120, shape: { kind: "steady-first", tauHours: 40, bend: 1 } };
    expect(weightTold(weighed(body, [0, 8]))).toMatchObject({ constant: false, leftG: null, constantAt: null });
    expect(weightTold(weighed(body, [0, 24, 300, 324])).constant).toBe(true);
    // Half an hour without loss says nothing; breakfast and breakfast are a day.
    expect(weightTold(weighed(body, [0, 48, 48.5])).constant).toBe(false);
    expect(weightTold([at(0, 720), at(200, 600), at(222, 600)]).constant).toBe(true);
    expect(weightTold([at(0, 600)])).toMatchObject({ constant: false, lostG: 0, leftG: null });
  });

  test.each([
    ["falls from the start", 0.3, () => 1],
    ["is steady at first", 0.3, (number: number) => 0.3 + number * 0.7],
    ["on an uneasy scale", 1, (number: number) => (number < 0.5 ? 1 : 0.4 + number * 0.5)],
  ] as const)("whose rate %s: water and day lie within what is told, nine times in ten", (_how, noiseG, falls) => {
    let [asked, water, day] = [0, 0, 0];
    for (const seed of SEEDS) {
      const { body, hours, readings, poured } = bodyOf(seed, noiseG, falls);
      const told = weightTold(readings, poured);
      if (!told.leftG || !told.constantAt) continue;
      asked += 1;
      const since = hours.at(-1)!;
      const left = weightAt(body, since) - body.dryG;
      if (told.leftG.from <= left + 0.5 && left - 0.5 <= told.leftG.to) water += 1;
      const flat = START + Math.max(since, flatFrom(body)) * HOUR;
      if (told.constantAt.from <= flat + HOUR && flat - HOUR <= told.constantAt.to) day += 1;
    }
    expect(asked).toBeGreaterThan(SEEDS.length / 2);
    expect(water / asked).toBeGreaterThanOrEqual(0.9);
    expect(day / asked).toBeGreaterThanOrEqual(0.9);
  });

  test("is never called dry while its curve still falls", () => {
    let called = 0;
    for (const seed of SEEDS) {
      const { body, readings, poured } = bodyOf(seed, 0.2, (number) => (number < 0.5 ? 1 : 0.3 + number * 0.6));
      const last = (readings.at(-1)!.at - START) / HOUR;
      // Weighed on, morning by morning, until it is told to be dry.
      const more = [...readings];
      for (let hour = last + 24; hour < 24 * 60; hour += 24) {
        more.push(at(hour, Math.round(weightAt(body, hour))));
        if (!weightTold(more, poured).constant) continue;
        const lost = weightAt(body, hour - 24) - weightAt(body, hour);
        // What whole grams may hide of it.
        expect(lost).toBeLessThan(CONSTANT_SHARE * weightAt(body, hour) + 0.6);
        called += 1;
        break;
      }
    }
    expect(called).toBe(SEEDS.length);
  }, 60_000);

  test("what was poured into it narrows the day down", () => {
    const body: Body = { dryG: 726, waterG: 118, shape: { kind: "steady-first", tauHours: 60, bend: 1 } };
    const readings = weighed(body, [0, 14, 30]).map((one) => ({ ...one, g: Math.round(one.g) }));
    const width = ({ constantAt }: ReturnType<typeof weightTold>) => constantAt!.to - constantAt!.from;
    expect(width(weightTold(readings, { dryG: 726 }))).toBeLessThan(width(weightTold(readings)) / 2);
    // With it two weighings are enough.
    expect(weightTold(readings.slice(0, 2), { dryG: 726 }).constantAt).not.toBeNull();
  });

  test("weighings that go up, jump about or fall ever faster foretell nothing; what has grown heavier is told", () => {
    expect(weightTold([at(0, 700), at(10, 705), at(20, 710)])).toMatchObject({ leftG: null, gained: true, constant: false });
    expect(weightTold([at(0, 700), at(10, 690), at(20, 640), at(30, 660), at(40, 600)]).leftG).toBeNull();
    expect(weightTold([at(0, 700), at(10, 690), at(20, 600)]).leftG).toBeNull();
    expect(weightTold([at(0, 700), at(24, 650), at(48, 651)])).toMatchObject({ gained: false });
  });

  test("a light body on a coarse scale is not called dry after one day of the same figure", () => {
    const light = [at(0, 120), at(100, 100), at(124, 100)];
    expect(weightTold(light)).toMatchObject({ constant: false, coarse: true });
    expect(weightTold([...light, at(172, 100)]).constant).toBe(true);
    expect(weightTold([at(0, 120.4), at(100, 100.1), at(124, 100.1)])).toMatchObject({ constant: true, coarse: false });
  });

  test("a loss too small to count is not dry where slow bodies lose as little, or what was poured has water in it", () => {
    const falling = [840, 838.8, 837.6, 836.5].map((g, day) => at(24 * day, g));
    expect(weightTold(falling)).toMatchObject({ constant: false, slow: true, unsure: true });
    // 611 g of powder and 232 g of water weigh about 725 g dry: 111 g are still in.
    const told = weightTold(falling, { dryG: 725, wetG: 843 });
    expect(told).toMatchObject({ constant: false, slow: true });
    expect(told.leftG!.from).toBeLessThan(111);
    expect(told.leftG!.to).toBeGreaterThan(111);
    // However long it stands still: so heavy it is not dry.
    const still = Array.from({ length: 40 }, (_unused, day) => at(24 * day, 840));
    expect(weightTold(still, { dryG: 725, wetG: 843 })).toMatchObject({ constant: false, slow: true, againAt: null });
  });

  test("the same figure from the start says dry once the slowest of bodies would have lost more; the day for it is told", () => {
    const same = (days: number) => Array.from({ length: days + 1 }, (_unused, day) => at(24 * day, 840));
    const first = weightTold(same(1));
    expect(first).toMatchObject({ constant: false, slow: true });
    const days = Math.ceil((first.againAt! - START) / (24 * HOUR));
    expect(days).toBeGreaterThan(3);
    expect(weightTold(same(days - 1)).constant).toBe(false);
    expect(weightTold(same(days)).constant).toBe(true);
    // Where it weighs what was poured, less will do.
    expect(weightTold(same(1), { dryG: 835, wetG: 960 }).constant).toBe(true);
  });

  test("a weight that cannot be is questioned and left out; where most cannot be, what was poured is", () => {
    const poured = { dryG: 783, wetG: 905 };
    const good = [at(0, 880), at(24, 850), at(48, 828)];
    const told = weightTold([...good, at(72, 361)], poured);
    expect(told.doubts).toMatchObject([{ g: 361, by: "poured" }]);
    expect(told.doubts[0]!.leastG).toBeGreaterThan(361);
    expect({ ...told, doubts: [], lostG: 52 }).toEqual(weightTold(good, poured));
    expect(dryingCurve([...good, at(72, 361)], poured, START + 100 * HOUR, 5)).toEqual(dryingCurve(good, poured, START + 100 * HOUR, 5));
    expect(weightTold([at(0, 1020)], poured)).toMatchObject({ doubts: [{ g: 1020 }], constant: false, leftG: null });
    // A third of a body is no body, even where nothing was poured.
    expect(weightTold([...good, at(72, 261)]).doubts).toMatchObject([{ g: 261, by: "others" }]);
    // A nought too many is one weighing that cannot be, and not all the others.
    expect(weightTold([at(0, 8800), ...good.slice(1), at(72, 812)]).doubts).toMatchObject([{ g: 8800 }]);
    const half = [440, 425, 414, 406].map((g, day) => at(24 * day, g));
    expect(weightTold(half, poured)).toEqual(weightTold(half));
  });

  test("its curve runs through the weighings, and its bounds open the farther it looks", () => {
    const body: Body = { dryG: 600, waterG: 130, shape: { kind: "steady-first", tauHours: 36, bend: 1 } };
    const readings = weighed(body, [0, 12, 24, 36]).map((one) => ({ ...one, g: Math.round(one.g) }));
    const curve = dryingCurve(readings, {}, START + 120 * HOUR, 61);
    const near = (hour: number) => curve.find((one) => Math.abs(one.at - START - hour * HOUR) < HOUR)!;
    for (const { at: when, g } of readings) expect(Math.abs(near((when - START) / HOUR).typical - g)).toBeLessThan(4);
    expect(near(120).to - near(120).from).toBeGreaterThan(near(24).to - near(24).from);
    for (const { from, typical, to } of curve) expect(from <= typical && typical <= to).toBe(true);
    expect(dryingCurve(readings.slice(0, 1), {}, START, 3)).toEqual([]);
  });
});

test("steps of a scale are read off what it showed; a quantile lies between its neighbours", () => {
  expect([[600, 599], [600.5, 599], [600.25], [600.123]].map((list) => stepOf(list.map((g, k) => at(k, g))))).toEqual([1, 0.1, 0.01, 0.001]);
  expect([quantile([1, 2], 0.25), quantile([7], 0.9)]).toEqual([1.25, 7]);
});
