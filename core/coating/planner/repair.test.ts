import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "../../catalogue/catalogue";
import { stepId } from "../../catalogue/ids";
import type { Piece } from "../../piece/piece";
import { applyChanges } from "../model/apply-changes";
import type { Change } from "../model/change";
import { changesBetween } from "../model/changes-between";
import { checkSteps } from "../rules/check-steps";
import type { Candidate } from "../model/plan";
import type { StepChoice } from "../model/step";
import { planWithEdits } from "./plan-with-edits";
import { choiceOf } from "../model/step-choice";
import { planPiece } from "./plan-piece";
import { repairPlan } from "./repair";
import { mug, pebble, pot } from "../../../tests/reference/bench";

const choices = (one: Candidate) => one.zones.map((zone) => ({ ...zone, steps: zone.steps.map(choiceOf) }));
const looks = (steps: readonly StepChoice[]) =>
  steps.map((step) => [step.role, step.product, step.coats, step.technique ?? null, step.heat?.temperatureC ?? null]);

/** The first plan with changes of the user's on it. */
function edited(piece: Piece, edits: readonly Change[]): Candidate {
  const [first] = planPiece(piece, CATALOGUE).candidates;
  return planWithEdits(piece, { candidateId: first!.id, school: first!.school, edits }, CATALOGUE).shown!;
}

describe("changes between two plans", () => {
  test("lead from each plan shown to each other one", () => {
    for (const piece of [pebble({ decoration: { techniques: ["dots"] } }), pot({ uses: ["planter"] }), mug({ decoration: { techniques: ["dots"] } })]) {
      const { candidates } = planPiece(piece, CATALOGUE);
      for (const from of candidates)
        for (const to of candidates.filter((one) => one.route === from.route)) {
          const { zones, lost } = applyChanges(choices(from), changesBetween(choices(from), choices(to)));
          expect(lost).toEqual([]);
          expect(zones.map((zone) => looks(zone.steps))).toEqual(choices(to).map((zone) => looks(zone.steps)));
        }
    }
  });

  test("none lead nowhere", () => {
    const [first] = planPiece(pebble(), CATALOGUE).candidates;
    expect(changesBetween(choices(first!), choices(first!))).toEqual([]);
  });
});

describe("keep these steps of mine, make the rest right", () => {
  const piece = pebble({ uses: ["outdoor-exposed"], decoration: { techniques: ["dots"] } });

  test("a poor seal left out and a base of the user's: the base stays as the user has it, the seal comes back", () => {
    const [first] = planPiece(piece, CATALOGUE).candidates;
    const steps = first!.zones.find((zone) => zone.zone === "top")!.steps;
    const [base, seal] = [steps.find((step) => step.role === "base")!, steps.find((step) => step.role === "seal")!];
    const broken = edited(piece, [
      { op: "set", stepId: base.id, field: "product", value: "masonry-paint" },
      { op: "set", stepId: base.id, field: "coats", value: 4 },
      { op: "remove", stepId: seal.id },
    ]);
    expect(broken.findings.some((one) => one.severity === "warn" || one.severity === "stop")).toBe(true);
    const repair = repairPlan(piece, broken, [base.id], CATALOGUE);
    if (!repair.done) throw new Error(repair.refusal.why);
    const { zones, lost } = applyChanges(choices(broken), repair.changes);
    expect(lost).toEqual([]);
    const top = zones.find((zone) => zone.zone === "top")!.steps;
    expect(top.find((step) => step.id === base.id)).toMatchObject({ product: "masonry-paint", coats: 4 });
    expect(top.some((step) => step.role === "seal")).toBe(true);
    expect(checkSteps(piece, zones, CATALOGUE).filter((one) => one.severity === "stop")).toEqual([]);
  });

  test("every single step of a plan can be kept, and it comes back whole", () => {
    const [first] = planPiece(piece, CATALOGUE).candidates;
    for (const step of first!.zones.flatMap((zone) => zone.steps)) {
      const repair = repairPlan(piece, first!, [step.id], CATALOGUE);
      expect(repair.done).toBe(true);
      if (repair.done)
        expect(repair.candidate.zones.flatMap((zone) => zone.steps).some((one) => one.id === step.id && one.product === step.product)).toBe(true);
    }
  });

  test("a kept step that nothing can be made right around is named", () => {
    const [first] = planPiece(piece, CATALOGUE).candidates;
    const seal = first!.zones.flatMap((zone) => zone.steps).find((step) => step.role === "seal" && step.id.startsWith("top"))!;
    const peeling = edited(piece, [{ op: "set", stepId: seal.id, field: "product", value: "decoupage-medium" }]);
    const repair = repairPlan(piece, peeling, [seal.id, stepId("top.base.masonry-paint")], CATALOGUE);
    expect(repair).toMatchObject({ done: false, inTheWay: [seal.id], refusal: { code: "not-weatherproof" } });
  });
});
