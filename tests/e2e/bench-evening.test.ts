/** A whole evening at the Bench with a fast clock: three pieces from the first wash to the last seal, a batch counted, one tacky, one rescued, and everything that may happen to a page. */
import { expect, test } from "@jest/globals";
import type { Page } from "playwright-core";
import type { BundleParts } from "#core/formats/write-bundle";
import { writeBundle } from "#core/formats/write-bundle";
import { allSaved, axeClean, keptForOffline, newNotebook, open, pageFits, URL_BASE, watchEveryPage, WITH_OWN_COPY } from "./bench";

watchEveryPage();

const EVENING = Date.parse("2027-01-11T18:00:00Z");
const DAY_MS = 86_400_000;
const JAR = "harbournavy1";

type Record<S extends keyof BundleParts> = BundleParts[S][number];

function piece(id: string, name: string, count: number, more: object): Record<"pieces"> {
  const stated = {
    format: "nook-coat/piece",
    version: 1,
    name,
    material: "stone-smooth",
    form: { kind: "pebble", lengthMm: 60, widthMm: 45, thicknessMm: 15 },
    uses: ["handled"],
    count,
    room: { temperatureC: 21, relativeHumidity: 0.5, airflow: "still" },
    decoration: { techniques: ["dots"], baseColour: "#1f3a4d", colours: ["#f4efe2"] },
    ...more,
  };
  return { id, rev: 1, piece: stated, planId: null, dates: { due: "2027-03-01" } } as unknown as Record<"pieces">;
}

const NOTEBOOK = JSON.stringify(
  writeBundle({
    pieces: [
      piece("doorwedge0001", "Door wedge", 1, {}),
      piece("herbpot000001", "Herb pot", 1, {
        material: "terracotta",
        object: "pot",
        form: { kind: "frustum", topDiameterMm: 120, bottomDiameterMm: 85, heightMm: 110 },
        uses: ["indoor-display"],
        decoration: { techniques: ["bands"], baseColour: "#1f3a4d", colours: ["#f4efe2"] },
      }),
      piece("windowpeb0001", "Window pebbles", 12, { decoration: { techniques: [], baseColour: "#1f3a4d", colours: [] } }),
    ],
    shelf: [
      {
        id: JAR,
        rev: 1,
        classId: "craft-acrylic",
        name: "Harbour navy",
        colour: "#1f3a4d",
        sizeMl: 60,
        label: {},
        left: { ml: 60, by: "volume", at: "2027-01-01T00:00:00.000Z" },
      } as unknown as Record<"shelf">,
    ],
  }),
);

async function onBench(options: Parameters<typeof newNotebook>[0] = {}) {
  const { context, page } = await newNotebook({ timezoneId: "Europe/London", locale: "en-GB", ...options });
  await context.clock.setFixedTime(EVENING);
  await open(page, "/settings");
  await page.getByLabel("Notebook file").setInputFiles({ name: "notebook.json", mimeType: "application/json", buffer: Buffer.from(NOTEBOOK) });
  await page.getByText("3 pieces brought in.").waitFor();
  await allSaved(page);
  await toBench(page);
  return { context, page };
}

async function toBench(page: Page): Promise<void> {
  await page.goto(`${URL_BASE}/`);
  await settled(page);
}

/** The Bench shows what is written. */
async function settled(page: Page): Promise<void> {
  await allSaved(page);
  await page.locator("[data-bench][aria-busy=false]").waitFor();
}

/** The clock goes on; the page that comes back into sight looks at it. */
async function goOn(pages: readonly Page[], to: number): Promise<void> {
  await pages[0]!.context().clock.setFixedTime(to);
  for (const page of pages) await page.evaluate(() => window.dispatchEvent(new Event("focus")));
}

/** What may be touched now, by piece and step; null where everything is left alone. */
async function touchable(page: Page): Promise<string | null> {
  const go = page.locator("[data-now] [data-go]");
  return (await go.count()) === 0 ? null : go.getAttribute("data-go");
}

/** Pieces that are to be left alone altogether, each with its instant. */
const alone = (page: Page) =>
  page
    .locator("[data-alone]:not([data-partly])")
    .evaluateAll((items) => items.map((item) => ({ piece: item.getAttribute("data-alone")!, until: Number(item.getAttribute("data-until")) })));

async function kept(page: Page, store: string): Promise<readonly { readonly [key: string]: unknown }[]> {
  return page.evaluate(
    (name) =>
      new Promise<never[]>((resolve) => {
        const opening = indexedDB.open("nook-coat");
        opening.onsuccess = () => {
          const asked = opening.result.transaction(name).objectStore(name).getAll();
          asked.onsuccess = () => (opening.result.close(), resolve(asked.result as never[]));
        };
      }),
    store,
  );
}

