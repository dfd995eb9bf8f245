import { memory, practice, published } from "../catalogue/provenance";
import type { DryingValues } from "../catalogue/product-class";
import type { Air, Room } from "../piece/piece";
import { dewPointC } from "./air";
import { dayAndNight } from "./day-night";
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

/** One thing that is wrong with a room. */
export interface RoomFault {
  readonly severity: "warn" | "stop";
  /** The air that is at fault. */
  readonly air: Air;
  /** It is so by night only: what is laid in the morning gets past the worst of it. */
  readonly byNight: boolean;
}

export const ROOM_FAULTS = ["cold", "humid", "dew", "hot"] as const;

/** What is wrong with a room for one film, by the product's own limits where it has them. */
export type RoomFaults = Readonly<Record<(typeof ROOM_FAULTS)[number], RoomFault | null>>;

type Limits = Pick<DryingValues, "minC" | "maxC" | "by">;

function steadyFaults({ minC, maxC = Infinity, by }: Limits, air: Room, byNight: boolean): RoomFaults {
  const { temperatureC, relativeHumidity } = air;
  const never = roomFactor(by, air) === null;
  // By night it is a caution: it can be laid in the morning, or kept warm.
  const fault = (stop: boolean, warn: boolean): RoomFault | null => (stop || warn ? { severity: stop && !byNight ? "stop" : "warn", air, byNight } : null);
  return {
    cold: fault(temperatureC < minC, temperatureC < COLD_C),
    humid: fault(never || relativeHumidity > HUMID.stop, relativeHumidity > HUMID.warn),
    dew: fault(false, temperatureC - dewPointC(temperatureC, relativeHumidity) < DEW_MARGIN_K),
    hot: fault(temperatureC > maxC || temperatureC > HOT_C.stop, temperatureC > HOT_C.warn),
  };
}

/**
 * Whether a film may dry in a room. Each limit stands by itself, during the whole of its drying: by night too.
 *
 * @param drying of the product
 */
export function roomFaults(drying: Limits, room: Room): RoomFaults {
  const { day, night } = dayAndNight(room);
  const byDay = steadyFaults(drying, day, false);
  if (!night) return byDay;
  const byNight = steadyFaults(drying, night, true);
  return { cold: byDay.cold ?? byNight.cold, humid: byDay.humid ?? byNight.humid, dew: byDay.dew ?? byNight.dew, hot: byDay.hot ?? byNight.hot };
}
