/** What a notebook meets beside its painter, in every room: two tabs, a full disk, a worker that dies, a clock that is set, a new version, quick takings-back. */
import type { Browser, BrowserContext, Page } from "playwright-core";
import { STORE_NAMES } from "#core/formats/stores/stores";
import { fickleServer } from "../e2e/fickle-server";
import { NOW } from "../instant";
import { pick, seeded } from "./attack";
import type { Random } from "./attack";
import { fileOf, freshContext, readOwn, still, watched, wrongWith } from "./hands";
import { touch } from "./monkey";
import { keptIn, roomsFor, setsMade } from "./rooms";
import type { Room } from "./rooms";
import { lostOf, valuesIn, writeInAll } from "./writing";

/** A notebook with the demo, and all its rooms. */
interface Stage {
  readonly context: BrowserContext;
  readonly page: Page;
  readonly rooms: readonly Room[];
  readonly random: Random;
  readonly faults: string[];
  readonly say: (text: string) => void;
}

export type Hardship = (browser: Browser, url: string, seed: number, most?: number) => Promise<readonly string[]>;

/**
 * Sets a stage, plays on it, and at the end reads the notebook's own file.
 *
 * @param fits rooms that have something to show of it
 * @returns takes as its last how many rooms are tried, drawn by chance; all where it is not said
 */
function staged(name: string, play: (stage: Stage, url: string) => Promise<void>, fits: (room: Room) => boolean = () => true): Hardship {
  return async (browser, url, seed, most = Infinity) => {
    const random = seeded(seed);
    const context = await freshContext(browser);
    const page = await context.newPage();
    const faults = watched(page);
    const say = (text: string) => faults.push(`${name} ${seed}: ${text}`);
    try {
      await page.goto(`${url}/pieces`);
      const laid = page.getByText("All coats on, hardening").first();
      const lay = page.getByRole("button", { name: "Open the Tern Point notebook" });
      await laid.or(lay).first().waitFor();
      // A server that does not serve the demo has it behind a button.
      if (await lay.isVisible()) await lay.click();
      await laid.waitFor();
      await still(page);
      await setsMade(page);
      const rooms = (await roomsFor(page, 2)).filter(fits);
      while (rooms.length > most) rooms.splice(Math.floor(random() * rooms.length), 1);
      await play({ context, page, rooms, random, faults, say }, url);
      const own = readOwn(await fileOf(page, url));
      if (typeof own === "string") say(own);
    } catch (error) {
      say(`${page.url()}: ${error instanceof Error ? error.message.split("\n").slice(0, 3).join(" | ") : String(error)}`);
    } finally {
      await context.close();
    }
    return faults;
  };
}

const words = async (page: Page) => (await page.getByRole("main").innerText()).replace(/\s+/g, " ");

/** A page loaded anew; what is typed in a tab and not asked for is its own, and is left out. */
async function anew(page: Page, url: string): Promise<void> {
  await page.evaluate(() => sessionStorage.clear());
  await page.goto(url);
  await still(page);
}

/** Longest two tabs may take to show the same, ms: one of them may be working something out still. */
const SAME_WITHIN = { timeout: 15_000 };

/** Hands in two tabs of every room, in turn: in the end both show the same. */
export const tabs = staged("tabs", async ({ context, page, rooms, random, faults, say }, url) => {
  const other = await context.newPage();
  const complaints = watched(other);
  for (const { paths } of rooms) {
    const path = paths[0]!;
    for (const tab of [page, other]) await tab.goto(`${url}${path}`);
    for (let turn = 0; turn < 8; turn += 1) {
      const tab = pick(random, [page, other]);
      // What the other tab has taken away is missed.
      if (random() < 0.15) await tab.keyboard.press("Control+z");
      else await touch(tab, random).catch(() => undefined);
    }
    for (const tab of [page, other]) await still(tab);
    for (const tab of [page, other]) {
      faults.push(...(await wrongWith(tab, `tabs, ${path}`)));
      await anew(tab, `${url}${path}`);
      faults.push(...(await wrongWith(tab, `tabs, ${path}`)));
    }
    const isSame = (text: string) => document.querySelector("main")?.innerText.replace(/\s+/g, " ") === text;
    await other.waitForFunction(isSame, await words(page), SAME_WITHIN).catch(() => undefined);
    const [one, two] = [await words(page), await words(other)];
    if (one !== two) say(`${path} shows two things: ${firstDifference(one, two)}`);
  }
  faults.push(...complaints);
});

