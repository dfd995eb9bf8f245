/** Repairs of a bare body in the plan that is followed: before the first film, in place of what the plan had there; and how long its own weighings hold it. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "../../catalogue/catalogue";
import { repairsOf } from "../../casting/repair/repair";
import type { Fault } from "../../casting/repair/fault";
import { repairBody } from "../../casting/repair/repair-body";
import { applyChanges } from "../../coating/model/apply-changes";
import type { StepChoice, ZoneSteps } from "../../coating/model/step";
import { workFor } from "../../schedule/dates-of";
import type { Piece } from "../../piece/piece";
import { firstPlan, gypsum, outline, piece, pot, stepsOf } from "../../../tests/reference/bench";
import { dryingBegun } from "../drying-begun";
import { repairChanges, zoneOfPlace } from "./repairing";

const fault = (more: Partial<Fault> = {}): Fault => ({ kind: "hole", place: "face", bodies: 1, each: 2, widthMm: 2, depthMm: 2, ...more });
const DISC = { kind: "disc", diameterMm: 110, thicknessMm: 30 } as const;
const number = (more: object = {}) => piece({ material: "gypsum-cast", form: DISC, uses: ["handled"], ...more });

/** The plan of a piece with its repairs written in. */
function mended(of: Piece, ...faults: readonly Fault[]) {
  const shown = firstPlan(of);
  const changes = repairChanges(repairsOf(faults, repairBody(of, CATALOGUE)), shown, CATALOGUE);
  const { zones, lost } = applyChanges(shown.zones as readonly ZoneSteps<StepChoice>[], changes);
  return { shown, changes, zones, lost };
}
const words = (steps: readonly StepChoice[]) => steps.map(({ role, product, coats }) => `${role}:${product}${coats && coats > 1 ? `×${coats}` : ""}`);
const at = (zones: readonly ZoneSteps<StepChoice>[], zone: string) => zones.find((one) => one.zone === zone)!.steps;

describe("repairs in the plan", () => {
  test("stand before the first film, in thin rounds, in place of the filling the plan had there", () => {
    const of = number({ conditions: ["air-holes"] });
    const { shown, zones, lost } = mended(of, fault({ depthMm: 7, widthMm: 8 }));
    const zone = shown.zones[0]!.zone;
    expect(lost).toEqual([]);
    expect(outline(shown, zone).filter((one) => one.startsWith("fill"))).toEqual(["fill:spackle"]);
    const steps = words(at(zones, zone));
    expect(steps.filter((one) => one.startsWith("fill"))).toEqual(["fill:spackle×3"]);
    const order = ["clean:constant-weight", "fill:spackle×3", "sand:sanding", "dust-off:dry-brush"].map((one) => steps.indexOf(one));
    expect(order).toEqual([...order].sort((a, b) => a - b));
    expect(order).not.toContain(-1);
    const first = at(zones, zone).findIndex(({ role }) => role === "prime" || role === "base");
    expect(order.at(-1)).toBeLessThan(first);
  });

  test("say their papers, their waits and why", () => {
    const { zones, shown } = mended(number(), fault({ depthMm: 4, widthMm: 5 }));
    const steps = at(zones, shown.zones[0]!.zone);
    expect(steps.find(({ role }) => role === "fill")!.checks.join(" ")).toContain("turned white");
    expect(steps.find(({ role }) => role === "sand")!.checks.join(" ")).toContain("grit");
    expect(steps.find(({ role }) => role === "fill")!.because[0]!.text).toContain("thin rounds");
  });

  test("bumps come off first; each repair is in its own place", () => {
    const { zones, shown } = mended(number(), fault(), fault({ kind: "bump", each: 1, widthMm: 3, depthMm: 2 }));
    const steps = words(at(zones, shown.zones[0]!.zone));
    expect(steps.indexOf("sand:sanding")).toBeLessThan(steps.indexOf("fill:spackle"));
    expect(steps.lastIndexOf("sand:sanding")).toBeGreaterThan(steps.indexOf("fill:spackle"));
    const potted = firstPlan(pot());
    expect([zoneOfPlace("wall", potted), zoneOfPlace("foot", potted), zoneOfPlace("inside-edge", potted)]).toEqual(["outside", "outside", "inner-strip"]);
  });

  test("so many bumps on a flat top are levelled with resin, which is scuffed before anything goes on it", () => {
    const { zones, shown } = mended(number({ uses: ["indoor-display"] }), fault({ kind: "bump", each: 30, widthMm: 3, depthMm: 2 }));
    const steps = words(at(zones, shown.zones[0]!.zone));
    expect(steps.indexOf("fill:coating-resin")).toBeGreaterThan(-1);
    expect(steps.indexOf("sand:scuffing")).toBe(steps.indexOf("fill:coating-resin") + 1);
  });

  test("written twice they are there once; what is not worth it, or closed by the primer, writes nothing", () => {
    const of = number();
    const faults = [fault({ depthMm: 4, widthMm: 5 })];
    const { shown, changes } = mended(of, ...faults);
    expect(changes.length).toBeGreaterThan(0);
    const { zones } = applyChanges(shown.zones as readonly ZoneSteps<StepChoice>[], changes);
    const again = { ...shown, zones: shown.zones.map((one) => ({ ...one, steps: at(zones, one.zone) as never })) };
    expect(repairChanges(repairsOf(faults, repairBody(of, CATALOGUE)), again, CATALOGUE)).toEqual([]);
    expect(mended(of, fault({ kind: "soft" })).changes).toEqual([]);
    expect(mended(of, fault({ widthMm: 0.3, depthMm: 0.3 })).changes).toEqual([]);
    expect(mended(of).changes).toEqual([]);
  });

  test("what is done already stays where it is", () => {
    const shown = firstPlan(number({ conditions: ["air-holes"] }));
    const zone = shown.zones[0]!.zone;
    const done = {
      ...shown,
      zones: shown.zones.map((one) => ({
        ...one,
        steps: one.steps.map((step) => (step.role === "fill" || step.role === "clean" ? { ...step, done: true as const } : step)),
      })),
    };
    const changes = repairChanges(repairsOf([fault({ depthMm: 4, widthMm: 5 })], repairBody(number(), CATALOGUE)), done, CATALOGUE);
    const removed = changes.flatMap((one) => (one.op === "remove" ? [one.stepId] : []));
    expect(removed).not.toContain(stepsOf(shown, zone).find(({ role }) => role === "fill")!.id);
    const { zones } = applyChanges(done.zones as readonly ZoneSteps<StepChoice>[], changes);
    expect(words(at(zones, zone)).filter((one) => one.startsWith("fill"))).toHaveLength(2);
  });
});

