/** Six moulds of three kinds out of one bag: weighed on a made-up scale, stage by stage, over a reload; dried, mended and handed over to the plans. */
import { expect, test } from "@jest/globals";
import type { Page } from "playwright-core";
import { sayMass, toG } from "#core/units/mass";
import { NOW } from "../instant";
import { allSaved, axeClean, choose, goOn, newNotebook, open, planReady, URL_BASE, watchEveryPage } from "./bench";
import { kept } from "./bench-table";

watchEveryPage();

const MIN_MS = 60_000;
const HOUR_MS = 60 * MIN_MS;

interface Kept {
  readonly id: string;
  readonly bowls: readonly { readonly waterG: number; readonly powderG: number; readonly run: { readonly waterG?: number; readonly powderG?: number } }[];
  readonly bodies: readonly { readonly count: number; readonly weighings: readonly unknown[] }[];
}
const pourOf = async (page: Page) => (await kept(page, "pours"))[0] as unknown as Kept;
const press = (page: Page, name: string | RegExp) => page.getByRole("button", { name }).first().click();

async function fill(page: Page, label: string, text: string): Promise<void> {
  const box = page.getByLabel(label, { exact: false }).first();
  await box.fill(text);
  await box.blur();
}

async function newMould(page: Page, name: string, shape: string, water: string, count: string): Promise<void> {
  await press(page, /^A mould$/);
  await page.getByLabel("What comes out of it").fill(name);
  await choose(page, "Shape", shape);
  if (shape === "Flat and round") await fill(page, "Thickness", "30");
  await fill(page, "Holds, full of water", water);
  await fill(page, "How many of it", count);
  await press(page, "Keep this mould");
  await page
    .getByRole("list", { name: "Your moulds" })
    .getByText(new RegExp(`^${name}`))
    .first()
    .waitFor();
}

/** Casting with three moulds and a bag. */
async function atCasting(page: Page): Promise<void> {
  await open(page, "/desk/casting");
  await page.getByText("Put your first mould into the register").waitFor();
  await press(page, /^A mould$/);
  // Nothing is kept without a name.
  await press(page, "Keep this mould");
  await page.getByRole("alert").getByText("Give it a name").waitFor();
  await axeClean(page);
  await press(page, "Leave it");
  await newMould(page, "Table number", "Flat and round", "88", "3");
  await newMould(page, "Gull stone", "Domed", "101", "2");
  await newMould(page, "Salt box", "Box-shaped", "240", "1");
  await press(page, /^A bag or a kit$/);
  await page.getByLabel("What it is called").fill("Casting gypsum, 10 lb");
  await fill(page, "A full bag", "10 lb");
  await fill(page, "Paid for it", "14");
  await fill(page, "Water to 100 of powder", "38");
  await fill(page, "Has set after", "25");
  await press(page, "Put it on the shelf");
  await page.getByText("4.54 kg left").waitFor();
  await allSaved(page);
}

/** The page as it is after so much more time. */
const later = (page: Page, to: number): Promise<void> => goOn([page], to);

/** Puts so much on the made-up scale and waits until it rests on it. */
async function onScale(page: Page, ...put: readonly string[]): Promise<void> {
  for (const one of put) await page.getByRole("group", { name: "What you put on the made-up scale" }).getByRole("button", { name: one }).click();
  await page.locator("button[data-primary]:enabled", { hasText: "Take it down" }).waitFor();
}

/** A bowl that is typed: what the scale has to show stands softly in the box. */
async function typeBowl(page: Page): Promise<void> {
  for (const part of ["water", "powder"]) {
    await press(page, "It shows zero");
    await page.locator(`[data-weighing="${part}"]`).waitFor();
    const box = page.getByLabel("What the scale shows");
    await box.fill((await box.getAttribute("placeholder"))!);
    await press(page, "Take it down");
  }
  await page.locator("[data-weighed]").waitFor();
}

