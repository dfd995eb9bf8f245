/** Two tabs on one notebook: what is taken back in one never goes from under what was noted in the other, and neither's fields are lost. */
import "fake-indexeddb/auto";
import { beforeEach, describe, expect, test } from "@jest/globals";
import { candidateId, compoundId, logRecordId, mouldId, pieceId, toolId } from "#core/catalogue/ids";
import { DEFINITIONS, STORE_NAMES } from "#core/formats/stores/stores";
import type { StoreName } from "#core/formats/stores/stores";
import { usualHours } from "#core/schedule/free-hours";
import { pebble } from "../../tests/reference/bench";
import { EVERY_STORE } from "../../tests/reference/every-store";
import { coat, follow } from "../../tests/reference/notebook";
import type { Act } from "./acts";
import { keepCompound, keepMould } from "./casting";
import { onCommand, runCommand, takeBack } from "./command";
import { openStore } from "./database";
import type { Database } from "./database";
import { decideDifferences, differencesIn } from "./differences";
import { keepTool } from "./marking";
import { addPiece, pieceById, setFaults } from "./pieces";
import { hoursIn, saveHours } from "./preferences";
import { markDone, progressOf } from "./progress";
import { changeRecord } from "./records";

const acts: Act[] = [];
onCommand((act) => void acts.push(act));
let db: Database;
let count = 0;
beforeEach(async () => {
  db = await openStore({}, `other-tab-${(count += 1)}`);
});

const AT = "2026-11-24T19:00:00.000Z";
const following = follow(candidateId("one"), "");

describe("taking back", () => {
  test("a coat and the plan that was made for it: the plan stays under a coat the other tab noted, and is followed on", async () => {
    const { id } = await addPiece(db, pebble());
    await markDone(db, id, following, [coat(1)], AT);
    const first = acts.at(-1)!;
    await markDone(db, id, following, [coat(2)], AT);
    const again = await takeBack(db, first);
    expect((await progressOf(db, id)).map((one) => one.coat)).toEqual([2]);
    const [plan] = await db.getAll("plans");
    expect((await pieceById(db, id))?.planId).toBe(plan!.id);
    expect(await takeBack(db, again!)).not.toBeNull();
    expect(await progressOf(db, id)).toHaveLength(2);
  });

  const NAMED = DEFINITIONS.flatMap(({ name, refers = {}, owner }) =>
    [...new Map([...Object.entries(refers), ...(owner ? [[owner.field, owner.store] as const] : [])])].map(([field, of]) => ({
      store: name as StoreName,
      field,
      of: of as StoreName,
    })),
  );
  test.each(NAMED)("what a record of $store names as its $field is not taken from under it", async ({ store, of }) => {
    const [whole] = EVERY_STORE[of] as unknown as readonly { readonly id: string }[];
    // It names nothing of the other's store itself.
    const back = NAMED.filter((one) => one.store === of && one.of === store).map(({ field }) => [field, "another00001"]);
    const named = { ...whole!, ...Object.fromEntries(back) };
    const [naming] = EVERY_STORE[store] as unknown as readonly { readonly id: string }[];
    await runCommand(db, "the one", of, [of], (recorder) => recorder.put(of, named as never));
    const made = acts.at(-1)!;
    await runCommand(db, "the other", store, [store], (recorder) => recorder.put(store, naming as never));
    expect(await takeBack(db, made)).toBeNull();
    expect(await db.get(of, named.id)).toEqual(named);
    await takeBack(db, acts.at(-1)!);
    expect(await takeBack(db, made)).not.toBeNull();
    for (const name of STORE_NAMES) expect([name, await db.count(name)]).toEqual([name, 0]);
  });
});

