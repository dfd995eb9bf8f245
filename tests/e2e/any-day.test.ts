/** A small part of `npm run any-day`: the first Bench, a coat, dates and the evening at two instants that the day's own date draws. */
import { expect, test } from "@jest/globals";
import { drawInstants, sayInstant } from "../draw-instants";
import { NOW, ZONE } from "../instant";
import { allSaved, goOn, newNotebook, open, ownServer, plan, toRoom, URL_BASE, watchEveryPage } from "./bench";

watchEveryPage();

const MIN_MS = 60_000;
const HOUR_MS = 60 * MIN_MS;
const DAY = process.env.NOOK_COAT_DAY ?? "2027-01-11";
/** Where all walks are at a drawn instant, that one. */
const INSTANTS = process.env.NOOK_COAT_AT ? [{ at: NOW, zone: ZONE }] : drawInstants(Number(DAY.replaceAll("-", "")), 2);

test.each(INSTANTS.map((instant) => [sayInstant(instant), instant] as const))(
  "on %s the demo is alive, and a first coat is dated",
  async (_title, { at, zone }) => {
    const demo = await ownServer({ env: { NOOK_COAT_DEMO: "1" } });
    const { page } = await newNotebook({ at, timezoneId: zone });
    await page.goto(demo.url);
    await page.locator("[data-bench][aria-busy=false]").waitFor();
    // One thing to do now: a batch under way, needed within a fortnight.
    const now = page.locator("[data-now]");
    await now.getByText("Kiln-fired cake plates").waitFor();
    await now.locator("[data-primary]").getByText("3 of 6").waitFor();
    expect(await now.getByText(/· needed \w/).count()).toBe(1);
    // What is wet by minutes, by hours, by a day, and what dries through.
    const left = async (piece: string) => Number(await page.locator(`[data-alone="${piece}"]`).getAttribute("data-until")) - at;
    const [mug, pot, goblets, lanterns] = await Promise.all(["005", "002", "009", "004"].map((number) => left(`ternpoint${number}`)));
    expect([mug! < HOUR_MS, pot! > 2 * HOUR_MS, pot! < 12 * HOUR_MS, goblets! > 18 * HOUR_MS, lanterns! > 18 * HOUR_MS]).toEqual([
      true,
      true,
      true,
      true,
      true,
    ]);
    await page
      .locator('[data-alone="ternpoint004"]')
      .getByText(/drying through/)
      .waitFor();
    const aside = page.getByRole("complementary", { name: "Wet, and waited for" });
    await aside.getByRole("link", { name: "Window pebbles for sale" }).waitFor();
    await page.getByRole("region", { name: "Not begun yet" }).getByRole("link", { name: "Landing stone by the steps" }).waitFor();
    // It goes on from there.
    await now.locator("[data-primary]").click();
    await now.locator("[data-primary]").getByText("4 of 6").waitFor();
    await allSaved(page);
    await goOn([page], at + mug! + MIN_MS);
    await page.locator('[data-alone="ternpoint005"]').waitFor({ state: "detached" });
    expect(await page.locator("body").innerText()).not.toMatch(/NaN|Invalid|undefined/);

    // A piece of one's own, from this instant on: its first coat, its dates, and the evening.
    await goOn([page], at);
    await plan(page, { material: "Smooth pebble", uses: ["On show indoors"] });
    await page.getByRole("button", { name: /^Mark as done/ }).click();
    await allSaved(page);
    await toRoom(page, "Dates");
    await page.getByText(/^Ready for gentle hands/).waitFor();
    const dated = page.getByRole("region", { name: "Dates" }).locator("ol > li");
    expect([(await dated.count()) > 0, (await dated.allInnerTexts()).filter((text) => /yesterday/i.test(text))]).toEqual([true, []]);
    await open(page, "/evening");
    await page.locator("[data-done-on]").waitFor();
    await page.goto(`${URL_BASE}/calendar`);
    await page.locator("[data-calendar][aria-busy=false]").waitFor();
    await page.locator("[data-next]").waitFor();
    expect(await page.locator("body").innerText()).not.toMatch(/NaN|Invalid|undefined/);
  },
);
