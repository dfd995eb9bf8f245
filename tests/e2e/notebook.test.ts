/** The notebook at work: dates, paper, undo, side by side, the evening, the palette, no server, Tern Point. */
import { describe, expect, test } from "@jest/globals";
import { format } from "date-fns";
import { extractText } from "unpdf";
import { dayFrom, nextAt } from "../instant";
import {
  allowComplaints,
  axeClean,
  choose,
  DOTTED_PEBBLE,
  keptForOffline,
  newNotebook,
  open,
  openFact,
  ownServer,
  plan,
  planReady,
  removePiece,
  toRoom,
  watchEveryPage,
  WITH_OWN_COPY,
} from "./bench";

watchEveryPage();

describe("from three facts to a dated, printed plan", () => {
  test("a start, a day it is needed, the sittings in between; then paper with the steps on it", async () => {
    // A Tuesday noon, with an evening free on the day after.
    const noon = nextAt(1, "12:00");
    const { page } = await newNotebook({ at: noon });
    const day = (days: number, pattern: string) => format(new Date(`${dayFrom(noon, days)}T12:00`), pattern);
    await plan(page, DOTTED_PEBBLE);
    await toRoom(page, "Dates");
    await page.getByLabel("Start on", { exact: true }).fill(dayFrom(noon, 1));
    await page.getByText(day(1, "d MMMM"), { exact: true }).waitFor();
    const first = page.getByRole("region", { name: "Dates" }).locator("ol > li").first();
    expect(await first.innerText()).toMatch(/Tomorrow|tomorrow/);
    expect(await first.innerText()).toMatch(/19:00–19:\d\d/);
    await page.getByLabel("Needed on", { exact: true }).fill(dayFrom(noon, 97));
    await page.getByText(/Begin by .* at the latest, and it is fully hard in time/).waitFor();
    await page.getByLabel("Needed on", { exact: true }).fill(dayFrom(noon, 14));
    await page.getByText(/It cannot be fully hard by then\. Begin by/).waitFor();
    await page.getByLabel("Needed on", { exact: true }).fill(dayFrom(noon, 2));
    await page.getByText(/It cannot be ready by then with your free hours/).waitFor();
    await axeClean(page);
    await page.reload();
    await page.getByText(day(1, "d MMMM"), { exact: true }).waitFor();
    expect(await page.getByLabel("Start on", { exact: true }).inputValue()).toBe(day(1, "EEE d MMM yyyy"));
    await toRoom(page, "Bench sheet");
    await page.getByRole("heading", { name: "Have ready" }).waitFor();
    await axeClean(page);
    const sheet = await extractText(new Uint8Array(await page.pdf()), { mergePages: true });
    expect(sheet.text).toMatch(/Prime: one coat of gesso/);
    expect(sheet.text).toMatch(/Wait 1–\d days/);
    expect(sheet.text).toMatch(/dotting tools/);
    expect(sheet.text).not.toMatch(/squeeze bottle/);
    expect(sheet.text).not.toMatch(/Settings|Other ways/);
    await toRoom(page, "Care card");
    await page.getByText(/fully hard from/).waitFor();
    await axeClean(page);
    const card = await extractText(new Uint8Array(await page.pdf()), { mergePages: true });
    expect(card.text).toMatch(/How to keep it[\s\S]*barely damp cloth[\s\S]*fully hard from \d+ \w+ 20\d\d/);
  });

  test("free hours are the user's: none at all is said, a day away is kept free", async () => {
    const { page } = await newNotebook();
    await plan(page, DOTTED_PEBBLE);
    const address = page.url();
    await open(page, "/settings");
    for (const day of ["Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday"]) {
      await page.getByRole("button", { name: new RegExp(`^${day}: not `) }).click();
      await page.getByRole("button", { name: new RegExp(`^${day}: not `) }).waitFor({ state: "detached" });
    }
    await page.goto(address);
    await planReady(page);
    await toRoom(page, "Dates");
    await page.getByText("You have no free hour in the settings").waitFor();
  });
});

describe("taking back", () => {
  test("a change, a plan, a removal: each is taken back and done again, by button and by key", async () => {
    const { page } = await newNotebook();
    await plan(page, DOTTED_PEBBLE);
    await openFact(page, "How many there are");
    await page.getByLabel("How many", { exact: true }).fill("0");
    await page.getByText("a whole number from 1 to 1000").waitFor();
    await page.getByLabel("How many", { exact: true }).fill("57");
    await page.keyboard.press("Escape");
    await page.getByText("; 57 of them").waitFor();
    await page.locator("#page").focus();
    await page.keyboard.press("Control+z");
    await page.getByText("; 57 of them").waitFor({ state: "detached" });
    await page.keyboard.press("Control+Shift+Z");
    await page.getByText("; 57 of them").waitFor();
    await removePiece(page);
    await page.getByRole("heading", { name: "What have you got in your hand?" }).waitFor();
    await page.getByRole("button", { name: "Take back removing Smooth pebble with dots" }).click();
    await page.locator("main li").getByText("Smooth pebble with dots").waitFor();
    expect(await page.locator("[data-voice]").innerText()).toMatch(/Taken back: removing Smooth pebble with dots/);
    await page.getByRole("button", { name: "Do again removing Smooth pebble with dots" }).click();
    await page.getByRole("heading", { name: "What have you got in your hand?" }).waitFor();
  });
});