describe("a thing changed in two tabs that do not see each other", () => {
  const MOULD = { id: mouldId("mouldnumber1"), name: "Table number", form: { kind: "disc", diameterMm: 90, thicknessMm: 14 }, count: 4 } as const;
  const BAG = { id: compoundId("bagofgypsum1"), kind: "gypsum", name: "Casting gypsum", label: { waterPer100: 38, setMin: 30 }, bagG: 4536 } as const;
  const TOOL = { id: toolId("toolnumber01"), label: "Number 4", tip: "ball", mm: 4 } as const;
  const RECORD = { ...EVERY_STORE.records[0]!, id: logRecordId("recordofpot1"), pieceId: pieceId("everypiece01") };
  const money = (body: number | undefined, price: number | undefined) => ({
    ...(body === undefined ? {} : { body }),
    ...(price === undefined ? {} : { price }),
  });
  const CASES = [
    {
      what: "a mould",
      store: "moulds",
      id: MOULD.id,
      fields: ["name", "count"],
      values: ["Salt box", 6],
      other: 7,
      keep: (one: object, seen: object | null) => keepMould(db, { ...MOULD, ...one }, {}, seen && { ...MOULD, ...seen }),
    },
    {
      what: "a bag",
      store: "compounds",
      id: BAG.id,
      fields: ["name", "bagG"],
      values: ["Plaster", 5000],
      other: 5100,
      keep: (one: object, seen: object | null) => keepCompound(db, { ...BAG, ...one }, {}, seen && { ...BAG, ...seen }),
    },
    {
      what: "a tool",
      store: "tools",
      id: TOOL.id,
      fields: ["label", "leaves"],
      values: ["Number four", 1.2],
      other: 1.3,
      keep: (one: object, seen: object | null) => keepTool(db, { ...TOOL, ...one }, {}, seen && { ...TOOL, ...seen }),
    },
  ] as const;

  test.each(CASES)(
    "$what: each tab's field stays; the same one set in both is asked about, and nothing of it is lost",
    async ({ store, id, fields: [one, two], values: [first, second], other, keep }) => {
      await keep({}, null);
      await keep({ [one]: first }, {});
      await keep({ [two]: second }, {});
      expect(await db.get(store, id)).toMatchObject({ [one]: first, [two]: second });
      expect(await differencesIn(db)).toEqual([]);
      await keep({ [two]: other }, {});
      expect(await db.get(store, id)).toMatchObject({ [one]: first, [two]: second });
      const [asked] = await differencesIn(db);
      expect(asked).toMatchObject({ mine: second, theirs: other, from: "tab" });
      await decideDifferences(db, [asked!.id], "theirs");
      expect(await db.get(store, id)).toMatchObject({ [one]: first, [two]: other });
      expect(await differencesIn(db)).toEqual([]);
      await runCommand(db, "taking it away", store, [store], (recorder) => recorder.remove(store, id));
      await expect(keep({ [two]: second }, {})).rejects.toMatchObject({ isFinal: true });
    },
  );

  test("a weekday of the free hours: another day joins, the same one is asked about", async () => {
    const usual = usualHours("Europe/London");
    const saturday = (from: string, to: string) => ({ ...usual, weekday: usual.weekday.map((day, at) => (at === 5 ? [{ from, to }] : day)) });
    await saveHours(db, usual, saturday("10:00", "12:00"));
    await saveHours(db, usual, { ...usual, weekday: usual.weekday.map((day, at) => (at === 6 ? [{ from: "14:00", to: "16:00" }] : day)) });
    expect(await differencesIn(db)).toEqual([]);
    await saveHours(db, usual, saturday("19:00", "21:00"));
    const { weekday } = await hoursIn(db, "Europe/London");
    expect(weekday.slice(5)).toEqual([[{ from: "10:00", to: "12:00" }], [{ from: "14:00", to: "16:00" }]]);
    const [asked] = await differencesIn(db);
    expect(asked).toMatchObject({ mine: [{ from: "10:00", to: "12:00" }], theirs: [{ from: "19:00", to: "21:00" }], from: "tab" });
    await decideDifferences(db, [asked!.id], "theirs");
    expect((await hoursIn(db, "Europe/London")).weekday[5]).toEqual([{ from: "19:00", to: "21:00" }]);
  });

  test("faults of a body: another one joins, the same one is asked about, the last one goes", async () => {
    const { id } = await addPiece(db, pebble());
    const [hole, chip] = [
      { kind: "hole", place: "face", bodies: 1, each: 3, widthMm: 2 },
      { kind: "chip", place: "edge", bodies: 1, each: 1, widthMm: 4 },
    ] as const;
    const faults = async () => (await db.get("pieces", id))!.faults;
    await setFaults(db, id, [hole], {}, []);
    await setFaults(db, id, [chip], {}, []);
    expect(await faults()).toEqual([hole, chip]);
    await setFaults(db, id, [{ ...hole, each: 4 }, chip], {}, [hole, chip]);
    await setFaults(db, id, [{ ...hole, each: 5 }, chip], {}, [hole, chip]);
    expect(await faults()).toEqual([{ ...hole, each: 4 }, chip]);
    expect(await differencesIn(db)).toMatchObject([{ mine: 4, theirs: 5, from: "tab" }]);
    await setFaults(db, id, [], {}, [{ ...hole, each: 4 }, chip]);
    expect(await faults()).toBeUndefined();
  });

  test("the money of a record, part by part", async () => {
    await runCommand(db, "a record", "records", ["records"], (recorder) => recorder.put("records", { ...RECORD, money: money(3, 18) }));
    await changeRecord(db, RECORD.id, { kind: "money", money: money(4, 18), seen: money(3, 18) });
    await changeRecord(db, RECORD.id, { kind: "money", money: money(3, 20), seen: money(3, 18) });
    expect((await db.get("records", RECORD.id))?.money).toEqual(money(4, 20));
    await changeRecord(db, RECORD.id, { kind: "money", money: money(undefined, 18), seen: money(3, 18) });
    expect((await db.get("records", RECORD.id))?.money).toEqual(money(4, 20));
    expect(await differencesIn(db)).toMatchObject([{ field: "money.body", mine: 4, theirs: undefined }]);
  });
});
