/** The mixing desk: a colour mixed from what stands on the shelf, coats and thinning told while they are dragged, a swatch, drops; and what goes back into the plan. */
import { describe, expect, test } from "@jest/globals";
import type { Page } from "playwright-core";
import { writeBundle } from "#core/formats/write-bundle";
import { COLOUR_NAMES } from "#core/film/colour-names";
import { jarId, materialId, pieceId, productId, useId } from "#core/catalogue/ids";
import type { Jar } from "#core/catalogue/jar";
import { allSaved, axeClean, choose, DOTTED_PEBBLE, newNotebook, open, openFact, plan, planReady, toRoom, URL_BASE, watchEveryPage } from "./bench";

watchEveryPage();

const AT = "2026-11-20T10:00:00.000Z";
const PEACH = COLOUR_NAMES.peach!;
const jarOf = (name: string): Jar => ({
  id: jarId(`${name.replace(/[^a-z]/g, "")}jar00001`),
  classId: productId("craft-acrylic"),
  name: `${name.charAt(0).toUpperCase()}${name.slice(1)}`,
  colour: COLOUR_NAMES[name]!,
  label: { sheen: "matte" },
  sizeMl: 59,
  paid: 3,
  left: { ml: 50, by: "volume", at: AT },
});
const ELEVEN = ["white", "black", "navy", "red", "yellow", "cream", "terracotta", "teal", "grey", "amber", "brown"].map(jarOf);
const FORTY = pieceId("fortypebbles1");

/** A notebook with eleven jars and forty pebbles in navy with peach dots, as a file. */
const NOTEBOOK = JSON.stringify(
  writeBundle({
    shelf: ELEVEN.map((jar) => ({ ...jar, rev: 1 })),
    pieces: [
      {
        id: FORTY,
        rev: 1,
        planId: null,
        piece: {
          format: "nook-coat/piece",
          version: 1,
          name: "Forty pebbles",
          material: materialId("stone-smooth"),
          object: "stone",
          form: { kind: "pebble", lengthMm: 60, widthMm: 45, thicknessMm: 25 },
          uses: [useId("handled")],
          decoration: { techniques: ["dots"], media: [productId("craft-acrylic")], baseColour: "#1b1b1d", colours: [PEACH, "#f5c518"] },
          count: 40,
        } as never,
      },
    ],
  }),
);

async function openNotebook(options: Parameters<typeof newNotebook>[0] = {}): Promise<Page> {
  const { page } = await newNotebook(options);
  await open(page, "/settings");
  await page.getByLabel("Notebook file").setInputFiles({ name: "notebook.json", mimeType: "application/json", buffer: Buffer.from(NOTEBOOK) });
  await page.getByText(/1 piece/).waitFor();
  await allSaved(page);
  return page;
}

const fits = (page: Page) => page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth);
const recipe = (page: Page) => page.getByRole("list", { name: "Recipe" }).getByRole("listitem");
const mixed = (page: Page) => page.getByRole("status").filter({ hasText: /^Mixed from/ });
/** Drags a slider by its keys. */
async function drag(page: Page, name: string, key: "ArrowLeft" | "ArrowRight" | "Home" | "End", times = 1): Promise<void> {
  await page.getByRole("slider", { name }).focus();
  for (let time = 0; time < times; time += 1) await page.keyboard.press(key);
}

const WIDTHS = [
  ["1280 px", { viewport: { width: 1280, height: 800 } }],
  ["390 px", { viewport: { width: 390, height: 800 } }],
] as const;

