/** The points of docs/durability.md, one by one. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "../../catalogue/catalogue";
import { productId } from "../../catalogue/ids";
import { completePiece } from "../../piece/complete-piece";
import type { Piece } from "../../piece/piece";
import { durabilityOf, withstood } from "./durability";
import { pieceFacts, stackFacts } from "./facts";
import type { StackFacts } from "./facts";
import { jar, mug, pebble, s, stacks, tray } from "../../../tests/reference/bench";
import type { Stacks } from "../../../tests/reference/bench";

function stackOf(piece: Piece, said: Stacks): StackFacts {
  return stackFacts(pieceFacts(completePiece(piece, CATALOGUE).piece, CATALOGUE), stacks(said))[0]!;
}
const grades = (stack: StackFacts) => Object.fromEntries(withstood(stack).map((one) => [one.wear, one.grade]));
const film = (id: string) => CATALOGUE.products.get(productId(id))!;
const base = s("base", "craft-acrylic", { coats: 2, colour: "#1f3a4d" });
const varnish = s("seal", "acrylic-varnish", { coats: 2 });

describe("how long-wearing a place is", () => {
  test("each wear of the use meets the last film", () => {
    const { resists } = film("acrylic-varnish");
    expect(grades(stackOf(pebble({ uses: ["handled"] }), { top: [base, varnish] }))).toEqual({ wipe: resists.wipe, rub: resists.rub });
  });

  test("without a sealer it meets the weakest of the colours", () => {
    const alone = film("house-emulsion").standsAlone.rub ?? 0;
    const weak = Math.min(alone, film("craft-acrylic").standsAlone.rub ?? 0);
    const marked = stackOf(pebble({ uses: ["handled"] }), { top: [s("base", "house-emulsion"), s("decorate", "craft-acrylic", { technique: "dots" })] });
    expect(grades(marked)["rub"]).toBe(weak);
  });

  test("what is stuck on after the sealer does not count as its film", () => {
    const crystals = s("decorate", "glitter-acrylic", { technique: "crystals" });
    expect(durabilityOf(stackOf(pebble(), { top: [base, varnish, crystals] }))).toBe(durabilityOf(stackOf(pebble(), { top: [base, varnish] })));
  });

  test("a bake raises what a bakeable colour stands", () => {
    const colour = s("base", "gloss-enamel-acrylic", { coats: 2 });
    const heat = s("heat-set", "oven-bake", { heat: { kind: "oven", temperatureC: 163, holdMin: 30, start: "cold", cool: "inside" } });
    expect(durabilityOf(stackOf(mug(), { outside: [colour, heat] }))).toBeGreaterThan(durabilityOf(stackOf(mug(), { outside: [colour] })));
  });

  test("on slick ware a clear film holds no better than one grade above the paint under it", () => {
    const handled = jar({ uses: ["handled"] });
    const own = film("craft-acrylic").standsAlone.rub ?? 0;
    expect(grades(stackOf(handled, { outside: [base, varnish] }))["rub"]).toBe(Math.min(own + 1, film("acrylic-varnish").resists.rub!));
    expect(withstood(stackOf(handled, { outside: [base, varnish] })).find((one) => one.wear === "rub")!.film.step.product).toBe("craft-acrylic");
  });

  test("it scores half its weakest wear and half the mean; a bare place wears as the piece itself", () => {
    const stack = stackOf(tray(), { inside: [base, s("seal", "waterborne-polyurethane", { coats: 3 })] });
    const all = withstood(stack).map((one) => one.grade);
    expect(durabilityOf(stack)).toBeCloseTo((Math.min(...all) + all.reduce((sum, grade) => sum + grade, 0) / all.length) / 2, 9);
    expect(durabilityOf(stackOf(pebble(), { top: [s("clean", "water-wash")] }))).toBe(3);
  });
});
