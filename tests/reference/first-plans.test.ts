/** What comes out of three facts for every material and use, with dots: read as a painter would, then kept. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { materialId, useId } from "#core/catalogue/ids";
import { planPiece } from "#core/coating/planner/plan-piece";
import { pieceFrom } from "#core/piece/new-piece";

type Outcome = readonly [material: string, use: string, object: string, lastFilm: string, faults?: readonly string[]];

const WASHING = "for show only: food would lie on paint, or the body soaks,";

const EXPECTED: readonly Outcome[] = [
  ["stone-smooth", "indoor-display", "stone", "acrylic-varnish"],
  ["stone-smooth", "handled", "stone", "acrylic-varnish"],
  ["stone-smooth", "gift-or-sale", "stone", "acrylic-varnish"],
  ["stone-smooth", "outdoor-sheltered", "stone", "outdoor-varnish"],
  ["stone-smooth", "outdoor-exposed", "stone", "outdoor-varnish"],
  ["stone-smooth", "found-outdoors", "stone", "outdoor-varnish"],
  ["stone-smooth", "child-made", "stone", "acrylic-varnish"],
  ["stone-smooth", "drinkware", "stone", WASHING],
  ["stone-smooth", "tableware", "stone", WASHING],
  ["stone-rough", "indoor-display", "stone", "acrylic-varnish"],
  ["stone-rough", "handled", "stone", "acrylic-varnish"],
  ["stone-rough", "outdoor-exposed", "stone", "outdoor-varnish"],
  ["stone-rough", "tableware", "stone", WASHING],
  ["terracotta", "indoor-display", "pot", "acrylic-varnish"],
  ["terracotta", "handled", "pot", "acrylic-varnish"],
  ["terracotta", "gift-or-sale", "pot", "acrylic-varnish"],
  ["terracotta", "planter", "pot", "outdoor-varnish"],
  ["terracotta", "outdoor-exposed", "pot", "outdoor-varnish", ["freeze-thaw"]],
  ["terracotta", "outdoor-sheltered", "pot", "outdoor-varnish", ["freeze-thaw"]],
  ["terracotta", "candle", "pot", "acrylic-varnish"],
  ["terracotta", "drinkware", "mug", WASHING],
  ["ceramic-glazed", "indoor-display", "mug", "ceramic-paint-air"],
  ["ceramic-glazed", "drinkware", "mug", "gloss-enamel-acrylic"],
  ["ceramic-glazed", "tableware", "plate", "gloss-enamel-acrylic"],
  ["ceramic-glazed", "gift-or-sale", "mug", "gloss-enamel-acrylic"],
  ["ceramic-glazed", "child-made", "mug", "ceramic-paint-air"],
  ["ceramic-glazed", "outdoor-exposed", "mug", "gloss-enamel-acrylic"],
  ["slate", "outdoor-sheltered", "sign", "outdoor-varnish"],
  ["gypsum-cast", "gift-or-sale", "stone", "acrylic-varnish"],
  ["wood-softwood", "handled", "disc", "acrylic-varnish"],
  ["wood-board", "indoor-display", "sign", "acrylic-varnish"],
  ["glass", "indoor-display", "jar", "ceramic-paint-air"],
  ["glass", "candle", "jar", "gloss-enamel-acrylic"],
  ["glass", "tableware", "plate", "gloss-enamel-acrylic"],
  ["glass", "gift-or-sale", "jar", "gloss-enamel-acrylic"],
  ["wood-hardwood", "indoor-display", "disc", "acrylic-varnish"],
  ["wood-hardwood", "gift-or-sale", "disc", "acrylic-varnish"],
  ["wood-hardwood", "serving-tray", "tray", "waterborne-polyurethane"],
  ["wood-hardwood", "outdoor-exposed", "disc", "outdoor-varnish"],
  ["wood-hardwood", "child-made", "disc", "acrylic-varnish"],
  ["wood-hardwood", "drinkware", "mug", "waterborne-polyurethane"],
];

test.each(EXPECTED)("%s, %s: a %s, %s on top", (material, use, object, lastFilm, faults = []) => {
  const piece = pieceFrom({ material: materialId(material), uses: [useId(use)], techniques: ["dots"] }, CATALOGUE);
  expect(piece.object).toBe(object);
  const { candidates } = planPiece(piece, CATALOGUE);
  if (lastFilm === WASHING) {
    // Nothing to eat or drink from, whatever is done: planned to be looked at, and said before all else.
    for (const one of candidates) expect(one.findings[0]).toMatchObject({ code: "for-show-only", severity: "warn" });
    expect(candidates.length).toBeGreaterThan(0);
    return;
  }
  const [first] = candidates;
  const main = [...first!.zones].sort((a, b) => b.steps.length - a.steps.length)[0]!;
  expect(main.steps.filter((step) => step.wetMicrons !== null).at(-1)?.product).toBe(lastFilm);
  expect([...new Set(first!.findings.filter((one) => one.severity === "warn").map((one) => one.code))]).toEqual(faults);
});

describe("each of them", () => {
  const plans = EXPECTED.flatMap(([material, use]) => {
    const piece = pieceFrom({ material: materialId(material), uses: [useId(use)], techniques: ["dots"] }, CATALOGUE);
    return planPiece(piece, CATALOGUE).candidates.map((plan) => [`${material} ${use}: ${plan.title}`, plan] as const);
  });

  test.each(plans)("%s is whole: cleaned first, cured last, no product without a purpose, no work done twice", (_name, plan) => {
    for (const { steps } of plan.zones) {
      expect(steps[0]?.role).toBe("clean");
      expect(steps.at(-1)?.role).toBe("cure");
      expect(steps.every((step) => step.because.every((one) => one.text.length > 5))).toBe(true);
      const sealers = new Set(steps.filter((step) => step.role === "seal").map((step) => step.product));
      expect(sealers.size).toBeLessThanOrEqual(1);
    }
    expect(plan.totals.products.length).toBe(plan.scores.products);
    expect(plan.totals.elapsedMin).toBeLessThanOrEqual(plan.totals.elapsedCautiousMin);
  });

  test("no two ways of one piece are the same, and each has a title of its own", () => {
    for (const [material, use] of EXPECTED) {
      const of = plans.filter(([name]) => name.startsWith(`${material} ${use}: `)).map(([, plan]) => plan);
      expect(new Set(of.map((plan) => plan.id)).size).toBe(of.length);
      expect(new Set(of.map((plan) => plan.title)).size).toBe(of.length);
    }
  });

  test("the working order names every coat of every step once, shared acts once for all zones", () => {
    for (const [, plan] of plans) {
      const named = plan.order.map((one) => `${one.stepId} ${one.coat} ${one.half ?? ""}`);
      expect(new Set(named).size).toBe(named.length);
      const ids = new Set(plan.order.map((one) => one.stepId));
      for (const step of plan.zones.flatMap((zone) => zone.steps)) if (step.group === undefined) expect(ids).toContain(step.id);
      const groups = [...ids].flatMap((id) => plan.zones.flatMap((zone) => zone.steps).find((step) => step.id === id)?.group ?? []);
      expect(new Set(groups).size).toBe(groups.length);
    }
  });
});
