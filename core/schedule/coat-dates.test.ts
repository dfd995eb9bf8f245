import { describe, expect, test } from "@jest/globals";
import type { StepId } from "../catalogue/ids";
import type { Task } from "../coating/facts/task";
import { coatDates } from "./coat-dates";

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
const at = (hours: readonly number[]) => ({ items: tasks.map((one, k) => ({ task: one, from: hours[k]! * HOUR, to: hours[k]! * HOUR + 1 })) });
const act = { stepIds: ["base" as StepId] };

describe("when each coat of an act is laid", () => {
  test("both halves once where they go into one sitting, and what is past is left out", () => {
    expect(coatDates(act, at([0, 1, 2]), 0)).toEqual([
      { coat: 1, from: 0 },
      { coat: 2, from: 2 * HOUR },
    ]);
    expect(coatDates(act, at([0, 24, 48]), 0).map(({ half }) => half)).toEqual(["first", "second", undefined]);
    expect(coatDates(act, at([0, 1, 2]), HOUR).map(({ from }) => from)).toEqual([HOUR, 2 * HOUR]);
    expect(coatDates({ stepIds: ["seal" as StepId] }, at([0, 1, 2]), 0)).toEqual([]);
    expect(coatDates(act, null, 0)).toEqual([]);
  });

  test("work that goes on over several sittings is told by its first", () => {
    const [dots] = tasks;
    const items = [1, 2, 3].map((part) => ({ task: dots!, part, from: part * 24 * HOUR, to: part * 24 * HOUR + 1 }));
    expect(coatDates(act, { items }, 0).map(({ from }) => from)).toEqual([24 * HOUR]);
  });
});
