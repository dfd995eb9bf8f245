/** Hands of the walks through the logbook. */
import type { Page } from "playwright-core";
import { contentOf } from "./bench";

/** Presses the first button of a name. */
export const press = (page: Page, name: string | RegExp) => page.getByRole("button", { name, exact: true }).first().click();
/** Waits for a heading. */
export const heading = (page: Page, name: string | RegExp) => page.getByRole("heading", { name }).first().waitFor();

/** Types into a box and leaves it. */
export async function fill(page: Page, label: string | RegExp, text: string): Promise<void> {
  const box = page.getByLabel(label).first();
  await box.fill(text);
  await box.blur();
}

/** What a button saves to a file. */
export async function saved(page: Page, button: string | RegExp): Promise<string> {
  const [file] = await Promise.all([page.waitForEvent("download"), press(page, button)]);
  return contentOf(file);
}