describe("choosing", () => {
  test("two ways side by side: what differs is marked in words", async () => {
    const { page } = await newNotebook();
    await plan(page, DOTTED_PEBBLE);
    await toRoom(page, "Other ways");
    await choose(page, "Compare yours with", "With an isolation coat");
    await page.getByRole("img", { name: "Coats: With an isolation coat" }).waitFor();
    await page.getByRole("region", { name: "Cut through: With an isolation coat" }).getByText("· Acrylic varnish").first().waitFor();
    await page
      .getByRole("cell", { name: /^At the bench: / })
      .first()
      .waitFor();
    const only = page.locator("td", { hasText: "only here" });
    await only.first().waitFor();
    expect(await only.allInnerTexts()).toEqual([expect.stringContaining("Isolate: two coats of acrylic varnish")]);
    await axeClean(page);
  });

  test("another product in an opened band, with what it brings; the section shows the change", async () => {
    const { page } = await newNotebook();
    await plan(page, DOTTED_PEBBLE);
    await page
      .getByRole("button", { name: /^Step \d+, .*: Seal/ })
      .first()
      .click();
    await page.getByRole("button", { name: "Use Outdoor varnish instead" }).click();
    await page
      .getByRole("button", { name: /^Step \d+, .*: Seal: two coats of satin outdoor varnish/ })
      .first()
      .waitFor();
    await page
      .getByText("1 change of yours")
      .or(page.getByText(/changes of yours are in this plan/))
      .first()
      .waitFor();
  });

  test("a question by the section is answered with one tap, and what was assumed leads to where it is said", async () => {
    const { page } = await newNotebook();
    await plan(page, { material: "Smooth pebble", uses: ["On show indoors"] });
    await page.getByRole("button", { name: "Will it stand outside?" }).click();
    await page
      .getByRole("button", { name: /^Step \d+, .*: Seal: .*outdoor varnish/ })
      .first()
      .waitFor();
    await page.getByRole("button", { name: "Finish: Satin in the end, taken as usual" }).click();
    await page.getByRole("radio", { name: "Gloss" }).click();
    await page.getByRole("button", { name: "Finish: Gloss in the end", exact: true }).waitFor();
  });
});

test("what was changed of a plan is told with its time, and any of it is had back", async () => {
  const { page } = await newNotebook();
  await plan(page, DOTTED_PEBBLE);
  await openFact(page, "Finish");
  await page.getByRole("radio", { name: "Gloss" }).click();
  await page.keyboard.press("Escape");
  await page.getByText("What was changed, and when").click();
  const versions = page.getByRole("list", { name: "Versions of this plan" });
  await versions.getByText(/: finish$/).waitFor();
  await axeClean(page);
  await versions.getByRole("button", { name: /^Bring back the plan of .*: as it was first/ }).click();
  await page.getByRole("button", { name: "Finish: Satin in the end, taken as usual" }).waitFor();
});

