/** Between two devices, two tabs and two loads of a page: nothing she did is dropped, and where she said two different things she is asked. */
import { describe, expect, test } from "@jest/globals";
import type { Page } from "playwright-core";
import { bringIn as broughtIn, fileOf } from "../reliability/hands";
import { keptIn } from "../reliability/rooms";
import { allSaved, axeClean, newNotebook, open, plan, planReady, URL_BASE, watchEveryPage } from "./bench";
import { onBench } from "./bench-table";

watchEveryPage();

const fileFrom = async (page: Page) => (await fileOf(page, URL_BASE)).toString("utf8");
const bringIn = (page: Page, text: string) => broughtIn(page, URL_BASE, text);

async function sign(page: Page, name: string): Promise<void> {
  await open(page, "/settings");
  await page.getByLabel("How you sign").fill(name);
  await page.getByLabel("How you sign").blur();
  await allSaved(page);
}

test("painted on the laptop, noted on the phone, put together on Sunday: everything is there, what was said twice is asked, and all of it can be had back", async () => {
  const { page: laptop } = await onBench();
  const { page: phone } = await newNotebook({ viewport: { width: 390, height: 800 } });
  expect(await bringIn(phone, await fileFrom(laptop))).toMatch(/^3 pieces, \d+ plans?.* 1 jar brought in|^3 pieces and 1 jar brought in/);
  await sign(laptop, "Maren");
  await sign(phone, "M. T.");
  await open(phone, "/shelf");
  await phone.getByRole("combobox", { name: "Left in Harbour navy" }).click();
  await phone.getByRole("option", { name: "now half" }).click();
  await allSaved(phone);
  await open(phone, "/settings");
  await phone.getByLabel("Name of a room").fill("Balcony");
  await phone.getByRole("button", { name: "Add the room" }).click();
  await allSaved(phone);
  const before = await fileFrom(laptop);
  const said = await bringIn(laptop, await fileFrom(phone));
  expect(said).toMatch(/^1 room brought in; 1 jar brought up to date/);
  expect(said).toContain("One place differs");
  await laptop.getByRole("link", { name: "choose" }).click();
  await axeClean(laptop);
  const asked = laptop.locator("[data-difference]");
  expect(await asked.innerText()).toMatch(/how you sign[\s\S]*Here\s*Maren[\s\S]*In the file\s*M\. T\./);
  // It is asked on every page, over a reload too, until it is decided.
  await open(laptop, "/pieces");
  await laptop.getByRole("link", { name: "Choose what stands" }).click();
  await laptop.getByRole("button", { name: /^Take the file’s/ }).click();
  await asked.waitFor({ state: "detached" });
  await allSaved(laptop);
  expect(await laptop.getByLabel("How you sign").inputValue()).toBe("M. T.");
  expect(await bringIn(phone, await fileFrom(laptop))).not.toContain("differ");
  // As it was before, after a reload: the decision, then the file.
  await laptop.reload();
  await open(laptop, "/settings");
  for (const what of ["Taken back: taking it as the file has it", "Taken back: bringing the file in"]) {
    await laptop.getByRole("heading", { name: "Settings", exact: true }).click();
    await laptop.keyboard.press("Control+z");
    await laptop.getByText(what).first().waitFor();
  }
  const { checksum: _now, ...now } = JSON.parse(await fileFrom(laptop)) as Record<string, unknown>;
  const { checksum: _then, ...then } = JSON.parse(before) as Record<string, unknown>;
  const bare = (file: unknown) => JSON.stringify(file, (key, value: unknown) => (key === "rev" ? 0 : value));
  expect(bare(now)).toBe(bare(then));
});

describe("what is typed and not yet asked for", () => {
  test("outlives a reload, wherever it is typed", async () => {
    const { page } = await onBench();
    const typed: readonly (readonly [string, (at: Page) => Promise<void>, (at: Page) => Promise<string>])[] = [
      ["/settings", (at) => at.getByLabel("Name of a room").fill("Balc"), (at) => at.getByLabel("Name of a room").inputValue()],
      ["/", (at) => at.getByLabel("Remind me of").fill("Turn them"), (at) => at.getByLabel("Remind me of").inputValue()],
      [
        "/desk/marking",
        async (at) => (await at.getByRole("tab", { name: /tools/i }).click(), at.getByLabel("Written on it").fill("No 3")),
        (at) => at.getByLabel("Written on it").inputValue(),
      ],
      [
        "/logbook/older",
        (at) =>
          at
            .getByLabel(/^What it is called|^Name/)
            .first()
            .fill("Old wedge"),
        (at) =>
          at
            .getByLabel(/^What it is called|^Name/)
            .first()
            .inputValue(),
      ],
      [
        "/logbook/trials",
        async (at) => (await at.getByRole("button", { name: "Begin a trial" }).click(), at.getByLabel("What is to be found out").fill("Which yellows")),
        (at) => at.getByLabel("What is to be found out").inputValue(),
      ],
      [
        "/desk/casting/resin",
        (at) => at.getByRole("button", { name: "Weigh it at the scale" }).click(),
        async (at) => String(await at.getByText("Set the scale to zero").isVisible()),
      ],
    ];
    for (const [path, type, read] of typed) {
      await open(page, path);
      await type(page);
      const before = await read(page);
      await page.reload();
      await page.getByRole("main").waitFor();
      await expect([path, await page.waitForFunction(() => document.readyState === "complete").then(() => shown(page, read))]).toEqual([path, before]);
    }
  });

  test("free hours: what is shown is what is kept; a stretch that makes no sense yet says so, and what stands", async () => {
    const { page } = await newNotebook();
    await open(page, "/settings");
    const [from, to] = [page.getByLabel("Saturday, from"), page.getByLabel("Saturday, to")];
    await from.fill("19:00");
    await from.blur();
    await page
      .getByText(
        /Not kept: it ends before it begins. Until it makes sense, 10:00 to 17:00 stands|Not kept: it ends before it begins. Until it makes sense, 10:00 am to 5:00 pm stands/i,
      )
      .waitFor();
    expect(await keptIn(page, "hours")).toEqual([]);
    await page.reload();
    expect(await from.inputValue()).toBe("19:00");
    await to.fill("21:00");
    await to.blur();
    await allSaved(page);
    await page.getByText("Not kept").waitFor({ state: "detached" });
    const [{ hours }] = (await keptIn(page, "hours")) as unknown as readonly [{ hours: { weekday: unknown[] } }];
    expect(hours.weekday[5]).toEqual([{ from: "19:00", to: "21:00" }]);
  });
});

