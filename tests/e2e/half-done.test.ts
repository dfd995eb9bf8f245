/** In the middle of the work: what is on stays on, whatever is changed; what is asked quickly is all done; a planner that stops starts again. */
import { describe, expect, test } from "@jest/globals";
import type { Page } from "playwright-core";
import { allowComplaints, axeClean, newNotebook, open, openFact, plan, planReady, toRoom, watchEveryPage } from "./bench";

watchEveryPage();

const band = (page: Page, name: RegExp) => page.getByRole("button", { name }).first();

/** Opens a band and marks its next coat as done. */
async function done(page: Page, name: RegExp): Promise<void> {
  await band(page, name).click();
  const panel = page.locator("[data-panel]");
  await panel.getByRole("button", { name: /^Mark as done/ }).click();
  const [undo, anyway] = [panel.getByRole("button", { name: /^Not done after all/ }), page.getByRole("button", { name: "It is laid already: note it" })];
  await undo.or(anyway).first().waitFor();
  // Over what is wet still it is asked about first.
  if (await anyway.isVisible()) await anyway.click();
  await undo.waitFor();
}

describe("a half-painted stone", () => {
  test("another colour, another use and another way leave on it what is on it, and ask for none of it again", async () => {
    const { page } = await newNotebook();
    await plan(page, { material: "Smooth pebble", uses: ["On show indoors"], techniques: ["Dots"] });
    const address = page.url();
    await openFact(page, "Base colour");
    await page.getByLabel("Base colour all over").check();
    await band(page, /^Step \d+, Top: Base colour/).waitFor();
    await page.getByLabel("Base", { exact: true }).fill("#1f3a4d");
    await page.keyboard.press("Escape");
    await page.getByRole("status").filter({ hasText: "Plan ready" }).waitFor({ state: "attached" });
    await done(page, /^Step \d+, Top: (Wash|Wipe)/);
    await done(page, /^Step \d+, Top: Prime/);
    await done(page, /^Step \d+, Top: Base colour/);
    const primed = band(page, /^(Step \d+|On it already), Top: Prime.*(done|wet)/);
    await primed.waitFor();

    await openFact(page, "Base colour");
    await page.getByLabel("Base", { exact: true }).fill("#b0413e");
    await page.keyboard.press("Escape");
    const bases = page.getByRole("button", { name: /^(Step \d+|On it already), Top: Base colour/ });
    await page.waitForFunction(
      () =>
        [...document.querySelectorAll('[role="button"], button')].filter((one) =>
          /^(Step \d+|On it already), Top: Base colour/.test(one.getAttribute("aria-label") ?? ""),
        ).length === 2,
    );
    await primed.waitFor();
    expect(await bases.first().getAttribute("aria-label")).toMatch(/done|wet/);

    await openFact(page, "What it is for");
    await page.getByLabel("Picked up and handled").check();
    await page.keyboard.press("Escape");
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
    await openFact(page, "Decoration");
    const group = page.getByRole("group", { name: "Decoration" });
    const names = ["Dots", "Bands", "Lettering", "Stencil", "Swipes"];
    for (const name of names) await group.getByRole("checkbox", { name, exact: true }).click();
    for (const name of names) expect(await group.getByRole("checkbox", { name, exact: true }).isChecked()).toBe(true);
    await page.getByRole("button", { name: /^Take back the change to/ }).waitFor();
    await page.waitForFunction(() => document.querySelector('[aria-busy="true"]') === null);
    await page.reload();
    await planReady(page);
    await openFact(page, "Decoration");
    for (const name of names) expect(await group.getByRole("checkbox", { name, exact: true }).isChecked()).toBe(true);
    expect(await page.getByText("Another tab changed the same thing").count()).toBe(0);
  });
});

describe("a planner that stops", () => {
  test("says so in its room, the rest of the house stands, and it starts again when it is tried again", async () => {
    const { page } = await newNotebook();
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
    allowComplaints(/Failed to load resource|ERR_FAILED|planner stopped/);
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
  await open(page, "/pieces");
});

test.each([
  { width: 1280, height: 800 },
  { width: 390, height: 800 },
])("what she has done, in her words, is judged, put on the piece, and gone on from; what she has in mind becomes her plan: %o", async (viewport) => {
  const { page } = await newNotebook({ viewport });
  await plan(page, { material: "Smooth pebble", uses: ["Outdoors, in sun and rain"], techniques: ["Dots"] });
  await toRoom(page, "Other ways");
  const words = page.getByLabel("In your words, step by step");
  await words.fill("two coats of navy craft acrylic, resin, sang to the cat");
  await page.getByRole("button", { name: "Check it" }).click();
  await page.locator('[data-code="resin-in-sun"]').waitFor();
  await page.getByText("Not understood, and left out: “sang to the cat”").waitFor();
  await axeClean(page);
  await page.reload();
  await page.locator('[data-code="resin-in-sun"]').waitFor();
  await words.fill("gesso yesterday, two coats of navy craft acrylic mixed with a little white");
  await page.getByRole("button", { name: "Check it" }).click();
  const understood = page.getByRole("list", { name: "What was understood" });
  await understood.getByText("yesterday").waitFor();
  await understood.getByText(/mixed from navy and a little white, about .*blue/).waitFor();
  await page.locator('[data-code="resin-in-sun"]').waitFor({ state: "detached" });
  await page.getByRole("button", { name: /^It is on the piece already/ }).click();
  await page.waitForURL(/\/pieces\/[0-9a-z]{16}$/);
  await band(page, /^(Step \d+|On it already), Top: Prime.*done/).waitFor();
  await band(page, /^(Step \d+|On it already), Top: Base colour.*done/).waitFor();
  expect(await page.getByRole("button", { name: /^Mark as done: Prime/ }).count()).toBe(0);

  await plan(page, { material: "Terracotta", uses: ["On show indoors"] });
  await toRoom(page, "Other ways");
  await page.getByRole("button", { name: /^gesso, two coats of craft acrylic, dots, two coats/ }).click();
  await page.getByRole("button", { name: "Check it" }).click();
  await page.getByRole("button", { name: "Make it my plan" }).click();
  await page.waitForURL(/\/pieces\/[0-9a-z]{16}$/);
  await page.getByText(/changes? of yours (is|are) in this plan/).waitFor();
  await page.locator("ol h4").filter({ hasText: "Dots:" }).waitFor();
});
