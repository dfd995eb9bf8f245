/** The notebook on two devices: what was done on either is on both once their files have gone there and back, and can be had back as it was. */
import "fake-indexeddb/auto";
import { beforeEach, describe, expect, jest, test } from "@jest/globals";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { readBundle } from "#core/formats/bundle";
import { STORE_NAMES } from "#core/formats/stores/stores";
import type { StoreName } from "#core/formats/stores/stores";
import { fileOf, writeBundle } from "#core/formats/write-bundle";
import { EVERY_STORE } from "../../tests/reference/every-store";
import { NOW } from "../../tests/instant";
import type { Act } from "./acts";
import { everything, exportAll, importBundle, wipeAll } from "./bundles";
import { onCommand, runCommand, takeBack } from "./command";
import { openStore } from "./database";
import type { Database } from "./database";
import { decideDifferences, differencesIn } from "./differences";
import { removePiece } from "./pieces";
import { pieceId } from "#core/catalogue/ids";

const acts: Act[] = [];
onCommand((act) => void acts.push(act));
let count = 0;
let laptop: Database;
let phone: Database;

type AnyRecord = Readonly<Record<string, unknown>> & { readonly id: string; readonly rev: number };

/** Something that may be said of a record of each store. */
const SAID: { readonly [S in StoreName]: (record: AnyRecord, by: string) => object } = {
  pieces: (_record, by) => ({ standsAt: `on the ${by}'s shelf` }),
  plans: (record, by) => ({ edits: [...(record.edits as object[]), { op: "set", stepId: `top.lock.${by}`, field: "coats", value: 2 }] }),
  progress: () => ({ kind: "ruined" }),
  inspections: () => ({ passed: true }),
  photos: (_record, by) => ({ caption: `from the ${by}` }),
  records: (record, by) => ({ additions: [...(record.additions as object[]), { id: `added${by}001`, at: "2026-12-01T10:00:00.000Z", text: `by ${by}` }] }),
  trials: (record, by) => ({
    spots: (record.spots as { looks: object[] }[]).map((spot, n) =>
      n === 1 ? { ...spot, looks: [...spot.looks, { id: `look${by}0001`, at: "2026-12-01T10:00:00.000Z", saw: ["fine"] }] } : spot,
    ),
  }),
  shelf: (_record, by) => ({ left: { ml: by === "phone" ? 31 : 33, by: "eye", at: "2026-12-01T10:00:00.000Z" } }),
  recipes: (_record, by) => ({ school: `as on the ${by}` }),
  tools: (_record, by) => ({ label: `the ${by}'s` }),
  patterns: (_record, by) => ({ guides: by === "phone" ? 6 : 10 }),
  moulds: (_record, by) => ({ count: by === "phone" ? 3 : 5 }),
  compounds: (_record, by) => ({ paid: by === "phone" ? 15 : 16 }),
  pours: (record, by) => ({
    bodies: (record.bodies as { weighings: object[] }[]).map((body) => ({
      ...body,
      weighings: [...body.weighings, { at: `2026-12-0${by === "phone" ? 1 : 2}T10:00:00.000Z`, g: 600 }],
    })),
  }),
  rooms: (_record, by) => ({ name: `${by} room` }),
  hours: (record) => ({ hours: { ...(record.hours as object), exceptions: [] } }),
  calendar: (_record, by) => ({ rackPlaces: by === "phone" ? 4 : 5 }),
  timers: (_record, by) => ({ label: `look, ${by}` }),
  settings: (_record, by) => ({ signature: by }),
};

const say = (db: Database, store: StoreName, id: string, by: string) =>
  runCommand(db, "saying something", `${store}/${id}`, [store], async (recorder) => {
    const record = (await recorder.get(store, id)) as unknown as AnyRecord;
    await recorder.put(store, { ...record, ...SAID[store](record, by), rev: record.rev + 1 } as never);
  });

/** The file of one device, as it is saved and read. */
async function fileFrom(db: Database) {
  const read = readBundle(JSON.stringify(fileOf(writeBundle((await everything(db)) as never))), CATALOGUE);
  if (!read.ok || read.value.aside.length > 0 || read.value.altered) throw new Error("the file is not as it was written");
  return read.value.bundle;
}

const bringInto = async (db: Database, from: Database) => importBundle(db, await fileFrom(from));
const bare = async (db: Database) => JSON.parse(JSON.stringify(await exportAll(db), (key, value) => (key === "rev" ? 0 : value))) as unknown;
const FIRST = STORE_NAMES.map((store) => [store, (EVERY_STORE[store] as unknown as readonly AnyRecord[])[0]!.id] as const);

beforeEach(async () => {
  jest.setSystemTime(NOW + count * 60_000);
  [laptop, phone] = [await openStore({}, `laptop-${(count += 1)}`), await openStore({}, `phone-${count}`)];
  await importBundle(laptop, writeBundle(EVERY_STORE));
  await bringInto(phone, laptop);
  expect(await bare(phone)).toEqual(await bare(laptop));
});

