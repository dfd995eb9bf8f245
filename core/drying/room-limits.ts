import { memory, practice, published } from "../catalogue/provenance";
import type { DryingValues } from "../catalogue/product-class";
import type { Room } from "../piece/piece";
import { dewPointC } from "./air";
import { roomFactor } from "./room-factor";

/** Labels mostly say 10 °C; a room people work in is 20. */
const COLD_C = practice(10).value;
export const HUMID = practice({ warn: 0.75, stop: 0.85 }).value;
const HOT_C = practice({ warn: 30, stop: 35 }).value;
/** A surface closer to the dew point than this sweats, K. */
const DEW_MARGIN_K = 3;
export const DEW_SOURCE = published("ISO 8502-4 guidance: surface at least 3 °C above the dew point");
/** Below this a film that sets by reaction may stall, °C [handbook §10]. */
export const STALLS_BELOW_C = memory(15).value;

/** What is wrong with a room for one film, by the product's own limits where it has them. */
export interface RoomFaults {
  readonly cold: "warn" | "stop" | null;
  readonly humid: "warn" | "stop" | null;
  readonly dew: boolean;
  readonly hot: "warn" | "stop" | null;
}

/**
 * Whether a film may dry in a room. Each limit stands by itself.
 *
 * @param drying of the product
 */
export function roomFaults({ minC, maxC = Infinity, by }: Pick<DryingValues, "minC" | "maxC" | "by">, room: Room): RoomFaults {
  const { temperatureC, relativeHumidity } = room;
  const never = roomFactor(by, room) === null;
  return {
    cold: temperatureC < minC ? "stop" : temperatureC < COLD_C ? "warn" : null,
    humid: never || relativeHumidity > HUMID.stop ? "stop" : relativeHumidity > HUMID.warn ? "warn" : null,
    dew: temperatureC - dewPointC(temperatureC, relativeHumidity) < DEW_MARGIN_K,
    hot: temperatureC > maxC || temperatureC > HOT_C.stop ? "stop" : temperatureC > HOT_C.warn ? "warn" : null,
  };
}
