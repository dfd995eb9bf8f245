import type { Room } from "../piece/piece";
import { saturationHpa } from "./air";
import { dryingOf } from "./film-drying";
import type { DryingAsk, Wait } from "./film-drying";

/** What can be done about a room. */
export const REMEDIES = ["warmer", "fan", "drier"] as const;
export type Remedy = (typeof REMEDIES)[number];

/** One room, changed, and what it buys. */
export interface WhatIf {
  readonly remedy: Remedy;
  readonly room: Room;
  /** To the next coat, there. */
  readonly recoat: Wait;
  /** Less than now, minutes; null where now it does not dry at all. */
  readonly saves: Wait | null;
}

/** As warm as a room is heated for it, °C. */
const WARMED_C = 22;
/** What a dehumidifier or an airing on a dry day brings, share. */
const DRIED_RH = 0.5;
/** A change that saves less than this is none, minutes. */
const WORTH_MIN = 5;

/** The same air, warmed: it holds as much water, and is drier for it. */
export function warmedTo(room: Room, temperatureC: number): Room {
  const water = room.relativeHumidity * saturationHpa(room.temperatureC);
  return { ...room, temperatureC, relativeHumidity: Math.min(1, water / saturationHpa(temperatureC)) };
}

function changed(room: Room, remedy: Remedy): Room | null {
  switch (remedy) {
    case "warmer":
      return room.temperatureC < WARMED_C ? warmedTo(room, WARMED_C) : null;
    case "fan":
      return room.airflow === "fan" ? null : { ...room, airflow: "fan" };
    case "drier":
      return room.relativeHumidity > DRIED_RH ? { ...room, relativeHumidity: DRIED_RH } : null;
  }
}

/**
 * What warmth, a fan or drier air would buy for one film.
 *
 * @returns only what helps, the most helpful first
 */
export function whatIf(ask: DryingAsk): readonly WhatIf[] {
  const now = dryingOf(ask).stages?.dryToRecoat ?? null;
  const found = REMEDIES.flatMap((remedy): WhatIf[] => {
    const room = changed(ask.room, remedy);
    const recoat = room && dryingOf({ ...ask, room }).stages?.dryToRecoat;
    if (!room || !recoat) return [];
    const saves = now && { typicalMin: now.typicalMin - recoat.typicalMin, cautiousMin: now.cautiousMin - recoat.cautiousMin };
    return saves && saves.typicalMin < WORTH_MIN ? [] : [{ remedy, room, recoat, saves }];
  });
  return found.sort((a, b) => a.recoat.typicalMin - b.recoat.typicalMin);
}
