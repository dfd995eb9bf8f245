import { expect, test } from "@jest/globals";
import { attack } from "./attack";

test("sixty damaged files: none stops the reader, the planner or the dates, and what is let in is let in again", () => {
  const { faults, taken, aside, refused } = attack(20261126, 60);
  expect(faults).toEqual([]);
  // It bites, and it lets live.
  expect([taken > 60, aside > 15, refused > 0]).toEqual([true, true, true]);
});
