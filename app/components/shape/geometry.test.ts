/** The measured drawing: to the user's proportions, with a place to type every measure. */
import { describe, expect, test } from "@jest/globals";
import { FORM_MEASURES, USUAL_FORMS } from "#core/piece/form";
import type { Form, FormKind } from "#core/piece/form";
import { drawingOf, VIEW } from "./geometry";
import type { Dimension } from "./geometry";

const KINDS = Object.keys(FORM_MEASURES) as FormKind[];
const named = (form: Form, name: string, parts: readonly string[] = []) => drawingOf(form, 0, parts).dimensions.find((one) => one.name === name)!;
const length = ({ from, to }: Dimension) => Math.hypot(to[0] - from[0], to[1] - from[1]);

describe.each(KINDS)("%s", (kind) => {
  const form = USUAL_FORMS[kind];
  test("has each of its measures once", () =>
    expect(
      drawingOf(form, 0, [])
        .dimensions.map((one) => one.name)
        .sort(),
    ).toEqual([...FORM_MEASURES[kind]].sort()));

  test("keeps its measures inside the drawing, at the usual size and at odd ones", () => {
    const measures = FORM_MEASURES[kind] as readonly string[];
    const odd = [1, 6].map(
      (factor) => ({ ...form, ...Object.fromEntries(measures.map((name, index) => [name, index % 2 ? 40 * factor : 240 / factor])) }) as Form,
    );
    for (const drawn of [form, ...odd].map((one) => drawingOf(one, 0, [])))
      for (const { name, from, to, at } of drawn.dimensions)
        for (const [x, y] of [from, to, at])
          expect([name, x >= 0 && x <= VIEW.width, y >= drawn.spare && y <= VIEW.height - drawn.spare]).toEqual([name, true, true]);
  });

  test("draws nothing that is not a number", () => {
    for (const parts of [[], ["handle", "saucer"]])
      for (const { path } of drawingOf(form, 25, parts).patches) expect(path).not.toMatch(/NaN|Infinity|undefined/);
  });
});

describe("proportions", () => {
  test.each([
    [{ kind: "box", lengthMm: 400, widthMm: 280, heightMm: 45 }, "lengthMm", "heightMm"],
    [{ kind: "pebble", lengthMm: 90, widthMm: 60, thicknessMm: 20 }, "lengthMm", "thicknessMm"],
    [{ kind: "cylinder", diameterMm: 80, heightMm: 160 }, "diameterMm", "heightMm"],
    [{ kind: "frustum", topDiameterMm: 200, bottomDiameterMm: 120, heightMm: 100 }, "topDiameterMm", "bottomDiameterMm"],
    [{ kind: "goblet", bowlDiameterMm: 80, bowlHeightMm: 100, stemHeightMm: 60, footDiameterMm: 70 }, "bowlHeightMm", "stemHeightMm"],
    [{ kind: "dome", diameterMm: 90, heightMm: 30 }, "diameterMm", "heightMm"],
  ] as const)("of %o are those the user typed", (form, one, other) => {
    const drawn = length(named(form, one)) / length(named(form, other));
    const typed = (form as unknown as Record<string, number>)[one]! / (form as unknown as Record<string, number>)[other]!;
    expect(drawn).toBeCloseTo(typed, 5);
  });
});

describe("what is kept bare, and what hangs on it", () => {
  const surfaces = (form: Form, lipMm: number, parts: readonly string[]) => drawingOf(form, lipMm, parts).patches.map((one) => one.surface);
  test("a drinking rim has its band, and only that", () => {
    expect(surfaces(USUAL_FORMS.cylinder, 20, [])).toContain("lip-band");
    expect(surfaces(USUAL_FORMS.goblet, 20, [])).toContain("lip-band");
    expect(surfaces(USUAL_FORMS.cylinder, 0, [])).not.toContain("lip-band");
  });
  test("a handle and a saucer are there when the user has them", () => {
    expect(surfaces(USUAL_FORMS.cylinder, 0, ["handle"])).toContain("handle");
    expect(surfaces(USUAL_FORMS.frustum, 0, ["saucer"])).toContain("saucer");
    expect(surfaces(USUAL_FORMS.frustum, 0, [])).not.toContain("saucer");
  });
});
