/** The routes of the trade handbook §6 that fall in these materials: what a good plan says, piece by piece. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "#core/catalogue/catalogue";
import type { UseId } from "#core/catalogue/ids";
import { explainStep } from "#core/coating/explain/explain-step";
import { planPiece } from "#core/coating/planner/plan-piece";
import { DAY, candidates, firstPlan, goblet, has, jar, mug, outline, pebble, place, pot, productsIn, roles, rough, stepsOf, tray, woodDisc } from "./bench";

describe("smooth pebble, on show", () => {
  const plan = firstPlan(pebble({ decoration: { techniques: ["dots"], baseColour: "#1f3a4d", colours: ["#f4efe2"] } }));
  const top = stepsOf(plan, "top");

  test("wash, one primer coat, base twice, guides, dots, guides off, sealed", () => {
    expect(roles(top)).toEqual(["clean", "prime", "base", "mark", "decorate", "unmark", "seal", "cure"]);
    expect(top.find((step) => step.role === "prime")?.coats).toBe(1);
    expect([2, 3]).toContain(top.find((step) => step.role === "base")?.coats);
    expect(top.find((step) => step.role === "seal")?.coats).toBeGreaterThanOrEqual(2);
  });

  test("the washed stone dries a day, the dots a day or two before anything wipes or seals them", () => {
    expect(top.find((step) => step.role === "prime")?.waitBefore?.min).toBeGreaterThanOrEqual(DAY);
    expect(top.find((step) => step.role === "unmark")?.waitBefore?.min).toBeGreaterThanOrEqual(DAY);
  });

  test("nothing is wrong with it", () => expect(plan.findings.filter((one) => one.severity !== "safety")).toEqual([]));

  test("the schools are there: gesso or white craft acrylic, isolation or none; brush or spray is one step's choice", () => {
    const dotted = pebble({ decoration: { techniques: ["dots"] } });
    const products = productsIn(dotted);
    for (const product of ["gesso", "white-craft-acrylic", "acrylic-varnish"]) expect(products).toContain(product);
    const isolated = candidates(dotted).map((one) => has(stepsOf(one, "top"), "isolate"));
    expect(new Set(isolated)).toEqual(new Set([true, false]));
    const seal = stepsOf(plan, "top").find((step) => step.role === "seal")!;
    expect(explainStep(dotted, plan, seal.id, CATALOGUE)!.substitutes.map((one) => one.product)).toContain("acrylic-spray-clear");
  });
});

test("bumpy pebble with shimmer watercolour and glitter paint: fill, wait, sand, lock, pressed guides, a spray only", () => {
  const plan = firstPlan(
    rough({
      conditions: ["bumpy"],
      decoration: {
        baseColour: "#f4efe2",
        techniques: ["outline", "metallic-wash", "loose-glitter"],
        media: ["pigment-brush-pen", "metallic-watercolour", "glitter-acrylic"],
        colours: ["#222222", "#3a6ea5", "#d9b13b"],
      },
    }),
  );
  const top = stepsOf(plan, "top");
  expect(place(top, "fill")).toBeLessThan(place(top, "sand"));
  expect(top.find((step) => step.role === "sand")?.waitBefore?.min).toBeGreaterThanOrEqual(60);
  expect(has(top, "prime") || has(top, "size")).toBe(true);
  expect(outline(plan, "top")).toContain("mark:scored-line");
  expect(has(top, "unmark")).toBe(false);
  for (const medium of ["pigment-brush-pen", "metallic-watercolour", "glitter-acrylic"]) expect(has(top, "decorate", medium)).toBe(true);
  const shimmer = top.findIndex((step) => step.product === "metallic-watercolour");
  expect(
    top
      .slice(shimmer + 1)
      .filter((step) => step.wetMicrons !== null)
      .every((step) => step.method === "spray"),
  ).toBe(true);
  expect(top.find((step) => step.role === "seal")).toMatchObject({ product: "acrylic-spray-clear", method: "spray" });
});

test("dark beach pebble, pale design on bare stone, resin: soaked, sized first, and told plainly that it darkens", () => {
  const plan = firstPlan(
    pebble({ conditions: ["beach-found"], decoration: { baseColour: null, techniques: ["dots"], colours: ["#f4efe2"] }, wishes: { sealer: "coating-resin" } }),
  );
  const top = stepsOf(plan, "top");
  expect(has(top, "clean", "fresh-water-soak")).toBe(true);
  expect(place(top, "size")).toBeLessThan(place(top, "decorate"));
  expect(has(top, "prime")).toBe(false);
  expect(has(top, "seal", "coating-resin")).toBe(true);
  expect(plan.findings.find((one) => one.code === "resin-darkens-bare")).toMatchObject({ severity: "note" });
});

test("powder over a blended ground: blend wet, dry, powder, lock, outline, resin when all is dry", () => {
  const plan = firstPlan(
    pebble({
      uses: ["gift-or-sale"],
      decoration: { techniques: ["blended", "effect-powder", "outline"], colours: ["#1f3a4d", "#d9b13b", "#ffffff"] },
      wishes: { sealer: "coating-resin" },
    }),
  );
  const top = stepsOf(plan, "top");
  const order = ["blended", "effect-powder", "outline"].map((technique) => top.findIndex((step) => step.technique === technique));
  expect([...order].sort((a, b) => a - b)).toEqual(order);
  // The first of its colours waits for the ground, the others for nothing.
  expect(top[order[0]!]).toMatchObject({ while: "wet", waitBefore: { until: "dry-to-recoat" } });
  for (const step of top.slice(order[0]! + 1, order[1]!)) expect(step).toMatchObject({ while: "wet", waitBefore: null });
  expect(top[order[1]! + 1]?.role).toBe("lock");
  expect(top.find((step) => step.role === "seal")).toMatchObject({ product: "coating-resin" });
});

test("a gift has its back based, signed and sealed, and the order begins there", () => {
  const plan = firstPlan(pebble({ uses: ["gift-or-sale"], decoration: { techniques: ["dots"] } }));
  const back = stepsOf(plan, "back");
  expect(place(back, "base")).toBeLessThan(place(back, "sign"));
  expect(place(back, "sign")).toBeLessThan(place(back, "seal"));
  const zoneOf = (id: string) => plan.zones.find((zone) => zone.steps.some((step) => step.id === id))?.zone;
  const coats = plan.order
    .filter((one) => !plan.zones.some((zone) => zone.steps.some((step) => step.id === one.stepId && step.group)))
    .map((one) => zoneOf(one.stepId));
  const primed = plan.zones.flatMap((zone) => zone.steps.filter((step) => step.role === "prime").map((step) => step.id));
  const after = plan.order.filter((one) => !primed.includes(one.stepId)).map((one) => one.stepId as string);
  // All of it is primed together; then the back is finished before the top gets its colour.
  expect(coats[0]).toMatch(/back|top/);
  expect(after.findLastIndex((id) => id.startsWith("back.seal"))).toBeLessThan(after.findIndex((id) => id.startsWith("top.base")));
});

test("outdoor stone: varnished first of all, and whatever comes last stands the weather; no decoupage medium in any way to do it", () => {
  const plans = candidates(pebble({ uses: ["outdoor-exposed"], decoration: { techniques: ["lettering"] } }));
  expect(stepsOf(plans[0]!, "top").findLast((step) => step.role === "seal")?.product).toBe("outdoor-varnish");
  const weather = CATALOGUE.uses.get("outdoor-exposed" as UseId)!.wears.seen!;
  for (const plan of plans) {
    const films = stepsOf(plan, "top").flatMap((step) => CATALOGUE.products.get(step.product) ?? []);
    const last = films.at(-1)!;
    const colours = films.filter((film) => film.jobs.includes("colour") || film.jobs.includes("decorate"));
    // Made for outdoors as it is, a paint needs nothing over it.
    const stands = colours.every((film) => weather.every((wear) => film.standsAlone[wear] !== undefined));
    expect(["outdoor-varnish", "acrylic-spray-clear"].includes(last.id) || stands).toBe(true);
    expect(plan.zones.flatMap((zone) => zone.steps).some((step) => step.product === "decoupage-medium" && step.role === "seal")).toBe(false);
  }
});

describe("terracotta planter", () => {
  const herbs = pot({
    conditions: ["dusty"],
    parts: ["saucer"],
    uses: ["planter", "outdoor-exposed"],
    decoration: { techniques: ["bands", "dots"], media: ["craft-acrylic"], baseColour: "#1f3a4d", colours: ["#f4efe2", "#d9822b"] },
    wishes: { primer: "gesso", sealer: "outdoor-varnish", route: "air" },
  });
  const plan = firstPlan(herbs);

  test("primed inside and out, sealed outside against weather and inside against soil", () => {
    for (const zone of ["outside", "inside"] as const) expect(has(stepsOf(plan, zone), "prime", "gesso")).toBe(true);
    expect(stepsOf(plan, "outside").find((step) => step.role === "seal")).toMatchObject({ product: "outdoor-varnish" });
    expect(stepsOf(plan, "inside").find((step) => step.role === "seal")).toMatchObject({ product: "inside-sealer" });
  });

  test("the rim, the strip inside it and the saucer are coated too", () => {
    for (const zone of ["rim", "inner-strip", "saucer"] as const) expect(has(stepsOf(plan, zone), "seal")).toBe(true);
  });

  test("bands go on over a mask that is lifted before the next layer", () => {
    const outside = roles(stepsOf(plan, "outside"));
    expect(outside.indexOf("mask")).toBeLessThan(outside.indexOf("unmask"));
    expect(outside.indexOf("unmask")).toBeLessThan(outside.lastIndexOf("decorate"));
  });

  test("upright: coats go on in two halves", () => {
    const base = stepsOf(plan, "outside").find((step) => step.role === "base")!;
    const halves = Array.from({ length: base.coats }, (_unused, index) => index + 1).flatMap((coat) => [
      { stepId: base.id, coat, half: "first" },
      { stepId: base.id, coat, half: "second" },
    ]);
    expect(plan.order.filter((one) => one.stepId === base.id)).toEqual(halves);
  });

  test("frost is the only likely fault, and no plan can take it away", () =>
    expect(plan.findings.filter((one) => one.severity === "warn").map((one) => one.code)).toEqual(["freeze-thaw"]));

  test("an indoor planter is spared the frost", () =>
    expect(firstPlan(pot({ uses: ["planter"] })).findings.map((one) => one.code)).not.toContain("freeze-thaw"));
});

describe("glazed mug", () => {
  const dotted = mug({ decoration: { techniques: ["dots"], colours: ["#1f3a4d"] } });

  test("degreased, painted clear of the lip band, nothing inside", () => {
    for (const plan of candidates(dotted)) {
      expect(outline(plan, "outside").slice(0, 2)).toEqual(["clean:soap-wash", "clean:isopropyl-alcohol"]);
      expect(plan.bare).toEqual(["lip-band", "inside"]);
      expect(plan.zones.map((zone) => zone.zone)).toEqual(["outside"]);
    }
  });

  test("ceramic paint by air, or enamel baked lower or higher: each after a full day, from cold, cooled inside", () => {
    const plans = candidates(dotted);
    expect(plans.some((plan) => plan.route === "air" && has(stepsOf(plan, "outside"), "decorate", "ceramic-paint-air"))).toBe(true);
    const bakes = plans.flatMap((plan) => stepsOf(plan, "outside").filter((step) => step.role === "heat-set"));
    expect(new Set(bakes.map((step) => step.heat?.temperatureC))).toEqual(new Set([163, 180]));
    for (const bake of bakes) expect(bake.heat).toMatchObject({ start: "cold", cool: "inside", holdMin: 30 });
    for (const plan of plans.filter((one) => one.route === "bake")) {
      const steps = stepsOf(plan, "outside");
      const paint = steps.findIndex((step) => step.role === "decorate");
      const waited = steps
        .slice(paint + 1, steps.findIndex((step) => step.role === "heat-set") + 1)
        .reduce((sum, step) => sum + (step.waitBefore?.min ?? 0), 0);
      expect(waited).toBeGreaterThanOrEqual(DAY);
    }
  });

  test("without an oven, and for a child, it is the ceramic paint", () => {
    for (const constraints of [{ oven: false }, { childSafe: true }]) {
      const plans = candidates(mug({ decoration: { techniques: ["dots"] }, constraints }));
      expect(plans.every((plan) => plan.route === "air")).toBe(true);
      expect(plans.length).toBeGreaterThan(0);
    }
  });
});

test("wine glass with bakeable enamel: alcohol, dry-erase guides off before the oven, no primer, 25 mm clear, baked from cold", () => {
  const plan = firstPlan(goblet({ decoration: { techniques: ["dots"], media: ["gloss-enamel-acrylic"] } }));
  const outside = stepsOf(plan, "outside");
  expect(outline(plan, "outside")).toEqual(
    expect.arrayContaining(["clean:isopropyl-alcohol", "mark:dry-erase-marker", "unmark:damp-wipe", "heat-set:oven-bake"]),
  );
  expect(has(outside, "prime")).toBe(false);
  expect(place(outside, "unmark")).toBeLessThan(place(outside, "heat-set"));
  expect(plan.bare).toContain("lip-band");
});

describe("solid wood tray", () => {
  const served = tray({
    decoration: {
      baseColour: "#f4efe2",
      techniques: ["outline", "freehand-brush"],
      media: ["oil-paint-marker", "craft-acrylic"],
      colours: ["#222222", "#2b6a99"],
    },
  });
  const inside = stepsOf(firstPlan(served), "inside");

  test("sanded, two ground coats that hold the tannin, sanded again; outline in marker, waterborne colour", () => {
    const prime = inside.find((step) => step.role === "prime");
    expect(prime).toMatchObject({ coats: 2 });
    expect(has(inside, "decorate", "oil-paint-marker")).toBe(true);
    expect(has(inside, "decorate", "craft-acrylic")).toBe(true);
    expect(roles(inside).filter((role) => role === "sand")).toHaveLength(2);
  });

  test("sealed with something that stands wet rings and hot cups", () => {
    expect(inside.find((step) => step.role === "seal")?.product).toBe("waterborne-polyurethane");
    expect(planPiece(tray({ wishes: { sealer: "coating-resin" } }), CATALOGUE).candidates[0]?.findings.map((one) => one.code)).toContain("hot-cup");
  });

  test("both faces are coated", () => expect(stepsOf(firstPlan(served), "back").length).toBeGreaterThan(0));

  test("a dark tray may have its gesso; a back left bare is told and mended", () => {
    expect(outline(firstPlan(tray({ decoration: { baseColour: "#1f2a30" }, wishes: { primer: "gesso" } })), "inside")).toContain("prime:gesso");
    const bare = firstPlan(tray({ decoration: { bareZones: ["back"] } })).findings.find((one) => one.code === "one-face-coated");
    expect(bare?.fix.change).toEqual([{ op: "setPiece", path: "decoration.bareZones", value: [] }]);
  });
});

test("wood disc with dots: base twice, thick dots loosened with medium, never thin satin paint", () => {
  for (const plan of candidates(woodDisc({ decoration: { techniques: ["dots"] } })))
    expect(has(stepsOf(plan, "top"), "decorate", "satin-multisurface")).toBe(false);
  const thick = firstPlan(woodDisc({ decoration: { techniques: ["dots"], media: ["heavy-body-acrylic"] } }));
  expect(stepsOf(thick, "top").find((step) => step.role === "decorate")?.thinning).toMatchObject({ with: "gloss-fluid-medium" });
});

test("lantern jar: outside only, nothing inside or above the flame, no resin anywhere, and the fire caution", () => {
  const set = planPiece(jar({ uses: ["candle"], decoration: { techniques: ["freehand-brush"] } }), CATALOGUE);
  for (const plan of set.candidates) {
    expect(plan.zones.map((zone) => zone.zone)).toEqual(["outside"]);
    expect(plan.bare).toEqual(expect.arrayContaining(["rim", "inside"]));
    expect(plan.findings.map((one) => one.code)).toContain("candle-fire");
  }
  expect(productsIn(jar({ uses: ["candle"] })).has("coating-resin")).toBe(false);
});
