/** The shelf: jars in a line of words, plans made from them, what is promised, what to buy, files in and out. */
import { describe, expect, test } from "@jest/globals";
import { NOW } from "../instant";
import { allSaved, axeClean, choose, contentOf, goOn, newNotebook, open, ownServer, plan, planReady, stepTitles, watchEveryPage } from "./bench";
import type { Page } from "playwright-core";

watchEveryPage();

const HALF_EMPTY = [
  "craft acrylic, navy, matt, 59 ml, half full",
  "cream, quarter",
  "amber, 59 ml, three quarters",
  "red, nearly empty",
  "gesso, 250 ml, half",
  "Satin varnish, recoat after 4 hours, 236 ml, full",
];

async function putJars(page: Page, lines: readonly string[]): Promise<void> {
  const words = page.getByLabel("What does the jar say?");
  for (const line of lines) {
    await words.fill(line);
    await words.press("Enter");
    await page.waitForFunction(() => (document.querySelector("form input") as HTMLInputElement).value === "");
  }
  await allSaved(page);
}

async function shelfOf(lines: readonly string[], options: Parameters<typeof newNotebook>[0] = {}) {
  const notebook = await newNotebook(options);
  await open(notebook.page, "/shelf?add=jar");
  await putJars(notebook.page, lines);
  return notebook;
}

const jarNames = (page: Page) => page.getByRole("textbox", { name: /^Name of/ }).evaluateAll((all) => all.map((one) => (one as HTMLInputElement).value));
const rowOf = (page: Page, name: string) => page.getByRole("row").filter({ has: page.getByRole("textbox", { name: `Name of ${name}`, exact: true }) });
const wide = [
  ["1280 px", { viewport: { width: 1280, height: 800 } }],
  ["390 px", { viewport: { width: 390, height: 800 } }],
] as const;

describe.each(wide)("at %s", (_width, options) => {
  test("half-empty jars are typed in a line each; a reload keeps them, and what is typed; plans are made from them", async () => {
    const { page } = await newNotebook(options);
    await open(page, "/shelf");
    await axeClean(page);
    await page.getByRole("button", { name: "Put a jar on it" }).click();
    await putJars(page, HALF_EMPTY);
    await page.getByLabel("What does the jar say?").fill("for glass, bake 30 min at 160, sky blue");
    await page.getByText("bakes at 160 °C for 30 min").waitFor();
    await page.reload();
    await page.getByText("Sky blue, acrylic enamel, bakeable").waitFor();
    await page.getByLabel("What does the jar say?").press("Enter");
    await page.getByText("7 jars", { exact: true }).waitFor({ state: "attached" });
    expect(await jarNames(page)).toEqual(["Acrylic varnish", "Amber", "Cream", "Gesso", "Navy", "Red", "Sky blue"]);
    await page.getByRole("button", { name: "That is all" }).click();
    await axeClean(page);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(options.viewport.width);
    await plan(page, { material: "Smooth pebble", uses: ["On show indoors"], techniques: ["Dots"] });
    expect((await stepTitles(page)).join("; ")).toMatch(
      /one coat of gesso; Base colour: .* of Navy; .*Dots: .*Cream; .*Seal: two coats of satin acrylic varnish/,
    );
    await open(page, "/shelf?look=lids");
    await page.getByRole("button", { name: /^Navy/ }).waitFor();
    await axeClean(page);
  });
});

test("a coat is poured from the jar of its colour, or from another she chooses; what was laid is out of the jar", async () => {
  const { page } = await shelfOf(["craft acrylic, navy, 59 ml, full", "craft acrylic, red, 9 ml, full"]);
  await plan(page, { material: "Smooth pebble", uses: ["On show indoors"], techniques: ["Dots"] });
  const first = await page.locator("ol h4").filter({ hasText: "Base colour" }).first().innerText();
  await page
    .getByRole("button", { name: new RegExp(`Step \\d+, .*: ${first.replace(/^\d+\s*/, "")}`) })
    .first()
    .click();
  await choose(page, "Take it from", "Red");
  await planReady(page);
  await page.getByText(/Pour .* out of Red, which has about/).waitFor();
  // What is laid is laid after the jar was looked into.
  await goOn([page], NOW + 60_000);
  expect((await stepTitles(page)).join()).toMatch(/Base colour: .* of Red/);
  await allSaved(page);
  const base = page.getByRole("button", { name: /^Mark as done: Base colour.*coat 1/ });
  await base.click();
  await allSaved(page);
  await open(page, "/shelf");
  expect(await rowOf(page, "Red").getByRole("combobox").innerText()).not.toContain("9 ml");
  await page.getByRole("button", { name: "All of Red" }).click();
  await page.getByText(/went on pieces since/).waitFor();
  await axeClean(page);
});

