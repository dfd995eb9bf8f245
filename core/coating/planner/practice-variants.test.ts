import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "../../catalogue/catalogue";
import type { MaterialId, UseId } from "../../catalogue/ids";
import { completePiece } from "../../piece/complete-piece";
import { pieceFrom } from "../../piece/new-piece";
import { pieceFacts } from "../facts/facts";
import { searchesFor } from "./piece-search";
import { practiceVariants } from "./practice-variants";

const piece = pieceFrom({ material: "terracotta" as MaterialId, uses: ["indoor-display" as UseId], techniques: ["dots"] }, CATALOGUE);
const [air] = searchesFor(pieceFacts(completePiece(piece, CATALOGUE).piece, CATALOGUE));
const main = air!.searches[0]!;
const none = () => false;

describe("where practitioners differ", () => {
  test("each is one way of one decision that is open to schools, and usual on this ware", () => {
    const schools = practiceVariants(main, none);
    expect(schools.length).toBeGreaterThan(3);
    for (const { variable, alternative } of schools) {
      const decision = main.variables.find((one) => one.name === variable)!;
      expect(decision.school).toBe(true);
      const products = decision.alternatives.find((one) => one.key === alternative)!.steps.flatMap((step) => CATALOGUE.products.get(step.product) ?? []);
      expect(products.filter((product) => product.usual.rank > 1 || !product.usual.on.includes(main.context.surface))).toEqual([]);
    }
  });

  test("decisions take turns, so that the first few are not all of one kind", () => {
    const decisions = new Set(practiceVariants(main, none).map((school) => school.variable));
    const first = practiceVariants(main, none).slice(0, decisions.size);
    expect(new Set(first.map((school) => school.variable)).size).toBe(decisions.size);
  });

  test("what is shown already is offered no more; of guides only going without", () => {
    const [shown] = practiceVariants(main, none);
    const left = practiceVariants(main, (variable, alternative) => variable === shown!.variable && alternative === shown!.alternative);
    expect(left).not.toContainEqual(shown);
    expect(left).toHaveLength(practiceVariants(main, none).length - 1);
    expect(practiceVariants(main, none).filter((school) => school.variable === "guides")).toHaveLength(1);
  });
});
