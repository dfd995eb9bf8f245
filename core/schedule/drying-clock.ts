import { NIGHT, NIGHT_SHARE } from "../drying/day-night";
import { dayNightRates } from "../drying/room-factor";
import type { DayNightRates, DryingBy } from "../drying/room-factor";
import type { Room } from "../piece/piece";
import { MIN_PER_DAY } from "../units/duration";
import { dateOf, dayLater, instantOf, MS_PER_MIN } from "./free-hours";

const MS_PER_DAY = MIN_PER_DAY * MS_PER_MIN;
const NIGHT_MS = NIGHT_SHARE * MS_PER_DAY;
/** The clocks go on or back by no more than this, ms. */
const CLOCK_CHANGE_MS = 60 * MS_PER_MIN;
/** Nights that are known of, before and after the month something is dated from. Beyond them drying goes on at its mean rate. */
const DAYS = { before: 60, after: 450 } as const;

const time = (hour: number) => `${String(hour).padStart(2, "0")}:00`;

/** Of "YYYY-MM". */
const MONTH_LENGTH = 7;
/** The instants at which day and night begin in turn, a day first; those of the last month that was asked for are kept. */
let known: { readonly key: string; readonly turns: Float64Array } | null = null;

function turnsAround(date: string, timeZone: string): Float64Array {
  const month = date.slice(0, MONTH_LENGTH);
  const key = `${month} ${timeZone}`;
  if (known?.key !== key) {
    const first = dayLater(`${month}-01`, -DAYS.before);
    const days = Array.from({ length: DAYS.before + DAYS.after }, (_unused, k) => dayLater(first, k));
    const turns = days.flatMap((day) => [instantOf(day, time(NIGHT.to), timeZone), instantOf(day, time(NIGHT.from), timeZone)]);
    known = { key, turns: Float64Array.from(turns) };
  }
  return known.turns;
}

/** The first place in a rising row whose value is not below. */
function firstNotBelow(row: Float64Array, value: number): number {
  let [low, high] = [0, row.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (row[middle]! < value) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** How drying goes on in a room whose nights are not as its days: a wait that begins in the morning is over sooner than one that begins at night. */
export class DryingClock {
  /** How much has dried by each turn of day and night, as time at the mean rate, ms. */
  private readonly dried: Float64Array;

  constructor(
    private readonly rates: DayNightRates,
    private readonly turns: Float64Array,
  ) {
    this.dried = new Float64Array(turns.length);
    for (let k = 1; k < turns.length; k += 1) this.dried[k] = this.dried[k - 1]! + (turns[k]! - turns[k - 1]!) * this.rateAt(k - 1);
  }

  private rateAt(turn: number): number {
    return turn % 2 === 0 ? this.rates.day : this.rates.night;
  }

  /**
   * When a wait is over.
   *
   * @param from its begin, instant, ms
   * @param waitMs as long as it takes at the mean rate, 0 or more
   * @returns instant, ms; never sooner for a later begin
   */
  readyAt(from: number, waitMs: number): number {
    const { turns, dried } = this;
    const last = turns.length - 1;
    if (waitMs <= 0 || from < turns[0]! || from >= turns[last]!) return from + Math.max(0, waitMs);
    const after = firstNotBelow(turns, from + 1);
    const wanted = dried[after - 1]! + (from - turns[after - 1]!) * this.rateAt(after - 1) + waitMs;
    const turn = firstNotBelow(dried, wanted);
    if (turn > last) return turns[last]! + wanted - dried[last]!;
    return turns[turn - 1]! + (wanted - dried[turn - 1]!) / this.rateAt(turn - 1);
  }

  /** The shortest a wait can be, whenever it begins, ms. */
  leastMs(waitMs: number): number {
    const { day, night } = this.rates;
    const [quick, slow, quickMs] = day >= night ? [day, night, MS_PER_DAY - NIGHT_MS] : [night, day, NIGHT_MS];
    const days = Math.floor(waitMs / MS_PER_DAY);
    const rest = waitMs - days * MS_PER_DAY;
    const inQuick = rest / quick;
    const ordinary = days * MS_PER_DAY + (inQuick <= quickMs ? inQuick : quickMs + (rest - quickMs * quick) / slow);
    return Math.max(waitMs / quick, ordinary - CLOCK_CHANGE_MS);
  }
}

/** Makes the clock of each way of drying in a room, once. */
export type ClockOf = (by: DryingBy | undefined, room: Room | undefined) => DryingClock | null;

/**
 * Clocks of drying for what is dated from one day on.
 *
 * @param careful as a careful painter waits
 * @param start instant, ms
 * @param timeZone day and night are told by its clocks, IANA name
 * @returns null for a room whose nights are as its days, and for what no room hurries
 */
export function clocksFrom(start: number, timeZone: string, careful: boolean): ClockOf {
  const clocks = new Map<string, DryingClock | null>();
  return (by, room) => {
    if (by === undefined || !room?.night) return null;
    const key = JSON.stringify([by, room]);
    const before = clocks.get(key);
    if (before !== undefined) return before;
    const rates = dayNightRates(by, room, careful);
    const clock = rates && new DryingClock(rates, turnsAround(dateOf(start, timeZone), timeZone));
    clocks.set(key, clock);
    return clock;
  };
}

/** When a wait is over, by a clock where there is one. */
export function waitedFrom(end: number, waitMs: number, clock: DryingClock | null): number {
  return clock ? clock.readyAt(end, waitMs) : end + waitMs;
}
