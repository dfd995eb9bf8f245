/** Photographs of a piece: picked, looked at, a colour taken from one, carried along in a file. */
import { expect, test } from "@jest/globals";
import type { Page } from "playwright-core";
import { allSaved, axeClean, bytesOf, DOTTED_PEBBLE, fillDisk, freeDisk, newNotebook, open, plan, planReady, removePiece, watchEveryPage } from "./bench";

watchEveryPage();

/** A picture, half of one colour and half of the other, larger than is kept. */
async function picture(page: Page, left: string, right: string): Promise<Buffer> {
  return Buffer.from(
    await page.evaluate(
      async ([one, other]) => {
        const canvas = new OffscreenCanvas(2400, 1200);
        const pen = canvas.getContext("2d")!;
        pen.fillStyle = one!;
        pen.fillRect(0, 0, 1200, 1200);
        pen.fillStyle = other!;
        pen.fillRect(1200, 0, 1200, 1200);
        return [...new Uint8Array(await (await canvas.convertToBlob()).arrayBuffer())];
      },
      [left, right],
    ),
  );
}

const photographs = (page: Page) => page.getByRole("region", { name: "Photographs" });
const shown = (page: Page) => photographs(page).getByRole("link", { name: /^Photograph, / });

test.each([1280, 390])("photographs at %d px: picked and shrunk, what is none is named, said something of, taken off and brought back", async (width) => {
  const { page } = await newNotebook({ viewport: { width, height: 800 } });
  await plan(page, DOTTED_PEBBLE);
  const [bare, tile] = [await picture(page, "#8a8f91", "#d9822b"), await picture(page, "#1f3a4d", "#f4efe2")];
  await page.getByLabel("Pick photographs").setInputFiles([
    { name: "bare.png", mimeType: "image/png", buffer: bare },
    { name: "tile.png", mimeType: "image/png", buffer: tile },
    { name: "notes.jpg", mimeType: "image/jpeg", buffer: Buffer.from("no picture at all") },
  ]);
  await page.getByText("2 photographs are added.").waitFor();
  await page.getByText("notes.jpg was not added").waitFor();
  await page.getByLabel("Pick photographs").setInputFiles([{ name: "again.png", mimeType: "image/png", buffer: bare }]);
  await page.getByText("One is here already.").waitFor();
  expect(await shown(page).count()).toBe(2);
  await axeClean(page);
  await shown(page).first().click();
  await page.getByRole("heading", { name: "Photograph 1 of 2" }).waitFor();
  await page.getByLabel("What it shows").fill("Bare, with the chip");
  await page.getByLabel("Taken on").fill("2026-11-02");
  await axeClean(page);
  await allSaved(page);
  await page.getByRole("button", { name: "Close the photograph" }).click();
  await photographs(page)
    .getByRole("link", { name: /^Photograph, Bare, with the chip/ })
    .click();
  await page.getByRole("button", { name: "Take it off this piece" }).click();
  await page.locator("[data-told]").getByText("Taken off: one photograph.").waitFor();
  expect(await shown(page).count()).toBe(1);
  await page.keyboard.press("Control+z");
  await photographs(page)
    .getByRole("link", { name: /^Photograph, Bare, with the chip/ })
    .waitFor();
  await allSaved(page);
  await removePiece(page);
  await page.locator("[data-told]").getByText("Removed: Smooth pebble with dots, with 2 photographs.").waitFor();
});

test("on a full disk none is added and it is told; they are still at hand, and are kept, smaller, when there is room", async () => {
  const { page } = await newNotebook();
  await plan(page, DOTTED_PEBBLE);
  await fillDisk(page);
  await page.getByLabel("Pick photographs").setInputFiles({ name: "tile.png", mimeType: "image/png", buffer: await picture(page, "#1f3a4d", "#f4efe2") });
  await page.getByText("No photograph was added: this device has no room left for it.").waitFor();
  expect(await shown(page).count()).toBe(0);
  await axeClean(page);
  await freeDisk(page);
  await page.getByRole("button", { name: "Try again" }).click();
  await shown(page).first().waitFor();
  const size = await photographs(page)
    .locator("img")
    .evaluate((image: HTMLImageElement) => [image.naturalWidth, image.naturalHeight]);
  expect(size).toEqual([240, 120]);
  await page.reload();
  await shown(page).first().waitFor();
});

