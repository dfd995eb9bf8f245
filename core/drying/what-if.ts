import { memory } from "../catalogue/provenance";
import type { Air, Room } from "../piece/piece";
import { saturationHpa } from "./air";
import { airsOf } from "./day-night";
import { dryingOf } from "./film-drying";
import type { DryingAsk, Wait } from "./film-drying";

/** What can be done about a room. */
export const REMEDIES = ["warmer", "fan", "drier"] as const;
export type Remedy = (typeof REMEDIES)[number];

/** One room, changed, and what it buys. */
export interface WhatIf {
  readonly remedy: Remedy;
  readonly room: Room;
  /** Until the next coat there; of dots until they are dry through. */
  readonly takes: Wait;
  /** Less than now, minutes; null where now it does not dry at all. */
  readonly saves: Wait | null;
}

/** As warm as a room is heated for it, °C. */
const WARMED_C = memory(22).value;
/** What a dehumidifier or an airing on a dry day brings, share. */
const DRIED_RH = memory(0.5).value;
/** A change that saves less than this is none, minutes. */
const WORTH_MIN = 5;

/** The same air, warmed: it holds as much water, and is drier for it. */
export function warmedTo<A extends Air>(air: A, temperatureC: number): A {
  const water = air.relativeHumidity * saturationHpa(air.temperatureC);
  return { ...air, temperatureC, relativeHumidity: Math.min(1, water / saturationHpa(temperatureC)) };
}

/** The same room with its air made another, by day and by night; where the night is left over it is as the day. */
function madeOther(room: Room, other: <A extends Air>(air: A) => A): Room {
  return room.night ? { ...other(room), night: other(room.night) } : other(room);
}

/**
 * A room with something done about it, by day and by night.
 *
 * @returns null where it is so already
 */
export function remedied(room: Room, remedy: Remedy): Room | null {
  const airs = airsOf(room);
  switch (remedy) {
    case "warmer":
      return airs.some(({ temperatureC }) => temperatureC < WARMED_C)
        ? madeOther(room, (air) => (air.temperatureC < WARMED_C ? warmedTo(air, WARMED_C) : air))
        : null;
    case "fan":
      return room.airflow === "fan" ? null : { ...room, airflow: "fan" };
    case "drier":
      return airs.some(({ relativeHumidity }) => relativeHumidity > DRIED_RH)
        ? madeOther(room, (air) => ({ ...air, relativeHumidity: Math.min(air.relativeHumidity, DRIED_RH) }))
        : null;
  }
}

/** What is waited for: of a coat the next one, of dots that they are dry through. */
function waitedFor(ask: DryingAsk): Wait | null {
  const { stages } = dryingOf(ask);
  return stages && (ask.marks ? stages.dryThrough : stages.dryToRecoat);
}

/**
 * What warmth, a fan or drier air would buy for one film.
 *
 * @returns only what helps, the most helpful first
 */
export function whatIf(ask: DryingAsk): readonly WhatIf[] {
  const now = waitedFor(ask);
  const found = REMEDIES.flatMap((remedy): WhatIf[] => {
    const room = remedied(ask.room, remedy);
    const takes = room && waitedFor({ ...ask, room });
    if (!room || !takes) return [];
    const saves = now && { typicalMin: now.typicalMin - takes.typicalMin, cautiousMin: now.cautiousMin - takes.cautiousMin };
    return saves && saves.typicalMin < WORTH_MIN ? [] : [{ remedy, room, takes, saves }];
  });
  return found.sort((a, b) => a.takes.typicalMin - b.takes.typicalMin);
}
