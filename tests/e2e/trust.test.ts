/** Nothing a careless, fast, unlucky painter does is lost, and nothing locks them out. */
import { describe, expect, test } from "@jest/globals";
import type { Page } from "playwright-core";
import {
  allowComplaints,
  allSaved,
  axeClean,
  contentOf,
  fillDisk,
  freeDisk,
  newNotebook,
  open,
  openFact,
  plan,
  planReady,
  removePiece,
  secondTab,
  toRoom,
  URL_BASE,
  watchEveryPage,
} from "./bench";

watchEveryPage();

const MUG = { material: "Glazed ceramic", uses: ["On show indoors"] };

/** What these tests read of a record. */
interface Kept {
  readonly id: string;
  readonly dates?: object;
  readonly edits?: readonly object[];
  readonly coat?: number;
  readonly kind?: string;
  readonly piece: { readonly name: string; readonly decoration: { readonly techniques: readonly string[] } };
}

/** All records of a store, as they are kept. */
function kept(page: Page, store: string): Promise<readonly Kept[]> {
  return page.evaluate(
    (name) =>
      new Promise((resolve) => {
        const opening = indexedDB.open("nook-coat");
        opening.onsuccess = () => {
          const all = opening.result.transaction(name).objectStore(name).getAll();
          all.onsuccess = () => (opening.result.close(), resolve(all.result));
        };
      }),
    store,
  );
}

/** Writes a record as no page of the app would. */
function damage(page: Page, store: string, record: object): Promise<void> {
  return page.evaluate(
    ([name, value]) =>
      new Promise<void>((resolve) => {
        const opening = indexedDB.open("nook-coat");
        opening.onsuccess = () => {
          const transaction = opening.result.transaction(name, "readwrite");
          transaction.objectStore(name).put(value);
          transaction.oncomplete = () => (opening.result.close(), resolve());
        };
      }),
    [store, record] as const,
  );
}

describe("typed, and the page is gone", () => {
  test("a name, a length and choices not yet made a piece are there after a reload", async () => {
    const { page } = await newNotebook();
    await open(page, "/pieces/new");
    await page.getByRole("radio", { name: "Terracotta" }).click();
    await page.getByLabel("On show indoors", { exact: true }).check();
    await page.reload();
    await page.locator('[role=radio][aria-checked="true"]').waitFor();
    await page.getByRole("button", { name: "Make the coat plan" }).dblclick();
    await page.waitForURL(/\/pieces\/[0-9a-z]{16}/);
    await planReady(page);
    expect(await kept(page, "pieces")).toHaveLength(1);
    for (let mm = 70; mm < 90; mm += 1) await page.getByLabel("Height", { exact: true }).fill(String(mm));
    await page.reload();
    await planReady(page);
    expect(await page.getByLabel("Height", { exact: true }).inputValue()).toBe("89");
    await page.getByLabel("Name of the piece").fill("Half a na");
    await page.goto(`${URL_BASE}/settings`);
    await page.goBack();
    await planReady(page);
    expect(await page.getByLabel("Name of the piece").inputValue()).toBe("Half a na");
    await allSaved(page);
    expect((await kept(page, "pieces"))[0]).toMatchObject({ piece: { name: "Half a na", form: { heightMm: 89 } } });
  });

  test("dates are typed at any pace; what is half typed takes nothing away", async () => {
    const { page } = await newNotebook({ locale: "en-US" });
    await plan(page, { ...MUG, techniques: ["Dots"] });
    await toRoom(page, "Dates");
    const due = page.getByLabel("Needed on", { exact: true });
    await due.focus();
    for (const key of "12/24/") await page.keyboard.press(key);
    await page.keyboard.type("2031");
    await allSaved(page);
    expect((await kept(page, "pieces"))[0]?.dates).toEqual({ due: "2031-12-24" });
    await due.press("Backspace");
    await page.getByLabel("Start on", { exact: true }).focus();
    await allSaved(page);
    await page.getByText("not a day yet: 12 Dec, Saturday, in 3 weeks").waitFor();
    expect([await due.inputValue(), (await kept(page, "pieces"))[0]?.dates]).toEqual(["12/24/203", { due: "2031-12-24" }]);
    // Or it is picked from a sheet of days.
    await page.getByRole("button", { name: "Needed on: pick a day" }).click();
    await page
      .getByRole("gridcell")
      .getByRole("button", { name: /December 25th, 2031/ })
      .click();
    await allSaved(page);
    expect([await due.inputValue(), (await kept(page, "pieces"))[0]?.dates]).toEqual(["Thu 25 Dec 2031", { due: "2031-12-25" }]);
    // A plan that changes under its dates.
    await toRoom(page, "Plan");
    await openFact(page, "Decoration");
    for (const name of ["Dots", "Bands", "Dots", "Lettering", "Dots"])
      await page.getByRole("group", { name: "Decoration" }).getByText(name, { exact: true }).click();
    await page.keyboard.press("Escape");
    await openFact(page, "Base colour");
    await page.getByText("Base colour all over").click();
    await page.keyboard.press("Escape");
    await toRoom(page, "Dates");
    await allSaved(page);
    await page.getByText(/^Ready for gentle hands/).waitFor();
    expect(new Set((await kept(page, "pieces"))[0]?.piece.decoration.techniques)).toEqual(new Set(["bands", "lettering"]));
  });
});

