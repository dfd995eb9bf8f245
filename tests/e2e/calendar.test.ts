/** The calendar: three batches for one Saturday, moved by hand, an evening missed, and out to files and paper. */
import { describe, expect, test } from "@jest/globals";
import { format } from "date-fns";
import ICAL from "ical.js";
import type { Page } from "playwright-core";
import { materialId, pieceId, useId } from "#core/catalogue/ids";
import { writeBundle } from "#core/formats/write-bundle";
import { clockOn, dayFrom, nextAt } from "../instant";
import { allSaved, axeClean, contentOf, newNotebook, open, pageFits, showLook, toRoom, URL_BASE, watchEveryPage, WIDTHS } from "./bench";

watchEveryPage();

const MONDAY_NOON = nextAt(0, "12:00");
/** So many days after that Monday. */
const day = (days: number) => dayFrom(MONDAY_NOON, days);
const [MONDAY, TUESDAY, THURSDAY, FRIDAY] = [day(0), day(1), day(3), day(4)];
/** A Saturday, with three weeks to go. */
const IN_TIME = day(19);
/** As it is said, of a day. */
const said = (date: string) => format(new Date(`${date}T12:00`), "EEEE d MMMM");
const ROOM = { temperatureC: 15, relativeHumidity: 0.75, airflow: "still" };
const piece = (id: string, name: string, count: number, material: string, form: object, techniques: readonly string[], due: string) => ({
  id: pieceId(id),
  rev: 1,
  planId: null,
  dates: { due },
  piece: {
    format: "nook-coat/piece",
    version: 1,
    name,
    count,
    material: materialId(material),
    form,
    uses: [useId("indoor-display")],
    decoration: { techniques, baseColour: "#1f3a4d", colours: ["#f4efe2"] },
    room: ROOM,
  } as never,
});
const notebook = (due: string) =>
  JSON.stringify(
    writeBundle({
      pieces: [
        piece("pebblesforty1", "Pebble", 40, "stone-smooth", { kind: "pebble", lengthMm: 60, widthMm: 45, thicknessMm: 15 }, ["dots"], due),
        piece("terracottapot1", "Herb pot", 6, "terracotta", { kind: "frustum", topDiameterMm: 120, bottomDiameterMm: 85, heightMm: 110 }, [], due),
        piece("lanternjar01", "Lantern jar", 8, "glass", { kind: "cylinder", diameterMm: 80, heightMm: 120 }, [], due),
      ],
    }),
  );

async function onTable(due: string, options: Parameters<typeof newNotebook>[0] = {}): Promise<Page> {
  const { page } = await newNotebook({ at: MONDAY_NOON, ...options });
  await open(page, "/settings");
  await page.getByLabel("Notebook file").setInputFiles({ name: "notebook.json", mimeType: "application/json", buffer: Buffer.from(notebook(due)) });
  await page.getByText(/^3 pieces.* brought in/).waitFor();
  await allSaved(page);
  // From the list, which is left while its cards are still being worked out.
  await page.goto(`${URL_BASE}/pieces`);
  await page.getByRole("link", { name: "Calendar" }).click();
  await settled(page);
  return page;
}

/** Nothing better is looked for any more. */
async function settled(page: Page): Promise<void> {
  await page.locator("[data-next]").waitFor();
  await page.locator("[data-calendar][aria-busy=false]").waitFor();
  await page.getByRole("progressbar").waitFor({ state: "detached" });
}

const days = (page: Page) => page.locator("[data-days] > [data-date]");
/** What stands on each day, by its date. */
async function laid(page: Page): Promise<Readonly<Record<string, readonly string[]>>> {
  const all = await days(page).evaluateAll((cells) =>
    cells.map((cell) => [cell.getAttribute("data-date"), [...cell.querySelectorAll("[data-run]")].map((run) => run.getAttribute("aria-label") ?? "")] as const),
  );
  return Object.fromEntries(all);
}

describe.each(WIDTHS)("forty pebbles, six pots and eight jars for a Saturday, at %s", (_width, options) => {
  test("tonight is told, each look stands and fits, and what waits is told in words", async () => {
    const page = await onTable(IN_TIME, options);
    expect(await page.locator("[data-next]").innerText()).toMatch(/^today 19:00: .*(Pebble|Herb pot|Lantern jar|pieces).* of work/i);
    expect(await page.getByRole("list", { name: "What does not come out" }).count()).toBe(0);
    await page
      .locator(`[data-day='${MONDAY}']`)
      .getByText(/^then nothing till /)
      .waitFor();
    // Like things of different pieces are one act.
    await showLook(page, "Day by day");
    const prime = page
      .locator("[data-day] ol > li")
      .filter({ hasText: /Prime/ })
      .filter({ hasText: /40 × Pebble/ });
    await prime.filter({ hasText: /6 × Herb pot/ }).waitFor();
    for (const name of ["Month", "Day by day", "Piece by piece", "Two weeks"]) {
      await showLook(page, name);
      await axeClean(page);
      expect([name, await pageFits(page)]).toEqual([name, true]);
    }
  });
});

