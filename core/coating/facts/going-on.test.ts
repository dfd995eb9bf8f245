/** What is laid in one go: the same coat in all its places, the halves of an upright piece apart. */
import { describe, expect, test } from "@jest/globals";
import { lastGo, nextGo, taskId } from "./task";
import type { Task } from "./task";
import type { StepId } from "../../catalogue/ids";
import type { ZoneId } from "../../catalogue/vocabulary";

function task(zone: ZoneId, coat: number, half?: "first" | "second"): Task {
  const stepId = `${zone}-base` as StepId;
  return { id: taskId(stepId, coat, half), stepId, coat, ...(half ? { half } : {}), zones: [zone], handsOnMin: 10, after: [] };
}
const done = (...ids: string[]) => new Map(ids.map((id, at) => [id, at]));
const ids = (tasks: readonly Task[]) => tasks.map((one) => one.id);

describe("an act that stands in several places", () => {
  const tasks = [task("top", 1), task("edge", 1), task("top", 2), task("edge", 2)];
  test("goes on with the same coat in each place that still wants it", () => {
    expect(ids(nextGo(tasks, done()))).toEqual(["top-base:1", "edge-base:1"]);
    expect(ids(nextGo(tasks, done("top-base:1")))).toEqual(["edge-base:1"]);
    expect(ids(nextGo(tasks, done("top-base:1", "edge-base:1")))).toEqual(["top-base:2", "edge-base:2"]);
  });
  test("takes back the coat that was laid last, and only where it was laid", () => {
    expect(ids(lastGo(tasks, done()))).toEqual([]);
    expect(ids(lastGo(tasks, done("top-base:1", "edge-base:1", "top-base:2")))).toEqual(["top-base:2"]);
    expect(ids(lastGo(tasks, done("top-base:1", "edge-base:1")))).toEqual(["top-base:1", "edge-base:1"]);
  });
  test("has nothing to come when all of it is done", () => expect(nextGo(tasks, done(...ids(tasks)))).toEqual([]));
});

test("of what is held, one half is one go", () => {
  const halves = [task("body", 1, "first"), task("body", 1, "second")];
  expect(ids(nextGo(halves, done()))).toEqual(["body-base:1:first"]);
  expect(ids(lastGo(halves, done(...ids(halves))))).toEqual(["body-base:1:second"]);
});
