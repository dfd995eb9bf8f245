import type { ProductClass } from "../catalogue/product-class";
import type { Room } from "../piece/piece";
import { dayAndNight, NIGHT_SHARE } from "./day-night";
import { AIR_SPEED, evaporationFactor, inStillAir, STANDARD_ROOM } from "./air";
import type { RoomFactor } from "./air";

/** Oxidation and reaction go about half as fast for each 10 °C less [from memory]. */
function perTenDegrees(room: Room): number {
  return 2 ** ((STANDARD_ROOM.temperatureC - room.temperatureC) / 10);
}

/** Airflow carries solvent off; how much is uncertain, so a fan only opens the range [from memory]. */
function solventFactor(room: Room): RoomFactor {
  const warmth = 1.5 ** ((STANDARD_ROOM.temperatureC - room.temperatureC) / 10);
  const air = Math.sqrt(AIR_SPEED.still / AIR_SPEED[room.airflow]);
  return { fast: warmth * air, slow: warmth };
}

/** What makes a film dry. */
export type DryingBy = ProductClass["drying"]["by"];

/**
 * How a class's times change in this room, by what makes it dry. Of a room that is another by night it is the mean over the day: rates are averaged, and
 * an hour in which nothing dries counts for nothing.
 *
 * @returns factors on its times; null when it will not dry here
 */
export function roomFactor(by: DryingBy, room: Room): RoomFactor | null {
  const { day, night } = dayAndNight(room);
  if (!night) return steadyFactor(by, room);
  const [one, other] = [steadyFactor(by, day), steadyFactor(by, night)];
  if (!one && !other) return null;
  const mean = (pick: (factor: RoomFactor) => number) => 1 / ((1 - NIGHT_SHARE) * rateOf(one, pick) + NIGHT_SHARE * rateOf(other, pick));
  return { fast: mean(({ fast }) => fast), slow: mean(({ slow }) => slow) };
}

/**
 * How the times of what is deep in a film, and of its cure, change in this room. Air takes the water out sooner, and knits no film: they go by warmth
 * where that is slower than the water, and are never sooner than the label has them.
 *
 * @returns factors of 1 or more; null when it will not dry here
 */
export function deepFactor(by: DryingBy, room: Room): RoomFactor | null {
  const still = inStillAir(room);
  const deep = roomFactor(by, still);
  if (!deep) return null;
  const knits = roomFactor("reaction", still) ?? deep;
  return { fast: Math.max(1, deep.fast, knits.fast), slow: Math.max(1, deep.slow, knits.slow) };
}

const rateOf = (factor: RoomFactor | null, pick: (factor: RoomFactor) => number) => (factor ? 1 / pick(factor) : 0);

/** How fast it dries by day and by night, against the mean of both; null where the night is as the day. */
export interface DayNightRates {
  readonly day: number;
  readonly night: number;
}

/**
 * How fast drying goes by day and by night in a room, against its mean: what `roomFactor` gives is this times as fast.
 *
 * @param careful at the slow end of the range
 * @returns null where the night is as the day, or nothing ever dries
 */
export function dayNightRates(by: DryingBy, room: Room, careful: boolean): DayNightRates | null {
  const { day, night } = dayAndNight(room);
  const mean = night && roomFactor(by, room);
  if (!mean) return null;
  const pick = ({ fast, slow }: RoomFactor) => (careful ? slow : fast);
  return { day: pick(mean) * rateOf(steadyFactor(by, day), pick), night: pick(mean) * rateOf(steadyFactor(by, night), pick) };
}

function steadyFactor(by: DryingBy, room: Room): RoomFactor | null {
  switch (by) {
    case "evaporation":
      return evaporationFactor(room);
    case "oxidation": {
      const factor = perTenDegrees(room);
      return { fast: factor, slow: room.relativeHumidity > 0.75 ? factor * 1.5 : factor };
    }
    case "reaction": {
      const factor = perTenDegrees(room);
      return { fast: factor, slow: factor };
    }
    case "solvent":
      return solventFactor(room);
    case "none":
      return { fast: 1, slow: 1 };
  }
}
