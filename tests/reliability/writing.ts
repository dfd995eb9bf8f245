/** A hand that writes into every field of a page, and looks for what it wrote. */
import type { Page } from "playwright-core";
import { fileOf } from "./hands";

/** Fields for words, not for numbers, a search or a choice. */
const WORDS = "main input[type=text]:not([inputmode]):not([role]), main input:not([type]):not([inputmode]):not([role]), main textarea";

/**
 * Writes into every field for words of a page, each another.
 *
 * @returns what stands there and is not told to make no sense, as words for a day or a weight
 */
export async function writeInAll(page: Page, mark: string): Promise<readonly string[]> {
  const written = new Set<string>();
  const fields = page.locator(WORDS);
  // A row that is renamed may go to another place: it is not written in again.
  for (let at = 0; at < (await fields.count()); at += 1) {
    const field = fields.nth(at);
    if (!(await field.isVisible()) || !(await field.isEditable()) || (await field.inputValue()).startsWith(mark)) continue;
    const text = `${mark}${at}`;
    await field.fill(text);
    written.add(text);
  }
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  const odd = await page.locator('[aria-invalid="true"]').evaluateAll((all) => all.map((one) => (one as HTMLInputElement).value));
  return [...written].filter((text) => !odd.includes(text));
}

/** What stands in the fields for words of a page. */
export const valuesIn = (page: Page) => page.evaluate((fields) => [...document.querySelectorAll(fields)].map((one) => (one as HTMLInputElement).value), WORDS);

/** What was written and stands neither on the page nor in the notebook's file. */
export async function lostOf(page: Page, url: string, written: readonly string[]): Promise<readonly string[]> {
  const there = await valuesIn(page);
  const file = (await fileOf(page, url)).toString("utf8");
  return written.filter((text) => !there.includes(text) && !file.includes(text));
}
