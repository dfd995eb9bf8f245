/** Bodies that dry by laws of their own, which the reckoning does not know: what it tells of them holds, and none is called dry that is not. */
import { describe, expect, test } from "@jest/globals";
import { numbersFrom } from "../units/seeded";
import { CONSTANT_SHARE, DRY_SHARE, weightTold } from "./constant-weight";
import type { Weighing } from "./constant-weight";

const HOUR = 3_600_000;
const START = Date.parse("2026-11-28T09:00:00Z");
/** The sum of two even numbers, spread to a standard error of 1. */
const unrest = (number: () => number) => (number() + number() - 1) * Math.sqrt(6);
const RUNS = Number(process.env.RUNS ?? 24);

/** Water left, as a share, hour by hour. */
type Drying = (number: () => number) => (hours: number) => number;

/** Explicit differences over half a slab whose face gives off in proportion to its moisture, up to a steady most: told hour by hour. */
function slab(tauHours: number, biot: number): (hours: number) => number {
  const cells = 12;
  // Its slowest mode is the root of x·tan x = Bi: half-way between the lumped and the bare slab's law is near enough to set the scale.
  const root = Math.min(Math.sqrt(biot), Math.PI / 2);
  const diffusivity = 1 / (tauHours * root * root);
  const dx = 1 / cells;
  const dt = Math.min(0.25, (0.4 * dx * dx) / diffusivity);
  const moist = Array.from({ length: cells }, () => 1);
  const left = [1];
  for (let hour = 1; hour <= 24 * 200; hour += 1) {
    for (let passed = 0; passed < 1; passed += dt) {
      const step = Math.min(dt, 1 - passed);
      const flux = moist.map((one, k) => (k + 1 < cells ? (diffusivity * (one - moist[k + 1]!)) / dx : (diffusivity * one) / (1 / biot + dx / 2)));
      for (let k = 0; k < cells; k += 1) moist[k]! += ((k > 0 ? flux[k - 1]! : 0) - flux[k]!) * (step / dx);
    }
    left.push(moist.reduce((sum, one) => sum + one, 0) / cells);
  }
  return (hours) => {
    const at = Math.min(left.length - 1, Math.floor(hours));
    const next = Math.min(left.length - 1, at + 1);
    return left[at]! + (left[next]! - left[at]!) * (hours - at);
  };
}

const tauOf = (number: () => number, least = 10, most = 120) => least * (most / least) ** number();
const steadyFirst = (tau: number, falls: number) => (hours: number) => {
  const steady = (tau * (1 - falls)) / falls;
  return hours <= steady ? 1 - (falls * hours) / tau : falls * Math.exp(-(hours - steady) / tau);
};

const KINETICS: Readonly<Record<string, Drying>> = {
  "falls evenly": (number) => {
    const tau = tauOf(number);
    return (hours) => Math.exp(-hours / tau);
  },
  "is steady, then falls": (number) => steadyFirst(tauOf(number), 0.25 + 0.6 * number()),
  "comes out of its depth": (number) => slab(tauOf(number), 0.5 + 20 * number() ** 2),
  "goes by day and rests at night": (number) => {
    const [tau, swing, phase] = [tauOf(number), 0.2 + 0.4 * number(), 2 * Math.PI * number()];
    const day = (2 * Math.PI) / 24;
    return (hours) => Math.exp(-(hours + (swing / day) * (Math.cos(phase) - Math.cos(day * hours + phase))) / tau);
  },
  "leaves a thin part before a thick one": (number) => {
    const [tau, times, share] = [tauOf(number, 8, 60), 2 + 8 * number(), 0.15 + 0.5 * number()];
    return (hours) => (1 - share) * Math.exp(-hours / tau) + share * Math.exp(-hours / (tau * times));
  },
  "is slow: in a shed, in a bag": (number) => {
    const tau = tauOf(number, 240, 1920);
    return (hours) => Math.exp(-hours / tau);
  },
};

interface Body {
  readonly dryG: number;
  readonly waterG: number;
  readonly g: (hours: number) => number;
  readonly shown: (hours: number) => Weighing;
  readonly number: () => number;
}

function bodyOf(drying: Drying, seed: number): Body {
  const number = numbersFrom(seed * 7919 + 17);
  number();
  const dryG = 150 + number() * 1200;
  const waterG = dryG * (0.08 + number() * 0.17);
  const left = drying(number);
  const stepG = number() < 0.5 ? 1 : 0.1;
  const g = (hours: number) => dryG + waterG * left(hours);
  const shown = (hours: number) => ({ at: START + hours * HOUR, g: Math.round((g(hours) + 0.3 * stepG * unrest(number)) / stepG) * stepG });
  return { dryG, waterG, g, shown, number };
}

