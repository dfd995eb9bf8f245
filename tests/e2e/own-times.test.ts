/** Rooms as they are measured, with their nights, and times as the table teaches them. */
import { expect, test } from "@jest/globals";
import { nextAt } from "../instant";
import { allSaved, axeClean, DOTTED_PEBBLE, newNotebook, open, openFact, plan, planReady, toRoom, watchEveryPage } from "./bench";

watchEveryPage();

const MONDAY_NOON = nextAt(0, "12:00");
const DAY_MS = 86_400_000;

test("a room is taken from readings: a file of them, told by its line where it is wrong, or a made-up meter", async () => {
  const { page } = await newNotebook();
  await open(page, "/settings");
  await page.getByText("A room from the readings of a thermo-hygrometer").click();
  const give = (text: string) => page.getByLabel("File of readings").setInputFiles({ name: "Back room.csv", mimeType: "text/csv", buffer: Buffer.from(text) });
  await give("time,temperature,humidity\n2026-11-30 19:05,12,75\n2026-11-30 19:10,hot,75\n");
  await page.getByText(/^line 3, temperature: "hot" is no temperature/).waitFor();
  await give("time;temperature;humidity\n2026-11-30 12:00;16,0;60\n2026-12-01 00:00;10,0;80\n");
  await page.getByText(/^By day 16 °C, 60 %; by night 10 °C, 80 %/).waitFor();
  await axeClean(page);
  await page.getByRole("button", { name: "Take it as a room" }).click();
  await page.getByText("Back room: 16 °C, 60 % damp, still air; by night 10 °C, 80 %").waitFor();
  await page.getByText("There is a room of that name.").waitFor();
  await page.getByRole("button", { name: "Try it with a made-up one" }).click();
  await page.getByText(/^By day /).waitFor();
  await allSaved(page);
  // A night said by hand, and told where it is no temperature.
  await page.getByLabel("Name of a room").fill("Attic");
  await page.getByLabel("By night, °C").fill("cold");
  await page.getByRole("button", { name: "Add the room" }).click();
  await page.getByText(/^a temperature between/).waitFor();
  await page.getByLabel("By night, °C").fill("7,5");
  await page.getByRole("button", { name: "Add the room" }).click();
  await page.getByText("Attic: 20 °C, 55 % damp, still air; by night 7.5 °C, 55 %").waitFor();
  // A piece is worked in it: what its nights do to a coat is told.
  await plan(page, DOTTED_PEBBLE);
  await openFact(page, "Where you work");
  await page.getByRole("radio", { name: "Attic" }).click();
  await page.getByText(/At 7\.5 °C by night .* is too cold/).waitFor();
  // Elsewhere its nights are gone.
  await page.getByRole("radio", { name: "A warm, dry room (24 °C)" }).click();
  await page.getByText(/by night/).waitFor({ state: "detached" });
});

test("a coat is found tacky, and one took longer than reckoned: both are learnt, told, left out of account, and taken back", async () => {
  const { page } = await newNotebook({ at: MONDAY_NOON });
  await plan(page, DOTTED_PEBBLE);
  const panel = page.locator("[data-panel]");
  const done = async () => {
    await panel.getByRole("button", { name: /^Mark as done: / }).click();
    await allSaved(page);
  };
  await done();
  await page.clock.setFixedTime(MONDAY_NOON + 4 * DAY_MS);
  await page.reload();
  await planReady(page);
  const took = panel.getByLabel(/^Minutes it took/);
  await took.fill("an hour");
  await panel.getByText(/^Minutes as a number/).waitFor();
  await took.fill("40");
  await done();
  // What has just been laid is touched an hour and a half later.
  await page.clock.setFixedTime(MONDAY_NOON + 4 * DAY_MS + 90 * 60_000);
  await page.reload();
  await planReady(page);
  await panel.getByText("It may be done now.").waitFor();
  await panel.getByRole("button", { name: "Still tacky" }).click();
  await panel.getByText(/^Leave it alone until about/).waitFor();
  await allSaved(page);
  await panel.getByText("Exact figures (typical; your label wins)").click();
  await panel.getByRole("img", { name: /^How it dries here: dry to the touch .*; hard for good/ }).waitFor();
  await axeClean(page);
  await toRoom(page, "Dates");
  await page.getByText(/^Reckoned with your own times/).waitFor();
  await page.getByRole("link", { name: "your own times" }).click();
  const own = page.locator("#own-times");
  await own.getByText(/until it takes a coat: about \d+\s% longer \(between/).waitFor();
  await own.getByText(/takes you about \d+\s% longer/).waitFor();
  await own.getByRole("checkbox", { name: "Reckon with them" }).click();
  await allSaved(page);
  await page.goBack();
  await page.getByText(/^Ready for gentle hands/).waitFor();
  expect(await page.getByText(/^Reckoned with/).count()).toBe(0);
});
