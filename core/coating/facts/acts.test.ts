/** The work in its order: acts joined over places, numbered, timed and dated alike. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "../../catalogue/catalogue";
import { actNumbers, toldActs } from "../explain/told-acts";
import { workFor } from "../../schedule/dates-of";
import { dateWork } from "../../schedule/date-work";
import type { Candidate } from "../model/plan";
import { firstPlan, mug, pebble, plate, pot, stepsOf, tray } from "../../../tests/reference/bench";

const herbs = firstPlan(
  pot({
    uses: ["planter", "outdoor-exposed"],
    parts: ["saucer"],
    conditions: ["chipped"],
    decoration: { techniques: ["bands", "dots"], colours: ["#f4efe2", "#d9822b"] },
  }),
);
const gift = firstPlan(pebble({ uses: ["gift-or-sale"], decoration: { techniques: ["dots"], colours: ["#f4efe2", "#d9822b", "#2f8f8f"] } }));
const cake = firstPlan(plate({ decoration: { techniques: ["dots"], baseColour: "#1f3a4d", colours: ["#f4efe2"] } }));

const numberOf = (plan: Candidate, role: string, zone?: string) =>
  plan.zones
    .filter((one) => zone === undefined || one.zone === zone)
    .flatMap((one) => one.steps.filter((step) => step.role === role).map((step) => actNumbers(plan).get(step.id)!));

describe("acts", () => {
  test("hold every step once, and count from one", () => {
    for (const plan of [herbs, gift, cake]) {
      const ids = plan.acts.flatMap((act) => act.stepIds);
      expect([...ids].sort()).toEqual(plan.zones.flatMap((zone) => zone.steps.map((step) => step.id)).sort());
      expect(plan.acts.map((act) => act.number)).toEqual(plan.acts.map((_act, index) => index + 1));
    }
  });
  test("keep each place's own order", () => {
    for (const plan of [herbs, gift, cake])
      for (const { steps } of plan.zones) {
        const numbers = steps.map((step) => actNumbers(plan).get(step.id)!);
        expect(numbers).toEqual([...numbers].sort((a, b) => a - b));
      }
  });
  test("prime all of it at once, after everything is filled and sanded; nothing is varnished before that", () => {
    expect(new Set(numberOf(herbs, "prime")).size).toBe(1);
    const prime = numberOf(herbs, "prime")[0]!;
    expect(Math.max(...numberOf(herbs, "fill"), ...numberOf(herbs, "sand"))).toBeLessThan(prime);
    expect(Math.min(...numberOf(herbs, "seal"))).toBeGreaterThan(prime);
  });
  test("finish the back before the top gets its colour", () => {
    expect(Math.max(...numberOf(gift, "seal", "back"))).toBeLessThan(Math.min(...numberOf(gift, "base", "top")));
  });
  test("glaze after all underglaze, one glaze for every place", () => {
    expect(new Set(numberOf(cake, "seal")).size).toBe(1);
    expect(numberOf(cake, "seal")[0]).toBeGreaterThan(Math.max(...numberOf(cake, "decorate"), ...numberOf(cake, "base")));
  });
  test("are told with the paint, the time and the reasons of all their places", () => {
    const prime = toldActs(herbs).find((act) => act.step.role === "prime")!;
    const own = herbs.zones.flatMap((zone) => zone.steps.filter((step) => step.role === "prime"));
    expect(prime.zones).toHaveLength(own.length);
    expect(prime.step.jarMl).toBeCloseTo(
      own.reduce((sum, step) => sum + step.jarMl!, 0),
      6,
    );
    expect(prime.step.handsOnMin).toBeCloseTo(
      own.reduce((sum, step) => sum + step.handsOnMin, 0),
      6,
    );
    // Brushes are set up once.
    expect(own.filter((step) => step.handsOnMin > 5).length).toBeLessThan(own.length);
  });
  test("places that need fewer coats are named", () => {
    for (const act of toldActs(firstPlan(tray({ decoration: { baseColour: "#f4efe2", techniques: ["dots"] } }))))
      for (const { zone, coats } of act.fewer) {
        expect(coats).toBeLessThan(act.step.coats);
        expect(act.zones).toContain(zone);
      }
  });
  test("colours worked wet are one act", () => {
    const blend = firstPlan(pebble({ decoration: { techniques: ["blended"], baseColour: "#1f3a4d", colours: ["#2f8f8f", "#d9822b"] } }));
    const told = toldActs(blend).filter((act) => act.step.while === "wet");
    expect(told.map((act) => act.colours)).toEqual([["#1f3a4d", "#2f8f8f", "#d9822b"]]);
    expect(stepsOf(blend, "top").some((step) => step.role === "base")).toBe(false);
  });
});

describe("marks of several colours", () => {
  const dots = stepsOf(gift, "top").filter((step) => step.technique === "dots");
  test("are set in one sitting: only the first waits, for what it lies on", () => {
    expect(dots).toHaveLength(3);
    expect(dots.map((step) => step.waitBefore)).toEqual([null, null, null]);
  });
  test("share the place's dots among them, and the answer says how many were taken", () => {
    expect(new Set(dots.map((step) => step.marks!.count)).size).toBe(1);
    const small = stepsOf(
      firstPlan(pebble({ form: { kind: "pebble", lengthMm: 35, widthMm: 30, thicknessMm: 14 }, decoration: { techniques: ["dots"] } })),
      "top",
    ).find((step) => step.technique === "dots")!;
    const covered =
      (small.marks!.count * Math.PI * small.marks!.diameterMm ** 2) /
      4 /
      firstPlan(pebble({ form: { kind: "pebble", lengthMm: 35, widthMm: 30, thicknessMm: 14 } })).zones[0]!.areaMm2;
    expect(covered).toBeLessThan(0.4);
  });
});

test("what a plan takes from first to last is what its dates take with every hour free", () => {
  const weekday = Array.from({ length: 7 }, () => [{ from: "00:00", to: "24:00" }]);
  const hours = { weekday, exceptions: [], timeZone: "UTC" } as never;
  const start = Date.parse("2027-01-04T00:00:00Z");
  for (const [stated, plan] of [
    [pebble({ uses: ["gift-or-sale"], decoration: { techniques: ["dots"], colours: ["#f4efe2", "#d9822b", "#2f8f8f"] } }), gift],
    [mug({ decoration: { techniques: ["dots"] } }), firstPlan(mug({ decoration: { techniques: ["dots"] } }))],
  ] as const) {
    const dates = dateWork(workFor(stated, plan, CATALOGUE), hours, start)!;
    const work = (dates.lastWork - start) / 60_000;
    // The dates count the time at the bench as well, never a wait twice.
    expect(work).toBeGreaterThanOrEqual(plan.totals.elapsedMin - 1);
    expect(work).toBeLessThanOrEqual(plan.totals.elapsedMin + plan.totals.handsOnMin + plan.acts.length);
  }
});
