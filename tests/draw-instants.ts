/** Instants the walks are tried at: any weekday, hour and zone, the ends of months and years, the nights on which clocks change. */
import { dateOf, dayLater, instantOf, weekdayOf } from "#core/schedule/free-hours";
import { numbersFrom } from "#core/units/seeded";

export interface DrawnInstant {
  /** What it was drawn for. */
  readonly kind: (typeof KINDS)[number];
  /** Instant, ms. */
  readonly at: number;
  /** IANA name. */
  readonly zone: string;
}

const KINDS = ["weekday", "clock change", "month's end", "weekend", "year's end"] as const;
/** Zones of which some change their clocks in one half of the year, some in the other, one by half an hour, some never. */
const ZONES = [
  "Europe/London",
  "America/New_York",
  "Asia/Kolkata",
  "Pacific/Auckland",
  "America/St_Johns",
  "Australia/Lord_Howe",
  "Asia/Tokyo",
  "America/Los_Angeles",
  "Pacific/Kiritimati",
] as const;
const FIRST_DAY = "2026-12-01";
/** Over four years, so that one has a 29 February. */
const DAYS = 1461;

const midnight = (date: string, zone: string) => instantOf(date, "00:00", zone);
const DAY_MS = 86_400_000;

/** Whether a day is longer or shorter than others. */
const changesClocks = (date: string, zone: string) => midnight(dayLater(date, 1), zone) - midnight(date, zone) !== DAY_MS;

const IS: Readonly<Record<DrawnInstant["kind"], (date: string, zone: string) => boolean>> = {
  weekday: (date) => weekdayOf(date) < 5,
  weekend: (date) => weekdayOf(date) >= 5,
  "month's end": (date) => dayLater(date, 1).endsWith("-01"),
  "year's end": (date) => /-12-31$|-01-01$/.test(date),
  "clock change": changesClocks,
};

/**
 * Draws instants; of five that follow one another each is of another kind.
 *
 * @param seed any whole number; the same draws the same
 */
export function drawInstants(seed: number, count: number): readonly DrawnInstant[] {
  const random = numbersFrom(seed);
  const pick = (many: number) => Math.floor(random() * many);
  return Array.from({ length: count }, (_unused, index): DrawnInstant => {
    const kind = KINDS[(index + seed) % KINDS.length]!;
    for (;;) {
      const zone = ZONES[pick(ZONES.length)]!;
      const first = dayLater(FIRST_DAY, pick(DAYS));
      // The next such day from there on, within a year.
      const date = Array.from({ length: 366 }, (_day, later) => dayLater(first, later)).find((day) => IS[kind](day, zone));
      if (date === undefined) continue;
      // Clocks change in the night: that is where it is looked.
      const hour = kind === "clock change" ? pick(4) : pick(24);
      const time = `${String(hour).padStart(2, "0")}:${String(pick(60)).padStart(2, "0")}`;
      return { kind, at: instantOf(date, time, zone), zone };
    }
  });
}

/** An instant by its weekday and its own clocks, for a title or a table: "Sun 2027-03-28 01:30 Europe/London". */
export function sayInstant({ at, zone }: Pick<DrawnInstant, "at" | "zone">): string {
  const weekday = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"][weekdayOf(dateOf(at, zone))]!;
  const time = new Date(at).toLocaleTimeString("en-GB", { timeZone: zone, hour: "2-digit", minute: "2-digit" });
  return `${weekday} ${dateOf(at, zone)} ${time} ${zone}`;
}