/** Hours after which a day takes less than counts, for good; and after which, besides, next to no water is left. */
function dryFrom({ g, dryG }: Body): { readonly flat: number; readonly dry: number } {
  let [flat, dry] = [0, 0];
  for (let hour = 0; hour < 24 * 190; hour += 2) {
    const [now, day] = [g(hour), g(hour + 24)];
    if (now - day >= CONSTANT_SHARE * day) flat = hour;
    if (now - day >= CONSTANT_SHARE * day || now - dryG > DRY_SHARE * dryG) dry = hour;
  }
  return { flat, dry };
}

const SEEDS = Array.from({ length: RUNS }, (_unused, k) => k + 1);
const mostOf = (values: readonly number[]) => [...values].sort((a, b) => a - b).at(Math.floor(values.length / 2)) ?? 0;

describe.each(Object.entries(KINETICS))("a body that %s", (how, drying) => {
  test("holds as much water as is told, and is dry when it is told, nine times in ten", () => {
    let [asked, water, day] = [0, 0, 0];
    const [widths, wide]: [number[], number[]] = [[], []];
    for (const seed of SEEDS) {
      for (const poured of [true, false]) {
        const body = bodyOf(drying, seed);
        const { number } = body;
        const each = 8 + number() * 18;
        const hours = Array.from({ length: 3 + Math.floor(number() * 6) }, (_unused, k) => k * each);
        const since = hours.at(-1)!;
        const told = weightTold(hours.map(body.shown), poured ? { dryG: body.dryG * (1 + 0.03 * unrest(number)), wetG: body.dryG + body.waterG } : {});
        if (!told.leftG || !told.constantAt) continue;
        asked += 1;
        const left = body.g(since) - body.dryG;
        if (told.leftG.from <= left + 0.5 && left - 0.5 <= told.leftG.to) water += 1;
        const { flat, dry } = dryFrom(body);
        const [from, to] = [(told.constantAt.from - START) / HOUR, (told.constantAt.to - START) / HOUR];
        if (from <= Math.max(since, dry) + 2 && Math.max(since, flat) - 2 <= to) day += 1;
        (poured ? widths : wide).push((to - from) / 24);
      }
    }
    if (process.env.TELL)
      process.stdout.write(
        `${how}: asked ${asked}, water ${(water / asked).toFixed(3)}, day ${(day / asked).toFixed(3)}, width ${mostOf(widths).toFixed(1)} / ${mostOf(wide).toFixed(1)} d\n`,
      );
    expect(asked).toBeGreaterThan(SEEDS.length / 2);
    expect(water / asked).toBeGreaterThanOrEqual(0.9);
    expect(day / asked).toBeGreaterThanOrEqual(0.9);
  });

  test("is never called dry with water in it, and is called so in the end", () => {
    let [called, wet, worst] = [0, 0, 0];
    const late: number[] = [];
    const slow = how.startsWith("is slow");
    const seeds = SEEDS.slice(0, Math.ceil(RUNS / 3));
    for (const seed of seeds) {
      const body = bodyOf(drying, seed);
      const poured = seed % 2 === 0 ? { dryG: body.dryG * (1 + 0.02 * (body.number() - 0.5)), wetG: body.dryG + body.waterG } : {};
      const seen: Weighing[] = [];
      const { dry } = dryFrom(body);
      for (let hour = 0; hour < 24 * (slow ? 60 : 120); hour += 24) {
        seen.push(body.shown(hour));
        if ((slow || hour < dry - 24 * 20) && hour % 96 > 0) continue;
        if (!weightTold(seen, poured).constant) continue;
        called += 1;
        const share = (body.g(hour) - body.dryG) / body.dryG;
        worst = Math.max(worst, share);
        if (share > DRY_SHARE) wet += 1;
        late.push((hour - dry) / 24);
        break;
      }
    }
    if (process.env.TELL)
      process.stdout.write(
        `${how}: called ${called}/${seeds.length}, wet ${wet}, worst ${(100 * worst).toFixed(2)} %, late ${mostOf(late).toFixed(1)} (most ${Math.max(...late).toFixed(1)}) d\n`,
      );
    expect(wet / seeds.length).toBeLessThanOrEqual(0.1);
    expect(worst).toBeLessThan(1.25 * DRY_SHARE);
    if (!slow) expect(called).toBe(seeds.length);
  });
});
