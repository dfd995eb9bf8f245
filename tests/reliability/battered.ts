/** Damaged files brought into the real app: whatever is let in, every page of it stands. */
import { readdirSync, readFileSync } from "node:fs";
import type { Browser } from "playwright-core";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { readBundle } from "#core/formats/bundle";
import { damaged, seeded, soundFiles } from "./attack";
import { bringIn, fileOf, freshContext, readOwn, still, watched, wrongWith } from "./hands";

const ROOMS = ["", "/dates", "/ways", "/sheet", "/card"];

/** Brings a file into a notebook never used, and looks at every page of what was let in. @returns what went wrong */
async function lookedAt(browser: Browser, url: string, text: string, pieces: readonly string[]): Promise<readonly string[]> {
  const context = await freshContext(browser);
  await context.addInitScript(() => localStorage.setItem("nook-coat-visited", "1"));
  const page = await context.newPage();
  const said = watched(page);
  try {
    await bringIn(page, url, text);
    for (const path of ["", "/shelf", "/shelf?look=lids", "/shelf/shopping", ...pieces.flatMap((id) => ROOMS.map((room) => `/pieces/${id}${room}`))]) {
      await page.goto(`${url}${path}`);
      await still(page);
      said.push(...(await wrongWith(page, path)));
    }
    const own = readOwn(await fileOf(page, url));
    if (typeof own === "string") said.push(own);
  } catch (error) {
    said.push(`${page.url()}: ${error instanceof Error ? error.message.split("\n")[0] : String(error)}`);
  }
  await context.close();
  return said;
}

/**
 * The notebook of every released version, with all its pages.
 *
 * @returns what went wrong; none is wanted
 */
export async function released(browser: Browser, url: string): Promise<readonly string[]> {
  const faults: string[] = [];
  for (const name of readdirSync("tests/fixtures").filter((one) => /^bundle-\d+\.json$/.test(one))) {
    const text = readFileSync(`tests/fixtures/${name}`, "utf8");
    const read = readBundle(text, CATALOGUE);
    if (!read.ok || read.value.aside.length > 0) faults.push(`${name}: not let in whole`);
    const pieces = read.ok ? read.value.bundle.pieces.map(({ id }) => id) : [];
    faults.push(...(await lookedAt(browser, url, text, pieces)).map((one) => `${name}: ${one}`));
  }
  return faults;
}

/**
 * @param count how many files that have something in them to be let in
 * @returns what went wrong; none is wanted
 */
export async function battered(browser: Browser, url: string, count: number, seed: number): Promise<readonly string[]> {
  const random = seeded(seed);
  const sources = soundFiles();
  const faults: string[] = [];
  for (let at = 0; at < count;) {
    const text = JSON.stringify(damaged(sources[Math.floor(random() * sources.length)]!, random));
    const read = readBundle(text, CATALOGUE);
    if (!read.ok || read.value.bundle.pieces.length === 0) continue;
    at += 1;
    const said = await lookedAt(
      browser,
      url,
      text,
      read.value.bundle.pieces.map(({ id }) => id),
    );
    faults.push(...said.map((one) => `file ${at} of seed ${seed}: ${one}`));
  }
  return faults;
}
