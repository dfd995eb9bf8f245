import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "../../catalogue/catalogue";
import { productId, stepId } from "../../catalogue/ids";
import type { MaterialId, UseId } from "../../catalogue/ids";
import type { Role } from "../../catalogue/vocabulary";
import { completePiece } from "../../piece/complete-piece";
import { pieceFrom } from "../../piece/new-piece";
import { BEST_GRADE, durabilityBy } from "../facts/durability";
import { pieceFacts, stepFact } from "../facts/facts";
import { ShortfallBound } from "./shortfall-bound";
import { searchesFor } from "./piece-search";

const LAID: readonly (readonly [Role, string])[] = [
  ["base", "craft-acrylic"],
  ["base", "masonry-paint"],
  ["isolate", "acrylic-varnish"],
  ["decorate", "craft-acrylic"],
  ["seal", "outdoor-varnish"],
];
const [CRAFT, MASONRY, CLEAR, DOTS, SEAL] = [0, 1, 2, 3, 4];
const facts = LAID.map(([role, product], place) =>
  stepFact({ id: stepId("draft"), role, product: productId(product), origin: "engine", because: [], checks: [] }, place, CATALOGUE),
);

function outdoors(material: string): ShortfallBound {
  const piece = pieceFrom({ material: material as MaterialId, uses: ["outdoor-exposed" as UseId], techniques: ["dots"] }, CATALOGUE);
  const [air] = searchesFor(pieceFacts(completePiece(piece, CATALOGUE).piece, CATALOGUE));
  return new ShortfallBound(air!.searches[0]!.context, facts, new Set([SEAL]));
}

describe("how far a zone falls short, while its stack is still being chosen", () => {
  const stone = outdoors("stone-smooth");

  test("nothing is held against it before its seal is decided", () => {
    expect(stone.of([CRAFT, DOTS], "undecided")).toBe(0);
  });

  test("under a seal, what the seal does not stand, whatever lies beneath on ware that grips", () => {
    expect(stone.of([CRAFT], facts[SEAL]!)).toBe(stone.ofSeal(facts[SEAL]!));
    expect(stone.of([MASONRY, DOTS], facts[SEAL]!)).toBe(stone.ofSeal(facts[SEAL]!));
  });

  test("without one, what its weakest colour does not stand; another colour never makes it better", () => {
    expect(stone.of([MASONRY], "none")).toBeLessThan(stone.of([CRAFT, MASONRY], "none"));
    expect(stone.of([MASONRY, DOTS], "none")).toBe(BEST_GRADE - durabilityBy([0]));
  });

  test("a clear film counts as the last only where no colour lies over it", () => {
    expect(stone.of([CRAFT, CLEAR, DOTS], "none")).toBe(BEST_GRADE);
    expect(stone.of([CRAFT], "none")).toBe(stone.ofSeal(facts[CLEAR]!));
  });

  test("on slick ware a seal holds little better than the paint under it", () => {
    const glazed = outdoors("ceramic-glazed");
    expect(glazed.of([CRAFT], facts[SEAL]!)).toBeGreaterThan(stone.of([CRAFT], facts[SEAL]!));
  });
});