describe.each(FIRST)("of %s", (store, id) => {
  test("what is said on the phone is on the laptop once its file is there, and is taken back in one act, as if it had never been", async () => {
    const before = await bare(laptop);
    await say(phone, store, id, "phone");
    expect(await bringInto(laptop, phone)).toMatchObject({ added: {}, changed: { [store]: 1 }, removed: {}, older: {}, differences: 0 });
    expect(await bare(laptop)).toEqual(await bare(phone));
    const act = acts.at(-1)!;
    const again = await takeBack(laptop, (await laptop.get("acts", act.id))!);
    expect(await bare(laptop)).toEqual(before);
    expect(await bringInto(laptop, phone)).toMatchObject({ changed: { [store]: 1 } });
    expect(await bare(laptop)).toEqual(await bare(phone));
    expect(again).not.toBeNull();
    // And what is said on the laptop afterwards goes back.
    await say(laptop, store, id, "laptop");
    await bringInto(phone, laptop);
    expect([await bare(phone), (await differencesIn(phone)).length]).toEqual([await bare(laptop), 0]);
  });

  test("a record that is new, and one that is taken off, are so on both", async () => {
    await wipeAll(phone);
    expect(await bringInto(phone, laptop)).toMatchObject({ changed: {}, removed: {}, differences: 0 });
    expect(await bare(phone)).toEqual(await bare(laptop));
    await runCommand(phone, "taking it off", `${store}/${id}`, STORE_NAMES, async (recorder) => {
      // No coat is without its plan.
      if (store === "plans") for (const coat of await recorder.all("progress")) await recorder.remove("progress", coat.id);
      await recorder.removeWhole(store, id);
    });
    await bringInto(laptop, phone);
    expect(await bare(laptop)).toEqual(await bare(phone));
    expect(await laptop.get(store, id)).toBeUndefined();
  });
});

describe("said differently on both", () => {
  const asked = async (db: Database) => (await differencesIn(db)).map(({ id, mine, theirs }) => [id, mine, theirs]);
  const JAR = `shelf/${FIRST.find(([store]) => store === "shelf")![1]}/left`;

  beforeEach(async () => {
    await say(laptop, "shelf", JAR.split("/")[1]!, "laptop");
    await say(phone, "shelf", JAR.split("/")[1]!, "phone");
    expect(await bringInto(laptop, phone)).toMatchObject({ changed: {}, differences: 1 });
    await bringInto(phone, laptop);
  });

  test("each asks, with both values, and goes on as it was until it is decided; taking the bringing in back takes the question back", async () => {
    const [[id, mine, theirs]] = (await asked(laptop)) as [[string, { ml: number }, { ml: number }]];
    expect([id, mine.ml, theirs.ml]).toEqual([JAR, 33, 31]);
    expect((await asked(phone))[0]).toEqual([JAR, theirs, mine]);
    expect((await laptop.get("shelf", id.split("/")[1]!))?.left?.ml).toBe(33);
    await takeBack(phone, acts.at(-1)!);
    expect(await asked(phone)).toEqual([]);
    await bringInto(phone, laptop);
    expect(await asked(phone)).toHaveLength(1);
  });

  test.each(["mine", "theirs"] as const)("what is decided on one, %s, is decided on the other; taken back it is asked again", async (whose) => {
    await decideDifferences(laptop, [JAR], whose);
    const act = acts.at(-1)!;
    expect(await asked(laptop)).toEqual([]);
    expect((await laptop.get("shelf", JAR.split("/")[1]!))?.left?.ml).toBe(whose === "mine" ? 33 : 31);
    await bringInto(phone, laptop);
    expect(await bare(phone)).toEqual(await bare(laptop));
    expect([await asked(phone), await asked(laptop)]).toEqual([[], []]);
    await bringInto(laptop, phone);
    await takeBack(laptop, act);
    expect((await asked(laptop)).map(([id]) => id)).toEqual([JAR]);
  });
});

test("a piece that was taken off on one device while something was noted of it on the other stays, with all that was noted", async () => {
  const id = pieceId("everypiece01");
  const notes = async (db: Database) => (await db.getAllFromIndex("progress", "byPiece", id)).map((one) => one.id).sort();
  await removePiece(laptop, id);
  await runCommand(phone, "a coat", `pieces/${id}`, ["progress"], async (recorder) => {
    const [coat] = await recorder.all("progress");
    await recorder.put("progress", { ...coat!, id: "secondcoat01" as never, coat: 2 });
  });
  await bringInto(phone, laptop);
  await bringInto(laptop, phone);
  expect(await notes(phone)).toEqual(["everycoat001", "secondcoat01"]);
  expect(await bare(laptop)).toEqual(await bare(phone));
  await removePiece(laptop, id);
  await bringInto(phone, laptop);
  expect([await phone.count("pieces"), await notes(phone)]).toEqual([0, []]);
});

test("the device's own file brings back what was taken off, with coats and photographs; another's does not", async () => {
  const id = pieceId("everypiece01");
  const [own, others, before] = [await fileFrom(laptop), await fileFrom(phone), await bare(laptop)];
  await removePiece(laptop, id);
  expect(await importBundle(laptop, others)).toMatchObject({ added: {}, older: { pieces: 1, plans: 1, progress: 1, photos: 1, inspections: 1, timers: 1 } });
  expect(await importBundle(laptop, own)).toMatchObject({ added: { pieces: 1, plans: 1, progress: 1, photos: 1 } });
  expect(await bare(laptop)).toEqual(before);
});

test("a bringing-in that only added, taken back, leaves nothing behind: a third device's file brings all of it in again", async () => {
  const [fresh, third] = [await openStore({}, `fresh-${count}`), await openStore({}, `third-${count}`)];
  await importBundle(third, writeBundle({ rooms: EVERY_STORE.rooms }));
  expect(await importBundle(fresh, writeBundle({ rooms: EVERY_STORE.rooms }))).toMatchObject({ added: { rooms: 1 } });
  await takeBack(fresh, acts.at(-1)!);
  expect([await fresh.count("rooms"), await fresh.count("stamps")]).toEqual([0, 0]);
  expect(await bringInto(fresh, third)).toMatchObject({ added: { rooms: 1 } });
  expect(await bare(fresh)).toEqual(await bare(third));
});
