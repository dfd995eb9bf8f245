/** The user's time zone, as the browser tells it. */
export function timeZoneHere(): string {
  return Intl.DateTimeFormat().resolvedOptions().timeZone;
}