test("work dragged to another day stays there, the rest stands, and it may be let go of and taken back", async () => {
  const page = await onTable(IN_TIME, { viewport: { width: 1280, height: 1000 } });
  const before = await laid(page);
  const tuesday = page.locator(`[data-date='${TUESDAY}'] [data-run]`).first();
  const title = (await tuesday.getAttribute("aria-label"))!.split(":")[0]!;
  const put = (date: string) => page.locator(`[data-date='${date}'] [data-run]`).filter({ has: page.getByLabel("put here by you") });
  const [from, to] = [(await tuesday.boundingBox())!, (await page.locator(`[data-date='${THURSDAY}']`).boundingBox())!];
  await page.mouse.move(from.x + 30, from.y + 12);
  await page.mouse.down();
  await page.mouse.move(from.x + 60, from.y + 20, { steps: 4 });
  await page.mouse.move(to.x + to.width / 2, to.y + 60, { steps: 6 });
  await page.mouse.up();
  await page.getByText(/^Moved\./).waitFor();
  await settled(page);
  const after = await laid(page);
  expect(await put(THURSDAY).first().getAttribute("aria-label")).toContain(title);
  expect(after[TUESDAY]!.filter((label) => label.startsWith(title))).toEqual([]);
  expect(after[MONDAY]).toEqual(before[MONDAY]);
  await page.getByText("These dates stand").waitFor();
  // The day it went to is open, and says who put it there.
  const thursday = page.locator(`[data-day='${THURSDAY}']`);
  await thursday.getByText("Put here by you.").first().waitFor();
  // By keys one day on, to Friday.
  await put(THURSDAY).first().focus();
  await page.keyboard.press("Space");
  await page.getByText(new RegExp(`: ${said(THURSDAY)}$`)).waitFor({ state: "attached" });
  await page.keyboard.press("ArrowRight");
  await page.getByText(new RegExp(`: ${said(FRIDAY)}$`)).waitFor({ state: "attached" });
  await page.keyboard.press("Space");
  await page.locator(`[data-day='${FRIDAY}']`).getByText("Put here by you.").first().waitFor();
  expect(await put(FRIDAY).first().getAttribute("aria-label")).toContain(title);
  await page.locator(`[data-day='${FRIDAY}']`).getByRole("button", { name: "Let it go where it is best" }).first().click();
  await page.locator(`[data-day='${FRIDAY}']`).getByText("Put here by you.").waitFor({ state: "detached" });
  await allSaved(page);
  // All of it can be taken back, step by step.
  for (let k = 0; k < 3; k++) {
    await page.getByRole("button", { name: /^Take back / }).click();
    await allSaved(page);
  }
  await page.getByRole("button", { name: "Keep these dates" }).waitFor();
  await settled(page);
  expect(await laid(page)).toEqual(before);
});

test("an evening is missed: what was on it goes elsewhere and says from where; the dates as they are then may be kept", async () => {
  const page = await onTable(IN_TIME);
  await page.getByRole("button", { name: "Keep these dates" }).click();
  await page.getByText("These dates stand").waitFor();
  await allSaved(page);
  await page.reload();
  await settled(page);
  expect(await page.getByText(/could not be done when/).count()).toBe(0);
  await page.clock.setFixedTime(clockOn(TUESDAY, "12:00"));
  await page.reload();
  await settled(page);
  await page.getByText(/things? could not be done when (it was|they were) planned/).waitFor();
  await page
    .locator("[data-day]")
    .getByText(/^Was planned for yesterday 19:00/)
    .first()
    .waitFor();
  await page.getByRole("button", { name: "Keep it so" }).click();
  await page.getByText(/could not be done when/).waitFor({ state: "detached" });
  await page.getByRole("button", { name: "Lay all anew" }).click();
  await page.getByRole("button", { name: "Keep these dates" }).waitFor();
});

test("the Bench begins with what the calendar begins with; what is put into Friday comes last on it, and says so", async () => {
  const page = await onTable(IN_TIME);
  const run = page.locator(`[data-day='${MONDAY}'] ol > li`).first();
  /** What the Bench shows first: the calendar has it first too. */
  const shownFirst = async () => {
    await page.getByRole("link", { name: "Calendar" }).click();
    await settled(page);
    const told = (await run.innerText()).toLowerCase();
    await page.getByRole("link", { name: "Bench", exact: true }).click();
    const go = page.locator("[data-now] [data-go]");
    const title = (await go.innerText()).split("\n")[0]!.trim();
    expect(told).toContain(title.toLowerCase());
    expect(told).toContain((await page.locator("[data-now] p a").first().innerText()).toLowerCase());
    return (await go.getAttribute("data-go"))!;
  };
  const before = await shownFirst();
  await page.getByRole("link", { name: "Calendar" }).click();
  await settled(page);
  await run.getByRole("button", { name: /^Move to another day/ }).click();
  await page.getByRole("menuitem", { name: /^Friday/ }).click();
  await page.getByText(/^Moved\./).waitFor();
  await allSaved(page);
  expect(await shownFirst()).not.toBe(before);
  await page.getByRole("region", { name: "May be touched too" }).getByRole("listitem").last().getByText("for Friday").waitFor();
});

