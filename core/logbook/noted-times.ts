import type { ProgressRecord } from "./progress";

/** Clocks that are set right by themselves go back by less than this, ms. */
export const CLOCK_SLACK_MS = 2 * 60_000;

type Noted = Pick<ProgressRecord, "at">;

/** Instant of the last note, ms; one that cannot be read does not count. */
const lastOf = (noted: readonly Noted[]): number => noted.map(({ at }) => Date.parse(at)).reduce((last, at) => (at > last ? at : last), -Infinity);

/**
 * When something is noted, in the order of what was noted before it: where the clock was set back meanwhile, just after the last note.
 *
 * @param at instant by the clock, ISO 8601
 * @param noted what was noted of the same piece before
 * @returns the instant to note, ISO 8601
 * @example notBefore("2026-11-26T10:00:00.000Z", [{ at: "2026-11-26T12:00:00.000Z" }]) // "2026-11-26T12:00:00.001Z"
 */
export function notBefore(at: string, noted: readonly Noted[]): string {
  return new Date(Math.max(Date.parse(at), lastOf(noted) + 1)).toISOString();
}

/**
 * When something is noted that the user says was done at an earlier time: after what was done before on the same places, and after what the plan was
 * made for; never later than now for that.
 *
 * @param at instant the user says, ISO 8601
 * @param noted what was noted of the same places before
 * @param basis instant of the body the plan was made for; null for the bare piece
 * @returns the instant to note, ISO 8601
 */
export function saidAt(at: string, noted: readonly Noted[], basis: string | null): string {
  return notBefore(at, basis === null ? noted : [...noted, { at: basis }]);
}

/**
 * The last note of a piece, where it lies later than the clock stands: the clock was wrong then, or is wrong now.
 *
 * @param ends instants at which what is on the piece was done, ms
 * @param now instant, ms
 * @returns instant, ms; null where nothing does
 */
export function laterThanNow(ends: Iterable<number>, now: number): number | null {
  const last = Math.max(-Infinity, ...ends);
  return last > now + CLOCK_SLACK_MS ? last : null;
}

/** The instants of notes that lie later than now, in their order, each once. */
function timesAfter(noted: readonly Noted[], now: number): readonly string[] {
  return [...new Set(noted.map((one) => one.at))].filter((at) => Date.parse(at) > now).sort();
}

/**
 * Notes that lie later than now, brought to now in their order.
 *
 * @param noted what was noted of one piece
 * @param now instant, ms
 * @returns those that change, with the instants they get
 */
export function broughtToNow<N extends Noted>(noted: readonly N[], now: number): readonly N[] {
  const later = noted.filter((one) => Date.parse(one.at) > now).sort((a, b) => a.at.localeCompare(b.at));
  const times = timesAfter(noted, now);
  return later.map((one) => ({ ...one, at: new Date(now + times.indexOf(one.at)).toISOString() }));
}

/**
 * The instant of a body that was told by the wrong clock: as many notes are before it as were.
 *
 * @param basis instant, ISO 8601
 * @param noted what was noted of one piece, as it was
 * @param now instant, ms, its later notes were brought to
 * @returns the instant now, ISO 8601
 */
export function basisBroughtToNow(basis: string, noted: readonly Noted[], now: number): string {
  const before = timesAfter(noted, now).filter((at) => at <= basis).length;
  return Date.parse(basis) > now ? new Date(now + Math.max(0, before - 1)).toISOString() : basis;
}
