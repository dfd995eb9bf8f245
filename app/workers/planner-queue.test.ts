import { expect, test } from "@jest/globals";
import { NotWanted, PlannerQueue } from "./planner-queue";

/** A worker whose answers are given by hand, and a clock that is turned by hand. */
function slowWorker() {
  const open: { name: string; answer: () => void; fail: () => void }[] = [];
  const alarms = new Set<() => void>();
  let stopped = 0;
  const queue = new PlannerQueue({
    limitMs: 1000,
    later: (work) => {
      alarms.add(work);
      return () => alarms.delete(work);
    },
    stop: () => (stopped += 1),
  });
  const ask = (name: string, piece = "mug", urgent = true, about = `plan/${piece}`) =>
    queue.ask(
      about,
      piece,
      urgent,
      () => new Promise<string>((resolve, reject) => open.push({ name, answer: () => resolve(name), fail: () => reject(new Error("broken")) })),
    );
  const names = () => open.map((one) => one.name);
  return { open, queue, ask, names, ring: () => [...alarms].forEach((alarm) => alarm()), stops: () => stopped };
}

const settle = () => new Promise((resolve) => setImmediate(resolve));

test("one question at a time; the newest waiting one about a thing is asked next, and who asked an older one gets its answer", async () => {
  const { open, ask, names } = slowWorker();
  const asked = [ask("first"), ask("second"), ask("third")];
  expect(names()).toEqual(["first"]);
  open[0]!.answer();
  await settle();
  expect(names()).toEqual(["first", "third"]);
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

test("what is looked at comes before a list of two hundred, and the piece looked at last before the one before it", async () => {
  const { open, ask, names } = slowWorker();
  const list = Array.from({ length: 200 }, (_unused, at) => ask(`card ${at}`, `piece${at}`, false));
  const pot = [ask("pot", "pot"), ask("dates of the pot", "pot", true, "dates/pot")];
  const mug = ask("mug", "mug");
  for (let at = 0; at < 4; at += 1) {
    open[at]!.answer();
    await settle();
  }
  expect(names().slice(0, 2)).toEqual(["card 0", "mug"]);
  expect(names()).not.toContain("pot");
  void [list, pot, mug];
});

test("a list that is left is not worked out to its end; what is looked at, or was, stays", async () => {
  const { open, queue, ask, names } = slowWorker();
  const first = ask("card 0", "piece0", false);
  const rest = ["piece1", "piece2"].map((piece) => expect(ask(piece, piece, false)).rejects.toBeInstanceOf(NotWanted));
  const before = ask("pot", "pot");
  const looked = ask("mug");
  queue.letGo(() => true);
  await Promise.all(rest);
  for (const at of [0, 1, 2]) {
    open[at]!.answer();
    await settle();
  }
  expect([await first, await looked, await before, names()]).toEqual(["card 0", "mug", "pot", ["card 0", "mug", "pot"]]);
});

test("one that takes too long is stopped with its worker, says so, and the next one is answered", async () => {
  const { open, ask, ring, stops } = slowWorker();
  const first = expect(ask("endless")).rejects.toMatchObject({ name: "PlannerStopped", why: "too-long" });
  ring();
  await first;
  expect(stops()).toBe(1);
  const second = ask("second");
  await settle();
  open[1]!.answer();
  expect(await second).toBe("second");
});
