/** What went wrong is held till it is dry and put right; what is looked at, what nobody planned; and the Bench without a server. */
import { expect, test } from "@jest/globals";
import { allSaved, axeClean, goOn, keptForOffline, URL_BASE, WITH_OWN_COPY, watchEveryPage } from "./bench";
import { DAY_MS, EVENING, goneOn, kept, onBench, settled, toBench, touchable } from "./bench-table";

watchEveryPage();

test("a dot that is wet and in the wrong place is held till it is dry, and put right then; a check that fails proposes what to do; a coat nobody planned is on it", async () => {
  const { page } = await onBench();
  const wedge = "/pieces/doorwedge0001";
  await page.goto(`${URL_BASE}${wedge}/rescue`);
  await page.getByText("No coat is on it yet").waitFor();
  await toBench(page);
  // Something was laid that no plan asked for.
  await page.getByText("Something else was laid").click();
  const pick = async (label: string, option: string | RegExp) => {
    await page.getByRole("combobox", { name: new RegExp(`^${label}`) }).click();
    await page.getByRole("option", { name: option }).first().click();
  };
  await pick("On which piece", "Door wedge");
  await pick("What", "your Harbour navy");
  await pick("As", "colour all over");
  await axeClean(page);
  await page.getByRole("button", { name: "Note it: laid now" }).click();
  await page.locator('[data-alone="doorwedge0001"]').waitFor();
  await settled(page);
  await page.goto(`${URL_BASE}${wedge}/rescue`);
  await page.getByRole("radio", { name: /^wet: it still flows \(by the clock\)/ }).waitFor();
  await axeClean(page);
  await page.getByRole("button", { name: /^It was touched and smeared/ }).click();
  await page.locator("[data-remedy]").first().waitFor();
  await axeClean(page);
  await page.getByRole("button", { name: "Hold the piece and remind me: Let it dry, and take it off then" }).click();
  await page
    .locator("[data-timer]")
    .getByText(/^Put right: it was touched/)
    .waitFor();
  await settled(page);
  expect(await touchable(page)).not.toMatch(/^doorwedge/);
  await goOn([page], EVENING + DAY_MS);
  await page.getByText("Dry enough now.").waitFor();
  await page.getByRole("region", { name: "To be put right" }).getByRole("link", { name: "Put it right" }).click();
  await page
    .getByRole("button", { name: /^I have done it: / })
    .first()
    .click();
  await page.locator("[data-bench]").waitFor();
  await page.locator("[data-timer]").waitFor({ state: "detached" });
  // What is on it is looked at; a fail proposes what to do.
  await settled(page);
  await page.goto(`${URL_BASE}${wedge}/rescue`);
  await page.getByText(/^Or see whether it holds/).click();
  await page.getByRole("button", { name: "Light from the side: not good" }).click();
  await page.getByText("Rub the ridge off when it is dry, and lay one more thin coat.").waitFor();
  await axeClean(page);
  await page.getByRole("button", { name: "Put that into the plan" }).click();
  await allSaved(page);
  expect((await kept(page, "inspections")).map(({ kind, passed }) => [kind, passed])).toEqual([["raking-light", false]]);
  expect((await kept(page, "plans")).some(({ edits }) => (edits as readonly unknown[]).length > 0)).toBe(true);
  // A stroke is shown stage by stage.
  await page.goto(`${URL_BASE}/practice?of=swipes&piece=doorwedge0001`);
  await page.getByRole("heading", { name: /stage by stage$/ }).waitFor();
  await page.locator("[data-practice-sheet]").waitFor();
  await axeClean(page);
});

test("without a server the Bench opens, and what is done there is kept", async () => {
  const { context, page } = await onBench(WITH_OWN_COPY);
  await keptForOffline(page);
  await context.setOffline(true);
  await page.reload();
  await settled(page);
  const go = (await touchable(page))!;
  await page.locator("[data-primary]").click();
  await goneOn(page, go);
  await page.goto(`${URL_BASE}/evening`);
  await page.locator("[data-done-on]").waitFor();
  expect((await kept(page, "progress")).length).toBeGreaterThan(0);
  // So do the moulds, and a pour by its own address.
  await page.goto(`${URL_BASE}/desk/casting`);
  await page.getByRole("heading", { name: "Moulds" }).waitFor();
  await page.goto(`${URL_BASE}/desk/casting/pours/nopourhere01`);
  await page.getByText("This pour is not in your notebook").waitFor();
});
