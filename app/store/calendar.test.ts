/** The calendar as it is kept: dates that stand, work that is put somewhere, one thing each to take back, carried along in a file. */
import "fake-indexeddb/auto";
import { beforeEach, expect, test } from "@jest/globals";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { pieceId } from "#core/catalogue/ids";
import { readBundle } from "#core/formats/bundle";
import { USUAL_CALENDAR } from "#core/formats/stores/calendar";
import { pebble } from "../../tests/reference/bench";
import type { Act } from "./acts";
import { exportAll, importBundle, wipeAll } from "./bundles";
import { agreeOn, calendarIn, layAnew, letGo, putInto, setCalendar } from "./calendar";
import { onCommand, takeBack } from "./command";
import { openStore } from "./database";
import type { Database } from "./database";
import { addPiece } from "./pieces";

let db: Database;
let count = 0;
let acts: Act[] = [];
onCommand((act) => void acts.push(act));
const STONE = pieceId("calendarstone");
beforeEach(async () => {
  db = await openStore({}, `calendar-${(count += 1)}`);
  acts = [];
  await addPiece(db, pebble({}), STONE);
});
const on = (task: string, at: string, piece: string = STONE) => ({ piece, task, at: `${at}T19:00:00.000Z` });
const STANDING = [on("prime:1", "2026-11-30"), on("base:1", "2026-12-01")];

test("dates stand once they are agreed on, and are laid anew; what was put somewhere stays there", async () => {
  expect(await calendarIn(db)).toEqual(USUAL_CALENDAR);
  await agreeOn(db, STANDING);
  expect((await calendarIn(db)).agreed).toEqual(STANDING);
  await putInto(db, [on("base:1", "2026-12-04")], []);
  expect(await calendarIn(db)).toMatchObject({ agreed: [STANDING[0], on("base:1", "2026-12-04")], held: [on("base:1", "2026-12-04")] });
  await layAnew(db);
  expect(await calendarIn(db)).toMatchObject({ agreed: [], held: [on("base:1", "2026-12-04")] });
  await letGo(db, [{ piece: STONE, task: "base:1" }]);
  expect((await calendarIn(db)).held).toEqual([]);
  // Each of these is one thing to take back.
  await takeBack(db, acts.at(-1)!);
  await takeBack(db, acts.at(-2)!);
  expect((await calendarIn(db)).agreed).toHaveLength(2);
});

test("what is moved first has all other dates stand from then on, and not again", async () => {
  await putInto(db, [on("base:1", "2026-12-04")], STANDING);
  expect((await calendarIn(db)).agreed).toEqual([STANDING[0], on("base:1", "2026-12-04")]);
  await putInto(db, [on("prime:1", "2026-12-02")], [on("prime:1", "2026-12-24"), on("base:1", "2026-12-24")]);
  expect((await calendarIn(db)).agreed.map(({ at }) => at.slice(0, 10))).toEqual(["2026-12-02", "2026-12-04"]);
});

test("what belongs to a piece that is gone is not kept, what is chosen twice is written once, and nothing unfit is written at all", async () => {
  await agreeOn(db, [...STANDING, on("prime:1", "2026-11-30", "nosuchpiece")]);
  expect((await calendarIn(db)).agreed).toEqual(STANDING);
  await setCalendar(db, { goal: "fewest-sittings", hands: 2, rackPlaces: 8 });
  const { rev } = await calendarIn(db);
  await setCalendar(db, { hands: 2 });
  expect((await calendarIn(db)).rev).toBe(rev);
  await expect(setCalendar(db, { hands: 90 })).rejects.toThrow();
  await expect(agreeOn(db, [on("prime:1", "2026-13-45")])).rejects.toThrow();
  expect(await calendarIn(db)).toMatchObject({ hands: 2, rackPlaces: 8, ovenPlaces: null, agreed: STANDING });
});

test("it goes into a file and comes out of it", async () => {
  await agreeOn(db, STANDING);
  await putInto(db, [on("base:1", "2026-12-04")], []);
  const before = await calendarIn(db);
  const file = JSON.stringify(await exportAll(db));
  await wipeAll(db);
  expect(await calendarIn(db)).toEqual(USUAL_CALENDAR);
  const read = readBundle(file, CATALOGUE);
  if (!read.ok) throw new Error(read.problem.message);
  await importBundle(db, read.value.bundle);
  expect(await calendarIn(db)).toEqual(before);
});
