/** What the desk is about: a jar, a colour in mind, a colour of a plan; and how each of them hides. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { jarId, productId, stepId } from "#core/catalogue/ids";
import type { Jar } from "#core/catalogue/jar";
import type { PlanColour } from "#core/coating/explain/plan-colours";
import { COLOUR_KINDS, subjectOfColour, subjectOfJar, subjectOfPlan, USUAL_KIND } from "./subject";

const red: Jar = { id: jarId("redjar0001"), classId: productId("craft-acrylic"), name: "Signal red", colour: "#c8402f", label: { opacity: "opaque" } };
const planned = (more: Partial<PlanColour> = {}): PlanColour => ({
  key: "craft-acrylic/#c8402f/redjar0001",
  product: productId("craft-acrylic"),
  colour: "#c8402f",
  jar: red.id,
  stepIds: [stepId("top.decorate.dots")],
  zones: ["top"],
  role: "decorate",
  step: { id: stepId("top.decorate.dots"), role: "decorate", product: productId("craft-acrylic") },
  jarMl: 4,
  thinnerMl: 1,
  coats: 1,
  marks: null,
  thinning: null,
  purpose: "dots-level",
  beneath: "#1f3a4d",
  contrastRatio: 0.8,
  coversArea: null,
  wetMicrons: 75,
  hides: null,
  underlay: null,
  done: false,
  ...more,
});

describe("the paint on the desk", () => {
  test("a jar has its own name and hides as its label says; a shimmer hides by its flakes and has no ratio", () => {
    expect(subjectOfJar(red)).toMatchObject({ name: "Signal red", colour: "#c8402f", hides: { ratio: 0.93, by: "label" } });
    expect(subjectOfJar({ ...red, classId: productId("pearl-acrylic"), label: {} })).toMatchObject({ hides: null });
    expect(subjectOfJar({ ...red, classId: productId("no-such-paint") })).toMatchObject({ kind: USUAL_KIND });
  });

  test("a colour in mind is called by its plain name and hides as is typical of its kind", () => {
    expect(subjectOfColour("#1f2f4d", USUAL_KIND)).toMatchObject({ name: "navy", jar: null, plan: null, hides: { by: "typical" } });
    expect(subjectOfColour("#1f2f4d", CATALOGUE.products.get(productId("interference-acrylic"))!).hides).toBeNull();
  });

  test("a colour of a plan hides as its swatch or label says, else as the plan reckons", () => {
    expect(subjectOfPlan(planned(), [red])).toMatchObject({ name: "Signal red", jar: red, hides: { ratio: 0.93, by: "label" } });
    const swatch = { ratio: 0.7, from: 0.65, to: 0.74, by: "swatch" } as const;
    expect(subjectOfPlan(planned(), [{ ...red, hiding: swatch }]).hides).toEqual({ ratio: 0.7, by: "swatch" });
    expect(subjectOfPlan(planned(), [{ ...red, label: {} }]).hides).toEqual({ ratio: 0.8, by: "typical" });
    // Of a jar that is gone, or of a colour that is not owned, the plan still knows the colour.
    expect(subjectOfPlan(planned({ jar: null }), [])).toMatchObject({ name: "scarlet", jar: null, hides: { ratio: 0.8, by: "typical" } });
    expect(subjectOfPlan(planned({ contrastRatio: null }), []).hides).toBeNull();
  });

  test("every kind that can be chosen for a colour in mind hides by scattering and is a colour", () => {
    expect(COLOUR_KINDS.map(({ id }) => id)).toEqual(expect.arrayContaining(["craft-acrylic", "house-emulsion", "underglaze", "solvent-enamel"]));
    for (const { film, jobs } of COLOUR_KINDS)
      expect([film.contrastRatio !== null, jobs.some((job) => job === "colour" || job === "decorate")]).toEqual([true, true]);
  });
});