function firstDifference(one: string, other: string): string {
  const at = [...one].findIndex((letter, index) => letter !== other[index]);
  return `“${one.slice(Math.max(0, at - 30), at + 40)}” and “${other.slice(Math.max(0, at - 30), at + 40)}”`;
}

/** Goes to another page as a link does: the app stays. */
async function follow(page: Page, path: string): Promise<void> {
  await page.evaluate(
    (to) => (window as unknown as { __reactRouterDataRouter: { navigate: (to: string) => Promise<void> } }).__reactRouterDataRouter.navigate(to),
    path,
  );
  await still(page);
}

/** What is typed on one record never stands on the next, nor is it written there. */
export const drafts = staged(
  "drafts",
  async ({ page, rooms, say }, url) => {
    for (const { pattern, paths } of rooms) {
      const [one, other] = paths as readonly [string, string];
      await page.goto(`${url}${one}`);
      await still(page);
      for (const closed of await page.locator("main details:not([open]) > summary").all()) await closed.click();
      const written = await writeInAll(page, "zzq");
      await follow(page, other);
      const there = await valuesIn(page);
      // How she signs is hers, on whatever record it is said.
      const hers = JSON.stringify(await keptIn(page, "settings"));
      const found = written.filter((text) => there.includes(text) && !hers.includes(text));
      if (found.length > 0) say(`${pattern}: ${found.join(", ")} stands on the next record`);
      const id = /[0-9a-z]{8,}/.exec(other.split("/").slice(2).join("/"))?.[0] ?? other;
      for (const store of STORE_NAMES)
        for (const record of await keptIn(page, store))
          if ((record.id === id || record.pieceId === id) && JSON.stringify(record).includes("zzq")) say(`${pattern}: written on the next record, in ${store}`);
    }
  },
  ({ paths }) => paths.length > 1,
);

/** A disk that is full, until it is told otherwise; over reloads too. */
async function mayBeFull(context: BrowserContext): Promise<void> {
  await context.addInitScript(() => {
    const put = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = function (...given) {
      if (localStorage.getItem("full") !== null) throw new DOMException("no room", "QuotaExceededError");
      return put.apply(this, given);
    };
  });
}

const setFull = (page: Page, full: boolean) => page.evaluate((is) => (is ? localStorage.setItem("full", "yes") : localStorage.removeItem("full")), full);

/** In every room all is written while the disk is full: it is told, it outlives a reload, and it is kept as soon as there is room. */
export const full = staged("full", async ({ context, page, rooms, say, faults }, url) => {
  await mayBeFull(context);
  await page.goto(url);
  for (const [index, { pattern, paths }] of rooms.entries()) {
    await page.goto(`${url}${paths[0]!}`);
    await still(page);
    await setFull(page, true);
    const written = await writeInAll(page, `q${index}z`);
    const asked = (await page.locator('[data-saved="yes"]').count()) === 0;
    if (asked) await page.getByRole("alert").getByText("Not saved yet").waitFor();
    await page.reload();
    await page.getByRole("main").waitFor();
    await setFull(page, false);
    if (asked)
      await page
        .getByRole("button", { name: "Try again now" })
        .click({ timeout: 5000 })
        .catch(() => undefined);
    await still(page);
    faults.push(...(await wrongWith(page, `full, ${pattern}`)));
    const lost = await lostOf(page, url, written);
    if (lost.length > 0) say(`${pattern}: ${lost.join(", ")} is lost`);
  }
});

/** A worker dies while something is worked out, in every room: the page says so or goes on, and the next load of it stands. */
export const workers = staged("workers", async ({ page, rooms, random, say, faults }, url) => {
  for (const { paths } of rooms) {
    const path = paths[0]!;
    await page.goto(`${url}${path}`);
    for (let turn = 0; turn < 3; turn += 1) {
      await touch(page, random).catch(() => undefined);
      const worker = pick(random, page.workers());
      // It closes without a word: nothing hears of it.
      await worker?.evaluate(() => self.close()).catch(() => undefined);
    }
    await page.waitForFunction(() => !document.querySelector('[aria-busy="true"]')).catch(() => say(`${path} waits without end`));
    await page.goto(`${url}${path}`);
    await still(page);
    faults.push(...(await wrongWith(page, `workers, ${path}`)));
  }
});

