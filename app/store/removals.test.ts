import "fake-indexeddb/auto";
import { expect, test } from "@jest/globals";
import { recordName } from "#core/formats/stores/record-name";
import { DEFINITIONS } from "#core/formats/stores/stores";
import type { StoreName } from "#core/formats/stores/stores";
import { EVERY_STORE } from "../../tests/reference/every-store";
import type { Act } from "./acts";
import { onCommand, runCommand, takeBack } from "./command";
import { openStore } from "./database";
import { removedFrom, removedText } from "./removals";

/** What is taken away by itself: what belongs to nothing else, and is not the one record of its kind. */
const BY_ITSELF = DEFINITIONS.filter(({ owner, single, name }) => name === "photos" || (!owner && !single));

test.each(BY_ITSELF.map(({ name }) => name as StoreName))("%s: what is taken away is told with its name, and can be had back", async (store) => {
  const db = await openStore({}, `removals-${store}`);
  const [record] = EVERY_STORE[store] as readonly { readonly id: string }[];
  await runCommand(db, "the one", store, [store], (recorder) => recorder.put(store, record as never));
  const acts: Act[] = [];
  const end = onCommand((act) => acts.push(act));
  await runCommand(db, "taking it away", store, [store], (recorder) => recorder.remove(store, record!.id));
  end();
  const [act] = acts;
  expect(act!.removedAt).toBe(act!.at);
  expect(removedFrom(act!.entries)).toBe(store);
  expect(removedText(act!.entries, store)).toContain(recordName(record) ?? DEFINITIONS.find(({ name }) => name === store)!.counted[0]);
  await takeBack(db, act!);
  expect(await db.get(store, record!.id)).toMatchObject({ id: record!.id });
});
