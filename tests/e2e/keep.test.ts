/** What is kept: over a reload, in a file, against bad files; and all of it by keyboard. */
import { describe, expect, test } from "@jest/globals";
import type { Page } from "playwright-core";
import { axeClean, contentOf, expectComplaint, newNotebook, open, plan, planReady, removePiece, toRoom, URL_BASE, watchEveryPage } from "./bench";

watchEveryPage();

async function saved(page: Page): Promise<string> {
  await open(page, "/settings");
  const [download] = await Promise.all([page.waitForEvent("download"), page.getByRole("button", { name: "Save the notebook" }).click()]);
  expect(download.suggestedFilename()).toMatch(/^nook-coat-\d{4}-\d\d-\d\d\.json$/);
  return await contentOf(download);
}

async function bringIn(page: Page, text: string): Promise<string> {
  await page.getByLabel("Notebook file").setInputFiles({ name: "notebook.json", mimeType: "application/json", buffer: Buffer.from(text) });
  const status = page
    .getByRole("status")
    .filter({ hasText: /brought in|up to date|already here|new here|left as here|taken away there|not taken|could not be (written|done)/ });
  await status.waitFor();
  return status.innerText();
}

describe("files", () => {
  test("save, empty, bring in: the same notebook again, plan and all", async () => {
    const { page } = await newNotebook();
    await plan(page, { material: "Glazed ceramic", uses: ["To drink from"], techniques: ["Dots"] });
    await toRoom(page, "Other ways");
    await page.getByRole("radio", { name: /With a bake at 180 °C/ }).click();
    await toRoom(page, "Plan");
    await page.getByRole("heading", { name: "With a bake at 180 °C" }).waitFor();
    const address = page.url();
    const before = await saved(page);
    await page.getByRole("button", { name: "Empty the notebook" }).click();
    await axeClean(page);
    await page.getByRole("button", { name: "Empty it" }).click();
    await page.getByText("The notebook is empty now.").waitFor();
    await page.getByText("no pieces yet").waitFor();
    expect(await bringIn(page, before)).toMatch(/^1 piece.* brought in/);
    expect(await saved(page)).toBe(before);
    await page.goto(address);
    await page.getByRole("heading", { name: "With a bake at 180 °C" }).waitFor();
  });

  test("a damaged, a foreign and a newer file are told what and where, and change nothing", async () => {
    const { page } = await newNotebook();
    await plan(page, { material: "Glass", uses: ["To hold a candle"] });
    const before = await saved(page);
    const document = JSON.parse(before);
    document.pieces[0].piece.form.heightMm = "tall";
    const damaged = JSON.stringify(document);
    for (const [text, said] of [
      [before.slice(0, 200), /damaged, or is not a Nook Coat file/],
      ['{"hello":1}', /not a Nook Coat bundle/],
      [before.replace(/"version": \d+/, '"version": 97'), /version 97.*version \d+/],
      [damaged, /Glass jar.*pieces\.0\.piece\.form\.heightMm/],
    ] as const) {
      await open(page, "/settings");
      const status = await bringIn(page, text);
      expect(status).toMatch(said);
      if (text !== damaged) expect(status).toContain("nothing of yours was changed");
    }
    const [aside] = await Promise.all([page.waitForEvent("download"), page.getByRole("button", { name: "Save what was set aside" }).click()]);
    expect(JSON.parse(await contentOf(aside)).aside).toEqual([{ store: "pieces", record: document.pieces[0] }]);
    await axeClean(page);
    expect(await saved(page)).toBe(before);
  });
});

describe("the notebook's list", () => {
  test("names every piece, in order, and lets one be renamed and removed", async () => {
    const { page } = await newNotebook();
    await plan(page, { material: "Smooth pebble", uses: ["On show indoors"] });
    await plan(page, { material: "Glazed ceramic", uses: ["To drink from"], techniques: ["Dots"] });
    await page.getByLabel("Name of the piece").fill("  Tea mug for Tern Point  ");
    await page.getByLabel("Name of the piece").press("Enter");
    await page.waitForFunction(() => document.title.startsWith("Tea mug for Tern Point"));
    await page.getByLabel("Name of the piece").fill("   ");
    await page.getByLabel("Name of the piece").press("Enter");
    await page.getByRole("link", { name: "Pieces", exact: true }).click();
    const names = page.locator("main li .font-display");
    await names.first().waitFor();
    expect(await names.allInnerTexts()).toEqual(["Smooth pebble", "Tea mug for Tern Point"]);
    await axeClean(page);
    await page.getByText("Tea mug for Tern Point").click();
    await planReady(page);
    await removePiece(page);
    await page.waitForURL(`${URL_BASE}/pieces`);
    await names.first().waitFor();
    expect(await names.allInnerTexts()).toEqual(["Smooth pebble"]);
  });
});

