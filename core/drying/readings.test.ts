/** A room from its readings, a thermo-hygrometer that is made up, and files of either. */
import { describe, expect, test } from "@jest/globals";
import { readReadingsCsv } from "../formats/readings-csv";
import { evaporationFactor } from "./air";
import { roomOfReadings, thinned, roomTaken } from "./readings";
import type { Reading } from "./readings";
import { simulatedThermohygrometer } from "./simulated-thermohygrometer";

const START = Date.parse("2026-11-30T00:00:00Z");
const HOUR_MS = 3_600_000;
const hourOf = (at: number) => new Date(at).getUTCHours();
const ROOM = { dayC: 17, nightC: 11, relativeHumidity: 0.7 };
async function readAll(more: object = {}, hours = 72): Promise<readonly Reading[]> {
  const meter = simulatedThermohygrometer(7, START, { ...ROOM, ...more });
  const all = await Promise.all(Array.from({ length: hours * 4 }, (_unused, k) => meter.read(START + (k * HOUR_MS) / 4)));
  return all.flatMap((one) => one ?? []);
}
const rateIn = (air: { temperatureC: number; relativeHumidity: number }) => {
  const factor = evaporationFactor({ ...air, airflow: "still" });
  return factor ? 1 / Math.sqrt(factor.fast * factor.slow) : 0;
};

describe("a room from its readings", () => {
  test("the steady air dries as fast as the measured one on the whole; a damp night holds up more than a mean would say", async () => {
    const readings = await readAll({ noiseC: 0 });
    const room = roomOfReadings(readings, hourOf);
    const whole = readings.reduce((sum, one) => sum + rateIn(one), 0) / readings.length;
    expect(rateIn(room.steady)).toBeCloseTo(whole, 6);
    expect(room.day!.temperatureC).toBeGreaterThan(room.night!.temperatureC + 2);
    expect(room.night!.relativeHumidity).toBeGreaterThan(room.day!.relativeHumidity);
    expect(room).toMatchObject({ readings: 288, stalled: 0, longestGapMin: 15 });
  });

  test("of one steady air it is that air, and one in which nothing dries is told", () => {
    const steady = roomOfReadings([{ at: START, temperatureC: 15, relativeHumidity: 0.6 }], hourOf);
    expect(steady.steady.temperatureC).toBe(15);
    expect(steady.steady.relativeHumidity).toBeCloseTo(0.6, 6);
    expect(steady.day).toBeNull();
    expect(roomOfReadings([{ at: START, temperatureC: 8, relativeHumidity: 1 }], hourOf).stalled).toBe(1);
  });
});

test("thinned for the eye: each the mean of its stretch, and no more than asked", async () => {
  const readings = await readAll({ noiseC: 0 });
  const few = thinned(readings, 50);
  expect(few.length).toBeLessThanOrEqual(50);
  expect(few[0]!.temperatureC).toBeCloseTo(readings.slice(0, 6).reduce((sum, one) => sum + one.temperatureC, 0) / 6, 9);
  expect(thinned(readings, 1000)).toEqual(readings);
});

test("taken as a room, readings keep their days and nights where these differ, else their steady air", () => {
  const air = (temperatureC: number, relativeHumidity: number) => ({ temperatureC, relativeHumidity });
  expect(roomTaken({ day: air(18.1, 0.552), night: air(10.2, 0.81), steady: air(15, 0.66) })).toEqual({
    ...air(18, 0.55),
    airflow: "still",
    night: air(10, 0.81),
  });
  for (const night of [null, air(17.6, 0.56)])
    expect(roomTaken({ day: air(18.1, 0.55), night, steady: air(17.9, 0.554) })).toEqual({ ...air(18, 0.55), airflow: "still" });
});

describe("a thermo-hygrometer that is made up", () => {
  test("reads the same for the same seed, leaves readings out, and drifts", async () => {
    expect(await readAll()).toEqual(await readAll());
    const some = await readAll({ dropouts: 0.25 });
    expect(some.length / 288).toBeGreaterThan(0.6);
    expect(some.length / 288).toBeLessThan(0.9);
    const [true_, drifted] = [await readAll({ noiseC: 0 }), await readAll({ noiseC: 0, driftC: 1 })];
    expect(drifted.at(-1)!.temperatureC - true_.at(-1)!.temperatureC).toBeCloseTo(3, 1);
    // Noise is about nothing on the whole.
    const noisy = await readAll({ noiseC: 0.5 }, 240);
    const clean = await readAll({ noiseC: 0 }, 240);
    const off = noisy.reduce((sum, one, k) => sum + one.temperatureC - clean[k]!.temperatureC, 0) / noisy.length;
    expect(Math.abs(off)).toBeLessThan(0.1);
  });
});

describe("readings in a file", () => {
  const read = (text: string) => readReadingsCsv(text, "Europe/London");

  test("commas, semicolons with decimal commas, units in the header, zones, readings that did not come", () => {
    const one = read("time,temperature,humidity\n2026-11-30 19:05,12.5,75\n2026-11-30 19:10,,\n2026-11-30T19:15:00Z,12,76\n");
    expect(one).toMatchObject({
      ok: true,
      value: [{ at: Date.parse("2026-11-30T19:05:00Z"), temperatureC: 12.5, relativeHumidity: 0.75 }, { temperatureC: 12 }],
    });
    const other = read("\uFEFFTimestamp;Temp (°C);RH [%]\r\n2026-07-01 19:05;21,5;55\r\n");
    expect(other).toMatchObject({ ok: true, value: [{ at: Date.parse("2026-07-01T18:05:00Z"), temperatureC: 21.5, relativeHumidity: 0.55 }] });
  });

  test.each([
    ["no such column", "time,temperature\n2026-11-30 19:05,12\n", "line 1", /humidity/],
    ["a time that is none", "time,temperature,humidity\nlater,12,50\n", "line 2, time", /later/],
    ["a temperature in another unit", "time,temperature,humidity\n2026-11-30 19:05,71,50\n", "line 2, temperature", /71/],
    ["a humidity over all there is", "time,temperature,humidity\n2026-11-30 19:05,12,50\n2026-11-30 19:10,12,500\n", "line 3, humidity", /500/],
    ["nothing at all", "time,temperature,humidity\n", "line 2", /no reading/],
    ["an empty file", "", "line 1", /column/],
  ])("%s is told by its line", (_what, text, path, message) => {
    const answer = read(text);
    if (answer.ok) throw new Error("it was taken");
    expect(answer.problem.path).toBe(path);
    expect(answer.problem.message).toMatch(message);
  });
});
