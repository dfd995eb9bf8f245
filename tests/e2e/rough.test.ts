/** A few of what `npm run attack` does by the hundred. */
import { afterAll, beforeAll, expect, test } from "@jest/globals";
import { chromium } from "playwright-core";
import type { Browser } from "playwright-core";
import { battered } from "../reliability/battered";
import { kills } from "../reliability/kills";
import { walk } from "../reliability/monkey";
import { endLeftovers, ownServer, URL_BASE } from "./bench";

let browser: Browser;
let demo: Awaited<ReturnType<typeof ownServer>>;
beforeAll(async () => {
  browser = await chromium.connect(process.env.NOOK_COAT_BROWSER!);
  demo = await ownServer({ env: { NOOK_COAT_DEMO: "1" } });
});
afterAll(async () => {
  await browser.close();
  await endLeftovers();
});

test("a hand that does anything for twenty acts leaves a page that stands and a file that comes back", async () =>
  expect(await walk(browser, demo.url, 20261126)).toEqual([]));

test("of a damaged file every page of what is let in stands, and goes out again as a sound file", async () =>
  expect(await battered(browser, URL_BASE, 1, 20261126)).toEqual([]));

test("a browser killed twice while it writes: what was said to be saved is there, and nothing is half written", async () => {
  const [executable, ...args] = JSON.parse(process.env.NOOK_COAT_CHROMIUM!) as [string, ...string[]];
  const { faults, saved } = await kills(executable, args, URL_BASE, 2, 20261126);
  expect(faults).toEqual([]);
  expect(saved).toBeGreaterThanOrEqual(2);
});
