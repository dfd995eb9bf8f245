/** Clocks: set back, in another zone, to twelve; and keys that are switched off. */
import { expect, test } from "@jest/globals";
import { NOW } from "../instant";
import { allSaved, newNotebook, open, plan, planReady, toRoom, URL_BASE, watchEveryPage } from "./bench";

watchEveryPage();

test("a clock that is set back is told of everywhere and on the piece, and the coat can be counted from now", async () => {
  const { page } = await newNotebook();
  await plan(page, { material: "Smooth pebble", uses: ["On show indoors"] });
  await page.getByRole("button", { name: /^Mark as done/ }).click();
  await allSaved(page);
  await page.clock.setFixedTime(NOW - 3 * 3_600_000);
  await page.reload();
  await planReady(page);
  const everywhere = page.getByRole("alert").filter({ hasText: "The clock was set back" });
  const onPiece = page.getByRole("alert").filter({ hasText: "a coat of this piece is noted for" });
  await everywhere.waitFor();
  await onPiece.waitFor();
  await page.getByRole("button", { name: "The clock is right: count from now" }).click();
  await onPiece.waitFor({ state: "detached" });
  await page.getByRole("button", { name: "The clock is right", exact: true }).click();
  await everywhere.waitFor({ state: "detached" });
  await allSaved(page);
  await page.reload();
  await planReady(page);
  expect(await page.getByRole("alert").filter({ hasText: "clock" }).count()).toBe(0);
  // And it can be taken back, though the clock has been before it.
  await page
    .getByRole("button", { name: /^Step 1, / })
    .first()
    .click();
  await page.getByRole("button", { name: /^Not done after all/ }).click();
  await page.getByRole("button", { name: /^Not done after all/ }).waitFor({ state: "detached" });
});

test("hours keep the zone they were said in, and a device elsewhere says so; clocks go to twelve where the locale has it", async () => {
  const { context, page } = await newNotebook({ locale: "en-US", timezoneId: undefined });
  const device = await context.newCDPSession(page);
  const travel = (timezoneId: string) => device.send("Emulation.setTimezoneOverride", { timezoneId });
  await travel("Europe/London");
  await open(page, "/settings");
  await page.getByText("In London time.").waitFor();
  await page.getByRole("button", { name: "Monday: not 7:00 pm to 10:00 pm" }).click();
  await allSaved(page);
  await plan(page, { material: "Smooth pebble", uses: ["On show indoors"] });
  await toRoom(page, "Dates");
  await page
    .getByText(/^\d+:\d\d–\d+:\d\d pm$/)
    .first()
    .waitFor();
  await travel("America/New_York");
  await page.reload();
  await page.getByText("Your hours were said in London time. This device is on New York time").waitFor();
  await open(page, "/settings");
  await page.getByRole("button", { name: "Say your hours in New York time" }).click();
  await page.getByText("In New York time.").waitFor();
  await allSaved(page);
});

test("single keys can be switched off; the others go on", async () => {
  const { page } = await newNotebook();
  await open(page, "/settings");
  await page.getByRole("checkbox", { name: /^Single keys do things/ }).click();
  await allSaved(page);
  await open(page, "/pieces");
  await page.locator("#page").focus();
  await page.keyboard.press("n");
  await page.keyboard.press("3");
  await page.keyboard.press("?");
  await page.keyboard.press("Control+k");
  await page.getByRole("dialog").waitFor();
  expect([page.url(), await page.getByRole("dialog").count()]).toEqual([`${URL_BASE}/pieces`, 1]);
});