describe("by keyboard only", () => {
  test("three facts, a plan, a change, and away again", async () => {
    const { page } = await newNotebook();
    await open(page, "/pieces");
    const press = async (until: () => Promise<boolean>, key = "Tab", most = 80) => {
      for (let count = 0; count < most; count += 1) {
        if (await until()) return;
        await page.keyboard.press(key);
      }
      throw new Error("never reached by keyboard");
    };
    const focused = (text: string) => () =>
      page.evaluate((wanted) => {
        const on = document.activeElement as HTMLInputElement | null;
        return (
          on !== null &&
          on !== document.body &&
          on.id !== "page" &&
          [on.textContent, on.getAttribute("aria-label"), on.value, on.closest("label")?.textContent].some((said) => said?.includes(wanted))
        );
      }, text);
    await press(focused("Plan your first piece"));
    await page.keyboard.press("Enter");
    await page.waitForURL(/new/);
    await press(focused("stone-smooth"));
    await page.keyboard.press("Space");
    await press(focused("handled"));
    await page.keyboard.press("Space");
    await press(focused("Dots"));
    await page.keyboard.press("Space");
    await press(focused("Make the coat plan"));
    await page.keyboard.press("Enter");
    await page.waitForURL(/pieces\/[0-9a-z]{16}/);
    await planReady(page);
    await press(focused("One coat more: Prime"), "Tab", 140);
    await page.keyboard.press("Enter");
    await page.getByText("1 change of yours is in this plan.").waitFor();
  });

  test("the bands of the section are walked with the arrows and opened, and D marks a coat as done", async () => {
    const { page } = await newNotebook();
    await plan(page, { material: "Terracotta", uses: ["On show indoors"], techniques: ["Dots"] });
    const band = (name: RegExp) => page.getByRole("button", { name }).first();
    await band(/^Step 1, .*: Brush off dry/).focus();
    for (const key of ["ArrowUp", "ArrowUp", "ArrowUp"]) await page.keyboard.press(key);
    const here = () => page.evaluate(() => document.activeElement?.getAttribute("aria-label") ?? "");
    expect(await here()).toMatch(/: Base colour/);
    await page.keyboard.press("ArrowRight");
    expect(await here()).toMatch(/^Step \d+, (?!Outside)/);
    await page.keyboard.press("ArrowLeft");
    await page.keyboard.press("ArrowDown");
    await page.keyboard.press("Enter");
    const panel = page.getByRole("region", { name: /Prime: one coat of/ });
    await panel.getByText("What else would do").waitFor();
    await panel.getByText("If you leave it out").waitFor();
    await page.keyboard.press("d");
    await panel.getByRole("button", { name: /^Not done after all/ }).waitFor();
    await page.reload();
    await planReady(page);
    await page
      .getByText(/Leave it alone|Now:/)
      .first()
      .waitFor();
    await axeClean(page);
  });
});

describe("addresses and the policy", () => {
  test("a page that is not there says so, with a way back; a piece that is gone too", async () => {
    const { page } = await newNotebook();
    const answer = await page.goto(`${URL_BASE}/nowhere`);
    expect(answer?.status()).toBe(404);
    await page.getByRole("heading", { name: "There is no such page" }).waitFor();
    await axeClean(page);
    expectComplaint(/404/);
    await open(page, "/pieces/0000000000000000");
    await page.getByText("this piece is not in your notebook").waitFor();
    await page.getByRole("link", { name: "Back to your pieces" }).click();
    await page.getByRole("heading", { name: "Pieces" }).waitFor();
  });

  test("the served door says what it takes, and refuses what is far too large", async () => {
    const asked = await fetch(`${URL_BASE}/api/plan`);
    expect([asked.status, await asked.json()]).toEqual([405, { error: { code: "bad-verb", message: "send a piece with POST", path: "" } }]);
    const huge = await fetch(`${URL_BASE}/api/plan`, { method: "POST", body: " ".repeat(1_000_001) });
    expect(huge.status).toBe(413);
    const broken = await fetch(`${URL_BASE}/api/plan`, { method: "POST", body: "{" });
    expect([broken.status, ((await broken.json()) as { error: { code: string } }).error.code]).toEqual([422, "not-json"]);
  });

  test("every document forbids what it does not need", async () => {
    const { headers } = await fetch(`${URL_BASE}/`);
    const policy = headers.get("content-security-policy") ?? "";
    expect(policy).toContain("default-src 'none'");
    expect(policy).not.toContain("unsafe");
  });

  test("the phone: the plan fits 390 px, with nothing cut off", async () => {
    const { page } = await newNotebook({ viewport: { width: 390, height: 800 } });
    await plan(page, { material: "Terracotta", uses: ["A planter with wet soil"], techniques: ["Dots"] });
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    await axeClean(page);
  });
});
