/** The logbook: a piece is written down, asked for, made again; stall, trials, a class, the back, a look again. */
import { describe, expect, test } from "@jest/globals";
import type { Page } from "playwright-core";
import { allSaved, axeClean, newNotebook, open, pageFits, planReady, watchEveryPage } from "./bench";
import { kept } from "./bench-table";
import { fill, heading, press, saved } from "./logbook-hands";

watchEveryPage();

/** The made-up notebook, in which pieces are written down already. */
async function ternPoint(page: Page): Promise<void> {
  await open(page, "/");
  await press(page, "Open the Tern Point notebook");
  await page.locator("[data-now], [data-alone]").first().waitFor();
  await allSaved(page);
}

describe("at Tern Point", () => {
  test("the grey pebble is asked for, answers with its second ring, and six more are begun from what is on the shelf", async () => {
    const { page } = await newNotebook();
    await ternPoint(page);
    await page.keyboard.press("6");
    await heading(page, "Logbook");
    await page.getByText("6 pieces written down").waitFor();
    await axeClean(page);
    await page.getByLabel(/^Ask it/).fill("where is the shimmer on the grey pebble");
    await page.getByText("1 of 6").waitFor();
    await page.getByText(/^Dots: Moon pearl.*row 2: dots of 4 mm, 16 of them, with ball 4/).waitFor();
    // What was asked stands in the address: a reload asks it again.
    await page.reload();
    await page.getByText("1 of 6").waitFor();
    await page.getByRole("link", { name: /^Grey pebble/ }).click();
    await heading(page, "Grey pebble");
    await page.getByText("fine; on the sill all summer").waitFor();
    await page.getByRole("link", { name: "Green pebble for the gate" }).waitFor();
    await axeClean(page);
    await page.emulateMedia({ media: "print" });
    expect(await page.getByRole("navigation", { name: "Logbook" }).isVisible()).toBe(false);
    expect(await page.getByRole("button", { name: "Add it" }).isVisible()).toBe(false);
    expect(await page.getByText("row 2: dots of 4 mm").isVisible()).toBe(true);
    await page.emulateMedia({ media: "screen" });

    await page.getByRole("link", { name: "Make it again" }).click();
    await fill(page, "How many", "6");
    await fill(page, /^As large as then/, "150");
    await page.getByText("105 × 84 × 39 mm").waitFor();
    await page.getByText(/Rain grey is not on the shelf any more/).waitFor();
    await axeClean(page);
    await press(page, "Begin the 6");
    await planReady(page);
    await heading(page, "Grey pebble, again");
    const again = (await kept(page, "pieces")).find(({ piece }) => (piece as { readonly name: string }).name === "Grey pebble, again");
    expect(again).toMatchObject({ piece: { count: 6, form: { lengthMm: 105 } }, planId: expect.stringMatching(/./) });
    await press(page, /^Take back beginning Grey pebble, again$/);
    await page
      .getByRole("heading", { name: /not here|cannot|gone/i })
      .or(page.getByText(/not in your notebook/))
      .first()
      .waitFor();
  });

  test("a finished piece is written down in one click and stays as it was; it is looked at, sold, priced, corrected, and all of it is taken back", async () => {
    const { page } = await newNotebook();
    await ternPoint(page);
    await open(page, "/pieces/ternpoint010/record");
    await page.getByText("Written down, it stands in the logbook for ever").waitFor();
    await axeClean(page);
    await press(page, "Write it down");
    await page.waitForURL(/\/logbook\/records\//);
    await heading(page, "Window pebbles for sale");
    await page.getByText(/^20 of 20 are here/).waitFor();
    await press(page, /^I looked at it$/);
    const form = page.getByRole("form", { name: /has held$/ });
    await form.getByRole("checkbox", { name: "faded" }).click();
    await form.getByRole("checkbox", { name: "fine", exact: true }).click();
    expect(await form.getByRole("checkbox", { name: "faded" }).isChecked()).toBe(false);
    await form.getByRole("checkbox", { name: "chipped" }).click();
    await fill(page, "In your words", "where they lay on each other");
    await axeClean(page);
    await press(page, "Note it");
    await page.getByText("chipped; where they lay on each other").waitFor();
    await fill(page, "Price", "7.5");
    await fill(page, "Bare body", "0.5");
    await fill(page, /^Something to add/, "The amber is from the new jar.");
    await press(page, "Add it");
    await page.getByText("The amber is from the new jar.").waitFor();
    await press(page, /^Given, sold/);
    await fill(page, /^How many of the 20/, "3");
    await press(page, "Note it");
    await page.getByText("3 sold, for 7.50 each").waitFor();
    await page.getByText(/^17 of 20 are here/).waitFor();
    await page.getByText("The next to go is number 4 of 20").waitFor();
    await allSaved(page);
    await page.reload();
    await page.getByText("3 sold, for 7.50 each").waitFor();
    // The care card of the piece has its label, with the price and the next number.
    await page.getByRole("link", { name: "Care card and label" }).click();
    const label = page.getByRole("region", { name: "Label" });
    await label.getByText("7.50").waitFor();
    await label.getByText(/^4 of 20/).waitFor();
    await page.getByText("Not a toy").waitFor();
    await axeClean(page);
    // What is done on the piece later is not in the record.
    await page.getByRole("navigation", { name: "This piece" }).getByRole("link", { name: "Record" }).click();
    await page.getByRole("link", { name: "Its page in the logbook" }).click();
    await press(page, /^Out of the logbook$/);
    await page.getByRole("alertdialog").waitFor();
    await axeClean(page);
    await press(page, "Take it out");
    await heading(page, "This record is not in the logbook");
    await press(page, /^Take back the record of Window pebbles/);
    await page.getByText("3 sold, for 7.50 each").waitFor();
  });

  test("the stall, a trial, two side by side, the numbers: each answers to hands, and fits a phone", async () => {
    const { page } = await newNotebook();
    await ternPoint(page);
    await open(page, "/logbook/stall");
    await page.getByText("7 to take along; 4 sold so far, for 49.").waitFor();
    await press(page, "One of Mint pots for the sills sold");
    await page.getByText("6 to take along; 5 sold so far, for 65.").waitFor();
    await fill(page, "An hour of your hands", "15");
    await fill(page, /^Left over/, "120");
    await page.getByRole("alert").getByText("a number from 0 to 95").waitFor();
    await fill(page, /^Left over/, "25");
    await axeClean(page);
    const table = await saved(page, "As a table");
    expect(table.split("\n")[0]).toBe("\uFEFFname,body,to take along,price,sold before,brought in,sold today");
    expect(table).toContain("Mint pots for the sills,Terracotta,3,16,1,16,");
    await page.getByRole("link", { name: "Mint pots for the sills" }).click();
    await page.getByText(/25 in 100 of the price left over/).waitFor();
    await allSaved(page);

    await page.getByRole("navigation", { name: "Logbook" }).getByRole("link", { name: "Trials" }).click();
    await press(page, "Begin a trial");
    await press(page, "Begin it");
    await page.getByRole("alert").getByText("Say what is to be found out").waitFor();
    await fill(page, /^What is to be found out/, "Sized against bare");
    await fill(page, "Field 1", "Size, one coat");
    await axeClean(page);
    await press(page, "Begin it");
    const trial = page.getByRole("region", { name: "Sized against bare" });
    await trial.getByText("Not looked at yet.").waitFor();
    await trial.getByRole("button", { name: "I looked at it" }).click();
    await trial.getByRole("group", { name: "What you see on Size, one coat" }).getByRole("checkbox", { name: "fine", exact: true }).click();
    await trial.getByRole("group", { name: "What you see on bare" }).getByRole("checkbox", { name: "stained" }).click();
    await trial.getByRole("button", { name: "Note it" }).click();
    await trial.getByText("One trial is one case").waitFor();
    await axeClean(page);

    await page.getByRole("navigation", { name: "Logbook" }).getByRole("link", { name: "Logbook" }).click();
    await press(page, "Two side by side");
    await page.getByRole("button", { name: /^Grey pebble/ }).click();
    await page.getByRole("button", { name: /^Green pebble/ }).click();
    await heading(page, "Side by side");
    await page.getByText(/^They differ in \d+ of \d+ things/).waitFor();
    await axeClean(page);
    await open(page, "/logbook/numbers");
    await page
      .getByRole("img", { name: /^Pieces finished/ })
      .locator("svg")
      .first()
      .waitFor();
    await axeClean(page);
    await page.setViewportSize({ width: 390, height: 844 });
    for (const path of [
      "/logbook",
      "/logbook/records/ternpointloggreen",
      "/logbook/stall",
      "/logbook/trials",
      "/logbook/numbers",
      "/logbook/older",
      "/pieces/ternpoint010/class",
    ]) {
      await open(page, path);
      await page.getByRole("heading").first().waitFor();
      expect([path, await pageFits(page)]).toEqual([path, true]);
    }
  });

  test("a piece is taught to a class, and its back says the most important first", async () => {
    const { page } = await newNotebook();
    await ternPoint(page);
    await open(page, "/pieces/ternpoint010/class");
    await heading(page, "Window pebbles for sale: a class for 8");
    await fill(page, "People", "12");
    await heading(page, "Window pebbles for sale: a class for 12");
    await heading(page, "Beforehand, by whoever leads");
    await page.getByText(/before the class; where everything dries well/).waitFor();
    await heading(page, "Where there are no dotting tools");
    await page.getByRole("radio", { name: "set straight on" }).click();
    await page.getByText(/^Set straight on, without a drawing/).waitFor();
    await fill(page, /^Time together/, "30");
    await page.getByText(/^There is time for about \d+ tenths of the decorating/).waitFor();
    await axeClean(page);

    await open(page, "/pieces/ternpoint010/back");
    await fill(page, "How you sign", "Ada of the tea room");
    const drawing = page.getByRole("img", { name: /lines of lettering/ });
    await drawing.getByText("1/20").waitFor();
    await page.getByRole("checkbox", { name: "it is left outdoors to be found" }).click();
    await fill(page, /^Where a finder may tell of it/, "terns at the pier");
    await drawing.getByText("Keep or", { exact: false }).waitFor();
    await fill(page, /^Stroke of the pen/, "1.2");
    await page.getByText(/^No room for:/).waitFor();
    await axeClean(page);
    await allSaved(page);
  });

  test("a month after it was finished the evening asks how a piece has held; an answer ends the asking, and taken back it is asked again", async () => {
    const { page } = await newNotebook();
    await ternPoint(page);
    await open(page, "/evening");
    await page.getByText("Mint pots for the sills:").waitFor();
    await axeClean(page);
    await page.getByRole("link", { name: "how have they held?" }).click();
    const asked = page.getByRole("region", { name: "How have they held?" });
    await asked.getByRole("button", { name: "Say how Mint pots for the sills has held" }).click();
    await page.getByRole("form", { name: "How Mint pots for the sills has held" }).getByRole("checkbox", { name: "fine", exact: true }).click();
    await press(page, "Note it");
    await asked.waitFor({ state: "detached" });
    await allSaved(page);
    const days = await saved(page, /^Days to look again/);
    expect(days).toContain("SUMMARY:Look again: Mint pots for the sills");
    await press(page, "Take back how a piece has held");
    await asked.waitFor();
  });
});
