import type { Air, Room } from "../piece/piece";
import { evaporationFactor } from "./air";
import { NIGHT } from "./day-night";

/** What a thermo-hygrometer shows at an instant. */
export interface Reading {
  /** Instant, ms. */
  readonly at: number;
  /** °C, −20 to 60. */
  readonly temperatureC: number;
  /** Share, 0 to 1. */
  readonly relativeHumidity: number;
}

/** What a thermo-hygrometer is to Nook Coat, whether it stands in the room or is made up. */
export interface Thermohygrometer {
  readonly name: string;
  /**
   * The reading at an instant, ms.
   *
   * @returns null where it gave none
   */
  readonly read: (at: number) => Promise<Reading | null>;
}

/** A room as its readings have it. */
export interface RoomOfReadings {
  /** The steady air in which things dry as fast as they did in the measured one, on the whole. */
  readonly steady: Air;
  /** Means of the day, and of the night. */
  readonly day: Air | null;
  readonly night: Air | null;
  readonly coldestC: number;
  /** Highest share. */
  readonly dampest: number;
  /** Share of the time in which nothing waterborne dries. */
  readonly stalled: number;
  readonly readings: number;
  /** Instants, ms. */
  readonly from: number;
  readonly to: number;
  /** The longest time without a reading, minutes. */
  readonly longestGapMin: number;
}

const MS_PER_MIN = 60_000;
const BISECTIONS = 40;

/**
 * As many readings as can be looked at, each the mean of its stretch.
 *
 * @param readings in order
 * @param most 1 or more
 */
export function thinned(readings: readonly Reading[], most: number): readonly Reading[] {
  const size = Math.max(1, Math.ceil(readings.length / most));
  return Array.from({ length: Math.ceil(readings.length / size) }, (_unused, k) => {
    const part = readings.slice(k * size, (k + 1) * size);
    return { at: part[0]!.at, ...meanAir(part)! };
  });
}

function mean(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}

function meanAir(of: readonly Reading[]): Air | null {
  if (of.length === 0) return null;
  return { temperatureC: mean(of.map(({ temperatureC }) => temperatureC)), relativeHumidity: mean(of.map(({ relativeHumidity }) => relativeHumidity)) };
}

/** How fast water leaves in still air, against a room of 23 °C and 50 %: the middle of both assumptions; 0 where nothing dries. */
function dryingRate(air: Air): number {
  const factor = evaporationFactor({ ...air, airflow: "still" });
  return factor ? 1 / Math.sqrt(factor.fast * factor.slow) : 0;
}

/** Of one temperature the dampness at which water leaves at a rate: it leaves slower the damper it is. */
function dampnessFor(temperatureC: number, rate: number): number {
  let [dry, damp] = [0, 1];
  for (let k = 0; k < BISECTIONS; k++) {
    const middle = (dry + damp) / 2;
    if (dryingRate({ temperatureC, relativeHumidity: middle }) > rate) dry = middle;
    else damp = middle;
  }
  return (dry + damp) / 2;
}

/**
 * A room from what was read in it: by day, by night, and as the steady air that dries as fast on the whole. Rates are averaged, not readings: a damp night
 * counts for what it holds up.
 *
 * @param readings one or more, in any order
 * @param hourOf the hour of the clock at an instant, 0 to 23
 */
export function roomOfReadings(readings: readonly Reading[], hourOf: (instant: number) => number): RoomOfReadings {
  const sorted = [...readings].sort((a, b) => a.at - b.at);
  const isNight = ({ at }: Reading) => hourOf(at) >= NIGHT.from || hourOf(at) < NIGHT.to;
  const temperatureC = mean(sorted.map((one) => one.temperatureC));
  const rates = sorted.map(dryingRate);
  return {
    steady: { temperatureC, relativeHumidity: dampnessFor(temperatureC, mean(rates)) },
    day: meanAir(sorted.filter((one) => !isNight(one))),
    night: meanAir(sorted.filter(isNight)),
    coldestC: Math.min(...sorted.map((one) => one.temperatureC)),
    dampest: Math.max(...sorted.map((one) => one.relativeHumidity)),
    stalled: rates.filter((rate) => rate === 0).length / rates.length,
    readings: sorted.length,
    from: sorted[0]!.at,
    to: sorted.at(-1)!.at,
    longestGapMin: Math.max(0, ...sorted.slice(1).map(({ at }, k) => (at - sorted[k]!.at) / MS_PER_MIN)),
  };
}

/** By night it is another air from so much on: less is the meter's, °C and share. */
const ANOTHER = { temperatureC: 1, relativeHumidity: 0.05 } as const;
/** Air as a person would note it: half degrees, whole per cent. */
const noted = ({ temperatureC, relativeHumidity }: Air): Air => ({
  temperatureC: Math.round(temperatureC * 2) / 2,
  relativeHumidity: Math.round(relativeHumidity * 100) / 100,
});

/**
 * The room that is taken from readings: by day and by night where both are known and differ, else the steady air.
 *
 * @returns in still air, to half a degree and a whole per cent
 */
export function roomTaken({ day, night, steady }: Pick<RoomOfReadings, "day" | "night" | "steady">): Room {
  const differ =
    day !== null &&
    night !== null &&
    (Math.abs(day.temperatureC - night.temperatureC) >= ANOTHER.temperatureC ||
      Math.abs(day.relativeHumidity - night.relativeHumidity) >= ANOTHER.relativeHumidity);
  return differ ? { ...noted(day), airflow: "still", night: noted(night) } : { ...noted(steady), airflow: "still" };
}
