/** How a plan is told: zones treated alike. */
import { describe, expect, test } from "@jest/globals";
import { alikeZones } from "./alike-zones";
import { firstPlan, pot } from "../../../tests/reference/bench";

const herbs = firstPlan(pot({ uses: ["planter"], parts: ["saucer"], decoration: { techniques: ["dots"] } }));
const groups = alikeZones(herbs.zones);

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
