import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "../../catalogue/catalogue";
import { pebble } from "../../../tests/reference/bench";
import { PlanCache } from "./plan-cache";
import { planPiece } from "./plan-piece";

const stone = pebble({ name: "Harbour stone", uses: ["handled"], decoration: { techniques: ["dots"] } });

describe("plan sets kept ready", () => {
  const cache = new PlanCache(CATALOGUE);
  const set = cache.plan(stone, []);

  test("are what the planner gives", () => expect(set).toEqual(planPiece(stone, CATALOGUE)));

  test("serve the same facts under another name, which is said wherever the name is", () => {
    const renamed = cache.plan({ ...stone, name: "Tide stone" }, []);
    // Steps of the very same search, not of another one that came to the same.
    expect(renamed.candidates.map((one) => one.zones)).toEqual(set.candidates.map((one) => one.zones));
    expect(renamed.candidates[0]!.zones).toBe(set.candidates[0]!.zones);
    expect(renamed.piece.name).toBe("Tide stone");
    const cold = { room: { temperatureC: 2 } };
    expect(cache.plan({ ...stone, ...cold }, []).refusal?.message).toContain("Harbour stone");
    expect(cache.plan({ ...stone, ...cold, name: "Tide stone" }, []).refusal?.message).toBe("There is no sound plan for Tide stone as it stands");
  });

  test("are searched anew for another fact, and for another body", () => {
    expect(cache.plan({ ...stone, finish: "gloss" }, []).candidates[0]!.zones).not.toBe(set.candidates[0]!.zones);
    const primed = { zone: "top", role: "prime", product: "gesso", coats: 1, laidAt: "2026-11-24T19:00:00.000Z", id: "top.prime.gesso" } as never;
    expect(cache.plan(stone, [primed]).candidates[0]!.zones[0]!.steps.some((step) => step.done)).toBe(true);
  });

  test("let go of what was asked for longest ago", () => {
    const small = new PlanCache(CATALOGUE, 1);
    const before = small.plan(stone, []).candidates[0]!.zones;
    small.plan({ ...stone, finish: "gloss" }, []);
    expect(small.plan(stone, []).candidates[0]!.zones).not.toBe(before);
  });
});

test("the first candidate is the one the whole set begins with, and it comes alone", () => {
  const cache = new PlanCache(CATALOGUE);
  const first = cache.first(stone, []);
  expect(first.candidates).toHaveLength(1);
  expect(cache.plan(stone, []).candidates[0]).toEqual(first.candidates[0]);
  expect(cache.first(stone, []).candidates.length).toBeGreaterThan(1);
});
