import { describe, expect, test } from "@jest/globals";
import { Nogoods } from "./nogoods";
import { MEASURES, NOTHING, NOTHING_COUNTS } from "./cost";
import { IncrementalCost } from "./incremental-cost";
import { sharedThing } from "./shared-thing";

describe("the cost of a plan in the making", () => {
  test("what is bought for two zones is bought once, and stays bought while one of them needs it", () => {
    const cost = new IncrementalCost({ ...NOTHING_COUNTS, products: 1 }, 2);
    const part = { ...NOTHING, shared: [sharedThing("buy", "gesso", 1)] };
    cost.put(part);
    cost.put(part);
    expect(cost.total()).toBe(1);
    cost.take(part);
    expect(cost.total()).toBe(1);
    cost.take(part);
    expect(cost.total()).toBe(0);
  });

  test("an act of the whole piece is worked once, a step in each zone in each", () => {
    const cost = new IncrementalCost({ ...NOTHING_COUNTS, handsOnMin: 1 }, 2);
    const part = { ...NOTHING, handsOnMin: 7, shared: [sharedThing("act", "bake", 15)] };
    cost.put(part);
    cost.put(part);
    expect(cost.total()).toBe(7 + 7 + 15);
  });

  test("zones go side by side, but what it stands on comes first; the slowest cure and the worst wear are the plan's", () => {
    const cost = new IncrementalCost({ ...NOTHING_COUNTS, days: 1, cureDays: 1, shortfall: 1 }, 3);
    const day = 24 * 60;
    cost.setSpan(0, { underside: false, chainMin: 3 * day, cureDays: 7, shortfall: 1 });
    cost.setSpan(1, { underside: false, chainMin: 2 * day, cureDays: 21, shortfall: 0 });
    cost.setSpan(2, { underside: true, chainMin: day, cureDays: 1, shortfall: 0.5 });
    expect(cost.total()).toBe(3 + 1 + 21 + 1);
  });

  test("every measure weighs a likely fault above all else, and its own matter above what stands beside it", () => {
    for (const weights of Object.values(MEASURES)) expect(Math.max(...Object.values(weights))).toBe(weights.faults);
    expect(MEASURES.soonest.days).toBeGreaterThan(10 * MEASURES.balanced.days);
    expect(MEASURES.gentle.harshness).toBeGreaterThan(10 * MEASURES.balanced.harshness);
  });
});

describe("what nogoods taught", () => {
  test("a stop bites when a way of each of its decisions is chosen, and lets go again", () => {
    const nogoods = new Nogoods(4);
    nogoods.learn({ code: "a", stop: true, anyOf: [[0, 1], [3]] });
    nogoods.choose(1);
    expect(nogoods.stopped).toBe(false);
    nogoods.choose(3);
    expect(nogoods.stopped).toBe(true);
    nogoods.leave(1);
    expect(nogoods.stopped).toBe(false);
  });

  test("a likely fault counts once, however many ways lead to it; learnt late, it counts what is chosen already", () => {
    const nogoods = new Nogoods(4);
    nogoods.choose(0);
    nogoods.choose(2);
    nogoods.learn({ code: "a", stop: false, anyOf: [[0]] });
    nogoods.learn({ code: "a", stop: false, anyOf: [[2]] });
    nogoods.learn({ code: "a", stop: false, anyOf: [[2]] });
    expect(nogoods.faults).toBe(1);
    nogoods.leave(0);
    expect(nogoods.faults).toBe(1);
    nogoods.leave(2);
    expect(nogoods.faults).toBe(0);
  });

  test("what hangs on nothing stops everything", () => {
    const nogoods = new Nogoods(1);
    nogoods.learn({ code: "a", stop: true, anyOf: [] });
    expect(nogoods.stopped).toBe(true);
  });
});
