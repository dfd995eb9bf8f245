import { tellSameTime } from "#core/schedule/free-hours";

/** The user's time zone, as the browser tells it. */
export function timeZoneHere(): string {
  return Intl.DateTimeFormat().resolvedOptions().timeZone;
}

/**
 * The zone of this device, where its clock shows another time than that of a zone.
 *
 * @param now instant, ms
 * @returns IANA name; null where both show the same
 */
export function otherZoneHere(timeZone: string, now: number): string | null {
  const here = timeZoneHere();
  return tellSameTime(here, timeZone, now) ? null : here;
}
