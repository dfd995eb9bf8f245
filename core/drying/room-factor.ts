import type { ProductClass } from "../catalogue/product-class";
import type { Room } from "../piece/piece";
import { AIR_SPEED, evaporationFactor, STANDARD_ROOM } from "./air";
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

/**
 * How a class's times change in this room, by what makes it dry.
 *
 * @returns factors on its times; null when it will not dry here
 */
export function roomFactor(by: ProductClass["drying"]["by"], room: Room): RoomFactor | null {
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
