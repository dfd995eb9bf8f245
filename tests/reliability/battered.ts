/** Damaged files brought into the real app: whatever is let in, every page of it stands. */
import type { Browser } from "playwright-core";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { readBundle } from "#core/formats/bundle";
import { damaged, seeded, soundFiles } from "./attack";
import { bringIn, fileOf, freshContext, readOwn, still, watched, wrongWith } from "./hands";

const ROOMS = ["", "/dates", "/ways", "/sheet", "/card"];

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
    const context = await freshContext(browser);
    await context.addInitScript(() => localStorage.setItem("nook-coat-visited", "1"));
    const page = await context.newPage();
    const said = watched(page);
    try {
      await bringIn(page, url, text);
      const pages = [
        "",
        "/shelf",
        "/shelf?look=lids",
        "/shelf/shopping",
        ...read.value.bundle.pieces.flatMap(({ id }) => ROOMS.map((room) => `/pieces/${id}${room}`)),
      ];
      for (const path of pages) {
        await page.goto(`${url}${path}`);
        await still(page);
        said.push(...(await wrongWith(page, path)));
      }
      const own = readOwn(await fileOf(page, url));
      if (typeof own === "string") said.push(own);
    } catch (error) {
      said.push(`${page.url()}: ${error instanceof Error ? error.message.split("\n")[0] : String(error)}`);
    }
    faults.push(...said.map((one) => `file ${at} of seed ${seed}: ${one}`));
    await context.close();
  }
  return faults;
}
