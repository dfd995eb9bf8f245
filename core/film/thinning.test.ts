/** Thinning by purpose: the handbook's starting points, and what more thinner does to film, hiding and body. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { CATALOGUE } from "../catalogue/catalogue";
import { productId } from "../catalogue/ids";
import type { ProductClass } from "../catalogue/product-class";
import { checkSteps } from "../coating/rules/check-steps";
import { pebble, s, stacks } from "../../tests/reference/bench";
import { dryMicrons } from "./build";
import { coatsToHide } from "./hiding";
import { spectrumOf } from "./spectrum";
import { thin } from "./thin";
import { bodyAt, consistencyAfter, consistencyOf, FLUID_MEDIUM, SPIRIT, THINNING_SCHOOLS, UNTHINNED, WATER } from "./consistency";
import { isLiquid, PURPOSES, purposeOf } from "./purposes";
import { fitOf, isLean, looseningOf, suits, thinnedWith, thinningFor, usualThinning } from "./thinning";

const SEED = 20261126;
const product = (id: string): ProductClass => CATALOGUE.products.get(productId(id))!;
const liquids = [...CATALOGUE.products.values()].filter((one) => isLiquid(one, undefined));
const craft = product("craft-acrylic");

describe("starting points of the trade handbook, §16", () => {
  test.each([
    ["craft-acrylic", "base", 0, [0, 2]],
    ["craft-acrylic", "first-coat", 25, [4, 6]],
    ["craft-acrylic", "dots-level", 20, [3, 4]],
    ["heavy-body-acrylic", "dots-level", 25, [4, 5]],
    ["heavy-body-acrylic", "dots-domed", 20, [3, 5]],
    ["satin-multisurface", "dots-level", 10, [2, 2]],
    ["craft-acrylic", "fine-lines", 40, [6, 10]],
    ["craft-acrylic", "stencil", 0, [0, 0]],
    ["acrylic-varnish", "varnish", 0, [0, 0]],
  ] as const)("%s for %s: %s %% of the paint", (id, purpose, percent, [from, to]) => {
    const chosen = usualThinning(product(id), purpose, "porous");
    expect(chosen.percent).toBe(percent);
    expect(thinningFor(product(id), purpose, "porous", chosen).dropsPerMlOfPaint).toEqual({ from, to });
  });

  test("dots to dome are loosened with medium, not with water; a stencil with nothing", () => {
    expect(usualThinning(product("heavy-body-acrylic"), "dots-domed", "porous").with).toBe(FLUID_MEDIUM);
    expect(usualThinning(craft, "stencil", "porous").with).toBe(UNTHINNED);
  });

  test("fluid paint does not make domed dots, nor thick paint fine lines", () => {
    expect([suits(product("fluid-acrylic"), "dots-domed"), suits(product("heavy-body-acrylic"), "fine-lines"), suits(craft, "dots-level")]).toEqual([
      false,
      false,
      true,
    ]);
  });

  test("water beyond 30 % on thirsty and 20 % on slick ware is lean, a wash over a ground is meant to be", () => {
    const wet = (percent: number) => ({ with: WATER, percent });
    expect([isLean(craft, "porous", wet(30), "base", false), isLean(craft, "porous", wet(31), "base", false)]).toEqual([false, true]);
    expect([isLean(craft, "slick", wet(20), "base", false), isLean(craft, "slick", wet(25), "base", false)]).toEqual([false, true]);
    expect([isLean(craft, "porous", wet(100), "wash", true), isLean(craft, "porous", wet(100), "wash", false)]).toEqual([false, true]);
    expect(isLean(craft, "porous", { with: FLUID_MEDIUM, percent: 100 }, "base", false)).toBe(false);
  });
});

describe("more thinner", () => {
  const amount = fc
    .tuple(fc.double({ min: 0, max: 150, noNaN: true }), fc.double({ min: 0, max: 150, noNaN: true }))
    .map(([a, b]) => [Math.min(a, b), Math.max(a, b)] as const);
  test("never leaves a thicker dry film, nor a stiffer paint", () => {
    fc.assert(
      fc.property(fc.constantFrom(...liquids), fc.constantFrom(WATER, FLUID_MEDIUM, productId("pouring-medium")), amount, (one, thinner, [less, more]) => {
        const { wetMicrons, volumeSolidsPercent } = one.film;
        if (wetMicrons !== null && volumeSolidsPercent !== null)
          expect(dryMicrons(wetMicrons, volumeSolidsPercent, more)).toBeLessThanOrEqual(dryMicrons(wetMicrons, volumeSolidsPercent, less));
        const index = consistencyOf(one);
        // A medium as thick as the paint leaves it as it is.
        if (index !== null && index > 3.1) expect(consistencyAfter(index, thinner, more)).toBeLessThanOrEqual(consistencyAfter(index, thinner, less) + 1e-9);
      }),
      { seed: SEED },
    );
  });
  test("never takes fewer coats to hide", () => {
    const grounds = ["#111111", "#b4643f", "#f8f5ec"].map(spectrumOf);
    fc.assert(
      fc.property(fc.constantFrom("#f4efe2", "#2f4a5a", "#d9822b", "#8a1f2b"), fc.constantFrom(...grounds), amount, (colour, ground, [less, more]) => {
        expect(coatsToHide(colour, 0.8, ground, "thin-spot", more)).toBeGreaterThanOrEqual(coatsToHide(colour, 0.8, ground, "thin-spot", less));
      }),
      { seed: SEED, numRuns: 60 },
    );
  });
  test("by the law of the handbook: water by 3.5 times the logarithm, mediums by the mean of the logarithms", () => {
    expect(consistencyAfter(4, WATER, 25)).toBeCloseTo(4 - 3.5 * Math.log10(1.25), 9);
    expect(consistencyAfter(4.4, FLUID_MEDIUM, 100)).toBeCloseTo((4.4 + 2.4) / 2, 9);
    expect([bodyAt(2), bodyAt(3), bodyAt(3.7), bodyAt(4.4), bodyAt(6)]).toEqual(["pours", "self-levels", "soft-dot", "domed-dot", "peaks"]);
  });
});

test("what the engine thins by itself is never lean nor too loose, for any paint that suits its purpose", () => {
  for (const one of liquids)
    for (const technique of one.techniques)
      for (const surface of ["porous", "slick", "wood"] as const) {
        const purpose = purposeOf({ role: "decorate", technique }, one);
        const chosen = usualThinning(one, purpose, surface);
        expect([one.id, purpose, isLean(one, surface, chosen, purpose, true)]).toEqual([one.id, purpose, false]);
        if (suits(one, purpose)) expect([one.id, purpose, fitOf(one, purpose, chosen)]).not.toEqual([one.id, purpose, "too-loose"]);
      }
});

test("asked for water where medium is usual, thin gives no more than the binder bears; in no school is its own share lean", () => {
  for (const one of liquids)
    for (const purpose of PURPOSES)
      for (const school of THINNING_SCHOOLS) {
        const answer = thin({ product: one.id, purpose, school }, CATALOGUE)!;
        expect([one.id, purpose, school, answer.findings.map((finding) => finding.code)]).not.toEqual([
          one.id,
          purpose,
          school,
          expect.arrayContaining(["over-thinned"]),
        ]);
        expect(answer.drops.from).toBeLessThanOrEqual(answer.drops.to);
      }
});

test("the user's own thinning is judged: too much water, and dots that no longer stand", () => {
  const dots = (percent: number, thinner = WATER) =>
    checkSteps(pebble(), stacks({ top: [s("decorate", "craft-acrylic", { technique: "dots", thinning: { with: thinner, percent } })] }), CATALOGUE).map(
      (one) => one.code,
    );
  expect(dots(20)).not.toEqual(expect.arrayContaining(["over-thinned"]));
  expect(dots(45)).toContain("over-thinned");
  expect(dots(45, FLUID_MEDIUM)).not.toContain("over-thinned");
  expect(dots(150)).toContain("too-loose");
});

test("each technique has its purpose, each ground and clear film goes on as labelled", () => {
  const of = (role: "base" | "decorate" | "prime" | "seal", id: string, technique?: "dots" | "bands" | "lettering" | "metallic-wash" | "blended") =>
    purposeOf({ role, technique }, product(id));
  expect([of("base", "craft-acrylic"), of("prime", "gesso"), of("prime", "craft-acrylic"), of("seal", "acrylic-varnish"), of("base", "wood-stain")]).toEqual([
    "base",
    "varnish",
    "first-coat",
    "varnish",
    "stain",
  ]);
  expect([of("decorate", "craft-acrylic", "dots"), of("decorate", "heavy-body-acrylic", "dots")]).toEqual(["dots-level", "dots-domed"]);
  expect(["bands", "lettering", "metallic-wash", "blended"].map((technique) => of("decorate", "craft-acrylic", technique as "bands"))).toEqual([
    "stencil",
    "fine-lines",
    "wash",
    "blend",
  ]);
});

describe("one puddle", () => {
  test("drops are of the whole puddle, by the user's own count to a millilitre", () => {
    const answer = thin({ product: productId("craft-acrylic"), purpose: "dots-level", puddleMl: 3, dropsPerMl: 25 }, CATALOGUE)!;
    expect(answer).toMatchObject({ with: "water", percent: 20, ml: 0.6, drops: { typical: 15 }, hidingShare: 0.83 });
    expect(answer.dryMicrons).toBeCloseTo((75 * 35) / 120, 2);
    expect(answer.dryingFactor).toBeGreaterThan(1);
  });
  test("says what is wrong: the wrong paint, too much, a tint", () => {
    const codes = (purpose: "dots-domed" | "base", more: object) =>
      thin({ product: productId("fluid-acrylic"), purpose, ...more }, CATALOGUE)!.findings.map((one) => one.code);
    expect(codes("dots-domed", {})).toContain("wrong-paint");
    expect(codes("base", { percent: 60 })).toContain("over-thinned");
    expect(codes("base", { school: "fluid-white", percent: 10 })).toContain("tints");
    expect(thin({ product: productId("fluid-acrylic"), purpose: "base", school: "none" }, CATALOGUE)).toMatchObject({ percent: 0, ml: 0 });
  });
});

describe("thinned by the user's own hand", () => {
  test("what is in it already, else what its paint is carried in: no water into solvent paint", () => {
    expect(looseningOf({ with: UNTHINNED, percent: 0 }, true)).toBe(WATER);
    expect(looseningOf({ with: UNTHINNED, percent: 0 }, false)).toBe(SPIRIT);
    expect(looseningOf({ with: FLUID_MEDIUM, percent: 20 }, true)).toBe(FLUID_MEDIUM);
  });
  test("another thinner keeps the share; from nothing it begins with a drop or two; nothing takes all out", () => {
    expect(thinnedWith({ with: WATER, percent: 25 }, FLUID_MEDIUM)).toEqual({ with: FLUID_MEDIUM, percent: 25 });
    expect(thinnedWith({ with: UNTHINNED, percent: 0 }, WATER)).toEqual({ with: WATER, percent: 10 });
    expect(thinnedWith({ with: WATER, percent: 25 }, UNTHINNED)).toEqual({ with: UNTHINNED, percent: 0 });
  });
  test("the usual share is told as a range, the user's own drops as they counted them", () => {
    expect(thinningFor(craft, "dots-level", "porous", { with: WATER, percent: 15 }).dropsPerMlOfPaint).toEqual({ from: 3, to: 3 });
    const usual = thinningFor(craft, "dots-level", "porous", usualThinning(craft, "dots-level", "porous")).dropsPerMlOfPaint;
    expect(usual.from).toBeLessThan(usual.to);
    expect(thinningFor(craft, "dots-level", "porous", { with: WATER, percent: 15 }, 30).dropsPerMlOfPaint).toEqual({ from: 4.5, to: 4.5 });
  });
});