test("from the first wash to the last seal, with a reload, a killed page and another tab in the middle", async () => {
  const { context, page: first } = await onBench();
  let page = first;
  let now = EVENING;
  let [tacky, rescued, counted] = [false, false, false];
  const notedOf = async () => (await kept(page, "progress")).filter(({ kind }) => kind === "done").length;
  for (let step = 0; step < 90; step += 1) {
    const go = await touchable(page);
    const waits = await alone(page);
    if (go === null) {
      const next = Math.min(...waits.map(({ until }) => until));
      if (!Number.isFinite(next)) break;
      expect(next).toBeGreaterThan(now);
      now = next + 1000;
      await goOn([page], now);
      await page.waitForFunction((at) => ![...document.querySelectorAll("[data-alone]")].some((item) => Number(item.getAttribute("data-until")) <= at), now);
      continue;
    }
    const [id] = go.split("/") as [string];
    // Nothing that is left alone is ever in the hand.
    expect(waits.map(({ piece: of }) => of)).not.toContain(id);
    if (!counted && id === "windowpeb0001" && /prime|base/.test(go)) {
      counted = true;
      await page.getByRole("button", { name: /^Start: / }).click();
      await page.locator("[data-primary]").getByText("0 of 12").waitFor();
      for (const count of [1, 2, 3]) {
        await page.locator("[data-primary]").click();
        await page.locator("[data-primary]").getByText(`${count} of 12`).waitFor();
      }
      await settled(page);
      await page.reload();
      await page.locator("[data-primary]").getByText("3 of 12").waitFor();
      await page.getByText(/The first in|may be turned/).waitFor();
      // Another tab counts on, and this one sees it.
      const other = await context.newPage();
      await toBench(other);
      await other.locator("[data-primary]").click();
      await page.locator("[data-primary]").getByText("4 of 12").waitFor();
      await other.close();
      // The page is killed: what was counted stays.
      const next = await context.newPage();
      await page.close({ runBeforeUnload: false });
      page = next;
      await toBench(page);
      await page.locator("[data-primary]").getByText("4 of 12").waitFor();
      await page.getByRole("button", { name: /^One too many/ }).click();
      await page.locator("[data-primary]").getByText("3 of 12").waitFor();
      await page.getByRole("button", { name: /^All 12 done: / }).click();
      await page.waitForFunction((before) => document.querySelector("[data-now] [data-go]")?.getAttribute("data-go") !== before, go);
      await settled(page);
      continue;
    }
    if (!tacky && id === "doorwedge0001" && (await page.getByRole("button", { name: "Still tacky" }).count()) > 0 && /base|decorate/.test(go)) {
      tacky = true;
      await page.getByRole("button", { name: "Still tacky" }).click();
      await page.locator(`[data-alone="${id}"]`).waitFor();
      await settled(page);
      continue;
    }
    if (!rescued && id === "herbpot000001" && /decorate|seal/.test(go)) {
      rescued = true;
      const before = await notedOf();
      await page.getByRole("link", { name: "It went wrong" }).click();
      await page.getByRole("heading", { name: "What does it look like?" }).waitFor();
      await page.getByRole("combobox", { name: /^In which coat/ }).click();
      await page
        .getByRole("option", { name: /Base colour/ })
        .first()
        .click();
      await page.getByRole("radio", { name: /^hard right through/ }).check();
      await page.getByRole("button", { name: /^Laid on what was still wet/ }).click();
      await page.getByRole("button", { name: "I have done it: Sand it back to the band beneath" }).click();
      await page.locator("[data-bench]").waitFor();
      await settled(page);
      expect(await notedOf()).toBe(before);
      expect((await kept(page, "progress")).some(({ kind }) => kind === "ruined")).toBe(true);
      continue;
    }
    await page.locator("[data-primary]").click();
    await page.waitForFunction((before) => document.querySelector("[data-now] [data-go]")?.getAttribute("data-go") !== before, go);
    await settled(page);
    now += 60_000;
    await goOn([page], now);
  }
  expect([counted, tacky, rescued]).toEqual([true, true, true]);
  await page.getByRole("heading", { name: "All coats are on" }).waitFor();
  // What was done is all there, and nothing twice.
  const done = (await kept(page, "progress")).filter(({ kind }) => kind === "done");
  expect(new Set(done.map(({ pieceId }) => pieceId)).size).toBe(3);
  const ids = done.map(({ pieceId, zone, stepId, coat, half, at }) => [pieceId, zone, stepId, coat, half, at].join("|"));
  expect(new Set(ids).size).toBe(ids.length);
  // The jar is emptier than it was.
  await open(page, "/shelf");
  await page.getByText("Harbour navy").first().waitFor();
  expect(await page.getByText("about 60 ml", { exact: false }).count()).toBe(0);
});

