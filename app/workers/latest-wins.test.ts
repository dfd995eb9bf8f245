import { expect, test } from "@jest/globals";
import { latestWins } from "./latest-wins";

/** A worker whose answers are given by hand. */
function slowWorker() {
  const open: { name: string; answer: () => void; fail: () => void }[] = [];
  const asked = latestWins<string>();
  const ask = (name: string) =>
    asked(() => new Promise((resolve, reject) => open.push({ name, answer: () => resolve(name), fail: () => reject(new Error("broken")) })));
  return { open, ask };
}

const settle = () => new Promise((resolve) => setImmediate(resolve));

test("one question at a time; the newest waiting one is asked next, and who asked an older one gets its answer", async () => {
  const { open, ask } = slowWorker();
  const asked = [ask("first"), ask("second"), ask("third")];
  expect(open.map((one) => one.name)).toEqual(["first"]);
  open[0]!.answer();
  await settle();
  expect(open.map((one) => one.name)).toEqual(["first", "third"]);
  open[1]!.answer();
  expect(await Promise.all(asked)).toEqual(["third", "third", "third"]);
});

test("a question that breaks fails, and the next is asked", async () => {
  const { open, ask } = slowWorker();
  const first = expect(ask("first")).rejects.toThrow("broken");
  open[0]!.fail();
  await first;
  const second = ask("second");
  open[1]!.answer();
  expect(await second).toBe("second");
});
