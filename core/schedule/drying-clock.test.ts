/** Waits in a room whose nights are not as its days, against the same minute by minute. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { edge, EVENINGS, HOUR, piece, START, task, workOf } from "../../tests/reference/made-up-tables";
import { NIGHT } from "../drying/day-night";
import { roomFactor } from "../drying/room-factor";
import type { DryingBy } from "../drying/room-factor";
import type { Room } from "../piece/piece";
import { clocksFrom } from "./drying-clock";
import { instantOf, MS_PER_MIN } from "./free-hours";
import { scheduleAll } from "./together/schedule-all";

const DAY_MIN = 24 * HOUR;
const COOL: Room = { temperatureC: 18, relativeHumidity: 0.55, airflow: "still", night: { temperatureC: 9, relativeHumidity: 0.85 } };
const DEAD_NIGHT: Room = { ...COOL, night: { temperatureC: 8, relativeHumidity: 1 } };
const clock = (room: Room, by: DryingBy = "evaporation", zone = "UTC", careful = false) => clocksFrom(START, zone, careful)(by, room)!;
const at = (time: string, date = "2026-12-02", zone = "UTC") => instantOf(date, time, zone);

/** Dried minute by minute, at the rate of the hour on the wall. */
function minuteByMinute(room: Room, by: DryingBy, zone: string, from: number, waitMin: number, careful: boolean): number {
  const hour = new Intl.DateTimeFormat("en-GB", { timeZone: zone, hour: "2-digit", hourCycle: "h23" });
  const { night, ...day } = room;
  const rate = (of: Room) => {
    const factor = roomFactor(by, of);
    return factor ? 1 / (careful ? factor.slow : factor.fast) : 0;
  };
  const [byDay, byNight] = [rate(day), rate({ ...night!, airflow: room.airflow })];
  const nightHours = 24 - NIGHT.from + NIGHT.to;
  const mean = (byDay * (24 - nightHours) + byNight * nightHours) / 24;
  let dried = 0;
  let now = from;
  for (; dried < waitMin; now += MS_PER_MIN) {
    const here = Number(hour.format(now));
    dried += (here >= NIGHT.from || here < NIGHT.to ? byNight : byDay) / mean;
  }
  return now;
}

describe("a wait in a room with cold nights", () => {
  test("takes less begun in the morning and more begun in the evening; over whole days it is as long as the plan tells", () => {
    const { readyAt } = { readyAt: (from: number, min: number) => (clock(COOL).readyAt(from, min * MS_PER_MIN) - from) / MS_PER_MIN };
    const [morning, evening] = [readyAt(at("08:00"), 6 * HOUR), readyAt(at("21:00"), 6 * HOUR)];
    expect(morning).toBeLessThan(6 * HOUR);
    expect(evening).toBeGreaterThan(1.5 * morning);
    for (const time of ["03:00", "08:00", "21:30"]) expect(readyAt(at(time), 3 * DAY_MIN)).toBeCloseTo(3 * DAY_MIN, 3);
  });

  test("where nothing dries by night it stands still until the morning", () => {
    const begun = at("21:30");
    const ready = clock(DEAD_NIGHT).readyAt(begun, 2 * HOUR * MS_PER_MIN);
    expect(ready).toBeGreaterThan(at("07:00", "2026-12-03"));
    expect(clock(DEAD_NIGHT).readyAt(at("23:00"), MS_PER_MIN)).toBe(clock(DEAD_NIGHT).readyAt(at("02:00", "2026-12-03"), MS_PER_MIN));
  });

  test("is what the same comes to minute by minute, over the change of the clocks too, and never sooner for a later begin", () => {
    const ask = fc.record({
      room: fc.constantFrom(COOL, DEAD_NIGHT, { ...COOL, temperatureC: 12, night: { temperatureC: 16, relativeHumidity: 0.5 } }),
      by: fc.constantFrom<DryingBy>("evaporation", "oxidation", "solvent", "reaction"),
      zone: fc.constantFrom("Europe/London", "America/New_York", "Asia/Kolkata"),
      // London's clocks go on in the night to 28 March 2027.
      from: fc.integer({ min: 0, max: 9 * DAY_MIN }).map((min) => Date.parse("2027-03-22T00:00:00Z") + min * MS_PER_MIN),
      wait: fc.integer({ min: 1, max: 4 * DAY_MIN }),
      later: fc.integer({ min: 0, max: DAY_MIN }),
      careful: fc.boolean(),
    });
    fc.assert(
      fc.property(ask, ({ room, by, zone, from, wait, later, careful }) => {
        const one = clock(room, by, zone, careful);
        const ready = one.readyAt(from, wait * MS_PER_MIN);
        expect(Math.abs(ready - minuteByMinute(room, by, zone, from, wait, careful))).toBeLessThanOrEqual(3 * MS_PER_MIN);
        expect(one.readyAt(from + later * MS_PER_MIN, wait * MS_PER_MIN)).toBeGreaterThanOrEqual(ready - 1);
        expect(one.leastMs(wait * MS_PER_MIN)).toBeLessThanOrEqual(ready - from + 1);
      }),
      { numRuns: Number(process.env.RUNS ?? 25) },
    );
  });
});

test("the table goes by the hour: what is laid on a cold evening is not touched before its wait is over, and no bound is above", () => {
  const by = "evaporation" as const;
  const coats = {
    ...workOf([task("base", 20), task("dots", 20, [edge("base", 9 * HOUR, { by })]), task("seal", 20, [edge("dots", 20 * HOUR, { by })])]),
    room: COOL,
  };
  const pieces = Array.from({ length: 5 }, (_unused, k) => piece(`p${k}`, coats));
  const { sittings, network, handle, bound } = scheduleAll({ pieces, hours: EVENINGS, start: START })!;
  const stints = sittings.flatMap((one) => one.stints).map((one) => ({ ...one, node: network.nodes[one.node]! }));
  for (const one of stints)
    for (const { task: before, typicalMin } of one.node.task.after) {
      const { to } = stints.find(({ node }) => node.piece === one.node.piece && node.task.id === before)!;
      expect(one.from).toBeGreaterThanOrEqual(minuteByMinute(COOL, by, EVENINGS.timeZone, to, typicalMin, false) - 3 * MS_PER_MIN);
    }
  expect(bound.at).toBeLessThanOrEqual(Math.max(...handle) + 1);
});
