/** A hand that does anything anywhere: twenty things in the real app, then the notebook goes into a file and comes back out of it. */
import type { Browser, Page } from "playwright-core";
import { pick, seeded } from "./attack";
import type { Random } from "./attack";
import { bringIn, fileOf, freshContext, readOwn, still, watched, wrongWith } from "./hands";

const WITHIN = "header, main, [role=dialog], [role=alertdialog], [role=listbox]";
const TOUCHABLE = "button, a[href^='/'], input, textarea, [role=radio], [role=checkbox], [role=option], [role=button], summary";
/** What ends the walk, or leaves the app. */
const LEFT_ALONE = /print|empty (the notebook|it)|save the notebook|file|tern point|reload/i;
const TEXTS = ["3 1/4", "80 mm", "3,25", "0x50", "", "999999999", "ü ☂ <b>", "8 cm", "-4", "2026-12-24", "x".repeat(200)];
const KEYS = ["Control+z", "Control+Shift+z", "Control+k", "Escape", "n", "1", "2", "d", "?", "Tab", "Enter", "ArrowUp", "ArrowDown", " "];

/** Longest a hand waits for what it reaches for, ms. */
const REACH = { timeout: 1500 };

/** Marks what can be touched just now, and says of each what kind of field it is; "" where it is none. */
function mark(page: Page): Promise<readonly string[]> {
  return page.evaluate(
    ([within, touchable, leftAlone]) => {
      const wanted = [...document.querySelectorAll<HTMLElement>(within)].flatMap((part) => [...part.querySelectorAll<HTMLElement>(touchable)]);
      const free = [...new Set(wanted)].filter((one) => {
        const name = `${one.getAttribute("aria-label") ?? ""} ${one.textContent} ${one.getAttribute("type") ?? ""} ${one.getAttribute("href") ?? ""}`;
        return one.checkVisibility() && !one.matches(":disabled") && !new RegExp(leftAlone, "i").test(name);
      });
      for (const old of document.querySelectorAll("[data-touch]")) old.removeAttribute("data-touch");
      free.forEach((one, index) => one.setAttribute("data-touch", String(index)));
      return free.map((one) => (one instanceof HTMLTextAreaElement ? "text" : one instanceof HTMLInputElement && one.type !== "checkbox" ? one.type : ""));
    },
    [WITHIN, TOUCHABLE, LEFT_ALONE.source] as const,
  );
}

/** Touches one thing of a page, whatever it is. */
export async function touch(page: Page, random: Random): Promise<void> {
  const kinds = await mark(page);
  const at = Math.floor(random() * kinds.length);
  const one = page.locator(`[data-touch="${at}"]`);
  const text = pick(random, TEXTS);
  if (kinds[at] === undefined) return;
  if (kinds[at] === "") await one.click({ ...REACH, force: true });
  else if (["date", "time", "color"].includes(kinds[at])) await one.press(pick(random, ["ArrowUp", "ArrowDown", "Delete"]), REACH);
  else await one.fill(text, REACH);
}

async function act(page: Page, random: Random): Promise<void> {
  const how = random();
  if (how < 0.04) await page.reload();
  else if (how < 0.08) await page.goBack(REACH);
  else if (how < 0.2) await page.keyboard.press(pick(random, KEYS));
  else await touch(page, random);
}

/**
 * One walk in a notebook of its own.
 *
 * @param url the app, served with the demo
 * @returns what went wrong; none is wanted
 */
export async function walk(browser: Browser, url: string, seed: number, actions = 20): Promise<readonly string[]> {
  const random = seeded(seed);
  const context = await freshContext(browser);
  const page = await context.newPage();
  const faults = watched(page);
  const say = (text: string) => faults.push(`walk ${seed}: ${text}`);
  try {
    await page.goto(`${url}/pieces`);
    await page.getByText("All coats on, hardening").first().waitFor();
    await page.goto(
      `${url}${pick(random, ["/", "/evening", "/practice?of=swipes", "/pieces", "/pieces/ternpoint002/rescue", "/pieces/new", "/settings", "/shelf", "/shelf?look=lids&add=jar", "/shelf/shopping", "/pieces/ternpoint002", "/pieces/ternpoint005", "/pieces/ternpoint003/ways", "/pieces/ternpoint007/dates"])}`,
    );
    for (let index = 0; index < actions; index += 1) {
      // What has gone under the hand, or is covered, is simply missed.
      await act(page, random).catch(() => undefined);
      if (page.url().startsWith(url)) faults.push(...(await wrongWith(page, `walk ${seed}, ${index}, ${page.url()}`)));
      else await page.goto(url);
    }
    await page.goto(url);
    await still(page);
    const file = await fileOf(page, url);
    const own = readOwn(file);
    if (typeof own === "string") return [...faults, `walk ${seed}: ${own}`];
    const empty = await freshContext(browser);
    await empty.addInitScript(() => localStorage.setItem("nook-coat-visited", "1"));
    const other = await empty.newPage();
    await bringIn(other, url, file);
    const again = readOwn(await fileOf(other, url));
    // It is another device that gives it out again.
    const bare = (bundle: typeof again) => (typeof bundle === "string" ? bundle : JSON.stringify({ ...bundle, device: "" }));
    if (bare(again) !== bare(own)) say("the file does not come back as it went");
    await empty.close();
  } catch (error) {
    say(error instanceof Error ? error.message.split("\n")[0]! : String(error));
  } finally {
    await context.close();
  }
  return faults;
}
