/** Three devices, changed and put together at random: a seeded part of the nightly run. */
import { expect, test } from "@jest/globals";
import { exchanged } from "./devices";

test.each([20261201, 20261202, 20261203])("from seed %i: nothing both sides held is lost, and notebooks that ask nothing are the same", (seed) => {
  expect(exchanged(seed, 60)).toEqual([]);
});
