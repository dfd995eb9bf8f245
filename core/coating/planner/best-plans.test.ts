/**
 * The search over all zones against brute force: every combination of every decision of every zone, judged one by one and weighed from its
 * dressed steps. On small catalogues, drawn with a seed, nothing better is missed by any measure.
 */
import { offTrack } from "../facts/off-track";
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { CATALOGUE, makeCatalogue, STANDARD_LISTS } from "../../catalogue/catalogue";
import type { Catalogue } from "../../catalogue/catalogue";
import type { OwnProduct } from "../../catalogue/own-product";
import { withOwnProducts } from "../../catalogue/own-product";
import { productId } from "../../catalogue/ids";
import { completePiece } from "../../piece/complete-piece";
import type { Piece } from "../../piece/piece";
import type { Candidate } from "../model/plan";
import { quantify } from "../facts/quantify";
import { durabilityOf } from "../facts/durability";
import { has, isColour, pieceFacts, stackFacts } from "../facts/facts";
import type { PieceFacts, StackFacts } from "../facts/facts";
import { firstStop } from "../rules/judge";
import { RULES } from "../rules/rules";
import { MEASURES } from "./cost";
import { harshnessOf } from "../facts/harshness";
import type { Cost, MeasureName } from "./cost";
import { assemble } from "./assemble";
import type { Alternative } from "./draft";
import { searchesFor } from "./piece-search";
import { planPiece } from "./plan-piece";
import { avoidableCodes, violationsOf } from "./violations";
import type { ZoneSearch } from "./zone-search";
import { jar, mug, pebble, plate, pot, woodDisc } from "../../../tests/reference/bench";

const SEED = 20261125;
const CATALOGUES = 210;
const MOST_JOINT = 6000;
const DAY_MIN = 24 * 60;
const AVOIDABLE = avoidableCodes(RULES);

interface Whole {
  readonly stack: StackFacts;
  readonly search: ZoneSearch;
  readonly strain: number;
  readonly order: number;
  readonly faults: number;
}

/** Every stack of one search that nothing stops. */
function wholes(search: ZoneSearch): readonly Whole[] {
  let combinations: { alternatives: readonly Alternative[]; order: number }[] = [{ alternatives: [], order: 0 }];
  for (const variable of search.variables)
    combinations = combinations.flatMap((one) =>
      variable.alternatives.map((alternative, order) => ({ alternatives: [...one.alternatives, alternative], order: one.order + order })),
    );
  return combinations.flatMap(({ alternatives, order }) => {
    const { stack } = assemble(search.context, alternatives);
    const faults = violationsOf(stack, RULES, AVOIDABLE);
    if (faults.some((fault) => fault.severity === "stop")) return [];
    return [{ stack, search, strain: alternatives.reduce((sum, alternative) => sum + (alternative.strain ?? 0), 0), order, faults: faults.length }];
  });
}

