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

test("whatever stands by itself, and is not the one of its kind, has words for its going", () => {
  expect(DEFINITIONS.filter(({ owner, single, gone }) => !owner && !single && !gone)).toEqual([]);
});

const TOLD = DEFINITIONS.filter(({ gone }) => gone).map(({ name }) => name as StoreName);

test.each(TOLD)("%s: what is taken away is told with its name, and can be had back; what is passing for no longer than other acts", async (store) => {
  const db = await openStore({}, `removals-${store}`);
  const [record] = EVERY_STORE[store] as readonly { readonly id: string }[];
  await runCommand(db, "the one", store, [store], (recorder) => recorder.put(store, record as never));
  const acts: Act[] = [];
  const end = onCommand((act) => acts.push(act));
  await runCommand(db, "taking it away", store, [store], (recorder) => recorder.remove(store, record!.id));
  end();
  const [act] = acts;
  expect(act!.removedAt).toBe(store === "timers" ? undefined : act!.at);
  expect(removedFrom(act!.entries)).toBe(store);
  expect(removedText(act!.entries, store)).toContain(recordName(record) ?? DEFINITIONS.find(({ name }) => name === store)!.counted[0]);
  // With another in its place, what is passing was only replaced.
  const replaced = removedFrom([...act!.entries, { store, before: null, after: record! }]);
  expect(replaced).toBe(store === "timers" ? null : store);
  await takeBack(db, act!);
  expect(await db.get(store, record!.id)).toMatchObject({ id: record!.id });
});