test("on a phone leaning on the water jar it fits, and is worked by thumb", async () => {
  const { page } = await onBench({ viewport: { width: 390, height: 800 }, hasTouch: true });
  expect(await pageFits(page)).toBe(true);
  await axeClean(page);
  // Every target of what is done now is large enough for a thumb.
  const small = await page
    .locator("[data-now] button, [data-now] a.button")
    .evaluateAll((all) => all.filter((one) => one.getBoundingClientRect().height < 44).length);
  expect(small).toBe(0);
  const go = (await touchable(page))!;
  await page.locator("[data-primary]").tap();
  await page.waitForFunction((before) => document.querySelector("[data-now] [data-go]")?.getAttribute("data-go") !== before, go);
  await settled(page);
  await page.goto(`${URL_BASE}/evening`);
  await page.locator("[data-done-on]").waitFor();
  expect(await pageFits(page)).toBe(true);
  await page.goto(`${URL_BASE}/pieces/doorwedge0001/rescue`);
  await page.getByText("No coat is on it yet").waitFor();
});

test("what is wet asks first, what was done earlier is said so, what is put off comes back, timers and places stay; the evening is told at its end", async () => {
  const { page } = await onBench();
  await axeClean(page);
  expect(await pageFits(page)).toBe(true);
  // By keys: another piece is taken up, and the space bar notes it.
  await page.locator("#page").focus();
  for (let press = 0; press < 3 && !(await touchable(page))!.startsWith("doorwedge"); press += 1) {
    const offered = await touchable(page);
    await page.keyboard.press("ArrowDown");
    await page.waitForFunction((before) => document.querySelector("[data-now] [data-go]")?.getAttribute("data-go") !== before, offered);
  }
  const chosen = (await touchable(page))!;
  await page.keyboard.press(" ");
  await page.waitForFunction((before) => document.querySelector("[data-now] [data-go]")?.getAttribute("data-go") !== before, chosen);
  await settled(page);
  const [piece] = chosen.split("/") as [string];
  // Washed, it dries through: laid on it all the same is asked about first.
  const wet = page.locator(`[data-alone="${piece}"]`);
  await wet.getByRole("button", { name: /it is laid already$/ }).click();
  const asks = page.getByRole("alertdialog", { name: "What lies beneath is not dry yet" });
  await axeClean(page);
  await asks.getByRole("button", { name: "Leave it alone" }).click();
  await asks.waitFor({ state: "detached" });
  expect((await kept(page, "progress")).length).toBeGreaterThan(0);
  // Where it stands.
  await wet.getByRole("button", { name: /^Where does it stand/ }).click();
  await wet.getByRole("combobox", { name: /stands to dry$/ }).fill("left of the window");
  await page.keyboard.press("Enter");
  await wet.getByRole("button", { name: /^left of the window/ }).waitFor();
  // Done an hour ago: hands were wet.
  const before = (await touchable(page))!;
  await page.getByRole("button", { name: "Done at …" }).click();
  await page.getByLabel(/^When it was done/).fill("17:00");
  await page.getByRole("button", { name: "Done at 17:00" }).click();
  await page.waitForFunction((last) => document.querySelector("[data-now] [data-go]")?.getAttribute("data-go") !== last, before);
  await settled(page);
  expect((await kept(page, "progress")).map(({ at }) => at)).toContain("2027-01-11T17:00:00.000Z");
  // Not tonight, and back again.
  const off = await touchable(page);
  if (off !== null) {
    await page.getByRole("button", { name: "Not tonight" }).click();
    await page.getByText(/put off till the morning/).waitFor();
    await page.getByRole("button", { name: "Take them up again" }).click();
    await page.locator(`[data-go="${off}"]`).waitFor();
  }
  // A timer runs to its instant, over a reload.
  await page.getByLabel("Remind me of").fill("Look for bubbles");
  await page.getByRole("button", { name: "10 min" }).click();
  await page.locator("[data-timer]").getByText("10 min").first().waitFor();
  await settled(page);
  await page.reload();
  await page.locator("[data-timer]").getByText("Look for bubbles").waitFor();
  await goOn([page], EVENING + 11 * 60_000);
  await page.locator("[data-timer]").getByText("It is time.").waitFor();
  await page.getByRole("button", { name: "Take the timer off: Look for bubbles" }).click();
  await page.locator("[data-timer]").waitFor({ state: "detached" });
  // What may call is told.
  await page.getByRole("button", { name: "Call me" }).click();
  await page.getByRole("checkbox", { name: /^Two soft notes/ }).click();
  await axeClean(page);
  await page.keyboard.press("Escape");
  await page.getByRole("link", { name: "Evening’s end" }).click();
  await page.getByRole("heading", { name: "Done today" }).waitFor();
  await page.locator(`[data-done-on="${piece}"]`).waitFor();
  await page.getByText(/left of the window/).waitFor();
  await page.getByRole("heading", { name: /wants$/ }).waitFor();
  await axeClean(page);
  expect(await pageFits(page)).toBe(true);
});