test("a colour of a photograph becomes a colour of the piece, by keys, by tap, or by the colours it is of; the plan follows", async () => {
  const { page } = await newNotebook();
  await plan(page, DOTTED_PEBBLE);
  await page.getByLabel("Pick photographs").setInputFiles({ name: "tile.png", mimeType: "image/png", buffer: await picture(page, "#5e1a2b", "#f5c518") });
  await shown(page).first().click();
  const photo = page.getByRole("button", { name: /^The photograph/ });
  const picked = page.getByRole("region", { name: "The colour you picked" });
  await photo.click({ position: { x: 60, y: 60 } });
  await picked.getByText("near burgundy").waitFor();
  // Keys are of the photograph now, not of the step that stands open behind it.
  expect(await page.locator("[data-panel] [data-do=done]").count()).toBe(1);
  for (const key of ["d", "n", "2"]) await photo.press(key);
  await picked.getByRole("button", { name: "Base" }).click();
  await picked.getByText("Base: burgundy now.").waitFor();
  for (let at = 0; at < 60; at += 1) await photo.press("ArrowRight");
  await picked.getByText("near yellow").waitFor();
  await page.getByRole("button", { name: /^Pick burgundy/ }).click();
  await picked.getByText("near burgundy").waitFor();
  await page.getByRole("button", { name: /^Pick yellow/ }).click();
  await picked.getByRole("button", { name: "One colour more" }).click();
  await picked.getByText("One colour more: yellow now.").waitFor();
  await page.keyboard.press("Escape");
  await allSaved(page);
  await planReady(page);
  expect(await page.getByRole("button", { name: /^Not done after all/ }).count()).toBe(0);
  await page
    .locator('[data-said="base"]')
    .filter({ hasText: /burgundy/i })
    .waitFor();
  await page
    .locator('[data-said="colours"]')
    .filter({ hasText: /yellow/i })
    .waitFor();
  // The same colour becomes a jar on the shelf: what it is called follows from it, and closing the page of a new jar leaves no trace of it.
  await shown(page).first().click();
  await photo.click({ position: { x: 60, y: 60 } });
  await picked.getByText("near burgundy").waitFor();
  await picked.getByRole("link", { name: "A jar of this colour on the shelf" }).click();
  await page
    .getByRole("region", { name: "A new jar" })
    .getByText(/burgundy/i)
    .first()
    .waitFor();
  await page.getByRole("button", { name: "Put it on the shelf" }).click();
  await page.getByRole("button", { name: "That is all" }).click();
  await page.waitForFunction(() => window.location.search === "");
  await page
    .getByRole("table")
    .getByText(/burgundy/i)
    .first()
    .waitFor();
});

test("a file carries photographs; brought into an empty notebook they are there again, on the card too; saved without, it is a text", async () => {
  const { page } = await newNotebook();
  await plan(page, DOTTED_PEBBLE);
  await page.getByLabel("Pick photographs").setInputFiles({ name: "tile.png", mimeType: "image/png", buffer: await picture(page, "#1f3a4d", "#f4efe2") });
  await shown(page).first().waitFor();
  await open(page, "/settings");
  await page.getByText(/one piece and one photograph/).waitFor();
  const saved = async (name: string) => {
    const [file] = await Promise.all([page.waitForEvent("download"), page.getByRole("button", { name, exact: true }).click()]);
    return { name: file.suggestedFilename(), bytes: await bytesOf(file) };
  };
  const whole = await saved("Save the notebook");
  const text = await saved("Save it without photographs");
  expect([whole.name.endsWith(".zip"), text.name.endsWith(".json"), JSON.parse(text.bytes.toString("utf8")).photos]).toEqual([true, true, []]);
  const fresh = (await newNotebook()).page;
  await open(fresh, "/settings");
  await fresh.getByLabel("Notebook file").setInputFiles({ name: whole.name, mimeType: "application/zip", buffer: whole.bytes });
  await fresh.getByText(/^1 piece.* brought in/).waitFor();
  await open(fresh, "/pieces");
  await fresh.locator("a[href^='/pieces/'] img").click();
  await planReady(fresh);
  await shown(fresh).first().click();
  await fresh.getByRole("button", { name: /^Pick navy/ }).waitFor();
});