describe.each(WIDTHS)("eleven jars and forty pebbles at %s", (_width, options) => {
  test("the colour that is not owned is mixed for all of them, kept in the plan, booked, and bought by its jars", async () => {
    const page = await openNotebook(options);
    await page.goto(`${URL_BASE}/pieces/${FORTY}`);
    await planReady(page);
    await toRoom(page, "Mixing");
    const colours = page.getByRole("list", { name: "Colours of this plan" });
    await colours.getByRole("button", { name: /peach – not on your shelf/ }).click();
    await colours.getByRole("button", { name: /peach/, pressed: true }).waitFor();
    await mixed(page)
      .filter({ hasText: /it looks the same|nobody tells them apart/ })
      .waitFor({ state: "attached" });
    expect(await recipe(page).first().innerText()).toMatch(/^Begin with .* of White$/);
    expect(await recipe(page).count()).toBeGreaterThan(1);
    await page.getByText(/The plan takes .* ml of it/).waitFor();
    await axeClean(page);
    expect(await fits(page)).toBe(true);
    await page.getByLabel("Call it").fill("Dawn peach");
    await page.getByRole("button", { name: "Keep it, and use it in the plan" }).click();
    await colours.getByRole("button", { name: /^colour .* Dawn peach/ }).waitFor();
    await allSaved(page);
    const pot = page.locator("[data-pot]");
    await pot.getByText(/its pot is empty/).waitFor();
    await pot.getByRole("button", { name: "I have mixed it" }).click();
    await pot.getByText(/\d ml in its pot/).waitFor();
    await allSaved(page);
    await toRoom(page, "Plan");
    await page.waitForURL(/\/pieces\/[0-9a-z]+$/);
    await planReady(page);
    await page
      .getByRole("button", { name: /^Step \d+, .*Dots: Dawn peach/ })
      .first()
      .click();
    await page
      .locator("[data-panel]")
      .getByText(/^Dawn peach is mixed from \d+ % White/)
      .waitFor();
    await open(page, "/shelf/shopping");
    await page.getByText(/From the shelf: .*White, /).waitFor();
    // What was mixed is put back into its jars, and the pot is empty again.
    await page.getByRole("button", { name: /^Take back mixing/ }).click();
    await page.getByRole("button", { name: /^Do again mixing/ }).waitFor();
    await open(page, "/desk");
    await page
      .locator("[data-pot]")
      .getByText(/its pot is empty/)
      .waitFor();
  });
});

test("a colour that cannot be reached is said so, with the jar that would; another target is mixed at once", async () => {
  const page = await openNotebook();
  await open(page, "/desk");
  await mixed(page).waitFor({ state: "attached" });
  await choose(page, "By name", "lavender");
  await page.getByText("It cannot be reached with these.").waitFor();
  await page.getByText(/One jar more would reach it/).waitFor();
  await choose(page, "By name", "peach");
  await mixed(page).filter({ hasText: "White" }).waitFor({ state: "attached" });
  await page.getByText("It cannot be reached with these.").waitFor({ state: "detached" });
  // A paint she would rather not use is left out of the next one.
  const out = page.getByRole("button", { name: /^Leave out / }).last();
  const name = (await out.innerText()).trim();
  await out.click();
  await page.getByRole("checkbox", { name, exact: true }).waitFor();
  await page.waitForFunction((left) => !document.querySelector('[aria-label="Recipe"]')?.textContent?.includes(left), name);
  await page.getByText("Shades of it, from one puddle").click();
  await drag(page, "Shades", "ArrowRight");
  expect(await page.getByRole("list", { name: "Shades" }).getByRole("listitem").count()).toBe(5);
  await page.reload();
  await page.getByRole("checkbox", { name, exact: true }).waitFor();
});

test("coats are told over what is beneath, thinning by how it feels, and both go into the plan", async () => {
  const page = await openNotebook();
  await page.goto(`${URL_BASE}/pieces/${FORTY}/mixing?look=hide`);
  const colours = page.getByRole("list", { name: "Colours of this plan" });
  await colours.getByRole("button", { name: /Black/ }).click();
  await colours.getByRole("button", { name: /Black/, pressed: true }).waitFor();
  await page.getByRole("img", { name: /^Difference from the full colour by coats: 1: / }).waitFor();
  await page.locator(".apexcharts-svg").waitFor();
  await choose(page, "Over", "white ground");
  const before = await page.getByRole("list", { name: "Coats beside the full colour" }).innerText();
  await drag(page, "How full a coat", "Home");
  await drag(page, "Thinned by", "End");
  await page.waitForFunction((was) => document.querySelector('[aria-label="Coats beside the full colour"]')?.textContent !== was, before);
  await axeClean(page);
  const take = page.getByRole("button", { name: /^Take \d+ coats in the plan$/ });
  const coats = (await take.innerText()).match(/\d+/)![0];
  await take.click();
  await colours.getByRole("button", { name: new RegExp(`Black ${coats} coats`) }).waitFor();
  await page.getByRole("tab", { name: "How thin" }).click();
  await drag(page, "How much of it", "End");
  await page.getByText(/^That much water leaves the binder lean/).waitFor();
  await choose(page, "Thinned with", "fluid medium");
  await page.getByText(/^On a tilted spoon it /).waitFor();
  await page.getByRole("button", { name: "Thin it so in the plan" }).click();
  await page.getByRole("button", { name: "Thin it so in the plan" }).waitFor({ state: "detached" });
  await axeClean(page);
  await page.getByRole("tab", { name: "Together" }).click();
  await page.getByRole("heading", { name: "To other eyes" }).waitFor();
  await axeClean(page);
  await allSaved(page);
});

