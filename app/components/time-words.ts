import { differenceInCalendarDays, format } from "date-fns";

const DAYS_AHEAD_BY_NAME = 6;

/** A day as a person says it: "today", "tomorrow", "Saturday", "Sat 5 Dec". */
export function sayDay(instant: number, now: number): string {
  const days = differenceInCalendarDays(instant, now);
  if (days === 0) return "today";
  if (days === 1) return "tomorrow";
  if (days === -1) return "yesterday";
  return days > 1 && days <= DAYS_AHEAD_BY_NAME ? format(instant, "EEEE") : format(instant, "EEE d MMM");
}

let toTwelve: boolean | null = null;

/** Whether clocks go to twelve here, as the browser's locale has it. */
function clockToTwelve(): boolean {
  toTwelve ??= new Intl.DateTimeFormat(undefined, { hour: "numeric" }).resolvedOptions().hour12 === true;
  return toTwelve;
}

/** A time of day: "19:05", or "7:05 pm". */
export function sayTime(instant: number, twelve = clockToTwelve()): string {
  return format(instant, twelve ? "h:mm aaa" : "HH:mm");
}

/** A stretch of a day: "19:00–21:30", "7:00–9:30 pm". */
export function sayTimes(from: number, to: number, twelve = clockToTwelve()): string {
  const [begins, ends] = [sayTime(from, twelve), sayTime(to, twelve)];
  const half = begins.slice(-3);
  return `${twelve && ends.endsWith(half) ? begins.slice(0, -3) : begins}–${ends}`;
}

/** A time of free hours, "19:00", as it is said here. */
export function sayHour(time: string, twelve = clockToTwelve()): string {
  const [hour, minute] = time.split(":").map(Number) as [number, number];
  return sayTime(new Date(2000, 0, 1, hour, minute).getTime(), twelve);
}

/** A time of day, with its day where that is not today. */
export function sayClock(instant: number, now: number = Date.now(), twelve = clockToTwelve()): string {
  const time = sayTime(instant, twelve);
  return differenceInCalendarDays(instant, now) === 0 ? time : `${sayDay(instant, now)} ${time}`;
}

/** A time zone by its city: "Europe/London" is London time. */
export function sayZone(timeZone: string): string {
  const city = timeZone.split("/").at(-1)!.replaceAll("_", " ");
  return city === "UTC" ? city : `${city} time`;
}
