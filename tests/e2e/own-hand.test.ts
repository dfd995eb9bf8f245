/** The plan under her own hands: steps of her own, another order, another way, what goes where. */
import { expect, test } from "@jest/globals";
import { allSaved, axeClean, choose, moveUpByKeys, newNotebook, openFact, plan, stepTitles, watchEveryPage } from "./bench";

watchEveryPage();

test("a step of her own goes in where she wants it, earlier or later, is told what it costs, and is taken back", async () => {
  const { page } = await newNotebook();
  await plan(page, { material: "Smooth pebble", uses: ["Outdoors, in sun and rain"], techniques: ["Dots"] });
  const before = await stepTitles(page);
  await page.locator("ol h4 button").filter({ hasText: "Seal" }).last().click();
  await page.getByRole("button", { name: "A step of your own after this" }).click();
  await choose(page, "With what", "Coating resin");
  await page.getByRole("button", { name: "Put it in" }).click();
  await page.locator("ol h4").filter({ hasText: "coating resin" }).waitFor();
  await page.locator('[data-code="resin-in-sun"]').waitFor();
  await allSaved(page);
  const seals = async () => (await stepTitles(page)).filter((title) => title.startsWith("Seal"));
  expect((await seals()).at(-1)).toMatch(/coating resin/);
  await axeClean(page);
  await page
    .getByRole("button", { name: /^Do it a step earlier: Seal: one coat of .*coating resin/ })
    .last()
    .click();
  await page.waitForFunction(
    () => !/coating resin/.test([...document.querySelectorAll("ol h4")].filter((one) => /Seal/.test(one.textContent)).at(-1)?.textContent ?? ""),
  );
  await page
    .getByRole("button", { name: /^Leave out: Seal: one coat of .*coating resin/ })
    .last()
    .click();
  await page.waitForFunction(() => !/coating resin/.test(document.querySelector("ol")?.textContent ?? ""));
  expect(await stepTitles(page)).toEqual(before);
});

test.each([
  { width: 1280, height: 800 },
  { width: 390, height: 800 },
])("what goes where is said one by one, in its order; a place is pointed at on the drawing; a motif has a place of its own: %o", async (viewport) => {
  const { page } = await newNotebook({ viewport });
  await plan(page, { material: "Terracotta", uses: ["On show indoors"], techniques: ["Dots"] });
  await openFact(page, "Decoration");
  await page.getByRole("button", { name: "Say what goes where" }).click();
  const layers = page.getByRole("list", { name: "Layers of the decoration, first to last" });
  await layers.getByRole("button", { name: "Dots, outside", exact: true }).waitFor();
  await page.getByRole("button", { name: "One more layer" }).click();
  await choose(page, "How", "Lettering");
  await choose(page, "Where", "Motif 1 on the outside");
  await layers.getByRole("button", { name: "Lettering, motif 1 on the outside", exact: true }).waitFor();
  await choose(page, "How much of the place", "half of it");
  await layers.getByRole("button", { name: "Lettering, motif 1 on the outside, half of it" }).waitFor();
  await choose(page, "How much of the place", /^as is usual/);
  await layers.getByRole("button", { name: "Dots, outside", exact: true }).click();
  await page.getByRole("textbox", { name: "How many" }).fill("0");
  await page.getByText("a whole number from 1 to").waitFor();
  await page.getByRole("textbox", { name: "How many" }).fill("24");
  await page.getByLabel("Across, mm").fill("8,5");
  await layers.getByRole("button", { name: "Dots, outside, 24 of 8.5 mm", exact: true }).waitFor();
  await page.getByLabel("Across, mm").fill("");
  await page.getByRole("textbox", { name: "How many" }).fill("");
  await layers.getByRole("button", { name: "Dots, outside", exact: true }).waitFor();
  await page.getByRole("textbox", { name: "How many" }).fill("24");
  await axeClean(page);
  await page.getByRole("button", { name: "Earlier: Lettering, motif 1 on the outside" }).click();
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: /^What goes where, in its order: lettering .*motif 1 on the outside; dots/ }).waitFor();
  await page
    .getByRole("button", { name: /^Step \d+, Motif 1 on the outside: Lettering/ })
    .first()
    .waitFor();
  await page.getByText("Reckoned for 24 dots of").first().waitFor();
  await page.locator("#facts svg path.cursor-pointer").first().click({ force: true });
  await page.getByRole("button", { name: /^One more, on the / }).click();
  await page.getByRole("button", { name: "Spread them for me" }).click();
  await page.getByRole("button", { name: /^Decoration: / }).waitFor();
});

test("a step is moved with the keys and dragged by hand, done another way, in another place; each is judged at once, and all of it is taken back", async () => {
  const { page } = await newNotebook({ viewport: { width: 1280, height: 1700 } });
  await plan(page, { material: "Terracotta", uses: ["On show indoors"], techniques: ["Dots"] });
  const before = await stepTitles(page);
  const place = async (start: string) => (await stepTitles(page)).findIndex((title) => title.startsWith(start));
  const handle = (start: string) => page.getByRole("button", { name: new RegExp(`^Move step \\d+: ${start}`) }).first();
  const [prime, base] = [await place("Prime"), await place("Base colour")];
  expect(base).toBe(prime + 1);
  await moveUpByKeys(page, "Base colour", /stands where step \d+, Prime/);
  await page.waitForFunction((at) => document.querySelectorAll("ol h4")[at]?.textContent?.includes("Base colour"), prime);
  await axeClean(page);
  await handle("Base colour").evaluate((one) => one.scrollIntoView({ block: "center" }));
  const [from, to] = [(await handle("Base colour").boundingBox())!, (await handle("Prime").boundingBox())!];
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2 + 20, { steps: 4 });
  await page.getByText(/^Taken up: step/).waitFor({ state: "attached" });
  await page.mouse.move(to.x + to.width / 2, to.y + to.height / 2 + 30, { steps: 8 });
  await page.getByText(/stands where step \d+, Prime/).waitFor({ state: "attached" });
  await page.mouse.up();
  await page.waitForFunction((at) => document.querySelectorAll("ol h4")[at]?.textContent?.includes("Prime"), prime);
  await page
    .getByRole("button", { name: /^Step \d+, .*: Dots/ })
    .first()
    .click();
  const panel = page.locator("[data-panel]");
  await panel.getByText("Do it another way").click();
  await choose(page, "How it is decorated", "Stencil");
  await panel.getByRole("heading", { name: /Stencil: / }).waitFor();
  await choose(page, "Laid on with", "a brush");
  await page.getByRole("combobox", { name: "Laid on with a brush" }).waitFor();
  await panel.getByRole("group", { name: "Where" }).getByText("Rim", { exact: true }).click();
  await panel.getByText("Outside and rim", { exact: true }).waitFor();
  await axeClean(page);
  await page.getByRole("button", { name: "Back to the plan as it was" }).click();
  await page.waitForFunction(
    (titles) => JSON.stringify([...document.querySelectorAll("ol h4")].map((one) => one.textContent?.replace(/^\d+\s*/, "").trim())) === titles,
    JSON.stringify(before),
  );
});
