/** A plan kept as a way of working: itself on its own piece, worked out anew on another. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "../../catalogue/catalogue";
import type { Piece } from "../../piece/piece";
import { mug, pebble, pot, rough, tray } from "../../../tests/reference/bench";
import type { Change } from "../model/change";
import { applyRecipe } from "./apply-recipe";
import { planPiece } from "./plan-piece";
import { planWithEdits } from "./plan-with-edits";
import { recipeOf } from "./recipe-of";

const dotted = { decoration: { techniques: ["dots"], baseColour: "#1f3a4d" } } as const;
const PIECES: readonly (readonly [string, Piece])[] = [
  ["a dotted pebble for someone", pebble({ uses: ["gift-or-sale"], ...dotted })],
  ["a banded planter", pot({ uses: ["planter", "outdoor-exposed"], conditions: ["dusty"], decoration: { techniques: ["bands", "dots"] } })],
  ["a baked mug", mug({ wishes: { route: "bake" }, ...dotted })],
  ["a lettered tray", tray()],
];
const candidatesOf = (piece: Piece) => planPiece(piece, CATALOGUE).candidates;

describe.each(PIECES)("%s", (_name, piece) => {
  test("every way of it, kept and used on it again, is that way: no step is changed", () => {
    const all = candidatesOf(piece);
    for (const one of all) {
      const { on, edits, plan, without } = applyRecipe(recipeOf(one, piece, "mine", CATALOGUE), all, piece, CATALOGUE);
      expect([on.id, edits, without]).toEqual([one.id, [], []]);
      expect(plan).toBe(one);
    }
  });

  test("changed by hand it is kept with the changes, and comes out so", () => {
    const [first] = candidatesOf(piece);
    const steps = first!.zones[0]!.steps;
    const base = steps.find((step) => step.role === "base" || step.role === "decorate")!;
    const edits: readonly Change[] = [
      { op: "remove", stepId: steps.findLast((step) => step.role === "seal" || step.role === "prime" || step.role === "clean")!.id },
      { op: "set", stepId: base.id, field: "coats", value: 7 },
    ];
    const own = planWithEdits(piece, { candidateId: first!.id, school: first!.school, edits }, CATALOGUE).shown!;
    const applied = applyRecipe(recipeOf(own, piece, "mine", CATALOGUE), candidatesOf(piece), piece, CATALOGUE);
    const said = (zones: typeof own.zones) =>
      zones.map(({ zone, steps: all }) => [zone, all.map(({ role, product, coats, colour, technique }) => [role, product, coats, colour, technique])]);
    expect(said(applied.plan.zones)).toEqual(said(own.zones));
    const followed = planWithEdits(piece, { candidateId: applied.on.id, school: applied.on.school, edits: applied.edits }, CATALOGUE);
    expect([followed.lost, said(followed.shown!.zones)]).toEqual([[], said(own.zones)]);
  });
});

test("on another stone its marks, amounts and preparation are worked out anew; what it cannot do there is told", () => {
  const [, piece] = PIECES[0]!;
  const recipe = recipeOf(candidatesOf(piece)[0]!, piece, "Harbour dots", CATALOGUE);
  const larger = pebble({ uses: ["gift-or-sale"], form: { kind: "pebble", lengthMm: 260, widthMm: 180, thicknessMm: 70 } });
  const big = applyRecipe(recipe, candidatesOf(larger), larger, CATALOGUE);
  const dots = (zones: typeof big.plan.zones) => zones[0]!.steps.find((step) => step.role === "decorate")!;
  expect(dots(big.plan.zones).marks!.count * dots(big.plan.zones).marks!.diameterMm).toBeGreaterThan(
    dots(candidatesOf(piece)[0]!.zones).marks!.count * dots(candidatesOf(piece)[0]!.zones).marks!.diameterMm,
  );
  expect(dots(big.plan.zones).colour).toBe(dots(candidatesOf(piece)[0]!.zones).colour);

  const followed = planWithEdits(larger, { candidateId: big.on.id, school: big.on.school, edits: big.edits }, CATALOGUE);
  expect([followed.lost, followed.shown!.zones]).toEqual([[], big.plan.zones]);

  const dirty = rough({ conditions: ["greasy"], uses: ["outdoor-exposed"] });
  const out = applyRecipe(recipe, candidatesOf(dirty), dirty, CATALOGUE);
  const top = out.plan.zones[0]!.steps;
  expect(top.filter((step) => step.role === "clean").map((step) => step.product)).toContain("soap-wash");
  expect(top.some((step) => step.technique === "dots")).toBe(true);
  expect(out.plan.findings.some((finding) => finding.severity === "warn" || finding.severity === "stop")).toBe(true);
});

test("what a piece has no place for is named, and is left out", () => {
  const piece = pot({ object: "pot", parts: ["saucer"], uses: ["planter"], ...dotted });
  const recipe = recipeOf(candidatesOf(piece)[0]!, piece, "Herb pots", CATALOGUE);
  const stone = pebble({});
  const applied = applyRecipe(recipe, candidatesOf(stone), stone, CATALOGUE);
  expect(applied.without).toContain("saucer");
  expect(applied.plan.zones[0]!.steps.some((step) => step.technique === "dots")).toBe(true);
});