test("five quick presses are five coats, two clicks on done are one", async () => {
  const { page } = await newNotebook();
  await plan(page, { ...MUG, techniques: ["Dots"] });
  const more = page.getByRole("button", { name: /^One coat more: Dots/ }).first();
  for (let press = 0; press < 5; press += 1) await more.click();
  await allSaved(page);
  const [before] = await kept(page, "plans");
  expect(before?.edits).toMatchObject([{ op: "set", field: "coats", value: 6 }]);
  await page.locator("[data-do=done]").first().dblclick();
  await allSaved(page);
  expect((await kept(page, "progress")).map((one) => [one.coat, one.kind])).toEqual([[1, "done"]]);
});

test("what was removed is told, and brought back after a reload, whatever was done since", async () => {
  const { page } = await newNotebook();
  await plan(page, MUG);
  await removePiece(page);
  await page.locator("[data-told]").getByText("Removed: Glazed ceramic mug.").waitFor();
  await plan(page, { material: "Terracotta", uses: ["On show indoors"] });
  await open(page, "/pieces");
  await page.getByText("Lately removed (1)").click();
  await axeClean(page);
  await page.getByRole("button", { name: "Bring back Glazed ceramic mug" }).click();
  await page.locator("main .font-display").getByText("Glazed ceramic mug").waitFor();
  await page.reload();
  await page.locator("main .font-display").getByText("Glazed ceramic mug").waitFor();
  expect(await kept(page, "pieces")).toHaveLength(2);
});

test("a full disk: what is typed stands, is told as not saved, is in the file, and is saved when there is room", async () => {
  const { page } = await newNotebook();
  await plan(page, MUG);
  await fillDisk(page);
  await page.getByLabel("Name of the piece").fill("Written on a full disk");
  await page.getByLabel("Name of the piece").press("Enter");
  const alert = page.getByRole("alert").filter({ hasText: "Not saved yet" });
  await alert.getByText("this device has no room left for it").waitFor();
  expect(await page.getByLabel("Name of the piece").inputValue()).toBe("Written on a full disk");
  await axeClean(page);
  await alert.getByRole("link", { name: "Save the notebook as a file" }).click();
  const [download] = await Promise.all([page.waitForEvent("download"), page.getByRole("button", { name: "Save the notebook" }).click()]);
  expect(JSON.parse(await contentOf(download)).pieces[0].piece.name).toBe("Written on a full disk");
  await freeDisk(page);
  // It is tried again by itself too: then there is nothing left to press.
  const tried = page.getByRole("button", { name: "Try again now" }).click();
  await Promise.race([tried, alert.waitFor({ state: "detached" })]);
  tried.catch(() => undefined);
  await alert.waitFor({ state: "detached" });
  await allSaved(page);
  expect((await kept(page, "pieces"))[0]?.piece.name).toBe("Written on a full disk");
});

