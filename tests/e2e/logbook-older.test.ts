/** Older pieces come into the logbook, and the logbook goes out as a page that opens for ever. */
import { expect, test } from "@jest/globals";
import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { pathToFileURL } from "node:url";
import type { Page } from "playwright-core";
import { axeClean, newNotebook, open, watchEveryPage } from "./bench";
import { kept } from "./bench-table";
import { fill, heading, press, saved } from "./logbook-hands";

watchEveryPage();

const names = (page: Page) => page.locator("main li .font-display, main [role=listitem] .font-display").allInnerTexts();

test("older pieces are told in a few words or brought in from any table; the logbook goes out as a page that opens with scripts off, and as a table", async () => {
  const { page, context } = await newNotebook();
  await open(page, "/logbook");
  await heading(page, "Nothing is written down yet");
  await axeClean(page);
  await page.getByRole("link", { name: "Tell of an older piece" }).click();
  await press(page, "Write it down");
  await page.getByRole("alert").getByText("Give it a name").waitFor();
  await fill(page, "What it is called", "Gull <on> slate");
  await fill(page, "What it is made of", "Slate");
  await fill(page, "Finished", "some summer");
  await page.getByText("Not a day or a month yet").waitFor();
  await fill(page, "Finished", "March 2019");
  await fill(page, /^Colours/, "white and ochre");
  await fill(page, "Sealed with", "gloss spray");
  await fill(page, "Who has it", "Marn");
  await axeClean(page);
  await press(page, "Write it down");
  await heading(page, "Gull <on> slate");
  await page.getByText("Finished some time in March 2019.").waitFor();
  await page.getByText("given away, to Marn").waitFor();

  await open(page, "/logbook/older");
  const csv = "What;Stuff;When;Varnish;Weather\nTern;Pebble;9.3.2020;matt;fair\nBuoy;Pebble;not known;;rain\n";
  await page.getByLabel("A table of older pieces").setInputFiles({ name: "older.csv", mimeType: "text/csv", buffer: Buffer.from(csv) });
  await page.getByRole("alert").getByText('line 3, column "When"').waitFor();
  expect(await page.getByRole("button", { name: "Bring them in" }).isDisabled()).toBe(true);
  await axeClean(page);
  // A column that is left out is not in the way; another is chosen for what it holds.
  await page.getByRole("combobox", { name: /^When/ }).click();
  await page.getByRole("option", { name: "left out" }).click();
  await page.getByRole("combobox", { name: /^Stuff/ }).click();
  await page.getByRole("option", { name: "what it is made of" }).click();
  await page.getByText("2 pieces: Tern, Buoy.").waitFor();
  await press(page, "Bring them in");
  await page.getByText("3 pieces written down").waitFor();
  expect((await names(page)).sort()).toEqual(["Buoy", "Gull <on> slate", "Tern"]);

  // A photograph comes to it afterwards, and goes out with it.
  await page.getByRole("link", { name: /^Tern/ }).click();
  await heading(page, "Tern");
  const dot = Buffer.from("iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==", "base64");
  await page.getByLabel("Pick photographs").setInputFiles([
    { name: "tern.png", mimeType: "image/png", buffer: dot },
    { name: "notes.jpg", mimeType: "image/jpeg", buffer: Buffer.from("no picture at all") },
  ]);
  await page.getByRole("alert").getByText("notes.jpg").waitFor();
  await page.getByRole("region", { name: "Finished" }).getByRole("img").waitFor();
  await axeClean(page);
  await page.getByRole("navigation", { name: "Logbook" }).getByRole("link", { name: "Logbook" }).click();
  await page.getByText("3 pieces written down").waitFor();
  const html = await saved(page, /^As one page/);
  const file = join(mkdtempSync(join(tmpdir(), "logbook-")), "logbook.html");
  writeFileSync(file, html);
  const { page: plain } = await newNotebook({ javaScriptEnabled: false, offline: true });
  await plain.goto(pathToFileURL(file).href);
  await plain.getByRole("heading", { name: "Gull <on> slate" }).waitFor();
  await plain.getByRole("link", { name: "Tern" }).click();
  expect(await plain.getByRole("heading").allInnerTexts()).toEqual(expect.arrayContaining(["Logbook", "Gull <on> slate", "Tern", "Buoy"]));
  await plain.getByText("Sealer: gloss spray").waitFor();
  expect(await plain.locator("img").evaluateAll((all) => all.map((one) => (one as unknown as { readonly naturalWidth: number }).naturalWidth))).toEqual([1]);
  expect(await saved(page, "As a table")).toContain("Tern,Pebble,1,,,,,matt");

  // Another tab sees what this one takes back.
  const other = await context.newPage();
  await other.goto(page.url());
  await other.getByText("3 pieces written down").waitFor();
  await press(page, /^Take back the photograph$/);
  await press(page, /^Take back 2 older pieces$/);
  await page.getByText("1 piece written down").waitFor();
  await other.getByText("1 piece written down").waitFor();
  expect(await kept(page, "records")).toHaveLength(1);
});
