/** A way of working as a file: it comes back as it went, without anybody's jars; whatever else comes is refused in words, whole. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { CATALOGUE } from "../catalogue/catalogue";
import { planPiece } from "../coating/planner/plan-piece";
import { recipeOf } from "../coating/planner/recipe-of";
import { pot } from "../../tests/reference/bench";
import { readRecipe, RECIPE_VERSION, writeRecipe } from "./recipe-file";

const piece = pot({ uses: ["planter"], decoration: { techniques: ["bands", "dots"] } });
const recipe = recipeOf(planPiece(piece, CATALOGUE).candidates[0]!, piece, "Herb pots", CATALOGUE);
const document = () => JSON.parse(writeRecipe(recipe));
const problem = (value: unknown) => {
  const read = readRecipe(JSON.stringify(value), CATALOGUE);
  return read.ok ? null : read.problem;
};

test("comes back as it went; the jars it was laid from stay at home", () => {
  expect(readRecipe(writeRecipe(recipe), CATALOGUE)).toEqual({ ok: true, value: recipe });
  const own = { ...recipe, stacks: recipe.stacks.map((stack) => ({ ...stack, steps: stack.steps.map((step) => ({ ...step, jar: "navyjar0001" })) })) };
  expect(readRecipe(writeRecipe(own), CATALOGUE)).toEqual({ ok: true, value: recipe });
});

describe("what is no way of working is refused, and where is said", () => {
  test.each([
    ["no JSON", "{", "not-json", ""],
    ["a bundle", { format: "nook-coat/bundle", version: 5 }, "bad-value", "format"],
    ["a newer one", { format: "nook-coat/recipe", version: RECIPE_VERSION + 1 }, "too-new", "version"],
  ])("%s", (_name, value, code, path) => {
    const read = readRecipe(typeof value === "string" ? value : JSON.stringify(value), CATALOGUE);
    expect(read).toMatchObject({ ok: false, problem: { code, path } });
  });
  test("a product nobody knows, a place there is none of, a word that is not of it", () => {
    const one = document();
    one.stacks[0].steps[1].product = "moon-dust";
    expect(problem(one)).toMatchObject({ code: "unknown-id", path: "stacks.0.steps.1.product" });
    expect(problem({ ...document(), stacks: [] })).toMatchObject({ path: "stacks" });
    expect(problem({ ...document(), secret: 1 })).toMatchObject({ code: "unknown-key" });
  });
  test("cut short or battered, it is refused or whole, never half", () => {
    const text = writeRecipe(recipe);
    fc.assert(
      fc.property(fc.nat(text.length - 1), fc.nat(40), fc.string({ maxLength: 6 }), (at, cut, put) => {
        const read = readRecipe(text.slice(0, at) + put + text.slice(at + cut), CATALOGUE);
        if (read.ok) expect(Object.keys(read.value).sort()).toEqual(["appliesTo", "name", "school", "stacks"]);
        else expect(read.problem.message.length).toBeGreaterThan(10);
      }),
      { seed: 7, numRuns: 150 },
    );
  });
});