test("said anew where it stands, weighed, copied, taken off and brought back; two tabs change two things of one jar", async () => {
  const { context, page } = await shelfOf(["craft acrylic, navy, 59 ml", "craft acrylic, cream, 59 ml"]);
  await page.getByRole("button", { name: "That is all" }).click();
  await choose(page, "Left in Navy", "now half");
  await page.getByRole("textbox", { name: "Name of Navy" }).fill("Harbour navy");
  await allSaved(page);
  const other = await context.newPage();
  await open(other, "/shelf");
  await other.getByRole("button", { name: "All of Cream" }).click();
  await other.getByText("Or weigh it").click();
  await other.getByLabel("Empty, with its lid").fill("20");
  await other.getByLabel("It weighs now").fill("56");
  await page.getByRole("textbox", { name: "Name of Cream" }).fill("Chalk cream");
  await allSaved(page);
  await allSaved(other);
  await other.getByRole("heading", { name: "Chalk cream" }).waitFor();
  await rowOf(page, "Chalk cream").getByText("about half, 30 ml").waitFor();
  // The same thing of one jar, said in two tabs: whoever comes later is asked.
  await page.getByRole("textbox", { name: "Name of Harbour navy" }).focus();
  await open(other, "/shelf");
  await other.getByRole("textbox", { name: "Name of Harbour navy" }).fill("Night navy");
  await other.getByRole("textbox", { name: /^Name of (Harbour|Night) navy/ }).press("Tab");
  await allSaved(other);
  await page.getByRole("textbox", { name: /^Name of (Harbour|Night) navy/ }).fill("Deep navy");
  await page.getByText("Another tab changed the same thing").waitFor();
  await axeClean(page);
  await page.getByRole("button", { name: "Save mine" }).click();
  await page.getByText("Another tab changed the same thing").waitFor({ state: "detached" });
  await other.getByRole("textbox", { name: "Name of Deep navy" }).fill("Harbour navy");
  await page.getByRole("textbox", { name: "Name of Harbour navy" }).waitFor();
  await page.getByRole("button", { name: "Another jar of Harbour navy" }).click();
  await page.getByText("3 jars", { exact: true }).waitFor({ state: "attached" });
  await page.getByRole("button", { name: "Take Chalk cream off the shelf" }).click();
  await page.getByText("Off the shelf: Chalk cream").first().waitFor({ state: "attached" });
  await allSaved(page);
  expect(await jarNames(page)).toEqual(["Harbour navy", "Harbour navy"]);
  await page.getByRole("button", { name: "Bring it back" }).click();
  await rowOf(page, "Chalk cream").getByText("about half, 30 ml").waitFor();
});

test("what the pieces want is told though she came from the list, which lets go of what it asked for", async () => {
  const { url, stop } = await ownServer({ env: { NOOK_COAT_DEMO: "1" } });
  try {
    const { page } = await newNotebook();
    await page.goto(`${url}/pieces`);
    await page.getByText("All coats on, hardening").first().waitFor();
    await page.getByRole("navigation", { name: "Places" }).getByRole("link", { name: "Shelf" }).click();
    await page.getByText("From the shelf alone:").waitFor();
    await page.getByRole("link", { name: "Shopping list" }).click();
    await page.getByText("Pot inside sealer").waitFor();
    await page.goto("about:blank");
  } finally {
    await stop();
  }
});

