/** Schedules of many pieces against the true optimum of a general solver, on small instances of seeded numbers. */
import { expect, test } from "@jest/globals";
import { againstOptimum } from "./small-schedules";

const INSTANCES = 100;

test(`on ${INSTANCES} small instances: never better than the optimum, no bound above it, and hardly ever an evening behind it`, async () => {
  const all = await againstOptimum(INSTANCES);
  for (const { best, found, bound } of all) {
    expect(found).toBeGreaterThanOrEqual(best - 1e-6);
    expect(bound).toBeLessThanOrEqual(best + 1e-6);
  }
  const gaps = all.map(({ gap }) => gap).sort((a, b) => a - b);
  // Nine in ten are the best there is; of the others nearly all end the same evening.
  expect(gaps[Math.floor(INSTANCES * 0.9)]!).toBeLessThanOrEqual(1e-9);
  expect(gaps[Math.floor(INSTANCES * 0.98)]!).toBeLessThan(0.01);
}, 120_000);
