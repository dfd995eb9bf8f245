/** The page holds still, and what has the focus is seen. */
import { expect, test } from "@jest/globals";
import type { Page } from "playwright-core";
import { newNotebook, open, ownServer, plan, planReady, watchEveryPage } from "./bench";

watchEveryPage();

/** As much of the window as may move without being asked to; a quarter of it is a page that jumps. */
const STILL = 0.05;

/** Sums up what moves by itself from the first paint on. */
async function watchShifts(page: Page): Promise<() => Promise<number>> {
  await page.addInitScript(() => {
    const seen = window as unknown as { shifted: number };
    seen.shifted = 0;
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries() as unknown as readonly { value: number; hadRecentInput: boolean }[])
        if (!entry.hadRecentInput) seen.shifted += entry.value;
    }).observe({ type: "layout-shift", buffered: true });
  });
  return () => page.evaluate(() => (window as unknown as { shifted: number }).shifted);
}

test.each([1280, 390])("at %d px nothing moves by itself while the Bench, the list and a piece are opened for the first time", async (width) => {
  const server = await ownServer({ env: { NOOK_COAT_DEMO: "1" } });
  const { page } = await newNotebook({ viewport: { width, height: 800 }, reducedMotion: "no-preference" });
  const shifted = await watchShifts(page);
  await page.goto(server.url);
  await page.locator("[data-bench] [data-now]").waitFor();
  expect(await shifted()).toBeLessThan(STILL);
  await page.goto(`${server.url}/pieces`);
  await page.getByText("All coats on, hardening").first().waitFor();
  await page.getByText("Working out the coats…").first().waitFor({ state: "detached" });
  expect(await shifted()).toBeLessThan(STILL);
  await page.goto(`${server.url}/pieces/ternpoint002`);
  await planReady(page);
  await page.getByText("dating it…").waitFor({ state: "detached" });
  expect(await shifted()).toBeLessThan(STILL);
  await page.goto("about:blank");
  await server.stop();
});

/** Labels of what has the focus on the way through a page and is covered or out of the window, as far as so many stops. */
async function unseen(page: Page, stops: number): Promise<readonly string[]> {
  const found: string[] = [];
  for (let stop = 0; stop < stops; stop += 1) {
    await page.keyboard.press("Tab");
    const hidden = await page.evaluate(() => {
      const at = document.activeElement!;
      const { x, y, width, height, bottom } = at.getBoundingClientRect();
      const over = document.elementFromPoint(x + width / 2, Math.min(bottom - 3, y + height / 2));
      const seen = over !== null && (at.contains(over) || over.contains(at));
      return at === document.body || seen ? null : (at.getAttribute("aria-label") ?? at.textContent);
    });
    if (hidden !== null) found.push(hidden);
  }
  return found;
}

test("the keyboard goes to the parts of a page at once, sees where it is, and the plan comes first where it is seen first", async () => {
  const { page } = await newNotebook({ viewport: { width: 390, height: 700 }, reducedMotion: "no-preference" });
  await open(page, "/pieces/new");
  expect(await unseen(page, 70)).toEqual([]);
  await plan(page, { material: "Terracotta", uses: ["A planter with wet soil"] });
  const follows = () => page.evaluate(() => !!(document.getElementById("plan")!.compareDocumentPosition(document.getElementById("facts")!) & 4));
  expect(await follows()).toBe(true);
  await page.getByRole("link", { name: "Settings" }).focus();
  for (const key of ["Control+k", "?"]) {
    await page.keyboard.press(key);
    await page.getByRole("dialog").waitFor();
    await page.keyboard.press("Escape");
    await page.waitForFunction(() => document.activeElement?.textContent === "Settings");
  }
  await page.reload();
  await planReady(page);
  await page.keyboard.press("Tab");
  await page.keyboard.press("Tab");
  await page.keyboard.press("Enter");
  expect(await page.evaluate(() => document.activeElement?.id)).toBe("plan");
  // The title of a step far down brings what is said of it into view.
  const title = page.locator("ol h4 button").last();
  await title.click();
  const panel = page.locator("[data-panel]:focus");
  await panel.waitFor();
  expect(await panel.getByRole("heading").first().innerText()).toContain((await title.innerText()).replace(/^\d+\s*/, ""));
  const { y } = (await panel.boundingBox())!;
  expect([y >= 0, y < 350]).toEqual([true, true]);
});
