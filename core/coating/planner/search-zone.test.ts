/** The search of one zone against brute force on small catalogues: nothing better is missed. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { CATALOGUE, makeCatalogue, STANDARD_LISTS } from "../../catalogue/catalogue";
import type { Catalogue } from "../../catalogue/catalogue";
import { completePiece } from "../../piece/complete-piece";
import type { Piece } from "../../piece/piece";
import { pieceFacts } from "../facts";
import { RULES } from "../rules/rules";
import { assemble } from "./assemble";
import type { ZoneContext } from "./context";
import { layersOf } from "./layers";
import { costOf, MEASURES, weigh } from "./measures";
import type { MeasureName } from "./measures";
import { ZoneSearch } from "./search-zone";
import { slotsOf } from "./slots";
import { avoidableCodes, faultsOf } from "./verdict";
import { mug, pebble, pot, woodDisc } from "../../../tests/reference/bench";

const WARN_WEIGHT = 4;
const AVOIDABLE = avoidableCodes(RULES);

function contextFor(piece: Piece, catalogue: Catalogue, route: "air" | "bake" = "air"): ZoneContext {
  const facts = pieceFacts(completePiece(piece, catalogue).piece, catalogue);
  const zone = facts.zones.find((one) => one.treatment === "paint")!;
  const layers = layersOf(facts).filter((layer) => layer.zone === zone.zone);
  return { ...facts, zone, route, layers, field: facts.piece.decoration.baseColour, surface: facts.material.surface };
}

/** Every combination, judged one by one; the least weight of a stack that nothing stops. */
function bruteForce(context: ZoneContext, measure: MeasureName): number | null {
  let combinations: { options: Parameters<typeof assemble>[1]; cost: number }[] = [{ options: [], cost: 0 }];
  for (const slot of slotsOf(context)) {
    combinations = combinations.flatMap(({ options, cost }) =>
      slot.options.map((option, order) => ({
        options: [...options, option],
        cost: cost + weigh(costOf(option, context, slot.name, new Set()), measure) + order * 1e-3,
      })),
    );
  }
  const weights = combinations.flatMap(({ options, cost }) => {
    const faults = faultsOf(assemble(context, options).stack, RULES, AVOIDABLE);
    return faults.some((fault) => fault.severity === "stop") ? [] : [cost + faults.length * WARN_WEIGHT];
  });
  return weights.length > 0 ? Math.min(...weights) : null;
}

/** The weight of what the search found, worked out from its steps by the same measure. */
function searched(context: ZoneContext, measure: MeasureName): number | null {
  const result = new ZoneSearch(context, RULES).best(measure, new Set());
  if (!result.stack) return null;
  const products = new Set(result.stack.steps.map((fact) => `${fact.step.role}:${fact.step.product}:${fact.step.heat?.temperatureC ?? ""}`));
  let cost = 0;
  for (const slot of slotsOf(context)) {
    const chosen = slot.options
      .map((option, order) => ({ option, order }))
      .filter(({ option }) => option.steps.every((step) => products.has(`${step.role}:${step.product}:${step.heat?.temperatureC ?? ""}`)))
      .sort((a, b) => b.option.steps.length - a.option.steps.length)[0]!;
    cost += weigh(costOf(chosen.option, context, slot.name, new Set()), measure) + chosen.order * 1e-3;
  }
  return cost + faultsOf(result.stack, RULES, AVOIDABLE).length * WARN_WEIGHT;
}

/** A catalogue with only some of its product classes. */
function smallCatalogue(keep: readonly string[]): Catalogue {
  return makeCatalogue({ ...STANDARD_LISTS, products: STANDARD_LISTS.products.filter((product) => keep.includes(product.id)) });
}

const PIECES: readonly (readonly [string, Piece])[] = [
  ["a dotted pebble", pebble({ decoration: { techniques: ["dots"] } })],
  ["a garden pot", pot({ uses: ["outdoor-exposed"] })],
  ["a mug", mug({ decoration: { techniques: ["dots"] } })],
  ["a wood disc", woodDisc({ uses: ["handled"], decoration: { baseColour: "#1f2a30" } })],
];
const BASIC = ["craft-acrylic", "acrylic-varnish", "outdoor-varnish", "ceramic-paint-air"];

describe.each(PIECES)("%s", (_name, piece) => {
  test.each(Object.keys(MEASURES) as MeasureName[])("by the measure %s the search finds what brute force finds, on seeded small catalogues", (measure) => {
    const others = [...CATALOGUE.products.keys()].filter((id) => !BASIC.includes(id));
    fc.assert(
      fc.property(fc.uniqueArray(fc.constantFrom(...others), { minLength: 2, maxLength: 4 }), (some) => {
        const context = contextFor(piece, smallCatalogue([...BASIC, ...some]));
        const brute = bruteForce(context, measure);
        const found = searched(context, measure);
        if (brute === null) expect(found).toBeNull();
        else expect(found).toBeCloseTo(brute, 6);
      }),
      { seed: 20261124, numRuns: 3 },
    );
  });
});

describe("a school that is forced", () => {
  test("is followed, and the rest is the best with it", () => {
    const search = new ZoneSearch(contextFor(pebble({ decoration: { techniques: ["dots"] } }), CATALOGUE), RULES);
    for (const { slot, option } of search.schools()) {
      const { stack } = search.best("balanced", new Set(), new Map([[slot, option]]));
      if (stack && option !== "none" && option !== "by-eye") expect(stack.steps.map((fact) => fact.step.product as string)).toContain(option);
    }
  });

  test("is never one the trade does not reach for here", () => {
    const keys = new ZoneSearch(contextFor(pebble(), CATALOGUE), RULES).schools().map((one) => one.option);
    expect(keys).toEqual(expect.arrayContaining(["gesso", "white-craft-acrylic", "acrylic-varnish", "acrylic-spray-clear", "coating-resin"]));
    expect(keys).not.toContain("oil-polyurethane");
    expect(keys).not.toContain("adhesion-primer");
  });
});
