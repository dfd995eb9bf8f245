/** Pieces that are odd, or half done by somebody else: what is on them already counts, and what would ruin or hurt is not planned. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { planPiece } from "#core/coating/planner/plan-piece";
import type { Piece } from "#core/piece/piece";
import { firstPlan, outline, pebble, piece, pot, stepsOf, tray } from "./bench";

const productsOf = (of: Piece) =>
  planPiece(of, CATALOGUE).candidates.map((one) => one.zones.flatMap((zone) => zone.steps.filter((step) => !step.done).map((step) => step.product)));

describe("a layer that is said to be on", () => {
  const dots = { techniques: ["dots"], media: ["craft-acrylic"], baseColour: "#222222" } as const;
  const on = (product: string) => [
    { zone: "top", role: "base", product: "craft-acrylic", colour: "#222222", coats: 2 },
    { zone: "top", role: "decorate", product },
  ];

  test("water would lift is misted before anything wet goes on, and no guide is wiped off it", () => {
    const plan = firstPlan(pebble({ decoration: dots, done: on("metallic-watercolour") }));
    const left = stepsOf(plan, "top").filter((step) => !step.done);
    expect(left[0]).toMatchObject({ role: "lock", product: "acrylic-spray-clear" });
    expect(left.map((step) => step.role)).not.toContain("unmark");
    expect(left.find((step) => step.role === "decorate")).toMatchObject({ product: "craft-acrylic", technique: "dots" });
  });

  test("is locked or misted where that is said too, and not once more", () => {
    const locked = (product: string, lock: string, of: object) =>
      stepsOf(firstPlan(pebble({ decoration: { ...dots, ...of }, done: [...on(product), { zone: "top", role: "lock", product: lock }] })), "top").filter(
        (step) => !step.done && step.role === "lock",
      );
    expect(locked("metallic-watercolour", "acrylic-spray-clear", {})).toEqual([]);
    expect(locked("loose-glitter", "decoupage-medium", { techniques: ["loose-glitter"], media: ["loose-glitter"] })).toEqual([]);
    const loose = pebble({ decoration: { ...dots, techniques: ["loose-glitter"], media: ["loose-glitter"] }, done: on("loose-glitter") });
    expect(stepsOf(firstPlan(loose), "top").some((step) => !step.done && step.role === "lock")).toBe(true);
  });

  test("in another paint than the one asked for is not that layer", () => {
    const glittered = outline(firstPlan(pebble({ decoration: dots, done: on("glitter-acrylic") })), "top");
    expect(glittered).toContain("decorate:craft-acrylic");
    expect(glittered).not.toContain("mark:scored-line");
    const dotted = stepsOf(firstPlan(pebble({ decoration: dots, done: on("craft-acrylic") })), "top");
    expect(dotted.filter((step) => step.role === "decorate" && !step.done)).toEqual([]);
  });
});

test("last year's finish is scuffed before anything goes over it, and the finish that is wished for is laid anew", () => {
  const old = { zone: "inside", role: "seal", product: "oil-polyurethane", coats: 2 };
  const lettered = { techniques: ["lettering"], media: ["acrylic-paint-pen"], baseColour: null } as const;
  const left = (of: Piece) => stepsOf(firstPlan(of), "inside").filter((step) => !step.done && step.role !== "cure");
  const pens = left(tray({ uses: ["handled"], decoration: lettered, wishes: { sealer: "waterborne-polyurethane" }, done: [old] })).map(
    (step) => `${step.role}:${step.product}`,
  );
  expect(pens.indexOf("sand:scuffing")).toBeGreaterThanOrEqual(0);
  expect(pens.indexOf("sand:scuffing")).toBeLessThan(pens.indexOf("decorate:acrylic-paint-pen"));
  expect(pens.at(-1)).toBe("seal:waterborne-polyurethane");
  // With nothing to come over it, it stays as it is.
  expect(left(tray({ uses: ["handled"], decoration: { baseColour: null }, done: [old] })).map((step) => step.role)).not.toContain("sand");
});

test("nothing that softens or burns is near a flame, whoever wishes for it; the wish is answered", () => {
  const holder = (more: object) => pot({ uses: ["candle"], form: { kind: "cylinder", diameterMm: 80, heightMm: 90 }, ...more });
  for (const of of [
    holder({ wishes: { sealer: "coating-resin" } }),
    holder({ wishes: { sealer: "decoupage-medium" } }),
    holder({ wishes: { base: "solvent-enamel" } }),
  ]) {
    for (const products of productsOf(of)) for (const out of ["coating-resin", "decoupage-medium", "solvent-enamel"]) expect(products).not.toContain(out);
    expect(planPiece(of, CATALOGUE).candidates[0]!.findings.some((one) => one.code === "wish-not-kept" && one.why.includes("flame"))).toBe(true);
  }
});

test("pale marks on a stained board with knots have a clear blocker between, over the stain and not under it", () => {
  const sign = piece({
    material: "wood-softwood",
    object: "sign",
    form: { kind: "box", lengthMm: 400, widthMm: 150, heightMm: 18 },
    conditions: ["knots"],
    decoration: { techniques: ["stencil"], colours: ["#ffffff"], baseColour: "#5a3a22" },
    wishes: { base: "wood-stain" },
  });
  const face = outline(firstPlan(sign), "face");
  expect(face.indexOf("base:wood-stain")).toBeGreaterThanOrEqual(0);
  expect(face.indexOf("size:clear-stain-blocker")).toBeGreaterThan(face.indexOf("base:wood-stain"));
  expect(face.indexOf("decorate:craft-acrylic")).toBeGreaterThan(face.indexOf("size:clear-stain-blocker"));
});
