/** A small part of what `npm run attack` does in every room: what a notebook meets beside its painter, in a room drawn by a seed. */
import { afterAll, beforeAll, expect, test } from "@jest/globals";
import { chromium } from "playwright-core";
import type { Browser } from "playwright-core";
import * as hardships from "../reliability/hardships";
import { URL_BASE } from "./bench";

const SEED = 20261201;

let browser: Browser;
beforeAll(async () => {
  browser = await chromium.connect(process.env.NOOK_COAT_BROWSER!);
});
afterAll(() => browser.close());

test.each(Object.entries(hardships))("%s: nothing of it is lost, and no page fails", async (_name, hardship) => {
  expect(await hardship(browser, URL_BASE, SEED, 1)).toEqual([]);
});
