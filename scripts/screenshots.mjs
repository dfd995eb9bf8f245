/**
 * `npm run screenshots`: the pictures of `docs/screenshots/`, from the made-up pieces, all at one instant, so that a picture changes only when its view does.
 * `npm run screenshots -- bench plan` makes these two.
 */
import { join } from "node:path";
import { chromium } from "playwright-core";
import { build } from "./build.mjs";
import { CHROMIUM_ARGS, chromiumPath, ensureChromium, ensurePackages, ROOT } from "./ensure.mjs";

/** A Monday evening in winter, at six. */
const AT = Date.parse("2027-01-11T18:00:00Z");
const WIDE = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

/** What is shown, where, and what is done before it is taken. */
const VIEWS = {
  bench: { path: "/" },
  pieces: { path: "/pieces", ready: (page) => page.getByText("All coats on, hardening").first().waitFor() },
  "new-piece": {
    path: "/pieces/new",
    before: async (page) => {
      await page.getByRole("radio", { name: "Terracotta" }).click();
      await page.getByLabel("A planter with wet soil", { exact: true }).check();
    },
  },
  plan: { path: "/pieces/ternpoint002" },
  casting: { path: "/desk/casting" },
  rescue: { path: "/pieces/ternpoint002/rescue" },
  evening: { path: "/evening", dim: true },
  calendar: { path: "/calendar" },
  dates: { path: "/pieces/ternpoint007/dates" },
  ways: { path: "/pieces/ternpoint003/ways" },
  marking: { path: "/pieces/ternpoint010/marks" },
  mixing: { path: "/pieces/ternpoint008/mixing" },
  shelf: { path: "/shelf", ready: (page) => page.getByText("From the shelf alone:").waitFor() },
  class: { path: "/pieces/ternpoint010/class" },
  logbook: { path: "/logbook" },
  record: { path: "/logbook/records/ternpointloggrey" },
  card: { path: "/pieces/ternpoint010/card" },
  settings: { path: "/settings" },
  "plan-phone": { path: "/pieces/ternpoint001", size: PHONE },
};

ensurePackages();
ensureChromium();
if (build({ stdio: "ignore" }) !== 0) throw new Error("the app could not be built");
process.env.NODE_ENV = "production";
process.env.NOOK_COAT_DEMO = "1";
const { serve } = await import("../server/serve.mjs");
const { url, close } = await serve({ port: 0 });
const browser = await chromium.launch({ executablePath: chromiumPath(), args: CHROMIUM_ARGS });
const wanted = process.argv.slice(2);
const unknown = wanted.filter((name) => !(name in VIEWS));
if (unknown.length > 0) throw new Error(`no view is called ${unknown.join(", ")}; there are ${Object.keys(VIEWS).join(", ")}`);

/** Nothing is being worked out any more, and nothing is on its way. */
async function still(page) {
  await page.waitForLoadState("networkidle");
  await page.waitForFunction(() => {
    const { document } = globalThis;
    // What is being worked out says so in words that end with dots.
    const awaited = [...document.querySelectorAll("main p, main li, main span")].some((one) => /\w…$/.test(one.textContent.trim()));
    return !awaited && !document.querySelector('[aria-busy="true"], [role=progressbar]');
  });
  await page.evaluate(() => globalThis.document.fonts.ready);
}

for (const [name, { path, size = WIDE, dim = false, before, ready }] of Object.entries(VIEWS)) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  const context = await browser.newContext({ locale: "en-GB", timezoneId: "Europe/London", viewport: size, reducedMotion: "reduce", serviceWorkers: "block" });
  await context.clock.setFixedTime(AT);
  if (dim) await context.addInitScript(() => globalThis.localStorage.setItem("nook-coat-theme", "dim"));
  const page = await context.newPage();
  page.setDefaultTimeout(60_000);
  // The made-up pieces are laid out at the first visit.
  await page.goto(url);
  await page.locator("[data-bench][aria-busy=false]").waitFor();
  if (path !== "/") await page.goto(`${url}${path}`);
  await still(page);
  await before?.(page);
  await ready?.(page);
  await still(page);
  await page.screenshot({ path: join(ROOT, `docs/screenshots/${name}.png`) });
  console.log(`${name}: ${path}`);
  await context.close();
}
await browser.close();
await close();
process.exit(0);
