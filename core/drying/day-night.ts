import { memory } from "../catalogue/provenance";
import type { Room } from "../piece/piece";

/** Hours of the clock that are night in a room that is heated by day. */
export const NIGHT = memory({ from: 22, to: 7 }).value;

/** Share of a day that is night. */
export const NIGHT_SHARE = (24 - NIGHT.from + NIGHT.to) / 24;

/** A room by day and by night. */
export interface DayAndNight {
  readonly day: Room;
  /** Null where the night is as the day. */
  readonly night: Room | null;
}

/** A plan asks for the same room thousands of times, and what is known of a room is known by the room itself. */
const known = new WeakMap<Room, DayAndNight>();

/** The steady rooms that a room is by day and by night. */
export function dayAndNight(room: Room): DayAndNight {
  const before = known.get(room);
  if (before) return before;
  const { night, ...day } = room;
  const found: DayAndNight = night ? { day, night: { ...night, airflow: room.airflow } } : { day: room, night: null };
  known.set(room, found);
  return found;
}

/** The steady rooms that it is in turn: one, or two. */
export function airsOf(room: Room): readonly Room[] {
  const { day, night } = dayAndNight(room);
  return night ? [day, night] : [day];
}
