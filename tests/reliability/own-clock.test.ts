/** Tests have their own clock: it stands, nothing in a test reads another, and instants are drawn of every kind. */
import { expect, jest, test } from "@jest/globals";
import { ESLint } from "eslint";
import { sayClock } from "~/components/time-words";
import { drawInstants, sayInstant } from "../draw-instants";
import { NOW } from "../instant";

const DAY_MS = 86_400_000;
const offset = (at: number, timeZone: string) => new Date(at).toLocaleString("en-GB", { timeZone, timeZoneName: "longOffset" }).split(" ").at(-1);

test("the clock of a unit test stands where all tests have it, and goes on by hand alone", () => {
  // Read by the app: what is said of an instant by the clock of the day on which it is said.
  expect(sayClock(NOW)).toMatch(/^\d/);
  expect(sayClock(NOW + DAY_MS)).toMatch(/^tomorrow /);
  jest.setSystemTime(NOW + DAY_MS);
  expect(sayClock(NOW + DAY_MS)).toMatch(/^\d/);
});

const eslint = new ESLint();

test.each([
  ["Date.now();", "core/units/x.test.ts"],
  ["export const now = new Date();", "tests/e2e/x.test.ts"],
  ["performance.now();", "app/x.test.tsx"],
  ["await browser.newContext({});", "tests/reliability/x.ts"],
  ["await page.waitForTimeout(100);", "tests/e2e/x.test.ts"],
  ["export const now = new Date();", "core/units/x.ts"],
  ["Date.now();", "app/workers/x.worker.ts"],
])("%s is not taken in %s", async (text, filePath) => {
  const found = async (code: string) => (await eslint.lintText(code, { filePath }))[0]!.messages.map(({ ruleId }) => ruleId);
  expect(await found(text)).toContainEqual(expect.stringMatching(/^no-restricted-(syntax|properties)$/));
  expect(await found("export const day = new Date(0);")).toEqual([]);
});

test("of five instants each is of another kind; all are told by their own clocks, and the same seed draws the same", () => {
  for (let seed = 0; seed < 8; seed += 1) {
    const drawn = drawInstants(seed, 5);
    expect(new Set(drawn.map(({ kind }) => kind)).size).toBe(5);
    expect(drawInstants(seed, 5)).toEqual(drawn);
    for (const one of drawn) {
      const title = sayInstant(one);
      if (one.kind === "weekend") expect(title).toMatch(/^(Sat|Sun) /);
      if (one.kind === "weekday") expect(title).toMatch(/^(Mon|Tue|Wed|Thu|Fri) /);
      if (one.kind === "year's end") expect(title).toMatch(/-12-31 |-01-01 /);
      if (one.kind === "clock change") expect(offset(one.at - DAY_MS, one.zone)).not.toBe(offset(one.at + DAY_MS, one.zone));
    }
  }
});
