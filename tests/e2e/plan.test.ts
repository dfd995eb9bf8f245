/** From three facts to a plan that is kept, sharpened, mended and followed. */
import { describe, expect, test } from "@jest/globals";
import { throughDoor } from "#core/cli-door";
import { axeClean, contentOf, newNotebook, open, openFact, ownServer, plan, planReady, stepTitles, toRoom, URL_BASE, watchEveryPage } from "./bench";

watchEveryPage();

describe("first visit", () => {
  test("an empty notebook says what to do, and every page is axe clean in both themes and at 390 px", async () => {
    for (const options of [{}, { colorScheme: "dark" as const }, { viewport: { width: 390, height: 800 } }]) {
      const { page } = await newNotebook(options);
      await open(page, "/pieces");
      await page.getByRole("heading", { name: "What have you got in your hand?" }).waitFor();
      await axeClean(page);
      for (const path of ["/pieces/new", "/settings"]) {
        await open(page, path);
        await axeClean(page);
        expect(await page.evaluate(() => document.documentElement.scrollWidth <= innerWidth)).toBe(true);
      }
    }
  });

  test("facts left out are asked for in words, and nothing is made", async () => {
    const { page } = await newNotebook();
    await open(page, "/pieces/new");
    await page.getByRole("button", { name: "Make the coat plan" }).click();
    expect(await page.getByRole("alert").allInnerTexts()).toEqual(["Pick what it is made of.", "Pick at least one use."]);
  });
});

describe("new piece to plan", () => {
  test("a planter: sealed inside and out, with reasons, waits and the section; axe clean in both themes", async () => {
    for (const colorScheme of ["light", "dark"] as const) {
      const { page } = await newNotebook({ colorScheme });
      await plan(page, { material: "Terracotta", uses: ["A planter with wet soil"], techniques: ["Dots"] });
      const titles = await stepTitles(page);
      expect(titles).toEqual(
        expect.arrayContaining(["Prime: one coat of gesso", "Seal: two coats of satin outdoor varnish", "Seal: two coats of pot inside sealer"]),
      );
      await page.getByText("Because it slows water in the wall").first().waitFor();
      await page
        .getByText(/Wait \d/)
        .first()
        .waitFor();
      expect(await page.getByRole("button", { name: /^Step \d+, / }).count()).toBeGreaterThan(5);
      await axeClean(page);
    }
  });

  test("sizes from a tape measure, in inches too, change areas and amounts; nonsense is refused in words", async () => {
    const { page } = await newNotebook();
    await plan(page, { material: "Terracotta", uses: ["On show indoors"] });
    const poured = page.getByText(/^Pour out/).first();
    const before = await poured.innerText();
    await openFact(page, "What it is");
    await page.getByRole("radio", { name: "inches" }).click();
    await page.keyboard.press("Escape");
    await page.getByLabel("Across the top").fill("15 3/4");
    await page.getByLabel("Height").fill("15");
    await page.getByLabel("Height").blur();
    await page.waitForFunction(
      (was) => [...document.querySelectorAll("li p")].find((line) => line.textContent?.startsWith("Pour out"))?.textContent !== was,
      before,
    );
    expect(await poured.innerText()).not.toBe(before);
    await page.getByLabel("Height").fill("four hundred");
    await page.getByText("not a length: 80, 3 1/4, 8 cm").waitFor();
    await page.getByLabel("Height").fill("4000");
    await page.getByText("too large: is the unit right?").waitFor();
    await page.getByLabel("Height").press("Escape");
    await page.reload();
    await planReady(page);
    expect(await page.getByLabel("Height").inputValue()).toBe("15");
  });

  test("conditions and rooms sharpen it: salts are soaked out, a cold shed takes longer", async () => {
    const { page } = await newNotebook();
    await plan(page, { material: "Terracotta", uses: ["A planter with wet soil"] });
    const search = page.getByRole("combobox", { name: /^Say more of it/ });
    await search.fill("salt");
    await search.press("Enter");
    await page.getByRole("button", { name: "How it looks now: white salts on it" }).waitFor();
    await page.locator("ol li").getByText("Soak in fresh water, changed twice").first().waitFor();
    const wait = page.getByText(/Wait .* until it takes the next coat/).first();
    const usual = await wait.innerText();
    await openFact(page, "Where you work");
    await page.getByRole("radio", { name: /^A cold shed/ }).click();
    await page.waitForFunction((was) => !document.body.innerText.includes(was), usual);
    expect(await wait.innerText()).not.toBe(usual);
  });
});

