/** The label of the user's own product wins over the class, and a plan says whose numbers are whose. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { productId } from "#core/catalogue/ids";
import { standingOf, withOwnProducts } from "#core/catalogue/own-product";
import type { OwnProduct } from "#core/catalogue/own-product";
import { inOwnColours } from "#core/shelf/own-colours";
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
  test("a label's own upper temperature stops a plan in a room above it", () => {
    const shy: OwnProduct = { ...gesso, label: { drying: { maxC: 20 } } };
    const warm = planPiece({ ...piece, room: { temperatureC: 24, relativeHumidity: 0.5 } }, withOwnProducts(CATALOGUE, [shy]));
    expect(warm.candidates.flatMap((one) => one.zones.flatMap((zone) => zone.steps)).every((step) => step.ownProduct !== "shelf-1")).toBe(true);
  });
});

describe("a shelf that has all it takes", () => {
  const paint = (id: string, name: string, colour: string): OwnProduct => ({ id, classId: productId("craft-acrylic"), name, colour });
  const shelf = [
    gesso,
    paint("navy", "Harbour navy", "#1f3a4d"),
    paint("cream", "Chalk cream", "#f4efe2"),
    { id: "matt", classId: productId("acrylic-varnish"), name: "Matt varnish", label: { sheens: ["matte"] } },
    { id: "satin", classId: productId("acrylic-varnish"), name: "Satin varnish", label: { sheens: ["satin"] } },
  ] as const satisfies readonly OwnProduct[];
  const wanted = pebble({ decoration: { techniques: ["dots"], baseColour: "#1f3a4d", colours: ["#f4efe2"] } });
  const owned = (all: readonly OwnProduct[]) => planPiece(wanted, withOwnProducts(CATALOGUE, all)).candidates;

  test("makes a plan from it with nothing to buy, each coat out of the jar of its colour and sheen", () => {
    const [first] = owned(shelf);
    expect(first!.scores.products).toBe(0);
    const jars = stepsOf(first!, "top").flatMap((step) => (step.ownProduct ? [`${step.role} ${step.ownProduct}`] : []));
    expect(jars).toEqual(expect.arrayContaining(["base navy", "decorate cream", "seal satin"]));
  });
  test("lacks a colour, and says which jar comes nearest, and how it differs; taking that one leaves nothing to buy", () => {
    const [first] = owned(shelf.filter((one) => one.id !== "cream"));
    expect(first!.scores.products).toBe(1);
    const finding = first!.findings.find((one) => one.code === "colour-not-owned")!;
    expect(`${finding.why} ${JSON.stringify(finding.fix.change)}`).toMatch(/Harbour navy.*much darker.*#1f3a4d/s);
  });
  test("a varnish of another sheen is none, and it says so", () => {
    const [first] = owned(shelf.filter((one) => one.id !== "satin"));
    expect(first!.scores.products).toBe(1);
    expect(first!.findings.find((one) => one.code === "colour-not-owned")?.why).toBe("The nearest you have is Matt varnish, which is matt");
  });
  test("a new piece is planned in colours that are owned, the base as usual, the marks standing out", () => {
    const plain = pebble({ decoration: { techniques: ["dots"] } });
    expect(inOwnColours(plain, shelf, CATALOGUE).decoration).toMatchObject({ baseColour: "#1f3a4d", colours: ["#f4efe2"] });
    expect(inOwnColours(wanted, shelf, CATALOGUE)).toEqual(wanted);
    expect(inOwnColours(plain, [gesso], CATALOGUE)).toEqual(plain);
    expect(inOwnColours(plain, shelf.slice(0, 4), CATALOGUE).finish).toBe("matte");
  });
});