test("too much for the hours is told at once, with what would help; a helper is one thing that does", async () => {
  const page = await onTable(THURSDAY);
  // What would help, worked out for all of it.
  await page.getByText("What would it buy: warmth, a fan, a helper, tomorrow?").click();
  await page.getByText(/^A fan on what dries: .*sooner/).waitFor();
  await page.getByText(/^Beginning tomorrow instead: .*(later|too late)/).waitFor();
  await axeClean(page);
  const troubles = page.getByRole("list", { name: "What does not come out" });
  await troubles.getByText(/^[\d½]+ h of work, [\d½]+ h free before/).waitFor();
  await troubles.getByText(/^Too late for its day/).waitFor();
  await page.getByRole("checkbox", { name: "Somebody helps" }).click();
  await page.getByText("(second pair of hands)").first().waitFor();
  await settled(page);
  await page.getByRole("radio", { name: "On as few evenings as may be" }).click();
  await allSaved(page);
  await page.reload();
  await settled(page);
  // A piece of it says the same at its plan and its dates, and what the others make of it.
  await page
    .getByRole("link", { name: /Herb pot/ })
    .first()
    .click();
  await page.getByText(/^2 other pieces are on the table too/).waitFor();
  await toRoom(page, "Plan");
  await page.locator("[data-code=late]").waitFor();
  await page.goBack();
  await page.goBack();
  await settled(page);
  // What was chosen is chosen still.
  expect(await page.getByRole("radio", { name: "On as few evenings as may be" }).isChecked()).toBe(true);
  expect(await page.getByRole("checkbox", { name: "Somebody helps" }).isChecked()).toBe(true);
});

test("each cure of what is too late is one press: it does what it says it buys, and taken back all is as it was", async () => {
  const page = await onTable(dayFrom(MONDAY_NOON, 14));
  const troubles = page.getByRole("list", { name: "What does not come out" });
  const cures = page.getByRole("list", { name: /^What would help/ }).first();
  const told = async () => {
    await settled(page);
    await cures.waitFor();
    return cures.getByRole("button").allInnerTexts();
  };
  const before = await told();
  await axeClean(page);
  expect(before.length).toBeGreaterThan(2);
  expect(before.join()).toMatch(/instead of/);
  const name = (await cures.getAttribute("aria-label"))!.replace("What would help ", "");
  for (const [at, text] of before.entries()) {
    const [what, buys] = text.split("\n") as [string, string];
    await cures.getByRole("button").nth(at).click();
    await page.getByText(`Done: ${what}.`).waitFor();
    await settled(page);
    const stands = await troubles.getByText(new RegExp(`^${name} by `)).count();
    expect([what, buys, stands]).toEqual([what, buys, buys.startsWith("in time") ? 0 : 1]);
    if (!buys.startsWith("in time"))
      await page
        .locator("[data-followed]")
        .getByText(`${name} is ${buys.split(",")[0]!}.`)
        .waitFor();
    await page.getByRole("button", { name: "Take this back" }).click();
    // What it shows meanwhile is of the calendar as it was.
    await page.waitForFunction(
      ([label, wanted]) => [...document.querySelectorAll<HTMLElement>(`[aria-label="${label}"] button`)].map((one) => one.innerText).join() === wanted,
      [`What would help ${name}`, before.join()],
    );
    await settled(page);
  }
});

test("out to another calendar, a table, and paper", async () => {
  const page = await onTable(IN_TIME);
  const file = async (name: RegExp) => {
    const saved = page.waitForEvent("download");
    await page.getByRole("button", { name }).click();
    return contentOf(await saved);
  };
  const events = new ICAL.Component(ICAL.parse(await file(/\.ics/)) as never).getAllSubcomponents("vevent").map((one) => new ICAL.Event(one));
  const work = events.filter((one) => one.component.getFirstPropertyValue("transp") === "OPAQUE");
  expect(work[0]!.startDate.toJSDate().toISOString()).toBe(new Date(clockOn(MONDAY, "19:00")).toISOString());
  expect(events.filter(({ summary }) => /^Needed: /.test(summary))).toHaveLength(3);
  const table = (await file(/\.csv/)).trim().split("\n");
  expect(table[0]).toBe("day,from,to,minutes,act,pieces");
  expect(table[1]).toMatch(new RegExp(`^${MONDAY},19:00,`));
  await page.emulateMedia({ media: "print" });
  await page.locator("[data-printed-week]").getByText(said(MONDAY)).waitFor();
  expect(await page.locator("[data-days]").isVisible()).toBe(false);
});