test("a damaged record costs itself: the list stands, the piece can be set aside as a file, the rest is as it was", async () => {
  const { page } = await newNotebook();
  await plan(page, MUG);
  await open(page, "/settings");
  await damage(page, "pieces", { id: "damaged00001", rev: 1, planId: null, piece: { name: "Broken", form: null } });
  await damage(page, "pieces", { id: "damaged00002", rev: 1, planId: null, dates: { due: "2026-99-99" }, piece: null });
  await damage(page, "hours", { id: "hours", rev: 1, hours: { weekday: null } });
  await page.reload();
  await page.getByRole("button", { name: "Begin it anew" }).waitFor();
  await axeClean(page);
  const [file] = await Promise.all([page.waitForEvent("download"), page.getByRole("button", { name: "Save the notebook" }).click()]);
  expect(JSON.parse(await contentOf(file)).aside.map((one: { store: string }) => one.store)).toEqual(["pieces", "pieces", "hours"]);
  await page.getByRole("button", { name: "Begin it anew" }).click();
  await page.getByLabel("Monday, from").waitFor();
  await open(page, "/pieces");
  await page.locator("main .font-display").getByText("Glazed ceramic mug").waitFor();
  await page.getByText("This piece cannot be shown. Open it to set it aside.").nth(1).waitFor();
  for (const id of ["damaged00001", "damaged00002"]) {
    await page.goto(`${URL_BASE}/pieces/${id}`);
    await page.getByRole("heading", { name: "That did not work" }).waitFor();
    await page.keyboard.press("Control+k");
    await page.getByRole("combobox", { name: "Find or do" }).waitFor();
    await page.keyboard.press("Escape");
    const [aside] = await Promise.all([page.waitForEvent("download"), page.getByRole("button", { name: "Set this piece aside, as a file" }).click()]);
    expect(JSON.parse(await contentOf(aside)).pieces[0].id).toBe(id);
    await page.waitForURL(`${URL_BASE}/pieces`);
  }
  expect((await kept(page, "pieces")).map((one) => one.piece.name)).toEqual(["Glazed ceramic mug"]);
  allowComplaints(/Cannot read|null|undefined|planner|error/i);
});

test("a notebook that a newer Nook Coat keeps is shown and given out, and not changed", async () => {
  const { page } = await newNotebook();
  await plan(page, MUG);
  const address = page.url();
  await page.goto("about:blank");
  await page.goto(`${URL_BASE}/favicon.svg`);
  await page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const opening = indexedDB.open("nook-coat", 999);
        opening.onsuccess = () => (opening.result.close(), resolve());
      }),
  );
  await page.goto(address);
  await planReady(page);
  await page.getByRole("alert").getByText("This notebook was last used with a newer Nook Coat.").waitFor();
  await page.getByLabel("Name of the piece").fill("Not to be kept");
  await page.getByRole("alert").getByText("Not saved yet:").waitFor();
  await open(page, "/settings");
  const [download] = await Promise.all([page.waitForEvent("download"), page.getByRole("button", { name: "Save the notebook" }).click()]);
  expect(JSON.parse(await contentOf(download)).pieces).toHaveLength(1);
  expect((await kept(page, "pieces"))[0]?.piece.name).toBe("Glazed ceramic mug");
});

test("the same thing done in two tabs is never settled in silence", async () => {
  const { context, page } = await newNotebook();
  await plan(page, MUG);
  const other = await secondTab(context, page.url());
  const tabs = [page, other];
  for (let round = 0; round < 5; round += 1) {
    for (const tab of tabs) await tab.getByLabel("Name of the piece").focus();
    await Promise.all(tabs.map((tab, at) => tab.getByLabel("Name of the piece").fill(`Tab ${at}, round ${round}`)));
    await Promise.all(tabs.map((tab) => tab.getByLabel("Name of the piece").press("Enter")));
    const told = tabs.map((tab) => tab.getByRole("button", { name: "Leave theirs" }));
    await Promise.race(told.map((button) => button.waitFor()));
    for (const button of told) if (await button.isVisible()) await button.click();
    const name = (await kept(page, "pieces"))[0]?.piece.name as string;
    for (const tab of tabs) await tab.waitForFunction((wanted) => document.title.startsWith(wanted), name);
  }
});
