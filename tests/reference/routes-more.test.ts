/** The routes of the trade handbook §6 for plaster, bisque, clocks, joined pots and concrete: what a good plan says, piece by piece. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { planPiece } from "#core/coating/planner/plan-piece";
import type { ZoneId } from "#core/catalogue/vocabulary";
import { DAY, firstPlan, gypsum, has, outline, pebble, piece, place, plate, pot, stepsOf } from "./bench";

describe("the rest of the handbook's table (§6)", () => {
  test("gypsum cast: dry to constant weight, fill the air holes, sand, brush the dust off, back sealed before the top is begun", () => {
    const plan = firstPlan(gypsum({ uses: ["gift-or-sale"], conditions: ["air-holes"], decoration: { techniques: ["dots"] } }));
    const top = stepsOf(plan, "top");
    expect(outline(plan, "top").slice(0, 5)).toEqual(["clean:dry-brush", "clean:constant-weight", "fill:spackle", "sand:sanding", "dust-off:dry-brush"]);
    expect(top.find((step) => step.role === "fill")?.waitBefore?.min).toBeGreaterThanOrEqual(3 * DAY);
    const order = plan.order.map((one) => String(one.stepId));
    expect(order.findLastIndex((id) => id.startsWith("back.seal."))).toBeLessThan(order.findIndex((id) => id.startsWith("top.base.")));
  });

  test("bisque plate for the kiln: underglaze three coats for the field, one or two for accents, pencil that burns off, glaze, fire", () => {
    const plan = firstPlan(plate({ decoration: { techniques: ["dots", "lettering"], baseColour: "#1f3a4d", colours: ["#f4efe2"] } }));
    const side = stepsOf(plan, "food-side");
    expect(plan.route).toBe("kiln");
    expect(side.find((step) => step.role === "base")).toMatchObject({ product: "underglaze" });
    expect(side.find((step) => step.role === "base")!.coats).toBeGreaterThanOrEqual(3);
    expect(side.filter((step) => step.role === "decorate").every((step) => step.coats <= 2)).toBe(true);
    expect(outline(plan, "food-side")).toEqual(expect.arrayContaining(["mark:graphite-pencil", "seal:clear-glaze", "fire:kiln-fire"]));
    expect(has(side, "unmark")).toBe(false);
    expect(place(side, "seal")).toBeLessThan(place(side, "fire"));
    expect(plan.zones.some((zone) => zone.zone === "back")).toBe(false);
    expect(plan.findings.map((one) => one.code)).toEqual(["kiln-trained"]);
  });

  test("the same plate without a kiln is one to look at, and what would make it fit to eat from is the kiln", () => {
    const [first] = planPiece(plate({ constraints: { kiln: false } }), CATALOGUE).candidates;
    expect(first!.findings[0]).toMatchObject({ code: "for-show-only", fix: { change: [{ op: "setPiece", path: "constraints.kiln", value: true }] } });
  });

  test("clock with glued numerals: works off first, parts coated beside it, glue spots bare, glued after the seal", () => {
    const plan = firstPlan(
      piece({
        material: "wood-board",
        object: "clock",
        parts: ["numerals", "works"],
        form: { kind: "disc", diameterMm: 260, thicknessMm: 12 },
        decoration: { techniques: ["dots"] },
      }),
    );
    const face = stepsOf(plan, "face");
    expect(face[0]!.product).toBe("take-apart");
    expect(outline(plan, "parts").filter((step) => /base|seal/.test(step))).toEqual(outline(plan, "edge").filter((step) => /base|seal/.test(step)));
    expect(plan.bare).toContain("glue-spot");
    expect(place(face, "assemble")).toBeGreaterThan(place(face, "seal"));
    expect(plan.order.filter((one) => face.some((step) => step.id === one.stepId && step.role === "assemble"))).toHaveLength(1);
  });

  test("dark beach pebble, pale motif, bare stone and resin: a size on the bare stone, a ground under the motif only, one pour over both", () => {
    const plan = firstPlan(
      pebble({
        conditions: ["beach-found"],
        wishes: { sealer: "coating-resin" },
        decoration: {
          baseColour: null,
          layers: [
            { technique: "solid", zone: "top/motif-1", colour: "#f4efe2", coverage: 0.3 },
            { technique: "dots", zone: "top/motif-1", colour: "#3f7f7a" },
          ],
        },
      }),
    );
    expect(outline(plan, "top")).toContain("size:decoupage-medium");
    expect(
      stepsOf(plan, "top")
        .find((step) => step.role === "size")
        ?.checks.join(),
    ).toMatch(/Test on the back/);
    expect(has(stepsOf(plan, "top/motif-1" as ZoneId), "base")).toBe(true);
    const pours = plan.zones.flatMap((zone) => zone.steps.filter((step) => step.role === "seal"));
    expect(new Set(pours.map((step) => step.group)).size).toBe(1);
    expect(plan.order.filter((one) => pours.some((step) => step.id === one.stepId))).toHaveLength(1);
    expect(plan.findings.map((one) => one.code)).toContain("resin-darkens-bare");
  });

  test("a pot pedestal: two parts coated apart, the joint left bare, glued when all is sealed", () => {
    const plan = firstPlan(pot({ uses: ["handled"], parts: ["stem"], decoration: { techniques: ["dots"] } }));
    expect(stepsOf(plan, "stem").length).toBeGreaterThan(0);
    expect(plan.bare).toContain("glue-spot");
    expect(has(stepsOf(plan, "outside"), "assemble", "glue")).toBe(true);
  });

  test("gypsum outdoors is refused, and cement is the nearest that works", () => {
    const { refusal } = planPiece(gypsum({ uses: ["outdoor-exposed"] }), CATALOGUE);
    expect(refusal).toMatchObject({ code: "gypsum-wet-use", nearest: { text: "cast it in cement instead" } });
  });

  test("young concrete begins with a primer that stands alkali, or waits its four weeks", () => {
    const plan = firstPlan(piece({ material: "concrete-cast", object: "pot", form: { kind: "cylinder", diameterMm: 120, heightMm: 110 }, uses: ["handled"] }));
    const first = stepsOf(plan, "outside").find((step) => CATALOGUE.products.has(step.product))!;
    expect(CATALOGUE.products.get(first.product)!.traits).toContain("stands-alkali");
  });
});

test("cement that is damp has its 28 days, or a primer that stands its lime, whatever is made of it; it says which, and mature cement waits for neither", () => {
  const slab = (more: Omit<Parameters<typeof piece>[0], "material">) =>
    piece({ material: "concrete-cast", form: { kind: "disc", diameterMm: 200, thicknessMm: 25 }, ...more });
  const firstFilms = (of: ReturnType<typeof slab>) =>
    planPiece(of, CATALOGUE).candidates.flatMap(({ zones }) =>
      zones.flatMap(({ steps }) => {
        const at = steps.findIndex(({ product, role }) => role !== "fill" && CATALOGUE.products.has(product));
        const waits = steps.slice(0, at + 1).flatMap(({ waitBefore }) => waitBefore ?? []);
        const stands = CATALOGUE.products.get(steps[at]?.product as never)?.traits.includes("stands-alkali") ?? false;
        return at < 0 ? [] : [{ stands, min: waits.reduce((sum, { min }) => sum + min, 0), cement: waits.some(({ body }) => body === "cement") }];
      }),
    );
  let bare = 0;
  for (const use of ["indoor-display", "outdoor-exposed"])
    for (const technique of ["dots", "poured", "stencil"])
      for (const baseColour of [null, "#1f3a4d"]) {
        const facts = { uses: [use], conditions: ["damp"], decoration: { techniques: [technique], baseColour, colours: ["#aa3322"] } };
        for (const { stands, min, cement } of firstFilms(slab(facts))) {
          expect(stands || min >= 28 * DAY).toBe(true);
          expect(cement).toBe(!stands);
          if (!stands) bare += 1;
        }
        expect(firstFilms(slab({ ...facts, body: { matured: true } })).some(({ cement }) => cement)).toBe(false);
      }
  expect(bare).toBeGreaterThan(4);
});