test("six moulds are poured out of one bag without a slip of paper; it is known when they may be painted, and the two with holes are being filled", async () => {
  const { page } = await newNotebook();
  await atCasting(page);
  await later(page, NOW + 5 * MIN_MS);
  for (const [mould, count] of [
    ["Table number", 3],
    ["Gull stone", 2],
    ["Salt box", 1],
  ] as const)
    for (let k = 0; k < count; k += 1) await press(page, `One ${mould} more`);
  await page.getByText(/^\d+ g water, \d+ g powder$/).waitFor();
  await fill(page, "The bowl takes, in all", "800 g");
  await page.getByText("In 2 bowls").waitFor();
  await page.getByText("Air stays in a thin wall.").waitFor();
  await axeClean(page);
  await press(page, "Begin the pour");
  await page.waitForURL(/\/pours\//);
  await page.locator("[data-weighing=zero]").waitFor();
  const begun = await pourOf(page);
  expect(begun.bowls).toHaveLength(2);
  const address = page.url();

  // The first bowl on the made-up scale, with too much water in it. A scale comes to rest: its time runs.
  await page.clock.setSystemTime(NOW + 5 * MIN_MS);
  await press(page, "Try it with a made-up scale");
  await press(page, "It shows zero");
  await page.locator('[data-weighing="water"]').waitFor();
  await axeClean(page);
  await onScale(page, "the rest in a thread", "10 g on", "10 g on", "10 g on");
  await page.getByText(/too much water/).waitFor();
  await press(page, "Take it down");
  await page.getByText(/water went in, so the powder is/).waitFor();
  await allSaved(page);
  // The page is closed over it, and goes on where it was.
  await page.reload();
  await page.getByText(/water went in, so the powder is/).waitFor();
  await press(page, "Try it with a made-up scale");
  await press(page, "It shows zero");
  await page.locator('[data-weighing="powder"]').waitFor();
  await onScale(page, "the rest in a thread");
  await press(page, "Take it down");
  await page.locator("[data-weighed]").waitFor();
  await allSaved(page);
  const [first] = (await pourOf(page)).bowls;
  expect(first!.run.waterG! - first!.waterG).toBeGreaterThan(25);
  expect((first!.run.waterG! / first!.run.powderG!) * 100).toBeCloseTo(38, -1);

  // Stage by stage; what runs by itself is a timer on the Bench.
  let now = NOW + HOUR_MS;
  await later(page, now);
  const doing = async (stage: string) => {
    await page.locator(`[data-stage="${stage}"]`).waitFor();
    await page.locator("[data-stage] [data-primary]").click();
  };
  await doing("sprinkle");
  await page.getByText(/^Pour it by .* at the latest\.$/).waitFor();
  await doing("soak");
  await page.locator('[data-waiting="soak"]').waitFor();
  await axeClean(page);
  await allSaved(page);
  await open(page, "/");
  await page.goto(`${URL_BASE}/desk/casting`);
  await page.getByRole("link", { name: /let it soak, till/ }).click();
  await page.locator('[data-waiting="soak"]').waitFor();
  await later(page, (now += 4 * MIN_MS));
  for (const stage of ["stir", "knock", "pour"]) await doing(stage);
  await doing("set");
  // While the first sets the second is weighed.
  await page.locator("[data-weighing=zero]").waitFor();
  await typeBowl(page);
  await doing("sprinkle");
  await page.locator('[data-stage="soak"]').waitFor();
  await allSaved(page);
  await press(page, "Bowl 1 leave it to set");
  await page.locator('[data-waiting="set"]').waitFor();
  await press(page, /^Bowl 2/);
  for (const stage of ["soak"]) await doing(stage);
  await later(page, (now += 4 * MIN_MS));
  for (const stage of ["stir", "knock", "pour", "set"]) await doing(stage);
  // Each stage that waits is let run; the bowl whose time is up comes to the front.
  for (let turn = 0; turn < 20 && (await page.locator("[data-bodies]").count()) < 3; turn += 1) {
    await later(page, (now += 20 * MIN_MS));
    const due = page.locator("[data-stage] [data-primary]");
    await page.locator("[data-stage], [data-waiting]").first().waitFor();
    if ((await due.count()) > 0) await due.click();
    await allSaved(page);
  }
  await page.getByRole("heading", { name: "Table number × 3", exact: true }).waitFor();
  await axeClean(page);

  // Two of the numbers have holes: they are filled while they are damp.
  const numbers = page.locator("[data-bodies]").filter({ has: page.getByRole("heading", { name: /^Table number/ }) });
  await numbers.getByRole("button", { name: "Something is wrong with some" }).click();
  await numbers.getByLabel("On how many of them").fill("2");
  await numbers.getByLabel("Deep, or high").fill("7");
  await numbers.getByRole("button", { name: "Note it" }).first().click();
  await numbers.getByText("Stir a spoon of the same powder").waitFor();
  await numbers.getByRole("button", { name: "Round 1 of 2 is in" }).click();
  await numbers.getByText("one round is in").waitFor();
  await allSaved(page);

  // Weighed over days; what is told narrows until it is dry.
  const out = now;
  let weighed = 0;
  const weigh = async (hours: number) => {
    await later(page, out + hours * HOUR_MS);
    await numbers.getByLabel(/weighs?$/).fill(String(Math.round(421 + 68 * Math.exp(-hours / 30))));
    await numbers
      .locator("form")
      .filter({ has: page.locator("input[type=datetime-local]") })
      .getByRole("button", { name: "Note it" })
      .click();
    await numbers
      .getByRole("list", { name: "Weighings of Table number" })
      .getByRole("listitem")
      .nth((weighed += 1) - 1)
      .waitFor();
  };
  await numbers.getByText("Weigh them now and then").waitFor();
  for (const hours of [1, 24, 48]) await weigh(hours);
  await numbers.getByText(/It cannot be told well yet: not before .*; each weighing narrows it down/).waitFor();
  for (const hours of [72, 96, 120]) await weigh(hours);
  await numbers.getByText(/they may be painted about .*/).waitFor();
  await numbers.getByRole("img", { name: /Still in it/ }).waitFor();
  await axeClean(page);
  await allSaved(page);
  await page.goto(`${URL_BASE}/desk/casting`);
  await page.getByRole("link", { name: /^Table number × 3 may be painted about/ }).click();
  for (const hours of [168, 192]) await weigh(hours);
  await numbers.getByText("The weight stays the same: they may be painted.").waitFor();
  await allSaved(page);

  // The sound one becomes a piece that may be primed; the two with holes one that is mended first.
  await numbers.getByRole("button", { name: "Paint the 3" }).click();
  await page.getByText("the 1 that are sound").waitFor();
  await axeClean(page);
  await press(page, "Make the coat plan");
  await page.waitForURL(/\/pieces\/[0-9a-z]{16}$/);
  await planReady(page);
  await page.getByText(/about 1\d\d g each/).waitFor();
  expect((await kept(page, "progress")).map(({ kind, act }) => [kind, (act as { product: string }).product])).toEqual([["done", "constant-weight"]]);
  await page.goto(address);
  await numbers.getByRole("button", { name: "Paint the 2" }).click();
  await page.getByLabel("What they are called").fill("Numbers with holes");
  await press(page, "Make the coat plan");
  await page.waitForURL(/\/repair$/);
  await page.getByRole("heading", { name: /air holes on the face|an air hole|air holes/ }).waitFor();
  await axeClean(page);
  await press(page, "Write it into the plan");
  await page.waitForURL(/\/pieces\/[0-9a-z]{16}$/);
  await planReady(page);
  await allSaved(page);
  const edits = (await kept(page, "plans")).flatMap((one) => one.edits as readonly { op: string; step?: { role: string; coats?: number } }[]);
  expect(edits.find(({ step }) => step?.role === "fill")?.step?.coats).toBe(3);

  // The bag has what was not weighed out of it.
  const used = (await pourOf(page)).bowls.reduce((sum, { run }) => sum + run.powderG!, 0);
  await open(page, "/shelf");
  await page.getByText(`${sayMass(toG(10, "lb") - used, "g")} left`, { exact: true }).waitFor();
});

test("resin is weighed by the label's ratio; a cement body says how far it has matured; on a phone nothing runs over", async () => {
  const { page } = await newNotebook({ viewport: { width: 390, height: 844 } });
  await open(page, "/desk/casting/resin");
  await page.getByText(/g resin,/).waitFor();
  await fill(page, "Bumps stand up by", "2");
  await page.getByText("By volume", { exact: false }).waitFor();
  await press(page, "Weigh it at the scale");
  await typeBowl(page);
  await axeClean(page);
  await page.goto(`${URL_BASE}/desk/casting`);
  await newMould(page, "Harbour bollard", "Straight-sided", "", "2");
  await choose(page, "Out of", "Cement mix, typical");
  await press(page, "One Harbour bollard more");
  await page.getByText("Wet cement is caustic", { exact: false }).first().waitFor();
  await page.getByText("reckoned by size", { exact: false }).waitFor();
  await axeClean(page);
  expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0);
  await press(page, "Begin the pour");
  await typeBowl(page);
  const pourAt = page.url();
  const begun = NOW + HOUR_MS;
  await later(page, begun);
  for (let turn = 0; turn < 20 && (await page.locator("[data-bodies]").count()) === 0; turn += 1) {
    await page.locator("[data-stage], [data-waiting]").first().waitFor();
    const due = page.locator("[data-stage] [data-primary]");
    if ((await due.count()) > 0) await due.click();
    await later(page, begun + (turn + 1) * 12 * HOUR_MS);
    await allSaved(page);
  }
  await page.getByText("of 28 days at 20 °C", { exact: false }).waitFor();
  await page.getByText("caustic", { exact: false }).first().waitFor();
  expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0);
  await axeClean(page);
  await later(page, begun + 60 * 24 * HOUR_MS);
  await page.getByText("As hard as 28 days at 20 °C.", { exact: false }).waitFor();
  await press(page, "Paint it");
  await press(page, "Make the coat plan");
  await page.waitForURL(/\/pieces\/[0-9a-z]{16}$/);
  await planReady(page);
  await allSaved(page);
  // The pour is let go, and comes back whole.
  await page.goto(pourAt);
  await press(page, "Let go of this pour");
  await page.waitForURL(/\/desk\/casting$/);
  await allSaved(page);
  expect(await kept(page, "pours")).toEqual([]);
  await page.getByRole("button", { name: /^Take back letting go/ }).click();
  await allSaved(page);
  expect((await pourOf(page)).bodies).toHaveLength(1);
  const [piece] = (await kept(page, "pieces")) as readonly { piece?: { body?: object; material?: string } }[];
  expect(piece!.piece).toMatchObject({ material: "concrete-cast", body: { matured: true } });
});
