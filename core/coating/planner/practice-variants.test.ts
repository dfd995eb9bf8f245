import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "../../catalogue/catalogue";
import type { MaterialId, UseId } from "../../catalogue/ids";
import { completePiece } from "../../piece/complete-piece";
import { pieceFrom } from "../../piece/new-piece";
import { pieceFacts } from "../facts/facts";
import { searchesFor } from "./plan-piece";
import { schoolsOf } from "./practice-variants";

const piece = pieceFrom({ material: "terracotta" as MaterialId, uses: ["indoor-display" as UseId], techniques: ["dots"] }, CATALOGUE);
const [air] = searchesFor(pieceFacts(completePiece(piece, CATALOGUE).piece, CATALOGUE));
const main = air!.searches[0]!;
const none = () => false;

describe("where practitioners differ", () => {
  test("each is one way of one decision that is open to schools, and usual on this ware", () => {
    const schools = schoolsOf(main, none);
    expect(schools.length).toBeGreaterThan(3);
    for (const { slot, option } of schools) {
      const decision = main.slots.find((one) => one.name === slot)!;
      expect(decision.school).toBe(true);
      const products = decision.options.find((one) => one.key === option)!.steps.flatMap((step) => CATALOGUE.products.get(step.product) ?? []);
      expect(products.filter((product) => product.usual.rank > 1 || !product.usual.on.includes(main.context.surface))).toEqual([]);
    }
  });

  test("decisions take turns, so that the first few are not all of one kind", () => {
    const decisions = new Set(schoolsOf(main, none).map((school) => school.slot));
    const first = schoolsOf(main, none).slice(0, decisions.size);
    expect(new Set(first.map((school) => school.slot)).size).toBe(decisions.size);
  });

  test("what is shown already is offered no more; of guides only going without", () => {
    const [shown] = schoolsOf(main, none);
    const left = schoolsOf(main, (slot, option) => slot === shown!.slot && option === shown!.option);
    expect(left).not.toContainEqual(shown);
    expect(left).toHaveLength(schoolsOf(main, none).length - 1);
    expect(schoolsOf(main, none).filter((school) => school.slot === "guides")).toHaveLength(1);
  });
});
