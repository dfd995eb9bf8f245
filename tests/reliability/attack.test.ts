import { expect, test } from "@jest/globals";
import { attack } from "./attack";

test("a hundred damaged files: none stops the reader, the planner or the dates, and what is let in is let in again", () => {
  const { faults, taken, aside, refused } = attack(20261126, 100);
  expect(faults).toEqual([]);
  // It bites, and it lets live.
  expect([taken > 100, aside > 25, refused > 2]).toEqual([true, true, true]);
});