describe("choosing and changing", () => {
  test("another way to do it is followed and kept over a reload", async () => {
    const { page } = await newNotebook();
    await plan(page, { material: "Smooth pebble", uses: ["On show indoors"], techniques: ["Dots"] });
    await toRoom(page, "Other ways");
    await page.getByRole("radio", { name: /With an isolation coat/ }).click();
    await toRoom(page, "Plan");
    await page.getByRole("heading", { name: "With an isolation coat" }).waitFor();
    await page.reload();
    await page.getByRole("heading", { name: "With an isolation coat" }).waitFor();
    expect(await stepTitles(page)).toEqual(expect.arrayContaining(["Isolate: two coats of acrylic varnish"]));
  });

  test("a seal left out is a likely fault; one click mends it; back to the plan as it was", async () => {
    const { page } = await newNotebook();
    await plan(page, { material: "Smooth pebble", uses: ["Picked up and handled"], techniques: ["Dots"] });
    await page
      .getByRole("button", { name: /^Leave out: Seal/ })
      .first()
      .click();
    const fault = page.locator('[data-code="unsealed-wear"]');
    await fault.getByText("Likely fault:").waitFor();
    expect(await page.evaluate(() => document.activeElement !== document.body)).toBe(true);
    await fault.getByRole("button", { name: /^Do that/ }).click();
    await fault.waitFor({ state: "detached" });
    await page.reload();
    await page.getByText("2 changes of yours are in this plan.").waitFor();
    expect((await stepTitles(page)).some((title) => title.startsWith("Seal"))).toBe(true);
    await page.getByRole("button", { name: "Back to the plan as it was" }).click();
    await page.getByText(/changes? of yours/).waitFor({ state: "detached" });
  });

  test("a paint that cannot be kept is left out alone, and the plan says so; what cannot be planned says why, with the nearest that works", async () => {
    const { page } = await newNotebook();
    await plan(page, { material: "Gypsum cast", uses: ["A gift, or for sale"], techniques: ["Dots"] });
    await openFact(page, "What you decorate with");
    await page.getByRole("radio", { name: "Poster paint" }).click();
    await page.keyboard.press("Escape");
    await page
      .getByText(/never sets: it dusts off on hands/)
      .first()
      .waitFor();
    expect((await stepTitles(page)).join()).not.toContain("poster paint");
    await openFact(page, "What it is for");
    await page.getByLabel("Outdoors, in sun and rain").check();
    await page.keyboard.press("Escape");
    await page.getByRole("heading", { name: /^There is no sound plan for/ }).waitFor();
    await axeClean(page);
    await page.getByRole("button", { name: "Nearest that works: cast it in cement instead" }).click();
    await page.getByRole("heading", { name: "Sound all round" }).waitFor();
  });

  test("the headless door and the served one give the screen's own plan for the same piece", async () => {
    const { page } = await newNotebook();
    await plan(page, { material: "Hardwood", uses: ["A tray for cups and plates"], techniques: ["Lettering"] });
    const shown = await stepTitles(page);
    await open(page, "/settings");
    const [download] = await Promise.all([page.waitForEvent("download"), page.getByRole("button", { name: "Save the notebook" }).click()]);
    const { piece } = JSON.parse(await contentOf(download)).pieces[0];
    const served = await fetch(`${URL_BASE}/api/plan`, { method: "POST", body: JSON.stringify(piece) });
    const fromDoor = JSON.parse(throughDoor(["plan"], () => JSON.stringify(piece)).stdout);
    expect(await served.json()).toEqual(fromDoor);
    const steps = fromDoor.candidates[0].zones.flatMap((zone: { steps: { product: string }[] }) => zone.steps.map((step) => step.product));
    expect(steps).toContain("waterborne-polyurethane");
    expect(shown.join()).toContain("waterborne polyurethane");
    const bad = await fetch(`${URL_BASE}/api/plan`, { method: "POST", body: JSON.stringify({ ...piece, count: 0 }) });
    expect([bad.status, ((await bad.json()) as { error: { path: string } }).error.path]).toEqual([422, "count"]);
  });
});

describe("the kiln, and a page over plain http", () => {
  test("a bisque plate to eat from is planned for show without a kiln and says so; with one it is glazed and fired, and no sealer is asked for", async () => {
    const { page } = await newNotebook();
    await plan(page, { material: "Bisque", uses: ["To eat from"] });
    const shown = page.locator('[data-code="for-show-only"]');
    await shown.getByText("It cannot be eaten or drunk from").waitFor();
    await axeClean(page);
    await shown.getByRole("button", { name: /^Do that/ }).click();
    await page
      .getByRole("button", { name: /^Step \d+, .*: Fire in the kiln, about/ })
      .first()
      .waitFor();
    const titles = await stepTitles(page);
    expect(titles.some((title) => title.startsWith("Seal: ") && !/glaze/.test(title))).toBe(false);
    await axeClean(page);
  });

  test("plain http: says what does not work there; planning and keeping do", async () => {
    const server = await ownServer({ host: "0.0.0.0" });
    try {
      const { page } = await newNotebook();
      await page.goto(`${server.url}/settings`);
      await page.getByText(/This page is open over plain http/).waitFor();
      expect(await page.evaluate(() => window.isSecureContext)).toBe(false);
      await page.goto(`${server.url}/pieces/new`);
      await page.waitForLoadState("networkidle");
      await page.getByRole("radio", { name: "Smooth pebble" }).click();
      await page.getByLabel("On show indoors", { exact: true }).check();
      await page.getByRole("button", { name: "Make the coat plan" }).click();
      await page.waitForURL(/\/pieces\/[0-9a-z]{16}/);
      await planReady(page);
      await page
        .getByRole("button", { name: /^Leave out: Seal/ })
        .first()
        .click();
      await page.getByText("1 change of yours is in this plan.").waitFor();
      await page.reload();
      await page.getByText("1 change of yours is in this plan.").waitFor();
    } finally {
      await server.stop();
    }
  });
});
