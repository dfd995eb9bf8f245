/** The plan under her hands on a phone: everything at 390 px is reached, and nothing runs out of the window. */
import { expect, test } from "@jest/globals";
import type { Page } from "playwright-core";
import { allSaved, axeClean, choose, DOTTED_PEBBLE, moveUpByKeys, newNotebook, openFact, plan, planReady, toRoom, watchEveryPage } from "./bench";

watchEveryPage();

const fits = (page: Page) => page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth);

test("at 390 px a fact is said, a step goes elsewhere by keys and is done another way, and a version of the plan is had back", async () => {
  const { page } = await newNotebook({ viewport: { width: 390, height: 800 } });
  await plan(page, DOTTED_PEBBLE);
  for (const name of [/^Take back/, "Find or do"]) expect(await page.getByRole("button", { name }).isVisible()).toBe(true);
  await openFact(page, "Finish");
  await page.getByRole("radio", { name: "Gloss" }).click();
  await page.getByRole("dialog").getByRole("button", { name: "Close: Finish" }).click();
  await page.getByRole("button", { name: "Finish: Gloss in the end", exact: true }).waitFor();
  await planReady(page);
  await moveUpByKeys(page, "Base colour", /stands where step \d+/);
  await page.getByText("1 change of yours is in this plan.").waitFor();
  await page
    .getByRole("button", { name: /^Step \d+, .*: Dots/ })
    .first()
    .click();
  const panel = page.locator("[data-panel]");
  await panel.getByRole("heading", { name: /Dots/ }).waitFor();
  await panel.getByText("Do it another way").click();
  await choose(page, "How it is decorated", "Stencil");
  await panel.getByRole("heading", { name: /Stencil: / }).waitFor();
  await axeClean(page);
  expect(await fits(page)).toBe(true);
  await page.getByText("What was changed, and when").click();
  const versions = page.getByRole("list", { name: "Versions of this plan" });
  await versions.getByText(/: finish/).waitFor();
  await versions.getByRole("button", { name: /^Bring back the plan of .*: as it was first/ }).click();
  await page.getByRole("button", { name: "Finish: Satin in the end, taken as usual" }).waitFor();
  await allSaved(page);
});

test("at 390 px two ways stand one under the other, and a way is kept and done", async () => {
  const { page } = await newNotebook({ viewport: { width: 390, height: 800 } });
  await plan(page, { material: "Terracotta", uses: ["On show indoors"], techniques: ["Dots"] });
  await toRoom(page, "Other ways");
  await choose(page, "Compare yours with", "With an isolation coat");
  await page
    .getByText(/only here/)
    .first()
    .waitFor();
  await page.getByLabel("Keep the plan you follow as a way of your own").fill("Dots of the house");
  await page.getByRole("button", { name: "Keep it" }).click();
  await page.getByRole("img", { name: "Coats by Dots of the house" }).waitFor();
  await axeClean(page);
  expect(await fits(page)).toBe(true);
  await page.getByRole("button", { name: "Do it by Dots of the house" }).click();
  await page.waitForURL(/\/pieces\/[0-9a-z]+$/);
  await planReady(page);
  expect(await fits(page)).toBe(true);
});
