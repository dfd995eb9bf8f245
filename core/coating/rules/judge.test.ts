/** What can no longer be done is no fault; what still can be, and what may hurt someone, is said. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "../../catalogue/catalogue";
import { productId } from "../../catalogue/ids";
import type { LaidStep } from "../model/laid-step";
import type { Candidate } from "../model/plan";
import { planPiece } from "../planner/plan-piece";
import { jar, mug, pebble, pot, woodDisc } from "../../../tests/reference/bench";

const laid = (zone: string, role: LaidStep["role"], product: string, more: object = {}): LaidStep =>
  ({ zone, role, product: productId(product), coats: 1, laidAt: "2026-11-20T19:00:00.000Z", id: `${zone}.${role}.${product}`, ...more }) as LaidStep;
const dots = { technique: "dots", colour: "#f4efe2", marks: { count: 40, diameterMm: 5, heightMm: 0.6 } };
const grave = (candidate: Candidate) => {
  const done = new Set(candidate.zones.flatMap((zone) => zone.steps.filter((step) => step.done).map((step) => step.id)));
  return candidate.findings
    .filter((one) => (one.severity === "stop" || one.severity === "warn") && one.stepId !== null && done.has(one.stepId))
    .map((one) => one.code);
};

describe("half-done bodies", () => {
  test.each([
    ["thin paint on bare clay", pot({ decoration: { techniques: ["dots"] } }), [laid("outside", "base", "soft-body-acrylic", { colour: "#1f3a4d" })]],
    [
      "a pale base on hardwood without stain-blocker",
      woodDisc({ decoration: { techniques: ["dots"] } }),
      [laid("top", "base", "craft-acrylic", { colour: "#ffffff" })],
    ],
    [
      "dots on a pebble nobody washed",
      pebble({ conditions: ["greasy"], decoration: { techniques: ["dots"] } }),
      [laid("top", "decorate", "craft-acrylic", dots)],
    ],
    ["craft paint on bare glass", jar({ decoration: { techniques: ["dots"] } }), [laid("outside", "decorate", "craft-acrylic", dots)]],
    [
      "a base of one coat under the dots",
      pebble({ decoration: { techniques: ["dots"] } }),
      [laid("top", "base", "craft-acrylic", { colour: "#f4efe2" }), laid("top", "decorate", "craft-acrylic", dots)],
    ],
  ])("%s: planned on, without a fault that nobody can mend", (_name, piece, body) => {
    const { candidates, refusal } = planPiece(piece, CATALOGUE, { body });
    expect(refusal?.code).toBeUndefined();
    for (const candidate of candidates) expect(grave(candidate)).toEqual([]);
  });

  test("a seal that is not made for the new use gets one over it that is", () => {
    const body = [
      laid("top", "prime", "gesso"),
      laid("top", "base", "craft-acrylic", { colour: "#1f3a4d", coats: 3 }),
      laid("top", "seal", "decoupage-medium", { coats: 3 }),
    ];
    const [first] = planPiece(pebble({ uses: ["outdoor-exposed"], decoration: { baseColour: "#1f3a4d" } }), CATALOGUE, { body }).candidates;
    const seals = first!.zones.find((zone) => zone.zone === "top")!.steps.filter((step) => step.role === "seal");
    expect(seals.map((step) => step.done ?? false)).toEqual([true, false]);
    expect(CATALOGUE.products.get(seals[1]!.product)?.weatherproof).toBe(true);
  });

  test("paint where lips drink is not passed over in silence", () => {
    const body = [laid("lip-band", "decorate", "craft-acrylic", dots)];
    const set = planPiece(mug({ decoration: { techniques: ["dots"] } }), CATALOGUE, { body });
    const said = set.candidates[0]?.findings.map((one) => one.code) ?? [set.refusal?.code];
    expect(said).toContain("lip-zone");
  });
});