describe("everywhere", () => {
  test("the palette finds a piece, a place, a thing to do; the keys are listed; themes are kept", async () => {
    const { page } = await newNotebook();
    await plan(page, DOTTED_PEBBLE);
    await page.keyboard.press("Control+k");
    await page.getByPlaceholder("A piece, a place, a thing to do").fill("sett");
    await page.getByRole("option", { name: "Settings" }).waitFor();
    await axeClean(page);
    await page.keyboard.press("Enter");
    await page.getByRole("heading", { name: "Settings" }).waitFor();
    await page.locator("#page").focus();
    await page.keyboard.press("?");
    await page.getByRole("dialog", { name: "Keys" }).waitFor();
    await axeClean(page);
    await page.keyboard.press("Escape");
    await page.getByRole("dialog", { name: "Keys" }).waitFor({ state: "detached" });
    await page.locator("#page").focus();
    await page.keyboard.press("2");
    await page.getByRole("heading", { name: "Pieces" }).waitFor();
    await page.locator("#page").focus();
    await page.keyboard.press("6");
    await page.getByRole("heading", { name: "Logbook", exact: true }).waitFor();
    await page.getByRole("link", { name: "Settings" }).click();
    // A digit in a box is meant for the box.
    await page.getByLabel("How you sign").press("1");
    expect(await page.getByLabel("How you sign").inputValue()).toBe("1");
    await page.getByLabel("dim, for the evening").check();
    await page.waitForFunction(() => document.documentElement.dataset.theme === "dim");
    await axeClean(page);
    await page.reload();
    await page.getByRole("button", { name: "Find or do" }).waitFor();
    expect(await page.evaluate(() => document.documentElement.dataset.theme)).toBe("dim");
    await page.keyboard.press("Control+k");
    await page.getByPlaceholder("A piece, a place, a thing to do").fill("pebble with");
    await page.getByRole("option", { name: "Smooth pebble with dots" }).waitFor();
    await page.keyboard.press("Enter");
    await planReady(page);
    await axeClean(page);
  });

  test("the user's own room can be chosen for a piece; a room without a name is not taken", async () => {
    const { page } = await newNotebook();
    await plan(page, DOTTED_PEBBLE);
    const address = page.url();
    await open(page, "/settings");
    await page.getByRole("button", { name: "Add the room" }).click();
    await page.getByText("give it a name").waitFor();
    await page.getByLabel("Name of a room").fill("Loft");
    await page.getByLabel("Temperature, °C").fill("13");
    await page.getByRole("button", { name: "Add the room" }).click();
    await page.getByText(/^Loft: 13 °C/).waitFor();
    await page.goto(address);
    await planReady(page);
    await openFact(page, "Where you work");
    await page.getByRole("radio", { name: "Loft" }).click();
    await page.waitForFunction(() => !document.querySelector('[aria-busy="true"]'));
    await page.reload();
    await planReady(page);
    await page.getByRole("button", { name: /^Where you work: Loft, / }).waitFor();
  });
});

describe("without its server", () => {
  test("a reload, a page never seen, a new piece and a saved file all work", async () => {
    const server = await ownServer();
    const { page } = await newNotebook(WITH_OWN_COPY);
    await page.goto(server.url);
    await page.getByRole("heading", { name: "What have you got in your hand?" }).waitFor();
    await keptForOffline(page);
    await server.stop();
    await page.reload();
    await page.getByRole("link", { name: "Plan your first piece" }).click();
    await page.getByRole("radio", { name: "Terracotta" }).click();
    await page.getByLabel("A planter with wet soil", { exact: true }).check();
    await page.getByRole("button", { name: "Make the coat plan" }).click();
    await planReady(page);
    await page.reload();
    await planReady(page);
    await page.goto(`${page.url()}/sheet`);
    await page.getByRole("heading", { name: "Have ready" }).waitFor();
    await page.goto(`${server.url}/settings`);
    const [download] = await Promise.all([page.waitForEvent("download"), page.getByRole("button", { name: "Save the notebook" }).click()]);
    expect(download.suggestedFilename()).toMatch(/^nook-coat-/);
    allowComplaints(/ERR_CONNECTION_REFUSED|Failed to load resource/);
  });
});

describe("Tern Point", () => {
  test("a notebook never used opens with it, once; it is removed in one go and can be had again", async () => {
    const server = await ownServer({ env: { NOOK_COAT_DEMO: "1" } });
    const { page } = await newNotebook();
    await page.goto(server.url);
    await page.locator("[data-bench] [data-now]").waitFor();
    await page.locator("[data-alone]").getByRole("link", { name: "Terrace herb pot" }).waitFor();
    await page.getByRole("link", { name: "Pieces", exact: true }).click();
    await page.locator("main li .font-display").nth(8).waitFor();
    expect(await page.locator("main li .font-display").count()).toBeGreaterThanOrEqual(9);
    await page
      .getByText(/^Now:|^Leave alone/)
      .first()
      .waitFor();
    await page.getByText("All coats on, hardening").first().waitFor();
    await axeClean(page);
    await page.goto(`${server.url}/settings`);
    await page.getByRole("button", { name: "Remove the Tern Point notebook" }).click();
    await page.getByRole("button", { name: "Open the Tern Point notebook" }).waitFor();
    await page.goto(server.url);
    await page.getByRole("heading", { name: "What have you got in your hand?" }).waitFor();
    await page.getByRole("button", { name: "Open the Tern Point notebook" }).click();
    await page.getByText("Tide clock face").first().waitFor();
    await server.stop();
    allowComplaints(/ERR_CONNECTION_REFUSED|Failed to load resource/);
  });

  test("it never lies over the user's own: it is put beside, and its removal leaves the user's", async () => {
    const { page } = await newNotebook();
    await plan(page, DOTTED_PEBBLE);
    await open(page, "/settings");
    await page.getByRole("button", { name: "Open the Tern Point notebook" }).click();
    await page.getByRole("button", { name: "Remove the Tern Point notebook" }).click();
    await page.getByRole("button", { name: "Open the Tern Point notebook" }).waitFor();
    await page.getByRole("link", { name: "Pieces", exact: true }).click();
    await page.locator("main li .font-display").first().waitFor();
    expect(await page.locator("main li .font-display").allInnerTexts()).toEqual(["Smooth pebble with dots"]);
  });
});
