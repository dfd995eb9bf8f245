/** The plan that is followed: in two tabs, with own drops and coats, with what is kept and what is on it already. */
import { describe, expect, test } from "@jest/globals";
import { allSaved, axeClean, choose, newNotebook, openFact, plan, planReady, secondTab, stepTitles, toRoom, watchEveryPage } from "./bench";

watchEveryPage();

describe("two tabs", () => {
  test("different fields: both survive", async () => {
    const { context, page } = await newNotebook();
    await plan(page, { material: "Smooth pebble", uses: ["On show indoors"] });
    const other = await secondTab(context, page.url());
    await page.getByLabel("Length").fill("123");
    await other.getByLabel("Name of the piece").fill("Harbour stone");
    await other.getByLabel("Name of the piece").press("Enter");
    // What the other tab did arrives while the user is typing.
    await page.waitForFunction(() => (document.querySelector('[aria-label="Name of the piece"]') as HTMLInputElement).value === "Harbour stone");
    await page.getByLabel("Length").press("Enter");
    await other.waitForFunction(() => [...document.querySelectorAll("input")].some((input) => input.value === "123"));
    await page.reload();
    await planReady(page);
    expect([await page.getByLabel("Length").inputValue(), await page.getByLabel("Name of the piece").inputValue()]).toEqual(["123", "Harbour stone"]);
  });

  test("the same field: the second is told, and decides", async () => {
    const { context, page } = await newNotebook();
    await plan(page, { material: "Smooth pebble", uses: ["On show indoors"] });
    const other = await secondTab(context, page.url());
    // Both hands are in the field before either types.
    await page.getByLabel("Length").focus();
    await other.getByLabel("Length").fill("222");
    await other.getByLabel("Length").press("Enter");
    await allSaved(other);
    await page.getByLabel("Length").fill("111");
    await page.getByLabel("Length").press("Enter");
    await page.getByText("Another tab changed the same thing").waitFor();
    await other.reload();
    await planReady(other);
    expect(await other.getByLabel("Length").inputValue()).toBe("222");
    await page.getByRole("button", { name: "Save mine" }).click();
    await page.getByText("Another tab changed the same thing").waitFor({ state: "detached" });
    await page.reload();
    await planReady(page);
    expect(await page.getByLabel("Length").inputValue()).toBe("111");
  });
});

describe("one act, thinned as usual, followed when a fact changes", () => {
  test("a coat of the whole piece is one line, done all over or in one place; drops are hers, and a new use keeps them", async () => {
    const { page } = await newNotebook();
    await plan(page, { material: "Smooth pebble", uses: ["A gift, or for sale"], techniques: ["Dots"] });
    await openFact(page, "Base colour");
    await page.getByLabel("Base colour all over").check();
    await page.keyboard.press("Escape");
    await page
      .getByText(/All over$/)
      .first()
      .waitFor();
    const panel = page.locator("[data-panel]");
    const titles = await stepTitles(page);
    expect(titles.filter((title) => title.startsWith("Prime"))).toHaveLength(1);
    const dots = titles.findIndex((title) => title.startsWith("Dots"));
    expect(dots).toBeGreaterThan(titles.findIndex((title) => title.startsWith("Base colour")));
    await page
      .getByText(/drops? of water to a thumbnail of paint/)
      .first()
      .waitFor();
    await page
      .getByRole("button", { name: /^Step \d+, .*: Base colour/ })
      .first()
      .click();
    await choose(page, "Thin it with", /^fluid medium/);
    await page
      .getByText(/drops? of fluid medium to a thumbnail of paint/)
      .first()
      .waitFor();
    await choose(page, "Thin it with", "water");
    await panel.getByText(/drops? of water to a thumbnail/).waitFor();
    // Quicker than the plan comes back: every press counts.
    for (let drop = 0; drop < 7; drop += 1)
      await page
        .getByRole("button", { name: /^A drop thinner: Base colour/ })
        .first()
        .click();
    await page.locator('[data-code="over-thinned"]').first().waitFor();
    await openFact(page, "What it is for");
    await page.getByLabel("Outdoors, in sun and rain").check();
    await page.keyboard.press("Escape");
    const changed = page.getByRole("region", { name: "What has changed" });
    await changed.waitFor();
    await axeClean(page);
    await changed.getByRole("button", { name: "Keep it so" }).click();
    await changed.waitFor({ state: "detached" });
    await page.getByText(/changes? of yours (is|are) in this plan\./).waitFor();
    await page
      .getByRole("button", { name: /^Step \d+, .*: Prime/ })
      .first()
      .click();
    await panel.getByRole("button", { name: /^Mark as done only on the top/ }).click();
    await panel.getByRole("button", { name: /^Not done after all/ }).waitFor();
    await panel.getByRole("button", { name: /^Mark as done: / }).click();
    await panel.getByRole("button", { name: /^Mark as done/ }).waitFor({ state: "detached" });
  });
});

describe("what the user keeps, and what is on it already", () => {
  test("a step is kept, the rest is spoilt and made right around it; a kept step in the way is named and let go", async () => {
    const { page } = await newNotebook();
    await plan(page, { material: "Smooth pebble", uses: ["Outdoors, in sun and rain"], techniques: ["Dots"] });
    const step = (name: RegExp) => page.getByRole("button", { name }).first();
    await step(/^Step \d+, Top: Base colour/).click();
    await page.getByRole("button", { name: "Keep this step as it is" }).click();
    await page.getByText(/You keep: Base colour/).waitFor();
    await page.getByRole("button", { name: "Make the rest right" }).click();
    await page.getByText("The rest goes with it: nothing to change.").waitFor();
    await step(/^Leave out: Seal/).click();
    await page
      .getByText(/Likely fault/)
      .first()
      .waitFor();
    await axeClean(page);
    await page.getByRole("button", { name: "Make the rest right" }).click();
    await step(/^Step \d+, Top: Seal/).waitFor();
    await page.waitForFunction(() => !document.querySelector('[data-code="unsealed-wear"]'));
    await page.reload();
    await planReady(page);
    await page.getByText(/You keep: Base colour/).waitFor();
  });

  test("ways tell what they win; what is on it already is not done again", async () => {
    const { page } = await newNotebook();
    await plan(page, { material: "Smooth pebble", uses: ["Outdoors, in sun and rain"], techniques: ["Dots"] });
    await toRoom(page, "Other ways");
    await page
      .getByText(/^Against yours: /)
      .first()
      .waitFor();
    await toRoom(page, "Plan");
    await openFact(page, "What was on it before");
    await page.getByRole("button", { name: "It already has a coat on" }).click();
    await choose(page, "What it is", "Primer");
    await choose(page, "Of what", "Gesso");
    await page.getByRole("button", { name: "Put it down" }).click();
    await page.getByText("Top: gesso, 1 coat").waitFor();
    await page
      .getByRole("button", { name: /^On it already, Top: Prime.*done/ })
      .first()
      .waitFor();
    expect(await page.getByRole("button", { name: /^Mark as done: Prime.*Top/ }).count()).toBe(0);
    await axeClean(page);
    await page.getByRole("button", { name: "Not on it after all: Top: gesso, 1 coat" }).click();
    await page.getByText("Top: gesso, 1 coat").waitFor({ state: "detached" });
  });
});
