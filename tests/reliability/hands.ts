/** Hands in the real app: what the walks, the kills and the damaged files need of a page. */
import type { Browser, BrowserContext, Download, Page } from "playwright-core";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { readNotebook } from "#core/formats/notebook-file";
import type { Bundle } from "#core/formats/write-bundle";
import { NOW, PATIENCE_MS, ZONE } from "../instant";

/** A browser's notebook whose clock stands, and whose disk is its own. */
export async function freshContext(browser: Browser): Promise<BrowserContext> {
  const context = await browser.newContext({ locale: "en-GB", acceptDownloads: true, timezoneId: ZONE });
  await context.clock.setFixedTime(NOW);
  return context;
}

/**
 * What the router says of itself where an answer about a page that was left comes in after the next page: it draws again at once, and the page stands. That
 * it stands is looked at after every act.
 */
const ROUTER_OVERTAKEN = /Could not find a matching route for errors/;

/** Collects what a page complains of, and what a painter must never see. */
export function watched(page: Page): string[] {
  const faults: string[] = [];
  page.setDefaultTimeout(PATIENCE_MS);
  page.on("pageerror", (error) => faults.push(`page error: ${error.message}`));
  page.on("console", (message) => {
    if (message.type() === "error" && !ROUTER_OVERTAKEN.test(message.text()))
      faults.push(`console, on ${page.url()}: ${message.text()} ${message.location().url}`);
  });
  return faults;
}

/** Waits until nothing is being worked out and all that was asked is written, what a page that is gone has left with it. */
export async function still(page: Page): Promise<void> {
  await page.waitForFunction(() => !Object.keys(localStorage).some((key) => key.startsWith("nook-coat-ask/")));
  await page.locator('[data-saved="yes"]').waitFor();
  await page.waitForFunction(() => !document.querySelector('[aria-busy="true"]'));
}

/** What is wrong with a page as a whole: its frame is gone, or its room could not be shown. */
export async function wrongWith(page: Page, at: string): Promise<readonly string[]> {
  // A page that is being loaded anew has none for a moment.
  const frame = await page
    .locator("header a[href='/']")
    .first()
    .waitFor({ state: "attached" })
    .then(
      () => 1,
      () => 0,
    );
  const failed = await page.getByText(/could not be shown|did not come through|planner (stopped|took longer)/).allInnerTexts();
  return [...(frame === 1 ? [] : [`${at}: the frame is gone`]), ...failed.map((text) => `${at}: ${text}`)];
}

/** A file the user saved. */
export async function bytesOf(download: Download): Promise<Buffer> {
  const chunks: Buffer[] = [];
  for await (const chunk of await download.createReadStream()) chunks.push(chunk as Buffer);
  return Buffer.concat(chunks);
}

/** The text of a file the user saved. */
export async function contentOf(download: Download): Promise<string> {
  return (await bytesOf(download)).toString("utf8");
}

/** Saves the notebook to a file. */
export async function fileOf(page: Page, url: string): Promise<Buffer> {
  await page.goto(`${url}/settings`);
  const [download] = await Promise.all([page.waitForEvent("download"), page.getByRole("button", { name: "Save the notebook" }).click()]);
  return bytesOf(download);
}

/** Brings a file in. @returns what the app says of it */
export async function bringIn(page: Page, url: string, file: string | Buffer): Promise<string> {
  await page.goto(`${url}/settings`);
  await page.getByLabel("Notebook file").setInputFiles({ name: "notebook", mimeType: "application/octet-stream", buffer: Buffer.from(file) });
  const status = page
    .getByRole("status")
    .filter({ hasText: /brought in|up to date|already here|new here|left as here|taken away there|not taken|could not be (written|done)/ });
  await status.waitFor();
  return status.innerText();
}

/** A file of the app's own, read again. @returns its records, or what is wrong with it */
export function readOwn(file: Uint8Array): Bundle | string {
  const read = readNotebook(file, CATALOGUE);
  if (!read.ok) return `its own file is refused: ${read.problem.message} (at ${read.problem.path})`;
  const [bad] = read.value.aside;
  if (bad) return `its own file has ${bad.name} set aside: ${bad.problem.message} (at ${bad.problem.path})`;
  return read.value.altered ? "its own file is told to be altered" : read.value.bundle;
}
