/** What holds for any valid piece. Seeded; a seed that finds something becomes a test of its own. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { CATALOGUE, makeCatalogue, STANDARD_LISTS, withProducts } from "#core/catalogue/catalogue";
import { productId } from "#core/catalogue/ids";
import { CONDITIONS, SHEENS, TECHNIQUES } from "#core/catalogue/vocabulary";
import { changePiece } from "#core/coating/model/apply-changes";
import { planPiece } from "#core/coating/planner/plan-piece";
import { planWithEdits } from "#core/coating/planner/plan-with-edits";
import { parsePiece } from "#core/formats/parse-piece";
import { FORM_MEASURES } from "#core/piece/form";
import type { FormKind } from "#core/piece/form";
import type { Piece } from "#core/piece/piece";
import { gypsum, jar, mug, pebble, piece, pot } from "./bench";

const SEED = Number(process.env.FC_SEED ?? 20261124);
const RUNS = 14;
console.log(`fast-check seed ${SEED}`);

const some = <T>(values: readonly T[], most: number) => fc.uniqueArray(fc.constantFrom(...values), { maxLength: most });
const colour = fc.constantFrom("#f4efe2", "#1f3a4d", "#d9822b", "#8a1f2b", "#ffffff", "#101418");
const form = fc
  .constantFrom(...(Object.keys(FORM_MEASURES) as FormKind[]))
  .chain((kind) =>
    fc.record(Object.fromEntries(FORM_MEASURES[kind].map((key) => [key, fc.integer({ min: 30, max: 300 })]))).map((sizes) => ({ kind, ...sizes })),
  )
  .map((one) => ("rimWidthMm" in one ? { ...one, rimWidthMm: 12 } : one));

const pieces = fc
  .record({
    material: fc.constantFrom(...CATALOGUE.materials.keys()),
    uses: fc.uniqueArray(fc.constantFrom(...CATALOGUE.uses.keys()), { minLength: 1, maxLength: 2 }),
    form,
    conditions: some(CONDITIONS, 2),
    finish: fc.constantFrom(...SHEENS),
    room: fc.record({
      temperatureC: fc.integer({ min: 2, max: 36 }),
      relativeHumidity: fc.integer({ min: 30, max: 95 }).map((n) => n / 100),
      airflow: fc.constantFrom("still", "drafty", "fan"),
    }),
    decoration: fc.record(
      {
        techniques: some(TECHNIQUES, 3),
        baseColour: fc.option(colour),
        colours: fc.array(colour, { maxLength: 2 }),
        media: some([...CATALOGUE.products.keys()], 1),
      },
      { requiredKeys: [] },
    ),
    constraints: fc.record({ oven: fc.boolean(), childSafe: fc.boolean() }, { requiredKeys: [] }),
  })
  .map((facts) => piece(facts as never));

describe("for any valid piece", () => {
  test("it never throws, never proposes a stop, never answers nothing without a reason; the nearest plan plans", () => {
    fc.assert(
      fc.property(pieces, (of: Piece) => {
        const set = planPiece(of, CATALOGUE);
        expect(set.candidates.length > 0).toBe(set.refusal === null);
        expect(set.candidates.length).toBeLessThanOrEqual(5);
        for (const one of set.candidates) expect(one.findings.filter((finding) => finding.severity === "stop")).toEqual([]);
        const nearest = set.refusal?.nearest;
        if (set.refusal) expect(nearest).not.toBeNull();
        if (nearest) expect(planPiece(changePiece(of, nearest.changes), CATALOGUE).candidates.length).toBeGreaterThan(0);
      }),
      { seed: SEED, numRuns: RUNS },
    );
  });

  test("every number is finite, every wait whole, every step has its reason; the file survives JSON", () => {
    fc.assert(
      fc.property(pieces, (of: Piece) => {
        const set = planPiece(of, CATALOGUE);
        expect(JSON.parse(JSON.stringify(set))).toEqual(JSON.parse(JSON.stringify(planPiece(of, CATALOGUE))));
        expect(JSON.stringify(set)).not.toMatch(/undefined|NaN|Infinity/);
        for (const step of set.candidates.flatMap((one) => one.zones.flatMap((zone) => zone.steps))) {
          expect(step.because.length).toBeGreaterThan(0);
          expect(step.jarMl === null || (Number.isFinite(step.jarMl) && step.jarMl > 0)).toBe(true);
          if (step.waitBefore) expect(Number.isInteger(step.waitBefore.min) && step.waitBefore.min <= step.waitBefore.cautiousMin!).toBe(true);
        }
      }),
      { seed: SEED + 1, numRuns: RUNS },
    );
  });

  test("every fix it offers clears its finding and brings no stop", () => {
    fc.assert(
      fc.property(pieces, (of: Piece) => {
        const [first] = planPiece(of, CATALOGUE).candidates;
        for (const finding of first?.findings ?? []) {
          const { change } = finding.fix;
          if (!change) continue;
          const view = planWithEdits(changePiece(of, change), { candidateId: first!.id, school: first!.school, edits: change }, CATALOGUE);
          const after = view.shown?.findings ?? [];
          expect(
            after.filter((one) => one.code === finding.code && one.zone === finding.zone && one.stepId === finding.stepId && one.severity === finding.severity),
          ).toEqual([]);
          expect(after.filter((one) => one.severity === "stop")).toEqual([]);
        }
      }),
      { seed: SEED + 2, numRuns: RUNS },
    );
  });

  test("guides and masks are never left on, nothing is sanded after sealing, the engine's files read back", () => {
    fc.assert(
      fc.property(pieces, (of: Piece) => {
        expect(parsePiece(JSON.parse(JSON.stringify(of)), CATALOGUE)).toEqual({ ok: true, value: of });
        for (const { steps } of planPiece(of, CATALOGUE).candidates.flatMap((one) => one.zones)) {
          const roles = steps.map((step) => step.role);
          const seal = roles.indexOf("seal");
          expect(roles.filter((role) => role === "mask").length).toBe(roles.filter((role) => role === "unmask").length);
          if (seal >= 0) expect(roles.slice(seal)).not.toEqual(expect.arrayContaining(["sand"]));
          if (seal >= 0) expect(roles.lastIndexOf("unmark")).toBeLessThan(seal);
        }
      }),
      { seed: SEED + 3, numRuns: RUNS },
    );
  });
});

describe("the catalogue is data", () => {
  const gesso = CATALOGUE.products.get(productId("gesso"))!;
  const varnish = CATALOGUE.products.get(productId("outdoor-varnish"))!;

  test("an invented ground appears in candidates by data alone", () => {
    const invented = { ...gesso, id: productId("moon-chalk-ground"), name: "Moon chalk ground", handsOn: { fixedMin: 0.5, perDm2Min: 0.1 } };
    const set = planPiece(pebble({ decoration: { techniques: ["dots"] } }), withProducts(CATALOGUE, [invented]));
    expect(set.candidates.some((one) => one.zones.some((zone) => zone.steps.some((step) => step.product === "moon-chalk-ground")))).toBe(true);
  });

  test("an invented sealer that stands everything wins where it stands most", () => {
    const invented = {
      ...varnish,
      id: productId("gull-wax"),
      name: "Gull wax",
      resists: { wipe: 3, rub: 3, weather: 3, washing: 3 } as const,
      usual: { on: varnish.usual.on, rank: 0 as const },
    };
    const set = planPiece(pot({ uses: ["outdoor-exposed"] }), withProducts(CATALOGUE, [invented]));
    expect(set.candidates[0]!.zones[0]!.steps.some((step) => step.product === "gull-wax")).toBe(true);
  });

  test("two entries of one id are refused", () => {
    expect(() => makeCatalogue({ ...STANDARD_LISTS, products: [gesso, gesso] })).toThrow(/share the id "gesso"/);
    expect(() => withProducts(CATALOGUE, [gesso])).toThrow(/share the id/);
  });

  test("every id that data names is there, and every class has a standing", () => {
    const aids = new Set<string>(CATALOGUE.aids.keys());
    for (const material of CATALOGUE.materials.values()) for (const id of [...material.cleaning, material.dustOff]) expect(aids).toContain(id);
    for (const condition of CATALOGUE.conditions.values()) for (const id of condition.adds) expect(aids).toContain(id);
    for (const aid of CATALOGUE.aids.values()) if (aid.guide?.takenOffBy) expect(aids).toContain(aid.guide.takenOffBy);
    for (const product of CATALOGUE.products.values()) {
      expect(product.standing.default.kind).toMatch(/memory|common-practice|published/);
      expect(product.jobs.length).toBeGreaterThan(0);
      for (const technique of product.techniques) expect(CATALOGUE.techniques.has(technique)).toBe(true);
    }
  });
});

describe("refusals", () => {
  test("gypsum in the rain is refused, and the nearest way casts it in cement", () => {
    const { refusal } = planPiece(gypsum({ uses: ["outdoor-exposed"], decoration: { techniques: ["dots"] } }), CATALOGUE);
    expect(refusal).toMatchObject({ code: "gypsum-wet-use", nearest: { changes: [{ op: "setPiece", path: "material", value: "concrete-cast" }] } });
  });

  test("a cold, foggy shed is refused, and the nearest way warms it", () => {
    const { refusal } = planPiece(pot({ room: { temperatureC: 4, relativeHumidity: 0.95, airflow: "still" } }), CATALOGUE);
    expect(refusal?.nearest?.changes.map((change) => (change.op === "setPiece" ? change.path : ""))).toContain("room.temperatureC");
  });

  test("a mug with neither oven nor ceramic paint is refused with what would help", () => {
    const none = { oven: false, avoid: [productId("ceramic-paint-air")] };
    const { refusal } = planPiece(mug({ decoration: { techniques: ["dots"] }, constraints: none }), CATALOGUE);
    expect(refusal?.nearest).not.toBeNull();
    expect(refusal?.why.length).toBeGreaterThan(10);
  });

  test("what does not hold on a bare jar gets a ground to paint on, and the answer says that it was assumed", () => {
    const shimmer = jar({ uses: ["indoor-display"], decoration: { techniques: ["metallic-wash"], media: ["metallic-watercolour"] } });
    const { candidates, assumed, refusal } = planPiece(shimmer, CATALOGUE);
    expect(refusal).toBeNull();
    expect(assumed.find((one) => one.path === "decoration.baseColour")?.text).toMatch(/to paint on/);
    for (const one of candidates) expect(one.zones.find((zone) => zone.zone === "outside")!.steps.map((step) => step.role)).toContain("base");
  });

  test("a piece that has to stay bare all over says so", () => {
    const { refusal } = planPiece(
      piece({ material: "ceramic-glazed", object: "mug", uses: ["drinkware"], form: { kind: "cylinder", diameterMm: 50, heightMm: 20 } }),
      CATALOGUE,
    );
    expect(refusal?.code).toBe("nothing-to-paint");
  });
});
