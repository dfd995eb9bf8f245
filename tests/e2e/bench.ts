/** A painter at the real screens: opens pages, watches what the browser complains about. */
import { afterAll, afterEach, beforeAll, expect } from "@jest/globals";
import AxeBuilder from "@axe-core/playwright";
import { spawn } from "node:child_process";
import { chromium } from "playwright-core";
import type { Browser, BrowserContext, Page } from "playwright-core";

import { NOW, PATIENCE_MS, ZONE } from "../instant";

export { bytesOf, contentOf } from "../reliability/hands";

export const URL_BASE = process.env.NOOK_COAT_URL!;

/** What many walks begin with. */
export const DOTTED_PEBBLE = { material: "Smooth pebble", uses: ["Picked up and handled"], techniques: ["Dots"] };

let browser: Browser;
const contexts: BrowserContext[] = [];
/** What ends what a test has begun beside the pages, should the test not come to it. */
const leftovers: (() => Promise<void>)[] = [];
const complaints: string[] = [];

/** Every page of every test is watched: no error, no warning, no violation of the security policy. */
export function watchEveryPage(): void {
  beforeAll(async () => {
    browser = await chromium.connect(process.env.NOOK_COAT_BROWSER!);
  });
  afterEach(async () => {
    await Promise.all(contexts.splice(0).map((context) => context.close()));
    await endLeftovers();
    const said = complaints.splice(0);
    expect(said).toEqual([]);
  });
  afterAll(async () => {
    await browser.close();
  });
}

/** Something a test has begun is ended after it, whatever becomes of the test: what goes on running would keep the runner from its end. */
export function endedAfterTest<T extends { readonly stop: () => Promise<void> }>(begun: T): T {
  leftovers.push(begun.stop);
  return begun;
}

/** Ends all that was begun and is running still. */
export async function endLeftovers(): Promise<void> {
  await Promise.all(leftovers.splice(0).map((stop) => stop()));
}

/** What a browser says that is told to keep no copy of the app. */
const BLOCKED = "Service Worker registration blocked by Playwright";

function watch(page: Page): Page {
  page.setDefaultTimeout(PATIENCE_MS);
  page.on("console", (message) => {
    if (message.text() === BLOCKED) return;
    if (message.type() === "error" || message.type() === "warning") complaints.push(`${message.type()}: ${message.text()}`);
  });
  page.on("pageerror", (error) => complaints.push(`page error: ${error.message}`));
  return page;
}

/** Complaints a test expects any number of (a server it took away). */
export function allowComplaints(pattern: RegExp): void {
  for (const one of complaints.splice(0)) if (!pattern.test(one)) complaints.push(one);
}

/** Complaints a test expects (a 404 it asked for). */
export function expectComplaint(pattern: RegExp): void {
  const at = complaints.findIndex((one) => pattern.test(one));
  expect(at).toBeGreaterThanOrEqual(0);
  complaints.splice(at, 1);
}

/** The browser may keep a copy of the app; elsewhere it does not, for to fetch it takes longer than many a walk. */
export const WITH_OWN_COPY = { serviceWorkers: "allow" } as const;

type NotebookOptions = Parameters<Browser["newContext"]>[0] & {
  /** What its clock stands at, ms. */
  readonly at?: number;
};

/** A notebook never used, in a browser whose clock stands. */
export async function newNotebook({ at = NOW, ...options }: NotebookOptions = {}): Promise<{ context: BrowserContext; page: Page }> {
  const context = await browser.newContext({
    locale: "en-GB",
    viewport: { width: 1280, height: 800 },
    acceptDownloads: true,
    serviceWorkers: "block",
    // What moves is looked at where it is meant; elsewhere it only takes time.
    reducedMotion: "reduce",
    timezoneId: ZONE,
    ...options,
  });
  await context.clock.setFixedTime(at);
  contexts.push(context);
  return { context, page: watch(await context.newPage()) };
}

export async function secondTab(context: BrowserContext, url: string): Promise<Page> {
  const page = watch(await context.newPage());
  await page.goto(url);
  await planReady(page);
  return page;
}

/** The clock goes on; the pages that come back into sight look at it. */
export async function goOn(pages: readonly Page[], to: number): Promise<void> {
  await pages[0]!.context().clock.setFixedTime(to);
  for (const page of pages) await page.evaluate(() => window.dispatchEvent(new Event("focus")));
}

/** Opens a page and waits until it answers to hands, not only to eyes. */
export async function open(page: Page, path: string): Promise<void> {
  await page.goto(`${URL_BASE}${path}`);
  await page.waitForLoadState("networkidle");
}

export async function planReady(page: Page): Promise<void> {
  await page.locator('[aria-busy="false"]').waitFor();
  await page
    .getByRole("status")
    .filter({ hasText: /Plan ready|No plan/ })
    .waitFor({ state: "attached" });
}

/** Waits until all that was asked is written. */
export async function allSaved(page: Page): Promise<void> {
  await page.locator('[data-saved="yes"]').waitFor();
}

/** A new piece from its three facts, to its plan. */
export async function plan(page: Page, facts: { material: string; uses: readonly string[]; techniques?: readonly string[] }): Promise<void> {
  await open(page, "/pieces/new");
  await page.getByRole("radio", { name: facts.material }).click();
  for (const use of facts.uses) await page.getByLabel(use, { exact: true }).check();
  for (const technique of facts.techniques ?? []) await page.getByRole("checkbox", { name: technique, exact: true }).click();
  await page.getByRole("button", { name: "Make the coat plan" }).click();
  await page.waitForURL(/\/pieces\/[0-9a-z]{16}/);
  await planReady(page);
}

