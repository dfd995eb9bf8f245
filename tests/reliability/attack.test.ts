import { expect, test } from "@jest/globals";
import { attack } from "./attack";

test("two hundred damaged files: none stops the reader, the planner or the dates, and what is let in is let in again", () => {
  const { faults, taken, aside, refused } = attack(20261126, 200);
  expect(faults).toEqual([]);
  // It bites, and it lets live.
  expect([taken > 200, aside > 50, refused > 5]).toEqual([true, true, true]);
});