/** The cost of a whole plan, from the numbers a painter would see. */
function costFrom(plan: readonly Whole[], facts: PieceFacts): Cost {
  const zones = plan.flatMap(({ stack, search }) =>
    search.zones.map((zone) => ({ zone, stack, steps: quantify({ ...stack, zone }), underside: zone.template.exposure === "underside" })),
  );
  const all = plan.flatMap(({ stack }) => stack.steps);
  const kinds = [...new Map(all.map((fact) => [fact.step.product, fact])).values()];
  const films = kinds.flatMap((fact) => fact.product ?? []);
  const chain = (underside: boolean) =>
    Math.max(
      0,
      ...zones
        .filter((one) => one.underside === underside)
        .map(({ steps }) =>
          steps
            .filter((step) => step.role !== "cure")
            .reduce((sum, step) => sum + (step.waitBefore?.min ?? 0) + (step.typical?.recoatFrom ?? 0) * (step.coats - 1), 0),
        ),
    );
  const cure = zones.flatMap(({ steps }) => steps.filter((step) => step.role === "cure").map((step) => step.waitBefore?.min ?? 0));
  const acts = new Map(zones.flatMap(({ steps }) => steps.filter((step) => step.group !== undefined).map((step) => [step.group!, step.handsOnMin] as const)));
  const own = zones.flatMap(({ steps }) => steps.filter((step) => step.group === undefined));
  const wears = plan.map(({ stack }) => 3 - durabilityOf(stack));
  const unusual = (fact: (typeof all)[number]) => (fact.product ? offTrack(fact.product, facts) : 0);
  return {
    faults: plan.reduce((sum, one) => sum + one.faults, 0),
    days: (chain(true) + chain(false)) / DAY_MIN,
    cureDays: Math.max(0, ...cure) / DAY_MIN,
    handsOnMin: own.reduce((sum, step) => sum + step.handsOnMin, 0) + [...acts.values()].reduce((sum, min) => sum + min, 0),
    kinds: new Set(
      all.flatMap(({ step, product }) => {
        if (!product || product.drying.by === "none" || step.role === "fill") return [];
        return [`${step.role === "prime" ? "ground" : ["base", "decorate"].includes(step.role) ? "colour" : "clear"}:${step.product}`];
      }),
    ).size,
    products: films.filter((product) => !product.own).length,
    shortfall: Math.max(0, ...wears),
    shortfallInAll: wears.reduce((sum, shortfall) => sum + shortfall, 0),
    harshness: kinds.reduce((sum, fact) => sum + harshnessOf(fact.product, fact.aid), 0),
    strain: plan.reduce((sum, one) => sum + one.strain, 0) + all.reduce((sum, fact) => sum + unusual(fact), 0),
    steps: all.length,
    coats: all.filter((fact) => !fact.step.marks && (isColour(fact) || has(fact, "ground"))).reduce((sum, fact) => sum + (fact.step.coats ?? 1), 0),
    money: own.concat(zones.flatMap(({ steps }) => steps.filter((step) => step.group !== undefined))).reduce((sum, step) => {
      const price = facts.catalogue.products.get(step.product)?.own?.pricePerMl ?? 0;
      return sum + (step.jarMl ?? 0) * price;
    }, 0),
    unpriced: films.filter((product) => (product.own?.pricePerMl ?? null) === null).length,
    order: plan.reduce((sum, one) => sum + one.order, 0),
  };
}

function weighed(cost: Cost, measure: MeasureName): number {
  const weights = MEASURES[measure];
  return (Object.keys(weights) as (keyof Cost)[]).reduce((sum, key) => sum + weights[key] * cost[key], 0);
}

function joints(lists: readonly (readonly Whole[])[]): readonly (readonly Whole[])[] {
  return lists.reduce<readonly (readonly Whole[])[]>((some, list) => some.flatMap((plan) => list.map((one) => [...plan, one])), [[]]);
}

/** One bake for the piece: zones that bake agree on it. */
function bakesAlike(plan: readonly Whole[]): boolean {
  return new Set(plan.flatMap(({ stack }) => stack.steps.flatMap((fact) => fact.step.heat?.temperatureC ?? []))).size <= 1;
}

/** Sound beside its neighbours too. */
function isSound(plan: readonly Whole[], facts: PieceFacts): boolean {
  const zones = plan.flatMap(({ stack, search }) =>
    search.zones.map((zone) => ({ zone: zone.zone, areaMm2: zone.areaMm2, steps: stack.steps.map((fact) => fact.step) })),
  );
  return firstStop(stackFacts(facts, zones), RULES) === null;
}

function smallCatalogue(keep: readonly string[], shelf: readonly OwnProduct[]): Catalogue {
  return withOwnProducts(makeCatalogue({ ...STANDARD_LISTS, products: STANDARD_LISTS.products.filter((product) => keep.includes(product.id)) }), shelf);
}

const PIECES: readonly (readonly [Piece, readonly string[]])[] = [
  [pebble({ decoration: { techniques: ["dots"] } }), ["craft-acrylic", "acrylic-varnish"]],
  [pebble({ uses: ["gift-or-sale"] }), ["craft-acrylic", "acrylic-varnish"]],
  [pot({ uses: ["outdoor-exposed"] }), ["masonry-paint", "outdoor-varnish"]],
  [pot({ uses: ["planter"] }), ["masonry-paint", "inside-sealer", "outdoor-varnish"]],
  [mug({ decoration: { techniques: ["dots"] } }), ["ceramic-paint-air"]],
  [woodDisc({ uses: ["handled"], decoration: { baseColour: "#1f2a30" } }), ["craft-acrylic", "acrylic-varnish"]],
  [jar({ uses: ["candle"] }), ["gloss-enamel-acrylic"]],
  [plate({ uses: ["indoor-display"], decoration: { techniques: ["lettering"] } }), ["craft-acrylic", "adhesion-primer", "acrylic-varnish"]],
];
const OTHERS = [...CATALOGUE.products.keys()];

