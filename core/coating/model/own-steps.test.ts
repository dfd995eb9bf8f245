/** The user's own hand in the order of the work. */
import { expect, test } from "@jest/globals";
import fc from "fast-check";
import { CATALOGUE } from "../../catalogue/catalogue";
import { productId, stepId } from "../../catalogue/ids";
import { pebble, stepsOf } from "../../../tests/reference/bench";
import { planPiece } from "../planner/plan-piece";
import { planWithEdits } from "../planner/plan-with-edits";
import { applyChanges } from "./apply-changes";
import { moveBy, putAfter } from "./own-steps";
import type { StepChoice, ZoneSteps } from "./step";

const step = (id: string, done = false) =>
  ({
    id: stepId(id),
    role: "base",
    product: productId("craft-acrylic"),
    origin: "engine",
    because: [],
    checks: [],
    ...(done ? { done: true } : {}),
  }) as StepChoice;
const stack = (zone: string, length: number, done: number) =>
  ({ zone, areaMm2: 1, steps: Array.from({ length }, (_unused, at) => step(`${zone}.${at}`, at < done)) }) as unknown as ZoneSteps<StepChoice>;
const ids = (zones: readonly ZoneSteps<StepChoice>[]) => zones.map(({ steps }) => steps.map((one) => one.id as string));

test("a step earlier and then later stands where it stood; what is on the piece is never passed, and no step is lost", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 6 }), fc.integer({ min: 0, max: 6 }), fc.nat(), fc.constantFrom(-1, 1), (length, done, pick, by) => {
      const zones = [stack("top", length, done), stack("back", length, done)];
      const at = pick % length;
      const act = [stepId(`top.${at}`), stepId(`back.${at}`)];
      const there = moveBy(zones, act, by as 1);
      const moved = applyChanges(zones, there).zones;
      if (at < done) expect(there).toEqual([]);
      expect(ids(moved).map((one) => [...one].sort())).toEqual(ids(zones).map((one) => [...one].sort()));
      expect(ids(moved).map((one) => one.slice(0, Math.min(done, length)))).toEqual(ids(zones).map((one) => one.slice(0, Math.min(done, length))));
      if (there.length > 0) expect(ids(applyChanges(moved, moveBy(moved, act, -by as 1)).zones)).toEqual(ids(zones));
    }),
    { seed: 11, numRuns: 300 },
  );
});

test("resin of the user's own on a finished stone outdoors goes in, is told what it costs, and can be taken back", () => {
  const piece = pebble({ uses: ["outdoor-exposed"], decoration: { techniques: ["dots"] } });
  const first = planPiece(piece, CATALOGUE).candidates[0]!;
  const seal = stepsOf(first, "top").findLast((one) => one.role === "seal")!;
  const added = putAfter(first.zones, [seal.id], { role: "seal", product: productId("coating-resin"), coats: 1 });
  expect(added).toHaveLength(1);
  const keeping = { candidateId: first.id, school: first.school };
  const own = planWithEdits(piece, { ...keeping, edits: added }, CATALOGUE).shown!;
  expect(
    stepsOf(own, "top")
      .filter((one) => one.origin === "hers")
      .map((one) => one.product),
  ).toEqual(["coating-resin"]);
  expect(own.findings.map((one) => one.code)).toContain("resin-in-sun");
  expect(planWithEdits(piece, { ...keeping, edits: [] }, CATALOGUE).shown!.zones).toEqual(first.zones);
});
