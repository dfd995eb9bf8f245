/** What the table teaches, as it is noted, kept, left out of account and taken back. */
import "fake-indexeddb/auto";
import { expect, test } from "@jest/globals";
import { candidateId, stepId } from "#core/catalogue/ids";
import type { ProductId } from "#core/catalogue/ids";
import { bodyOf } from "#core/logbook/body-state";
import type { Actual } from "#core/logbook/progress";
import { pebble } from "../../tests/reference/bench";
import { coat, follow } from "../../tests/reference/notebook";
import type { Act } from "./acts";
import { onCommand, takeBack } from "./command";
import { openStore } from "./database";
import { isLearntAnew, ownTimesIn, timesLearnt } from "./own-times";
import { addPiece } from "./pieces";
import { saveSettings } from "./preferences";
import { markDone, markDry, markTacky, progressOf } from "./progress";

const acts: Act[] = [];
onCommand((act) => void acts.push(act));
const touched = (afterMin: number, seen: "tacky" | "dry" = "tacky"): Actual => ({
  look: {
    product: "craft-acrylic" as ProductId,
    room: { temperatureC: 16, relativeHumidity: 0.62, airflow: "still" },
    stepId: stepId("top.base.craft-acrylic"),
    coat: 1,
    stage: "dry-to-recoat",
    by: "finger",
    afterMin,
    reckonedMin: 60,
    toldMin: 60,
    seen,
  },
});

test("still tacky is noted on the coat that is there, once for each time; it is learnt from unless the user says no, and taken back", async () => {
  const db = await openStore({}, "own-times");
  const piece = await addPiece(db, pebble());
  const base = coat(1);
  const plan = await markDone(
    db,
    piece.id,
    follow(candidateId("one"), ""),
    [{ ...base, actual: { work: { min: 30, reckonedMin: 20 } } }],
    "2026-11-30T19:00:00.000Z",
  );
  expect((await ownTimesIn(db))?.hands).toHaveLength(1);
  await markTacky(db, piece.id, plan, [{ ...base, actual: touched(90) }], "2026-11-30T20:30:00.000Z");
  await markTacky(db, piece.id, plan, [{ ...base, actual: touched(110) }], "2026-11-30T20:50:00.000Z");
  // A coat that is not there cannot be tacky.
  await markTacky(db, piece.id, plan, [{ ...coat(2), actual: touched(90) }], "2026-11-30T20:55:00.000Z");
  const progress = await progressOf(db, piece.id);
  expect(progress.map(({ kind }) => kind)).toEqual(["done", "tacky", "tacky"]);
  expect(bodyOf(progress)[0]!.coats).toEqual([{ coat: 1, at: "2026-11-30T19:00:00.000Z", tackyAt: "2026-11-30T20:50:00.000Z" }]);
  const tackyTwice = (await timesLearnt(db)).films[0]!;
  expect(tackyTwice).toMatchObject({ seen: 1, slow: 1 });
  // Dry at last: it is on the piece still, is left no longer for having been tacky, and is noted once.
  await markDry(db, piece.id, plan, [{ ...base, actual: touched(140, "dry") }], "2026-11-30T21:20:00.000Z");
  await markDry(db, piece.id, plan, [{ ...base, actual: touched(141, "dry") }], "2026-11-30T21:21:00.000Z");
  expect((await progressOf(db, piece.id)).map(({ kind }) => kind)).toEqual(["done", "tacky", "tacky", "dry"]);
  expect(bodyOf(await progressOf(db, piece.id))[0]!.coats).toEqual([{ coat: 1, at: "2026-11-30T19:00:00.000Z" }]);
  await markDone(db, piece.id, follow(candidateId("one"), ""), [base], "2026-11-30T21:22:00.000Z");
  expect(await progressOf(db, piece.id)).toHaveLength(4);
  await saveSettings(db, { ownTimes: false });
  expect(await ownTimesIn(db)).toBeNull();
  await saveSettings(db, { ownTimes: true });
  const looks = acts.filter(({ label }) => label.startsWith("noting that it is"));
  for (const act of [...looks].reverse()) await takeBack(db, act);
  expect((await timesLearnt(db)).films).toEqual([]);
});

test("a notebook that learnt from waits that were gone on with begins anew, and is told so once; one that never did is told nothing", async () => {
  const db = await openStore({}, "learnt-anew");
  const piece = await addPiece(db, pebble());
  expect(await isLearntAnew(db)).toBe(false);
  const { stage: _stage, by: _by, afterMin, toldMin: _told, seen: _seen, ...waited } = touched(12).look!;
  const old: Actual = { drying: { ...waited, waitedMin: afterMin } };
  await markDone(db, piece.id, follow(candidateId("one"), ""), [{ ...coat(2), actual: old }], "2026-11-30T19:00:00.000Z");
  expect([await ownTimesIn(db), await isLearntAnew(db)]).toEqual([null, true]);
  await saveSettings(db, { toldLearntAnew: true });
  expect(await isLearntAnew(db)).toBe(false);
});
