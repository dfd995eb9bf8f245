/** How finishes have held: counts with how far they may be off, and what the plan learns of them. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { CATALOGUE } from "../../catalogue/catalogue";
import { withOwnWear } from "../../catalogue/own-wear";
import { productId, useId } from "../../catalogue/ids";
import { planPiece } from "../../coating/planner/plan-piece";
import { RULES } from "../../coating/rules/rules";
import { pebble, pot } from "../../../tests/reference/bench";
import { look, record, sealed } from "../../../tests/reference/records";
import { heldAgainst, heldBy, hardestWear, outcomeOf, sayAgainst, sayHeld, wearLearnt } from "./held";
import type { LogRecord, Saw } from "./record";

const outdoors = pebble({ uses: ["outdoor-exposed"] });
const piece = (seen: readonly (readonly [number, Saw])[], varnish = "outdoor varnish", product = "outdoor-varnish") =>
  record({ piece: outdoors, work: [sealed(varnish, product)], looks: seen.map(([days, saw]) => look(days, saw)) });
const many = (fine: number, worn: number, varnish?: string, product?: string): readonly LogRecord[] => [
  ...Array.from({ length: fine }, () => piece([[370, "fine"]], varnish, product)),
  ...Array.from({ length: worn }, () => piece([[200, "faded"]], varnish, product)),
];

describe("a piece", () => {
  test.each<[string, readonly (readonly [number, Saw])[], string | null]>([
    ["that nobody looked at says nothing", [], null],
    ["that was fine after a month says nothing yet", [[31, "fine"]], null],
    [
      "that was fine after about a year has held",
      [
        [31, "fine"],
        [330, "fine"],
      ],
      "held",
    ],
    ["that suffered early has suffered", [[12, "sticky"]], "failed"],
    [
      "that suffered and was fine later has suffered",
      [
        [40, "chipped"],
        [380, "fine"],
      ],
      "failed",
    ],
  ])("%s", (_what, looks, outcome) => expect(outcomeOf(piece(looks))).toBe(outcome));

  test("counts for the hardest it meets; one whose use nobody knows counts for nothing", () => {
    const wear = (uses: readonly string[]) => hardestWear({ piece: { ...pebble(), uses: uses.map(useId) } }, CATALOGUE);
    expect([wear(["outdoor-exposed", "handled"]), wear(["drinkware"]), wear(["handled"]), wear([])]).toEqual(["weather", "washing", "rub", null]);
    expect(heldBy([record({ origin: "told", told: { sealer: "spray" }, looks: [look(400, "fine")], piece: undefined as never })], CATALOGUE)).toEqual([]);
  });
});

describe("what is said", () => {
  test("is a count with an interval; few are called few; a piece under two films counts for both", () => {
    const [held] = heldBy(many(1, 1), CATALOGUE);
    expect(sayHeld(held!)).toBe("Outdoor varnish, outdoors: 1 of 2 had suffered. That may be anything from 9 to 91 in 100: too few to lean on.");
    expect(sayHeld(heldBy(many(12, 0), CATALOGUE)[0]!)).toBe("Outdoor varnish, outdoors: all 12 held. Up to 24 in 100 may still suffer.");
    const both = record({ piece: outdoors, work: [sealed("outdoor varnish"), sealed("clear spray", "acrylic-spray-clear")], looks: [look(370, "fine")] });
    expect(heldBy([both], CATALOGUE).map(({ film }) => film)).toEqual(["clear spray", "outdoor varnish"]);
  });

  test("two films are told apart only where they met the same; a small difference is called chance", () => {
    const against = (a: readonly [number, number], b: readonly [number, number]) =>
      heldAgainst(heldBy([...many(a[0], a[1], "Shore varnish"), ...many(b[0], b[1], "Quiet varnish", "acrylic-varnish")], CATALOGUE));
    expect(sayAgainst(against([1, 1], [2, 0])[0]!)).toBe("Outdoors, Shore varnish suffered on 1 of 2, Quiet varnish on 0 of 2: so few may still be chance.");
    expect(sayAgainst(against([1, 9], [10, 0])[0]!)).toContain("seldom comes about by chance");
    expect(against([3, 3], [2, 2])).toEqual([]);
    expect(against([0, 1], [9, 0])).toEqual([]);
    const indoors = record({ piece: pebble({ uses: ["handled"] }), work: [sealed("Quiet varnish")], looks: [look(370, "fine")] });
    expect(heldAgainst(heldBy([...many(0, 4, "Shore varnish"), indoors, indoors], CATALOGUE))).toEqual([]);
  });

  test("no verdict ever comes from two pieces", () => {
    for (const [fine, worn] of [
      [2, 0],
      [1, 1],
      [0, 2],
    ] as const) {
      const held = heldBy(many(fine, worn), CATALOGUE);
      expect(sayHeld(held[0]!)).toContain("too few");
      expect(wearLearnt(held)).toEqual([]);
    }
  });
});

describe("what the plan learns", () => {
  const learnt = (fine: number, worn: number) => wearLearnt(heldBy(many(fine, worn), CATALOGUE));

  test("a film that suffered more often than can be chance is graded lower for that wear, and for no other; nothing is graded higher", () => {
    expect(learnt(20, 0)).toEqual([]);
    expect(learnt(9, 1)).toEqual([]);
    expect(learnt(3, 4)).toMatchObject([{ product: "outdoor-varnish", wear: "weather", seen: 7, failed: 4, lower: 1 }]);
    expect(learnt(0, 8)).toMatchObject([{ lower: 2 }]);
    const plain = CATALOGUE.products.get(productId("outdoor-varnish"))!;
    const own = withOwnWear(CATALOGUE, learnt(0, 8)).products.get(productId("outdoor-varnish"))!;
    expect(own.resists).toEqual({ ...plain.resists, weather: 1 });
    expect(withOwnWear(CATALOGUE, [])).toBe(CATALOGUE);
    fc.assert(
      fc.property(fc.nat(30), fc.nat(30), (fine, worn) => {
        const grades = withOwnWear(CATALOGUE, learnt(fine, worn)).products.get(productId("outdoor-varnish"))!.resists;
        for (const [wear, grade] of Object.entries(plain.resists))
          expect(grades[wear as keyof typeof grades]! <= grade && grades[wear as keyof typeof grades]! >= 1).toBe(true);
      }),
      { numRuns: 60, seed: 3 },
    );
  });

  test("the plan says so where the film meets that wear, and nowhere else", () => {
    const catalogue = withOwnWear(CATALOGUE, learnt(1, 9));
    const stated = pot({ uses: ["outdoor-exposed"], wishes: { sealer: "outdoor-varnish" }, decoration: { techniques: ["solid"], baseColour: "#1f3a4d" } });
    const findings = planPiece(stated, catalogue).candidates.flatMap((one) => one.findings.filter(({ code }) => code === "suffered-before"));
    expect(findings[0]).toMatchObject({ severity: "note", provenance: { kind: "hers" } });
    expect(findings[0]!.message).toContain("on 9 of 10 of your own pieces");
    const inside = pot({ uses: ["indoor-display"], wishes: { sealer: "outdoor-varnish" }, decoration: { techniques: ["solid"], baseColour: "#1f3a4d" } });
    expect(
      planPiece(inside, catalogue)
        .candidates.flatMap((one) => one.findings)
        .map(({ code }) => code),
    ).not.toContain("suffered-before");
    expect(
      planPiece(stated, CATALOGUE)
        .candidates.flatMap((one) => one.findings)
        .map(({ code }) => code),
    ).not.toContain("suffered-before");
    expect(RULES.find(({ code }) => code === "suffered-before")!.fix.length).toBeGreaterThan(10);
  });

  test("its durability is reckoned lower, so that another way may come first", () => {
    const stated = pot({ uses: ["outdoor-exposed"], wishes: { sealer: "outdoor-varnish" }, decoration: { techniques: ["solid"], baseColour: "#1f3a4d" } });
    const sure = (catalogue: typeof CATALOGUE) =>
      planPiece(stated, catalogue).candidates.find(({ zones }) => zones.some(({ steps }) => steps.some(({ product }) => product === "outdoor-varnish")))!.scores
        .durability;
    expect(sure(withOwnWear(CATALOGUE, learnt(1, 9)))).toBeLessThan(sure(CATALOGUE));
  });
});