const HOUR_MS = 3_600_000;

/** The clock is set forward and back between what hands do: all stands, and what was done last is taken back first. */
export const clocks = staged("clocks", async ({ context, page, rooms, random, say, faults }, url) => {
  for (const { paths } of rooms) {
    await page.goto(`${url}${paths[0]!}`);
    for (let turn = 0; turn < 6; turn += 1) {
      await context.clock.setFixedTime(NOW + Math.round((random() - 0.5) * 24 * 400) * HOUR_MS);
      await page.evaluate(() => window.dispatchEvent(new Event("focus")));
      await touch(page, random).catch(() => undefined);
    }
    await still(page);
    faults.push(...(await wrongWith(page, `clocks, ${paths[0]!}`)));
  }
  await context.clock.setFixedTime(NOW);
  const standing = async () => (await keptIn(page, "acts")).filter(({ undoneAt }) => undoneAt === undefined).sort((a, b) => Number(a.at) - Number(b.at));
  const before = await standing();
  await page.goto(`${url}/settings`);
  await still(page);
  await page.keyboard.press("Control+z");
  await page
    .locator("[data-told]")
    .getByText(/^(Taken back|This could not be taken back)/)
    .waitFor();
  const after = await standing();
  // What something stands on by now is kept, and is told.
  if (after.length < before.length && JSON.stringify(after.map(({ id }) => id)) !== JSON.stringify(before.slice(0, -1).map(({ id }) => id)))
    say("what was taken back is not what was done last");
});

/** What the records say, whatever their counts of changes. */
async function said(page: Page): Promise<string> {
  const all = await Promise.all(STORE_NAMES.map((store) => keptIn(page, store)));
  return JSON.stringify(all, (key, value: unknown) => (key === "rev" ? 0 : value));
}

/** Six takings-back as fast as keys go, and six times done again: all is as it was. */
export const back = staged("back", async ({ page, rooms, random, say }, url) => {
  for (const { paths } of rooms) {
    await page.goto(`${url}${paths[0]!}`);
    await still(page);
    for (let turn = 0; turn < 8; turn += 1) await touch(page, random).catch(() => undefined);
    await page.goto(`${url}/settings`);
    await still(page);
    const before = await said(page);
    const done = (await keptIn(page, "acts")).filter(({ undoneAt }) => undoneAt === undefined).length;
    const steps = Math.min(6, done);
    for (const keys of ["Control+z", "Control+Shift+z"]) {
      await page.getByRole("heading", { name: "Settings", exact: true }).click();
      for (let step = 0; step < steps; step += 1) await page.keyboard.press(keys);
      await still(page);
    }
    const after = await said(page);
    if (after !== before) say(`${paths[0]!}: ${firstDifference(before, after)}`);
  }
});

/** A new version comes while tabs are open, again and again: the old page goes on to any room, and what was typed in it is still there when it takes the new one. */
export const renewed: Hardship = async (browser, behind, seed, most) => {
  const server = await fickleServer(behind);
  const meets = staged("renewed", async ({ context, page, rooms, say, faults }, url) => {
    await page.evaluate(async () => void (await navigator.serviceWorker.ready));
    const other = await context.newPage();
    const complaints = watched(other);
    await other.goto(`${url}/settings`);
    for (const [index, { pattern, paths }] of rooms.entries()) {
      await page.goto(`${url}${paths[0]!}`);
      await still(page);
      const written = await writeInAll(page, `n${index}w`);
      server.mood = server.mood === "newer" ? "well" : "newer";
      await other.evaluate(async () => void (await (await navigator.serviceWorker.ready).update()));
      for (const tab of [page, other]) await tab.getByText("A new version of Nook Coat is ready.").waitFor();
      await other.getByRole("button", { name: "Reload now" }).click();
      await other.getByText("A new version of Nook Coat is ready.").waitFor({ state: "detached" });
      await follow(page, rooms[(index + 7) % rooms.length]!.paths[0]!);
      faults.push(...(await wrongWith(page, `renewed, after ${pattern}`)));
      await page.goto(`${url}${paths[0]!}`);
      await still(page);
      const lost = await lostOf(page, url, written);
      if (lost.length > 0) say(`${pattern}: ${lost.join(", ")} is lost`);
    }
    await other.close();
    faults.push(...complaints);
  });
  return meets(browser, server.url, seed, most).finally(() => server.stop());
};
