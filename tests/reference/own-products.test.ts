/** The label of the user's own product wins over the class, and a plan says whose numbers are whose. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { productId } from "#core/catalogue/ids";
import { standingOf, withOwnProducts } from "#core/catalogue/own-product";
import type { OwnProduct } from "#core/catalogue/own-product";
import { planPiece } from "#core/coating/planner/plan-piece";
import { pebble, stepsOf } from "./bench";

const gesso: OwnProduct = {
  id: "shelf-1",
  classId: productId("gesso"),
  name: "My gesso",
  label: {
    film: { volumeSolidsPercent: 52 },
    drying: { touch: { typical: 45, cautious: 60 }, recoat: { min: 120, typical: 180, cautious: 240, untilMin: null } },
  },
};
const varnish: OwnProduct = { id: "shelf-2", classId: productId("acrylic-varnish"), name: "Old varnish", openedMonths: 40 };
const piece = pebble({ decoration: { techniques: ["dots"] }, wishes: { primer: "gesso" } });
const planOf = (shelf: readonly OwnProduct[]) => planPiece(piece, withOwnProducts(CATALOGUE, shelf)).candidates[0]!;
const prime = (shelf: readonly OwnProduct[]) => stepsOf(planOf(shelf), "top").find((step) => step.role === "prime")!;

describe("the user's own product", () => {
  test("its label's times and solids are what the plan works with", () => {
    expect(prime([gesso]).product).toBe("gesso");
    expect(prime([gesso]).dryMicrons! / prime([]).dryMicrons!).toBeCloseTo(52 / 45, 6);
    expect(prime([gesso]).typical!.recoatFrom / prime([]).typical!.recoatFrom).toBeCloseTo(3, 6);
  });
  test("the step says that it is the user's, and the value that it is the label's", () => {
    expect(prime([gesso]).ownProduct).toBe("shelf-1");
    expect(prime([])).not.toHaveProperty("ownProduct");
    const own = withOwnProducts(CATALOGUE, [gesso]).products.get(productId("gesso"))!;
    expect([standingOf(own, "drying.recoat").kind, standingOf(own, "film.wetMicrons").kind]).toEqual(["label", "memory"]);
  });
  test("a sealer open for years is worth a test on a scrap; a fresh one is not", () => {
    const codes = (shelf: readonly OwnProduct[]) => planOf(shelf).findings.map((one) => one.code);
    expect(codes([varnish])).toContain("old-sealer");
    expect(codes([{ ...varnish, openedMonths: 6 }])).not.toContain("old-sealer");
  });
});