/** Opens the choices of a part of the piece's sentences, by what it is called: "What it is for". */
export async function openFact(page: Page, fact: string): Promise<void> {
  await page
    .getByRole("complementary", { name: "What you know of it" })
    .getByRole("button", { name: new RegExp(`^${fact}: `) })
    .click();
}

/** Removes the piece that is open. */
export async function removePiece(page: Page): Promise<void> {
  await page.getByRole("button", { name: "More to do with this piece" }).click();
  await page.getByRole("button", { name: "Remove this piece" }).click();
}

/** Picks one from a list that opens. */
export async function choose(page: Page, label: string, name: string | RegExp): Promise<void> {
  await page.getByRole("combobox", { name: new RegExp(`^${label}`) }).click();
  await page.getByRole("option", typeof name === "string" ? { name, exact: true } : { name }).click();
}

/** Goes to another room of the same piece. */
export async function toRoom(page: Page, name: "Plan" | "Dates" | "Other ways" | "Marking out" | "Mixing" | "Bench sheet" | "Care card"): Promise<void> {
  await page.getByRole("navigation", { name: "This piece" }).getByRole("link", { name }).click();
}

/** A server of a test's own, so that it can be taken away. */
export async function ownServer({ host = "127.0.0.1", env = {} }: { host?: string; env?: Record<string, string> } = {}): Promise<{
  url: string;
  stop: () => Promise<void>;
}> {
  const child = spawn(process.execPath, ["server/run.mjs"], {
    env: { ...process.env, PORT: "0", HOST: host, NOOK_COAT_LEAVE_WITH_PARENT: "1", ...env },
    stdio: ["ignore", "pipe", "inherit"],
  });
  const gone = new Promise<void>((resolve) => child.once("exit", () => resolve()));
  const stop = async () => {
    child.kill("SIGKILL");
    await gone;
  };
  leftovers.push(stop);
  const url = await new Promise<string>((resolve, reject) => {
    child.stdout.on("data", (chunk) => {
      const found = /http\S+/.exec(String(chunk))?.[0];
      if (found) resolve(found);
    });
    void gone.then(() => reject(new Error("the server did not start")));
  });
  return { url, stop };
}

/** Waits until the page would open without its server. */
export async function keptForOffline(page: Page): Promise<void> {
  await page.evaluate(async () => {
    const { active } = await navigator.serviceWorker.ready;
    await new Promise<void>((resolve) => {
      const look = () => active?.state === "activated" && navigator.serviceWorker.controller && resolve();
      active?.addEventListener("statechange", look);
      navigator.serviceWorker.addEventListener("controllerchange", look);
      look();
    });
  });
}

/** From here on a page is a wide one, px. */
const WIDE_PX = 640;

export async function axeClean(page: Page): Promise<void> {
  // Only violations are wanted: what passes is not gathered node by node. No page here has frames, so that none is opened to gather what they say.
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode(true)
    .options({ resultTypes: ["violations"] })
    // Colours are the same at every width, and their contrast is what takes longest: it is looked at on the wide pages.
    .disableRules((page.viewportSize()?.width ?? WIDE_PX) < WIDE_PX ? ["color-contrast"] : [])
    .analyze();
  expect(violations.map((one) => `${one.id}: ${one.nodes.map((node) => node.target.join(" ")).join(", ")}`)).toEqual([]);
}

/** The titles of the steps shown, in order. */
export async function stepTitles(page: Page): Promise<readonly string[]> {
  return (await page.locator("ol h4").allInnerTexts()).map((text) => text.replace(/^\d+\s*/, "").trim());
}

/** From now on the page's browser has no room for anything more. */
export async function fillDisk(page: Page): Promise<void> {
  await page.evaluate(() => {
    const put = IDBObjectStore.prototype.put;
    const full = { is: true };
    Object.assign(window, { full });
    IDBObjectStore.prototype.put = function (...given) {
      if (full.is) throw new DOMException("no room", "QuotaExceededError");
      return put.apply(this, given);
    };
  });
}

/** There is room again on a disk that was filled. */
export async function freeDisk(page: Page): Promise<void> {
  await page.evaluate(() => Object.assign((window as unknown as { full: { is: boolean } }).full, { is: false }));
}

/** Moves a step one place up in the order, by keys, from its handle. */
export async function moveUpByKeys(page: Page, start: string, past: RegExp): Promise<void> {
  await page
    .getByRole("button", { name: new RegExp(`^Move step \\d+: ${start}`) })
    .first()
    .focus();
  await page.keyboard.press("Space");
  await page.getByText(/^Taken up: step/).waitFor({ state: "attached" });
  await page.keyboard.press("ArrowUp");
  await page.getByText(past).waitFor({ state: "attached" });
  await page.keyboard.press("Space");
}

/** A wide page and a phone. */
export const WIDTHS = [
  ["1280 px", { viewport: { width: 1280, height: 800 } }],
  ["390 px", { viewport: { width: 390, height: 800 } }],
] as const;

/** Opens a look of a room. */
export const showLook = (page: Page, name: string): Promise<void> => page.getByRole("tab", { name, exact: true }).click();

/** Nothing runs out of the window at its side. */
export const pageFits = (page: Page): Promise<boolean> => page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth);