describe("a body that was weighed", () => {
  const waitOf = (of: Piece) => {
    const shown = firstPlan(of);
    const steps = stepsOf(shown, shown.zones[0]!.zone);
    return steps.find(({ waitBefore }) => waitBefore?.until === "dry-body")?.waitBefore ?? null;
  };

  test("waits as long as its weighings say, not what is typical of gypsum, in whatever room", () => {
    const typical = waitOf(gypsum())!;
    const own = (driesMin: { typical: number; cautious: number }) => waitOf(gypsum({ body: { driesMin } }));
    expect(own({ typical: 5000, cautious: 7000 })).toMatchObject({ min: 5000, cautiousMin: 7000, until: "dry-body" });
    expect(waitOf(gypsum({ body: { driesMin: { typical: 5000, cautious: 7000 } }, room: { temperatureC: 12, relativeHumidity: 0.8 } }))!.min).toBe(5000);
    expect(typical.min).not.toBe(5000);
    // What is dry by now is not waited for.
    expect(own({ typical: 0, cautious: 0 })).toBeNull();
    expect(waitOf(gypsum({ body: { weightG: 160 } }))).toEqual(typical);
  });

  test("its wait begins when it was taken out of the mould, on the Bench too", () => {
    const of = gypsum({ body: { driesMin: { typical: 5000, cautious: 7000 } } });
    const shown = firstPlan(of);
    const work = workFor(of, shown, CATALOGUE);
    const weighing = work.tasks.find(({ stepId }) =>
      stepsOf(shown, shown.zones[0]!.zone).some(({ id, product }) => id === stepId && product === "constant-weight"),
    )!;
    const held = work.tasks.flatMap(({ after }) => after.filter(({ task }) => task === weighing.id).map(({ typicalMin }) => typicalMin));
    expect(Math.max(...held)).toBe(5000);
  });

  test("that it dries is noted in every place that is weighed, under the plan's own steps; of stone nothing is", () => {
    const shown = firstPlan(gypsum());
    const noted = dryingBegun(shown, CATALOGUE);
    expect(noted.map(({ zone }) => zone)).toEqual(
      shown.zones.filter(({ steps }) => steps.some(({ product }) => product === "constant-weight")).map(({ zone }) => zone),
    );
    for (const { zone, stepId, act } of noted) {
      expect(stepsOf(shown, zone).find(({ id }) => id === stepId)!.product).toBe("constant-weight");
      expect(act).toMatchObject({ role: "clean", product: "constant-weight" });
    }
    expect(noted.length).toBeGreaterThan(0);
    expect(dryingBegun(firstPlan(piece({ material: "stone-smooth" })), CATALOGUE)).toEqual([]);
  });

  test("cement that has matured takes ordinary paint; young cement does not", () => {
    const first = (body?: object) => {
      const of = piece({ material: "concrete-cast", form: DISC, wishes: { primer: "gesso" }, ...(body ? { body } : {}) });
      const shown = firstPlan(of);
      const steps = stepsOf(shown, shown.zones[0]!.zone);
      const film = steps.find(({ product }) => CATALOGUE.products.has(product))!;
      return { product: film.product as string, waits: Math.max(0, ...steps.map(({ waitBefore }) => waitBefore?.min ?? 0)) };
    };
    expect(first({ matured: true }).product).toBe("gesso");
    const young = first();
    expect(young.product !== "gesso" || young.waits >= 20 * 24 * 60).toBe(true);
  });
});