test("a basic set is three taps; the shopping list buys the rest in whole jars, by piece, as a table", async () => {
  const { page } = await newNotebook();
  await open(page, "/shelf");
  await page.getByRole("button", { name: "I have a basic set" }).click();
  await page.getByRole("radio", { name: "Soft-body acrylic" }).click();
  await page.getByRole("button", { name: "Put these 7 on the shelf" }).click();
  await page.getByText("7 jars", { exact: true }).waitFor({ state: "attached" });
  await allSaved(page);
  await plan(page, { material: "Terracotta", uses: ["A planter with wet soil"], techniques: ["Bands"] });
  await open(page, "/shelf/shopping");
  await page.getByText("Pot inside sealer").waitFor();
  await axeClean(page);
  const saved = page.waitForEvent("download");
  await page.getByRole("button", { name: "As a table (.csv)" }).click();
  expect(await contentOf(await saved)).toMatch(/^\uFEFFwhat,jars,size \(ml\).*\n[\s\S]*Pot inside sealer,1,/);
  await page.getByText(/choose which$/).click();
  await page.getByRole("group", { name: "For these pieces" }).getByRole("checkbox").first().click();
  await page.getByText("Nothing to buy").waitFor();
});

test("tables and palettes come in whole or not at all, and go out as they came", async () => {
  const { page } = await newNotebook();
  await open(page, "/shelf");
  await page.getByText("Shelf and palettes as files").click();
  const give = (name: string, text: string) =>
    page.getByLabel("File of jars or colours").setInputFiles({ name, mimeType: "text/plain", buffer: Buffer.from(text) });
  await give("jars.csv", "name;kind;size (ml)\nNavy;Craft acrylic;59,5\nMilk;Milk;1000\n");
  await page.getByText('line 3, column "kind": "Milk" is no kind of paint known here').waitFor();
  expect(await jarNames(page)).toEqual([]);
  await give("jars.csv", "name;kind;size (ml);colour\nNavy;Craft acrylic;59,5;#1f3a4d\n");
  await page.getByText("One jar put on the shelf").waitFor();
  await choose(page, "Colours of a palette are", "Soft-body acrylic");
  await give("sea.gpl", "GIMP Palette\n31 58 77 Deep\n63 127 122 Shallow\n");
  await page.getByText("2 jars put on the shelf").waitFor();
  await allSaved(page);
  expect(await jarNames(page)).toEqual(["Deep", "Navy", "Shallow"]);
  const saved = page.waitForEvent("download");
  await page.getByRole("button", { name: "All of it as a table (.csv)" }).click();
  const table = await contentOf(await saved);
  await give("again.csv", table);
  await page.getByText("0 jars put on the shelf; 3 stood on it already").waitFor();
  expect(await jarNames(page)).toHaveLength(3);
});

test("a colour is taken from a photograph by tap and by arrow keys; what is no picture says so", async () => {
  const { page } = await shelfOf(["craft acrylic, 59 ml"]);
  await page.getByRole("button", { name: "That is all" }).click();
  await page.getByRole("button", { name: "All of Craft acrylic" }).click();
  const photo = Buffer.from(
    await page.evaluate(async () => {
      const canvas = new OffscreenCanvas(80, 40);
      const pen = canvas.getContext("2d")!;
      pen.fillStyle = "#1f3a4d";
      pen.fillRect(0, 0, 40, 40);
      pen.fillStyle = "#d9822b";
      pen.fillRect(40, 0, 40, 40);
      return [...new Uint8Array(await (await canvas.convertToBlob()).arrayBuffer())];
    }),
  );
  await page.getByLabel("Photograph of the colour").setInputFiles({ name: "x.png", mimeType: "image/png", buffer: Buffer.from("nothing") });
  await page.getByText("This file is no picture").waitFor();
  await page.getByLabel("Photograph of the colour").setInputFiles({ name: "daub.png", mimeType: "image/png", buffer: photo });
  const picture = page.getByRole("button", { name: /^Your photograph/ });
  await picture.click({ position: { x: 15, y: 20 } });
  await page.locator('input[type="color"]').and(page.locator('[value="#1f3a4d"]')).waitFor();
  for (let at = 0; at < 8; at += 1) await picture.press("ArrowRight");
  await page.locator('input[type="color"]').and(page.locator('[value="#d9822b"]')).waitFor();
  await allSaved(page);
  await page.reload();
  await page.getByRole("dialog").getByText("near amber").waitFor();
});