describe("on small catalogues", () => {
  test(`every measure finds what brute force finds, on ${CATALOGUES} of them`, () => {
    let compared = 0;
    fc.assert(
      fc.property(
        fc.constantFrom(...PIECES),
        fc.uniqueArray(fc.constantFrom(...OTHERS), { minLength: 1, maxLength: 3 }),
        fc.subarray(["craft-acrylic", "masonry-paint", "outdoor-varnish", "gesso"]),
        ([piece, basic], some, owned) => {
          const shelf = owned.map((id, index) => ({ id: `own${index}`, classId: productId(id), name: id, price: { paid: 3 + index, ml: 60 } }));
          const facts = pieceFacts(completePiece(piece, smallCatalogue([...basic, ...some], shelf)).piece, smallCatalogue([...basic, ...some], shelf));
          for (const route of searchesFor(facts)) {
            const lists = route.searches.map(wholes);
            if (lists.reduce((product, list) => product * list.length, 1) > MOST_JOINT) continue;
            const plans = joints(lists).filter(bakesAlike);
            const costs = plans.map((plan) => ({ plan, cost: costFrom(plan, facts) }));
            for (const measure of route.measures) {
              const found = route.best(measure)?.joined.total ?? null;
              const sorted = costs.map((one) => ({ ...one, total: weighed(one.cost, measure) })).sort((a, b) => a.total - b.total);
              const best = sorted.find(({ plan }) => isSound(plan, facts));
              compared += 1;
              if (!best) expect(found).toBeNull();
              // A dressed cure is told in whole minutes.
              else expect(Math.abs((found ?? Infinity) - best.total)).toBeLessThan(0.05);
            }
          }
        },
      ),
      { seed: SEED, numRuns: CATALOGUES },
    );
    expect(compared).toBeGreaterThan(CATALOGUES * 5);
  });
});

describe("the plans shown", () => {
  test.each(PIECES.map(([piece]) => [`${piece.material} for ${piece.uses.join()}`, piece] as const))(
    "%s: no two alike, none worse than another in everything",
    (_name, piece) => {
      const { candidates } = planPiece(piece, CATALOGUE);
      const looks = candidates.map(
        (one) => `${one.route} ${JSON.stringify(one.zones.map((zone) => zone.steps.map((step) => [step.role, step.product, step.heat?.temperatureC])))}`,
      );
      expect(new Set(looks).size).toBe(candidates.length);
      expect(new Set(candidates.map((one) => one.title)).size).toBe(candidates.length);
      expect(candidates.length).toBeLessThanOrEqual(5);
    },
  );
});

describe("titles", () => {
  const MEASURED: Readonly<Record<string, (candidate: Candidate) => number>> = {
    "Hardest wearing": (one) => -one.scores.durability,
    "Ready soonest": (one) => one.scores.readyDays,
    "Fewest things to buy": (one) => one.scores.products,
    "Least time at the bench": (one) => one.scores.handsOnMin,
    "Fewest coats of colour": (one) => one.scores.coats,
    "No fumes, no oven": (one) => one.scores.harshness,
  };
  const sets = PIECES.map(([piece]) => planPiece(piece, CATALOGUE).candidates);

  test("a plan called after a measure is the best by it of all that are shown", () => {
    let told = 0;
    for (const candidates of sets)
      for (const one of candidates) {
        const measure = MEASURED[one.title];
        if (!measure) continue;
        told += 1;
        for (const other of candidates) if (other !== one) expect([one.title, measure(one) < measure(other)]).toEqual([one.title, true]);
      }
    expect(told).toBeGreaterThan(5);
  });

  test("the first is the one that is sound all round, and no way shown has more likely faults than it", () => {
    for (const candidates of sets) {
      expect(candidates[0]!.title).toBe("Sound all round");
      const warns = candidates.map((one) => one.findings.filter((finding) => finding.severity === "warn" && AVOIDABLE.has(finding.code)).length);
      expect(Math.max(...warns)).toBe(warns[0]);
    }
  });
});
