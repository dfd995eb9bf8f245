import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { CATALOGUE } from "../../catalogue/catalogue";
import { productId, stepId } from "../../catalogue/ids";
import type { MaterialId, UseId } from "../../catalogue/ids";
import type { Role, ZoneId } from "../../catalogue/vocabulary";
import { completePiece } from "../../piece/complete-piece";
import { pieceFrom } from "../../piece/new-piece";
import type { Piece } from "../../piece/piece";
import { pieceFacts } from "../facts/facts";
import { MEASURES } from "./cost";
import type { CostState } from "./incremental-cost";
import { searchesFor } from "./piece-search";
import type { Asked, PinnedStep } from "./piece-search";
import { SuffixBounds } from "./suffix-bounds";

const stated = (material: string, use: string, techniques: Parameters<typeof pieceFrom>[0]["techniques"]) =>
  pieceFrom({ material: material as MaterialId, uses: [use as UseId], techniques }, CATALOGUE);

const bare = (material: string, use: string, techniques: Parameters<typeof pieceFrom>[0]["techniques"]): Case => {
  const piece = stated(material, use, techniques);
  return { name: piece.name, piece };
};
const step = (role: Role, product: string): PinnedStep => ({
  zone: "top" as ZoneId,
  id: stepId(`top.${role}.1`),
  role,
  product: productId(product),
  origin: "hers",
  because: [],
  checks: [],
});

interface Case {
  readonly name: string;
  readonly piece: Piece;
  readonly asked?: Asked;
}

/** Materials that soak, that are slick, that are baked and fired; uses that ask for little and for much; coats on it already, steps of the user's. */
const CASES: readonly Case[] = [
  bare("stone-smooth", "outdoor-exposed", ["lettering"]),
  bare("terracotta", "planter", ["bands", "dots"]),
  bare("ceramic-glazed", "drinkware", ["dots"]),
  bare("glass", "candle", ["outline"]),
  bare("wood-softwood", "serving-tray", ["blended", "effect-powder"]),
  bare("ceramic-bisque", "indoor-display", ["bands"]),
  { name: "a pebble in masonry paint already", piece: { ...stated("stone-smooth", "outdoor-exposed", ["dots"]), done: [step("base", "masonry-paint")] } },
  {
    name: "a box whose isolation coat and varnish stay",
    piece: stated("wood-softwood", "handled", ["dots"]),
    asked: { keep: [step("isolate", "acrylic-varnish"), step("seal", "waterborne-polyurethane")] },
  },
];

describe("what is reckoned of a stack before it is judged", () => {
  test.each(CASES)("$name: never more than it turns out to be", ({ piece, asked }) => {
    const searches = searchesFor(pieceFacts(completePiece(piece, CATALOGUE).piece, CATALOGUE), asked).flatMap((route) => route.searches);
    let sound = 0;
    fc.assert(
      fc.property(fc.nat(searches.length - 1), fc.array(fc.nat(1000), { minLength: 20, maxLength: 20 }), (at, picks) => {
        const search = searches[at]!;
        const alternatives = search.domains.map((own, variable) => own[picks[variable % picks.length]! % own.length]!);
        const least = search.leastOfStack(alternatives);
        const judged = search.judge(alternatives);
        if (judged.stop !== null) return;
        sound += 1;
        expect(least.span.shortfall).toBeLessThanOrEqual(judged.span.shortfall + 1e-6);
        expect(least.handsOnMin).toBeLessThanOrEqual(judged.extra.handsOnMin + 1e-6);
        expect(least.coats).toBeLessThanOrEqual(judged.extra.coats);
        expect(least.span.chainMin).toBeLessThanOrEqual(judged.span.chainMin + 1e-6);
        expect(least.span.cureDays).toBeLessThanOrEqual(judged.span.cureDays + 1e-6);
      }),
      { numRuns: 400, seed: 20261125 },
    );
    expect(sound).toBeGreaterThan(10);
  });
});

describe("what later zones add, remembered", () => {
  const state = (own: Partial<CostState> = {}): CostState => ({ under: 0, rest: 600, cureDays: 7, shortfall: 1, once: Float64Array.of(0.6, 0), ...own });
  const suffixBounds = new SuffixBounds(MEASURES.balanced);
  suffixBounds.add(state(), "", 1, 5);

  test("holds after the same zones, and after zones that bring less or take less time", () => {
    expect(suffixBounds.least(state(), "", 1)).toBe(5);
    expect(suffixBounds.least(state({ rest: 300, once: Float64Array.of(0, 0) }), "", 1)).toBe(5);
  });

  test("is lowered by what other zones bring, take longer, or wear worse", () => {
    const jars = Float64Array.of(0.6, 0.6);
    expect(suffixBounds.least(state({ once: jars }), "", 1)).toBeCloseTo(4.4);
    expect(suffixBounds.least(state({ rest: 600 + 1440, shortfall: 1.5 }), "", 1)).toBeCloseTo(5 - MEASURES.balanced.days - 0.5 * MEASURES.balanced.shortfall);
  });

  test("says nothing where more faults are allowed or the zones agreed on something else", () => {
    expect(suffixBounds.least(state(), "", 2)).toBe(-Infinity);
    expect(suffixBounds.least(state(), "bake", 1)).toBe(-Infinity);
    expect(suffixBounds.least(state(), "", 0)).toBe(5);
  });
});