/** A swatch as a camera has it: a black line on white card, one coat of a red across both. */
async function swatch(page: Page): Promise<Buffer> {
  const url = await page.evaluate(() => {
    const canvas = document.createElement("canvas");
    [canvas.width, canvas.height] = [400, 400];
    const brush = canvas.getContext("2d")!;
    for (const [colour, x, y] of [
      ["#26262a", 0, 0],
      ["#efece4", 200, 0],
      ["#8d3a2c", 0, 200],
      ["#c2503c", 200, 200],
    ] as const) {
      brush.fillStyle = colour;
      brush.fillRect(x, y, 200, 200);
    }
    return canvas.toDataURL("image/png");
  });
  return Buffer.from(url.split(",")[1]!, "base64");
}

test("a swatch tells how this very paint covers, and drops are counted; both are kept with the jar and reckoned with", async () => {
  const page = await openNotebook();
  await open(page, "/desk?look=swatch");
  await choose(page, "It is", "Red");
  expect(await page.getByRole("button", { name: "Tell how it covers" }).isDisabled()).toBe(true);
  await page.getByLabel("Photograph of the swatch").setInputFiles({ name: "swatch.png", mimeType: "image/png", buffer: await swatch(page) });
  const spot = page.getByRole("button", { name: /^Your swatch: / });
  const box = (await spot.boundingBox())!;
  for (const [prompt, x, y] of [
    ["Tap the dark ground.", 0.25, 0.25],
    ["Tap the white ground.", 0.75, 0.25],
    ["Tap the coat on the dark.", 0.25, 0.75],
    ["Tap the coat on the white.", 0.75, 0.75],
  ] as const) {
    await page.getByText(prompt).waitFor();
    await spot.click({ position: { x: box.width * x, y: box.height * y } });
  }
  await page.getByRole("button", { name: "Tell how it covers" }).click();
  await page.getByText(/^One coat covers about \d+ of 100\./).waitFor();
  await axeClean(page);
  await page.getByRole("button", { name: "Keep it with Red" }).click();
  await page.getByText("Kept: every plan reckons with it.").waitFor();
  await page.getByRole("tab", { name: "Drops" }).click();
  await choose(page, "Drops of", "Red");
  await drag(page, "They came to", "ArrowRight", 5);
  await page.getByRole("heading", { name: "16 drops to a ml" }).waitFor();
  await page.getByRole("button", { name: "Keep it with Red" }).click();
  await page.getByText("Kept.", { exact: true }).waitFor();
  await axeClean(page);
  await allSaved(page);
  await page.getByRole("tab", { name: "How many coats" }).click();
  await choose(page, "The paint", "Red");
  await page.getByText("How well it covers: by your swatch.").waitFor();
  await open(page, `/shelf?jar=${jarOf("red").id}`);
  const card = page.getByRole("dialog", { name: "Red" });
  await card.getByText(/^One coat covers about/).waitFor();
  await card.getByText("16 of your drops are a ml").waitFor();
  await card.getByRole("button", { name: "Forget the swatch" }).click();
  await card.getByText(/^One coat covers/).waitFor({ state: "detached" });
  await allSaved(page);
});

test("an uneven body is measured by its foil or its tape; what is cleared says nothing any more", async () => {
  const { page } = await newNotebook();
  await plan(page, DOTTED_PEBBLE);
  await openFact(page, "What it is");
  await page.getByRole("radio", { name: "Measured by foil or tape" }).click();
  await page.getByText("Work out its area").click();
  await page.getByLabel("The foil weighs").fill("0.81");
  await page.getByText("That is 200 cm².").waitFor();
  await page.getByLabel("A square metre of it weighs").fill("81");
  await page.getByText("That is 100 cm².").waitFor();
  await page.getByLabel("The foil weighs").fill("");
  await page.getByText(/^That is /).waitFor({ state: "detached" });
  await page.getByRole("radio", { name: "strips of tape" }).click();
  await page.getByLabel("All strips together").fill("1250");
  await page.getByText("That is 300 cm².").waitFor();
  await axeClean(page);
  await allSaved(page);
  await page.reload();
  await planReady(page);
  expect(await page.getByRole("complementary", { name: "What you know of it" }).getByRole("textbox").first().inputValue()).toBe("300");
});
