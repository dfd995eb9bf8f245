/** Marking out: rows that close before the first dot is set, papers at true size, the tie to the plan. */
import { describe, expect, test } from "@jest/globals";
import type { Page } from "playwright-core";
import { materialId, pieceId, useId } from "#core/catalogue/ids";
import { writeBundle } from "#core/formats/write-bundle";
import { allSaved, axeClean, bytesOf, choose, newNotebook, open, planReady, toRoom, URL_BASE, watchEveryPage, pageFits, showLook, WIDTHS } from "./bench";

watchEveryPage();

const POT = pieceId("terracottapot1");
const NOTEBOOK = JSON.stringify(
  writeBundle({
    pieces: [
      {
        id: POT,
        rev: 1,
        planId: null,
        piece: {
          format: "nook-coat/piece",
          version: 1,
          name: "Herb pot",
          material: materialId("terracotta"),
          object: "pot",
          form: { kind: "frustum", topDiameterMm: 160, bottomDiameterMm: 110, heightMm: 140 },
          uses: [useId("indoor-display")],
          decoration: { techniques: ["dots"], baseColour: "#1f3a4d", colours: ["#f4efe2"] },
        } as never,
      },
    ],
  }),
);

async function openPot(options: Parameters<typeof newNotebook>[0] = {}): Promise<Page> {
  const { page } = await newNotebook(options);
  await open(page, "/settings");
  await page.getByLabel("Notebook file").setInputFiles({ name: "notebook.json", mimeType: "application/json", buffer: Buffer.from(NOTEBOOK) });
  await page.getByText(/1 piece/).waitFor();
  await allSaved(page);
  await page.goto(`${URL_BASE}/pieces/${POT}/marks`);
  await page.getByRole("button", { name: /^Lamp rings/ }).waitFor();
  return page;
}

const rowList = (page: Page) => page.getByRole("list", { name: "Rows", exact: true });
const rowAt = (page: Page, at: number) => rowList(page).locator("[data-row]").nth(at);
const total = async (page: Page) => Number(/^(\d+) marks/.exec(await page.getByText(/^\d+ marks; /).innerText())?.[1]);

describe.each(WIDTHS)("a tapered pot at %s", (_width, options) => {
  test("a pattern closes, its counts go into the plan, are ticked at the table, and another size closes anew", async () => {
    const page = await openPot(options);
    await page.getByRole("button", { name: /^Tide marks/ }).click();
    await rowAt(page, 4).waitFor();
    const marks = await total(page);
    expect(marks).toBeGreaterThan(200);
    expect(await rowAt(page, 0).innerText()).toMatch(/\d+ close, (a hair|[\d.]+ mm) between/);
    // Fewer of the first row, by its button; then as many as close again.
    const first = rowAt(page, 0);
    const count = Number(/(\d+) close/.exec(await first.innerText())?.[1]);
    await first.getByRole("button", { name: /^Fewer/ }).click();
    await first.getByText(new RegExp(`^${count - 1} close`)).waitFor();
    await first.locator("[data-row-title]").click();
    await first.getByRole("button", { name: "As many as close" }).click();
    await first.getByText(new RegExp(`^${count} close`)).waitFor();
    expect(await first.getByRole("group", { name: "Also close" }).getByRole("button").count()).toBeGreaterThan(1);
    await axeClean(page);
    expect(await pageFits(page)).toBe(true);
    // At the table one row is set, and stays so over a reload.
    await allSaved(page);
    await showLook(page, "At the table");
    await page
      .getByRole("button", { name: /^Row done/ })
      .first()
      .click();
    await page.getByRole("button", { name: /^All set/ }).waitFor();
    await allSaved(page);
    await page.reload();
    await page.getByText(`${count} of ${marks} marks are set.`).waitFor();
    await axeClean(page);
    // The plan knows them.
    await toRoom(page, "Plan");
    await page.waitForURL(/\/pieces\/[0-9a-z]+$/);
    await planReady(page);
    await page.getByRole("button", { name: new RegExp(`${marks} marks in 5 rows on the outside`) }).waitFor();
    await page
      .getByText(new RegExp(`Marked out: dots of [\\d.]+ mm: ${count}\\.`))
      .first()
      .waitFor();
    await page.getByLabel("Across the top").fill("200");
    await page.getByLabel("Across the top").blur();
    await page
      .getByRole("button", { name: /\d+ marks in 5 rows on the outside/ })
      .filter({ hasNotText: `${marks} marks` })
      .waitFor();
    await page.getByText(new RegExp(`Laid out anew: dots of [\\d.]+ mm: \\d+ instead of ${count}; `)).waitFor();
    await allSaved(page);
    await axeClean(page);
    await toRoom(page, "Marking out");
    await rowAt(page, 0).waitFor();
    expect(await total(page)).toBeGreaterThan(marks);
  });
});

