import { numbersFrom } from "../units/seeded";
import { saturationHpa } from "./air";
import type { Reading, Thermohygrometer } from "./readings";

/** The room that is made up, and the faults of what measures it. */
export interface SimulatedRoom {
  /** °C by day and by night. */
  readonly dayC: number;
  readonly nightC: number;
  /** Share, at the mean of both. */
  readonly relativeHumidity: number;
  /** Standard error of a reading, °C; of the dampness a fiftieth of it as a share. */
  readonly noiseC?: number;
  /** How far it goes wrong in a day, °C. */
  readonly driftC?: number;
  /** Share of readings that do not come. */
  readonly dropouts?: number;
  /** The hour of the clock there at an instant, with its share; of universal time where it is not said. */
  readonly hourOf?: (at: number) => number;
}

/** A cool, damp back room. */
export const MADE_UP_ROOM: SimulatedRoom = { dayC: 17, nightC: 11, relativeHumidity: 0.72, noiseC: 0.2, dropouts: 0.05 };

const MS_PER_DAY = 86_400_000;
/** The warmest hour of the day. */
const WARMEST_HOUR = 15;
const HOURS = 24;
/** A share of dampness for a °C of noise. */
const NOISE_SHARE = 0.02;
const MS_PER_SECOND = 1000;
/** Two even numbers less one have this share of a standard error of 1. */
const TO_STANDARD = Math.sqrt(6);

/** What of a reading is left to chance. */
const PURPOSES = { dropout: 1, warm: 2, damp: 3 } as const;
/** Spreads instants that lie close over all seeds there are (Knuth's multiplicative hash). */
const SPREAD = 2_654_435_761;

/** Numbers 0–1 that belong to a seed, an instant and a purpose: the same whenever they are asked. */
function numbersOf(seed: number, at: number, purpose: keyof typeof PURPOSES): () => number {
  return numbersFrom(Math.imul(seed + PURPOSES[purpose], SPREAD) ^ Math.imul(Math.floor(at / MS_PER_SECOND), SPREAD));
}

/**
 * A thermo-hygrometer in a made-up room: days and nights, noise, a slow drift, and readings that do not come. The same seed reads the same.
 *
 * @param start from which it drifts, ms
 */
export function simulatedThermohygrometer(seed: number, start: number, room: SimulatedRoom): Thermohygrometer {
  const { dayC, nightC, relativeHumidity, noiseC = 0.2, driftC = 0, dropouts = 0, hourOf = (at) => ((at % MS_PER_DAY) / MS_PER_DAY) * HOURS } = room;
  const middle = (dayC + nightC) / 2;
  const waterHpa = relativeHumidity * saturationHpa(middle);
  const noise = (at: number, purpose: "warm" | "damp") => {
    const number = numbersOf(seed, at, purpose);
    return (number() + number() - 1) * TO_STANDARD;
  };
  return {
    name: "A made-up thermo-hygrometer",
    read: (at): Promise<Reading | null> => {
      if (numbersOf(seed, at, "dropout")() < dropouts) return Promise.resolve(null);
      const trueC = middle + ((dayC - nightC) / 2) * Math.cos((2 * Math.PI * (hourOf(at) - WARMEST_HOUR)) / HOURS);
      const drift = (driftC * (at - start)) / MS_PER_DAY;
      // The air holds the same water day and night: it is damper when it is cold.
      const damp = waterHpa / saturationHpa(trueC) + noise(at, "damp") * noiseC * NOISE_SHARE;
      return Promise.resolve({ at, temperatureC: trueC + drift + noise(at, "warm") * noiseC, relativeHumidity: Math.min(1, Math.max(0, damp)) });
    },
  };
}
