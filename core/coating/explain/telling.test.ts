/** How a plan is told: zones treated alike, the parts of the work, the numbers on the bands. */
import { describe, expect, test } from "@jest/globals";
import { alikeZones } from "./alike-zones";
import { partsOfWork, stepNumbers } from "./parts-of-work";
import { firstPlan, mug, pebble, pot } from "../../../tests/reference/bench";

const herbs = firstPlan(pot({ uses: ["planter"], parts: ["saucer"], decoration: { techniques: ["dots"] } }));
const groups = alikeZones(herbs.zones);
const parts = partsOfWork(groups, herbs.order);

describe("zones treated alike", () => {
  test("are told as one, with their areas and paint together", () => {
    const together = groups.find((group) => group.zones.includes("rim"))!;
    expect(together.zones).toEqual(expect.arrayContaining(["rim", "inner-strip", "saucer"]));
    const own = herbs.zones.filter((zone) => together.zones.includes(zone.zone));
    expect(together.areaMm2).toBeCloseTo(
      own.reduce((sum, zone) => sum + zone.areaMm2, 0),
      6,
    );
    const jar = (steps: readonly { role: string; jarMl: number | null }[]) => steps.find((step) => step.role === "base")!.jarMl!;
    expect(jar(together.steps)).toBeCloseTo(
      own.reduce((sum, zone) => sum + jar(zone.steps), 0),
      6,
    );
  });
  test("decorated ones stay by themselves", () => expect(groups.find((group) => group.zones.includes("outside"))?.zones).toEqual(["outside"]));
  test("none is lost", () => expect(groups.flatMap((group) => group.zones).sort()).toEqual(herbs.zones.map((zone) => zone.zone).sort()));
});

describe("the parts of the work", () => {
  test("begin and end with the whole piece, and tell a shared act once", () => {
    expect(parts[0]).toMatchObject({ key: "first", zones: [] });
    expect(parts.at(-1)).toMatchObject({ key: "last", zones: [] });
    expect(parts[0]!.steps.every((step) => step.role === "clean")).toBe(true);
    const groupsTold = parts.flatMap((part) => part.steps).flatMap((step) => step.group ?? []);
    expect(new Set(groupsTold).size).toBe(groupsTold.length);
  });
  test("the back comes before the face", () => {
    const gift = firstPlan(pebble({ uses: ["gift-or-sale"], decoration: { techniques: ["dots"] } }));
    const told = partsOfWork(alikeZones(gift.zones), gift.order).map((part) => part.key);
    expect(told.indexOf("back")).toBeLessThan(told.indexOf("top"));
  });
  test("the bake is told last, before the cure", () => {
    const baked = firstPlan(mug({ decoration: { techniques: ["dots"], media: ["gloss-enamel-acrylic"] } }));
    expect(
      partsOfWork(alikeZones(baked.zones), baked.order)
        .at(-1)
        ?.steps.map((step) => step.role),
    ).toEqual(["heat-set", "cure"]);
  });
  test("the cure waits for the slowest zone", () => {
    const slowest = Math.max(...herbs.zones.flatMap((zone) => zone.steps.filter((step) => step.role === "cure").map((step) => step.waitBefore?.min ?? 0)));
    expect(parts.at(-1)!.steps.find((step) => step.role === "cure")?.waitBefore?.min).toBe(slowest);
  });
});

describe("the numbers", () => {
  const numbers = stepNumbers(parts, groups);
  test("run from one without a gap, in the order they are told", () => {
    const told = parts.flatMap((part) => part.steps).map((step) => numbers.get(step.id));
    expect(told).toEqual(told.map((_number, index) => index + 1));
  });
  test("are the same for a shared act wherever it stands", () => {
    const washes = groups.flatMap((group) => group.steps).filter((step) => step.group === "clean-water-wash");
    expect(new Set(washes.map((step) => numbers.get(step.id))).size).toBe(1);
  });
});