test("rows are added, moved, copied and left out by the keyboard alone; what does not go is refused with what would", async () => {
  const page = await openPot();
  await page.getByRole("button", { name: "Begin with one row" }).press("Enter");
  await rowAt(page, 0).waitFor();
  await allSaved(page);
  const titles = () => rowList(page).locator("[data-row-title] strong").allInnerTexts();
  await choose(page, "Another row", "Band");
  await page.getByRole("button", { name: "Add it" }).press("Enter");
  await rowAt(page, 1).waitFor();
  expect((await titles())[1]).toMatch(/^Band/);
  await rowAt(page, 1).locator("[data-row-title]").focus();
  await page.keyboard.press("Alt+ArrowUp");
  await page.waitForFunction(() => document.querySelector("[data-row-title] strong")?.textContent?.startsWith("Band"));
  await page.waitForFunction(() => document.activeElement?.textContent?.includes("Band"));
  await rowAt(page, 1).getByRole("button", { name: /^Copy/ }).press("Enter");
  await rowAt(page, 2).waitFor();
  await rowAt(page, 2)
    .getByLabel(/^How many round/)
    .fill("900");
  await rowAt(page, 2)
    .getByText(/^Not laid: 900 of 5 mm do not close here/)
    .waitFor();
  await rowAt(page, 2)
    .getByRole("button", { name: /^Take \d+$/ })
    .press("Enter");
  await rowAt(page, 2)
    .getByText(/^\d+ close, just touching/)
    .waitFor();
  await rowAt(page, 2).locator("[data-row-title]").focus();
  await page.keyboard.press("Delete");
  await rowAt(page, 2).waitFor({ state: "detached" });
  // A place that is kept free takes marks out of the row it lies on, and moves nothing.
  await showLook(page, "Lines");
  await page.getByRole("button", { name: "Keep a place free" }).press("Enter");
  const kept = page.getByRole("list", { name: "Places kept free" });
  await kept.getByLabel(/^In from the edge/).fill("134");
  await kept.getByLabel(/^In from the edge/).blur();
  await showLook(page, "Rows");
  await rowAt(page, 1)
    .getByText(/^\d marks? (is|are) left out where a place is kept free/)
    .waitFor();
  await axeClean(page);
  // Dragged by hand to the front again.
  const grip = (at: number) => rowAt(page, at).getByRole("button", { name: /^Move row/ });
  const [from, to] = [(await grip(1).boundingBox())!, (await grip(0).boundingBox())!];
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2 + 20, { steps: 4 });
  await page.getByText(/^Taken up: row 2/).waitFor({ state: "attached" });
  await page.mouse.move(to.x + to.width / 2, to.y, { steps: 8 });
  await page.getByText(/stands where row 1, Band/).waitFor({ state: "attached" });
  await page.mouse.up();
  await page.waitForFunction(() => document.querySelector("[data-row-title] strong")?.textContent?.startsWith("Dots"));
  await allSaved(page);
});

test("lines are told with their instruments, papers come at true size and are put right by the bar, a tool is measured by its row", async () => {
  const page = await openPot();
  await page.getByRole("button", { name: /^Signal bands/ }).click();
  await rowAt(page, 2).waitFor();
  await showLook(page, "Lines");
  const lines = page.getByRole("list", { name: "Lines to draw" });
  await lines.getByText(/At the rim step [\d.]+ mm with the compass, 4 times: it closes/).waitFor();
  await lines
    .getByText(/Rest the pencil on a stack/)
    .first()
    .waitFor();
  await axeClean(page);
  await showLook(page, "Papers");
  const sheets = page.getByRole("list", { name: "Sheets" }).getByRole("img");
  await sheets.first().waitFor();
  const wrap = await sheets.count();
  expect(wrap).toBeGreaterThan(2);
  const [file] = await Promise.all([page.waitForEvent("download"), page.getByRole("button", { name: `PDF to print, ${wrap} sheets` }).click()]);
  expect(file.suggestedFilename()).toBe("herb-pot-wrap.pdf");
  expect((await bytesOf(file)).subarray(0, 5).toString()).toBe("%PDF-");
  await page.getByLabel(/^The bar measures/).fill("97");
  await page.getByText("The next print is drawn 103.1 % large, so that it comes out true.").waitFor();
  await choose(page, "Template", "Height gauge");
  const [svg] = await Promise.all([page.waitForEvent("download"), page.getByRole("button", { name: "Sheet 1 as SVG" }).click()]);
  expect((await bytesOf(svg)).toString()).toMatch(/^<svg [^>]*width="210mm"/);
  await axeClean(page);
  await showLook(page, "Tools");
  await page.getByRole("button", { name: /^Cotton swab/ }).click();
  const tools = page.getByRole("list", { name: "Your tools" });
  await tools.getByText(/leaves 5\.3 mm \(typical\)/).waitFor();
  await tools.getByLabel(/^10 touching dots/).fill("60");
  await tools.getByText(/leaves 6 mm by your own row/).waitFor();
  await axeClean(page);
  await allSaved(page);
  await showLook(page, "Rows");
  await rowAt(page, 1)
    .getByText(/with Cotton swab|Cotton swab is nearest/)
    .waitFor();
});

