import { describe, expect, test } from "@jest/globals";
import { firstPlan, pot } from "../../../tests/reference/bench";

describe("what a plan comes to", () => {
  const { zones, totals } = firstPlan(pot({ uses: ["planter"], conditions: ["dusty"], decoration: { techniques: ["dots"] } }));
  const steps = zones.flatMap((zone) => zone.steps);
  const own = steps.filter((step) => step.group === undefined);
  const sum = (numbers: readonly number[]) => numbers.reduce((total, one) => total + one, 0);

  test("minutes: every step, and an act shared by zones once", () => {
    const shared = new Map(steps.filter((step) => step.group !== undefined).map((step) => [step.group, step.handsOnMin]));
    expect(shared.size).toBeGreaterThan(0);
    expect(totals.handsOnMin).toBeCloseTo(sum(own.map((step) => step.handsOnMin)) + sum([...shared.values()]), 6);
  });

  test("paint: out of each jar what all its steps take, and every product that is laid", () => {
    const laid = new Set(steps.filter((step) => step.jarMl !== null).map((step) => step.product));
    for (const product of laid)
      expect(totals.jarMlByProduct[product]).toBeCloseTo(sum(steps.filter((step) => step.product === product).map((step) => step.jarMl ?? 0)), 6);
    expect(new Set(totals.products)).toEqual(laid);
  });

  test("paint by colour: two colours of one product are never one, their sum is the product's, and thinner is told apart", () => {
    const plan = firstPlan(pot({ uses: ["planter"], decoration: { techniques: ["dots", "bands"], baseColour: "#1f3a4d", colours: ["#f4efe2", "#d9822b"] } }));
    const { paints, jarMlByProduct } = plan.totals;
    for (const [product, ml] of Object.entries(jarMlByProduct))
      expect(sum(paints.filter((one) => one.product === product).map((one) => one.jarMl))).toBeCloseTo(ml, 6);
    const colours = paints.flatMap(({ colour }) => colour ?? []);
    expect(new Set(colours).size).toBe(3);
    expect(new Set(paints.map(({ product, colour, sheen }) => [product, colour ?? sheen].join())).size).toBe(paints.length);
    const all = plan.zones.flatMap((zone) => zone.steps);
    expect(sum(paints.map(({ jarMl, thinnerMl }) => jarMl + thinnerMl))).toBeCloseTo(sum(all.map((step) => step.volumeMl ?? 0)), 6);
  });

  test("time: what it stands on, then the longest of the rest, with what both get counted once; handled after the last film has dried", () => {
    const chain = (zone: (typeof zones)[number]) =>
      sum(zone.steps.filter((step) => step.role !== "cure").map((step) => (step.waitBefore?.min ?? 0) + (step.typical?.recoatFrom ?? 0) * (step.coats - 1)));
    const under = zones.filter((zone) => zone.zone === "base");
    const rest = zones.filter((zone) => zone.zone !== "base");
    // The wash dries once, for all of it.
    expect(totals.elapsedMin).toBeLessThan(Math.max(0, ...under.map(chain)) + Math.max(...rest.map(chain)));
    expect(totals.elapsedMin).toBeGreaterThanOrEqual(Math.max(...rest.map(chain)));
    expect(totals.elapsedCautiousMin).toBeGreaterThanOrEqual(totals.elapsedMin);
    const drying = zones.map((zone) => zone.steps.findLast((step) => step.typical)?.typical?.dryThrough ?? 0);
    expect(totals.handleAfterMin).toBeGreaterThanOrEqual(totals.elapsedMin);
    expect(totals.handleAfterMin).toBeLessThanOrEqual(totals.elapsedMin + Math.max(...drying) + 1);
  });

  test("hardening: the slowest film's, in days", () => {
    const cures = steps.filter((step) => step.role === "cure").map((step) => (step.waitBefore?.min ?? 0) / (24 * 60));
    expect(totals.cureDays).toBeCloseTo(Math.max(...cures), 6);
  });
});
