import { expect, test } from "@jest/globals";
import type { Keeping, PlanView } from "#core/coating/planner/plan-with-edits";
import type { Piece } from "#core/piece/piece";
import { pebble } from "../../tests/reference/bench";
import { latestWins } from "./plan-worker-api";

const keeping = { candidateId: null, school: "", edits: [] };

/** A worker whose answers are given by hand. */
function slowWorker() {
  const open: { name: string; answer: () => void; fail: () => void }[] = [];
  const ask = latestWins(
    (piece: Piece, _keeping: Keeping) =>
      new Promise<PlanView>((resolve, reject) => {
        open.push({ name: piece.name, answer: () => resolve({ set: { piece } } as unknown as PlanView), fail: () => reject(new Error("broken")) });
      }),
  );
  return { open, ask: (name: string) => ask(pebble({ name }), keeping) };
}

const settle = () => new Promise((resolve) => setImmediate(resolve));

test("one question at a time; the newest waiting one is asked next, what it overtook is answered with nothing", async () => {
  const { open, ask } = slowWorker();
  const [first, second, third] = [ask("first"), ask("second"), ask("third")];
  expect(open.map((one) => one.name)).toEqual(["first"]);
  expect(await second).toBeNull();
  open[0]!.answer();
  expect(await first).toBeNull();
  await settle();
  expect(open.map((one) => one.name)).toEqual(["first", "third"]);
  open[1]!.answer();
  expect((await third)?.set.piece.name).toBe("third");
});

test("a question that breaks fails by itself, and the next is asked", async () => {
  const { open, ask } = slowWorker();
  const first = ask("first");
  const failing = expect(first).rejects.toThrow("broken");
  const second = ask("second");
  open[0]!.fail();
  await failing;
  await settle();
  open[1]!.answer();
  expect((await second)?.set.piece.name).toBe("second");
});
