/** A whole evening at the Bench with a fast clock: three pieces from the first wash to the last seal, a batch counted, one tacky, one rescued, and everything that may happen to a page. */
import { expect, test } from "@jest/globals";
import type { Page } from "playwright-core";
import { clockOn, dayFrom } from "../instant";
import { allSaved, axeClean, goOn, open, pageFits, URL_BASE, watchEveryPage } from "./bench";
import { alone, EVENING, goneOn, JAR, kept, onBench, settled, toBench, touchable } from "./bench-table";

watchEveryPage();

test("from the first wash to the last seal, with a reload, a killed page and another tab in the middle", async () => {
  const { context, page: first } = await onBench();
  let page = first;
  await open(page, "/shelf");
  await page.getByText("Harbour navy").first().waitFor();
  const full = await page.locator("tr, li").filter({ hasText: "Harbour navy" }).first().innerText();
  await toBench(page);
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
      // Taps are quicker than the page: none is lost.
      for (let tap = 0; tap < 3; tap += 1) await page.locator("[data-primary]").click();
      await page.locator("[data-primary]").getByText("3 of 12").waitFor();
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
      await goneOn(page, go);
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
    await goneOn(page, go);
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
  // The jar is emptier than it was, by what the records say was taken.
  await open(page, "/shelf");
  const left = () => page.locator("tr, li").filter({ hasText: "Harbour navy" }).first().innerText();
  await page.getByText("Harbour navy").first().waitFor();
  expect(await left()).not.toBe(full);
  expect((await kept(page, "progress")).some(({ act, jarMl }) => (act as { ownProduct?: string }).ownProduct === JAR && Number(jarMl) > 0)).toBe(true);
});

/** Looked at anew, the Bench has this piece first. */
async function settledOn(page: Page, piece: string): Promise<void> {
  await allSaved(page);
  await toBench(page);
  expect((await touchable(page))!.split("/")[0]).toBe(piece);
}

test("what becomes free and comes first does not take the place of the card under her hand; looked at anew it does", async () => {
  const { page } = await onBench();
  // The pot is needed first: it is done until it has to wait, and another piece is in the hand.
  const pot = "herbpot000001";
  await open(page, `/pieces/${pot}/dates`);
  await page.getByLabel("Needed on", { exact: true }).fill(dayFrom(EVENING, 9));
  await page.getByLabel("Needed on", { exact: true }).blur();
  await settledOn(page, pot);
  for (let go = await touchable(page); go?.startsWith(pot); go = await touchable(page)) {
    await page.locator("[data-primary]").click();
    await goneOn(page, go);
  }
  const inHand = await touchable(page);
  await goOn([page], (await alone(page)).find(({ piece }) => piece === pot)!.until + 1000);
  await page.waitForFunction((piece) => document.querySelector(`[data-alone="${piece}"]:not([data-partly])`) === null, pot);
  expect(await touchable(page)).toBe(inHand);
  await settledOn(page, pot);
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
  await goneOn(page, go);
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
    await goneOn(page, offered);
  }
  const chosen = (await touchable(page))!;
  // Pressed to scroll, it notes nothing.
  const untouched = (await kept(page, "progress")).length;
  await page.locator("#page").focus();
  await page.keyboard.press(" ");
  await page.locator("[data-now]").focus();
  expect([await touchable(page), (await kept(page, "progress")).length]).toEqual([chosen, untouched]);
  await page.keyboard.press(" ");
  await goneOn(page, chosen);
  // What was noted is told with the way back, and done again.
  await page.locator("[data-told]").getByRole("button", { name: "Take back" }).click();
  await page
    .locator("[data-told]")
    .getByText(/^Taken back: .*, done\.$/)
    .waitFor();
  await page.locator("[data-now]").focus();
  await page.keyboard.press(" ");
  await goneOn(page, chosen);
  const [piece] = chosen.split("/") as [string];
  // Washed, it dries through: laid on it all the same is asked about first.
  const wet = page.locator(`[data-alone="${piece}"]`);
  const noted = (await kept(page, "progress")).length;
  await wet.getByRole("button", { name: /it is laid already$/ }).click();
  const asks = page.getByRole("alertdialog", { name: "What lies beneath is not dry yet" });
  await axeClean(page);
  await asks.getByRole("button", { name: "Leave it alone" }).click();
  await asks.waitFor({ state: "detached" });
  expect((await kept(page, "progress")).length).toBe(noted);
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
  await goneOn(page, before);
  expect((await kept(page, "progress")).map(({ at }) => at)).toContain(new Date(clockOn(dayFrom(EVENING), "17:00")).toISOString());
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