/** What a page shows once it has come to rest. */
async function shown(page: Page, read: (page: Page) => Promise<string>): Promise<string> {
  await page.locator('[data-saved="yes"]').first().waitFor();
  return read(page);
}

test("a double click is one: on every button that takes something away or makes another", async () => {
  const { page } = await onBench();
  const acts = () => keptIn(page, "acts").then((all) => all.length);
  await open(page, "/shelf");
  for (const n of [1, 2, 3]) {
    const before = await acts();
    await page
      .getByRole("button", { name: /^Another jar/ })
      .first()
      .dblclick();
    await allSaved(page);
    expect([n, await acts()]).toEqual([n, before + 1]);
  }
  await open(page, "/desk/casting");
  for (const name of ["Table number", "Salt box", "Wedge"]) {
    await page.getByRole("button", { name: "A mould" }).click();
    await page.getByLabel("What comes out of it").fill(name);
    const before = await acts();
    await page.getByRole("button", { name: "Keep this mould" }).dblclick();
    await page.getByText(name).first().waitFor();
    await allSaved(page);
    expect(await acts()).toBe(before + 1);
  }
  for (const path of ["/shelf", "/desk/casting"]) {
    await open(page, path);
    const bins = page.getByRole("main").getByRole("button", { name: /^(Take|Remove) / });
    await bins.first().waitFor();
    for (let left = Math.min(3, await bins.count()); left > 1; left -= 1) {
      const before = await acts();
      const there = await bins.count();
      const name = /^(?:Take|Remove) (.*?)(?: off the shelf| away)?$/.exec((await bins.first().getAttribute("aria-label"))!)![1]!;
      await bins.first().dblclick();
      await allSaved(page);
      expect([path, await acts()]).toEqual([path, before + 1]);
      await page.locator("[data-told]").getByText(`: ${name}.`).waitFor();
      // The place of the row stays empty until the hand is off it: a slow click there takes no other.
      await page.waitForFunction((most) => document.querySelectorAll("main button[aria-label^='Take ']").length < most, there);
      await page.mouse.down();
      await page.mouse.up();
      await allSaved(page);
      expect([path, await acts(), await bins.count()]).toEqual([path, before + 1, there - 1]);
      await page.mouse.move(5, 5);
    }
  }
});

test("a hand that asks for something on the way to one page and turns to another: every room stands", async () => {
  const { page } = await onBench();
  for (let round = 0; round < 3; round += 1) {
    await open(page, "/evening");
    await page.evaluate(
      () =>
        new Promise<void>((resolve) => {
          interface Router {
            readonly navigate: (to: string) => Promise<void>;
            readonly fetch: (key: string, route: string, to: string, how: object) => Promise<void>;
            readonly subscribe: (heard: (state: { readonly fetchers: ReadonlyMap<string, { readonly state: string }> }) => void) => () => void;
          }
          const router = (window as unknown as { readonly __reactRouterDataRouter: Router }).__reactRouterDataRouter;
          const stop = router.subscribe(({ fetchers }) => {
            if (fetchers.get("one")?.state !== "loading") return;
            stop();
            void router.navigate("/calendar").then(resolve);
          });
          void router.navigate("/pieces");
          void router.fetch("one", "root", "/history", { formMethod: "post", formEncType: "application/json", body: JSON.stringify({ intent: "redo" }) });
        }),
    );
    await page.getByRole("heading", { name: "Calendar", level: 1 }).waitFor();
  }
});

test("a notebook that is deleted under an open page is told as such, and what the page had read of it is put back: pieces, settings and rooms", async () => {
  const { context, page } = await newNotebook();
  await plan(page, { material: "Glazed ceramic", uses: ["On show indoors"] });
  const address = page.url();
  await sign(page, "Maren");
  await page.getByLabel("Name of a room").fill("Balcony");
  await page.getByRole("button", { name: "Add the room" }).click();
  await allSaved(page);
  await page.goto(address);
  await planReady(page);
  const other = await context.newPage();
  await other.goto(`${URL_BASE}/favicon.svg`);
  await other.evaluate(
    () =>
      new Promise<void>((resolve) => {
        indexedDB.deleteDatabase("nook-coat").onsuccess = () => resolve();
      }),
  );
  await page.getByRole("alert").getByText("The browser has cleared this notebook.").waitFor();
  expect(await page.getByText("A newer Nook Coat").count()).toBe(0);
  await page.reload();
  await planReady(page);
  expect((await keptIn(page, "settings")).map((one) => one.signature)).toEqual(["Maren"]);
  expect((await keptIn(page, "rooms")).map((one) => one.name)).toEqual(["Balcony"]);
});
