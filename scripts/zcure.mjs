import { chromium } from "playwright-core";
import { CHROMIUM_ARGS, chromiumPath } from "./ensure.mjs";
process.env.NODE_ENV = "production";
process.env.NOOK_COAT_DEMO = "1";
const { serve } = await import("../server/serve.mjs");
const { url, close } = await serve({ port: 0 });
const browser = await chromium.launch({ executablePath: chromiumPath(), args: CHROMIUM_ARGS });
const [w, dim] = [Number(process.argv[2] ?? 1280), process.argv[3] === "dim"];
const context = await browser.newContext({ viewport: { width: w, height: w < 500 ? 844 : 900 }, timezoneId: "UTC", locale: "en-GB", colorScheme: dim ? "dark" : "light" });
const page = await context.newPage();
page.on("pageerror", (e) => console.log("ERR", e.message));
await page.clock.setFixedTime(Date.parse("2027-01-11T18:00:00Z"));
await page.goto(url + "/");
await page.locator("[data-go]").first().waitFor();
await page.evaluate(async () => {
  const open = indexedDB.open("nook-coat");
  const db = await new Promise((r) => (open.onsuccess = () => r(open.result)));
  const tx = db.transaction("pieces", "readwrite");
  const s = tx.objectStore("pieces");
  const get = (k) => new Promise((r) => { const q = s.get(k); q.onsuccess = () => r(q.result); });
  for (const [id, due] of [["ternpoint004", "2027-01-14"], ["ternpoint002", "2027-01-13"], ["ternpoint006", "2027-01-14"]]) { const p = await get(id); if (p) s.put({ ...p, rev: p.rev + 1, dates: { ...p.dates, due } }); }
  await new Promise((r) => (tx.oncomplete = r));
  db.close();
});
await page.goto(url + "/calendar");
await page.locator("[data-next]").waitFor();
await page.getByRole("progressbar").waitFor({ state: "detached" });
const t = performance.now();
await page.getByText("Trying what would help…").first().waitFor({ state: "detached", timeout: 120000 });
console.log("cures after", Math.round(performance.now() - t), "ms");
console.log(await page.getByRole("list", { name: "What does not come out" }).innerText());
await page.screenshot({ path: `/tmp/cure-${w}${dim ? "-dim" : ""}.png` });
const b = page.getByRole("list", { name: /^What would help/ }).first().getByRole("button").first();
if (await b.count()) {
  console.log("press", await b.innerText());
  await b.click();
  await page.getByText(/^Done: /).waitFor({ timeout: 60000 });
  console.log(await page.locator("[data-followed]").innerText());
  await page.screenshot({ path: `/tmp/cure2-${w}.png` });
}
await browser.close(); await close();
process.exit(0);
