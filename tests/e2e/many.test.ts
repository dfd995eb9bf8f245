/** Many pieces: copied, in sets, put away, looked through; and ways of working of her own that go from one to the next. */
import { describe, expect, test } from "@jest/globals";
import { allSaved, axeClean, choose, contentOf, DOTTED_PEBBLE, newNotebook, open, plan, planReady, stepTitles, toRoom, watchEveryPage } from "./bench";

watchEveryPage();

/** What marks an act as done on more than one of a set: on how many, and what it is. */
const TOGETHER = /^Mark as done on (?:all )?(\d)(?: of \d)?: (.*)$/;

describe("many of them", () => {
  test("another like it, a set made together, put away and out again; found by letters, ordered by when they are needed", async () => {
    const { page } = await newNotebook();
    await plan(page, DOTTED_PEBBLE);
    const more = async () => page.getByRole("button", { name: "More to do with this piece" }).click();
    const putInSet = async (set: string) => {
      await more();
      await page.getByLabel("Made together with others, as the set").fill(set);
      await page.getByRole("button", { name: "Put it in the set" }).click();
      await allSaved(page);
    };
    await putInSet("Terrace");
    await more();
    await axeClean(page);
    await page.getByRole("button", { name: "Another piece like it" }).click();
    await page.waitForFunction(() => document.title.includes("(another)"));
    await planReady(page);
    await page.getByLabel("Name of the piece").fill("Twin stone");
    await page.getByLabel("Name of the piece").press("Enter");
    await toRoom(page, "Dates");
    await page.getByLabel("Needed on", { exact: true }).fill("2031-05-01");
    await allSaved(page);
    await plan(page, { material: "Terracotta", uses: ["On show indoors"], techniques: ["Dots"] });
    await putInSet("Terrace");
    await more();
    await page.getByRole("button", { name: "Put it away" }).click();
    await allSaved(page);
    await open(page, "/pieces");
    const names = page.locator("main li .font-display");
    await page.getByText("2 of 3 pieces").waitFor();
    expect(await names.allInnerTexts()).toEqual(["Smooth pebble with dots", "Twin stone"]);
    await choose(page, "In order of", "when they are needed");
    await page.waitForFunction(() => document.querySelector("main li .font-display")?.textContent === "Twin stone");
    await page.getByLabel("Look for").fill("twin");
    await page.getByText("1 of 3 pieces").waitFor();
    await page.reload();
    await page.getByText("1 of 3 pieces").waitFor();
    await page.getByLabel("Look for").fill("");
    await choose(page, "Show", "put away");
    await page
      .locator("main li .font-display")
      .getByText(/Terracotta/)
      .click();
    await planReady(page);
    await more();
    await page.getByRole("button", { name: "Bring it out again" }).click();
    await allSaved(page);
    await open(page, "/pieces");
    await choose(page, "Set", "Terrace");
    await page.getByRole("link", { name: /^Make “Terrace” together/ }).click();
    const work = page.getByRole("list", { name: "The work on the set, in its order" });
    const primed = work.getByRole("listitem").filter({ has: page.getByRole("heading", { name: /Wash and scrub/ }) });
    await primed.first().waitFor();
    for (const name of ["Smooth pebble with dots", "Twin stone"]) await primed.first().getByRole("link", { name }).waitFor();
    const button = work.getByRole("button", { name: TOGETHER }).first();
    const name = (await button.getAttribute("aria-label"))!;
    const [, pieces, title] = TOGETHER.exec(name)!;
    const row = work.getByRole("listitem").filter({ has: page.getByRole("heading", { name: title! }) });
    await button.click();
    await row
      .getByText("done: ")
      .nth(Number(pieces) - 1)
      .waitFor({ state: "attached" });
    await axeClean(page);
    await page.keyboard.press("Control+z");
    await work.getByRole("button", { name, exact: true }).waitFor();
    expect(await row.getByText("done: ").count()).toBe(0);
    await page.setViewportSize({ width: 390, height: 800 });
    expect(await page.evaluate(() => document.documentElement.scrollWidth <= innerWidth)).toBe(true);
    await open(page, "/pieces");
    await page.getByRole("button", { name: "Choose several" }).click();
    await page.getByRole("checkbox", { name: "Choose Twin stone" }).check();
    await page.getByRole("checkbox", { name: /^Choose Terracotta/ }).check();
    await axeClean(page);
    await page.getByLabel("Made together, as the set").fill("For the windows");
    await page.getByRole("button", { name: "Put them in the set" }).click();
    await allSaved(page);
    await page.goto("about:blank");
    await open(page, "/sets/For%20the%20windows");
    for (const name of [/Twin stone/, /Terracotta/]) await page.locator("main ul .chip").filter({ hasText: name }).waitFor();
    await open(page, "/pieces");
    await page.getByText("Look through them").click();
    await page.getByLabel("Look for").fill("terracotta");
    await page.getByText("1 of 3 pieces").waitFor();
    await axeClean(page);
  });

  test("a plan kept as a way of her own is done on another piece, goes out as a file and comes in again; what is no way is refused", async () => {
    const { page } = await newNotebook();
    await plan(page, { material: "Terracotta", uses: ["On show indoors"], techniques: ["Dots"] });
    await page
      .getByRole("button", { name: /^Leave out: Prime/ })
      .first()
      .click();
    await page
      .getByText("1 change of yours is in this plan.")
      .or(page.getByText(/changes of yours are in this plan/))
      .first()
      .waitFor();
    await toRoom(page, "Other ways");
    await page.getByLabel("Keep the plan you follow as a way of your own").fill("Bare dots");
    await page.getByRole("button", { name: "Keep it" }).click();
    await page.getByRole("textbox", { name: "Name of the way Bare dots" }).waitFor();
    await page.getByRole("img", { name: "Coats by Bare dots" }).waitFor();
    await axeClean(page);
    const [file] = await Promise.all([page.waitForEvent("download"), page.getByRole("button", { name: "Save Bare dots as a file" }).click()]);
    const text = await contentOf(file);
    await plan(page, { material: "Hardwood", uses: ["On show indoors"] });
    await toRoom(page, "Other ways");
    await page.getByRole("img", { name: "Coats by Bare dots" }).waitFor();
    await page.getByRole("button", { name: "Do it by Bare dots" }).click();
    await page.waitForURL(/\/pieces\/[0-9a-z]+$/);
    await page.getByText(/changes? of yours (is|are) in this plan/).waitFor();
    const titles = await stepTitles(page);
    expect([titles.some((title) => title.startsWith("Dots")), titles.some((title) => title.startsWith("Prime"))]).toEqual([true, false]);
    await toRoom(page, "Other ways");
    await page.getByRole("button", { name: "Let go of Bare dots" }).click();
    await page.getByRole("textbox", { name: "Name of the way Bare dots" }).waitFor({ state: "detached" });
    const takeIn = (content: string) =>
      page.getByLabel("A way of working from a file").setInputFiles({ name: "way.json", mimeType: "application/json", buffer: Buffer.from(content) });
    await takeIn(text.replace('"terracotta"', '"moonstone"'));
    await page.getByText("Nothing was taken in: ").waitFor();
    await takeIn(text);
    await page.getByRole("textbox", { name: "Name of the way Bare dots" }).waitFor();
    expect(await page.getByText("Nothing was taken in: ").count()).toBe(0);
  });
});
