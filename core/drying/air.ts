import type { Airflow } from "../catalogue/vocabulary";
import type { Room } from "../piece/piece";
import { memory, published } from "../catalogue/provenance";

export const MAGNUS_SOURCE = published("Alduchov & Eskridge 1996, Magnus form: 6.1094 hPa, 17.625, 243.04 °C");

/**
 * Saturation pressure of water vapour, hPa. Magnus form by Alduchov & Eskridge, 1996; good to 0.4 % from −40 to 50 °C.
 *
 * @example saturationHpa(26.85).toFixed(1) // "35.3"
 */
export function saturationHpa(temperatureC: number): number {
  return 6.1094 * Math.exp((17.625 * temperatureC) / (temperatureC + 243.04));
}

/**
 * Dew point, °C: the Magnus form turned round.
 *
 * @param temperatureC air, °C, −20 to 60
 * @param relativeHumidity 0–1, above 0
 * @returns °C
 * @example dewPointC(23, 0.5).toFixed(1) // "12.0"
 */
export function dewPointC(temperatureC: number, relativeHumidity: number): number {
  const gamma = Math.log(Math.max(relativeHumidity, 0.001)) + (17.625 * temperatureC) / (temperatureC + 243.04);
  return (243.04 * gamma) / (17.625 - gamma);
}

/** Psychrometric constant at sea level, hPa/K [from memory: 0.66]. */
const PSYCHROMETRIC_HPA_PER_K = 0.66;

/** Wet-bulb temperature, °C: where drying cools the film to; found by halving. */
export function wetBulbC(temperatureC: number, relativeHumidity: number): number {
  const vapour = relativeHumidity * saturationHpa(temperatureC);
  let low = dewPointC(temperatureC, relativeHumidity);
  let high = temperatureC;
  for (let round = 0; round < 40; round += 1) {
    const middle = (low + high) / 2;
    const excess = saturationHpa(middle) - PSYCHROMETRIC_HPA_PER_K * (temperatureC - middle) - vapour;
    if (excess > 0) high = middle;
    else low = middle;
  }
  return (low + high) / 2;
}

/** Air over the piece, m/s [from memory]. */
export const AIR_SPEED: Record<Airflow, number> = memory({ still: 0.1, drafty: 0.4, fan: 2 }).value;

/** Carrier's linear wind function [published: ASHRAE HVAC Applications, natatoriums, after Carrier]. */
function carrier(speed: number): number {
  return 0.089 + 0.0782 * speed;
}

/** Latent heat of water, J/g [published: Incropera & DeWitt, table A.6, near room temperature]. */
const LATENT_J_PER_G = 2450;
const PA_PER_HPA = 100;
const SECONDS_PER_MIN = 60;

/** Water that leaves a free surface of it, g per m² and minute. */
export interface WaterFlux {
  /** Kept as warm as the air. */
  readonly most: number;
  /** Cooled to the wet bulb by what leaves it. */
  readonly least: number;
}

/**
 * How fast a free surface of water gives off water: no film, slip or body gives off its own faster [published: Carrier's function, as above, W/(m²·Pa)].
 *
 * @returns 0 or more
 * @example waterFlux(STANDARD_ROOM).most.toFixed(1) // "3.3"
 */
export function waterFlux({ temperatureC, relativeHumidity, airflow }: Room): WaterFlux {
  const flux = (surfaceC: number) =>
    (Math.max(0, saturationHpa(surfaceC) - relativeHumidity * saturationHpa(temperatureC)) * PA_PER_HPA * carrier(AIR_SPEED[airflow]) * SECONDS_PER_MIN) /
    LATENT_J_PER_G;
  return { most: flux(temperatureC), least: flux(wetBulbC(temperatureC, relativeHumidity)) };
}

/** A laminar plate: flux grows with the square root of speed [published: Incropera & DeWitt, Sh = 0.664 Re^½ Sc^⅓]. */
function laminar(speed: number): number {
  return Math.sqrt(speed);
}

/** The standard atmosphere class times are given at [published: ISO 3270]: 23 °C, 50 %, still. */
export const STANDARD_ROOM: Room = { temperatureC: 23, relativeHumidity: 0.5, airflow: "still" };

/** Room factors on a class's times: the truth lies between. `null` when it will not dry at all. */
export interface RoomFactor {
  readonly fast: number;
  readonly slow: number;
}

/**
 * How much longer water takes to leave a film here than in the standard atmosphere: the ratio of evaporation fluxes
 * (p_sat(T_surface) − RH·p_sat(T_air)) × f(v), bracketed by a film at air temperature and one cooled to the wet bulb,
 * and by two wind functions.
 *
 * @returns null when the flux is nil: nothing dries
 * @example evaporationFactor({ temperatureC: 12, relativeHumidity: 0.75, airflow: "still" })?.slow.toFixed(1) // "4.0"
 */
export function evaporationFactor(room: Room): RoomFactor | null {
  const known = factorsByRoom.get(room);
  if (known !== undefined) return known;
  const factor = workOutFactor(room);
  factorsByRoom.set(room, factor);
  return factor;
}

/** A plan asks for the same room thousands of times. */
const factorsByRoom = new WeakMap<Room, RoomFactor | null>();

function workOutFactor(room: Room): RoomFactor | null {
  const factors: number[] = [];
  for (const surface of [(r: Room) => r.temperatureC, (r: Room) => wetBulbC(r.temperatureC, r.relativeHumidity)]) {
    for (const wind of [carrier, laminar]) {
      const flux = (r: Room) => (saturationHpa(surface(r)) - r.relativeHumidity * saturationHpa(r.temperatureC)) * wind(AIR_SPEED[r.airflow]);
      const here = flux(room);
      if (here <= 1e-6) return null;
      factors.push(flux(STANDARD_ROOM) / here);
    }
  }
  return { fast: Math.min(...factors), slow: Math.max(...factors) };
}

const stillRooms = new WeakMap<Room, Room>();

/** The same room without its fan. */
export function inStillAir(room: Room): Room {
  if (room.airflow === "still") return room;
  const known = stillRooms.get(room) ?? { ...room, airflow: "still" as const };
  stillRooms.set(room, known);
  return known;
}
