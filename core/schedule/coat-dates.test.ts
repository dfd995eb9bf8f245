import { describe, expect, test } from "@jest/globals";
import type { StepId } from "../catalogue/ids";
import type { Task } from "../coating/facts/task";
import { coatDates } from "./coat-dates";
import type { Dated } from "./coat-dates";

const HOUR = 3_600_000;
const task = (coat: number, half?: "first" | "second"): Task => ({
  id: `base:${coat}${half ? `:${half}` : ""}`,
  stepId: "base" as StepId,
  coat,
  ...(half ? { half } : {}),
  zones: ["outside"],
  handsOnMin: 10,
  after: [],
});
const tasks = [task(1, "first"), task(1, "second"), task(2)];
const dated = (more: Partial<Dated>): Dated => ({
  work: { tasks, milestones: [] },
  own: { items: tasks.map((one, k) => ({ task: one, from: k * HOUR, to: k * HOUR + 1 })) } as never,
  standing: new Map(),
  now: 0,
  ...more,
});
const act = { stepIds: ["base" as StepId] };

describe("when each coat of an act is laid", () => {
  test("as its own free hours have it, both halves once where they go into one sitting, and what is past is left out", () => {
    expect(coatDates(act, dated({}))).toEqual([
      { coat: 1, from: 0 },
      { coat: 2, from: 2 * HOUR },
    ]);
    const apart = [0, 24 * HOUR, 48 * HOUR].map((from, k) => ({ task: tasks[k]!, from, to: from + 1 }));
    expect(coatDates(act, dated({ own: { items: apart } as never })).map(({ half }) => half)).toEqual(["first", "second", undefined]);
    expect(coatDates(act, dated({ now: HOUR })).map(({ from }) => from)).toEqual([HOUR, 2 * HOUR]);
    expect(coatDates({ stepIds: ["seal" as StepId] }, dated({}))).toEqual([]);
  });

  test("as the calendar has it where its dates stand; not where all of them have slipped", () => {
    const standing = new Map([["base:2", 9 * HOUR]]);
    expect(coatDates(act, dated({ standing }))).toEqual([{ coat: 2, from: 9 * HOUR }]);
    expect(coatDates(act, dated({ standing, now: 10 * HOUR }))).toEqual([]);
    expect(coatDates(act, dated({ standing: new Map([["base:2", -HOUR]]) }))).toHaveLength(2);
  });
});
