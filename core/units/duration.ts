export const MIN_PER_HOUR = 60;
export const MIN_PER_DAY = 24 * MIN_PER_HOUR;

/**
 * Turns hours into minutes, the unit of every time inside.
 *
 * @returns minutes
 */
export function hours(count: number): number {
  return count * MIN_PER_HOUR;
}

/**
 * Turns days into minutes, the unit of every time inside.
 *
 * @returns minutes
 */
export function days(count: number): number {
  return count * MIN_PER_DAY;
}

interface Scale {
  readonly upToMin: number;
  readonly size: number;
  readonly grain: number;
  readonly unit: (count: number) => string;
}

const SCALES: readonly Scale[] = [
  { upToMin: 12, size: 1, grain: 1, unit: () => "min" },
  { upToMin: 90, size: 1, grain: 5, unit: () => "min" },
  { upToMin: hours(36), size: MIN_PER_HOUR, grain: 1, unit: (n) => (n === 1 ? "hour" : "hours") },
  { upToMin: days(13), size: MIN_PER_DAY, grain: 1, unit: (n) => (n === 1 ? "day" : "days") },
  { upToMin: Infinity, size: days(7), grain: 1, unit: (n) => (n === 1 ? "week" : "weeks") },
];

function scaleFor(min: number): Scale {
  return SCALES.find((scale) => min <= scale.upToMin) ?? SCALES[SCALES.length - 1]!;
}

function counted(min: number, scale: Scale): number {
  return Math.max(scale.grain, Math.round(min / scale.size / scale.grain) * scale.grain);
}

/**
 * Says a time as a person would, rounded to what the user can use.
 *
 * @param min minutes, 0 or more
 * @returns words such as "25 min", "3 hours", "2 weeks"; "no time" for 0
 * @example sayDuration(1440) // "24 hours"
 */
export function sayDuration(min: number): string {
  if (min <= 0) return "no time";
  const scale = scaleFor(min);
  const count = counted(min, scale);
  return `${count} ${scale.unit(count)}`;
}

/**
 * Says a time where there is little room, to the half hour.
 *
 * @param min minutes, 0 or more
 * @returns "45 min", "2½ h"
 * @example sayHours(630) // "10½ h"
 */
export function sayHours(min: number): string {
  if (min < MIN_PER_HOUR) return `${Math.round(min)} min`;
  const halves = Math.round((2 * min) / MIN_PER_HOUR);
  return `${Math.floor(halves / 2)}${halves % 2 === 1 ? "½" : ""} h`;
}

/**
 * Says a range of times in one unit, the larger end choosing it.
 *
 * @param fromMin shorter end in minutes
 * @param toMin longer end in minutes
 * @returns one figure when both ends round to the same
 * @example sayDurationRange(60, 90) // "60–90 min"
 */
export function sayDurationRange(fromMin: number, toMin: number): string {
  const scale = scaleFor(Math.max(fromMin, toMin));
  const from = counted(fromMin, scale);
  const to = counted(toMin, scale);
  if (to <= 0 || toMin <= 0) return "no time";
  return from === to ? sayDuration(toMin) : `${from}–${to} ${scale.unit(to)}`;
}
