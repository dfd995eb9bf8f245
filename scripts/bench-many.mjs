/** Times the app with a notebook of many pieces against one of a hundred: what a painter waits for, in real Chromium. Prints, judges nothing. */
import { chromium } from "playwright-core";
import { CHROMIUM_ARGS, chromiumPath } from "./ensure.mjs";

const FEW = 100;
const MANY = 5000;
const MATERIALS = ["terracotta", "stone-smooth", "ceramic-glazed"];
const WAIT = { timeout: 240_000 };

const nameOf = (index) => `Piece number ${index}`;

function notebookOf(count) {
  const pieces = Array.from({ length: count }, (_unused, index) => ({
    id: `many${String(index).padStart(8, "0")}`,
    rev: 1,
    planId: null,
    piece: {
      format: "nook-coat/piece",
      version: 1,
      name: nameOf(index),
      material: MATERIALS[index % MATERIALS.length],
      form: { kind: "disc", diameterMm: 60 + (index % 100), thicknessMm: 10 },
      uses: ["indoor-display"],
      decoration: { techniques: ["dots"] },
    },
  }));
  return Buffer.from(JSON.stringify({ format: "nook-coat/bundle", version: 3, pieces }));
}

/** Runs in the page, before anything else: long tasks and what shifts are summed up. */
function watch() {
  const { localStorage, PerformanceObserver } = globalThis;
  localStorage.setItem("nook-coat-visited", "1");
  globalThis.watched = { longest: 0, shifted: 0 };
  new PerformanceObserver((list) => {
    for (const { duration } of list.getEntries()) globalThis.watched.longest = Math.max(globalThis.watched.longest, duration);
  }).observe({ entryTypes: ["longtask"] });
  new PerformanceObserver((list) => {
    for (const entry of list.getEntries()) if (!entry.hadRecentInput) globalThis.watched.shifted += entry.value;
  }).observe({ type: "layout-shift", buffered: true });
}

/** Runs in the page: opens the palette by its key, and says how long until it has names, ms. */
function openPalette() {
  const { document, KeyboardEvent, MutationObserver, requestAnimationFrame } = globalThis;
  return new Promise((done) => {
    const from = performance.now();
    const observer = new MutationObserver(() => {
      if (![...document.querySelectorAll("[role=option]")].some((one) => one.textContent.startsWith("Piece number"))) return;
      observer.disconnect();
      requestAnimationFrame(() => done(performance.now() - from));
    });
    observer.observe(document.body, { childList: true, subtree: true });
    globalThis.dispatchEvent(new KeyboardEvent("keydown", { key: "k", ctrlKey: true }));
  });
}

async function measured(browser, url, count) {
  const context = await browser.newContext({ locale: "en-GB", viewport: { width: 1280, height: 800 } });
  await context.addInitScript(watch);
  const clock = async (work) => {
    const from = performance.now();
    await work();
    return performance.now() - from;
  };
  const settings = await context.newPage();
  await settings.goto(`${url}/settings`);
  await settings.waitForLoadState("networkidle");
  const file = { name: "many.json", mimeType: "application/json", buffer: notebookOf(count) };
  const bringing = await clock(async () => {
    await settings.getByLabel("Notebook file").setInputFiles(file);
    await settings.getByText(/brought in[.,]/).waitFor(WAIT);
  });
  const importTask = await settings.evaluate(() => globalThis.watched.longest);
  const page = await context.newPage();
  const card = await clock(async () => {
    await page.goto(url, { waitUntil: "commit" });
    await page.getByText(nameOf(0), { exact: true }).first().waitFor(WAIT);
  });
  await page
    .getByText("Working out the coats…")
    .first()
    .waitFor({ ...WAIT, state: "detached" });
  await page.waitForLoadState("networkidle");
  const { longest, shifted } = await page.evaluate(() => globalThis.watched);
  const heap = await page.evaluate(() => (globalThis.gc?.(), performance.memory.usedJSHeapSize / 1e6));
  const palette = await page.evaluate(openPalette);
  const piece = await clock(async () => {
    await page.getByRole("combobox", { name: "Find or do" }).fill(nameOf(count - 1));
    await page.getByRole("option", { name: nameOf(count - 1) }).waitFor();
    await page.keyboard.press("Enter");
    await page
      .getByRole("status")
      .filter({ hasText: /Plan ready/ })
      .waitFor({ ...WAIT, state: "attached" });
  });
  await context.close();
  return {
    "bringing the file in, ms": bringing,
    "longest task meanwhile, ms": importTask,
    "list: first card, ms": card,
    "list: longest task, ms": longest,
    "list: memory, MB": heap,
    "list: layout shift": shifted,
    "palette, first opening, ms": palette,
    "from the palette to a plan, ms": piece,
  };
}

/** @param url the built app, served without the demo */
export async function benchMany(url) {
  const args = [...CHROMIUM_ARGS, "--enable-precise-memory-info", "--js-flags=--expose-gc"];
  const browser = await chromium.launch({ executablePath: chromiumPath(), args });
  await measured(browser, url, FEW);
  const few = await measured(browser, url, FEW);
  const many = await measured(browser, url, MANY);
  console.log(`${MANY} pieces against ${FEW}:`);
  for (const [what, value] of Object.entries(many)) {
    const digits = value < 1 ? 4 : 0;
    const ratio = few[what] > 0 ? `, ${(value / few[what]).toFixed(1)} times` : "";
    console.log(`  ${what}: ${value.toFixed(digits)} (${few[what].toFixed(digits)}${ratio})`);
  }
  await browser.close();
}
