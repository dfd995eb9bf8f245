/** In the middle of the work: what is on stays on, whatever is changed; what is asked quickly is all done; a planner that stops starts again. */
import { describe, expect, test } from "@jest/globals";
import type { Page } from "playwright-core";
import { allowComplaints, axeClean, newNotebook, open, plan, planReady, toRoom, watchEveryPage } from "./bench";

watchEveryPage();

const band = (page: Page, name: RegExp) => page.getByRole("button", { name }).first();

/** Opens a band and marks its next coat as done. */
async function done(page: Page, name: RegExp): Promise<void> {
  await band(page, name).click();
  const panel = page.locator("[data-panel]");
  await panel.getByRole("button", { name: /^Mark as done/ }).click();
  await panel.getByRole("button", { name: /^Not done after all/ }).waitFor();
}

describe("a half-painted stone", () => {
  test("another colour, another use and another way leave on it what is on it, and ask for none of it again", async () => {
    const { page } = await newNotebook();
    await plan(page, { material: "Smooth pebble", uses: ["On show indoors"], techniques: ["Dots"] });
    const address = page.url();
    await page.getByLabel("Base colour all over").check();
    await band(page, /^Step \d+, Top: Base colour/).waitFor();
    await page.getByLabel("Base", { exact: true }).fill("#1f3a4d");
    await page.getByLabel("Base", { exact: true }).blur();
    await page.getByRole("status").filter({ hasText: "Plan ready" }).waitFor({ state: "attached" });
    await done(page, /^Step \d+, Top: (Wash|Wipe)/);
    await done(page, /^Step \d+, Top: Prime/);
    await done(page, /^Step \d+, Top: Base colour/);
    const primed = band(page, /^(Step \d+|On it already), Top: Prime.*(done|wet)/);
    await primed.waitFor();

    await page.getByLabel("Base", { exact: true }).fill("#b0413e");
    await page.getByLabel("Base", { exact: true }).blur();
    const bases = page.getByRole("button", { name: /^(Step \d+|On it already), Top: Base colour/ });
    await page.waitForFunction(
      () =>
        [...document.querySelectorAll('[role="button"], button')].filter((one) =>
          /^(Step \d+|On it already), Top: Base colour/.test(one.getAttribute("aria-label") ?? ""),
        ).length === 2,
    );
    await primed.waitFor();
    expect(await bases.first().getAttribute("aria-label")).toMatch(/done|wet/);

    await page.getByLabel("Picked up and handled").check();
    await page.getByRole("status").filter({ hasText: "Plan ready" }).waitFor({ state: "attached" });
    await primed.waitFor();
    expect(await page.getByRole("button", { name: /^Step \d+, Top: (Wash|Wipe) [^,]*may be done now/ }).count()).toBe(0);

    await toRoom(page, "Other ways");
    await page.getByText("Each goes on from what is on the piece already.").waitFor();
    await axeClean(page);
    await page.getByRole("radio").last().click();
    await page.locator('[role="radio"][aria-checked="true"]').waitFor();
    await page.goto(address);
    await planReady(page);
    await primed.waitFor();
    expect(await page.getByRole("button", { name: /^Mark as done: Prime/ }).count()).toBe(0);
    await axeClean(page);
  });
});

describe("hands that are quicker than the page", () => {
  test("five things ticked in a row are five things saved, in the order they were ticked", async () => {
    const { page } = await newNotebook();
    await plan(page, { material: "Hardwood", uses: ["On show indoors"] });
    const group = page.getByRole("group", { name: "Decoration" });
    const names = ["Dots", "Bands", "Lettering", "Stencil", "Swipes"];
    for (const name of names) await group.getByRole("checkbox", { name, exact: true }).click();
    for (const name of names) expect(await group.getByRole("checkbox", { name, exact: true }).isChecked()).toBe(true);
    await page.getByRole("button", { name: /^Take back the change to/ }).waitFor();
    await page.waitForFunction(() => document.querySelector('[aria-busy="true"]') === null);
    await page.reload();
    await planReady(page);
    for (const name of names) expect(await group.getByRole("checkbox", { name, exact: true }).isChecked()).toBe(true);
    expect(await page.getByText("Another tab changed the same thing").count()).toBe(0);
  });
});

describe("a planner that stops", () => {
  test("says so in its room, the rest of the house stands, and it starts again when it is tried again", async () => {
    const { page } = await newNotebook({ serviceWorkers: "block" });
    await plan(page, { material: "Glass", uses: ["On show indoors"], techniques: ["Dots"] });
    const address = page.url();
    await page.route(/plan\.worker/, (route) => route.abort());
    await page.goto(address);
    await page.getByText("the planner stopped in the middle of its work").waitFor();
    await page.getByRole("link", { name: "Settings" }).waitFor();
    await axeClean(page);
    await page.unroute(/plan\.worker/);
    await page.getByRole("button", { name: "Try again" }).click();
    await planReady(page);
    await page.getByRole("heading", { name: "Sound all round" }).waitFor();
    allowComplaints(/Failed to load resource|ERR_FAILED|planner stopped|Service Worker registration blocked/);
  });
});

test("Back finds the plan as it was left: the opened step is open still", async () => {
  const { page } = await newNotebook();
  await plan(page, { material: "Terracotta", uses: ["A planter with wet soil"], techniques: ["Dots"] });
  await band(page, /^Step \d+, .*: Seal/).click();
  const panel = page.locator("[data-panel] h3");
  const opened = await panel.innerText();
  await toRoom(page, "Bench sheet");
  await page.getByRole("heading", { name: "Have ready" }).waitFor();
  await page.goBack();
  await planReady(page);
  expect(await panel.innerText()).toBe(opened);
  await open(page, "/");
});
