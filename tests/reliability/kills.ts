/** A browser that is killed while it writes, and opened again: what was said to be saved is there, and nothing is half written. */
import { spawn } from "node:child_process";
import type { ChildProcess } from "node:child_process";
import { mkdtemp, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { chromium } from "playwright-core";
import type { Browser, Page } from "playwright-core";
import { NOW, PATIENCE_MS, ZONE } from "../instant";
import { seeded } from "./attack";
import { fileOf, readOwn, still, watched } from "./hands";

interface Opened {
  readonly browser: Browser;
  readonly page: Page;
  readonly kill: () => Promise<void>;
}

/** Opens a browser of its own on a profile that outlives it. */
async function opened(executable: string, args: readonly string[], profile: string): Promise<Opened> {
  // A browser does not start by a clock that is set: its pages are told the time one by one.
  const { LD_PRELOAD: _clock, ...env } = process.env;
  const child: ChildProcess = spawn(executable, [...args, "--headless=new", "--remote-debugging-port=0", `--user-data-dir=${profile}`, "about:blank"], {
    detached: true,
    stdio: ["ignore", "ignore", "pipe"],
    env: { ...env, TZ: ZONE },
  });
  const gone = new Promise<void>((resolve) => child.once("exit", () => resolve()));
  const address = await new Promise<string>((resolve, reject) => {
    let said = "";
    child.stderr!.on("data", (chunk) => {
      said += String(chunk);
      const found = /DevTools listening on (ws:\S+)/.exec(said)?.[1];
      if (found) resolve(found);
    });
    void gone.then(() => reject(new Error(`the browser did not start: ${said.slice(0, 300)}`)));
  });
  const kill = async () => {
    // The whole group: the browser, and the processes its pages and its store live in.
    process.kill(-child.pid!, "SIGKILL");
    await gone;
  };
  try {
    const browser = await chromium.connectOverCDP(address, { timeout: PATIENCE_MS });
    const [context] = browser.contexts();
    await context!.clock.setFixedTime(NOW);
    return { browser, page: await context!.newPage(), kill };
  } catch (error) {
    // One that nobody gets a hold of is not left running.
    await kill();
    throw error;
  }
}

/** What came of it. */
export interface Killed {
  readonly faults: readonly string[];
  readonly typed: number;
  readonly saved: number;
}

/** Longest the hands go on after something was said to be saved, before the browser dies, ms. */
const LONGEST_MS = 1500;

/**
 * Types names one after another, and ticks a technique between them, until the browser is killed at a moment of chance; so many times on one notebook.
 *
 * @returns what was lost or half written, none is wanted; and how many names were typed, and of these said to be saved before a kill
 */
export async function kills(executable: string, args: readonly string[], url: string, count: number, seed: number): Promise<Killed> {
  const random = seeded(seed);
  const profile = await mkdtemp(join(tmpdir(), "nook-coat-kill-"));
  const faults: string[] = [];
  let last = 0;
  let saved = 0;
  let said = 0;
  let piece = "";
  let running: Opened | null = null;
  try {
    for (let round = 0; round <= count; round += 1) {
      running = await opened(executable, args, profile);
      const { browser, page, kill } = running;
      const complaints = watched(page);
      if (round === 0) {
        await page.goto(`${url}/pieces/new`);
        await page.getByRole("radio", { name: "Terracotta" }).click();
        await page.getByLabel("On show indoors", { exact: true }).check();
        await page.getByRole("button", { name: "Make the coat plan" }).click();
        await page.waitForURL(/\/pieces\/[0-9a-z]{16}/);
        piece = page.url();
        await still(page);
      } else {
        await page.goto(piece);
        await still(page);
        faults.push(...(await page.getByRole("alert").allInnerTexts()).map((text) => `kill ${round}: told ${text}`));
        const [now] = /\d+$/.exec(await page.getByLabel("Name of the piece").inputValue()) ?? ["0"];
        if (Number(now) < saved || Number(now) > last) faults.push(`kill ${round}: name ${now}, but ${saved} was saved and ${last} the last typed`);
        const own = readOwn(await fileOf(page, url));
        if (typeof own === "string") faults.push(`kill ${round}: ${own}`);
        saved = Number(now);
        await page.goto(piece);
        await still(page);
      }
      faults.push(...complaints.map((text) => `kill ${round}: ${text}`));
      if (round === count) {
        await browser.close();
        await kill().catch(() => undefined);
        break;
      }
      const name = page.getByLabel("Name of the piece");
      let tell = () => {};
      const told = new Promise<void>((resolve) => (tell = resolve));
      const hands = (async () => {
        for (;;) {
          await name.fill(`Name ${(last += 1)}`);
          await name.press("Enter");
          if (last % 3 === 0) {
            const search = page.getByRole("combobox", { name: /^Say more of it/ });
            await search.fill("dots");
            await search.press("Enter");
          }
          const typed = last;
          if (last % 2 === 0)
            await page
              .locator('[data-saved="yes"]')
              .waitFor()
              .then(() => {
                saved = typed;
                said += 1;
                tell();
              });
        }
      })()
        .catch(() => undefined)
        .finally(tell);
      // Something was said to be saved in every round: it is what must be there.
      await told;
      await new Promise((resolve) => setTimeout(resolve, random() * LONGEST_MS));
      await kill();
      await hands;
    }
  } finally {
    // The last one is gone already, unless something went wrong before its end.
    await running?.kill().catch(() => undefined);
    await rm(profile, { recursive: true, force: true, maxRetries: 5 });
  }
  return { faults, typed: last, saved: said };
}