test("at the desk by itself a body is marked out, kept as a pattern, and stands ready for a piece", async () => {
  const page = await openPot();
  await open(page, "/desk/marking");
  await choose(page, "Shape", "Pebble");
  await page.getByLabel(/^Length/).fill("120");
  await page.getByText(/^0 marks; 120 mm × /).waitFor();
  await page.getByRole("button", { name: /^Harbour lights/ }).click();
  await rowAt(page, 3).waitFor();
  await axeClean(page);
  await page.getByRole("button", { name: "Keep this pattern for other pieces" }).click();
  await page.getByLabel("Its name").fill("Quay");
  await page.getByRole("button", { name: "Keep it" }).click();
  await page.getByRole("button", { name: "Begin anew" }).click();
  await page.getByRole("button", { name: /^Quay/ }).click();
  await rowAt(page, 3).waitFor();
  await allSaved(page);
  // Over a reload it lies there still.
  const marks = await total(page);
  await page.reload();
  await rowAt(page, 3).waitFor();
  expect(await total(page)).toBe(marks);
  await showLook(page, "Text");
  await page.getByLabel("Words to letter").fill("Open till the tide turns");
  await page.getByText(/capitals [\d.]+ mm high/).waitFor();
  await axeClean(page);
});

test("a stone that is no even oval is measured round, its wide side is told, top dots and another colour in turn are set, and one undo takes one change back", async () => {
  const page = await openPot();
  await open(page, "/desk/marking");
  await choose(page, "Shape", "Pebble");
  await page.getByText("It is no even oval").click();
  await choose(page, "How often", "8 times round");
  const six = page.getByLabel(/^6 o'clock/);
  await six.fill("48");
  await six.blur();
  await page.getByRole("button", { name: "Begin with one row" }).click();
  await rowAt(page, 0).waitFor();
  await page.getByRole("button", { name: "Add that row" }).click();
  await rowAt(page, 1).waitFor();
  await page.getByRole("button", { name: "Add that row" }).click();
  await rowAt(page, 2)
    .getByText(/^Towards \d+ o'clock the space to the row before grows to/)
    .waitFor();
  await rowAt(page, 2).getByRole("button", { name: "Another in turn" }).click();
  expect(await rowAt(page, 2).getByRole("list", { name: "Colours in turn" }).getByRole("listitem").count()).toBe(3);
  await choose(page, "Another row", "Top dots");
  await page.getByRole("button", { name: "Add it" }).click();
  await rowAt(page, 3)
    .getByRole("button", { name: /^Set it with/ })
    .click();
  await choose(page, "Off the middle", "towards the rim");
  await rowAt(page, 3).getByText(/^\d+$/).first().waitFor();
  await axeClean(page);
  await showLook(page, "Lines");
  await page.getByRole("checkbox", { name: "By eye, no lines" }).click();
  await page
    .getByRole("list", { name: "Lines to draw" })
    .getByText(/No lines: one dot, the one straight across/)
    .waitFor();
  // On a piece a change is taken back as any other.
  await page.goto(`${URL_BASE}/pieces/${POT}/marks`);
  await page.getByRole("button", { name: /^Spray/ }).click();
  await rowAt(page, 2).waitFor();
  await allSaved(page);
  await rowAt(page, 0)
    .getByRole("button", { name: /^Leave out/ })
    .click();
  await rowAt(page, 2).waitFor({ state: "detached" });
  await allSaved(page);
  await page
    .getByRole("button", { name: /^Take back/ })
    .first()
    .click();
  await rowAt(page, 2).waitFor();
});