test("a dot that is wet and in the wrong place is held till it is dry, and put right then; a check that fails proposes what to do; a coat nobody planned is on it", async () => {
  const { page } = await onBench();
  const wedge = "/pieces/doorwedge0001";
  await page.goto(`${URL_BASE}${wedge}/rescue`);
  await page.getByText("No coat is on it yet").waitFor();
  await toBench(page);
  // Something was laid that no plan asked for.
  await page.getByText("Something else was laid").click();
  const pick = async (label: string, option: string | RegExp) => {
    await page.getByRole("combobox", { name: new RegExp(`^${label}`) }).click();
    await page.getByRole("option", { name: option }).first().click();
  };
  await pick("On which piece", "Door wedge");
  await pick("What", "your Harbour navy");
  await pick("As", "colour all over");
  await axeClean(page);
  await page.getByRole("button", { name: "Note it: laid now" }).click();
  await page.locator('[data-alone="doorwedge0001"]').waitFor();
  await settled(page);
  await page.goto(`${URL_BASE}${wedge}/rescue`);
  await page.getByRole("radio", { name: /^wet: it still flows \(by the clock\)/ }).waitFor();
  await axeClean(page);
  await page.getByRole("button", { name: /^It was touched and smeared/ }).click();
  await page.locator("[data-remedy]").first().waitFor();
  await axeClean(page);
  await page.getByRole("button", { name: "Hold the piece and remind me: Let it dry, and take it off then" }).click();
  await page
    .locator("[data-timer]")
    .getByText(/^Put right: it was touched/)
    .waitFor();
  await settled(page);
  expect(await touchable(page)).not.toMatch(/^doorwedge/);
  await goOn([page], EVENING + DAY_MS);
  await page.getByText("Dry enough now.").waitFor();
  await page.getByRole("region", { name: "To be put right" }).getByRole("link", { name: "Put it right" }).click();
  await page
    .getByRole("button", { name: /^I have done it: / })
    .first()
    .click();
  await page.locator("[data-bench]").waitFor();
  await page.locator("[data-timer]").waitFor({ state: "detached" });
  // What is on it is looked at; a fail proposes what to do.
  await settled(page);
  await page.goto(`${URL_BASE}${wedge}/rescue`);
  await page.getByText(/^Or see whether it holds/).click();
  await page.getByRole("button", { name: "Light from the side: not good" }).click();
  await page.getByText("Rub the ridge off when it is dry, and lay one more thin coat.").waitFor();
  await axeClean(page);
  await page.getByRole("button", { name: "Put that into the plan" }).click();
  await allSaved(page);
  expect((await kept(page, "inspections")).map(({ kind, passed }) => [kind, passed])).toEqual([["raking-light", false]]);
  expect((await kept(page, "plans")).some(({ edits }) => (edits as readonly unknown[]).length > 0)).toBe(true);
  // A stroke is shown stage by stage.
  await page.goto(`${URL_BASE}/practice?of=swipes&piece=doorwedge0001`);
  await page.getByRole("heading", { name: /stage by stage$/ }).waitFor();
  await page.locator("[data-practice-sheet]").waitFor();
  await axeClean(page);
});

test("without a server the Bench opens, and what is done there is kept", async () => {
  const { context, page } = await onBench(WITH_OWN_COPY);
  await keptForOffline(page);
  await context.setOffline(true);
  await page.reload();
  await settled(page);
  const go = (await touchable(page))!;
  await page.locator("[data-primary]").click();
  await page.waitForFunction((before) => document.querySelector("[data-now] [data-go]")?.getAttribute("data-go") !== before, go);
  await settled(page);
  await page.goto(`${URL_BASE}/evening`);
  await page.locator("[data-done-on]").waitFor();
  expect((await kept(page, "progress")).length).toBeGreaterThan(0);
});
