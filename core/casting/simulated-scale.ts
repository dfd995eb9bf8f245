import { numbersFrom } from "../units/seeded";
import type { Scale, ScaleReading } from "./scale";

/** The faults of a scale that is made up. */
export interface ScaleFaults {
  readonly stepG?: number;
  /** Standard error of a reading, g. */
  readonly noiseG?: number;
  /** How far its zero wanders in a minute, g. */
  readonly driftGPerMin?: number;
  /** It shows what lay on it so long ago, ms. */
  readonly lateMs?: number;
}

/** A kitchen scale as they are: whole grams, a little unrest, half a second late. */
export const KITCHEN_SCALE: Required<ScaleFaults> = { stepG: 1, noiseG: 0.3, driftGPerMin: 0.05, lateMs: 400 };

const MS_PER_MIN = 60_000;
const TO_STANDARD = Math.sqrt(6);
/** Spreads instants that lie close over all seeds there are (Knuth's multiplicative hash). */
const SPREAD = 2_654_435_761;

/** A scale that is made up, and the hands that put something on it. */
export interface SimulatedScale extends Scale {
  /** Puts so much on it from an instant on, g; less than 0 takes it off. */
  readonly put: (at: number, g: number) => void;
  /** Sets what lies on it to zero. */
  readonly tare: (at: number) => void;
}

/**
 * A scale that is made up, behind the interface a real one uses: noise, a zero that wanders, a reading that comes late. The same seed weighs the same.
 *
 * @param start instant at which its zero is right, ms
 */
export function simulatedScale(seed: number, start: number, faults: ScaleFaults = {}): SimulatedScale {
  const { stepG, noiseG, driftGPerMin, lateMs } = { ...KITCHEN_SCALE, ...faults };
  const puts: ScaleReading[] = [];
  let zeroG = 0;
  const load = (at: number) => puts.reduce((sum, one) => sum + (one.at <= at ? one.g : 0), 0);
  const raw = (at: number) => {
    const number = numbersFrom(Math.imul(seed, SPREAD) ^ Math.imul(Math.floor(at), SPREAD));
    const noise = (number() + number() - 1) * TO_STANDARD * noiseG;
    return load(at - lateMs) + (driftGPerMin * (at - start)) / MS_PER_MIN + noise;
  };
  return {
    name: "A made-up scale",
    stepG,
    put: (at, g) => void puts.push({ at, g }),
    tare: (at) => {
      zeroG = raw(at);
    },
    read: (at) => ({ at, g: Math.round((raw(at) - zeroG) / stepG) * stepG || 0 }),
  };
}
